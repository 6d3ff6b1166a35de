"""/api/kit: rods, lines and flies owned, and new ones as typed."""

from typing import Literal

from fastapi import APIRouter
from pydantic import Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.problems import RESPONSES
from nine_knots.api.typed import Form, Typed, field
from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import (
    Units,
    parse_bead,
    parse_hook,
    parse_length,
    parse_mass,
    parse_seconds,
)
from nine_knots.core.physics.elastica import bend_stiffness_from_droop
from nine_knots.core.trade.tackle import Bead, Fly, FlyLine, Rod, line_profile
from nine_knots.core.trade.tackle.fly import Bulk, FlyKind
from nine_knots.core.trade.tackle.line import Sinking
from nine_knots.store.tackle import Kit, add_tackle, read_kit

router = APIRouter(prefix="/api/kit", tags=["kit"], responses=RESPONSES)


class FlyForm(Form):
    """A fly as typed; an empty weight is taken from hook, dressing and bead."""

    title: Typed = ""
    kind: FlyKind
    hook: Typed = Field(examples=["14", "2/0"])
    bulk: Bulk = "standard"
    bead: Typed = Field(default="", examples=["3 mm"])
    bead_metal: Literal["tungsten", "brass"] = "tungsten"
    weight: Typed = ""
    fall: Typed = Field(default="", description="jar test: so far", examples=["20 cm"])
    fall_time: Typed = Field(default="", description="jar test: in so long", examples=["0.6 s"])
    barbless: bool = False
    tube: bool = False
    units: System = "imperial"


class RodForm(Form):
    """A rod as typed."""

    title: Typed = ""
    length: Typed = Field(examples=["9 ft"])
    weight: int = Field(ge=1, le=14)
    action: Literal["soft", "medium", "fast"] = "medium"
    units: System = "imperial"


class LineForm(Form):
    """A fly line as typed, with the droop test of its tip if one was made."""

    title: Typed = ""
    weight: int = Field(ge=1, le=14)
    half_sizes_heavy: int = Field(default=0, ge=0, le=2)
    sinking: Sinking = "floating"
    front_taper: Literal["short", "standard", "long"] = "standard"
    tip: Literal["loop", "bare"] = "loop"
    sink_tip: Typed = Field(default="", description="so much of it sinks; empty: all of it")
    droop_length: Typed = Field(default="", description="free length of the clamped tip")
    droop: Typed = Field(default="", description="how far its end falls")
    units: System = "imperial"


@router.get("", summary="Rods, lines and flies owned")
def get_kit(session: CurrentSession) -> Kit:
    """The kit."""
    return session.read(read_kit)


@router.post("/flies", summary="Add a fly")
def post_fly(session: CurrentSession, form: FlyForm) -> Fly:
    """Read the typed figures and keep the fly."""
    with field("hook"):
        hook = parse_hook(form.hook)
    with field("bead"):
        bead_m = parse_bead(form.bead) if form.bead.strip() else None
    with field("weight"):
        weighed_kg = parse_mass(form.weight, bare="mg") if form.weight.strip() else None
    words = f"{form.bulk} {form.kind}" if form.bulk != "standard" else form.kind
    fly = Fly(
        title=form.title.strip() or f"{words.capitalize()} {Units.hook(hook)}",
        kind=form.kind,
        hook=hook,
        bulk=form.bulk,
        bead=Bead(diameter_mm=1e3 * bead_m, metal=form.bead_metal) if bead_m else None,
        weighed_kg=weighed_kg,
        sink_m_s=_jar_test_m_s(form),
        barbless=form.barbless,
        tube=form.tube,
    )
    session.write(lambda cursor, me: add_tackle(cursor, me, fly))
    return fly


def _jar_test_m_s(form: FlyForm) -> float | None:
    """The sinking speed measured in a jar, where both figures were given."""
    if not form.fall.strip() and not form.fall_time.strip():
        return None
    with field("fall"):
        fall_m = parse_length(form.fall, form.units)
    with field("fall_time"):
        seconds = parse_seconds(form.fall_time)
        if seconds < 0.05:
            raise OutOfRange(
                "So short a time cannot be measured.",
                mend="Let it fall further, and count several falls.",
            )
    with field("fall"):
        speed = fall_m / seconds
        if not 0.005 <= speed <= 3.0:
            raise OutOfRange(
                f"{Units(form.units).speed(speed).text} is no fly's sinking speed.",
                mend="Check the distance and the seconds.",
            )
    return speed


@router.post("/rods", summary="Add a rod")
def post_rod(session: CurrentSession, form: RodForm) -> Rod:
    """Read the typed figures and keep the rod."""
    with field("length"):
        length_m = parse_length(form.length, form.units)
        shown = Units(form.units).length(length_m).text
        rod = Rod(
            title=form.title.strip() or f"{shown} {form.weight}-weight, {form.action}",
            length_m=length_m,
            weight=form.weight,
            action=form.action,
        )
    session.write(lambda cursor, me: add_tackle(cursor, me, rod))
    return rod


@router.post("/lines", summary="Add a fly line")
def post_line(session: CurrentSession, form: LineForm) -> FlyLine:
    """Read the typed figures, work out a droop test, keep the line."""
    sink_tip_m = None
    with field("sink_tip"):
        if form.sink_tip.strip():
            sink_tip_m = parse_length(form.sink_tip, form.units)
            if form.sinking == "floating" or not 0.5 <= sink_tip_m <= 9.0:
                raise OutOfRange(
                    "That is no sink-tip.",
                    mend="Give 0.5 to 9 m (2 to 30 ft), and how fast it sinks.",
                )
    line = FlyLine(
        sink_tip_m=sink_tip_m,
        title=form.title.strip() or f"{form.weight}-weight {form.sinking} line",
        weight=form.weight,
        half_sizes_heavy=form.half_sizes_heavy,
        sinking=form.sinking,
        front_taper=form.front_taper,
        tip=form.tip,
    )
    if form.droop_length.strip() or form.droop.strip():
        with field("droop_length"):
            free_m = parse_length(form.droop_length, form.units)
        with field("droop"):
            drop_m = parse_length(form.droop, form.units)
            bend = bend_stiffness_from_droop(line_profile(line).tip_mass_kg_m, free_m, drop_m)
        line = FlyLine.model_validate({**line.model_dump(), "tip_bend_nm2": bend})
    session.write(lambda cursor, me: add_tackle(cursor, me, line))
    return line
