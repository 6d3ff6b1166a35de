"""Bench measurements: check a reading, show what it means, and keep it with its spread."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Annotated, Literal, TypeVar

from fastapi import APIRouter, Query
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.errors import NotFound, Unreadable
from nine_knots.core.base.limits import Key, Title
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_diameter, parse_length, parse_mass
from nine_knots.core.base.units.parse import parse_seconds
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.strand import Spool
from nine_knots.core.domain.tackle import Fly, FlyLine, line_profile
from nine_knots.core.measuring.droop import DroopReadings, bend_from, mass_deviation, with_bend
from nine_knots.core.measuring.jar import JarReadings, sink_rate_from
from nine_knots.core.measuring.measurement import Instrument, Measurement, Readings
from nine_knots.core.measuring.micrometer import (
    MicrometerReadings,
    diameter_from,
    with_diameter,
)
from nine_knots.core.measuring.stretch import StretchReadings, modulus_from, with_modulus
from nine_knots.core.measuring.weighing import ScaleReadings, mass_from
from nine_knots.store.ledger import put_stock
from nine_knots.store.measurements import add_measurement, list_measurements
from nine_knots.store.stock import read_spool
from nine_knots.store.tackle import put_tackle, read_tackle
from nine_knots.words.measurements import (
    MeasurementReading,
    belly_reading,
    bend_reading,
    diameter_reading,
    mass_reading,
    modulus_reading,
    sink_rate_reading,
    tip_reading,
)

router = APIRouter(prefix="/api/v1/measure", tags=["measuring"], responses=RESPONSES)
Texts = TupleOf[Typed]
Owned = Spool | FlyLine | Fly
Thing = TypeVar("Thing", Spool, FlyLine, Fly)
MOST_SHOWN = 40
LINE_MASS_OFF = 0.05  # of a line's mass a metre, by its weight's standard [M]


class MeasurementTarget(Form):
    """What is measured, by its id; with ``keep``, the readings and what they say are kept."""

    of_id: Key
    keep: bool = False
    units: System = "imperial"


class MicrometerForm(MeasurementTarget):
    """Readings round a spool's strand, place by place; empty ones are not there yet."""

    places: TupleOf[Texts] = Field(max_length=12, examples=[[["0.158 mm", "0.160 mm"]]])


class DroopForm(MeasurementTarget):
    """A spool's strand, a line's tip or its belly, clamped level: free length, and drops of its
    end."""

    of: Literal["spool", "line", "belly"] = Field(description="`line` is a line's tip")
    length: Typed = Field(examples=["5 in"])
    drops: Texts = Field(max_length=24, examples=[["1¼ in"]])


class JarForm(MeasurementTarget):
    """A fly's fall between two marks, and how long it took."""

    fall: Typed = Field(examples=["10 in"])
    times: Texts = Field(max_length=12, examples=[["0.8 s"]])


class StretchingForm(MeasurementTarget):
    """A length of a spool's strand, the weight on it, how much longer it was then and after."""

    length: Typed = Field(examples=["1 m"])
    mass: Typed = Field(examples=["200 g"])
    longer: Typed = Field(examples=["22 mm"])
    stays: Typed = ""


class WeighingForm(MeasurementTarget):
    """A fly's weights, dry and wet."""

    dry: Texts = Field(default=(), max_length=12)
    wet: Texts = Field(default=(), max_length=12, examples=[["0.24 g"]])


@dataclass(frozen=True, slots=True)
class MeasuredAnswer:
    """The figure as it is kept, what else there is to say, and whether it was kept."""

    figure: str
    words: tuple[str, ...]
    kept: bool


@dataclass(frozen=True, slots=True)
class MeasuredLine:
    """A measurement of before."""

    instrument: Instrument
    title: Title
    day: str
    words: str


@dataclass(frozen=True, slots=True)
class _Read:
    """What readings came to: the thing as it is known now, and what is told."""

    of: Literal["spool", "line", "fly"]
    thing: Owned
    readings: Readings
    told: MeasurementReading


@router.get("", summary="List measurements")
def get_measurements(
    session: CurrentSession,
    of_id: Annotated[str | None, Query(max_length=40, description="of one thing only")] = None,
) -> tuple[MeasuredLine, ...]:
    """Of one thing or of all, the newest first."""
    kept = session.read(lambda cursor, me: list_measurements(cursor, me, of_id, MOST_SHOWN))
    return tuple(
        MeasuredLine(
            kept_measurement.measurement.readings.instrument,
            kept_measurement.measurement.title,
            f"{kept_measurement.taken_at:%Y-%m-%d}",
            kept_measurement.measurement.words,
        )
        for kept_measurement in kept
    )


@router.post("/micrometer", responses=MISSING, summary="Measure a strand's diameter")
def post_micrometer(session: SavingSession, form: MicrometerForm) -> MeasuredAnswer:
    """Mean, spread, ovality, beside the label; the strand is that thick from then on."""
    places = []
    for number, texts in enumerate(form.places):
        read = _several(texts, f"places.{number}", lambda text: parse_diameter(text, form.units))
        if read:
            places.append(read)
    if not places:
        raise Unreadable("There is no reading yet.", where="places", hint="Take one reading.")
    readings = MicrometerReadings(places=tuple(places))

    def read_of(cursor: DictCursor, me: str) -> _Read:
        spool = read_spool(cursor, me, form.of_id)
        found = diameter_from(readings)
        strand = with_diameter(spool.strand, found)
        told = diameter_reading(found, spool.strand, Units(form.units))
        return _Read("spool", spool.evolve(strand=strand), readings, told)

    return _answer(session, form, read_of)


@router.post("/droop", responses=MISSING, summary="Measure the stiffness of a strand or a line tip")
def post_droop(session: SavingSession, form: DroopForm) -> MeasuredAnswer:
    """Bending stiffness by the heavy elastica, with its uncertainty."""
    with field("length"):
        length_m = parse_length(form.length, form.units)
    drops = _several(form.drops, "drops", lambda text: parse_length(text, form.units))
    if not drops:
        raise Unreadable(
            "There is no droop reading yet.", where="drops", hint="Read how far the end droops."
        )
    with field("length"):
        readings = DroopReadings(length_m=length_m, drops_m=drops, belly=form.of == "belly")

    def read_of(cursor: DictCursor, me: str) -> _Read:
        if form.of != "spool":
            return _line_droop(_tackle(cursor, me, form.of_id, FlyLine), readings)
        spool = read_spool(cursor, me, form.of_id)
        strand = spool.strand
        found = bend_from(readings, strand.mass_kg_m(strand.diameter_m), mass_deviation(strand))
        with field("drops"):
            stiff = with_bend(strand, found)
        return _Read("spool", spool.evolve(strand=stiff), readings, bend_reading(found, strand))

    return _answer(session, form, read_of)


def _line_droop(line: FlyLine, readings: DroopReadings) -> _Read:
    profile = line_profile(line)
    mass_kg_m = profile.belly_mass_kg_m if readings.belly else profile.tip_mass_kg_m
    found = bend_from(readings, mass_kg_m, mass_off=LINE_MASS_OFF)
    if readings.belly:
        made = line.evolve(belly_bend_nm2=found.bend_nm2, belly_by=found.measured)
        return _Read("line", made, readings, belly_reading(found, line))
    made = line.evolve(tip_bend_nm2=found.bend_nm2, tip_by=found.measured)
    return _Read("line", made, readings, tip_reading(found, line))


@router.post("/jar", responses=MISSING, summary="Measure a fly's sink rate")
def post_jar(session: SavingSession, form: JarForm) -> MeasuredAnswer:
    """From times over a measured fall; its drag in the water follows."""
    with field("fall"):
        fall_m = parse_length(form.fall, form.units)
    times = _several(form.times, "times", parse_seconds)
    if not times:
        raise Unreadable("No fall has been timed yet.", where="times", hint="Time one fall.")
    with field("fall"):
        readings = JarReadings(fall_m=fall_m, times_s=times)

    def read_of(cursor: DictCursor, me: str) -> _Read:
        fly = _tackle(cursor, me, form.of_id, Fly)
        found = sink_rate_from(readings)
        made = fly.evolve(sink_m_s=found.speed_m_s, sink_by=found.measured)
        return _Read("fly", made, readings, sink_rate_reading(found, fly, Units(form.units)))

    return _answer(session, form, read_of)


@router.post("/stretch", responses=MISSING, summary="Measure a strand's stretch")
def post_stretching(session: SavingSession, form: StretchingForm) -> MeasuredAnswer:
    """Stiffness by a weight on a length, and the set that stays."""
    with field("length"):
        length_m = parse_length(form.length, form.units)
    with field("mass"):
        mass_kg = parse_mass(form.mass, form.units, bare="g")
    with field("longer"):
        longer_m = parse_length(form.longer, form.units)
    with field("stays"):
        none = form.stays.strip() in ("", "0", "none")
        stays_m = 0.0 if none else parse_length(form.stays, form.units)
    with field("mass"):
        readings = StretchReadings(
            length_m=length_m, mass_kg=mass_kg, longer_m=longer_m, stays_m=stays_m
        )

    def read_of(cursor: DictCursor, me: str) -> _Read:
        spool = read_spool(cursor, me, form.of_id)
        found = modulus_from(readings, spool.strand)
        with field("longer"):
            strand = with_modulus(spool.strand, found)
        told = modulus_reading(found, spool.strand)
        return _Read("spool", spool.evolve(strand=strand), readings, told)

    return _answer(session, form, read_of)


@router.post("/scale", responses=MISSING, summary="Weigh a fly")
def post_weighing(session: SavingSession, form: WeighingForm) -> MeasuredAnswer:
    """Wet, as it is cast, and dry."""
    dry, wet = (
        _several(texts, name, lambda text: parse_mass(text, form.units, bare="g"))
        for name, texts in (("dry", form.dry), ("wet", form.wet))
    )
    with field("wet"):
        if not dry and not wet:
            raise Unreadable("There is no weight yet.", hint="Weigh it once, preferably wet.")
        readings = ScaleReadings(dry_kg=dry, wet_kg=wet)

    def read_of(cursor: DictCursor, me: str) -> _Read:
        fly = _tackle(cursor, me, form.of_id, Fly)
        found = mass_from(readings)
        told = mass_reading(found, fly, Units(form.units))
        return _Read("fly", fly.evolve(weighed_kg=found.mass_kg), readings, told)

    return _answer(session, form, read_of)


def _answer(
    session: SavingSession, form: MeasurementTarget, read_of: Callable[[DictCursor, str], _Read]
) -> MeasuredAnswer:
    if not form.keep:
        told = session.read(read_of).told
        return MeasuredAnswer(told.figure, told.words, kept=False)

    def keep(cursor: DictCursor, me: str) -> str:
        read = read_of(cursor, me)
        made = Measurement(
            of=read.of,
            of_id=form.of_id,
            title=read.thing.title,
            readings=read.readings,
            words=f"{read.told.figure}. {' '.join(read.told.words)}"[:400],
        )
        add_measurement(cursor, me, made)
        if isinstance(read.thing, Spool):
            put_stock(cursor, me, read.thing)
        else:
            put_tackle(cursor, me, form.of_id, read.thing)
        return form.of_id

    def told_of(cursor: DictCursor, me: str, of_id: str) -> MeasuredAnswer:
        figure, _, words = list_measurements(cursor, me, of_id, 1)[0].measurement.words.partition(
            ". "
        )
        return MeasuredAnswer(figure, (words,), kept=True)

    return session.save(keep, told_of)


def _several(texts: Texts, where: str, parse: Callable[[str], float]) -> tuple[float, ...]:
    read = []
    for number, text in enumerate(texts):
        if text.strip():
            with field(f"{where}.{number}"):
                read.append(parse(text))
    return tuple(read)


def _tackle(cursor: DictCursor, me: str, tackle_id: str, kind: type[Thing]) -> Thing:
    item = read_tackle(cursor, me, tackle_id)
    if not isinstance(item, kind):
        raise NotFound("That fly or line isn't in the kit.", where="of_id")
    return item
