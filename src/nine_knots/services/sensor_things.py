"""A river's level from a SensorThings service (OGC SensorThings API, part 1: Sensing, 1.1).

Datastreams are listed with the thing that each is of; the newest observations of one are read by
phenomenon time. Whatever a service answers is checked: an answer that is too large, no JSON, no
number, of no time or of a level that no water has is refused by name, and changes nothing.
"""

import json
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from datetime import UTC, datetime
from math import isfinite
from typing import Any
from urllib.parse import quote

import httpx

from nine_knots.core.base.errors import CannotCompute
from nine_knots.services.outbound import outbound_client

MOST_BYTES = 1_000_000
MOST_STREAMS, MOST_OBSERVATIONS = 100, 200
LOW_M, HIGH_M = -20.0, 60.0
METRES = {"m": 1.0, "metre": 1.0, "meter": 1.0, "cm": 0.01, "mm": 0.001, "ft": 0.3048}


class LevelTrouble(CannotCompute):
    """The service cannot be read: what, and the mend."""


@dataclass(frozen=True, slots=True)
class Datastream:
    """A series of observations: its id, what it is of, its unit and what that is in metres, which
    is None where the unit is none of length."""

    key: str
    title: str
    unit: str
    metres: float | None


@dataclass(frozen=True, slots=True)
class Observation:
    """A level in metres and when it was."""

    level_m: float
    at: datetime


def list_datastreams(base: str, public_only: bool = False) -> tuple[Datastream, ...]:
    """All datastreams of a service whose unit is a length first, the others after; with
    ``public_only`` of one on the open internet."""
    found = _ask(
        f"{base.rstrip('/')}/Datastreams",
        {"$expand": "Thing", "$top": str(MOST_STREAMS)},
        public_only,
    )
    with _understood():
        streams = [_stream(row) for row in found["value"][:MOST_STREAMS]]
    return tuple(sorted(streams, key=lambda stream: (stream.metres is None, stream.title)))


def read_levels(
    base: str, datastream: str, metres: float, most: int = 1, public_only: bool = False
) -> tuple[Observation, ...]:
    """The newest observations of a datastream, the newest first; those without a time or a number
    are left out, and LevelTrouble says so where none is left."""
    key = datastream if datastream.lstrip("-").isdigit() else f"'{datastream}'"
    found = _ask(
        f"{base.rstrip('/')}/Datastreams({quote(key, safe=chr(39))})/Observations",
        {"$orderby": "phenomenonTime desc", "$top": str(min(MOST_OBSERVATIONS, most))},
        public_only,
    )
    with _understood():
        rows = found["value"][:MOST_OBSERVATIONS]
        read = [one for row in rows if (one := _observation(row, metres)) is not None]
    if not rows:
        raise LevelTrouble(
            "The gauge has no observations.", where="gauge", hint="Type the level instead."
        )
    if not read:
        raise LevelTrouble(
            "The gauge reports impossible levels.",
            where="gauge",
            hint="Check its unit and datastream, or type the level.",
        )
    return tuple(sorted(read, key=lambda observation: observation.at, reverse=True))


def _stream(row: dict[str, Any]) -> Datastream:
    unit = row.get("unitOfMeasurement") or {}
    symbol = str(unit.get("symbol") or unit.get("name") or "")[:20]
    thing = str((row.get("Thing") or {}).get("name") or "")
    name = str(row.get("name") or row["@iot.id"])
    title = f"{thing}: {name}" if thing and thing != name else name
    return Datastream(str(row["@iot.id"])[:100], title[:80], symbol, METRES.get(symbol.lower()))


def _observation(row: dict[str, Any], metres: float) -> Observation | None:
    result, when = row.get("result"), str(row.get("phenomenonTime") or row.get("resultTime") or "")
    if isinstance(result, bool) or not isinstance(result, int | float) or not isfinite(result):
        return None
    level_m = metres * float(result)
    try:
        at = datetime.fromisoformat(when.split("/")[-1].replace("Z", "+00:00"))
    except ValueError:
        return None
    if not LOW_M <= level_m <= HIGH_M:
        return None
    return Observation(level_m, at if at.tzinfo else at.replace(tzinfo=UTC))


def _ask(url: str, query: dict[str, str], public_only: bool) -> Any:
    try:
        with (
            outbound_client(public_only) as client,
            client.stream("GET", url, params=query, headers={"accept": "application/json"}) as sent,
        ):
            if sent.status_code != 200:
                raise LevelTrouble(
                    f"The service answers with status {sent.status_code}.",
                    where="gauge",
                    hint="Check its address. It usually ends in /v1.1.",
                )
            body = bytearray()
            for part in sent.iter_bytes():
                body += part
                if len(body) > MOST_BYTES:
                    raise LevelTrouble(
                        "The service's answer is too large.",
                        where="gauge",
                        hint="Check its address.",
                    )
    except (httpx.HTTPError, httpx.InvalidURL, UnicodeError) as lost:
        raise LevelTrouble(
            "The service can't be reached.",
            where="gauge",
            hint="Check its address and this machine's network, or type the level.",
        ) from lost
    with _understood():
        return json.loads(body)


@contextmanager
def _understood() -> Iterator[None]:
    """Whatever is not as the standard has it is one trouble."""
    try:
        yield
    except (ValueError, LookupError, TypeError, AttributeError, RecursionError) as odd:
        raise LevelTrouble(
            "The service doesn't answer as a SensorThings service.",
            where="gauge",
            hint="Check its address. It usually ends in /v1.1.",
        ) from odd
