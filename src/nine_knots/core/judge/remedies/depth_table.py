"""The depth table of a rig: what it does at other paces and depths, and what to change there."""

from dataclasses import dataclass
from functools import partial

from nine_knots.core.base.beside import side_by_side
from nine_knots.core.base.errors import CannotCompute, TooLong
from nine_knots.core.base.measure import Standing
from nine_knots.core.base.patience import tell
from nine_knots.core.base.units import Units
from nine_knots.core.base.whole_cache import cached_whole
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.remedies.changes import changes, in_the_water, sought_for
from nine_knots.core.judge.remedies.search import Try
from nine_knots.core.judge.ways import judgement_of
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.water.ask import USUAL_ASK, WaterAsk
from nine_knots.core.models.water.surroundings import STILL_M_S
from nine_knots.core.models.ways import way_of
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.situation import PACE_WORDS

DEPTHS = (0.7, 1.0, 1.4)  # of the day's
CELLS = 128  # remembered, so that a table cut short goes on


@dataclass(frozen=True, slots=True)
class Cell:
    """One pace and depth: where the point fly fishes as the rig is, and what to change. Without a
    standing it was not worked out."""

    depth: str
    figure: str
    standing: Standing | None
    change: str


@dataclass(frozen=True, slots=True)
class PaceRow:
    """A pace, in a word, with its cells."""

    pace: str
    speed: str
    cells: tuple[Cell, ...]


@dataclass(frozen=True, slots=True)
class DepthTable:
    """Rows by pace, columns by depth of water; ``cut_short`` says what is missing where time ran
    out."""

    depths: tuple[str, ...]
    rows: tuple[PaceRow, ...]
    cut_short: str = ""


def depth_table(
    design: Design,
    angler: Angler,
    ask: WaterAsk = USUAL_ASK,
    depths_m: tuple[float, ...] = (),
    *,
    partial_too: bool = False,
) -> DepthTable:
    """Fish the rig at every pace, in the depths (m) that are named or in such as the day's.

    Raises CannotCompute for a floating fly, and TooLong where time runs out; with ``partial_too``
    only where no cell was worked out. Asked again, it goes on from the cells worked out before.
    """
    units = angler.units
    if not way_of(design).followed:
        raise CannotCompute(
            "A floating fly has no depth.",
            where="wish",
            mend="Say that it is to drift deep, swing or be stripped.",
        )
    moving = design.situation.water.pace_m_s > STILL_M_S
    paces = [(word, speed) for word, speed in PACE_WORDS.items() if (speed > STILL_M_S) == moving]
    about = (units.snap_length(share * design.situation.water.depth_m) for share in DEPTHS)
    depths = depths_m or tuple(max(0.1, depth) for depth in about)
    moved = [_moved(design, depth, speed) for _, speed in paces for depth in depths]
    found: dict[int, Cell] = {}

    def work_out(number: int) -> None:
        found[number] = _cell(moved[number], angler, ask)

    try:
        side_by_side(
            [partial(work_out, number) for number in range(len(moved))],
            lambda done: tell(done, len(moved)),
        )
    except TooLong:
        if not found or not partial_too:
            raise
    cells = [
        found.get(number) or Cell(_depth(one, units), "–", None, "not worked out")
        for number, one in enumerate(moved)
    ]
    missing = len(moved) - len(found)
    cut_short = f"Time ran out with {missing} of {len(moved)} cells to go." if missing else ""
    rows = [
        PaceRow(word, units.speed(speed).text, tuple(cells[first : first + len(depths)]))
        for first, (word, speed) in zip(range(0, len(cells), len(depths)), paces, strict=True)
    ]
    return DepthTable(tuple(units.depth(depth).text for depth in depths), tuple(rows), cut_short)


def _depth(design: Design, units: Units) -> str:
    return units.depth(design.situation.water.depth_m).text


def _moved(design: Design, depth_m: float, pace_m_s: float) -> Design:
    water = design.situation.water.model_copy(update={"depth_m": depth_m, "pace_m_s": pace_m_s})
    situation = design.situation.model_copy(update={"water": water})
    return design.model_copy(update={"situation": situation})


@cached_whole(CELLS)
def _cell(design: Design, angler: Angler, ask: WaterAsk) -> Cell:
    units, judgement = angler.units, judgement_of(way_of(design))
    depth = _depth(design, units)
    try:
        deep, drift = judgement.measures(design, ask, units)
    except CannotCompute as refused:
        return Cell(depth, "–", "too much", refused.mend)
    wrong = next((m for m in (deep, drift) if m.standing != "right"), None)
    if wrong is None:
        return Cell(depth, deep.figure, "right", "as it is")
    more = wrong.standing == "too little"
    serves = in_the_water(judgement, units, more)
    now = Try("", design, Stroke(), ask)
    sought = sought_for(now, judgement, serves, more, angler)
    found = (served for _, served in changes(sought, judgement.at_the_water) if served)
    served = next(found, None)
    nothing = "heavier: another rig" if more else "lighter: another rig"
    return Cell(depth, deep.figure, wrong.standing, served[0].words if served else nothing)
