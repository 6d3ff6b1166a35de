"""When it is light at a place: dawn, sunrise, sunset and dusk, by the astral package.

Dawn and dusk are civil, the sun six degrees below the horizon: light enough to tie on a fly.
"""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import date, datetime, tzinfo

from astral import Observer
from astral.sun import dawn, dusk, elevation, noon, sunrise, sunset

SUN_RADIUS_DEG = 0.833  # half its width and the bending of its light at the horizon


@dataclass(frozen=True, slots=True)
class Light:
    """Times of a day; None where the sun does not come so low or so high that day. ``up`` says
    whether it is above the horizon at noon."""

    dawn: datetime | None
    sunrise: datetime | None
    sunset: datetime | None
    dusk: datetime | None
    up: bool


def light_of(latitude: float, longitude: float, day: date, zone: tzinfo) -> Light:
    """The light of a day at a place, in degrees north and east, in a zone of time."""
    observer = Observer(latitude, longitude)

    def at(event: Callable[..., datetime]) -> datetime | None:
        try:
            return event(observer, date=day, tzinfo=zone)
        except ValueError:
            return None

    highest = elevation(observer, noon(observer, date=day, tzinfo=zone))
    return Light(at(dawn), at(sunrise), at(sunset), at(dusk), highest > -SUN_RADIUS_DEG)
