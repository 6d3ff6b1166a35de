"""Events are read whole, whatever happens to the cache of those that were read before."""

import threading
from contextlib import suppress

import pytest

from nine_knots.core.domain.event import Event
from nine_knots.store import events as events_table
from nine_knots.store.anglers import Settings, create_angler
from nine_knots.store.events import add_events, list_events


@pytest.fixture
def me(database):
    return database.transact(lambda c: create_angler(c, Settings(name="Test angler")))


def events(day: str, count: int) -> list[Event]:
    return [
        Event(event_id=f"{day}{number:031x}", plan_id=day * 32, at=number, kind="missed")
        for number in range(count)
    ]


def test_none_is_missing_while_others_fill_the_cache(database, me, monkeypatch):
    monkeypatch.setattr(events_table, "MOST_KNOWN", 30)
    for day in "abc":
        database.transact(lambda c, day=day: add_events(c, me, events(day, 20)))
    short: list[int] = []

    def read() -> None:
        for number in range(40):
            day = "abc"[number % 3] * 32
            found = database.transact(lambda c, day=day: list_events(c, me, day))
            if len(found) != 20:
                short.append(len(found))

    readers = [threading.Thread(target=read) for _ in range(4)]
    for reader in readers:
        reader.start()
    for reader in readers:
        reader.join()
    assert short == []
    assert len(database.transact(lambda c: list_events(c, me))) == 60


def test_a_cache_that_is_emptied_in_the_middle_of_a_read_loses_nothing(database, me, monkeypatch):
    database.transact(lambda c: add_events(c, me, events("d", 10)))
    database.transact(lambda c: list_events(c, me, "d" * 32))  # all known now
    database.transact(lambda c: add_events(c, me, events("d", 12)[10:]))
    real = events_table.readable_rows

    def emptied(*args):
        events_table._known.clear()
        return real(*args)

    monkeypatch.setattr(events_table, "readable_rows", emptied)
    with suppress(KeyError):
        del events_table._known[me, "d" + f"{3:031x}"]
    assert len(database.transact(lambda c: list_events(c, me, "d" * 32))) == 12
