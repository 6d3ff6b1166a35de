"""Two ends of the same: whether what is on two spools can be taken for one."""

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.strand import Packet, Stock

SAME_M = 0.5 * THOU_M
"""In thickness, two spools that differ by less are of one size."""


def check_ends(kept: Stock, other: Stock) -> None:
    """OutOfRange where the two are not of one material, colour and size."""
    what = ""
    if kept.spool_id == other.spool_id:
        what = "A spool can't be combined with itself."
    elif kept.form != other.form:
        what = "A spool and a packet can't be combined."
    elif (kept.strand.material, kept.strand.colour) != (other.strand.material, other.strand.colour):
        what = f"{kept.title} and {other.title} are different materials."
    elif abs(kept.finest_m - other.finest_m) > SAME_M:
        what = f"{kept.title} and {other.title} are different sizes."
    elif isinstance(kept, Packet) and isinstance(other, Packet):
        off_m = abs(kept.strand.profile.length_m - other.strand.profile.length_m)
        what = "These tapers have different lengths." if off_m > 0.05 else ""
    if what:
        raise OutOfRange(what, where="other", hint="Choose two spools of the same material.")
