"""A stand-in for a river's level service: the part of SensorThings 1.1 that is asked for.

The Skarn at the bridge and the lake go a little up and down; a third datastream is no level. It can
also misbehave, to see what comes of it.
"""

import json
import re
import threading
import time
from contextlib import suppress
from datetime import UTC, datetime, timedelta
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from math import sin
from typing import Any, Literal
from urllib.parse import parse_qs, unquote, urlsplit

DRIPS, DRIP_S = 200, 0.5
Trick = Literal[
    "none", "stale", "absurd", "nothing", "no json", "huge", "redirect", "error", "drip"
]
STREAMS = {
    1: ("Skarn bridge", "Water level", "m", 0.56),
    2: ("Perch lake", "Water level", "cm", 141.0),
    3: ("Skarn bridge", "Water temperature", "°C", 8.4),
}
OBSERVATIONS = re.compile(r"^/v1\.1/Datastreams\((\d+)\)/Observations$")
EVERY = timedelta(minutes=15)


class _Answering(BaseHTTPRequestHandler):
    server: "LevelService"

    def do_GET(self) -> None:
        trick = self.server.trick
        split = urlsplit(self.path)
        path, query = unquote(split.path), parse_qs(split.query)
        if trick == "error":
            self._send(500, b"{}")
        elif trick == "redirect":
            self._send(302, b"", location="http://127.0.0.1:9/")
        elif trick == "no json":
            self._send(200, b"<html>welcome</html>")
        elif trick == "huge":
            self._send(200, b"[" + b"1," * 900_000 + b"1]")
        elif trick == "drip":
            self._drip()
        elif path == "/v1.1/Datastreams":
            self._json({"value": [_stream(key) for key in STREAMS]})
        elif found := OBSERVATIONS.match(path):
            top = min(200, int(query.get("$top", ["100"])[0]))
            self._json({"value": self.server.observations(int(found[1]), top)})
        else:
            self._send(404, b"{}")

    def _json(self, value: Any) -> None:
        self._send(200, json.dumps(value).encode())

    def _drip(self) -> None:
        """A byte now and then, for as long as anybody listens."""
        self.send_response(200)
        self.send_header("content-type", "application/json")
        self.end_headers()
        with suppress(OSError):
            for _ in range(DRIPS):
                self.wfile.write(b" ")
                self.wfile.flush()
                time.sleep(DRIP_S)

    def _send(self, status: int, body: bytes, location: str = "") -> None:
        self.send_response(status)
        self.send_header("content-type", "application/json")
        self.send_header("content-length", str(len(body)))
        if location:
            self.send_header("location", location)
        self.end_headers()
        self.wfile.write(body)

    def log_message(self, format: str, *args: Any) -> None:
        """Nothing is written of what is asked."""


def _stream(key: int) -> dict[str, Any]:
    thing, name, unit, _ = STREAMS[key]
    return {
        "@iot.id": key,
        "name": name,
        "unitOfMeasurement": {"name": unit, "symbol": unit, "definition": ""},
        "Thing": {"@iot.id": key, "name": thing},
    }


class LevelService(ThreadingHTTPServer):
    """The stand-in, on a free port of loopback."""

    daemon_threads = True

    def __init__(self, trick: Trick = "none") -> None:
        super().__init__(("127.0.0.1", 0), _Answering)
        self.trick = trick
        threading.Thread(target=self.serve_forever, daemon=True).start()

    @property
    def base(self) -> str:
        """Its base address."""
        return f"http://127.0.0.1:{self.server_address[1]}/v1.1"

    def observations(self, key: int, most: int) -> list[dict[str, Any]]:
        """The newest of a datastream, every quarter of an hour."""
        if self.trick == "nothing" or key not in STREAMS:
            return []
        now = datetime.now(UTC).replace(second=0, microsecond=0)
        if self.trick == "stale":
            now -= timedelta(days=3)
        usual = STREAMS[key][3]
        swing = 0.02 * usual
        rows = []
        for number in range(most):
            at = now - number * EVERY
            level = usual + swing * sin(at.timestamp() / 14_000.0)
            result: Any = 9_999.0 if self.trick == "absurd" else round(level, 3)
            rows.append({"phenomenonTime": at.isoformat().replace("+00:00", "Z"), "result": result})
        return rows

    def end(self) -> None:
        """No longer answer."""
        self.shutdown()
        self.server_close()
