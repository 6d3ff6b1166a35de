"""Where a rig fishes, in words."""

from nine_knots.core.base.score import Reason
from nine_knots.core.base.units import Units
from nine_knots.core.techniques.on_top import FloatFinding, FloatReason
from nine_knots.core.water.scores import DepthFinding, DepthReason

FLOATS = {
    FloatReason.SINKS: "it sinks",
    FloatReason.DRAWN_UNDER: "is drawn under",
    FloatReason.TIPPET_FLOATS: "tippet floats",
    FloatReason.FLOATS: "floats",
    FloatReason.IN_FILM: "in the film",
}


def depth_figure(found: DepthFinding, units: Units) -> str:
    """``fishes at 2½ ft``."""
    if found.reason is DepthReason.ON_BED:
        return "on the bed"
    if found.reason is DepthReason.TICKS_BED:
        return "ticks the bed"
    if found.reason is DepthReason.LINE_ON_BED:
        return "the line lies on the bed"
    if found.deepest_m is not None:
        return f"comes to {units.depth(found.deepest_m).text}"
    return f"fishes at {units.depth(found.down_m).text}"


def depth_why(found: DepthFinding, units: Units) -> str:
    """Where the lowest fly fishes, in how much water; and where each of the others swims."""
    others = "".join(
        f" The {other.title} swims at {units.depth(other.down_m).text}." for other in found.others
    )
    return f"{_lowest(found, units)}{others}"


def _lowest(found: DepthFinding, units: Units) -> str:
    whole, up = units.depth(found.water_m).text, units.depth(found.height_m).text
    wanted = units.depth(found.wanted_m).text if found.wanted_m is not None else ""
    if wanted:
        return f"You asked for {wanted} in {whole} of water."
    said: dict[Reason, str] = {
        DepthReason.ON_BED: f"It rests and drags on the bed, {whole} down.",
        DepthReason.TICKS_BED: f"At the bed, {whole} down, and still moving.",
        DepthReason.ABOVE_ZONE: f"{up} above the bed; the zone there is the lowest "
        f"{units.depth(found.zone_m).text} of {whole}.",
        DepthReason.LATE_IN_ZONE: "A drift this long brings it no lower; only a longer one reaches "
        f"the bed, {whole} down.",
        DepthReason.IN_ZONE: f"{up} above the bed of {whole}: in the zone.",
        DepthReason.UNDER_SURFACE: f"Just under the surface of {whole}: right for fish that look "
        "up.",
        DepthReason.IN_THE_WATER: f"In {whole} of water.",
        DepthReason.LINE_ON_BED: f"It sinks through {whole} of water before you have stripped it "
        "in: use a line that sinks more slowly, or start stripping at once.",
        DepthReason.PLOUGHS_BED: f"On the bed. In {whole} of water.",
    }
    return said[found.reason]


def float_why(found: FloatFinding, units: Units) -> str:
    """Whether it floats, and how its tippet lies."""
    last = "60 cm" if units.system == "metric" else "two feet"
    near = units.length(found.bare_m).text if found.bare_m is not None else ""
    if found.reason is FloatReason.SINKS:
        return "This fly does not float: drift it deep, under an indicator or on a tight line."
    if found.reason is FloatReason.DRAWN_UNDER:
        return "What hangs below it weighs more than its hackle can carry."
    if found.reason is FloatReason.TIPPET_FLOATS:
        return (
            f"Greased to {near} of the fly: the tippet lies on the film, shines, and is "
            f"pulled by every current. Degrease the last {last}."
        )
    why = f"Nylon floats on the film: keep the last {last} free of grease, to cut the glare."
    if found.tippet_sinks:
        why = (
            "Fluorocarbon sinks just under the film: less glare, but it draws a small fly down in "
            "time."
        )
    if near:
        return f"Greased to {near} of the fly: what is above floats. {why}"
    return why
