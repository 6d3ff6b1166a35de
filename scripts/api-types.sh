#!/usr/bin/env bash
# Writes the interface's types from the OpenAPI document, today's versions of what is kept, and
# the published schema of leader files;
# with --check only says whether the types stand.
set -euo pipefail
PROJECT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
. "$PROJECT/scripts/prepare.sh"
need_python dev
need_node
made="$(mktemp -d)"
trap 'rm -rf "$made"' EXIT
"$PYTHON" -m nine_knots.api >"$made/openapi.json"
(cd "$PROJECT/web" && npx openapi-typescript "$made/openapi.json" -o "$made/schema.d.ts" >/dev/null)
"$PYTHON" -m nine_knots.kept >"$made/versions.json"
if [ "${1:-}" = --check ]; then
  cmp -s "$made/schema.d.ts" "$PROJECT/web/generated/schema.d.ts" ||
    fail "web/generated/schema.d.ts does not follow the API any more. Run scripts/api-types.sh."
  cmp -s "$made/versions.json" "$PROJECT/web/generated/versions.json" ||
    fail "web/generated/versions.json is not today's. Run scripts/api-types.sh."
else
  cp "$made/schema.d.ts" "$made/versions.json" "$PROJECT/web/generated/"
  "$PYTHON" -c 'import json; from nine_knots.formats.leader_json import schema
print(json.dumps(schema(), indent=1, ensure_ascii=False))' >"$PROJECT/docs/leader-1.schema.json"
fi
