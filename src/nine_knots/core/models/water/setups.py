"""Which way a rig fishes: what its top does in the water, from the wish, the rig and the line."""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.frozen import Frozen
from nine_knots.core.models.water.rig_in_water import floating_fly
from nine_knots.core.physics import fresh_water as fresh
from nine_knots.core.physics import sea_water as sea
from nine_knots.core.physics.fluid import Fluid
from nine_knots.core.physics.stream import Stream, stream_over
from nine_knots.core.trade.beds import GRAIN_M
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.schools import line_leads
from nine_knots.core.trade.situation import Water

Setup = Literal[
    "indicator", "under a dry", "on the leader", "tight line", "strip", "swing", "drop", "surface"
]

WORDS: dict[Setup, str] = {
    "indicator": "Under the indicator, mended so that it drifts by itself",
    "under a dry": "Under the dry fly, which floats it",
    "on the leader": "On the leader, the line's tip drifting with the surface",
    "tight line": "On a tight line, led by the rod's tip",
    "strip": "Cast out, counted down and stripped back",
    "swing": "Mended while it sinks, then held and swung below you",
    "drop": "Led in front of the fish and let drop",
    "surface": "On the surface",
}
FLOATING_WISHES = ("drift on top", "hang in the film")
STILL_M_S = 0.03


class WaterAsk(Frozen):
    """What the angler may set of how it is fished; None is the usual."""

    wanted_m: float | None = Field(default=None, gt=0.0, le=30.0, description="depth wanted")
    lead: float = Field(default=0.8, ge=0.0, le=1.5, description="of the surface's speed")
    tip_m: float = Field(default=1.4, ge=0.2, le=4.0, description="rod tip above the water")
    out_m: float | None = Field(default=None, gt=0.3, le=40.0, description="beyond the rod's tip")
    count_s: float | None = Field(default=None, ge=0.0, le=120.0)
    pull_m: float = Field(default=0.3, ge=0.05, le=1.5)
    pull_m_s: float = Field(default=0.6, ge=0.05, le=3.0)
    pause_s: float = Field(default=0.8, ge=0.0, le=10.0)
    line_m: float = Field(default=12.0, ge=3.0, le=30.0, description="of line on the water")
    slack_m: float | None = Field(default=None, ge=0.0, le=5.0, description="as it lands")
    differs_m_s: float | None = Field(
        default=None, gt=0.0, le=3.0, description="currents between you and the fly"
    )


USUAL_ASK = WaterAsk()


def setup_of(design: Design) -> Setup:
    """How this rig is fished on this day."""
    leader, day = design.leader, design.situation
    if day.wish in FLOATING_WISHES:
        return "surface"
    if day.wish == "strip":
        return "strip"
    if day.wish == "swing":
        return "swing" if day.water.pace_m_s > STILL_M_S else "strip"
    if day.wish == "lead and drop":
        return "drop"
    if leader.indicator is not None:
        return "indicator"
    if floating_fly(leader) is not None:
        return "under a dry"
    led = not line_leads(leader)
    return "tight line" if led and day.water.pace_m_s > STILL_M_S else "on the leader"


def water_of(water: Water) -> Fluid:
    """Density and viscosity of the day's water."""
    celsius, salt = water.temperature_c, water.salinity_g_kg
    if salt > 0.0:
        return Fluid(sea.density_kg_m3(celsius, salt), sea.viscosity_pa_s(celsius, salt))
    return Fluid(fresh.density_kg_m3(celsius), fresh.viscosity_pa_s(celsius))


def stream_of(water: Water) -> Stream:
    """The stream in front of the angler."""
    return stream_over(GRAIN_M[water.bed], water.depth_m, water.pace_m_s)
