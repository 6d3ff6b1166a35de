"""Which ties may go where on a leader: at the line, between two pieces, at the fly."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.domain.knots import KNOTS
from nine_knots.core.domain.leader.joints import Connection, JointKind

Place = Literal["line", "between", "fly"]


@dataclass(frozen=True, slots=True)
class TyingOption:
    """A way to tie a joint, in words."""

    words: str
    joint: Connection


@dataclass(frozen=True, slots=True)
class TyingGroup:
    """Ways of one sort."""

    title: str
    ties: tuple[TyingOption, ...]


def place_of(joint: int, joints: int) -> Place:
    """Where joint ``joint`` of so many is."""
    return "line" if joint == 0 else "fly" if joint == joints - 1 else "between"


def _knots(place: str, title: str, at_the_line: bool = False) -> TyingGroup:
    return TyingGroup(
        title,
        tuple(
            TyingOption(k.title, Connection(knot=k.key))
            for k in KNOTS.values()
            if k.place == place and (k.mono or not at_the_line)
        ),
    )


def _joined(place: str, kind: JointKind, title: str, above: bool = True) -> TyingGroup:
    """Loops, rings or swivels: the same knot below and, where it is tied by hand, above."""
    return TyingGroup(
        title,
        tuple(
            TyingOption(
                f"{'loop to loop' if kind == 'loops' else kind}, {k.title}",
                Connection(kind=kind, knot=k.key, upper_knot=k.key if above else None),
            )
            for k in KNOTS.values()
            if k.place == place
        ),
    )


TIES: dict[Place, tuple[TyingGroup, ...]] = {
    "line": (
        _joined("loop", "loops", "Loop to the line’s loop", above=False),
        _knots("line", "To the bare tip"),
        _knots("eye", "Knotted to the line’s loop", at_the_line=True),
    ),
    "between": (
        _knots("between", "Knots"),
        _joined("eye", "ring", "Ring"),
        _joined("eye", "swivel", "Swivel"),
        _joined("loop", "loops", "Loop to loop"),
    ),
    "fly": (
        _knots("eye", "To the fly"),
        _joined("eye", "snap", "Snap that holds the fly", above=False),
    ),
}
"""All ties by their place."""
