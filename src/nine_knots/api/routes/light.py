"""/api/v1/places/…/light: when it is light at a water."""

from dataclasses import dataclass
from datetime import datetime
from typing import Annotated

from fastapi import APIRouter, Query

from nine_knots.api.context import CurrentSession
from nine_knots.api.ids import PathId
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.core.base.errors import NotFound, Unreadable
from nine_knots.services.sunlight import Light, light_of
from nine_knots.store.places import read_place

router = APIRouter(prefix="/api/v1/places", tags=["places"], responses=RESPONSES)


@dataclass(frozen=True, slots=True)
class LightAnswer:
    """First and last light and the sun's times as hours and minutes of this machine's clock; empty
    where there is none."""

    dawn: str
    sunrise: str
    sunset: str
    dusk: str
    words: str


@router.get("/{place_id}/light", responses=MISSING, summary="Show sunrise and sunset at a water")
def get_light(
    session: CurrentSession,
    place_id: PathId,
    day: Annotated[str, Query(pattern=r"^(\d{4}-\d\d-\d\d)?$", description="today if empty")] = "",
) -> LightAnswer:
    """By its place on the map."""
    place = session.read(lambda cursor, me: read_place(cursor, me, place_id))
    if place.latitude is None or place.longitude is None:
        raise NotFound(
            "This water has no location.",
            where="latitude",
            hint="Enter its latitude and longitude under Rules and place.",
        )
    now = datetime.now().astimezone()
    try:
        on = datetime.fromisoformat(day) if day else now
    except ValueError as error:
        raise Unreadable(
            f"“{day}” is not a date.", where="day", hint="Write 2026-06-21."
        ) from error
    zone = on.astimezone().tzinfo
    assert zone is not None
    return _answer(light_of(place.latitude, place.longitude, on.date(), zone))


def _answer(light: Light) -> LightAnswer:
    return LightAnswer(*_times(light), light_words(light))


def _times(light: Light) -> tuple[str, str, str, str]:
    dawn, sunrise, sunset, dusk = (
        f"{time:%H:%M}" if time else ""
        for time in (light.dawn, light.sunrise, light.sunset, light.dusk)
    )
    return dawn, sunrise, sunset, dusk


def light_words(light: Light) -> str:
    """When it is light, in a sentence."""
    dawn, sunrise, sunset, dusk = _times(light)
    if sunrise and sunset:
        words = f"Sun up {sunrise}, down {sunset}."
        if dawn and dusk:
            words = f"First light {dawn}, sun up {sunrise}, down {sunset}, last light {dusk}."
        else:
            words += " It does not get dark."
    else:
        words = "The sun does not set." if light.up else "The sun does not rise."
    return words
