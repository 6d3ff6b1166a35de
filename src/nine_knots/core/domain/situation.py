"""The day as the angler says it: water, wind, fish, fly, rod and line."""

from typing import Literal

from pydantic import Field, model_validator

from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.tackle import Fish, FishKind, Fly, FlyLine, OwnFish, Rod, fish_of

WaterKind = Literal[
    "pocket water", "riffle", "run", "glide", "pool", "lake", "estuary", "flats", "surf"
]
Bed = Literal["sand", "gravel", "cobble", "boulder"]
Clarity = Literal["clear", "tinged", "coloured"]
Snags = Literal["open", "some snags", "heavy snags"]
Bearing = Literal["upstream", "downstream", "across", "behind", "in the face"]
Wish = Literal["drift on top", "hang in the film", "drift deep", "swing", "strip", "lead and drop"]
Temper = Literal["easy", "wary", "very wary"]
MOVES_M_S = 0.05
SHOT_TO_WEIGHT = 7  # of a line, above which no shot is hung on a streamer's leader [P]
FLOATING_WISHES: tuple[Wish, ...] = ("drift on top", "hang in the film")

# Words and what the models take them for [M], wind after Beaufort [S: WMO2019];
# always replaceable by a number.
DEPTH_WORDS = {
    "ankle-deep": 0.15,
    "knee-deep": 0.5,
    "thigh-deep": 0.8,
    "waist-deep": 1.0,
    "chest-deep": 1.3,
    "over the head": 2.2,
}
PACE_WORDS = {
    "still": 0.0,
    "a crawl": 0.15,
    "slow walking pace": 0.4,
    "walking pace": 0.8,
    "brisk walking pace": 1.2,
    "running pace": 1.8,
}
WIND_WORDS = {
    "no wind": 0.0,
    "light air": 0.9,
    "light breeze": 2.5,
    "gentle breeze": 4.4,
    "moderate breeze": 6.7,
    "fresh breeze": 9.3,
}


# Salt in g/kg by kind of water [M]: an estuary half way up.
SALT_G_KG: dict[WaterKind, float] = {"estuary": 18.0, "flats": 35.0, "surf": 35.0}


class WaterRules(Frozen):
    """What the angler wrote down of the rules of this water; the local authority has the say."""

    most_flies: int | None = Field(default=None, ge=1, le=10)
    barbless: bool = False
    lead_banned: bool = False
    wire_required: bool = False
    least_apart_m: float | None = Field(default=None, gt=0.0, le=5.0)


class Water(Frozen):
    """The water in front of the angler."""

    kind: WaterKind = "run"
    depth_m: float = Field(default=0.5, ge=0.05, le=30.0)
    pace_m_s: float = Field(default=0.8, ge=0.0, le=4.0, description="at the surface")
    bed: Bed = "gravel"
    clarity: Clarity = "clear"
    snags: Snags = "open"
    temperature_c: float = Field(default=10.0, ge=0.0, le=30.0)
    rules: WaterRules = WaterRules()

    @property
    def moves(self) -> bool:
        """Whether it carries a fly along."""
        return self.pace_m_s > MOVES_M_S

    @property
    def salinity_g_kg(self) -> float:
        """Salt in g/kg by the kind of water."""
        return SALT_G_KG.get(self.kind, 0.0)


class Wind(Frozen):
    """Wind at casting height and where it blows from or to."""

    speed_m_s: float = Field(default=0.0, ge=0.0, le=30.0)
    bearing: Bearing = "upstream"


class TargetFish(Frozen):
    """The fish meant, how heavy, how wary."""

    kind: FishKind = "trout"
    mass_kg: float = Field(default=0.5, gt=0.0, le=500.0)
    temper: Temper = "wary"
    own: OwnFish | None = Field(default=None, description="of the kind other: what it is")

    @model_validator(mode="after")
    def _known(self) -> "TargetFish":
        if (self.kind == "other") != (self.own is not None):
            raise ValueError("only an unlisted fish has a mouth and teeth of its own")
        return self

    @property
    def fish(self) -> Fish:
        """What is known of its kind: the table's, or the angler's own."""
        if self.own is None:
            return fish_of(self.kind)
        own = self.own
        return Fish(
            key="other",
            title=own.title,
            mouth=own.mouth,
            teeth=own.teeth,
            shyness="middling",
            usual_kg=self.mass_kg,
            large_kg=2.0 * self.mass_kg,
        )


class Situation(Frozen):
    """Everything about the day that a leader is judged against."""

    water: Water
    wind: Wind
    quarry: TargetFish
    fly: Fly
    rod: Rod
    line: FlyLine
    wish: Wish

    @property
    def floats(self) -> bool:
        """Whether the fly is to float."""
        return self.wish in FLOATING_WISHES

    @property
    def takes_shot(self) -> bool:
        """Whether shot is pinched on: on what sinks, but on no streamer's leader for big game."""
        big_game = self.fly.is_long and self.line.weight > SHOT_TO_WEIGHT
        return not self.floats and not big_game

    @property
    def in_the_film(self) -> bool:
        """Whether the fly is to hang in the surface film."""
        return self.wish == "hang in the film"
