"""Transactions: whole or not at all, and run again where the server broke a deadlock."""

import threading

import pytest

from nine_knots.store import Address, Database
from nine_knots.store.anglers import Settings, create_angler, current_angler, read_settings
from nine_knots.store.errors import DatabaseUnavailable


def make(database, name):
    return database.transact(lambda c: create_angler(c, Settings(name=name)))


def test_a_failed_transaction_leaves_nothing(database):
    def half(cursor):
        create_angler(cursor, Settings(name="Half done"))
        raise ValueError("in the middle")

    with pytest.raises(ValueError, match="in the middle"):
        database.transact(half)
    assert database.transact(current_angler) is None


def test_two_that_deadlock_both_get_done(database):
    first, second = make(database, "A"), make(database, "B")
    both_hold_one = threading.Barrier(2, timeout=10)
    runs = []

    def rename(cursor, item, other, mark):
        runs.append(mark)
        write = "UPDATE angler SET name = CONCAT(name, %s) WHERE angler_id = %s"
        cursor.execute(write, (mark, item))
        if len(runs) <= 2:
            both_hold_one.wait()
        cursor.execute(write, (mark, other))

    threads = [
        threading.Thread(target=database.transact, args=(lambda c, a=a: rename(c, *a),))
        for a in ((first, second, "x"), (second, first, "y"))
    ]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join(20)
    names = [database.transact(lambda c, i=i: read_settings(c, i)).name for i in (first, second)]
    assert [sorted(name[1:]) for name in names] == [["x", "y"], ["x", "y"]]
    assert len(runs) == 3, "one of the two was run again"


def test_a_server_that_is_not_there_is_said_with_the_mend():
    nowhere = Address("127.0.0.1", 9, "nobody", "", "nothing")
    with pytest.raises(DatabaseUnavailable, match="does not answer") as refused:
        Database(nowhere).transact(lambda c: c.execute("SELECT 1"))
    assert refused.value.hint
