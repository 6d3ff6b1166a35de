"""Practice: weak knots come back sooner, and what is due comes first."""

from datetime import UTC, datetime, timedelta

from nine_knots.core.assess.practice import Attempt, in_order, progress_of

BEGUN = datetime(2026, 3, 1, 18, 0, tzinfo=UTC)


def tied(*rated, knot="blood", gap=timedelta(days=3)):
    attempts = tuple(
        Attempt(knot=knot, seconds=40.0 - i, rated=r, at=BEGUN + i * gap)
        for i, r in enumerate(rated)
    )
    return progress_of(knot, attempts)


def test_a_weak_knot_comes_back_sooner():
    weak, fair, strong = (tied(r, r, r) for r in ("slipped", "good", "clean"))
    assert weak.due < fair.due < strong.due
    assert tied("good", "good", "good").due == fair.due, "the same attempts, the same day"


def test_the_best_time_is_of_knots_that_held():
    assert tied("good", "slipped").best_s == 40.0
    assert tied("slipped").best_s is None


def test_what_is_due_comes_first_then_what_was_never_tied():
    due, new, later = tied("slipped"), progress_of("uni", ()), tied("clean", knot="nail")
    now = BEGUN + timedelta(days=1)
    assert [p.knot for p in in_order((later, new, due), now)] == ["blood", "uni", "nail"]
