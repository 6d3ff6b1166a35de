"""A spool as proposals weigh it, with the figures that are asked of it again and again."""

from dataclasses import dataclass
from math import log
from typing import NamedTuple

from nine_knots.core.base.kept_for_same import kept_for_same
from nine_knots.core.judge.match import soft_below
from nine_knots.core.trade.materials import Family, MaterialKey
from nine_knots.core.trade.strand import Spool, Stock, spools_of

MANY = 16  # shelves that are at hand


@dataclass(frozen=True, slots=True)
class Held:
    """A spool, and of its strand: diameter in m, breaking load in N, bending stiffness in N·m²; the
    natural logarithms of these two, and that of the stiffness below which what follows is soft."""

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
    log_soft: float


class Kind(NamedTuple):
    """What a piece is by what may be taken for it: wire or not, to be seen or not."""

    wire: bool
    sighter: bool

    def takes(self, one: Held) -> bool:
        """Whether a spool would do at all: wire for wire only, no braid, and what is to be seen for
        a sighter only."""
        if one.family == "braid" or (one.sighter and not self.sighter):
            return False
        return (one.family == "wire") == self.wire


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
        log_soft=log(bend_nm2) + log(soft_below(strand.diameter_m)),
    )


class Rack:
    """Every spool of a shelf, and those of a kind by name."""

    def __init__(self, held: tuple[Held, ...]) -> None:
        self.held = held
        self._by_name = sorted(held, key=lambda one: one.spool.spool_id)
        self._of_kind: dict[Kind, list[Held]] = {}

    def of_kind(self, kind: Kind) -> list[Held]:
        """Those that would do for pieces of a kind at all."""
        found = self._of_kind.get(kind)
        if found is None:
            found = self._of_kind[kind] = list(filter(kind.takes, self._by_name))
        return found


@kept_for_same(MANY)
def rack_of(stock: tuple[Stock, ...]) -> Rack:
    """The spools of a shelf, with their figures worked out."""
    return Rack(tuple(map(_held, spools_of(stock))))
