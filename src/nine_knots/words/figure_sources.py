"""Where the figures of what is owned come from, and how sure they are."""

from nine_knots.core.assess.sensitivity import SPOOL_OFF_M
from nine_knots.core.assess.strength_known import LABEL_OFF, LAW_OFF
from nine_knots.core.base.prose import count_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.domain.strand import Packet, Stock
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.words.measurements import TWICE


def source_words(stock_item: Stock, units: Units) -> tuple[str, ...]:
    """Thickness, strength and stiffness, a sentence each."""
    strand, stuff = stock_item.strand, stock_item.strand.substance
    by = strand.across_by
    if by is not None and not isinstance(stock_item, Packet):
        off = units.within(TWICE * by.off * stock_item.strand.diameter_m)
        across = f"Measured, {count_words(by.readings, 'reading')}: "
        across += f"{units.finely(stock_item.strand.diameter_m)} ± {off}."
    elif strand.estimated:
        across = "Diameter typical for its label."
    else:
        off = units.within(TWICE * SPOOL_OFF_M)
        across = f"Diameter as sold, ± {off}."
    if strand.strength_n is not None:
        holds = f"Strength from the label, ± {TWICE * LABEL_OFF:.0%}."
    else:
        holds = f"Strength typical for this material, ± {TWICE * LAW_OFF:.0%}."
    if strand.modulus_by is not None:
        stiff = f"Stiffness measured, ± {TWICE * strand.modulus_by.off:.0%}."
    else:
        stiff = f"Stiffness of {stuff.title}, ± {stuff.modulus_spread:.0%}."
    return across, holds, stiff


def tackle_source_words(tackle: Rod | FlyLine | Fly, units: Units) -> str:
    """What of a line or fly was measured, in a sentence; empty where nothing was."""
    said = []
    if isinstance(tackle, Fly):
        if tackle.weighed_kg is not None:
            said.append(f"weighs {units.fly_mass(tackle.weighed_kg).text}")
        if tackle.sink_m_s is not None:
            said.append(f"sinks at {units.sinking(tackle.sink_m_s)}{_within(tackle.sink_by)}")
        if tackle.drag_area_m2 is not None:
            said.append(f"catches the air like {units.area(tackle.drag_area_m2).text}")
    if isinstance(tackle, FlyLine) and tackle.tip_bend_nm2 is not None:
        said.append(
            f"its tip is {1e6 * tackle.tip_bend_nm2:.1f} N·mm² stiff{_within(tackle.tip_by)}"
        )
    if isinstance(tackle, FlyLine) and tackle.belly_bend_nm2 is not None:
        said.append(
            f"its belly is {1e6 * tackle.belly_bend_nm2:.1f} N·mm² stiff{_within(tackle.belly_by)}"
        )
    return f"Measured: {', '.join(said)}." if said else ""


def _within(by: MeasuredSpread | None) -> str:
    return f" ± {100 * TWICE * by.off:.0f} %" if by is not None else ""
