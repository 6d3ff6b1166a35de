"""How a rig drifts, swims or drops, in words: one way of fishing after the other."""

from nine_knots.core.base.score import Reason
from nine_knots.core.base.units import Units
from nine_knots.core.techniques.let_drop import DropFinding, DropReason
from nine_knots.core.techniques.on_top import FreeFinding
from nine_knots.core.techniques.stripped import StripFinding, StripReason
from nine_knots.core.techniques.swung import SwingFinding, SwingReason
from nine_knots.core.techniques.tight_line import TightLineFinding, TightLineReason
from nine_knots.core.water.floated import FloatedBy, FloatedFinding, FloatedReason
from nine_knots.core.water.time_in_zone import NATURAL

FLOATED_BY: dict[FloatedBy, str] = {
    "indicator": "indicator",
    "dry fly": "dry fly",
    "line tip": "line's tip",
    "greased leader": "greased leader",
}
LIGHTEN: dict[FloatedBy, str] = {"dry fly": "use a lighter nymph, a shorter drop, or the dry alone"}
FLOATED: dict[Reason, str] = {
    FloatedReason.GOES_UNDER: "goes under",
    FloatedReason.HANGS_STILL: "hangs still",
    FloatedReason.ANCHORED: "anchored",
    FloatedReason.DRAGS_ON_BED: "drags on the bed",
    FloatedReason.HELD_BACK: "drags on the bed",
    FloatedReason.TOO_LIGHT: "too light",
    FloatedReason.DOWN_TOO_LATE: "down too late",
}
STRIPPED: dict[Reason, str] = {
    StripReason.DRAGS_ON_BED: "drags on the bed",
    StripReason.JIGS: "jigs",
    StripReason.TRACKS_LINE: "tracks the line",
}
USUAL_LIGHTEN = "use less weight, or set it shallower"
INSTEAD: dict[FloatedBy, str] = {
    "dry fly": " Too deep or too fast for a dry: use an indicator or a tight line."
}


def free_figure(found: FreeFinding, units: Units) -> str:
    """``free for 2.5 s``."""
    return "no drag" if found.free_s is None else f"free for {units.seconds(found.free_s)}"


def free_why(found: FreeFinding, units: Units) -> str:
    """What uses its slack up."""
    if found.free_s is None:
        return "Nothing moves: it stays where it landed."
    limit = "along the stream" if found.along else "across a faster lane"
    from_cast = "of this cast" if found.of_cast else "as a soft cast leaves"
    return (
        f"About {units.roughly(found.slack_m)} of slack {from_cast}; currents that differ by "
        f"{units.speed(found.differs_m_s).text} use it up {limit} first."
    )


def floated_figure(found: FloatedFinding) -> str:
    """``drifts at 82%``, or what is wrong."""
    if found.reason is FloatedReason.DRIFTS:
        return f"drifts at {found.share:.0%}"
    return FLOATED[found.reason]


def floated_why(found: FloatedFinding, units: Units) -> str:
    """How fast it goes beside the surface, and how long it is in the zone; or what is wrong."""
    what = FLOATED_BY[found.floated_by]
    lighten = LIGHTEN.get(found.floated_by, USUAL_LIGHTEN)
    rate = f"{found.share or 0.0:.0%} of the surface speed"
    after = units.seconds(found.zone_after_s or 0.0)
    touch = " It ticks the bed." if found.touches else ""
    said: dict[Reason, str] = {
        FloatedReason.GOES_UNDER: f"The rig pulls the {what} under: use less weight, or a bigger "
        "float.",
        FloatedReason.HANGS_STILL: "Still water: it hangs where you cast it.",
        FloatedReason.ANCHORED: "It rests on the bed and holds the line: too heavy.",
        FloatedReason.DRAGS_ON_BED: f"{found.contact:.0%} of its weight rests on the bed: "
        f"{lighten}.",
        FloatedReason.HELD_BACK: f"It goes at {rate}, held back by flies that brush the bed: "
        f"{lighten}.",
        FloatedReason.TOO_LIGHT: "It never reaches the zone in "
        f"{units.seconds(found.drift_s)} of drift. It drifts at {rate}."
        f"{INSTEAD.get(found.floated_by, '')}",
        FloatedReason.DOWN_TOO_LATE: f"In the zone only after {after}, more than half the drift.",
        FloatedReason.DRIFTS: f"{_pace(what, found.share or 0.0)} In the zone after {after}, for "
        f"{units.seconds(found.zone_for_s)}.{touch}",
    }
    return said[found.reason]


def _pace(what: str, share: float) -> str:
    low, high = NATURAL
    if share > high:
        return f"The {what} drifts almost at surface speed: little holds it back."
    if share < low:
        return f"The {what} drifts much slower than the surface: close to dragging."
    return "A little slower than the surface, as is natural."


def swing_figure(found: SwingFinding, units: Units) -> str:
    """``swims at 1.3 ft/s``."""
    return f"swims at {units.speed(found.past_m_s).text}"


def swing_why(found: SwingFinding, units: Units) -> str:
    """How deep it sinks and how far it rises."""
    sank, hangs = units.depth(found.sank_m).text, units.depth(found.hangs_m).text
    why = f"It sinks to {sank} while you mend, and rises to {hangs} on the dangle."
    if found.reason is SwingReason.SLOW:
        return f"Hardly any water moves it. {why}"
    return f"Fast for a fish to follow. {why}" if found.reason is SwingReason.FAST else why


def strip_why(found: StripFinding, units: Units) -> str:
    """What the pulls do with it."""
    if found.reason is StripReason.DRAGS_ON_BED:
        return (
            "Line and fly drag along the bed: shorten the count, strip sooner, or use a "
            "slower-sinking line."
        )
    if found.reason is StripReason.JIGS:
        return f"It lifts at each pull and drops between, by {units.depth(found.leap_m).text}."
    goes = "swims at one depth"
    if not found.level:
        word = "climbs" if found.climbs_m > 0.0 else "goes down"
        goes = f"{word} by {units.depth(abs(found.climbs_m)).text} as the line comes in"
    return f"The pulls hardly lift it: it {goes}."


def tight_line_figure(found: TightLineFinding, units: Units) -> str:
    """``3.5 s in the zone``, or what is wrong."""
    if found.reason is TightLineReason.DRAGS_ON_BED:
        return "drags on the bed"
    if found.reason is TightLineReason.NEVER_DOWN:
        return "never gets down"
    return f"{units.seconds(found.zone_for_s)} in the zone"


def tight_line_why(found: TightLineFinding, units: Units) -> str:
    """How soon it is down and for how long, and whether the sighter goes under."""
    if found.reason is TightLineReason.DRAGS_ON_BED:
        why = f"{found.contact:.0%} of its weight rests on the bed: lead faster, or use lighter "
        why += "flies."
    elif found.zone_after_s is None:
        why = (
            f"It gets no closer to the bed than {units.depth(found.lowest_m).text}: use heavier "
            "flies or finer tippet, or lead slower."
        )
    else:
        why = f"Down after {units.seconds(found.zone_after_s)}, of {units.seconds(found.drift_s)}."
    if not found.sighter_drowned:
        return why
    deep = units.length(units.snap_length(found.sighter_under_m)).text
    return (
        f"{why} {deep} of the sighter is under water: use more tippet below it, or raise the "
        "rod tip."
    )


def drop_figure(found: DropFinding, units: Units) -> str:
    """``down in 3 s``."""
    if found.down_after_s is None:
        return "hangs"
    return f"down in {units.seconds(found.down_after_s)}"


def drop_why(found: DropFinding, units: Units) -> str:
    """How far it falls and what to do."""
    depth = units.depth(found.water_m).text
    if found.reason is DropReason.HANGS:
        return "It doesn't reach the bed: too light."
    if found.reason is DropReason.DOWN_LATE:
        return f"Slow through {depth}: use a heavier fly, or cast well ahead of the fish."
    return f"It falls through {depth}; lead the fish by as much."
