"""A photo as it is kept: a JPEG of a sane size, without the place and camera noted beside it."""

import io

from PIL import Image, ImageOps

from nine_knots.formats.errors import FileRefused

READ = ("JPEG", "PNG", "WEBP")
MOST_PIXELS, MOST_WHOLE_PIXELS = 60_000_000, 24_000_000
"""Of a JPEG, which is made smaller while it is read, and of a picture that is read whole."""
LONGEST = 2048
QUALITY = 85
MEND = "Choose a JPEG, PNG or WebP picture."


def as_kept(data: bytes) -> bytes:
    """The picture upright, at most 2048 pixels long, as JPEG with nothing beside it; FileRefused
    where it is none, or larger than a camera makes."""
    try:
        with Image.open(io.BytesIO(data), formats=READ) as picture:
            in_parts = picture.format == "JPEG" and not picture.info.get("progressive")
            most = MOST_PIXELS if in_parts else MOST_WHOLE_PIXELS
            if picture.width * picture.height > most:
                raise FileRefused(
                    f"This picture has more than {most // 1_000_000} million pixels.",
                    where="image",
                    hint="Make it smaller, or save it as a plain JPEG.",
                )
            picture.thumbnail((LONGEST, LONGEST))
            upright = ImageOps.exif_transpose(picture).convert("RGB")
    except (OSError, ValueError, SyntaxError, Image.DecompressionBombError) as broken:
        raise FileRefused("This is not a picture.", where="image", hint=MEND) from broken
    out = io.BytesIO()
    upright.save(out, "JPEG", quality=QUALITY, optimize=True)
    return out.getvalue()
