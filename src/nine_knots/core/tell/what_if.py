"""What happens if: a tight line led slower or stopped, another leader on a sinking line, a finer
tippet under a float."""

from dataclasses import dataclass, replace

import numpy as np

from nine_knots.core.base.measure import Fact
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.models.water.fished import Outcome, outcome_of
from nine_knots.core.models.water.fishing import Run, run_of
from nine_knots.core.models.water.setups import WaterAsk
from nine_knots.core.physics.stepper import Leg, history
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.leader import Leader, LevelPiece

SLOWER = 0.85  # of the lead
STOPPED_S = 4.0
HARDLY_M, NOTABLE_M = 0.03, 0.01
FINER_M, FINEST_M = 2.0 * THOU_M, 3.0 * THOU_M  # two X, and 8X
MOST_LEADER_M = 8.0  # a longer one is no leader for a sinking line
TIMES_LONG = (0.5, 1.5, 2.0)  # leaders beside the one that is there


@dataclass(frozen=True, slots=True)
class Aside:
    """The point fly's way in another case: places (m) from below the top, z above the bed."""

    title: str
    way: tuple[tuple[float, float], ...]


Told = tuple[tuple[Aside, ...], tuple[Fact, ...]]


def what_if(design: Design, outcome: Outcome, ask: WaterAsk, units: Units) -> Told:
    """Other cases of a tight line or of a line on the strip; nothing for other set-ups."""
    if outcome.run.setup == "tight line":
        return _led_otherwise(design, outcome, ask, units)
    if outcome.run.setup in ("strip", "swing"):
        return (), _other_leaders(design, outcome, ask, units)
    if outcome.run.settled is not None:
        return (), _finer_tippet(design, outcome, ask, units)
    return (), ()


def _way(run: Run, from_frame: int = 0) -> tuple[tuple[float, float], ...]:
    places = run.history.places[from_frame:]
    way = places[:, run.rig.lowest.node] - places[:, 0] * np.array([1.0, 0.0])
    return tuple((round(float(x), 3), round(float(z), 3)) for x, z in way[::2])


def _led_otherwise(design: Design, outcome: Outcome, ask: WaterAsk, units: Units) -> Told:
    slow_ask = ask.model_copy(update={"lead": SLOWER * ask.lead})
    slow = outcome_of(run_of(design, slow_ask))
    depth = outcome.run.stream.depth_m
    fished = units.depth(max(0.0, depth - slow.lowest.height_m)).text
    facts = [
        Fact(
            "Led slower",
            f"at {slow_ask.lead:.0%} of the pace it fishes at {fished}, "
            f"{units.seconds(slow.lowest.zone_for_s)} in the zone.",
        )
    ]
    stopped = _stopped(outcome.run)
    heights = stopped.history.places[:, stopped.rig.lowest.node, 1]
    every = stopped.history.every_s
    risen = [
        max(0.0, float(heights[min(len(heights) - 1, int(t / every))] - heights[0]))
        for t in (0.5 * STOPPED_S, STOPPED_S)
    ]
    lifts = [units.depth(up).text if up > HARDLY_M else "hardly at all" for up in risen]
    facts.append(
        Fact(
            "Stopped",
            f"where it fishes, the fly rises {lifts[0]} in two seconds and {lifts[1]} in four.",
        )
    )
    asides = (Aside("led slower", _way(slow.run)), Aside("stopped", _way(stopped)))
    return asides, tuple(facts)


def _stopped(run: Run) -> Run:
    """The same rig from the moment its fly is lowest, the rod's tip standing still."""
    heights = run.history.places[:, run.rig.lowest.node, 1]
    start = run.history.places[int(heights.argmin())]
    followed = history(
        run.rig.tree,
        start,
        run.stream,
        (Leg(STOPPED_S, 0.0),),
        run.water.rho,
        run.water.mu,
        every_s=run.history.every_s,
    )
    return replace(run, follow=lambda: followed, begins_s=STOPPED_S)


def _finer_tippet(
    design: Design, outcome: Outcome, ask: WaterAsk, units: Units
) -> tuple[Fact, ...]:
    """How much deeper a tippet of two X less fishes: the trade thinks it more than it is."""
    leader = design.leader
    tippet = leader.pieces[-1]
    if not isinstance(tippet, LevelPiece):
        return ()
    finer_m = tippet.strand.diameter_m - FINER_M
    if finer_m < FINEST_M:
        return ()
    finer = tippet.strand.model_copy(update={"diameter_m": finer_m, "strength_n": None})
    pieces = (*leader.pieces[:-1], tippet.remade(strand=finer))
    other = design.model_copy(update={"leader": leader.model_copy(update={"pieces": pieces})})
    deeper = outcome.lowest.height_m - outcome_of(run_of(other, ask)).lowest.height_m
    more = "no deeper to speak of"
    if deeper > NOTABLE_M:
        more = f"{units.length(deeper).text} deeper"
    return (
        Fact(
            "Finer tippet",
            f"Thin is said to sink better: two X finer would fish {more} here. It drifts better by "
            "being softer.",
        ),
    )


def _scaled(leader: Leader, times: float) -> Leader | None:
    """The leader so many times as long; None where a knotless taper is in it, or it is too long."""
    level = all(isinstance(piece, LevelPiece) for piece in leader.pieces)
    if not level or times * leader.length_m > MOST_LEADER_M:
        return None
    pieces = tuple(piece.remade(length_m=times * piece.length_m) for piece in leader.pieces)
    return Leader(pieces=pieces, joints=leader.joints, school=leader.school)


def _other_leaders(
    design: Design, outcome: Outcome, ask: WaterAsk, units: Units
) -> tuple[Fact, ...]:
    """Depth of the line's tip and of the fly by length of leader, fished in the same way."""
    lines = [(design.leader.length_m, outcome)]
    for times in TIMES_LONG:
        leader = _scaled(design.leader, times)
        if leader is not None:
            other = design.model_copy(update={"leader": leader})
            lines.append((leader.length_m, outcome_of(run_of(other, ask))))
    if len(lines) < 2:
        return ()
    depth = outcome.run.stream.depth_m
    said = [
        f"{units.length(units.snap_length(length)).text}: fly at "
        f"{units.depth(max(0.0, depth - one.lowest.height_m)).text}, "
        f"tip at {units.depth(max(0.0, depth - _tip_m(one))).text}"
        for length, one in sorted(lines, key=lambda row: row[0])
    ]
    return (Fact("Leader length", "; ".join(said) + "."),)


def _tip_m(outcome: Outcome) -> float:
    """Mean height of the line's tip while it is fished, in m above the bed."""
    run = outcome.run
    node = run.rig.tip if run.rig.tip is not None else 0
    begins = min(len(run.history.places) - 1, int(run.begins_s / run.history.every_s))
    return float(run.history.places[begins:, node, 1].mean())
