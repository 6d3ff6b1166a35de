"""A stroke and a gust as the angler says them."""

from dataclasses import dataclass
from typing import Literal

from pydantic import Field

from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.assess.own_cast import UNKNOWN, OwnCast
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import parse_length, parse_speed, parse_wind
from nine_knots.core.casting.stroke import SPEEDS, Stroke
from nine_knots.core.casting.wind import Gust


@dataclass(frozen=True, slots=True)
class ParsedStroke:
    """A stroke in SI; ``by_word`` says that its speed was a word, not a figure."""

    stroke: Stroke
    by_word: bool


class StrokeForm(Form):
    """A stroke as the angler says it; what is left empty is usual."""

    kind: Literal["overhead", "roll", "water-loaded"] = "overhead"
    speed: Typed = Field(default="normal", examples=["easy", "15 m/s"])
    line_out: Typed = Field(default="", examples=["30 ft"])
    loop: Typed = Field(default="", examples=["2 ft"])
    drop: bool = Field(default=False, description="stop and drop, for slack")
    gust: Typed = Field(default="", description="on top of the wind", examples=["10 mph"])
    gust_from: Literal["in the face", "behind"] = "in the face"

    def read(self, units: System, own: OwnCast = UNKNOWN) -> ParsedStroke:
        """The stroke in SI, or a refusal that names the field; words go with the own cast."""
        figures: dict[str, float | bool] = {"drop": self.drop}
        said = self.speed.strip().lower() or "normal"
        with field("speed"):
            usual = next((speed for word, speed in SPEEDS.items() if word == said), None)
            speed = usual * own.speed_factor if usual else parse_speed(self.speed, units)
            figures["speed_m_s"] = Stroke(speed_m_s=speed).speed_m_s
        with field("line_out"):
            if self.line_out.strip():
                out = parse_length(self.line_out, units)
                figures["line_out_m"] = Stroke(line_out_m=out).line_out_m
        with field("loop"):
            if self.loop.strip():
                figures["loop_m"] = Stroke(loop_m=parse_length(self.loop, units)).loop_m
        return ParsedStroke(
            Stroke.model_validate({"kind": self.kind, **figures}), usual is not None
        )

    def read_gust(self, units: System) -> Gust:
        """The gust in SI, or a refusal that names the field."""
        with field("gust"):
            speed = parse_wind(self.gust, units) if self.gust.strip() else 0.0
            return Gust(speed_m_s=-speed if self.gust_from == "in the face" else speed)
