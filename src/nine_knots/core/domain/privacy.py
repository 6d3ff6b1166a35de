"""What an angler gives away of a thing without where it is fished: names, notes and marks on the
map stay at home (common practice, no source)."""

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.places import Place, PlaceKind
from nine_knots.core.domain.plan import DayPlan

CALLED: dict[PlaceKind, str] = {"river": "A river", "lake": "A lake", "sea": "A shore"}


def design_without_location(design: Design) -> Design:
    """A leader without its notes, which may name a place."""
    return design.evolve(notes="")


def place_without_location(place: Place) -> Place:
    """A water as it is to be fished: its stretches by their order, with depth, pace and rules, but
    without names, notes, gauge and the mark on the map."""
    stretches = tuple(
        stretch.evolve(title=f"Stretch {number}", notes="")
        for number, stretch in enumerate(place.stretches, 1)
    )
    return place.evolve(
        title=CALLED[place.kind],
        stretches=stretches,
        gauge=None,
        latitude=None,
        longitude=None,
        notes="",
    )


def plan_without_location(plan: DayPlan, place: Place) -> DayPlan:
    """A day on such a water."""
    return plan.evolve(title=f"{CALLED[place.kind]}, {plan.on}")
