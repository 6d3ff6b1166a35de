"""/api/v1/instruments: micrometer and scale on a serial line, found, shown live, lost and back."""

import time
from collections.abc import Iterator
from dataclasses import dataclass
from threading import Lock
from typing import Annotated

from fastapi import APIRouter, Query, Request, Response
from fastapi.sse import EventSourceResponse, format_sse_event
from pydantic import TypeAdapter
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.routes.pull_scale import ADDRESS
from nine_knots.core.base.errors import TooBusy
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.strand import Spool, Strand
from nine_knots.core.domain.tackle import Fly
from nine_knots.instruments.ports import Plugged, plugged_in
from nine_knots.instruments.reading_stream import InstrumentReading, Kind, State, follow_instrument
from nine_knots.simulated.bench_instrument import BenchInstrument, Trick
from nine_knots.store.stock import find_stock
from nine_knots.store.tackle import list_tackle

router = APIRouter(prefix="/api/v1/instruments", tags=["measuring"], responses=RESPONSES)
LONGEST_S = 600.0
USUAL_STRAND_M, USUAL_FLY_KG = 1.52e-4, 2e-4
WORDS: dict[State, str] = {
    "live": "reads",
    "moving": "not at rest yet",
    "taken": "taken",
    "silent": "It sends nothing. Wake it, or check its battery.",
    "rubbish": "It sends unreadable data. Set it to send lines such as L +0.158 mm.",
    "gone": "It isn't connected. Plug it in; it is found automatically.",
}
_listening: set[str] = set()
_lock = Lock()


@dataclass(frozen=True, slots=True)
class InstrumentList:
    """Serial devices that are plugged in; without one, the simulated instrument serves."""

    devices: tuple[Plugged, ...]
    words: str


@dataclass(frozen=True, slots=True)
class InstrumentState:
    """How the instrument is now: its state, its reading as it is typed, what to do."""

    state: State
    reading: str
    words: str


LIVE = TypeAdapter(InstrumentState)


@router.get("", summary="List connected instruments")
def get_instruments() -> InstrumentList:
    """Devices on serial lines of this machine."""
    devices = plugged_in()
    words = (
        "Choose its port."
        if devices
        else "No instrument is connected. Try it with the simulated one."
    )
    return InstrumentList(devices, words)


@router.get(
    "/live",
    response_class=Response,
    responses={200: {"content": {"text/event-stream": {"schema": {}}}}, 429: WORKED_OUT[429]},
    summary="Read an instrument live",
)
def get_live(
    request: Request,
    session: CurrentSession,
    kind: Kind,
    address: Annotated[str, Query(pattern=ADDRESS, max_length=140)] = "",
    of_id: Annotated[str, Query(max_length=40, description="for the simulated one")] = "",
    trick: Annotated[Trick, Query(description="how the simulated one behaves")] = "none",
    units: System = "imperial",
) -> EventSourceResponse:
    """``live`` events with a reading, until whoever asked leaves: unplugged, it is looked for
    again, and shown when it is back."""
    until = time.monotonic() + LONGEST_S
    if address:
        _take(address)
        seen = follow_instrument(address, kind, lambda: time.monotonic() < until)
    else:
        simulated = _simulated(request, kind, trick)
        has = session.read(lambda cursor, me: _has(cursor, me, kind, of_id))
        seen = follow_instrument(simulated.address, kind, lambda: time.monotonic() < until, (has,))
    return EventSourceResponse(_events(seen, address, kind, Units(units)))


def _take(address: str) -> None:
    with _lock:
        if address in _listening:
            raise TooBusy(
                "That instrument is already in use.",
                retry_s=2,
                hint="Close the other window that reads it.",
            )
        _listening.add(address)


def _events(
    seen: Iterator[InstrumentReading], address: str, kind: Kind, units: Units
) -> Iterator[bytes]:
    try:
        last: InstrumentState | None = None
        for sighting in seen:
            now = _live(sighting, kind, units)
            if now != last or now.state == "taken":
                yield format_sse_event(event="live", data_str=LIVE.dump_json(now).decode())
            else:
                yield format_sse_event(comment="")
            last = now
    finally:
        with _lock:
            _listening.discard(address)


def _live(sighting: InstrumentReading, kind: Kind, units: Units) -> InstrumentState:
    reading = ""
    if sighting.value is not None:
        reading = (
            units.finely(abs(sighting.value))
            if kind == "micrometer"
            else f"{1e3 * sighting.value:.3f} g"
        )
    return InstrumentState(sighting.state, reading, WORDS[sighting.state])


def _has(cursor: DictCursor, me: str, kind: Kind, of_id: str) -> str:
    """What the simulated instrument has in its jaws or on its pan: the strand or the fly asked for,
    a little unlike label and tables, as they are."""
    if kind == "scale":
        item = dict(list_tackle(cursor, me)).get(of_id)
        mass_kg = item.mass_kg if isinstance(item, Fly) else USUAL_FLY_KG
        return f"HAS {1e3 * 1.06 * mass_kg:.4f} 0.001"
    spool = find_stock(cursor, me, of_id)
    across_m = _truly_m(spool.strand) if isinstance(spool, Spool) else USUAL_STRAND_M
    return f"HAS {1e3 * across_m:.4f} 0.001"


def _truly_m(strand: Strand) -> float:
    if strand.across_by is not None:
        return strand.diameter_m
    off = (sum(map(ord, strand.spool_id or "")) % 11 - 4) / 100.0
    return strand.diameter_m * (1.0 + off)


def _simulated(request: Request, kind: Kind, trick: Trick) -> BenchInstrument:
    """The simulated instrument, plugged in once and used again."""
    shelf: dict[Kind, BenchInstrument] = request.app.state.simulated
    if kind not in shelf:
        shelf[kind] = BenchInstrument("mm" if kind == "micrometer" else "g")
    shelf[kind].trick = trick
    return shelf[kind]
