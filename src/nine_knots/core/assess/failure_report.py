"""Where a leader breaks, in words, and what goes with it."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.strength.elements import StrengthElement


def broken_at(element: StrengthElement) -> int:
    """The first joint that is lost when this element breaks: the piece below a break goes."""
    return element.index if element.what == "joint" else element.index + 1


def break_at_m(element: StrengthElement, leader: Leader) -> float:
    """Place of the break in metres from the line's tip; a piece parts in its middle."""
    places = leader.joints_at_m
    if element.what == "joint":
        return places[element.index]
    return 0.5 * (places[element.index] + places[element.index + 1])


def what_is_lost(element: StrengthElement, leader: Leader, units: Units) -> str:
    """``the fly and 21½ in of leader``, or ``both flies and …`` where others go with it."""
    first_gone = broken_at(element)
    flies = _flies_gone(leader, first_gone)
    if first_gone == len(leader.pieces):
        return flies
    if first_gone == 0:
        return f"{flies} and the whole leader"
    gone_m = leader.length_m - leader.joints_at_m[first_gone]
    return f"{flies} and {units.length(gone_m).text} of leader"


def _flies_gone(leader: Leader, first_gone: int) -> str:
    """The flies below a break: an upper tag stays with the piece above it."""
    gone = 1
    for joint, _ in leader.flies_above:
        dropper = leader.joints[joint].dropper
        stays = joint == first_gone and dropper is not None and dropper.tag == "upper"
        gone += joint >= first_gone and not stays
    if gone == 1:
        return "the point fly" if leader.flies_above else "the fly"
    return "both flies" if gone == 2 == 1 + len(leader.flies_above) else f"{gone} flies"


def what_is_left(element: StrengthElement, leader: Leader, units: Units) -> str:
    """``7 ft 2 in of leader comes back``."""
    left_m = leader.joints_at_m[min(broken_at(element), len(leader.pieces))]
    if left_m <= 0.0:
        return "only the line comes back"
    return f"{units.length(left_m).text} of leader comes back"


def place_of_break(element: StrengthElement, leader: Leader) -> str:
    """An element in words: ``at joint 5``, ``in piece 6``."""
    if element.what == "piece":
        return f"in piece {element.index + 1}"
    if element.index == 0:
        return "at the line"
    if element.index == len(leader.pieces):
        return "at the fly's knot"
    kind = leader.joints[element.index].kind
    thing = {"knot": "", "fly": "the fly in line, "}.get(kind, f"the {kind}, ")
    return f"at {thing}joint {element.index}"


def pulls_of(joint: Connection, leader: Leader, own: tuple[PulledKnot, ...]) -> str:
    """``, by 6 pull tests of yours`` where one of a joint's knots was tested by the angler."""
    if not own:
        return ""
    families = {piece.strand.substance.family for piece in leader.pieces}
    tests = max(
        (
            knot.tests
            for knot in own
            if knot.knot in (joint.knot, joint.upper_knot) and knot.family in families
        ),
        default=0,
    )
    if not tests:
        return ""
    return ", from one pull test of yours" if tests == 1 else f", by {tests} pull tests of yours"
