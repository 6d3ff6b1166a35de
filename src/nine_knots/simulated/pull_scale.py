"""A simulated pull scale: a serial line over a socket, as a real one would send it.

It sends ``F +0000.00 N`` ten times a second. Told ``PULL 41.8`` it is pulled on: the force grows,
breaks at that load, and ``P +0041.80 N`` follows. It can also fall silent, send rubbish, or be
unplugged, to see what comes of it.
"""

import socket
import socketserver
import threading
import time
from typing import Literal

from nine_knots.simulated.serial_link import WiredInstrument

Mischief = Literal["none", "silent", "rubbish", "unplugged"]
TICK_S = 0.03
PULL_TICKS = 20


class _Line(socketserver.StreamRequestHandler):
    server: "PullScale"

    def handle(self) -> None:
        asked = threading.Thread(target=self._listen, daemon=True)
        self._pull_n: float | None = None
        asked.start()
        try:
            while not self.server.stopping:
                if self._pull_n is None:
                    self._send("F +0000.00 N")
                    time.sleep(TICK_S)
                else:
                    self._break_at(self._pull_n)
                    self._pull_n = None
        except (OSError, ConnectionError):
            return

    def _listen(self) -> None:
        for line in self.rfile:
            words = line.decode("ascii", "replace").split()
            if len(words) == 2 and words[0] == "PULL":
                self._pull_n = float(words[1])

    def _break_at(self, load_n: float) -> None:
        for tick in range(1, PULL_TICKS + 1):
            if tick == PULL_TICKS // 2 and self.server.mischief != "none":
                self._misbehave()
            self._send(f"F {load_n * tick / PULL_TICKS:+08.2f} N")
            time.sleep(TICK_S)
        self._send("F +0000.00 N")
        self._send(f"P {load_n:+08.2f} N")

    def _misbehave(self) -> None:
        if self.server.mischief == "unplugged":
            self.request.shutdown(socket.SHUT_RDWR)
            raise ConnectionError
        if self.server.mischief == "silent":
            while not self.server.stopping:
                time.sleep(TICK_S)
        while not self.server.stopping:
            self._send("\x07?~ ##")
            time.sleep(TICK_S)

    def _send(self, line: str) -> None:
        self.wfile.write(f"{line}\r\n".encode())


class PullScale(WiredInstrument):
    """The simulated scale."""

    def __init__(self, mischief: Mischief = "none") -> None:
        self.mischief = mischief
        super().__init__(_Line)
