"""A leader as builders write it down: lengths, thicknesses and knots from the line to the fly."""

from dataclasses import dataclass

from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader import Leader
from nine_knots.words.tying.steps import joint_title


@dataclass(frozen=True, slots=True)
class RecipeLine:
    """One piece: how it is tied on above, how long, how thick, what of."""

    joint: str
    length: str
    thickness: str
    of: str


@dataclass(frozen=True, slots=True)
class Recipe:
    """All pieces from the line down, and the knot at the fly."""

    lines: tuple[RecipeLine, ...]
    at_the_fly: str


def recipe(leader: Leader, titles: dict[str, str], units: Units) -> Recipe:
    """The recipe of a leader; ``titles`` names spools by their id."""
    lines = []
    for number, piece in enumerate(leader.pieces):
        upper, lower = (
            units.across(across_m, piece.strand.estimated)
            for across_m in (piece.upper_diameter_m, piece.lower_diameter_m)
        )
        joint = joint_title(leader, number)
        dropper = leader.joints[number].dropper
        if dropper is not None:
            tag = units.length(dropper.length_m).text
            joint = f"{joint}, {dropper.fly.title} on a tag of {tag}"
        lines.append(
            RecipeLine(
                joint=joint,
                length=units.length(piece.length_m).text,
                thickness=lower if upper == lower else f"{upper} to {lower}",
                of=titles.get(piece.strand.spool_id or "", piece.strand.substance.title),
            )
        )
    return Recipe(lines=tuple(lines), at_the_fly=joint_title(leader, len(leader.pieces)))
