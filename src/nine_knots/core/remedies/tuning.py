"""What to set and hang for a wanted depth: a setting, and the least and most that work."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

import scipy

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import indicator_float
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.mechanics.steady import drifting
from nine_knots.core.mechanics.tree import SEGMENT_M
from nine_knots.core.remedies.adjustment import Adjustment
from nine_knots.core.remedies.changes import in_the_water
from nine_knots.core.remedies.rig_changes import every_bead, every_shot
from nine_knots.core.remedies.search import Serves, Trial
from nine_knots.core.techniques import fish, technique_of
from nine_knots.core.water.question import USUAL_QUESTION, WaterQuestion
from nine_knots.core.water.rig_in_water import rig_below
from nine_knots.core.water.surroundings import fluid_of, stream_of
from nine_knots.core.water.time_in_zone import fish_rig
from nine_knots.core.water.zone import zone_top_m

IN_ZONE = 0.5  # of the zone's height: where a fly at the bed is wanted
NEAR_SETTING_M, NEAR_MARK_M = 0.01, 0.02
SHORTEST_SHARE, LONGEST_SHARE = 0.3, 2.6  # of the depth, between which a setting is sought


@dataclass(frozen=True, slots=True)
class TunedSetting:
    """How far above the point fly the indicator is set, in m, and that over the depth; why not,
    where no setting serves."""

    setting_m: float = 0.0
    share: float = 0.0
    refused: str = ""


@dataclass(frozen=True, slots=True)
class TunedMark:
    """How far above the point fly the sighter ends, and what is out beyond the rod's tip, in m; why
    not, where nothing serves."""

    mark_m: float = 0.0
    out_m: float = 0.0
    refused: str = ""


@dataclass(frozen=True, slots=True)
class TunedSpan:
    """The least and the most of shot or bead that serve; None where none does by itself."""

    what: Literal["shot", "bead"]
    least: Adjustment | None = None
    most: Adjustment | None = None


Tuned = TunedSetting | TunedMark | TunedSpan


def tuned(design: Design, angler: Angler, ask: WaterQuestion = USUAL_QUESTION) -> tuple[Tuned, ...]:
    """The settings and weights that bring this rig to the depth; nothing for a floating fly."""
    technique, fly = technique_of(design), design.situation.fly
    now = Trial(design, Stroke(), ask)
    bench = Workbench(stock=angler.stock, fly=fly, units=angler.units)
    serves = in_the_water(technique, more=True)
    found: list[Tuned] = []
    for what in technique.tuned:
        if what == "setting":
            found.append(_setting(design, ask))
        elif what == "mark":
            found.append(_mark(design, ask))
        elif what == "shot":
            found.append(_span("shot", every_shot(now, bench), serves))
        elif fly.weighed_kg is None and fly.sink_m_s is None:
            found.append(_span("bead", every_bead(now), serves))
    return tuple(found)


def _span(what: Literal["shot", "bead"], tries: Iterator[Trial], serves: Serves) -> TunedSpan:
    """The least and the most of sizes, small to great, that serve."""
    served = []
    for trial in tries:
        judged = serves(trial)
        if judged.gives is not None:
            served.append(trial.change)
        elif judged.past:
            break
    return TunedSpan(what, served[0], served[-1]) if served else TunedSpan(what)


def _setting(design: Design, ask: WaterQuestion) -> TunedSetting:
    try:
        setting = setting_for_m(design, ask)
    except CannotCompute as refused:
        return TunedSetting(refused=f"{refused.what} {refused.hint}")
    return TunedSetting(setting, setting / design.situation.water.depth_m)


def _mark(design: Design, ask: WaterQuestion) -> TunedMark:
    try:
        out, mark = mark_for_m(design, ask)
    except CannotCompute as refused:
        return TunedMark(refused=f"{refused.what} {refused.hint}")
    return TunedMark(mark, out)


def mark_for_m(design: Design, ask: WaterQuestion = USUAL_QUESTION) -> tuple[float, float]:
    """Line out beyond the rod's tip for the wanted depth on a tight line, by bisection, and how
    far above the point fly the surface then is, both in m. CannotCompute where none serves."""
    stream = stream_of(design.situation.water)
    wanted = _wanted_height_m(stream.depth_m, ask)

    def fished_with(out: float) -> tuple[float, float]:
        fishing = fish(design, ask.model_copy(update={"out_m": out}))
        low = fish_rig(fishing).lowest
        heights = fishing.history.places[:, low.node, 1]
        places, reach = fishing.history.places[int(heights.argmin())], fishing.rig.tree.reach
        under = reach[fishing.rig.lowest.node] - float(reach[places[:, 1] > stream.depth_m].max())
        return low.height_m - wanted, under

    shortest = ask.tip_m + 0.2
    longest = min(design.leader.length_m, ask.tip_m + LONGEST_SHARE * stream.depth_m)
    if shortest >= longest or fished_with(longest)[0] > 0.0:
        raise CannotCompute(
            "No length of line gets it that deep.",
            where="leader",
            hint="Use heavier flies or finer tippet, or lead slower.",
        )
    out = float(
        scipy.optimize.brentq(lambda m: fished_with(m)[0], shortest, longest, xtol=NEAR_MARK_M)
    )
    return out, fished_with(out)[1]


def _wanted_height_m(depth_m: float, ask: WaterQuestion) -> float:
    """Height above the bed at which the lowest fly is wanted, in m."""
    if ask.wanted_m is not None:
        return max(0.0, depth_m - ask.wanted_m)
    return IN_ZONE * zone_top_m(depth_m)


def setting_for_m(design: Design, ask: WaterQuestion = USUAL_QUESTION) -> float:
    """How far above the point fly an indicator is set for the wanted depth, in m, by bisection.

    The wanted depth is as asked, or half the height of the zone at the bed. CannotCompute where
    no setting on this leader brings it there, or where there is no indicator.
    """
    indicator = design.leader.indicator
    if indicator is None:
        raise CannotCompute(
            "There is no indicator to set.", where="leader", hint="Add one to the leader."
        )
    day, fluid = design.situation, fluid_of(design.situation.water)
    stream = stream_of(day.water)
    wanted = _wanted_height_m(stream.depth_m, ask)
    floats = indicator_float(indicator, fluid.rho)

    def surplus(setting: float) -> float:
        top = design.leader.length_m - setting
        rig = rig_below(design.leader, day.fly, fluid, top, segment_m=1.5 * SEGMENT_M)
        try:
            _, shape = drifting(floats, rig.tree, stream, fluid)
        except CannotCompute as refused:
            if refused.where == "floats":
                raise
            return -wanted - setting  # on the bed: the further, the longer it is set
        return min(float(shape.places[fly.node, 1]) for fly in rig.flies) - wanted

    low = SHORTEST_SHARE * stream.depth_m
    high = min(0.98 * design.leader.length_m, LONGEST_SHARE * stream.depth_m)
    if stream.surface_m_s < 1e-3:
        return stream.depth_m - wanted
    if low >= high or surplus(high) > 0.0:
        raise CannotCompute(
            "No setting on this leader gets it that deep.",
            where="leader",
            hint="More weight, or a longer leader below the indicator.",
        )
    return float(scipy.optimize.brentq(surplus, low, high, xtol=NEAR_SETTING_M))
