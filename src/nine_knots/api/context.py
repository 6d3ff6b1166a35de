"""What every router needs: the database and the angler whose rows are asked for."""

from collections.abc import Callable
from typing import Annotated, TypeVar

from fastapi import Depends, Request
from pymysql.cursors import DictCursor

from nine_knots.core.errors import NotFound
from nine_knots.store import Database
from nine_knots.store.anglers import only_angler

Answer = TypeVar("Answer")


class Session:
    """The database as one angler sees it."""

    def __init__(self, database: Database, angler_id: str) -> None:
        self._database = database
        self.angler_id = angler_id

    def run(self, work: Callable[[DictCursor, str], Answer]) -> Answer:
        """One transaction for this angler."""
        return self._database.transact(lambda cursor: work(cursor, self.angler_id))


def _session(request: Request) -> Session:
    state = request.app.state
    if state.angler_id is None:
        state.angler_id = state.database.transact(only_angler)
    if state.angler_id is None:
        raise NotFound("No angler is known yet.", mend="Start with ./start, which makes one.")
    return Session(state.database, state.angler_id)


CurrentSession = Annotated[Session, Depends(_session)]
