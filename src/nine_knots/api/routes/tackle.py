"""/api/v1/kit: rods, lines and flies owned, and new ones as typed."""

from dataclasses import dataclass
from typing import Annotated, Literal

from fastapi import APIRouter, Query
from pydantic import Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.problems import RESPONSES
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.quantity import Quantity, System
from nine_knots.core.base.units import (
    Units,
    parse_area,
    parse_bead,
    parse_diameter,
    parse_hook,
    parse_length,
    parse_mass,
    parse_seconds,
)
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod, line_profile
from nine_knots.core.domain.tackle.fly import HEAVIEST_KG, Bulk, Dressing, FlyKind, Head
from nine_knots.core.domain.tackle.line import Sinking
from nine_knots.core.mechanics.elastica import bend_stiffness_from_droop
from nine_knots.core.mechanics.fall import drag_area_of_fall_m2
from nine_knots.store.tackle import Kit, add_tackle, read_kit

HEIGHTS_M = (0.5, 10.0)  # to drop a fly from
AskedUnits = Annotated[System, Query()]

router = APIRouter(prefix="/api/v1/kit", tags=["kit"], responses=RESPONSES)


class FlyForm(Form):
    """A fly as typed; an empty weight is taken from hook, dressing and bead."""

    title: Typed = ""
    kind: FlyKind
    hook: Typed = Field(examples=["14", "2/0"])
    bulk: Bulk = "standard"
    bead: Typed = Field(default="", examples=["3 mm"])
    bead_metal: Literal["tungsten", "brass"] = "tungsten"
    length: Typed = Field(default="", description="of the whole fly", examples=["4 in"])
    dressing: Dressing | None = None
    head: Head | None = None
    trailing_hook: bool = False
    weight: Typed = ""
    area: Typed = Field(default="", description="drag area in the air", examples=["3 cm2"])
    fall: Typed = Field(default="", description="jar test: distance", examples=["20 cm"])
    fall_time: Typed = Field(default="", description="jar test: time", examples=["0.6 s"])
    air_fall: Typed = Field(
        default="", description="drop test in still air: height", examples=["8 ft"]
    )
    air_fall_time: Typed = Field(default="", description="drop test: time", examples=["1.1 s"])
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
    sink_tip: Typed = Field(default="", description="length that sinks; empty: all of it")
    head: Typed = Field(default="", description="mass of the head", examples=["19 g", "300 gr"])
    head_length: Typed = Field(default="", description="length of the head", examples=["30 ft"])
    level: Typed = Field(default="", description="of a level line, its diameter", examples=[".022"])
    droop_length: Typed = Field(default="", description="free length of the clamped tip")
    droop: Typed = Field(default="", description="how far its end droops")
    units: System = "imperial"


@router.get("", summary="List rods, lines and flies")
def get_kit(session: CurrentSession) -> Kit:
    """The kit."""
    return session.read(read_kit)


@dataclass(frozen=True, slots=True)
class FlyFigures:
    """What a fly is taken to weigh as it is cast, and how it catches the air; and by whom."""

    mass: Quantity
    area: Quantity
    length: Quantity
    words: str


@router.post("/flies/figures", summary="Estimate a fly's mass and air resistance")
def post_fly_figures(fly: Fly, units: AskedUnits = "imperial") -> FlyFigures:
    """By the tables, or as it was measured; nothing is stored."""
    return _figures(fly, Units(units))


@router.post("/flies/preview", summary="Estimate a fly's mass and air resistance while typing")
def post_fly_preview(form: FlyForm) -> FlyFigures:
    """The figures that the fly would have; nothing is stored."""
    return _figures(_fly_of(form), Units(form.units))


def _figures(fly: Fly, units: Units) -> FlyFigures:
    mass, area = units.fly_mass(fly.mass_kg), units.area(fly.air_drag_area_m2)
    weighed = "weighed" if fly.weighed_kg is not None else "estimated from hook and dressing"
    seen = "your own" if fly.drag_area_m2 is not None else "reckoned"
    return FlyFigures(
        mass=mass,
        area=area,
        length=units.length(fly.whole_m),
        words=f"As cast {mass.text} ({weighed}); air drag like {area.text} ({seen}).",
    )


@router.post("/flies", summary="Add a fly")
def post_fly(session: CurrentSession, form: FlyForm) -> Fly:
    """Read the typed figures and keep the fly."""
    fly = _fly_of(form)
    session.write(lambda cursor, me: add_tackle(cursor, me, fly))
    return fly


def _fly_of(form: FlyForm) -> Fly:
    with field("hook"):
        hook = parse_hook(form.hook)
    with field("bead"):
        bead_m = parse_bead(form.bead) if form.bead.strip() else None
    with field("weight"):
        weighed_kg = parse_mass(form.weight, bare="mg") if form.weight.strip() else None
        if weighed_kg is not None and weighed_kg > HEAVIEST_KG:
            raise OutOfRange(
                "That is heavier than any castable fly.",
                hint="Enter up to 15 g. A bare number is mg.",
            )
    with field("length"):
        length_m = parse_length(form.length, form.units) if form.length.strip() else None
        if length_m is not None and not 0.003 <= length_m <= 0.35:
            raise OutOfRange(
                "That length isn't possible for a fly.", hint="Enter 3 mm to 35 cm (1/8 to 14 in)."
            )
    with field("area"):
        area_m2 = parse_area(form.area) if form.area.strip() else None
    if area_m2 is not None and form.air_fall.strip():
        raise OutOfRange(
            "The typed area and the drop test disagree.",
            where="area",
            hint="Leave one of them empty.",
        )
    words = f"{form.bulk} {form.kind}" if form.bulk != "standard" else form.kind
    fly = Fly(
        title=form.title.strip() or f"{words.capitalize()} {Units.hook(hook)}",
        kind=form.kind,
        hook=hook,
        bulk=form.bulk,
        bead=Bead(diameter_mm=1e3 * bead_m, metal=form.bead_metal) if bead_m else None,
        length_m=length_m,
        dressing=form.dressing,
        head=form.head,
        trailing_hook=form.trailing_hook,
        weighed_kg=weighed_kg,
        drag_area_m2=area_m2,
        sink_m_s=_jar_test_m_s(form),
        barbless=form.barbless,
        tube=form.tube,
    )
    fallen_m2 = _air_test_m2(form, fly.mass_kg)
    return fly if fallen_m2 is None else fly.evolve(drag_area_m2=fallen_m2)


def _air_test_m2(form: FlyForm, mass_kg: float) -> float | None:
    """The drag area that a fall in still air tells of a fly of this mass, where one was timed."""
    if not form.air_fall.strip() and not form.air_fall_time.strip():
        return None
    with field("air_fall"):
        height_m = parse_length(form.air_fall, form.units)
        if not HEIGHTS_M[0] <= height_m <= HEIGHTS_M[1]:
            raise OutOfRange(
                "That height is out of range for a drop test.", hint="Use 0.5 to 10 m (2 to 33 ft)."
            )
    with field("air_fall_time"):
        return drag_area_of_fall_m2(mass_kg, height_m, parse_seconds(form.air_fall_time))


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
                "That time is too short to measure.",
                hint="Let it fall further, and count several falls.",
            )
    with field("fall"):
        speed = fall_m / seconds
        if not 0.005 <= speed <= 3.0:
            raise OutOfRange(
                f"{Units(form.units).speed(speed).text} isn't a possible sink rate for a fly.",
                hint="Check the distance and the seconds.",
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
                    "That length isn't possible for a sink tip.",
                    hint="Enter 0.5 to 9 m (2 to 30 ft) and a sink rate.",
                )
    head_kg = head_m = level_m = None
    if form.head.strip() or form.head_length.strip():
        with field("head"):
            head_kg = parse_mass(form.head, bare="g")
        with field("head_length"):
            head_m = parse_length(form.head_length, form.units)
    if form.level.strip():
        with field("level"):
            level_m = parse_diameter(form.level, form.units)
    with field("head"):
        line = FlyLine(
            sink_tip_m=sink_tip_m,
            head_kg=head_kg,
            head_m=head_m,
            level_m=level_m,
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
