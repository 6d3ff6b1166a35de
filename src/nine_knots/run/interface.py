"""Building the interface when its sources have changed."""

import hashlib
import subprocess
from pathlib import Path

from nine_knots.core.base.errors import NineKnotsError

SOURCES = (
    "src",
    "public",
    "water",
    "generated",
    "index.html",
    "package-lock.json",
    "vite.config.ts",
    "vite.water.config.ts",
    "tsconfig.json",
)


class BuildFailed(NineKnotsError):
    """The interface could not be installed or built."""

    code = "build-failed"


def _fingerprint(paths: list[Path]) -> str:
    digest = hashlib.sha256()
    for path in paths:
        digest.update(path.name.encode())
        digest.update(path.read_bytes())
    return digest.hexdigest()


def _files(web: Path) -> list[Path]:
    found: list[Path] = []
    for name in SOURCES:
        path = web / name
        found += [p for p in path.rglob("*") if p.is_file()] if path.is_dir() else [path]
    return sorted(p for p in found if p.exists())


def _run(web: Path, log: Path, *command: str) -> None:
    with log.open("ab") as out:
        done = subprocess.run(
            command, cwd=web, stdout=out, stderr=out, stdin=subprocess.DEVNULL, check=False
        )
    if done.returncode != 0:
        raise BuildFailed(
            f"“{' '.join(command[:2])}” failed while preparing the interface.",
            hint=f"See the end of {log}.",
        )


def install_packages(web: Path, local: Path) -> None:
    """Run ``npm ci`` where the lock changed since the last time."""
    stamp = web / "node_modules" / ".installed-from"
    wanted = _fingerprint([web / "package-lock.json"])
    if stamp.exists() and stamp.read_text() == wanted:
        return
    print("Installing the interface's packages (a minute or so, once) …", flush=True)
    _run(web, local / "interface.log", "npm", "ci", "--no-audit", "--no-fund")
    stamp.write_text(wanted)


def build_interface(web: Path, local: Path) -> Path:
    """The folder of the built interface, built anew where a source changed."""
    built = web / "dist"
    stamp, wanted = built / ".built-from", _fingerprint(_files(web))
    if stamp.exists() and stamp.read_text() == wanted:
        return built
    (local / "interface.log").unlink(missing_ok=True)
    install_packages(web, local)
    print("Building the interface (half a minute, once after a change) …", flush=True)
    _run(web, local / "interface.log", "npm", "run", "build")
    stamp.write_text(wanted)
    return built
