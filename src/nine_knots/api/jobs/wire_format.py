"""What goes between a service and workers on other machines: tasks by their kind as JSON, shares,
answers and refusals. Nothing that is received is ever more than data."""

import hashlib
import json
from functools import cache
from importlib.resources import files
from pathlib import Path

from pydantic import ValidationError

from nine_knots.api.jobs.tasks import Task
from nine_knots.api.jobs.worker import JobResult
from nine_knots.core.base import errors
from nine_knots.core.base.errors import NineKnotsError, WorkFailed

UP, ALIVE, TOLD, FOUND, DONE = b"up", b"alive", b"told", b"found", b"done"
"""Of a worker: there and ready, still there, so far, come to, ended."""
WORK, LEAVE, KNOWN, OTHER = b"work", b"leave", b"known", b"other"
"""Of a service: work this out, leave it, still there, of another version."""
BEAT_S, LOST_S = 1.0, 4.0
"""Between two signs of life; without one for so long the other is taken to be gone."""


class UnknownTask(Exception):
    """A task of a kind that this program does not know, or that cannot be read."""


@cache
def version() -> str:
    """What a service and its workers must have in common: the sources that reckon."""
    found = hashlib.sha256()
    root = Path(str(files("nine_knots")))
    for folder in ("core", "words", "drawing", "formats", "stored_types", "api/jobs"):
        for path in sorted((root / folder).rglob("*.py")):
            found.update(path.read_bytes())
    return found.hexdigest()[:16]


def kinds() -> dict[str, type[Task]]:
    """Every kind of task by its name."""
    found: dict[str, type[Task]] = {}
    waiting: list[type[Task]] = [Task]
    while waiting:
        one = waiting.pop()
        found[one.__name__] = one
        waiting.extend(one.__subclasses__())
    return found


def encode_task(task: Task) -> bytes:
    """A task with its kind."""
    return f"{type(task).__name__}\n{task.model_dump_json()}".encode()


def decode_task(body: bytes) -> Task:
    """A task; UnknownTask where it is not one."""
    name, _, text = body.partition(b"\n")
    kind = kinds().get(name.decode(errors="replace"))
    if kind is None:
        raise UnknownTask(f"there is no task {name[:40]!r}")
    try:
        return kind.model_validate_json(text)
    except (ValidationError, TypeError) as odd:
        raise UnknownTask(f"a {name[:40]!r} that cannot be read") from odd


def encode_result(done: JobResult) -> tuple[bytes, bytes]:
    """How a task ended, and its answer."""
    head: dict[str, object] = {"hurried": done.hurried, "memory": done.memory, "end": "answer"}
    body = b""
    if isinstance(done.answer, NineKnotsError):
        refused = done.answer
        head["end"] = type(refused).__name__
        body = json.dumps([refused.what, refused.where, refused.hint]).encode()
    elif done.answer is None:
        head["end"] = "left"
    else:
        body = done.answer
    return json.dumps(head).encode(), body


def decode_result(head: bytes, body: bytes) -> JobResult:
    """The same; what cannot be read is work that failed."""
    try:
        told = json.loads(head)
        end, hurried, memory = told["end"], bool(told["hurried"]), int(told["memory"])
        if end == "answer":
            return JobResult(body, hurried, memory)
        if end == "left":
            return JobResult(None, hurried, memory)
        what, where, hint = (str(load) for load in json.loads(body))
    except (ValueError, KeyError, TypeError) as odd:
        raise UnknownTask("an end that cannot be read") from odd
    kind = getattr(errors, str(end), WorkFailed)
    family = isinstance(kind, type) and issubclass(kind, NineKnotsError)
    try:
        refused = (kind if family else WorkFailed)(what, where=where, hint=hint)
    except TypeError:
        refused = WorkFailed(what, where=where, hint=hint)
    return JobResult(refused, hurried, memory)
