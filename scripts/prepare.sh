# Sourced by ./start and ./test: everything that must be there before Python can take over.
# Sets PYTHON; leaves everything in the ignored folder .local.

LOCAL="$PROJECT/.local"
unset PYTHONDONTWRITEBYTECODE # a start that compiles everything anew takes twice as long
NODE_LEAST=20019

fail() { printf '%s\n' "$*" >&2; exit 1; }

missing_packages() { # command:package pairs
  local pair
  for pair in "$@"; do
    command -v "${pair%%:*}" >/dev/null 2>&1 || [ -x "/usr/sbin/${pair%%:*}" ] || printf '%s ' "${pair#*:}"
  done
}

need_packages() {
  local missing
  missing=$(missing_packages "$@")
  compgen -G "$LOCAL/python-*/stamp" >/dev/null || # what was installed by it shows that it is there
    python3 -c 'import ensurepip, venv' 2>/dev/null || missing="$missing python3-venv"
  [ -z "${missing// /}" ] && return
  [ "$(id -u)" = 0 ] || fail "These Debian packages are missing: $missing. As root: apt-get install $missing"
  echo "Installing Debian packages: $missing"
  export DEBIAN_FRONTEND=noninteractive
  mkdir -p "$LOCAL"
  { apt-get update -qq && apt-get install -y -qq --no-install-recommends $missing; } \
    >"$LOCAL/packages.log" 2>&1 ||
    fail "Installing failed; the reason stands at the end of $LOCAL/packages.log"
}

install_python() { # folder, lock files: the first by pip, the others by uv out of the first
  local folder="$1"
  python3 -m venv --clear "$folder"
  "$folder/bin/python" -m pip install -q --disable-pip-version-check \
    --require-hashes -r "$PROJECT/locks/$2"
  [ $# -lt 3 ] || "$folder/bin/uv" pip install -q --compile-bytecode --python "$folder/bin/python" \
    --require-hashes -r "$PROJECT/locks/$3"
}

need_python() { # app or dev: what runs, or what tests as well
  local folder="$LOCAL/python-$1" locks
  locks="$(cat "$PROJECT/locks/uv.txt" "$PROJECT/locks/$1.txt" | sha256sum)"
  PYTHON="$folder/bin/python"
  export PYTHONPATH="$PROJECT/src"
  stamp() { printf '%s' "$locks $("$PYTHON" --version) $folder"; }
  [ -x "$PYTHON" ] && [ "$(cat "$folder/stamp" 2>/dev/null)" = "$(stamp)" ] && return
  python3 -c 'import sys; sys.exit(sys.version_info < (3, 11))' ||
    fail "Python 3.11 or newer is needed; this is $(python3 --version). Use Debian 12 or newer."
  echo "Installing Python packages …"
  mkdir -p "$LOCAL"
  (set -e; install_python "$folder" uv.txt "$1.txt") >"$LOCAL/python.log" 2>&1 ||
    fail "Installing Python packages failed; the reason stands at the end of $LOCAL/python.log"
  stamp >"$folder/stamp"
}

node_version() { node --version 2>/dev/null | awk -F'[v.]' '{ print $2 * 1000 + $3 }'; }

need_node() { # Debian 12 has an older one than the build needs; PyPI carries a newer
  local version
  version=$(node_version)
  [ "${version:-0}" -ge "$NODE_LEAST" ] && command -v npm >/dev/null 2>&1 && return
  if [ ! -x "$LOCAL/node/bin/npm" ]; then
    echo "Installing Node.js for the build of the interface …"
    (set -e; install_python "$LOCAL/node" node.txt) >"$LOCAL/node.log" 2>&1 ||
      fail "Installing Node.js failed; the reason stands at the end of $LOCAL/node.log"
  fi
  export PATH="$LOCAL/node/bin:$PATH"
}
