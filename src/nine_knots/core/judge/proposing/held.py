"""A spool as proposals weigh it, with the figures that are asked of it again and again."""

from dataclasses import dataclass
from math import log

from nine_knots.core.trade.materials import Family, MaterialKey
from nine_knots.core.trade.strand import Spool, Stock, spools_of


@dataclass(frozen=True, slots=True)
class Held:
    """A spool, and of its strand: diameter in m, breaking load in N, bending stiffness in N·m²; and
    the natural logarithms of these two."""

    spool: Spool
    left_m: float
    material: MaterialKey
    family: Family
    sighter: bool
    across_m: float
    breaking_n: float
    bend_nm2: float
    log_breaking: float
    log_bend: float


def _held(spool: Spool) -> Held:
    strand = spool.strand
    breaking_n, bend_nm2 = strand.breaking_n, strand.bend_nm2(strand.diameter_m)
    return Held(
        spool=spool,
        left_m=spool.remaining_m,
        material=strand.material,
        family=strand.substance.family,
        sighter=strand.colour == "sighter",
        across_m=strand.diameter_m,
        breaking_n=breaking_n,
        bend_nm2=bend_nm2,
        log_breaking=log(breaking_n),
        log_bend=log(bend_nm2),
    )


def all_held(stock: tuple[Stock, ...]) -> tuple[Held, ...]:
    """Every spool of a shelf."""
    return tuple(map(_held, spools_of(stock)))
