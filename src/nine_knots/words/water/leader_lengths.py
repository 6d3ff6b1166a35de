"""Depth of line and fly by length of leader, where line and leader hang below the rod's tip."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader, LevelSection
from nine_knots.core.techniques import fish
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.time_in_zone import JIGS_M, FishedRig, fish_rig
from nine_knots.words.facts import Fact

MOST_LEADER_M = 8.0  # a longer one is no leader for a sinking line
TIMES_LONG = (0.5, 1.5, 2.0)  # leaders beside the one that is there
LAGS_M = 0.3  # further above the line's tip than this, the leader is too long


def other_leaders(
    design: Design, fished: FishedRig, ask: WaterQuestion, units: Units
) -> tuple[Fact, ...]:
    """Depth of the line's tip and of the fly by length of leader, fished in the same way."""
    lines = [(design.leader.length_m, fished)]
    for times in TIMES_LONG:
        leader = _scaled(design.leader, times)
        if leader is not None:
            other = design.model_copy(update={"leader": leader})
            lines.append((leader.length_m, fish_rig(fish(other, ask))))
    if len(lines) < 2:
        return ()
    depth = fished.fishing.stream.depth_m
    said = [
        f"{units.length(units.snap_length(length)).text}: fly at "
        f"{units.depth(max(0.0, depth - fished_rig.lowest.height_m)).text}, "
        f"tip at {units.depth(max(0.0, depth - _tip_m(fished_rig))).text}"
        for length, fished_rig in sorted(lines, key=lambda row: row[0])
    ]
    return (Fact("Leader length", "; ".join(said) + "."),)


def _scaled(leader: Leader, times: float) -> Leader | None:
    """The leader so many times as long; None where a knotless taper is in it, or it is too long."""
    level = all(isinstance(piece, LevelSection) for piece in leader.pieces)
    if not level or times * leader.length_m > MOST_LEADER_M:
        return None
    pieces = tuple(piece.evolve(length_m=times * piece.length_m) for piece in leader.pieces)
    return Leader(pieces=pieces, joints=leader.joints, school=leader.school)


def _tip_m(fished: FishedRig) -> float:
    """Mean height of the line's tip while it is fished, in m above the bed."""
    fishing = fished.fishing
    node = fishing.rig.tip if fishing.rig.tip is not None else 0
    begins = min(len(fishing.history.places) - 1, int(fishing.begins_s / fishing.history.every_s))
    return float(fishing.history.places[begins:, node, 1].mean())


def line_and_fly(fished: FishedRig, units: Units) -> Fact | None:
    """Whether the fly swims level with the line's tip; None where no line is out."""
    if fished.fishing.rig.tip is None:
        return None
    tip, depth = _tip_m(fished), fished.fishing.stream.depth_m
    fly = fished.lowest.height_m
    at = units.depth(max(0.0, depth - tip)).text
    gap = units.depth(abs(fly - tip)).text
    if fly - tip > JIGS_M:
        text = f"swims at {at}; the fly lags {gap} above it: a shorter leader brings it down."
        return Fact("The line’s tip", text, "too little" if fly - tip > LAGS_M else "right")
    if tip - fly > JIGS_M:
        return Fact("The line’s tip", f"swims at {at}, the fly {gap} below it.")
    return Fact("The line’s tip", f"swims at {at}, the fly level with it.")
