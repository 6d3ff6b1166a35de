"""Where instruments are plugged in: serial devices of this machine, and any that pyserial opens."""

import os
import stat
from dataclasses import dataclass

import serial
from serial.tools import list_ports


@dataclass(frozen=True, slots=True)
class Plugged:
    """A serial device of this machine, and what it says that it is."""

    address: str
    words: str


def plugged_in() -> tuple[Plugged, ...]:
    """Serial devices that are there now, by their names."""
    return tuple(
        Plugged(port.device, port.description if port.description != "n/a" else port.name)
        for port in sorted(list_ports.comports())
        if port.hwid != "n/a"
    )


def is_serial_device(path: str) -> bool:
    """Whether a path names a terminal device, wherever its links lead; nothing else is opened."""
    try:
        found = os.stat(path)
    except OSError:
        return False
    return stat.S_ISCHR(found.st_mode) and os.path.realpath(path).startswith("/dev/tty")


def open_port(address: str, timeout_s: float) -> serial.SerialBase:
    """The port at an address, open; SerialException where there is none."""
    if address.startswith("/dev/") and not is_serial_device(address):
        raise serial.SerialException("no serial device")
    return serial.serial_for_url(address, timeout=timeout_s)
