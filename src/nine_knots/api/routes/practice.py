"""/api/v1/practice: knots tied against the clock, and which one is due."""

from dataclasses import dataclass
from datetime import UTC, datetime

from fastapi import APIRouter
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.problems import RESPONSES
from nine_knots.api.typed_fields import Form
from nine_knots.core.assess.practice import (
    LONGEST_S,
    Attempt,
    Progress,
    Rated,
    in_order,
    progress_of,
)
from nine_knots.core.domain.knots import KNOTS, KnotKey
from nine_knots.store.practice import add_attempt, list_attempts

router = APIRouter(prefix="/api/v1/practice", tags=["practice"], responses=RESPONSES)
SHOWN = 30  # newest attempts drawn


class AttemptForm(Form):
    """A knot just tied."""

    knot: KnotKey
    seconds: float = Field(gt=0.5, le=LONGEST_S)
    rated: Rated


@dataclass(frozen=True, slots=True)
class TyingAttempt:
    """One attempt as it is drawn."""

    seconds: float
    rated: Rated
    day: str


@dataclass(frozen=True, slots=True)
class PracticeRow:
    """How one knot stands, in the order in which to tie."""

    knot: KnotKey
    title: str
    is_due: bool
    due: str
    best: str
    ties: tuple[TyingAttempt, ...]


@router.get("", summary="Show what to practise next")
def get_practice(session: CurrentSession) -> tuple[PracticeRow, ...]:
    """All knots, what is due first."""
    return session.read(_rows)


@router.post("", summary="Record a practice knot")
def post_attempt(session: SavingSession, form: AttemptForm) -> tuple[PracticeRow, ...]:
    """Keep the attempt and say what to tie next."""
    made = Attempt(knot=form.knot, seconds=form.seconds, rated=form.rated, at=datetime.now(UTC))

    def keep(cursor: DictCursor, me: str) -> str:
        add_attempt(cursor, me, made)
        return made.knot

    return session.save(keep, lambda cursor, me, _: _rows(cursor, me))


def _rows(cursor: DictCursor, me: str) -> tuple[PracticeRow, ...]:
    now = datetime.now(UTC)
    attempts = list_attempts(cursor, me)
    progress = tuple(
        progress_of(key, tuple(attempt for attempt in attempts if attempt.knot == key))
        for key in (knot.key for knot in KNOTS.values())
    )
    return tuple(_row(item, now) for item in in_order(progress, now))


def _row(item: Progress, now: datetime) -> PracticeRow:
    return PracticeRow(
        knot=item.knot,
        title=KNOTS[item.knot].title,
        is_due=item.due is not None and item.due <= now,
        due=_due_words(item.due, now),
        best=f"{item.best_s:.0f} s" if item.best_s is not None else "",
        ties=tuple(
            TyingAttempt(seconds=tie.seconds, rated=tie.rated, day=f"{tie.at:%Y-%m-%d}")
            for tie in item.attempts[-SHOWN:]
        ),
    )


def _due_words(due: datetime | None, now: datetime) -> str:
    if due is None:
        return "never tied here"
    minutes = (due - now).total_seconds() / 60.0
    if minutes <= 0:
        return "due now"
    if minutes < 90:
        return f"again in {max(1, round(minutes))} min"
    days = round(minutes / 1440.0)
    return "again tomorrow" if days <= 1 else f"again in {days} days"
