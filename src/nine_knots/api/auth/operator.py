"""/api/v1/operator: how the service does, who has joined, what was tried at its door."""

from dataclasses import dataclass
from datetime import timedelta

from fastapi import APIRouter, Request
from pymysql.cursors import DictCursor

from nine_knots.api.auth.account_session import CurrentMine
from nine_knots.api.auth.forms import AccountStateForm
from nine_knots.api.ids import PathId
from nine_knots.api.jobs.worker_pool import WorkerPool
from nine_knots.api.metrics import RouteTime, slowest_routes
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.core.base.errors import OutOfRange
from nine_knots.store.accounts.accounts import list_accounts, shut_account
from nine_knots.store.accounts.audit_log import LoginNote, list_notes
from nine_knots.store.accounts.logins import count_seen

router = APIRouter(prefix="/api/v1/operator", tags=["operator"], responses={**RESPONSES, **MISSING})
BENCH_WAITS_S, SEARCH_WAITS_S, SLOW_S = 5.0, 60.0, 0.1
ENOUGH = 40  # readings of a bench; of fewer, one in twenty says nothing


@dataclass(frozen=True, slots=True)
class AccountRow:
    """An account in a line: when it joined, and whether nobody comes in by it."""

    account_id: str
    name: str
    made_at: str
    operator: bool
    shut: bool
    me: bool


@dataclass(frozen=True, slots=True)
class PoolRow:
    """A crew of workers: how many are busy, how many on other machines, what waits and the eldest
    of it in seconds, what was worked out and known already, and what ended otherwise."""

    name: str
    busy: int
    elsewhere: int
    waiting: int
    eldest_s: float
    done: int
    known: int
    other: int


@dataclass(frozen=True, slots=True)
class Overview:
    """The service at a glance; ``words`` say whether anything is amiss."""

    words: tuple[str, ...]
    seen_now: int
    seen_today: int
    conflicts: int
    crews: tuple[PoolRow, ...]
    slowest: tuple[RouteTime, ...]
    accounts: tuple[AccountRow, ...]
    notes: tuple[LoginNote, ...]


@router.get("", summary="Show the service at a glance")
def get_overview(request: Request, mine: CurrentMine) -> Overview:
    """This process's own figures, and the accounts and log-ins of all."""
    mine.operates()
    state = request.app.state
    crews = (_crew("bench", state.crew), _crew("search", state.searchers))
    slowest = slowest_routes(state.seconds)
    return mine.transact(
        lambda cursor, me: Overview(
            words=alarms(crews, slowest),
            seen_now=count_seen(cursor, timedelta(minutes=10)),
            seen_today=count_seen(cursor, timedelta(days=1)),
            conflicts=state.database.conflicts,
            crews=crews,
            slowest=slowest,
            accounts=_accounts(cursor, me),
            notes=list_notes(cursor),
        )
    )


@router.post("/accounts/{account_id}/shut", summary="Disable or enable an account")
def put_account_state(
    mine: CurrentMine,
    account_id: PathId,
    form: AccountStateForm,
) -> tuple[AccountRow, ...]:
    """Nobody comes in by it from the next call on; what is in it stays."""
    mine.operates()
    mine.proved()

    def change(cursor: DictCursor, me: str) -> tuple[AccountRow, ...]:
        if account_id == me:
            raise OutOfRange(
                "That is your own account.", where="account_id", hint="Ask another operator."
            )
        shut_account(cursor, account_id, form.shut)
        mine.note(cursor, "disabled an account" if form.shut else "enabled an account")
        return _accounts(cursor, me)

    return mine.transact(change)


def _accounts(cursor: DictCursor, me: str) -> tuple[AccountRow, ...]:
    return tuple(
        AccountRow(
            account.account_id,
            account.name,
            account.made_at.isoformat(),
            account.is_operator,
            account.shut,
            account.account_id == me,
        )
        for account in list_accounts(cursor)
    )


def _crew(name: str, crew: WorkerPool) -> PoolRow:
    done, known = crew.ended["worked out"], crew.ended["known"]
    return PoolRow(
        name,
        crew.busy,
        crew.elsewhere,
        len(crew.waiting),
        round(crew.waiting.eldest_s, 1),
        done,
        known,
        sum(crew.ended.values()) - done - known,
    )


def alarms(crews: tuple[PoolRow, ...], slowest: tuple[RouteTime, ...]) -> tuple[str, ...]:
    """What is worth an alarm (docs/reliability.md), in sentences."""
    found = []
    for crew, most_s in zip(crews, (BENCH_WAITS_S, SEARCH_WAITS_S), strict=True):
        if crew.eldest_s > most_s:
            found.append(f"At the {crew.name} a job has waited {crew.eldest_s:.0f} s: add workers.")
    read = (
        route_time
        for route_time in slowest
        if route_time.route == "/api/v1/bench" and route_time.count >= ENOUGH
    )
    bench = next(read, None)
    if bench is not None and bench.p95_s > SLOW_S:
        found.append(
            f"One bench in twenty takes longer than {1000 * SLOW_S:.0f} ms: the service is "
            "short of processors."
        )
    quick = ", and benches answer as quickly as they should" if bench is not None else ""
    return tuple(found) or (f"Nothing is waiting for long{quick}.",)
