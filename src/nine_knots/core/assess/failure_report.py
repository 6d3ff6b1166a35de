"""Where a leader breaks, and what goes with it."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.strength.elements import StrengthElement

BreakPlace = Literal["line", "joint", "piece", "fly"]
"""At the line's joint, at one between pieces, in a piece, or at the point fly's knot."""


@dataclass(frozen=True, slots=True)
class Break:
    """A break: its place, with the joint's or piece's number, what kind of connection parts there,
    and what is lost: ``flies_gone`` out of ``flies`` and metres of leader. ``at_m`` is from the
    line's tip; a piece parts in its middle."""

    place: BreakPlace
    number: int
    connection: str
    at_m: float
    flies: int
    flies_gone: int
    gone_m: float
    left_m: float


def break_of(element: StrengthElement, leader: Leader) -> Break:
    """The break of a leader at one of its elements."""
    places, last = leader.joints_at_m, len(leader.pieces)
    first_gone = broken_at(element)
    left_m = places[min(first_gone, last)]
    is_joint = element.what == "joint"
    place: BreakPlace = "joint" if is_joint else "piece"
    if is_joint and element.index in (0, last):
        place = "line" if element.index == 0 else "fly"
    at_m = places[element.index]
    if not is_joint:
        at_m = 0.5 * (at_m + places[element.index + 1])
    return Break(
        place=place,
        number=element.index,
        connection=leader.joints[element.index].kind if is_joint else "",
        at_m=at_m,
        flies=1 + len(leader.flies_above),
        flies_gone=_flies_gone(leader, first_gone),
        gone_m=0.0 if first_gone == last else leader.length_m - left_m,
        left_m=left_m,
    )


def broken_at(element: StrengthElement) -> int:
    """The first joint that is lost when this element breaks: the piece below a break goes."""
    return element.index if element.what == "joint" else element.index + 1


def _flies_gone(leader: Leader, first_gone: int) -> int:
    """How many flies hang below a break: an upper tag stays with the piece above it."""
    gone = 1
    for joint, _ in leader.flies_above:
        dropper = leader.joints[joint].dropper
        stays = joint == first_gone and dropper is not None and dropper.tag == "upper"
        gone += joint >= first_gone and not stays
    return gone


def pull_tests(joint: Connection, leader: Leader, own: tuple[PulledKnot, ...]) -> int:
    """How many pull tests of the angler's own tell what a joint keeps."""
    if not own:
        return 0
    families = {piece.strand.substance.family for piece in leader.pieces}
    return max(
        (
            knot.tests
            for knot in own
            if knot.knot in (joint.knot, joint.upper_knot) and knot.family in families
        ),
        default=0,
    )
