"""Kinds of events at the water, one row each: what may be recorded, and what it does to the rig.

Effects are figures, not code, so that whoever has the table can follow a day by it: the phone
without a network, too.
"""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.domain.leader.sections import Wear

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
class EventKind:
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


AT_THE_FLY = RigEffect(cuts=1, wear="fished")
ROWS = (
    EventKind(
        key="fish",
        place=10,
        title="Fish",
        said="a fish",
        details=("fish", "mass", "fly", "words", "photo"),
        effect=RigEffect(wear="fished", fish=1),
    ),
    EventKind(
        key="missed", place=20, title="Missed take", said="a missed take", details=("fly", "words")
    ),
    EventKind(key="refused", place=25, title="Refused", said="a refusal", details=("fly", "words")),
    EventKind(
        key="broke",
        place=30,
        title="Broke",
        said="broke",
        details=("place", "fish", "words"),
        effect=AT_THE_FLY,
        by_place=(
            ("at the fly", AT_THE_FLY),
            ("in the tippet", RigEffect(ends="tippet")),
            ("at the tippet's knot", RigEffect(ends="tippet")),
            ("at the ring or swivel", RigEffect(ends="lower")),
            ("at a dropper", RigEffect(wear="fished")),
            ("higher up", RigEffect(ends="rig")),
        ),
    ),
    EventKind(
        key="lost-rig",
        place=40,
        title="Lost the rig",
        said="lost the rig",
        details=("words",),
        effect=RigEffect(ends="rig"),
    ),
    EventKind(
        key="changed-fly",
        place=50,
        title="Changed fly",
        said="another fly",
        details=("fly",),
        effect=RigEffect(cuts=1),
    ),
    EventKind(
        key="new-tippet",
        place=60,
        title="New tippet",
        said="a new tippet",
        effect=RigEffect(renews=True),
    ),
    EventKind(
        key="wind-knot",
        place=70,
        title="Wind knot",
        said="a wind knot",
        effect=RigEffect(wear="wind knot"),
    ),
    EventKind(
        key="snagged",
        place=80,
        title="Snagged",
        said="hung up and came free",
        effect=RigEffect(wear="nicked"),
    ),
    EventKind(
        key="moved-setting",
        place=90,
        title="Moved the setting",
        said="changed the setting",
        details=("setting",),
    ),
    EventKind(
        key="changed-rig",
        place=100,
        title="Changed rig",
        said="another rig",
        details=("rig", "fly"),
        effect=RigEffect(takes_up=True),
    ),
    EventKind(
        key="came-to", place=110, title="Moved to a stretch", said="came to", details=("stretch",)
    ),
    EventKind(
        key="landed", place=120, title="How it landed", said="it landed", details=("landed",)
    ),
    EventKind(key="level", place=130, title="Level", said="the level", details=("level",)),
    EventKind(key="note", place=140, title="Note", said="", details=("words", "photo")),
    EventKind(key="taken-back", place=900, title="Undone", said="undone", details=("undoes",)),
)
EVENT_KINDS = {kind.key: kind for kind in ROWS}
"""All of them by their key, in the order in which they are shown."""
BROKE = EVENT_KINDS["broke"]
