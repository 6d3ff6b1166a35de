"""Where the figures of a spool or packet come from, and how sure they are."""

from nine_knots.core.base.units import Units
from nine_knots.core.base.words import counted
from nine_knots.core.judge.matters import SPOOL_OFF_M
from nine_knots.core.judge.strength_known import LABEL_OFF, LAW_OFF
from nine_knots.core.tell.measured import TWICE
from nine_knots.core.trade.strand import Packet, Stock


def known_words(item: Stock, units: Units) -> tuple[str, ...]:
    """Thickness, strength and stiffness, a sentence each."""
    strand, stuff = item.strand, item.strand.substance
    by = strand.across_by
    if by is not None and not isinstance(item, Packet):
        off = units.within(TWICE * by.off * item.strand.diameter_m)
        across = f"Measured, {counted(by.readings, 'reading')}: "
        across += f"{units.finely(item.strand.diameter_m)} ± {off}."
    elif strand.estimated:
        across = "Its thickness is the usual one for its label."
    else:
        off = units.within(TWICE * SPOOL_OFF_M)
        across = f"Its thickness is as it was sold, ± {off}."
    if strand.strength_n is not None:
        holds = f"Its strength is by its label, ± {TWICE * LABEL_OFF:.0%}."
    else:
        holds = f"Its strength is the usual one for its stuff, ± {TWICE * LAW_OFF:.0%}."
    if strand.modulus_by is not None:
        stiff = f"Its stiffness was measured, ± {TWICE * strand.modulus_by.off:.0%}."
    else:
        stiff = f"Its stiffness is that of {stuff.title}, ± {stuff.modulus_spread:.0%}."
    return across, holds, stiff
