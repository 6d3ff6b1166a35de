"""A day that is planned: a water and its stretches with their hours, and what is carried."""

from itertools import pairwise

from pydantic import Field, model_validator

from nine_knots.core.base.limits import Day, Key, Title
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.places import LevelM
from nine_knots.core.domain.situation import TargetFish, Wind, Wish
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod

DAY_MIN = 24 * 60
MOST_STOPS, MOST_FLIES, MOST_OUTFITS = 8, 6, 3


class Outfit(Frozen):
    """A rod and the line on it."""

    rod: Rod
    line: FlyLine


class FlyFor(Frozen):
    """A fly that is packed, and what is wanted of it."""

    fly: Fly
    wish: Wish


class Stop(Frozen):
    """A stretch fished between two minutes of the day, with one of the flies (by its number in the
    plan), or with whichever serves best."""

    stretch_id: Key
    begins_min: int = Field(ge=0, lt=DAY_MIN)
    ends_min: int = Field(gt=0, le=DAY_MIN)
    fly: int | None = Field(default=None, ge=0, lt=MOST_FLIES)

    @model_validator(mode="after")
    def _ends_later(self) -> "Stop":
        if self.ends_min <= self.begins_min:
            raise ValueError("a stretch must end after it starts")
        return self


class Tides(Frozen):
    """High and low water of the day, in minutes; the others follow."""

    high_min: float = Field(ge=0.0, lt=DAY_MIN)
    low_min: float = Field(ge=0.0, lt=DAY_MIN)


class DayPlan(Frozen):
    """A day on one water. ``level_m`` is what is expected of the gauge, None as it usually is."""

    title: Title
    on: Day
    place_id: Key
    level_m: LevelM | None = None
    tides: Tides | None = None
    wind: Wind = Wind()
    temperature_c: float = Field(default=10.0, ge=0.0, le=30.0)
    quarry: TargetFish = TargetFish()
    outfits: TupleOf[Outfit] = Field(min_length=1, max_length=MOST_OUTFITS)
    flies: TupleOf[FlyFor] = Field(min_length=1, max_length=MOST_FLIES)
    stops: TupleOf[Stop] = Field(min_length=1, max_length=MOST_STOPS)
    notes: str = Field(default="", max_length=2000)

    @model_validator(mode="after")
    def _in_order(self) -> "DayPlan":
        for item, following in pairwise(self.stops):
            if following.begins_min < item.ends_min:
                raise ValueError("two stretches overlap in time")
        if any(stop.fly is not None and stop.fly >= len(self.flies) for stop in self.stops):
            raise ValueError("a stretch uses a fly that isn't packed")
        return self
