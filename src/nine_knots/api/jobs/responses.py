"""Answering over HTTP what the crew works out: as JSON, or as a job that tells how far it is.

A call that accepts ``text/event-stream`` is answered by server-sent events: ``progress`` with a
share from 0 to 1, perhaps ``found`` with what the answer has come to, then ``answer``, ``file`` or
``problem``. Whoever closes the connection gives the work up.
"""

import asyncio
import json
from base64 import b64encode
from collections.abc import AsyncIterator, Callable, Coroutine, Iterable, Mapping
from dataclasses import dataclass
from typing import Annotated, Any, TypeVar

from fastapi import Depends, Request, Response
from fastapi.sse import EventSourceResponse, format_sse_event
from starlette.concurrency import run_in_threadpool
from starlette.responses import StreamingResponse

from nine_knots.api.jobs.job_queue import ClientKey
from nine_knots.api.jobs.tasks import Task
from nine_knots.api.jobs.worker import Told
from nine_knots.api.jobs.worker_pool import WorkerPool
from nine_knots.api.principal import principal_of
from nine_knots.api.problems import of_error
from nine_knots.core.base.errors import NineKnotsError

T = TypeVar("T")
Keep = Callable[[bytes], None]
AT_ONCE_BYTES = 128_000  # of a file
PAGE_HEADER = "nine-knots-page"
ALIVE_S = 0.5  # between two signs of life on a stream
EVENTS: dict[str, Any] = {"text/event-stream": {"schema": {"type": "string"}}}


class ClientDisconnected(NineKnotsError):
    """Whoever asked has closed the connection; the answer is told to nobody."""

    code = "caller-left"


@dataclass(frozen=True)
class FileAnswer:
    """What makes a file of an answer."""

    name: str
    media: str

    def response(self, content: bytes) -> Response:
        """The file, to keep under its name."""
        headers = {"content-disposition": f'attachment; filename="{self.name}"'}
        if len(content) <= AT_ONCE_BYTES:
            return Response(content, media_type=self.media, headers=headers)
        # in parts: others are answered while each is made smaller for the way
        parts = (content[at : at + AT_ONCE_BYTES] for at in range(0, len(content), AT_ONCE_BYTES))
        return StreamingResponse(_one_by_one(parts), media_type=self.media, headers=headers)


async def _one_by_one(parts: Iterable[bytes]) -> AsyncIterator[bytes]:
    for part in parts:
        yield part
        await asyncio.sleep(0)


class JobRunner:
    """The crews as one call sees them: that at the bench, and the one that searches behind it."""

    def __init__(self, request: Request) -> None:
        self._request = request
        self._crew: WorkerPool = request.app.state.crew
        self._searchers: WorkerPool = request.app.state.searchers
        self._page = request.headers.get(PAGE_HEADER, "")[:80]
        self._whose = principal_of(request).account_id or ""
        self._streams = "text/event-stream" in request.headers.get("accept", "")

    def search_soon(self) -> None:
        """Have a searcher ready, since a search is being thought of."""
        self._searchers.start()

    async def worked_out(self, question: str, task: Task) -> bytes:
        """The answer's bytes; ClientDisconnected where it left meanwhile."""
        asker = self._asker(question)
        return await self._unless_left(self._crew_for(task).ask(asker, task))

    async def all_worked_out(self, tasks: Mapping[str, Task]) -> list[bytes]:
        """The answers' bytes of several questions, by their names, worked on side by side."""
        asks = [self._crew_for(task).ask(self._asker(name), task) for name, task in tasks.items()]
        return await self._unless_left(_together(asks))

    async def respond(
        self, question: str, task: Task, file: FileAnswer | None = None, keep: Keep | None = None
    ) -> Response:
        """The whole response: JSON, a file, or a stream of events. ``keep`` is handed the answer
        before it is given out."""
        if self._streams:
            events = self._events(self._asker(question), task, file, keep)
            return EventSourceResponse(events, headers={"cache-control": "no-store"})
        content = await self.worked_out(question, task)
        if keep is not None:
            await run_in_threadpool(keep, content)
        return file.response(content) if file else Response(content, media_type="application/json")

    def _asker(self, question: str) -> ClientKey:
        """Nobody's question takes the place of another's, whatever page they say they are."""
        return ClientKey(self._page, question, self._whose)

    def _crew_for(self, task: Task) -> WorkerPool:
        return self._searchers if task.behind else self._crew

    async def _unless_left(self, work: Coroutine[Any, Any, T]) -> T:
        mine = asyncio.ensure_future(work)
        left = asyncio.ensure_future(self._left())
        try:
            await asyncio.wait({mine, left}, return_when=asyncio.FIRST_COMPLETED)
            if not mine.done():
                raise ClientDisconnected("The client has disconnected.")
            return await mine
        finally:
            mine.cancel()
            left.cancel()

    async def _left(self) -> None:
        while (await self._request.receive())["type"] != "http.disconnect":
            pass

    async def _events(
        self, asker: ClientKey, task: Task, file: FileAnswer | None, keep: Keep | None
    ) -> AsyncIterator[bytes]:
        heard: asyncio.Queue[Told] = asyncio.Queue()
        work = asyncio.ensure_future(self._crew_for(task).ask(asker, task, heard.put_nowait))
        share = 0.0
        try:
            while not work.done():
                yield _event("progress", json.dumps({"share": round(share, 3)}))
                await asyncio.wait({work}, timeout=ALIVE_S)
                found = b""
                while not heard.empty():
                    told = heard.get_nowait()
                    share, found = (told, found) if isinstance(told, float) else (share, told)
                if found and not work.done():
                    yield _event("found", found.decode())
            try:
                content = work.result()
                if keep is not None:
                    await run_in_threadpool(keep, content)
            except NineKnotsError as refused:
                yield _event("problem", of_error(refused).model_dump_json(exclude_none=True))
            else:
                yield _event("answer", content.decode()) if file is None else _file(file, content)
        finally:
            work.cancel()


async def _together(asks: list[Coroutine[Any, Any, bytes]]) -> list[bytes]:
    """All of them; where one is refused or the caller leaves the others are given up."""
    running = [asyncio.ensure_future(ask) for ask in asks]
    try:
        return list(await asyncio.gather(*running))
    finally:
        for item in running:
            item.cancel()


def _event(name: str, data: str) -> bytes:
    return format_sse_event(event=name, data_str=data)


def _file(file: FileAnswer, content: bytes) -> bytes:
    data = {"name": file.name, "media": file.media, "base64": b64encode(content).decode()}
    return _event("file", json.dumps(data))


async def _answering(request: Request) -> JobRunner:
    return JobRunner(request)


CurrentAnswering = Annotated[JobRunner, Depends(_answering)]
