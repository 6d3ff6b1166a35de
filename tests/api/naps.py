"""Tasks to try the crew with: they take as long as they are told, and work nothing out."""

import os
import signal
import time

from nine_knots.api.jobs.tasks import Task
from nine_knots.core.base.cancellation import check_cancelled, report_partial, report_progress
from nine_knots.core.base.errors import CannotCompute


class Nap(Task):
    """Asks every hundredth of a second whether it is still wanted; answers its name."""

    answers = str
    name: str
    seconds: float = 0.0
    size: int = 0

    def work(self) -> str:
        until = time.monotonic() + self.seconds
        while time.monotonic() < until:
            check_cancelled()
            report_progress(1, 2)
            time.sleep(0.01)
        return self.name + "x" * self.size


class Showing(Nap):
    """Shows twice what it comes to."""

    def work(self) -> str:
        report_partial(b"half")
        report_partial(b"nearly")
        return self.name


class HeavyNap(Nap):
    """A heavy one."""

    heavy = True


class LongNap(HeavyNap):
    """A heavy one, whose time is soon up: it works."""

    most_s = 1.0

    def work(self) -> str:
        until = time.monotonic() + self.seconds
        while time.monotonic() < until:
            check_cancelled()
        return self.name


class WaitingNap(HeavyNap):
    """One that needs less work than its time, and longer by the clock: the machine is busy."""

    most_s = 0.3


class Refusing(Nap):
    """Refuses."""

    def work(self) -> str:
        raise CannotCompute("Not this one.", where="here", hint="Take another.")


class Broken(Nap):
    """Has a fault."""

    def work(self) -> str:
        raise RuntimeError("a fault of our own")


class Deadly(Nap):
    """Takes its process with it."""

    def work(self) -> str:
        os.kill(os.getpid(), signal.SIGKILL)
        return ""
