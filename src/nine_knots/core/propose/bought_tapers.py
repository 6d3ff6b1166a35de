"""Which bought taper, whole as it is sold wherever it can be."""

from dataclasses import dataclass
from math import log

from nine_knots.core.base.cached_field import cached_field
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.leader import TaperedSection
from nine_knots.core.domain.strand import Packet
from nine_knots.core.schools.school import PlannedSection, PlannedTaper

CUT_COST = 3.0  # of a new taper: it is made to be used whole
CUT_AWAY_COST = 20.0  # of all of it, which would be no leader for the day
KNOT_COST = 0.5
UNCUT_M = 0.02  # up to which a taper counts as whole
TIP_WEIGHT, LENGTH_WEIGHT, BUTT_WEIGHT = 2.0, 10.0, 0.25


@dataclass(frozen=True)
class BoughtTaper:
    """A packet's taper as it is used: what is cut off either end of it, in metres, and how far it
    is from what was wanted."""

    packet: Packet
    cut_butt_m: float
    cut_tip_m: float
    cost: float

    @cached_field
    def taper(self) -> TaperedSection:
        """The piece that is left."""
        return TaperedSection(
            role="butt",
            strand=self.packet.strand,
            cut_butt_m=self.cut_butt_m,
            cut_tip_m=self.cut_tip_m,
        )

    @property
    def cuts(self) -> tuple[tuple[str, float], ...]:
        """The ends that are cut, by name, and by how much in metres."""
        ends = (("butt", self.cut_butt_m), ("tip", self.cut_tip_m))
        return tuple((end, cut_m) for end, cut_m in ends if cut_m > UNCUT_M)


def choose_packet(
    wanted: PlannedTaper,
    next_piece: PlannedSection | None,
    packets: tuple[Packet, ...],
    units: Units,
) -> BoughtTaper:
    """The packet nearest to the taper wanted; CannotCompute where there are none.

    It is cut at the tip where the next piece, knotted to it, would be thicker, and at the end that
    the plan says where it is to be much shorter.
    """
    if not packets:
        raise CannotCompute(
            "There is no knotless taper on the shelf.",
            where="spools",
            hint=f"Add a packet with a butt of about {units.diameter(wanted.butt_m).text}, "
            "or choose the tied form of this school.",
        )
    return min((_used(packet, wanted, next_piece) for packet in packets), key=lambda b: b.cost)


def _used(packet: Packet, wanted: PlannedTaper, next_piece: PlannedSection | None) -> BoughtTaper:
    profile = packet.strand.profile
    keep_m = profile.length_m
    if wanted.most_m is not None and not wanted.whole:
        keep_m = min(keep_m, wanted.most_m)
    cut_m = profile.length_m - keep_m
    cut_butt_m, cut_tip_m = (cut_m, 0.0) if wanted.cut == "butt" else (0.0, cut_m)
    if next_piece is not None and not (wanted.parted or wanted.whole):
        thick_m = next_piece.diameter_m
        if profile.diameter_at_m(profile.length_m - cut_tip_m) < thick_m - 0.3 * THOU_M:
            span_m = profile.butt_diameter_m - profile.tip_diameter_m
            share = max(0.0, (profile.butt_diameter_m - thick_m) / span_m)
            at_m = profile.butt_length_m + share * profile.taper_length_m
            cut_tip_m = min(profile.length_m - 0.3, max(cut_tip_m, profile.length_m - at_m))
            cut_butt_m = min(cut_butt_m, profile.length_m - cut_tip_m - 0.2)
    cut_butt_m, cut_tip_m = max(0.0, cut_butt_m), max(0.0, cut_tip_m)
    left_m = profile.length_m - cut_butt_m - cut_tip_m
    off = (profile.diameter_at_m(cut_butt_m + left_m) - wanted.tip_m) / THOU_M
    cost = TIP_WEIGHT * off**2 + (LENGTH_WEIGHT * log(left_m / wanted.length_m)) ** 2
    cost += BUTT_WEIGHT * ((profile.diameter_at_m(cut_butt_m) - wanted.butt_m) / THOU_M) ** 2
    if max(cut_tip_m, cut_butt_m) > UNCUT_M:
        unplanned_m = cut_tip_m + cut_butt_m - cut_m  # the plan's own cut is no waste
        cost += CUT_COST + CUT_AWAY_COST * max(0.0, unplanned_m) / profile.length_m
    if next_piece is not None:
        cost += KNOT_COST
    return BoughtTaper(packet, cut_butt_m, cut_tip_m, cost)
