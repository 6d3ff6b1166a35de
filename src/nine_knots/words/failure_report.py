"""Where a leader breaks and what goes with it, in words."""

from nine_knots.core.assess.failure_report import Break
from nine_knots.core.base.units import Units


def break_place(broken: Break) -> str:
    """``at joint 5``, ``in piece 6``, ``at the ring, joint 3``."""
    if broken.place == "piece":
        return f"in piece {broken.number + 1}"
    if broken.place == "line":
        return "at the line"
    if broken.place == "fly":
        return "at the fly's knot"
    kind = broken.connection
    thing = {"knot": "", "fly": "the fly in line, "}.get(kind, f"the {kind}, ")
    return f"at {thing}joint {broken.number}"


def lost_words(broken: Break, units: Units) -> str:
    """``the fly and 21½ in of leader``, or ``both flies and …`` where others go with it."""
    flies = _flies(broken)
    if broken.left_m <= 0.0:
        return f"{flies} and the whole leader"
    if broken.gone_m <= 0.0:
        return flies
    return f"{flies} and {units.length(broken.gone_m).text} of leader"


def _flies(broken: Break) -> str:
    if broken.flies_gone == 1:
        return "the point fly" if broken.flies > 1 else "the fly"
    return "both flies" if broken.flies_gone == 2 == broken.flies else f"{broken.flies_gone} flies"


def left_words(broken: Break, units: Units) -> str:
    """``7 ft 2 in of leader comes back``."""
    if broken.left_m <= 0.0:
        return "only the line comes back"
    return f"{units.length(broken.left_m).text} of leader comes back"


def pull_tests_words(tests: int) -> str:
    """``, by 6 pull tests of yours``; nothing where there are none."""
    if not tests:
        return ""
    return ", from one pull test of yours" if tests == 1 else f", by {tests} pull tests of yours"
