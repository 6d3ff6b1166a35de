"""Keeps the database and the service running until told to end, and ends them.

A child that ended or no longer answers is started again, after a pause that doubles each time it
fails soon after; the window is told once. Any signal to end, and a second one, ends everything
within five seconds; a child whose parent is killed is ended by the kernel.
"""

import time
from collections.abc import Callable

from nine_knots.core.base.errors import NineKnotsError
from nine_knots.run.console import print_line
from nine_knots.run.external_database import DatabaseElsewhere
from nine_knots.run.mariadb import PrivateServer
from nine_knots.run.service_process import Service
from nine_knots.run.signals import raise_if_shutdown

LOOK_S = 0.25  # from one look at the children to the next
ASK_S = 2.0  # from one question to the database to the next
MISSED = 2  # questions without an answer, after which it counts as hung
SHORTEST_PAUSE_S, LONGEST_PAUSE_S = 0.25, 15.0
STEADY_S = 2.0  # after which a child that fails has not failed soon


class _Pause:
    """How long to wait before a child is started again, and whether that was said already."""

    def __init__(self) -> None:
        self.waiting = False
        self.said = False
        self._seconds = SHORTEST_PAUSE_S
        self._started = self._until = time.monotonic()

    def begin(self) -> None:
        """The child has just been started."""
        self.waiting, self._started = False, time.monotonic()

    def fail(self, words: str) -> None:
        """The child failed; the window is told once for failures that follow soon on another."""
        now = time.monotonic()
        if now - self._started > STEADY_S:
            self._seconds, self.said = SHORTEST_PAUSE_S, False
        else:
            self._seconds = min(LONGEST_PAUSE_S, 2.0 * self._seconds)
        self.waiting, self._until = True, now + self._seconds
        if not self.said:
            print_line(words)
        self.said = True

    @property
    def over(self) -> bool:
        """Whether it is to be started again now."""
        return self.waiting and time.monotonic() >= self._until


class Supervisor:
    """Watches both children; ``chore`` is called at every look and does its own when it is due."""

    def __init__(
        self,
        server: PrivateServer | DatabaseElsewhere,
        service: Service,
        chore: Callable[[], None],
    ) -> None:
        self._server, self._service, self._chore = server, service, chore
        self._of_server, self._of_service = _Pause(), _Pause()
        self._missed, self._asked, self._refused = 0, 0.0, ""

    def run(self) -> None:
        """Watch until Ending is raised."""
        self._of_server.begin()
        self._of_service.begin()
        while True:
            raise_if_shutdown()
            self._look_at_server()
            self._look_at_service()
            if not self._of_server.waiting:
                self._chore()
            time.sleep(LOOK_S)

    def _look_at_server(self) -> None:
        pause = self._of_server
        if not pause.waiting and self._lost():
            pause.fail("The database ended or hangs; it is started again. What was saved is safe.")
        if not pause.over:
            return
        try:
            self._server.stop(patience_s=0.0)
            self._server.start()
        except (NineKnotsError, OSError) as error:
            words = (
                f"{error.what} {error.hint}" if isinstance(error, NineKnotsError) else f"{error}"
            )
            pause.said = pause.said and self._refused == words
            self._refused = words
            pause.fail(words)
            return
        pause.begin()
        print_line("The database answers again.")

    def _lost(self) -> bool:
        """Whether it has ended, or left some questions on end unanswered."""
        if self._server.pid is None:
            return True
        if time.monotonic() - self._asked < ASK_S:
            return False
        self._missed = 0 if self._server.answers() else self._missed + 1
        self._asked = time.monotonic()
        if self._missed < MISSED:
            return False
        self._missed = 0
        return True

    def _look_at_service(self) -> None:
        pause = self._of_service
        if not pause.waiting and self._service.ended:
            pause.fail(
                "The application stopped unexpectedly and is being restarted. Drafts are safe "
                "in the browser."
            )
        if pause.over and not self._of_server.waiting:
            self._service.restart()
            pause.begin()
