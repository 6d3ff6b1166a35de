"""What happened with its photos as one zip: ``log.json``, and each photo as a file beside it."""

import zipfile
from collections.abc import Iterable
from typing import IO

LOG, PHOTOS = "log.json", "photos"
WRITTEN = (1980, 1, 1, 0, 0, 0)  # the same log gives the same file


def write_zip(out: IO[bytes], log: str, photos: Iterable[tuple[str, bytes]]) -> None:
    """Write the log's text and photos by name, which lie in a folder, one after another."""
    with zipfile.ZipFile(out, "w") as packed:
        packed.writestr(zipfile.ZipInfo(LOG, WRITTEN), log, zipfile.ZIP_DEFLATED)
        for name, image in photos:  # pictures are compressed already
            packed.writestr(zipfile.ZipInfo(f"{PHOTOS}/{name}", WRITTEN), image, zipfile.ZIP_STORED)
