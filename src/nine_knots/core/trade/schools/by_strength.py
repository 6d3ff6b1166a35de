"""Parts of plans that several schools share: pieces by strength, a taper to a diameter."""

from nine_knots.core.physics.section import area_m2
from nine_knots.core.trade.materials import MATERIALS, MaterialKey
from nine_knots.core.trade.schools.school import MIDDLE, STIFF, Brief, Plan, PlannedPiece, stepped
from nine_knots.core.trade.tippet import diameter_for_strength_m


def strength_n(diameter_m: float, material: MaterialKey = "nylon-medium") -> float:
    """Unknotted strength in N of a material at a diameter, by its law."""
    return MATERIALS[material].strength.stress_pa(diameter_m) * area_m2(diameter_m)


def times_as_strong_m(
    diameter_m: float, times: float, material: MaterialKey = "nylon-medium"
) -> float:
    """Diameter in metres of a piece so many times as strong as one of this diameter."""
    return diameter_for_strength_m(times * strength_n(diameter_m, material), material)


def taper_and_tippet(
    brief: Brief,
    shares: tuple[float, ...],
    tippet_share: float,
    end_over_tippet: float,
    prefer: tuple[MaterialKey, ...],
) -> Plan:
    """A taper by shares of what is above the tippet, and a tippet of its share of the whole."""
    above_m, end_m = (1.0 - tippet_share) * brief.length_m, brief.tippet_m * end_over_tippet
    tippet = PlannedPiece(
        role="tippet",
        length_m=tippet_share * brief.length_m,
        diameter_m=brief.tippet_m,
        prefer=prefer,
    )
    return Plan(pieces=(*tapered(brief, above_m, end_m, shares), tippet))


def tapered(
    brief: Brief, length_m: float, end_m: float, shares: tuple[float, ...]
) -> list[PlannedPiece]:
    """Pieces from the matched butt to a diameter, by shares of a length, evenly stepped."""
    butt_m = max(brief.butt_m(), end_m * 1.05)
    diameters = stepped(butt_m, end_m, len(shares))
    return [
        PlannedPiece(
            role="butt" if i == 0 else "taper",
            length_m=share * length_m,
            diameter_m=diameter,
            bend_nm2=brief.butt_bend_nm2 if i == 0 else None,
            prefer=STIFF if i < 2 else MIDDLE,
        )
        for i, (share, diameter) in enumerate(zip(shares, diameters, strict=True))
    ]
