"""The schools' leaders for a day: as each builds it, and its variants."""

from collections.abc import Iterable, Iterator
from contextlib import suppress
from itertools import product

from pydantic import ValidationError

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import Refused
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tippet import advise_tippet
from nine_knots.core.propose.propose import propose_to
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.schools.school import School, SchoolParameters
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.plausible import rounded

# Times a school's usual length and the tippet advised; how stout a butt.
LENGTHS, TIPPETS, POWERS = (0.8, 0.9, 1.1, 1.25, 1.5), (1.0 / 1.13, 1.13), (-0.6, 0.0, 0.6)
Variant = tuple[str, SchoolParameters]
"""A school by its key, and what is asked of it."""


def school_designs(day: Situation) -> list[Variant]:
    """Every school that is for this day, with nothing asked of it."""
    return [(school.key, SchoolParameters()) for school in _for(day)]


def variants(day: Situation, demands: Demands) -> list[Variant]:
    """Each of them longer and shorter, stouter and finer, softer and stiffer."""
    advised_m = advise_tippet(day).diameter_m
    asked_m = [m for m in (demands.shortest_m, demands.longest_m) if m is not None]
    found = []
    for school in _for(day):
        usual_m = school.span(day).usual_m
        lengths = [None, *asked_m, *(times * usual_m for times in LENGTHS)]
        tippets = [None, *(times * advised_m for times in TIPPETS)]
        found += [
            (school.key, SchoolParameters(length_m=long, tippet_m=thick, power=power))
            for long, thick, power in product(lengths, tippets, POWERS)
            if (long, thick, power) != (None, None, 0.0)
        ]
        found.append((school.key, SchoolParameters(whole=True)))
    return found


def build_all(
    wanted: Iterable[Variant], day: Situation, angler: Angler
) -> Iterator[tuple[str, Leader]]:
    """Leaders with their schools' keys, as far as the shelf makes them, on round lengths."""
    for key, parameters in wanted:
        with suppress(Refused, ValidationError):
            made = propose_to(angler, key, day, parameters)
            yield key, rounded(made.leader, angler.units)


def _for(day: Situation) -> list[School]:
    return [school for school in SCHOOLS.values() if not school.suits(day)]
