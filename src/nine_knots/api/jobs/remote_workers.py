"""Workers on other machines: they come to the service's hall, and are crew like any other.

The hall is a ZeroMQ socket with CURVE: who has not the key is not heard. A worker that is not heard
of for some seconds is gone, and its task goes to another.
"""

import asyncio
import time
from collections.abc import Callable
from contextlib import suppress
from dataclasses import dataclass, field
from typing import Any

import structlog
import zmq
from zmq.asyncio import Context
from zmq.auth.asyncio import AsyncioAuthenticator

from nine_knots.api.jobs import wire_format as wire
from nine_knots.api.jobs.remote_address import RemoteAddress
from nine_knots.api.jobs.tasks import Task
from nine_knots.api.jobs.wire_format import LOST_S, version
from nine_knots.api.jobs.worker import GRACE_S, JobResult, Told, WorkerDied
from nine_knots.api.jobs.worker_pool import WorkerPool

_log = structlog.get_logger("nine_knots")
DOMAIN = "nine-knots"


@dataclass(eq=False)
class RemoteWorker:
    """The service's end of a worker elsewhere; used from the event loop only."""

    identity: bytes
    send: Callable[[bytes, bytes, bytes], None]
    heard_at: float = field(default_factory=time.monotonic)
    memory: int = 0
    _number: int = 0
    _done: asyncio.Future[JobResult] | None = None
    _told: Callable[[Told], None] | None = None

    @property
    def pid(self) -> int | None:
        """Its process is another machine's."""
        return None

    @property
    def is_worn(self) -> bool:
        """It sees to that itself."""
        return False

    async def work(self, task: Task, told: Callable[[Told], None]) -> JobResult:
        """What came of a task; Died where the worker was lost meanwhile."""
        self._number += 1
        self._done, self._told = asyncio.get_running_loop().create_future(), told
        self.send(self.identity, wire.WORK, b"%d\n%s" % (self._number, wire.encode_task(task)))
        try:
            return await asyncio.wait_for(self._done, task.most_wall_s + GRACE_S)
        except TimeoutError as stuck:
            raise WorkerDied from stuck
        finally:
            self._done = self._told = None

    def give_up(self) -> None:
        """The task under way is not wanted any more."""
        self.send(self.identity, wire.LEAVE, b"%d" % self._number)

    def end(self) -> None:
        """Whoever waits for it waits no longer."""
        if self._done is not None and not self._done.done():
            self._done.set_exception(WorkerDied())

    def hear(self, kind: bytes, number: int, more: list[bytes]) -> None:
        """What it says of the task under way; what it says of another is of no interest."""
        if self._done is None or self._done.done() or number != self._number:
            return
        if kind == wire.DONE:
            try:
                self._done.set_result(wire.decode_result(more[0], more[1]))
            except (wire.UnknownTask, IndexError):
                self._done.set_exception(WorkerDied())
        elif self._told is not None and more:
            with suppress(ValueError):
                self._told(float(more[0]) if kind == wire.TOLD else more[0])


class RemoteWorkerListener:
    """Keeps the hall: lets workers in, hears them, and lets go those that are lost."""

    def __init__(self, hall: RemoteAddress, crew: WorkerPool) -> None:
        self._crew, self._workers = crew, dict[bytes, RemoteWorker]()
        self._context = Context()
        self._authenticator = AsyncioAuthenticator(self._context)
        self._authenticator.start()
        known = hall.keys.workers.encode()
        self._authenticator.configure_curve_callback(DOMAIN, _Only(known))
        self._socket = self._context.socket(zmq.ROUTER)
        self._socket.setsockopt(zmq.LINGER, 0)
        self._socket.zap_domain = DOMAIN.encode()
        self._socket.curve_secretkey = hall.keys.secret.encode()
        self._socket.curve_publickey = hall.keys.public.encode()
        self._socket.curve_server = True
        self._socket.bind(hall.address)
        self._sending: set[asyncio.Future[Any]] = set()
        self._running = [
            asyncio.ensure_future(self._hear()),
            asyncio.ensure_future(self._look_after()),
        ]

    @property
    def workers(self) -> int:
        """How many are here."""
        return len(self._workers)

    def _send(self, identity: bytes, kind: bytes, body: bytes = b"") -> None:
        sending = asyncio.ensure_future(self._socket.send_multipart([identity, kind, body]))
        self._sending.add(sending)
        sending.add_done_callback(self._sent)

    def _sent(self, sending: "asyncio.Future[Any]") -> None:
        self._sending.discard(sending)
        if not sending.cancelled():
            sending.exception()  # one that is gone is found to be by its silence

    async def _hear(self) -> None:
        while True:
            identity, kind, *more = await self._socket.recv_multipart()
            worker = self._workers.get(identity)
            if kind == wire.UP:
                self._let_in(identity, more)
            elif worker is None:
                continue  # lost before; it says that it is up again when it hears nothing
            else:
                worker.heard_at = time.monotonic()
                if kind in (wire.TOLD, wire.FOUND, wire.DONE) and more and more[0].isdigit():
                    worker.hear(kind, int(more[0]), more[1:])

    def _let_in(self, identity: bytes, more: list[bytes]) -> None:
        if not more or more[0] != version().encode():
            self._send(identity, wire.OTHER, version().encode())
            return
        self._let_go(identity)
        worker = RemoteWorker(identity, self._send)
        self._workers[identity] = worker
        self._send(identity, wire.KNOWN)
        self._crew.join(worker)

    def _let_go(self, identity: bytes) -> None:
        worker = self._workers.pop(identity, None)
        if worker is not None:
            self._crew.leave(worker)

    async def _look_after(self) -> None:
        while True:
            await asyncio.sleep(wire.BEAT_S)
            now = time.monotonic()
            for identity, worker in list(self._workers.items()):
                if now - worker.heard_at > LOST_S:
                    _log.warning("a remote worker was lost")
                    self._let_go(identity)
                else:
                    self._send(identity, wire.KNOWN)

    def close(self) -> None:
        """Nobody comes any more."""
        for future in (*self._running, *self._sending):
            future.cancel()
        for identity in list(self._workers):
            self._let_go(identity)
        self._authenticator.stop()
        self._socket.close(linger=0)
        self._context.term()


class _Only:
    """Lets in whoever shows this one public key."""

    def __init__(self, known: bytes) -> None:
        self._known = known

    def callback(self, _domain: str, key: bytes) -> bool:
        """Whether it is the one."""
        return key == self._known
