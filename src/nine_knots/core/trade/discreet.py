"""What an angler gives away of a thing without where it is fished: names, notes and marks on the
map stay at home (common practice, no source)."""

from nine_knots.core.trade.design import Design
from nine_knots.core.trade.places import Place, PlaceKind
from nine_knots.core.trade.plan import DayPlan

CALLED: dict[PlaceKind, str] = {"river": "A river", "lake": "A lake", "sea": "A shore"}


def discreet_design(design: Design) -> Design:
    """A leader without its notes, which may name a place."""
    return design.remade(notes="")


def discreet_place(place: Place) -> Place:
    """A water as it is to be fished: its stretches by their order, with depth, pace and rules, but
    without names, notes, gauge and the mark on the map."""
    stretches = tuple(
        one.remade(title=f"Stretch {number}", notes="")
        for number, one in enumerate(place.stretches, 1)
    )
    return place.remade(
        title=CALLED[place.kind],
        stretches=stretches,
        gauge=None,
        latitude=None,
        longitude=None,
        notes="",
    )


def discreet_plan(plan: DayPlan, place: Place) -> DayPlan:
    """A day on such a water."""
    return plan.remade(title=f"{CALLED[place.kind]}, {plan.on}")
