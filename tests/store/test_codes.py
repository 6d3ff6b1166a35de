"""A household's codes: five wrong ones make the next wait, a right one forgets them."""

from datetime import UTC, datetime

import pytest

from nine_knots.store.anglers import Settings, create_angler
from nine_knots.store.codes import MOST_WRONG, WAIT, note_code, read_code, write_code


@pytest.fixture
def angler(database):
    def make(cursor) -> str:
        made = create_angler(cursor, Settings(name="Eira"))
        write_code(cursor, made, "sealed")
        return made

    return database.transact(make)


def waits_after(database, angler, *given: bool) -> bool:
    def give(cursor) -> bool:
        for right in given:
            note_code(cursor, angler, right)
        return read_code(cursor, angler).waits

    return database.transact(give)


def test_wrong_codes_are_counted_until_a_right_one(database, angler):
    assert not waits_after(database, angler, *[False] * (MOST_WRONG - 1))
    assert not waits_after(database, angler, True, *[False] * (MOST_WRONG - 1))
    assert waits_after(database, angler, False)


def test_the_waiting_ends_by_itself_and_with_a_new_code(database, angler, monkeypatch):
    assert waits_after(database, angler, *[False] * MOST_WRONG)
    now = datetime.now(UTC)

    class Later(datetime):
        @classmethod
        def now(cls, tz=None):
            return now.astimezone(tz) + 1.1 * WAIT

    with monkeypatch.context() as patched:
        patched.setattr("nine_knots.store.codes.datetime", Later)
        assert not waits_after(database, angler)
    assert waits_after(database, angler)
    database.transact(lambda cursor: write_code(cursor, angler, None))
    code = database.transact(lambda cursor: read_code(cursor, angler))
    assert (code.sealed, code.waits) == (None, False)
