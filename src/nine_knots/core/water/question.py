"""What the angler may set of how a rig is fished."""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.values import Frozen


class WaterQuestion(Frozen):
    """What the angler may set of how it is fished; None is the usual."""

    wanted_m: float | None = Field(default=None, ge=1e-3, le=30.0, description="depth wanted")
    lead: float = Field(default=0.8, ge=0.0, le=1.5, description="of the surface's speed")
    tip_m: float = Field(default=1.4, ge=0.2, le=4.0, description="rod tip above the water")
    drift_m: float | None = Field(
        default=None, ge=1.0, le=40.0, description="so long a drift before the next cast"
    )
    lands: float = Field(
        default=0.5, ge=0.1, le=1.0, description="of what is out, how far off the flies land"
    )
    out_m: float | None = Field(
        default=None, gt=0.3, le=40.0, description="length beyond the rod tip"
    )
    count_s: float | None = Field(default=None, ge=0.0, le=120.0)
    pull_m: float = Field(default=0.3, ge=0.05, le=1.5)
    pull_m_s: float = Field(default=0.6, ge=0.05, le=3.0)
    pause_s: float = Field(default=0.8, ge=0.0, le=10.0)
    follow: float | None = Field(
        default=None, ge=0.0, le=1.2, description="how the rod goes with the stream on the strip"
    )
    line_m: float = Field(default=12.0, ge=3.0, le=30.0, description="of line on the water")
    slack_m: float | None = Field(default=None, ge=0.0, le=5.0, description="as it lands")
    differs_m_s: float | None = Field(
        default=None, ge=1e-4, le=3.0, description="currents between you and the fly"
    )


USUAL_QUESTION = WaterQuestion()

FieldKey = Literal[
    "wanted",
    "drift",
    "lands",
    "lead",
    "tip",
    "out",
    "count",
    "pull",
    "pull_speed",
    "pause",
    "follow",
    "line",
    "differs",
]
FIELDS: dict[FieldKey, str] = {
    "wanted": "wanted_m",
    "drift": "drift_m",
    "lands": "lands",
    "lead": "lead",
    "tip": "tip_m",
    "out": "out_m",
    "count": "count_s",
    "pull": "pull_m",
    "pull_speed": "pull_m_s",
    "pause": "pause_s",
    "follow": "follow",
    "line": "line_m",
    "differs": "differs_m_s",
}
"""What the angler can say, by name, and the figure of ``WaterQuestion`` that it sets."""


def changed_fields(before: WaterQuestion, after: WaterQuestion) -> dict[FieldKey, float]:
    """The fields, in SI, in which one way of fishing differs from another."""
    figures = {key: getattr(after, name) for key, name in FIELDS.items()}
    return {
        key: figures[key] for key, name in FIELDS.items() if figures[key] != getattr(before, name)
    }
