"""What the workers are asked, and the answers: values that go to another process and back."""

from nine_knots.core.cast.effort import Effort, effort_of
from nine_knots.core.cast.landings import Seen, landing_of
from nine_knots.core.cast.own_cast import UNKNOWN, Landing, OwnCast
from nine_knots.core.cast.reading import CastReading, Resolution, cast_of
from nine_knots.core.cast.stroke import Stroke
from nine_knots.core.cast.turnover import STEADY, Gust
from nine_knots.core.design import Design
from nine_knots.core.errors import CannotCompute
from nine_knots.core.remedies import Remedy, remedies_for, water_remedies_for
from nine_knots.core.remedies.depth_table import DepthTable, depth_table
from nine_knots.core.remedies.tuning import Tuning, tuned
from nine_knots.core.strand import Stock
from nine_knots.core.tackle import Fly
from nine_knots.core.tying import USUAL_TIER, Tier
from nine_knots.core.units import Units
from nine_knots.core.values import Frozen, System
from nine_knots.core.water.reading import WaterReading, water_reading
from nine_knots.core.water.setups import WaterAsk


class CastTask(Frozen):
    """What a worker is asked: everything that a cast depends on."""

    design: Design
    stroke: Stroke
    resolution: Resolution
    units: System
    first_deg: float | None = None
    own: OwnCast = UNKNOWN
    gust: Gust = STEADY


class RemedyTask(Frozen):
    """What a worker is asked for remedies."""

    design: Design
    stroke: Stroke
    stock: tuple[Stock, ...]
    flies: tuple[Fly, ...]
    units: System
    own: OwnCast = UNKNOWN
    gust: Gust = STEADY
    tier: Tier = USUAL_TIER


class EffortTask(Frozen):
    """What a worker is asked for the effort of a leader."""

    design: Design
    stroke: Stroke
    units: System


class LandingTask(Frozen):
    """What a worker is asked of a landing that was seen."""

    seen: Seen


class WaterTask(Frozen):
    """What a worker is asked of a rig in its water."""

    design: Design
    ask: WaterAsk
    units: System
    movie: bool


class WaterRemedyTask(Frozen):
    """What a worker is asked for remedies of drift and depth."""

    design: Design
    ask: WaterAsk
    stroke: Stroke
    stock: tuple[Stock, ...]
    units: System
    own: OwnCast = UNKNOWN
    gust: Gust = STEADY
    tier: Tier = USUAL_TIER


class _SearchTask(Frozen):
    """What a search through settings and weights goes by."""

    design: Design
    ask: WaterAsk
    stock: tuple[Stock, ...]
    units: System


class TuningTask(_SearchTask):
    """What a worker is asked for the settings and weights that work."""


class DepthTableTask(_SearchTask):
    """What a worker is asked for a rig's depth table."""


Task = (
    CastTask
    | RemedyTask
    | EffortTask
    | LandingTask
    | WaterTask
    | WaterRemedyTask
    | TuningTask
    | DepthTableTask
)
Answer = CastReading | tuple[Remedy, ...] | Effort | Landing | WaterReading | Tuning | DepthTable


def work(task: Task) -> Answer | CannotCompute:
    """The answer, in a worker; a refusal comes back as a value."""
    try:
        return _answer(task)
    except CannotCompute as refused:
        return refused


def _answer(task: Task) -> Answer:
    if isinstance(task, LandingTask):
        return landing_of(task.seen)
    units = Units(task.units)
    if isinstance(task, CastTask):
        return cast_of(
            task.design,
            task.stroke,
            task.resolution,
            units,
            task.first_deg,
            task.own,
            task.gust,
        )
    if isinstance(task, EffortTask):
        return effort_of(task.design, task.stroke, units)
    if isinstance(task, WaterTask):
        return water_reading(task.design, task.ask, units, task.movie)
    if isinstance(task, TuningTask):
        return tuned(task.design, task.stock, units, task.ask)
    if isinstance(task, DepthTableTask):
        return depth_table(task.design, task.stock, units, task.ask)
    titles = {item.spool_id: item.title for item in task.stock}
    if isinstance(task, WaterRemedyTask):
        return water_remedies_for(
            task.design,
            task.stroke,
            task.stock,
            titles,
            units,
            task.ask,
            task.own,
            task.gust,
            task.tier,
        )
    return remedies_for(
        task.design,
        task.stroke,
        task.stock,
        task.flies,
        titles,
        units,
        task.own,
        task.gust,
        task.tier,
    )
