"""What simulated instruments share: a serial line over a socket of loopback."""

import socketserver
import threading


class WiredInstrument(socketserver.ThreadingTCPServer):
    """An instrument on a free port of loopback, whose handler speaks its lines."""

    daemon_threads = True
    allow_reuse_address = True

    def __init__(self, handler: type[socketserver.BaseRequestHandler]) -> None:
        super().__init__(("127.0.0.1", 0), handler)
        self.stopping = False
        threading.Thread(target=self.serve_forever, daemon=True).start()

    @property
    def address(self) -> str:
        """Where it is plugged in, for pyserial."""
        return f"socket://127.0.0.1:{self.server_address[1]}"

    def unplug(self) -> None:
        """End it and whatever line is open."""
        self.stopping = True
        self.shutdown()
        self.server_close()
