"""The depth table of a rig: what it does at other paces and depths, and what to change there."""

from dataclasses import dataclass
from functools import partial

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.cancellation import report_progress
from nine_knots.core.base.concurrency import run_parallel
from nine_knots.core.base.errors import CannotCompute, TimedOut
from nine_knots.core.base.result_cache import cached_result
from nine_knots.core.base.score import Score, Status
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import PACE_WORDS
from nine_knots.core.remedies.adjustment import Adjustment
from nine_knots.core.remedies.changes import changes, in_the_water, remedy_search
from nine_knots.core.remedies.search import Trial
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import USUAL_QUESTION, WaterQuestion
from nine_knots.core.water.surroundings import STILL_M_S

DEPTHS = (0.7, 1.0, 1.4)  # of the day's
CELLS = 128  # remembered, so that a table cut short goes on


@dataclass(frozen=True, slots=True)
class DepthCell:
    """One depth of water in m at one pace: how deep the rig fishes as it is (None where a model
    refuses, which is then said in ``refused``), how that stands, and the one change that serves.
    Without a status it was not worked out."""

    water_m: float
    depth: Score | None = None
    status: Status | None = None
    change: Adjustment | None = None
    refused: str = ""


@dataclass(frozen=True, slots=True)
class PaceRow:
    """A pace in m/s, by its word, with its cells."""

    pace: str
    speed_m_s: float
    cells: tuple[DepthCell, ...]


@dataclass(frozen=True, slots=True)
class DepthTable:
    """Rows by pace, columns by depth of water in m; how many cells are missing where time ran
    out."""

    depths_m: tuple[float, ...]
    rows: tuple[PaceRow, ...]
    missing: int = 0


def depth_table(
    design: Design,
    angler: Angler,
    ask: WaterQuestion = USUAL_QUESTION,
    depths_m: tuple[float, ...] = (),
    *,
    partial_too: bool = False,
) -> DepthTable:
    """Fish the rig at every pace, in the depths (m) that are named or in such as the day's.

    Raises CannotCompute for a floating fly, and TimedOut where time runs out; with ``partial_too``
    only where no cell was worked out. Asked again, it goes on from the cells worked out before.
    """
    if not technique_of(design).followed:
        raise CannotCompute(
            "A floating fly has no depth.",
            where="wish",
            hint="Choose drift deep, swing or strip.",
        )
    moving = design.situation.water.pace_m_s > STILL_M_S
    paces = [(word, speed) for word, speed in PACE_WORDS.items() if (speed > STILL_M_S) == moving]
    about = (angler.units.snap_length(share * design.situation.water.depth_m) for share in DEPTHS)
    depths = depths_m or tuple(max(0.1, depth) for depth in about)
    moved = [_moved(design, depth, speed) for _, speed in paces for depth in depths]
    found: dict[int, DepthCell] = {}

    def work_out(number: int) -> None:
        found[number] = _cell(moved[number], angler, ask)

    try:
        run_parallel(
            [partial(work_out, number) for number in range(len(moved))],
            lambda done: report_progress(done, len(moved)),
        )
    except TimedOut:
        if not found or not partial_too:
            raise
    cells = [
        found.get(number) or DepthCell(other_design.situation.water.depth_m)
        for number, other_design in enumerate(moved)
    ]
    rows = [
        PaceRow(word, speed, tuple(cells[first : first + len(depths)]))
        for first, (word, speed) in zip(range(0, len(cells), len(depths)), paces, strict=True)
    ]
    return DepthTable(tuple(depths), tuple(rows), len(moved) - len(found))


def _moved(design: Design, depth_m: float, pace_m_s: float) -> Design:
    water = design.situation.water.model_copy(update={"depth_m": depth_m, "pace_m_s": pace_m_s})
    situation = design.situation.model_copy(update={"water": water})
    return design.model_copy(update={"situation": situation})


@cached_result(CELLS)
def _cell(design: Design, angler: Angler, ask: WaterQuestion) -> DepthCell:
    technique, water_m = technique_of(design), design.situation.water.depth_m
    try:
        deep, drift = technique.measures(design, ask)
    except CannotCompute as refused:
        return DepthCell(water_m, None, "too much", refused=refused.hint)
    wrong = next((m for m in (deep, drift) if m.status != "right"), None)
    if wrong is None:
        return DepthCell(water_m, deep, "right")
    more = wrong.status == "too little"
    serves = in_the_water(technique, more)
    now = Trial(design, Stroke(), ask)
    sought = remedy_search(now, technique, serves, more, angler)
    found = (served for _, served in changes(sought, technique.at_the_water) if served)
    served = next(found, None)
    return DepthCell(water_m, deep, wrong.status, served[0].change if served else None)
