"""The depth table of a rig, in words."""

from dataclasses import dataclass

from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.remedies.depth_table import DepthCell, DepthTable
from nine_knots.words.adjustments import adjustment_words
from nine_knots.words.scores.reading import score_figure


@dataclass(frozen=True, slots=True)
class DepthCellReading:
    """One pace and depth: where the point fly fishes as the rig is, and what to change. Without a
    status it was not worked out."""

    depth: str
    figure: str
    status: Status | None
    change: str


@dataclass(frozen=True, slots=True)
class PaceRowReading:
    """A pace, in a word, with its cells."""

    pace: str
    speed: str
    cells: tuple[DepthCellReading, ...]


@dataclass(frozen=True, slots=True)
class DepthTableReading:
    """Rows by pace, columns by depth of water; ``cut_short`` says what is missing where time ran
    out."""

    depths: tuple[str, ...]
    rows: tuple[PaceRowReading, ...]
    cut_short: str = ""


def depth_table_reading(table: DepthTable, units: Units) -> DepthTableReading:
    """A depth table as it is shown."""
    count = len(table.rows) * len(table.depths_m)
    missing = f"Time ran out with {table.missing} of {count} cells to go."
    return DepthTableReading(
        depths=tuple(units.depth(depth_m).text for depth_m in table.depths_m),
        rows=tuple(
            PaceRowReading(
                row.pace,
                units.speed(row.speed_m_s).text,
                tuple(_cell(cell, units) for cell in row.cells),
            )
            for row in table.rows
        ),
        cut_short=missing if table.missing else "",
    )


def _cell(cell: DepthCell, units: Units) -> DepthCellReading:
    figure = score_figure(cell.depth, units) if cell.depth is not None else "–"
    water = units.depth(cell.water_m).text
    return DepthCellReading(water, figure, cell.status, _change(cell, units))


def _change(cell: DepthCell, units: Units) -> str:
    if cell.status is None:
        return "not worked out"
    if cell.refused:
        return cell.refused
    if cell.status == "right":
        return "as it is"
    if cell.change is not None:
        return adjustment_words(cell.change, units)
    return f"too {'light' if cell.status == 'too little' else 'heavy'}: use another rig"
