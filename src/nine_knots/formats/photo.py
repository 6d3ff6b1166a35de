"""A photo as it is kept: a JPEG of a sane size, without the place and camera noted beside it."""

import io

from PIL import Image, ImageOps

from nine_knots.core.base.errors import FileRefused

READ = ("JPEG", "PNG", "WEBP")
MOST_PIXELS = 60_000_000
LONGEST = 2048
QUALITY = 85
MEND = "Choose a JPEG, PNG or WebP picture."


def as_kept(data: bytes) -> bytes:
    """The picture upright, at most 2048 pixels long, as JPEG with nothing beside it; FileRefused
    where it is none, or larger than a camera makes."""
    try:
        with Image.open(io.BytesIO(data), formats=READ) as picture:
            if picture.width * picture.height > MOST_PIXELS:
                raise FileRefused("The picture is too large.", where="image", mend=MEND)
            picture.load()
            upright = ImageOps.exif_transpose(picture).convert("RGB")
    except (OSError, ValueError, SyntaxError, Image.DecompressionBombError) as broken:
        raise FileRefused("This is no picture.", where="image", mend=MEND) from broken
    upright.thumbnail((LONGEST, LONGEST))
    out = io.BytesIO()
    upright.save(out, "JPEG", quality=QUALITY, optimize=True)
    return out.getvalue()
