"""A pull scale on a serial line: its peak reading, or what is the matter with it.

The scale sends a line of ASCII ten times a second or so: ``F +0012.34 N`` for the force now,
``P +0041.80 N`` once for the peak when it has fallen to nothing again. Newtons, pounds (``lb``)
and kilograms (``kg``) are understood. Any pyserial address serves: ``/dev/ttyUSB0``,
``socket://127.0.0.1:4711``.
"""

import re
import time

import serial

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import KILO_N, POUND_N
from nine_knots.instruments.ports import open_port

LINE = re.compile(r"^([FP]) ([+-]?\d+(?:\.\d+)?) (N|lb|kg)$")
NEWTONS = {"N": 1.0, "lb": POUND_N, "kg": KILO_N}
SILENT_S = 2.0  # without a line, it has fallen silent
MOST_RUBBISH = 12  # unreadable lines on end
STRONGEST_N = 5000.0


class ScaleTrouble(CannotCompute):
    """The scale cannot be read: what, and the mend."""


def read_line(line: str) -> tuple[str, float] | None:
    """``F`` or ``P`` and the force in newtons; None where the line is not readable."""
    match = LINE.match(line.strip())
    if match is None:
        return None
    force_n = float(match.group(2)) * NEWTONS[match.group(3)]
    return (match.group(1), force_n) if -1.0 <= force_n <= STRONGEST_N else None


def read_peak(address: str, patience_s: float, say: str = "") -> float:
    """Wait for the next peak, in newtons; ScaleTrouble where none comes.

    ``say`` is a line to send first, for a scale that takes commands.
    """
    try:
        with open_port(address, SILENT_S) as port:
            if say:
                port.write(f"{say}\r\n".encode())
            return _peak(port, patience_s)
    except (serial.SerialException, OSError, ValueError) as gone:
        raise ScaleTrouble(
            "The scale isn't connected.",
            where="address",
            hint="Check its plug and port, then pull again. Nothing was recorded.",
        ) from gone


def _peak(port: serial.SerialBase, patience_s: float) -> float:
    rubbish, until = 0, time.monotonic() + patience_s
    while time.monotonic() < until:
        raw = port.readline()
        if not raw:
            raise ScaleTrouble(
                "The scale has stopped sending.",
                where="address",
                hint="Wake it, or check its battery, then pull again. Nothing was recorded.",
            )
        found = read_line(raw.decode("ascii", "replace"))
        if found is None:
            rubbish += 1
            if rubbish > MOST_RUBBISH:
                raise ScaleTrouble(
                    "The scale sends unreadable data.",
                    where="address",
                    hint="Set it to send lines such as F +0012.34 N. Nothing was recorded.",
                )
            continue
        rubbish = 0
        kind, force_n = found
        if kind == "P":
            return force_n
    raise ScaleTrouble(
        "Nothing broke on the scale in time.",
        where="address",
        hint="Start reading, then pull until it breaks.",
    )
