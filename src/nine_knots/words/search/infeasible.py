"""Demands that no search could meet, each in a sentence."""

from nine_knots.core.base.prose import count_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.situation import Situation
from nine_knots.core.search.infeasible import (
    EmptyShelf,
    Infeasible,
    NoBite,
    TooLong,
    TooManyFlies,
    TooShort,
    TooWeak,
)


def infeasible_words(found: Infeasible, day: Situation, units: Units) -> str:
    """Why it cannot be had, for the fish that must be held on the day."""
    match found:
        case EmptyShelf():
            return (
                "There is nothing on the shelf to tie it of: add spools, or a bought taper, under "
                "Spools."
            )
        case TooWeak():
            fish, mass = day.quarry.fish.title, units.fish_mass(day.quarry.mass_kg).text
            return (
                f"A {fish} of {mass} may ask {units.load(found.need_n).text} in "
                f"{day.water.snags} water; your strongest, {found.title}, breaks at "
                f"{units.load(found.breaks_n).text} without a knot in it."
            )
        case NoBite():
            mouth, label = day.quarry.fish, units.label(found.label_n).text
            if mouth.bites_through:
                return (
                    f"A {mouth.title}'s teeth cut everything you own: buy wire, or mono of {label} "
                    "or more for a bite piece."
                )
            return (
                f"A {mouth.title}'s rasping mouth wears through everything you own: buy nylon or "
                f"fluorocarbon of {label} or more for a bite piece."
            )
        case TooManyFlies():
            allowed = count_words(found.allowed, "fly", "flies")
            return f"Your rules for this water allow {allowed}; you ask for {found.asked}."
        case TooShort():
            length = units.length(found.longest_m).text
            return f"At {length} it is too short for a leader: allow at least a foot."
        case TooLong():
            owned, asked = units.length(found.owned_m).text, units.length(found.asked_m).text
            return f"All that is left on your spools makes {owned}; you ask for {asked}."
