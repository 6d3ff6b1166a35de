"""The stops of a plan as days to judge leaders against, with every outfit and fly they may have."""

from dataclasses import dataclass

from nine_knots.core.assess.gauge_rating import water_at
from nine_knots.core.assess.tide import Tide, tide_at
from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.domain.places import Place, RiverStretch
from nine_knots.core.domain.plan import DayPlan, Stop
from nine_knots.core.domain.situation import Situation


@dataclass(frozen=True, slots=True)
class StopChoice:
    """An outfit and a fly of the plan, by their numbers, and the day they make on a stretch."""

    outfit: int
    fly: int
    day: Situation


def stretch_of(place: Place, stop: Stop) -> RiverStretch:
    """The stretch of a stop; OutOfRange where the water has no such one."""
    stretch = place.stretch(stop.stretch_id)
    if stretch is None:
        raise OutOfRange(
            "A stretch of this plan is no longer part of its water.",
            where="stops",
            hint="Remove it from the plan, or choose another.",
        )
    return stretch


def tide_of(plan: DayPlan, stop: Stop) -> Tide | None:
    """The tide half way through a stop; None where no high and low water were told."""
    if plan.tides is None:
        return None
    middle = 0.5 * (stop.begins_min + stop.ends_min)
    return tide_at(plan.tides.high_min, plan.tides.low_min, middle)


def choices_of(plan: DayPlan, place: Place, stop: Stop) -> tuple[StopChoice, ...]:
    """Every outfit carried with the stop's fly, or with each where whichever serves is taken."""
    water = water_at(place, stretch_of(place, stop), plan.level_m, tide_of(plan, stop))
    water = water.evolve(temperature_c=plan.temperature_c)
    numbers = range(len(plan.flies)) if stop.fly is None else (stop.fly,)
    return tuple(
        StopChoice(
            outfit=at,
            fly=number,
            day=Situation(
                water=water,
                wind=plan.wind,
                quarry=plan.quarry,
                fly=plan.flies[number].fly,
                rod=outfit.rod,
                line=outfit.line,
                wish=plan.flies[number].wish,
            ),
        )
        for number in numbers
        for at, outfit in enumerate(plan.outfits)
    )
