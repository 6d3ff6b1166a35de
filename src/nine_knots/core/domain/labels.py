"""Labels by which leaders are kept together: ``salt``, ``spring``."""

from typing import Annotated

from pydantic import Field

from nine_knots.core.base.errors import OutOfRange

MOST_LABELS = 8
Label = Annotated[str, Field(min_length=1, max_length=30, pattern=r"^[^|\s](?:[^|]*[^|\s])?$")]


def labels_in(text: str) -> tuple[str, ...]:
    """Labels as typed, between commas: each once, in their order.

    >>> labels_in(" salt, spring ,Salt")
    ('salt', 'spring')
    """
    found: dict[str, str] = {}
    for part in text.split(","):
        label = " ".join(part.split()).replace("|", "")
        if label:
            found.setdefault(label.casefold(), label)
    if len(found) > MOST_LABELS:
        raise OutOfRange(
            f"{len(found)} labels are too many on one leader.",
            where="labels",
            hint=f"Use {MOST_LABELS} at most.",
        )
    long = next((label for label in found.values() if len(label) > 30), None)
    if long is not None:
        raise OutOfRange(f"“{long[:40]}” is not a label.", where="labels", hint="Make it shorter.")
    return tuple(found.values())
