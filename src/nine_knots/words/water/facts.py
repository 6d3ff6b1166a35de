"""Lines of what the water does to any sunk rig, both schools of weight among them."""

from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import INCH_M
from nine_knots.core.domain.design import Design
from nine_knots.core.water.time_in_zone import FishedRig
from nine_knots.words.facts import Fact

SHOT_BY_NYMPH_M = (12.0 * INCH_M, 18.0 * INCH_M)  # [P]
SHOT_BY_STREAMER_M = (4.0 * INCH_M, 6.0 * INCH_M)  # [P]
KEPT_BY_A_KNOT_M = 0.06


def order_of_weight(design: Design, fished: FishedRig, wants_anchor: bool) -> Fact | None:
    """Heaviest at the point, or heaviest first in line: both schools, whichever this is.

    ``wants_anchor`` where a lighter point fly swings loose.
    """
    above, rig = design.leader.flies_above, fished.fishing.rig
    weights = [float(rig.tree.body[fly.node, 0]) for fly in rig.flies]
    if len(weights) < 2:
        return None
    in_line = any(design.leader.joints[joint].kind == "fly" for joint, _ in above)
    point, upper = weights[-1], max(weights[:-1])
    if point >= upper:
        text = "Heaviest at the point: tight to the lowest fly, which is the one a snag takes."
        if in_line:
            text += " The in-line school puts the heaviest first, lighter ones behind."
        return Fact("Weights", text)
    if in_line:
        return Fact("Weights", "Heaviest first, in line: a snag costs the lighter flies behind.")
    text = (
        "The upper fly is heavier, so on a tight line the point swings loose. One school puts "
        "the heaviest fly at the point; the in-line school puts it first."
    )
    return Fact("Weights", text, "too much" if wants_anchor else "right")


def shot_place(design: Design, units: Units) -> Fact | None:
    """The lowest shot's place: near the fly it sinks it better, further off it swims freely."""
    leader, fly = design.leader, design.situation.fly
    shots = [thing.above_end_m for thing in leader.attachments if thing.kind == "shot"]
    if not shots:
        return None
    above = min(shots)
    swims = fly.kind in ("streamer", "predator")
    low, high = SHOT_BY_STREAMER_M if swims else SHOT_BY_NYMPH_M
    usual = f"{units.length(low).text} to {units.length(high).text}"
    what = "a streamer" if swims else "a nymph"
    knots = [leader.length_m - at for at in leader.joints_at_m[1:-1]]
    kept = any(0.0 < above - knot < KEPT_BY_A_KNOT_M for knot in knots)
    slides = "" if kept else " No knot below stops it sliding down."
    if above < low - 0.02:
        text = f"nearer than the {usual} usual for {what}: it sinks fastest and swims least."
    elif above > high + 0.02:
        text = f"farther than the {usual} usual for {what}: it swims freely and sinks later."
    else:
        text = f"{usual} above {what} is usual; nearer sinks it better, farther lets it swim."
    return Fact("Shot", f"{text}{slides}")
