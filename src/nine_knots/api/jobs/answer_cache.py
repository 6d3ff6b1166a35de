"""Answers kept by what was asked, up to so many bytes."""

import hashlib
from collections import OrderedDict

from nine_knots.api.jobs.tasks import Task

MOST_BYTES = 48_000_000
EACH_BYTES = 200  # of an entry beside its answer


class AnswerCache:
    """The answers last used."""

    def __init__(self, most_bytes: int = MOST_BYTES) -> None:
        self.bytes = 0
        self._most = most_bytes
        self._answers: OrderedDict[bytes, bytes] = OrderedDict()

    @staticmethod
    def key(task: Task, whose: str = "") -> bytes:
        """What identifies a task: its kind and everything it depends on, and the account it is
        asked by: how soon an answer comes tells nobody what another asked."""
        text = f"{whose} {type(task).__name__} {task.model_dump_json()}"
        return hashlib.sha256(text.encode()).digest()

    def get(self, key: bytes) -> bytes | None:
        """The answer, which counts as used."""
        found = self._answers.get(key)
        if found is not None:
            self._answers.move_to_end(key)
        return found

    def put(self, key: bytes, answer: bytes) -> None:
        """Keep an answer; the ones not used for longest go."""
        if key in self._answers or len(answer) > self._most // 4:
            return
        self._answers[key] = answer
        self.bytes += len(answer) + EACH_BYTES
        while self.bytes > self._most:
            _, gone = self._answers.popitem(last=False)
            self.bytes -= len(gone) + EACH_BYTES
