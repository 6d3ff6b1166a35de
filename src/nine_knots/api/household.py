"""Who of a household may come to the front: whoever knows the code that an angler has set."""

from collections.abc import Callable
from typing import TypeVar

from pymysql.cursors import DictCursor

from nine_knots.api.context import Session
from nine_knots.services.errors import WrongCode
from nine_knots.services.secret import opens
from nine_knots.store.codes import note_code, read_code

Answer = TypeVar("Answer")


def with_code(
    session: Session, angler_id: str | None, code: str, work: Callable[[DictCursor, str], Answer]
) -> Answer:
    """Do what the angler's code allows (of who is in front where none is named); WrongCode where it
    is another. A wrong one is noted, whatever else comes of it."""

    def once(cursor: DictCursor, me: str) -> Answer | WrongCode:
        whose = angler_id or me
        known = read_code(cursor, whose)
        if known.sealed is None:
            return work(cursor, whose)
        if known.waits:
            what = "Too many wrong codes."
            return WrongCode(what, where="code", hint="Wait a minute, then try again.")
        right = opens(known.sealed, code.strip())
        note_code(cursor, whose, right)
        if right:
            return work(cursor, whose)
        what = "Wrong code." if code.strip() else "These things are protected by a code."
        return WrongCode(what, where="code", hint="Enter the code that was set for them.")

    found = session.write(once)
    if isinstance(found, WrongCode):
        raise found
    return found
