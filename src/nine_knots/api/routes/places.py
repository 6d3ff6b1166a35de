"""Waters: stretches, notes at gauge levels, rules and the gauge."""

import uuid
from collections.abc import Callable
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Annotated, Any

from fastapi import APIRouter, Path, Query, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api import place_fields as texts
from nine_knots.api.context import CurrentSession, SavingSession, Session
from nine_knots.api.ids import PathId
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.assess.tide import Tide, tide_at
from nine_knots.core.base.errors import NotFound, Unreadable
from nine_knots.core.base.prose import count_words
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_length
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.places import (
    Behind,
    CastingRoom,
    Hazard,
    LevelNote,
    Place,
    PlaceKind,
    RiverStretch,
)
from nine_knots.core.domain.situation import (
    Bed,
    Clarity,
    Snags,
    Water,
    WaterKind,
    WaterRules,
)
from nine_knots.core.domain.tackle import FishKind
from nine_knots.store.places import (
    add_place,
    delete_place,
    list_places,
    read_place,
    write_place,
)
from nine_knots.words.places import PlaceReading, place_reading, stretch_texts

router = APIRouter(prefix="/api/v1/places", tags=["places"], responses=RESPONSES)
StretchId = Annotated[str, Path(pattern=r"^[a-z0-9][a-z0-9_-]{0,39}$")]


class PlaceForm(Form):
    """A water: its name, what it is, its rules."""

    title: Typed = Field(min_length=1, examples=["The Skarn"])
    kind: PlaceKind = "river"
    rules: WaterRules = WaterRules()
    latitude: Typed = Field(default="", description="degrees north", examples=["63.2"])
    longitude: Typed = Field(default="", description="degrees east", examples=["14.6"])
    notes: str = Field(default="", max_length=2000)


class StretchForm(Form):
    """A stretch as typed: depth and pace in words or figures, pace also by a stick."""

    stretch_id: str = Field(default="", max_length=40)
    title: Typed = Field(min_length=1, examples=["the alder pool, head"])
    kind: WaterKind = "run"
    depth: Typed = Field(examples=["waist-deep", "3 ft"])
    pace: Typed = Field(examples=["walking pace", "8 s for 10 steps"])
    bed: Bed = "gravel"
    clarity: Clarity = "clear"
    snags: Snags = "open"
    behind: Behind = "open"
    bank: Typed = ""
    fish: TupleOf[FishKind] = Field(default=(), max_length=12)
    hazards: TupleOf[Hazard] = Field(default=(), max_length=10)
    own_rules: WaterRules | None = None
    notes: str = Field(default="", max_length=2000)
    units: System = "imperial"


class LevelForm(Form):
    """What a stretch was like at a level."""

    level: Typed = Field(examples=["0.62 m"])
    depth: Typed = Field(examples=["waist-deep"])
    pace: Typed = Field(default="", examples=["brisk walking pace"])
    units: System = "imperial"


@dataclass(frozen=True, slots=True)
class PlaceCard:
    """A water in a line."""

    place_id: str
    title: str
    words: str


@router.get("", summary="List waters")
def get_places(session: CurrentSession) -> tuple[PlaceCard, ...]:
    """By name."""
    return tuple(
        PlaceCard(
            place_id,
            place.title,
            f"{place.kind}, {count_words(len(place.stretches), 'stretch', 'stretches')}",
        )
        for place_id, place in session.read(list_places)
    )


@router.post("", summary="Add a water")
def post_place(session: SavingSession, form: PlaceForm) -> PlaceReading:
    """Without a stretch as yet."""
    place = Place(**_fields(form))
    return session.save(
        lambda cursor, me: add_place(cursor, me, place),
        lambda cursor, me, made: _reading(cursor, me, made, None, "imperial"),
    )


@router.get("/{place_id}", responses=MISSING, summary="Show a water at a level")
def get_place(
    session: CurrentSession,
    place_id: PathId,
    level: Annotated[str, Query(max_length=60, description="as typed; empty: as usual")] = "",
    high: Annotated[str, Query(max_length=20, description="by the sea: high water, 06:10")] = "",
    low: Annotated[str, Query(max_length=20, description="low water")] = "",
    at: Annotated[str, Query(max_length=20, description="the time it is for")] = "",
    units: System = "imperial",
) -> PlaceReading:
    """Its stretches: as they usually are, and as the notes say they are at this level; by the sea
    with the current between high and low water."""
    level_m = texts.level_m(level, units, "level") if level.strip() else None
    tide = None
    if high.strip() and low.strip() and at.strip():
        times = {"high": high, "low": low, "at": at}
        tide = tide_at(*(texts.minute_of_day(text, name) for name, text in times.items()))
    return session.read(lambda cursor, me: _reading(cursor, me, place_id, level_m, units, tide))


@router.put("/{place_id}", responses=MISSING, summary="Change a water")
def put_place(session: CurrentSession, place_id: PathId, form: PlaceForm) -> PlaceReading:
    """Its name, kind, rules and notes; the stretches stay."""
    fields = _fields(form)
    return changed_place(session, place_id, lambda place: place.evolve(**fields), "imperial")


@router.delete("/{place_id}", status_code=204, responses=MISSING, summary="Delete a water")
def remove_place(session: CurrentSession, place_id: PathId) -> Response:
    """With its stretches and notes."""
    session.write(lambda cursor, me: delete_place(cursor, me, place_id))
    return Response(status_code=204)


@router.post("/{place_id}/stretches", responses=MISSING, summary="Add or change a stretch")
def post_stretch(session: SavingSession, place_id: PathId, form: StretchForm) -> PlaceReading:
    """At the end of the others, or in its place; what was noted of it at levels stays."""
    depth_m, pace = texts.depth_m(form.depth, form.units), texts.pace_m_s(form.pace, form.units)
    bank_m = 0.0
    if form.bank.strip():
        with field("bank"):
            bank_m = parse_length(form.bank, form.units)
    fresh = f"s-{uuid.uuid4().hex[:10]}"

    def changed(place: Place) -> Place:
        old = place.stretch(form.stretch_id)
        if form.stretch_id and old is None:
            raise _no_stretch()
        water = _water(form, depth_m, pace, old)
        with field("title"):
            made = RiverStretch(
                stretch_id=old.stretch_id if old else fresh,
                title=form.title.strip(),
                water=water,
                levels=old.levels if old else (),
                room=CastingRoom(behind=form.behind, bank_m=bank_m),
                fish=form.fish,
                hazards=form.hazards,
                own_rules=form.own_rules,
                notes=form.notes,
            )
            kept = [made if stretch is old else stretch for stretch in place.stretches]
            return place.evolve(stretches=(*kept, *(() if old else (made,))))

    def write(cursor: DictCursor, me: str) -> str:
        write_place(cursor, me, place_id, changed(read_place(cursor, me, place_id)))
        return place_id

    return session.save(
        write, lambda cursor, me, made: _reading(cursor, me, made, None, form.units)
    )


@router.delete("/{place_id}/stretches/{stretch_id}", responses=MISSING, summary="Delete a stretch")
def remove_stretch(
    session: CurrentSession, place_id: PathId, stretch_id: StretchId, units: System = "imperial"
) -> PlaceReading:
    """With what was noted of it."""

    def without(place: Place) -> Place:
        if place.stretch(stretch_id) is None:
            raise _no_stretch()
        kept = tuple(stretch for stretch in place.stretches if stretch.stretch_id != stretch_id)
        return place.evolve(stretches=kept)

    return changed_place(session, place_id, without, units)


@router.post(
    "/{place_id}/stretches/{stretch_id}/levels",
    responses=MISSING,
    summary="Add a note about a stretch at a level",
)
def post_level(
    session: SavingSession, place_id: PathId, stretch_id: StretchId, form: LevelForm
) -> PlaceReading:
    """From two or more notes depth and pace at other levels follow."""
    note = LevelNote(
        level_m=texts.level_m(form.level, form.units, "level"),
        depth_m=texts.depth_m(form.depth, form.units),
        pace_m_s=texts.pace_m_s(form.pace, form.units) if form.pace.strip() else None,
        noted_on=datetime.now(UTC).date().isoformat(),
    )

    def write(cursor: DictCursor, me: str) -> str:
        place = read_place(cursor, me, place_id)
        write_place(cursor, me, place_id, _with_notes(place, stretch_id, add=note))
        return place_id

    return session.save(
        write, lambda cursor, me, made: _reading(cursor, me, made, note.level_m, form.units)
    )


@router.delete(
    "/{place_id}/stretches/{stretch_id}/levels/{number}",
    responses=MISSING,
    summary="Delete a note",
)
def remove_level(
    session: CurrentSession,
    place_id: PathId,
    stretch_id: StretchId,
    number: Annotated[int, Path(ge=0, lt=60)],
    units: System = "imperial",
) -> PlaceReading:
    """By its number in the list."""
    return changed_place(
        session, place_id, lambda place: _with_notes(place, stretch_id, drop=number), units
    )


def _water(form: StretchForm, depth_m: float, pace_m_s: float, old: RiverStretch | None) -> Water:
    """A stretch's usual water; a figure that was not touched stays as exact as it was."""
    if old is not None:
        shown = stretch_texts(old, Units(form.units))
        depth_m = old.water.depth_m if form.depth == shown.depth else depth_m
        pace_m_s = old.water.pace_m_s if form.pace == shown.pace else pace_m_s
    return Water(
        kind=form.kind,
        depth_m=depth_m,
        pace_m_s=pace_m_s,
        bed=form.bed,
        clarity=form.clarity,
        snags=form.snags,
    )


def changed_place(
    session: Session, place_id: str, change: Callable[[Place], Place], units: System
) -> PlaceReading:
    """A water changed and written; its reading as it usually is."""

    def write(cursor: DictCursor, me: str) -> PlaceReading:
        place = change(read_place(cursor, me, place_id))
        write_place(cursor, me, place_id, place)
        return place_reading(place_id, place, None, Units(units))

    return session.write(write)


def _with_notes(
    place: Place, stretch_id: str, add: LevelNote | None = None, drop: int | None = None
) -> Place:
    old = place.stretch(stretch_id)
    if old is None:
        raise _no_stretch()
    if drop is not None and drop >= len(old.levels):
        raise NotFound("That note doesn't exist.", where="number")
    kept = tuple(note for number, note in enumerate(old.levels) if number != drop)
    with field("level"):
        made = old.evolve(levels=(*kept, *((add,) if add else ())))
    stretches = tuple(made if stretch is old else stretch for stretch in place.stretches)
    return place.evolve(stretches=stretches)


def _reading(
    cursor: DictCursor,
    me: str,
    place_id: str,
    level_m: float | None,
    units: System,
    tide: Tide | None = None,
) -> PlaceReading:
    place = read_place(cursor, me, place_id)
    return place_reading(place_id, place, level_m, Units(units), tide)


def _fields(form: PlaceForm) -> dict[str, Any]:
    latitude = texts.degrees(form.latitude, 90.0, "latitude")
    longitude = texts.degrees(form.longitude, 180.0, "longitude")
    if (latitude is None) != (longitude is None):
        raise Unreadable(
            "A location needs both latitude and longitude.",
            where="longitude",
            hint="Enter both, or neither.",
        )
    return {
        "title": form.title.strip(),
        "kind": form.kind,
        "rules": form.rules,
        "latitude": latitude,
        "longitude": longitude,
        "notes": form.notes,
    }


def _no_stretch() -> NotFound:
    return NotFound(
        "That stretch doesn't exist.", where="stretch_id", hint="Choose one of the water."
    )
