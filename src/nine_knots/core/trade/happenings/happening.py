"""A kind of thing that happens at the water: what may be told of it, what it does to the rig.

What it does is said in figures that are counted, not in a programme: whoever has the list of kinds
can follow a day by it, the phone without a signal too.
"""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.trade.leader.pieces import Wear

DetailKey = Literal[
    "stretch",
    "rig",
    "fly",
    "fish",
    "mass",
    "place",
    "level",
    "setting",
    "landed",
    "words",
    "photo",
    "undoes",
]
"""What may be told of a happening: names and figures as they are kept."""
Ends = Literal["", "tippet", "lower", "rig"]
WEARS: tuple[Wear, ...] = ("new", "fished", "nicked", "wind knot")
"""From the least worn to the most."""


@dataclass(frozen=True, slots=True)
class RigEffect:
    """What a happening does to the rig on the line.

    ``cuts`` is how often the fly's knot is cut off and tied anew, ``wear`` how worn the tippet then
    is at least, ``ends`` what of the rig is gone with it, ``renews`` whether its tippet is new.
    """

    cuts: int = 0
    wear: Wear = "new"
    ends: Ends = ""
    renews: bool = False
    takes_up: bool = False
    fish: int = 0


@dataclass(frozen=True, slots=True)
class Happening:
    """A kind: its place on the screen, its words, what may be told of it, and its effect; where the
    effect goes by the place that was told, ``by_place`` has them with the words to choose from."""

    key: str
    place: int
    title: str
    said: str
    details: tuple[DetailKey, ...] = ()
    effect: RigEffect = RigEffect()
    by_place: tuple[tuple[str, RigEffect], ...] = ()

    def effect_of(self, place: str | None) -> RigEffect:
        """The effect where it happened at a place that was told."""
        return dict(self.by_place).get(place or "", self.effect)
