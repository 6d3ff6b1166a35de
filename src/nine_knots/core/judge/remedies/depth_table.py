"""The depth table of a rig: what it does at other paces and depths, and what to change there."""

from dataclasses import dataclass

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.measure import Standing
from nine_knots.core.base.patience import tell
from nine_knots.core.base.units import Units
from nine_knots.core.judge.remedies.search import Try
from nine_knots.core.judge.remedies.water import fished, fishing_changes
from nine_knots.core.judge.water import depth_measure, drift_measure
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.water.fished import outcome_of
from nine_knots.core.models.water.fishing import run_of
from nine_knots.core.models.water.setups import STILL_M_S, USUAL_ASK, WaterAsk, setup_of
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.leader.workbench import Workbench
from nine_knots.core.trade.situation import PACE_WORDS
from nine_knots.core.trade.strand import Stock

DEPTHS = (0.7, 1.0, 1.4)  # of the day's


@dataclass(frozen=True, slots=True)
class Cell:
    """One pace and depth: where the point fly fishes as the rig is, and what to change."""

    depth: str
    figure: str
    standing: Standing
    change: str


@dataclass(frozen=True, slots=True)
class Row:
    """A pace, in a word, with its cells."""

    pace: str
    speed: str
    cells: tuple[Cell, ...]


@dataclass(frozen=True, slots=True)
class DepthTable:
    """Rows by pace, columns by depth of water."""

    depths: tuple[str, ...]
    rows: tuple[Row, ...]


def depth_table(
    design: Design, stock: tuple[Stock, ...], units: Units, ask: WaterAsk = USUAL_ASK
) -> DepthTable:
    """Fish the rig at every pace and depth of the table; CannotCompute for a floating fly."""
    if setup_of(design) == "surface":
        raise CannotCompute(
            "A floating fly has no depth.",
            where="wish",
            mend="Say that it is to drift deep, swing or be stripped.",
        )
    moving = design.situation.water.pace_m_s > STILL_M_S
    paces = [(word, speed) for word, speed in PACE_WORDS.items() if (speed > STILL_M_S) == moving]
    depths = [
        max(0.1, units.snap_length(share * design.situation.water.depth_m)) for share in DEPTHS
    ]
    rows = []
    for number, (word, speed) in enumerate(paces):
        cells = []
        for place, depth in enumerate(depths):
            tell(number * len(depths) + place, len(paces) * len(depths))
            cells.append(_cell(_moved(design, depth, speed), stock, units, ask))
        rows.append(Row(word, units.speed(speed).text, tuple(cells)))
    return DepthTable(tuple(units.depth(depth).text for depth in depths), tuple(rows))


def _moved(design: Design, depth_m: float, pace_m_s: float) -> Design:
    water = design.situation.water.model_copy(update={"depth_m": depth_m, "pace_m_s": pace_m_s})
    situation = design.situation.model_copy(update={"water": water})
    return design.model_copy(update={"situation": situation})


def _cell(design: Design, stock: tuple[Stock, ...], units: Units, ask: WaterAsk) -> Cell:
    depth = units.depth(design.situation.water.depth_m).text
    try:
        outcome = outcome_of(run_of(design, ask))
        drift, deep = drift_measure(outcome, units), depth_measure(outcome, ask, units)
    except CannotCompute as refused:
        return Cell(depth, "–", "too much", refused.mend)
    wrong = next((m for m in (deep, drift) if m.standing != "right"), None)
    if wrong is None:
        return Cell(depth, deep.figure, "right", "as it is")
    now = Try("", design, Stroke(), ask)
    bench = Workbench(stock=stock, fly=design.situation.fly, units=units)
    more = wrong.standing == "too little"
    served = next(filter(None, fishing_changes(now, bench, units, fished(units, more), more)), None)
    nothing = "heavier: another rig" if more else "lighter: another rig"
    return Cell(depth, deep.figure, wrong.standing, served or nothing)
