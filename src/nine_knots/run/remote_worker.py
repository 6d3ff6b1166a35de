"""What ./lend runs: lends this machine's processors to services elsewhere.

Each of its workers is a process as a service has them itself, and works for one of the services
named, shared out evenly. A service that is not heard of is tried again until it is there.
"""

import argparse
import asyncio
import logging
import sys
import time
from contextlib import suppress
from pathlib import Path

import zmq
from zmq.asyncio import Context

from nine_knots.api.app import first_tasks
from nine_knots.api.jobs import wire_format as wire
from nine_knots.api.jobs.tasks import Task
from nine_knots.api.jobs.worker import JobResult, Told, Worker, WorkerDied
from nine_knots.core.base.errors import NineKnotsError, WorkFailed
from nine_knots.run import PROJECT
from nine_knots.run.console import print_line
from nine_knots.run.kernel_cache import keep_kernels_in
from nine_knots.run.remote_keys import HelperKeys, read_helper_keys
from nine_knots.run.signals import ENDING, raise_if_shutdown

LONGEST_PAUSE_S = 5.0


class OtherVersion(NineKnotsError):
    """The service has another version than this program."""

    code = "other-version"


class LentWorker:
    """One worker that is lent to one service."""

    def __init__(
        self, context: Context, service: str, keys: HelperKeys, first: tuple[Task, ...] = ()
    ) -> None:
        self._context, self._service, self._keys = context, service, keys
        self._first = first
        self._worker = Worker(first)
        self._number = 0
        self._under_way: asyncio.Task[None] | None = None

    @property
    def is_working(self) -> bool:
        """Whether it has a task just now."""
        return self._under_way is not None and not self._under_way.done()

    async def lend(self) -> None:
        """Work until told to end; OtherVersion where the service is one."""
        pause_s = wire.BEAT_S
        while True:
            begun = time.monotonic()
            await self._lend_once()
            pause_s = wire.BEAT_S if time.monotonic() - begun > 2 * wire.LOST_S else 2 * pause_s
            await asyncio.sleep(min(pause_s, LONGEST_PAUSE_S))

    async def _lend_once(self) -> None:
        """Until the service is not heard of any more."""
        self._socket = self._context.socket(zmq.DEALER)
        self._socket.setsockopt(zmq.LINGER, 0)
        self._socket.curve_serverkey = self._keys.service.encode()
        self._socket.curve_publickey = self._keys.public.encode()
        self._socket.curve_secretkey = self._keys.secret.encode()
        self._socket.connect(self._service)
        heard_at = time.monotonic()
        try:
            await self._send(wire.UP, wire.version().encode())
            while time.monotonic() - heard_at < wire.LOST_S:
                with suppress(TimeoutError):
                    said = await asyncio.wait_for(self._socket.recv_multipart(), wire.BEAT_S)
                    heard_at = time.monotonic()
                    self._hear(*said)
                await self._send(wire.ALIVE)
        finally:
            self._leave()
            self._socket.close(linger=0)

    async def _send(self, *parts: bytes) -> None:
        with suppress(zmq.ZMQError):
            await self._socket.send_multipart(list(parts), flags=zmq.NOBLOCK)

    def _hear(self, kind: bytes, body: bytes = b"", *_more: bytes) -> None:
        if kind == wire.OTHER:
            raise OtherVersion(
                "The service has another version than this program.",
                hint="Install the same version on both, then start again.",
            )
        if kind == wire.WORK:
            number, _, task = body.partition(b"\n")
            self._leave()
            self._number = int(number)
            self._under_way = asyncio.ensure_future(self._work(self._number, task))
        elif kind == wire.LEAVE and body == b"%d" % self._number:
            self._worker.give_up()
        elif kind == wire.KNOWN:
            return

    def _renew(self) -> None:
        """Another process in place of this one."""
        self._worker.end()
        self._worker = Worker(self._first)

    def _leave(self) -> None:
        if self._under_way is not None and self.is_working:
            self._under_way.cancel()
            self._renew()

    async def _work(self, number: int, body: bytes) -> None:
        try:
            done = await self._worker.work(
                wire.decode_task(body), lambda told: self._tell(number, told)
            )
        except wire.UnknownTask as odd:
            done = JobResult(WorkFailed(f"The helper was sent {odd}."), False, 0)
        except WorkerDied:
            self._renew()
            done = JobResult(WorkFailed("The worker ended over it.", hint="Try again."), False, 0)
        await self._send(wire.DONE, b"%d" % number, *wire.encode_result(done))
        if self._worker.is_worn:
            self._renew()

    def _tell(self, number: int, told: Told) -> None:
        kind, body = (wire.TOLD, b"%r" % told) if isinstance(told, float) else (wire.FOUND, told)
        asyncio.ensure_future(self._send(kind, b"%d" % number, body))  # noqa: RUF006 - a word only

    def end(self) -> None:
        """End its process."""
        self._worker.end()


async def _lend(services: list[str], keys: HelperKeys, workers: int) -> None:
    context = Context()
    benches = [
        LentWorker(context, services[number % len(services)], keys, first_tasks())
        for number in range(workers)
    ]
    lending = asyncio.gather(*(lent_worker.lend() for lent_worker in benches))
    for signals in ENDING:
        asyncio.get_running_loop().add_signal_handler(signals, lending.cancel)
    print_line(f"{workers} workers are serving {', '.join(services)}  (Ctrl-C ends it)")
    try:
        with suppress(asyncio.CancelledError):
            await lending
    finally:
        for bench in benches:
            bench.end()
        context.destroy(linger=0)


def _arguments() -> argparse.Namespace:
    parser = argparse.ArgumentParser(
        prog="./lend", description="Run simulations for a service on another machine."
    )
    parser.add_argument("services", nargs="+", metavar="ADDRESS", help="such as tcp://bench:8919")
    parser.add_argument("--key", type=Path, required=True, help="the service's helper.key")
    parser.add_argument("--workers", type=int, default=2, help="number of processes")
    return parser.parse_args()


def main() -> int:
    """Lend until told to end; what is in the way is a sentence."""
    logging.basicConfig(level=logging.WARNING)
    arguments = _arguments()
    raise_if_shutdown()
    keep_kernels_in(PROJECT / ".local")
    try:
        keys = read_helper_keys(arguments.key)
        asyncio.run(_lend(arguments.services, keys, max(1, arguments.workers)))
    except NineKnotsError as error:
        print(f"{error.what} {error.hint}".strip(), file=sys.stderr)
        return 1
    return 0
