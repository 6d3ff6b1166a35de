"""What a change to a leader may need to know: the spools owned, the fly, the angler's units."""

from dataclasses import dataclass

from nine_knots.core.base.errors import EditRefused
from nine_knots.core.base.units import Units, parse_length
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.leader.sections import LevelSection, TaperedSection
from nine_knots.core.domain.strand import Packet, Spool, Stock, Strand, TaperedStrand, spools_of
from nine_knots.core.domain.tackle import Fly

THINNER_M = 0.4 * THOU_M  # by less than this two spools are of one thickness


@dataclass(frozen=True)
class Workbench:
    """What a change may need to know: the spools owned, the fly, the angler's units."""

    stock: tuple[Stock, ...]
    fly: Fly
    units: Units

    def length_m(self, typed: float | str) -> float:
        """A length in metres, given so or as text in the angler's units; Unreadable otherwise."""
        return parse_length(typed, self.units.system) if isinstance(typed, str) else typed

    def find(self, spool_id: str) -> Spool | Packet:
        """The stock of this name, or EditRefused."""
        for stock_item in self.stock:
            if stock_item.spool_id == spool_id:
                return stock_item
        raise EditRefused(
            f"There is no spool “{spool_id}” on the shelf.",
            where="edit.spool_id",
            hint="Choose one of the spools you own, or add it under Spools.",
        )

    def level_by_thickness(self, like: Strand | TaperedStrand | None = None) -> list[Spool]:
        """The level spools, thinnest first, equal diameters by stiffness.

        Only those of the same family and colour where a strand is given.
        """
        spools = spools_of(self.stock)
        if like is not None:
            spools = [
                spool
                for spool in spools
                if spool.strand.substance.family == like.substance.family
                and spool.strand.colour == like.colour
            ]
        return sorted(
            spools, key=lambda s: (s.strand.diameter_m, s.strand.stiffness_pa, s.spool_id)
        )

    def thinner_than(self, piece: LevelSection | TaperedSection) -> Spool | None:
        """The next thinner level spool of the same family; None where there is none."""
        plain = self.level_by_thickness(like=piece.strand)
        across_m = piece.lower_diameter_m - THINNER_M
        thinner = [spool for spool in plain if spool.strand.diameter_m <= across_m]
        return thinner[-1] if thinner else None

    def nearest(self, diameter_m: float) -> Spool:
        """The level spool nearest in diameter, or EditRefused on an empty shelf."""
        spools = [s for s in self.level_by_thickness() if s.strand.colour == "plain"]
        spools = [s for s in spools if s.strand.substance.family != "wire"] or spools
        if not spools:
            raise EditRefused(
                "There is no spool on the shelf.", hint="Add a spool under Spools first."
            )
        return min(spools, key=lambda s: abs(s.strand.diameter_m - diameter_m))
