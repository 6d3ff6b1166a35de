"""Where a leader breaks, in words, and what goes with it."""

from nine_knots.core.hold.elements import Element
from nine_knots.core.knots.own import OwnKnot
from nine_knots.core.leader import Joint, Leader
from nine_knots.core.units import Units


def broken_at(element: Element) -> int:
    """The first joint that is lost when this element breaks: the piece below a break goes."""
    return element.index if element.what == "joint" else element.index + 1


def break_at_m(element: Element, leader: Leader) -> float:
    """Place of the break in metres from the line's tip; a piece parts in its middle."""
    places = leader.joints_at_m
    if element.what == "joint":
        return places[element.index]
    return 0.5 * (places[element.index] + places[element.index + 1])


def what_is_lost(element: Element, leader: Leader, units: Units) -> str:
    """``the fly and 21½ in of leader``."""
    first_gone = broken_at(element)
    if first_gone == len(leader.pieces):
        return "the fly"
    if first_gone == 0:
        return "the fly and the whole leader"
    gone_m = leader.length_m - leader.joints_at_m[first_gone]
    return f"the fly and {units.length(gone_m).text} of leader"


def what_is_left(element: Element, leader: Leader, units: Units) -> str:
    """``7 ft 2 in of leader come back``."""
    left_m = leader.joints_at_m[min(broken_at(element), len(leader.pieces))]
    if left_m <= 0.0:
        return "only the line comes back"
    return f"{units.length(left_m).text} of leader come back"


def place_of_break(element: Element, leader: Leader) -> str:
    """An element in words: ``at joint 5``, ``in piece 6``."""
    if element.what == "piece":
        return f"in piece {element.index + 1}"
    if element.index == 0:
        return "at the line"
    if element.index == len(leader.pieces):
        return "at the fly's knot"
    kind = leader.joints[element.index].kind
    thing = "" if kind == "knot" else f"the {kind}, "
    return f"at {thing}joint {element.index}"


def pulls_of(joint: Joint, leader: Leader, own: tuple[OwnKnot, ...]) -> str:
    """``, by 6 pulls of yours`` where one of a joint's knots was tested by the angler."""
    families = {piece.strand.substance.family for piece in leader.pieces}
    tests = max(
        (
            one.tests
            for one in own
            if one.knot in (joint.knot, joint.upper_knot) and one.family in families
        ),
        default=0,
    )
    if not tests:
        return ""
    return ", by one pull of yours" if tests == 1 else f", by {tests} pulls of yours"
