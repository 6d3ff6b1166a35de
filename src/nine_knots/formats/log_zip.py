"""What happened with its photos as one zip: ``log.json``, and each photo as a file beside it."""

import io
import zipfile
from collections.abc import Iterable

LOG, PHOTOS = "log.json", "photos"
WRITTEN = (1980, 1, 1, 0, 0, 0)  # the same log gives the same file


def write_zip(log: str, photos: Iterable[tuple[str, bytes]]) -> bytes:
    """The log's text and photos by name, which lie in a folder."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as packed:
        packed.writestr(zipfile.ZipInfo(LOG, WRITTEN), log, zipfile.ZIP_DEFLATED)
        for name, image in photos:  # pictures are compressed already
            packed.writestr(zipfile.ZipInfo(f"{PHOTOS}/{name}", WRITTEN), image, zipfile.ZIP_STORED)
    return out.getvalue()
