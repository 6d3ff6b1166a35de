"""Waters that an angler fishes: a river, lake or shore with its stretches, levels and rules."""

from typing import Annotated, Literal

from pydantic import Field, model_validator

from nine_knots.core.base.limits import Day, Key, Title
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.situation import Water, WaterRules
from nine_knots.core.domain.tackle import FishKind

PlaceKind = Literal["river", "lake", "sea"]
Behind = Literal["open", "some trees", "trees"]
Hazard = Literal[
    "deep wading",
    "strong current",
    "slippery bed",
    "soft bed",
    "steep bank",
    "power lines",
    "rising water",
    "tide that cuts off",
    "boats",
    "ice",
]
LevelM = Annotated[float, Field(ge=-20.0, le=60.0, description="metres on the gauge")]
MOST_NOTES, MOST_STRETCHES = 60, 40


class LevelNote(Frozen):
    """What a stretch was like at a level: how deep, and how fast at the surface where that was
    seen."""

    level_m: LevelM
    depth_m: float = Field(ge=0.05, le=30.0)
    pace_m_s: float | None = Field(default=None, ge=0.0, le=4.0)
    noted_on: Day | None = None


class CastingRoom(Frozen):
    """What there is behind the angler, and how high the bank is."""

    behind: Behind = "open"
    bank_m: float = Field(default=0.0, ge=0.0, le=10.0)


class RiverStretch(Frozen):
    """A stretch of a water as it usually is, with what was noted of it at levels.

    ``water`` carries no rules: they are ``own_rules``, or else those of the whole water.
    """

    stretch_id: Key
    title: Title
    water: Water = Water()
    levels: TupleOf[LevelNote] = Field(default=(), max_length=MOST_NOTES)
    room: CastingRoom = CastingRoom()
    fish: TupleOf[FishKind] = Field(default=(), max_length=12)
    hazards: TupleOf[Hazard] = Field(default=(), max_length=10)
    own_rules: WaterRules | None = None
    notes: str = Field(default="", max_length=2000)


class Gauge(Frozen):
    """Where a water's level is read: a SensorThings service, or the stand-in that ships (``demo``),
    and one of its datastreams."""

    base: str = Field(max_length=300, pattern=r"^(demo|https?://[^\s]+)$")
    datastream: str = Field(min_length=1, max_length=100)
    title: Title
    metres: float = Field(default=1.0, gt=0.0, le=1000.0, description="of its unit, in metres")


class Place(Frozen):
    """A water with its stretches in the order in which they are passed."""

    title: Title
    kind: PlaceKind = "river"
    rules: WaterRules = WaterRules()
    stretches: TupleOf[RiverStretch] = Field(default=(), max_length=MOST_STRETCHES)
    gauge: Gauge | None = None
    latitude: float | None = Field(default=None, ge=-90.0, le=90.0)
    longitude: float | None = Field(default=None, ge=-180.0, le=180.0)
    notes: str = Field(default="", max_length=2000)

    @model_validator(mode="after")
    def _each_once(self) -> "Place":
        ids = [item.stretch_id for item in self.stretches]
        if len(set(ids)) != len(ids):
            raise ValueError("two stretches have the same id")
        if (self.latitude is None) != (self.longitude is None):
            raise ValueError("a place on the map has a latitude and a longitude")
        return self

    def stretch(self, stretch_id: str) -> RiverStretch | None:
        """One of them by its id."""
        return next((item for item in self.stretches if item.stretch_id == stretch_id), None)

    def rules_of(self, stretch: RiverStretch) -> WaterRules:
        """The rules that hold on a stretch: its own, or the water's."""
        return stretch.own_rules or self.rules
