"""What a shelf lacks and what is to be bought, in words."""

from dataclasses import dataclass

from nine_knots.core.base.units import Units
from nine_knots.core.propose.shortages import (
    Nearest,
    Shortage,
    Wanted,
    WantedFly,
    WantedMore,
    WantedSighter,
    WantedStrand,
    WantedTaper,
)


@dataclass(frozen=True, slots=True)
class ShortageReading:
    """A spool that the shelf lacks, and what was taken for it; ``merged`` where one serves for
    two pieces that were to differ, ``far`` where it is no stand-in but another leader."""

    piece: int
    wanted: str
    nearest: str
    merged: bool
    far: bool


def shortage_reading(shortage: Shortage, units: Units) -> ShortageReading:
    """A shortage as it is shown."""
    wanted = wanted_words(shortage.wanted, units)
    nearest = nearest_words(shortage, units)
    return ShortageReading(shortage.piece, wanted, nearest, shortage.merged, shortage.far)


def wanted_words(wanted: Wanted, units: Units) -> str:
    """``stiff nylon of about .013 in``, ``20 lb nylon or more``; of a size that shops have, without
    the about."""
    if isinstance(wanted, WantedSighter):
        return f"two-colour sighter of about {units.diameter(wanted.across_m).text}"
    if isinstance(wanted, WantedFly):
        return f"the fly “{wanted.title}”"
    if isinstance(wanted, WantedMore):
        asked, left = units.length(wanted.length_m).text, units.length(wanted.left_m).text
        return f"{asked} of {wanted.title}, which has {left} left"
    if isinstance(wanted, WantedTaper):
        if wanted.length_m is None:
            return f"a knotless taper to about {units.tippet(wanted.tip_m or 0.0).text}"
        tip = f" to {units.tippet(wanted.tip_m).text}" if wanted.tip_m is not None else ""
        return f"a knotless taper of {units.length(wanted.length_m).text}{tip}"
    if isinstance(wanted, WantedStrand):
        if wanted.strength_n is not None:
            more = " or more" if wanted.or_more else ""
            return f"{units.label(wanted.strength_n).text} {wanted.material}{more}"
        across_m = wanted.across_m or 0.0
        if wanted.sold:
            return f"{wanted.material} {units.tippet(across_m).text}"
        across = units.tippet(across_m) if wanted.tippet else units.diameter(across_m)
        return f"{wanted.material} of about {across.text}"
    return f"{_size(wanted.first, units)} and {_size(wanted.second, units)} apart"


def _size(wanted: WantedStrand | WantedSighter, units: Units) -> str:
    if isinstance(wanted, WantedSighter):
        return f"a {wanted_words(wanted, units)}"
    if wanted.strength_n is not None:
        return units.label(wanted.strength_n).text
    return units.diameter(wanted.across_m or 0.0).text


def nearest_words(shortage: Shortage, units: Units) -> str:
    """What is taken instead, with the figure in which it differs."""
    nearest = shortage.nearest
    if shortage.merged:
        return f"{nearest.title}, for both in one piece"
    if nearest.length_m is not None:
        return f"{nearest.title}, {units.length(nearest.length_m).text} of it"
    if nearest.tip_m is not None:
        return f"{nearest.title}, which ends at {units.diameter(nearest.tip_m).text}"
    return f"{nearest.title}{_figure(nearest, units)}"


def _figure(nearest: Nearest, units: Units) -> str:
    if nearest.across_m is not None:
        return f" ({units.diameter(nearest.across_m).text})"
    if nearest.strength_n is None:
        return ""
    strength = units.label(nearest.strength_n).text
    if nearest.weaker_n:
        return f" ({strength}: {units.label(nearest.weaker_n).text} weaker)"
    return f" ({strength})"
