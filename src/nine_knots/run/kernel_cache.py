"""Where compiled kernels are kept: in a folder named after their sources.

A kernel edited in one file does not make Numba compile its callers in others anew; another name
of the folder does.
"""

import hashlib
import os
import shutil
from pathlib import Path

import nine_knots.core


def keep_kernels_in(local: Path) -> Path:
    """Let Numba keep its work under ``local``; to be called before a kernel is imported."""
    core = Path(nine_knots.core.__file__).parent
    digest = hashlib.sha256()
    sources = [core / "base/kernel.py", *core.glob("physics/*.py"), *core.glob("models/**/*.py")]
    for path in sorted(sources):
        digest.update(path.read_bytes())
    folder = local / f"kernels-{digest.hexdigest()[:16]}"
    folder.mkdir(parents=True, exist_ok=True)
    for older in local.glob("kernels-*"):
        if older != folder:
            shutil.rmtree(older, ignore_errors=True)
    os.environ["NUMBA_CACHE_DIR"] = str(folder)
    return folder
