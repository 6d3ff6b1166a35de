"""A simulated micrometer or scale: a serial line over a socket, as a real one would send it.

Told ``HAS 0.158 0.002`` it has something in its jaws or on its pan: it sends ``L +0.158 mm`` ten
times a second, each a little other, and ``D …`` when told ``PRESS``. It can fall silent, send
rubbish or half lines, or be unplugged, to see what comes of it.
"""

import random
import socket
import socketserver
import threading
import time
from contextlib import suppress
from typing import Literal

from nine_knots.simulated.serial_link import WiredInstrument

Trick = Literal["none", "silent", "rubbish", "halves", "unplugged"]
TICK_S = 0.05


class _Wire(socketserver.StreamRequestHandler):
    server: "BenchInstrument"

    def handle(self) -> None:
        self._value, self._spread, self._presses = 0.0, 0.0, 0
        threading.Thread(target=self._listen, daemon=True).start()
        try:
            while not self.server.stopping:
                self._tick()
                time.sleep(TICK_S)
        except (OSError, ConnectionError):
            return

    def _tick(self) -> None:
        trick = self.server.trick
        if trick == "unplugged":
            self.request.shutdown(socket.SHUT_RDWR)
            raise ConnectionError
        if trick == "silent":
            return
        if trick == "rubbish":
            self.wfile.write(b"\x07?~ ##\r\n")
            return
        reading = random.gauss(self._value, self._spread)
        taken, self._presses = self._presses > 0, 0
        line = f"{'D' if taken else 'L'} {reading:+.{self.server.places}f} {self.server.unit}\r\n"
        if trick == "halves":
            self.wfile.write(line[:5].encode())
            self.wfile.flush()
            time.sleep(TICK_S)
            line = line[5:]
        self.wfile.write(line.encode())

    def _listen(self) -> None:
        with suppress(OSError, ValueError):  # whoever reads it may close the line at any moment
            for raw in self.rfile:
                words = raw.decode("ascii", "replace").split()
                if words[:1] == ["HAS"] and len(words) == 3:
                    self._value, self._spread = float(words[1]), float(words[2])
                elif words == ["PRESS"]:
                    self._presses += 1


class BenchInstrument(WiredInstrument):
    """The simulated micrometer (``mm``) or scale (``g``)."""

    def __init__(self, unit: Literal["mm", "g"], trick: Trick = "none") -> None:
        self.unit, self.places, self.trick = unit, 3, trick
        super().__init__(_Wire)
