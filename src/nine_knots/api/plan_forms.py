"""A planned day as it is typed, and as it can be typed again."""

from dataclasses import dataclass
from math import floor
from typing import TypeVar

from pydantic import Field

from nine_knots.api import place_fields as texts
from nine_knots.api.ids import Id
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.limits import Day
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_temperature
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.plan import (
    MOST_FLIES,
    MOST_OUTFITS,
    MOST_STOPS,
    DayPlan,
    FlyFor,
    Outfit,
    Stop,
    Tides,
)
from nine_knots.core.domain.situation import Bearing, TargetFish, Temper, Wind, Wish
from nine_knots.core.domain.tackle import FishKind
from nine_knots.store.tackle import Kit
from nine_knots.words.places import level_text
from nine_knots.words.plan.reading import clock
from nine_knots.words.sentence import parse_fish_mass, parse_wind_word

Thing = TypeVar("Thing")


class StopForm(Form):
    """A stretch with its hours as typed, and the number of the fly; None for whichever serves."""

    stretch_id: str = Field(max_length=40, examples=["alder-head"])
    begins: Typed = Field(examples=["09:00"])
    ends: Typed = Field(examples=["11:00"])
    fly: int | None = Field(default=None, ge=0, lt=MOST_FLIES)


class CarriedOutfit(Form):
    """A rod and a line of the angler's, by their names."""

    rod: str = Field(max_length=80, examples=["9 ft 5-weight"])
    line: str = Field(max_length=80, examples=["5-weight floating line"])


class CarriedFly(Form):
    """A fly of the angler's by its name, and what is wanted of it."""

    fly: str = Field(max_length=80, examples=["Skarn sedge 14"])
    wish: Wish = "drift on top"


class PlanForm(Form):
    """A day as it is typed."""

    title: Typed = Field(min_length=1, examples=["Saturday on the Skarn"])
    on: Day = Field(examples=["2026-06-20"])
    place_id: Id
    level: Typed = ""
    high: Typed = Field(default="", description="by the sea: high water")
    low: Typed = ""
    wind: Typed = "light breeze"
    bearing: Bearing = "upstream"
    temperature: Typed = ""
    fish: FishKind = "trout"
    mass: Typed = ""
    temper: Temper = "wary"
    outfits: TupleOf[CarriedOutfit] = Field(min_length=1, max_length=MOST_OUTFITS)
    flies: TupleOf[CarriedFly] = Field(min_length=1, max_length=MOST_FLIES)
    stops: TupleOf[StopForm] = Field(min_length=1, max_length=MOST_STOPS)
    notes: str = Field(default="", max_length=2000)
    units: System = "imperial"

    def read(self, kit: Kit) -> DayPlan:
        """The day in SI, with the things themselves; what is refused names its field."""
        tides = None
        if self.high.strip() or self.low.strip():
            tides = Tides(
                high_min=texts.minute_of_day(self.high, "high"),
                low_min=texts.minute_of_day(self.low, "low"),
            )
        with field("wind"):
            wind = Wind(speed_m_s=parse_wind_word(self.wind, self.units), bearing=self.bearing)
        level_m = texts.level_m(self.level, self.units, "level") if self.level.strip() else None
        celsius, quarry = self._celsius(), self._quarry()
        outfits, flies = self._outfits(kit), self._flies(kit)
        stops = tuple(_stop(number, stop) for number, stop in enumerate(self.stops))
        with field("stops"):
            return DayPlan(
                title=self.title.strip(),
                on=self.on,
                place_id=self.place_id,
                level_m=level_m,
                tides=tides,
                wind=wind,
                temperature_c=celsius,
                quarry=quarry,
                outfits=outfits,
                flies=flies,
                stops=stops,
                notes=self.notes,
            )

    def _celsius(self) -> float:
        with field("temperature"):
            if not self.temperature.strip():
                return 10.0
            return parse_temperature(self.temperature, self.units)

    def _quarry(self) -> TargetFish:
        usual = TargetFish(kind=self.fish, temper=self.temper)
        with field("mass"):
            mass_kg = usual.fish.usual_kg
            if self.mass.strip():
                mass_kg = parse_fish_mass(self.mass, self.units)
            return usual.evolve(mass_kg=mass_kg)

    def _outfits(self, kit: Kit) -> tuple[Outfit, ...]:
        rods = {item.title: item for item in kit.rods}
        lines = {fly_line.title: fly_line for fly_line in kit.lines}
        return tuple(
            Outfit(
                rod=_owned(rods, outfit.rod, "rod", "outfits"),
                line=_owned(lines, outfit.line, "line", "outfits"),
            )
            for outfit in self.outfits
        )

    def _flies(self, kit: Kit) -> tuple[FlyFor, ...]:
        flies = {other_fly.title: other_fly for other_fly in kit.flies}
        return tuple(
            FlyFor(fly=_owned(flies, carried_fly.fly, "fly", "flies"), wish=carried_fly.wish)
            for carried_fly in self.flies
        )


def _owned(row: dict[str, Thing], title: str, what: str, where: str) -> Thing:
    if title not in row:
        raise OutOfRange(
            f"You own no {what} called “{title}”.",
            where=where,
            hint="Choose one of yours, or add it under Spools.",
        )
    return row[title]


def _stop(number: int, stop: StopForm) -> Stop:
    where = f"stops.{number}"
    begins = floor(texts.minute_of_day(stop.begins, f"{where}.begins"))
    ends = floor(texts.minute_of_day(stop.ends, f"{where}.ends"))
    with field(f"{where}.ends"):
        return Stop(stretch_id=stop.stretch_id, begins_min=begins, ends_min=ends, fly=stop.fly)


@dataclass(frozen=True, slots=True)
class StopTexts:
    """A stop as it can be typed again."""

    stretch_id: str
    begins: str
    ends: str
    fly: int | None


@dataclass(frozen=True, slots=True)
class OutfitTexts:
    """A rod and a line by their names."""

    rod: str
    line: str


@dataclass(frozen=True, slots=True)
class FlyTexts:
    """A fly by its name, and what is wanted of it."""

    fly: str
    wish: Wish


@dataclass(frozen=True, slots=True)
class PlanTexts:
    """A plan as it can be typed again."""

    title: str
    on: str
    place_id: str
    level: str
    high: str
    low: str
    wind: str
    bearing: Bearing
    temperature: str
    fish: FishKind
    mass: str
    temper: Temper
    outfits: tuple[OutfitTexts, ...]
    flies: tuple[FlyTexts, ...]
    stops: tuple[StopTexts, ...]
    notes: str


def plan_texts(plan: DayPlan, units: Units) -> PlanTexts:
    """Every figure as it can be typed again."""
    return PlanTexts(
        title=plan.title,
        on=plan.on,
        place_id=plan.place_id,
        level=level_text(plan.level_m, units) if plan.level_m is not None else "",
        high=clock(round(plan.tides.high_min)) if plan.tides else "",
        low=clock(round(plan.tides.low_min)) if plan.tides else "",
        wind=units.wind(plan.wind.speed_m_s).text,
        bearing=plan.wind.bearing,
        temperature=units.temperature(plan.temperature_c).text,
        fish=plan.quarry.kind,
        mass=units.fish_mass(plan.quarry.mass_kg).text,
        temper=plan.quarry.temper,
        outfits=tuple(OutfitTexts(outfit.rod.title, outfit.line.title) for outfit in plan.outfits),
        flies=tuple(FlyTexts(fly_for.fly.title, fly_for.wish) for fly_for in plan.flies),
        stops=tuple(
            StopTexts(item.stretch_id, clock(item.begins_min), clock(item.ends_min), item.fly)
            for item in plan.stops
        ),
        notes=plan.notes,
    )
