"""Instruments on a serial line: one reading a line of ASCII, live until they drop out and back.

``L +0.158 mm`` is a reading as it stands now, ``D +0.158 mm`` one that was taken by the button on
the instrument. Micrometers and calipers speak in ``mm`` or ``in``, scales in ``g``, ``mg`` or
``gr``; an ``U`` at the end says that the reading has not come to rest. Any pyserial address serves:
``/dev/ttyUSB0``, ``socket://127.0.0.1:4711``, ``loop://``.
"""

import re
import time
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Literal

import serial

from nine_knots.core.base.units.factors import GRAIN_KG, INCH_M
from nine_knots.instruments.ports import open_port

Kind = Literal["micrometer", "scale"]
State = Literal["live", "moving", "taken", "silent", "rubbish", "gone"]
LINE = re.compile(r"^([LD]) ([+-]?\d{1,7}(?:\.\d{1,6})?) (mm|in|g|mg|gr)( U)?$")
UNITS: dict[Kind, dict[str, float]] = {
    "micrometer": {"mm": 1e-3, "in": INCH_M},
    "scale": {"g": 1e-3, "mg": 1e-6, "gr": GRAIN_KG},
}
MOST: dict[Kind, float] = {"micrometer": 0.3, "scale": 0.5}  # metres, kilograms
READ_S, SILENT_S, AGAIN_S = 0.25, 2.0, 0.5
MOST_RUBBISH = 6  # unreadable lines on end
LONGEST = 200  # bytes without an end of line are no line


@dataclass(frozen=True, slots=True)
class InstrumentReading:
    """How an instrument is, and its reading in metres or kilograms where it has one."""

    state: State
    value: float | None = None


def read_line(text: str, kind: Kind) -> InstrumentReading | None:
    """What a line says; None where it is no reading of this kind of instrument."""
    found = LINE.match(text.strip())
    if found is None or found[3] not in UNITS[kind]:
        return None
    value = float(found[2]) * UNITS[kind][found[3]]
    if not -MOST[kind] <= value <= MOST[kind]:
        return None
    state: State = "taken" if found[1] == "D" else "moving" if found[4] else "live"
    return InstrumentReading(state, value)


def follow_instrument(
    address: str, kind: Kind, on: Callable[[], bool], say: tuple[str, ...] = ()
) -> Iterator[InstrumentReading]:
    """An instrument as it is, from now on while ``on``: unplugged, it is looked for again.

    Something is said every quarter of a second at least, so that whoever listens can leave.
    ``say`` are lines to send whenever it is there (again).
    """
    while on():
        try:
            with open_port(address, READ_S) as port:
                for line in say:
                    port.write(f"{line}\r\n".encode())
                yield from _readings(port, kind, on)
        except (serial.SerialException, OSError, ValueError):
            yield InstrumentReading("gone")
            time.sleep(AGAIN_S)


def _readings(
    port: serial.SerialBase, kind: Kind, on: Callable[[], bool]
) -> Iterator[InstrumentReading]:
    rubbish, heard_at, last = 0, time.monotonic(), InstrumentReading("silent")
    started = b""
    while on():
        raw = started + port.readline(LONGEST)
        whole = raw.endswith(b"\n") or len(raw) >= LONGEST
        started = b"" if whole else raw  # half a line waits for its other half
        if not whole:
            if time.monotonic() - heard_at > SILENT_S:
                last = InstrumentReading("silent")
            yield last
            continue
        heard_at = time.monotonic()
        found = read_line(raw.decode("ascii", "replace"), kind)
        if found is None:
            rubbish += 1
            if rubbish >= MOST_RUBBISH:
                last = InstrumentReading("rubbish")
                yield last
            continue
        rubbish, last = (
            0,
            InstrumentReading("live", found.value) if found.state == "taken" else found,
        )
        yield found
