"""Parts of plans that several schools share: pieces by strength, a taper to a diameter."""

from nine_knots.core.base.limits import LengthM
from nine_knots.core.domain.label_sizes import labelled_thickness_m
from nine_knots.core.domain.leader import Role
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.schools.school import MIDDLE, STIFF, Plan, PlannedSection, SchoolBrief, stepped

STOUT: tuple[MaterialKey, ...] = ("nylon-medium", "nylon-stiff", "fluorocarbon", "nylon-soft")
"""Of what stout pieces are tied that are chosen by their label."""


def by_label(
    brief: SchoolBrief,
    role: Role,
    length_m: LengthM,
    times: float,
    prefer: tuple[MaterialKey, ...] = STOUT,
) -> PlannedSection:
    """A piece so many times as strong as the tippet's label, chosen by its own."""
    wanted_n = times * brief.tippet_n
    return PlannedSection(
        role=role,
        length_m=length_m,
        diameter_m=labelled_thickness_m(wanted_n, prefer[0]),
        strength_n=wanted_n,
        prefer=prefer,
    )


def steps_by_label(brief: SchoolBrief, parts: tuple[tuple[float, float], ...]) -> Plan:
    """Stout pieces from the line down, each a share of the length and so many times the tippet's
    strength; the last is the tippet."""
    last = len(parts) - 1
    middle: list[Role] = ["taper"] * (last - 1)
    roles: list[Role] = ["butt", *middle, "tippet"]
    return Plan(
        pieces=tuple(
            by_label(brief, roles[i] if last else "tippet", share * brief.length_m, times)
            for i, (share, times) in enumerate(parts)
        )
    )


def taper_and_tippet(
    brief: SchoolBrief,
    shares: tuple[float, ...],
    tippet_share: float,
    end_over_tippet: float,
    prefer: tuple[MaterialKey, ...],
    stiff: float = 1.0,
) -> Plan:
    """A taper by shares of what is above the tippet, and a tippet of its share of the whole."""
    above_m, end_m = (1.0 - tippet_share) * brief.length_m, brief.tippet_m * end_over_tippet
    tippet = PlannedSection(
        role="tippet",
        length_m=tippet_share * brief.length_m,
        diameter_m=brief.tippet_m,
        prefer=prefer,
    )
    return Plan(pieces=(*tapered(brief, above_m, end_m, shares, stiff), tippet))


def tapered(
    brief: SchoolBrief, length_m: float, end_m: float, shares: tuple[float, ...], stiff: float = 1.0
) -> list[PlannedSection]:
    """Pieces from a butt of a share of the matched stiffness to a diameter, by shares of a length,
    evenly stepped."""
    butt_m = max(brief.butt_m(share=stiff), end_m * 1.05)
    diameters = stepped(butt_m, end_m, len(shares))
    return [
        PlannedSection(
            role="butt" if i == 0 else "taper",
            length_m=share * length_m,
            diameter_m=diameter,
            bend_nm2=stiff * brief.butt_bend_nm2 if i == 0 else None,
            prefer=STIFF if i < 2 else MIDDLE,
        )
        for i, (share, diameter) in enumerate(zip(shares, diameters, strict=True))
    ]
