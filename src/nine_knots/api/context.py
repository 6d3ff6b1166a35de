"""What every router needs: the database as the angler sees it who sits at the bench."""

import hashlib
from collections.abc import Callable
from dataclasses import dataclass
from typing import Annotated, TypeVar

from fastapi import Depends, Header, Request
from pymysql.cursors import DictCursor

from nine_knots.api.principal import ANYBODY, Principal, principal_of
from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.quantity import System
from nine_knots.store import Database
from nine_knots.store.angler_cache import AnglerCache
from nine_knots.store.anglers import current_angler, lock_angler
from nine_knots.store.idempotency_keys import earlier_result, store_result

Answer = TypeVar("Answer")
Work = Callable[[DictCursor, str], Answer]


@dataclass(frozen=True)
class IdempotentRequest:
    """A save that is intended once, however often it is sent: its key, and what is asked."""

    key: str
    asked: str


class Session:
    """The database as one angler sees it."""

    def __init__(
        self,
        database: Database,
        known: AnglerCache,
        caller: Principal = ANYBODY,
        intent: IdempotentRequest | None = None,
    ) -> None:
        self._database, self._known = database, known
        self._caller, self._intent = caller, intent

    @property
    def account_id(self) -> str | None:
        """Whose anglers it is about; None at home, where they are all of one household."""
        return self._caller.account_id

    @property
    def day(self) -> str | None:
        """The only planned day that a guest's phone sees; None for everybody else."""
        return self._caller.day

    def check_day(self, *plan_ids: str) -> None:
        """NotFound where a guest asks for another day than theirs."""
        if self.day is not None and set(plan_ids) - {self.day}:
            raise NotFound("That plan doesn't exist.", where="plan_id")

    def _angler(self, cursor: DictCursor) -> str:
        """Whose phone it is, or who sits at the bench."""
        return self._caller.angler_id or _angler(cursor, self.account_id)

    def read(self, work: Work[Answer]) -> Answer:
        """One transaction for this angler that changes nothing."""
        return self._database.transact(lambda cursor: work(cursor, self._angler(cursor)))

    def angler(self, system: System = "imperial") -> Angler:
        """What the angler owns and is, as far as a judgement asks."""
        return self.read(lambda cursor, me: self._known.angler(cursor, me, system))

    def write(self, work: Work[Answer]) -> Answer:
        """One transaction that changes something of this angler's, after any other's that does.

        Nothing is read before the angler is locked: a transaction sees the state of its first
        read, and would not know what those wrote that it waited for.
        """
        self._database.check_room()
        angler_id = self._caller.angler_id or self._database.transact(self._angler)

        def locked(cursor: DictCursor) -> Answer:
            lock_angler(cursor, angler_id)
            return work(cursor, angler_id)

        return self._database.transact(locked)

    def save(self, make: Work[str], answer: Callable[[DictCursor, str, str], Answer]) -> Answer:
        """Make something new, once for every intent, and answer with what was made.

        ``make`` answers its name (80 characters at most), which ``answer`` takes up. Where the
        same intent was carried out before, but its answer got lost, only ``answer`` is called.
        """

        def once(cursor: DictCursor, angler_id: str) -> Answer:
            if self._intent is None:
                return answer(cursor, angler_id, make(cursor, angler_id))
            key, asked = self._intent.key, self._intent.asked
            made = earlier_result(cursor, angler_id, key, asked)
            if made is None:
                made = make(cursor, angler_id)
                store_result(cursor, angler_id, key, asked, made)
            return answer(cursor, angler_id, made)

        return self.write(once)


def _angler(cursor: DictCursor, account_id: str | None) -> str:
    found = current_angler(cursor, account_id)
    if found is None:
        raise NotFound("There is no angler yet.", hint="Run ./start, which creates one.")
    return found


async def _intent(
    request: Request,
    idempotency_key: Annotated[
        str | None,
        Header(
            max_length=100,
            description="idempotency key: the same key never saves twice",
        ),
    ] = None,
) -> IdempotentRequest | None:
    if not idempotency_key:
        return None
    asked = hashlib.sha256(f"{request.method} {request.url.path} ".encode())
    asked.update(await request.body())
    return IdempotentRequest(
        hashlib.sha256(idempotency_key.encode()).hexdigest(), asked.hexdigest()
    )


# what needs no thread asks for none: a hop to one costs more than either does
async def _session(request: Request) -> Session:
    state = request.app.state
    return Session(state.database, state.known, principal_of(request))


async def _saving_session(
    request: Request, intent: Annotated[IdempotentRequest | None, Depends(_intent)]
) -> Session:
    state = request.app.state
    return Session(state.database, state.known, principal_of(request), intent)


CurrentSession = Annotated[Session, Depends(_session)]
SavingSession = Annotated[Session, Depends(_saving_session)]
"""For calls that make something new: they take an Idempotency-Key."""
