"""Facts: one line each of what a reading means."""

from dataclasses import dataclass

from nine_knots.core.base.score import Status


@dataclass(frozen=True, slots=True)
class Fact:
    """One line of what a reading means, and how it stands."""

    title: str
    text: str
    status: Status = "right"
