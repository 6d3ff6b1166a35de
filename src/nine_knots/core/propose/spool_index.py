"""A spool as proposals weigh it, with the figures that are asked of it again and again."""

from dataclasses import dataclass
from math import log
from typing import NamedTuple

from nine_knots.core.assess.joint_match import soft_below
from nine_knots.core.base.identity_cache import cached_by_identity
from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.domain.materials import Family, MaterialKey
from nine_knots.core.domain.strand import Spool, Stock, spools_of

MANY = 16  # shelves that are at hand


@dataclass(frozen=True, slots=True)
class IndexedSpool:
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


BASE_M, FINE_BASE_M = 60.0 * FOOT_M, 50.0  # left on a spool that is kept to be cast as a line [P]
TIPPET_M = 8.5 * THOU_M  # up to which a spool with less than that is tippet [P]


def is_base(indexed: IndexedSpool) -> bool:
    """Whether an angler keeps a spool to cast it as a line: coloured mono, nylon of which sixty
    feet are left, fine nylon on a spool larger than tippet is sold on."""
    if indexed.sighter:
        return True
    long_m = FINE_BASE_M if indexed.across_m <= TIPPET_M else BASE_M
    return indexed.family == "nylon" and indexed.left_m >= long_m


class SpoolKind(NamedTuple):
    """What a piece is by what may be taken for it: wire or not, to be seen or not, cast or not."""

    wire: bool
    sighter: bool
    base: bool = False

    def takes(self, indexed_spool: IndexedSpool) -> bool:
        """Whether a spool would do at all: wire for wire only, no braid, what is to be seen for a
        sighter only, and what is kept for it where mono is cast as a line."""
        if self.base:
            return is_base(indexed_spool)
        if indexed_spool.family == "braid" or (indexed_spool.sighter and not self.sighter):
            return False
        return (indexed_spool.family == "wire") == self.wire


def _held(spool: Spool) -> IndexedSpool:
    strand = spool.strand
    breaking_n, bend_nm2 = strand.breaking_n, strand.bend_nm2(strand.diameter_m)
    return IndexedSpool(
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


class SpoolIndex:
    """Every spool of a shelf, and those of a kind by name."""

    def __init__(self, held: tuple[IndexedSpool, ...]) -> None:
        self.held = held
        self._by_name = sorted(held, key=lambda indexed: indexed.spool.spool_id)
        self._of_kind: dict[SpoolKind, list[IndexedSpool]] = {}

    def of_kind(self, kind: SpoolKind) -> list[IndexedSpool]:
        """Those that would do for pieces of a kind at all."""
        found = self._of_kind.get(kind)
        if found is None:
            found = self._of_kind[kind] = list(filter(kind.takes, self._by_name))
        return found


@cached_by_identity(MANY)
def spool_index_of(stock: tuple[Stock, ...]) -> SpoolIndex:
    """The spools of a shelf, with their figures worked out."""
    return SpoolIndex(tuple(map(_held, spools_of(stock))))
