"""A small table of fish: mouth, teeth, shyness, usual weights.

General knowledge, all of it from memory [M]: a start for the sentence, replaced by what the
angler types.
"""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.values import Frozen

FishKind = Literal[
    "grayling",
    "trout",
    "sea-trout",
    "char",
    "perch",
    "pike",
    "zander",
    "carp",
    "black-bass",
    "steelhead",
    "salmon",
    "sea-bass",
    "bonefish",
    "tarpon",
    "shark",
    "red-drum",
    "striped-bass",
    "musky",
    "catfish",
    "panfish",
    "other",
]
Mouth = Literal["soft", "firm", "bony"]
Teeth = Literal["none", "fine", "rasping", "cutting"]


class Fish(Frozen):
    """One kind: ``usual_kg`` is a fair fish, ``large_kg`` one worth being ready for."""

    key: FishKind
    title: str
    mouth: Mouth
    teeth: Teeth
    shyness: Literal["bold", "middling", "shy"]
    usual_kg: float
    large_kg: float

    @property
    def bites_through(self) -> bool:
        """Whether its teeth cut plain tippet."""
        return self.teeth == "cutting"

    @property
    def wears_through(self) -> bool:
        """Whether its bony, rasping mouth wears through plain tippet in a long fight [P]."""
        return self.teeth == "rasping" and self.mouth == "bony"


class OwnFish(Frozen):
    """A kind that is not in the table, as the angler knows it."""

    title: str = Field(default="fish", min_length=1, max_length=40)
    mouth: Mouth = "firm"
    teeth: Teeth = "none"


_ROWS: tuple[tuple[FishKind, str, str, str, str, float, float], ...] = (
    ("grayling", "grayling", "soft", "none", "middling", 0.4, 1.0),
    ("trout", "trout", "firm", "fine", "shy", 0.5, 2.0),
    ("sea-trout", "sea trout", "soft", "fine", "shy", 1.5, 4.0),
    ("char", "char", "firm", "fine", "bold", 0.8, 3.0),
    ("perch", "perch", "soft", "none", "bold", 0.4, 1.2),
    ("pike", "pike", "bony", "cutting", "bold", 4.0, 10.0),
    ("zander", "zander", "bony", "fine", "middling", 2.0, 6.0),
    ("carp", "carp", "soft", "none", "shy", 4.0, 10.0),
    ("black-bass", "black bass", "firm", "rasping", "bold", 1.2, 3.0),
    ("steelhead", "steelhead", "firm", "fine", "middling", 4.0, 8.0),
    ("salmon", "salmon", "firm", "fine", "middling", 5.0, 12.0),
    ("sea-bass", "sea bass", "firm", "rasping", "middling", 1.5, 4.0),
    ("bonefish", "bonefish", "soft", "none", "shy", 1.5, 4.0),
    ("tarpon", "tarpon", "bony", "rasping", "middling", 30.0, 60.0),
    ("shark", "shark", "bony", "cutting", "bold", 40.0, 100.0),
    ("red-drum", "red drum", "firm", "rasping", "middling", 3.0, 10.0),
    ("striped-bass", "striped bass", "firm", "rasping", "middling", 3.0, 12.0),
    ("musky", "musky", "bony", "cutting", "shy", 8.0, 18.0),
    ("catfish", "catfish", "firm", "rasping", "bold", 3.0, 15.0),
    ("panfish", "panfish", "soft", "none", "bold", 0.15, 0.5),
)

FISH: dict[str, Fish] = {
    row[0]: Fish.model_validate(dict(zip(Fish.model_fields, row, strict=True))) for row in _ROWS
}


def fish_of(kind: FishKind) -> Fish:
    """The table's row for a kind."""
    return FISH[kind]
