"""Lines of what the water does to a rig, the rule of thumb beside the computed figure."""

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.measure import Fact, Standing
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import INCH_M, THOU_M
from nine_knots.core.models.water.dry_fly import MICRO_M_S, Drag
from nine_knots.core.models.water.fished import GOOD_ANGLE, JIGS_M, WIDE_ANGLE, Outcome
from nine_knots.core.models.water.setups import WaterAsk, water_of
from nine_knots.core.physics.section import bend_stiffness_nm2
from nine_knots.core.physics.slack import bending_length_m
from nine_knots.core.physics.thin_line import normal_drag_n_m
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.materials import MATERIALS

SHOT_BY_NYMPH_M = (12.0 * INCH_M, 18.0 * INCH_M)  # [P]
SHOT_BY_STREAMER_M = (4.0 * INCH_M, 6.0 * INCH_M)  # [P]
KEPT_BY_A_KNOT_M = 0.06
RULE_OF_THUMB = 1.5  # of the depth, from indicator to lowest fly [P]


def rig_facts(design: Design, outcome: Outcome, ask: WaterAsk, units: Units) -> tuple[Fact, ...]:
    """Facts of a sunk rig, by the way it is fished."""
    found: list[Fact | None] = []
    if outcome.run.floats is not None and outcome.run.stream.surface_m_s > 0.0:
        found.append(_contact(outcome))
        found.append(_carried(outcome))
    if outcome.run.setup in ("indicator", "under a dry"):
        found.append(_rule(outcome, units))
    if outcome.run.setup == "tight line":
        found.append(_led(ask, units))
    if outcome.run.setup in ("strip", "swing"):
        found.append(_line_and_fly(outcome, units))
    found.append(_order_of_weight(design, outcome))
    found.append(_shot_place(design, units))
    return tuple(fact for fact in found if fact is not None)


def _contact(outcome: Outcome) -> Fact:
    angle = 5.0 * round(outcome.angle_deg / 5.0)
    if angle <= GOOD_ANGLE:
        return Fact("Line", f"hangs {angle:g}° from upright: takes show at once.")
    if angle <= WIDE_ANGLE:
        return Fact("Line", f"hangs {angle:g}° from upright, as is usual.")
    text = f"slants {angle:g}° from upright: too light, too thick, or set too long to show a take."
    return Fact("Line", text, "too little")


def _carried(outcome: Outcome) -> Fact:
    floats = outcome.run.floats
    assert floats is not None
    share = outcome.pulled_n / floats.carries_n
    what = "The dry fly" if outcome.run.setup == "under a dry" else "The float"
    if outcome.run.setup == "on the leader":
        what = "The line’s tip"
    text = f"is loaded to {min(9.99, share):.0%} of what takes it under."
    standing: Standing = "too much" if share > 1.0 else "right"
    return Fact(what, text, standing)


def _rule(outcome: Outcome, units: Units) -> Fact:
    depth, setting = outcome.run.stream.depth_m, outcome.run.rig.length_m
    ruled = units.depth(RULE_OF_THUMB * depth).text
    return Fact(
        "Set at",
        f"{units.length(setting).text}, {setting / depth:.1f} times the depth. The rule of thumb "
        f"says 1.5 times, {ruled}: right in fast water and for light flies, too long in slow "
        "water or under good weight.",
    )


def _led(ask: WaterAsk, units: Units) -> Fact:
    tip = units.depth(ask.tip_m).text
    return Fact(
        "Led",
        f"at {ask.lead:.0%} of the surface's pace, rod tip {tip} up. A tight line has no steady "
        "shape worth showing in so short a drift: read its path.",
    )


def _line_and_fly(outcome: Outcome, units: Units) -> Fact | None:
    run = outcome.run
    if run.rig.tip is None:
        return None
    late = run.history.places[int(run.begins_s / run.history.every_s) :]
    tip = float(late[:, run.rig.tip, 1].mean())
    depth = run.stream.depth_m
    fly = outcome.lowest.height_m
    at = units.depth(max(0.0, depth - tip)).text
    gap = units.depth(abs(fly - tip)).text
    if fly - tip > JIGS_M:
        text = f"swims at {at}; the fly lags {gap} above it: a shorter leader brings it down."
        return Fact("The line’s tip", text, "too little" if fly - tip > 0.3 else "right")
    if tip - fly > JIGS_M:
        return Fact("The line’s tip", f"swims at {at}, the fly {gap} below it.")
    return Fact("The line’s tip", f"swims at {at}, the fly level with it.")


def _order_of_weight(design: Design, outcome: Outcome) -> Fact | None:
    """Heaviest at the point, or heaviest first in line: both schools, whichever this is."""
    above = design.leader.flies_above
    weights = [float(outcome.run.rig.tree.body[fly.node, 0]) for fly in outcome.run.rig.flies]
    if len(weights) < 2:
        return None
    in_line = any(design.leader.joints[joint].kind == "fly" for joint, _ in above)
    point, upper = weights[-1], max(weights[:-1])
    if point >= upper:
        text = "Heaviest at the point: tight to the lowest fly, which a snag then takes."
        if in_line:
            text += " The in-line school has the heaviest first, lighter ones behind."
        return Fact("Weights", text)
    if in_line:
        return Fact("Weights", "Heaviest first, in line: a snag costs the lighter flies behind.")
    text = (
        "The upper fly is the heavier: on a tight line the point swings loose. The anchor school "
        "has the heaviest at the point; the in-line school has it first."
    )
    return Fact("Weights", text, "too much" if outcome.run.setup == "tight line" else "right")


def _shot_place(design: Design, units: Units) -> Fact | None:
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
    slides = "" if kept else " No knot below keeps it from sliding down."
    if above < low - 0.02:
        text = f"nearer than the {usual} usual for {what}: it sinks best so, and swims least."
    elif above > high + 0.02:
        text = f"further off than the {usual} usual for {what}: it swims free, and sinks later."
    else:
        text = f"{usual} above {what} is usual; nearer sinks it better, further lets it swim."
    return Fact("Shot", f"{text}{slides}")


def dry_facts(design: Design, drag: Drag, units: Units) -> tuple[Fact, ...]:
    """Facts of a floating fly: what limits its drift, how supple its tippet is."""
    tippet = design.leader.pieces[-1]
    found = []
    if drag.along_s is not None and drag.across_s is not None:
        found.append(
            Fact(
                "Slack",
                f"{units.seconds(drag.along_s)} before it is drawn out along the stream, "
                f"{units.seconds(drag.across_s)} before it bellies across a lane of "
                f"{units.depth(drag.lane_m).text}. Taut, the fly slips at about 40% of the "
                "difference, whatever the tippet.",
            )
        )
    supple = _bending_m(design, tippet.lower_diameter_m)
    finer_m = tippet.lower_diameter_m - THOU_M
    if supple is not None and finer_m > 5e-5:
        finer = _bending_m(design, finer_m)
        assert finer is not None
        found.append(
            Fact(
                "Supple",
                f"It yields within {units.length(supple).text}; one X finer within "
                f"{units.length(finer).text}. Finer drifts better by being softer, not by being "
                "thinner.",
            )
        )
    stuff = MATERIALS[tippet.strand.material]
    if stuff.family == "fluorocarbon":
        found.append(Fact("Tippet", "Fluorocarbon: one school likes it just under the film."))
    return tuple(found)


def _bending_m(design: Design, diameter_m: float) -> float | None:
    """Bending length in metres of the tippet's material at a diameter, at micro-drag's slip."""
    water = water_of(design.situation.water)
    strand = design.leader.pieces[-1].strand
    drag = normal_drag_n_m(diameter_m, MICRO_M_S, water.rho, water.mu)
    try:
        return bending_length_m(bend_stiffness_nm2(diameter_m, strand.stiffness_pa), drag)
    except CannotCompute:
        return None
