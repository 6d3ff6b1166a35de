"""The ledger: what is left is the sum of what was noted, in whatever order; nothing is lost."""

import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.core.domain.ledger import Act, Change, amount_left, amount_of, with_amount
from nine_knots.store.account_export import read_account_export, write_account_export
from nine_knots.store.account_export_types import parse_export
from nine_knots.store.anglers import Settings, create_angler
from nine_knots.store.ledger import (
    list_acts,
    merge_stock,
    note_act,
    overdrawn,
    put_stock,
    undo_act,
    usual_takes,
)
from nine_knots.store.stock import list_stock, read_stock
from tests.makers import packet, spool


@pytest.fixture
def me(database):
    return database.transact(lambda c: create_angler(c, Settings(name="Test angler")))


def took(item, amount, why="tied"):
    change = Change(spool_id=item.spool_id, title=item.title, change=-amount)
    return Act(why=why, words="Sedge leader", changes=(change,))


def left(database, me, item):
    return amount_of(database.transact(lambda c: read_stock(c, me, item.spool_id)))


@given(
    st.lists(st.floats(-50.0, 50.0).map(lambda x: round(x, 3)), max_size=20),
    st.randoms(use_true_random=False),
)
def test_what_is_left_does_not_hang_on_the_order(changes, random):
    shuffled = list(changes)
    random.shuffle(shuffled)
    assert amount_left(shuffled) == amount_left(changes)
    assert amount_left(changes) == pytest.approx(max(0.0, sum(changes)), abs=2e-6)


STEPS = st.lists(
    st.one_of(
        st.tuples(st.just("take"), st.integers(1, 1200)),
        st.tuples(st.just("count"), st.integers(0, 5000)),
        st.tuples(st.just("undo"), st.integers(0, 9)),
    ),
    max_size=12,
)


@settings(max_examples=25, suppress_health_check=[HealthCheck.function_scoped_fixture])
@given(STEPS)
def test_any_row_of_acts_counts_and_undoings_adds_up(database, steps):
    """Against a list kept by hand: an act undone counts for nothing, a count is what it says."""
    me = database.transact(lambda c: create_angler(c, Settings(name="Another")))
    item = spool(18, left_m=30.0)
    database.transact(lambda c: put_stock(c, me, item))
    noted: list[list] = []  # act id, change
    for what, number in steps:
        now = 30.0 + sum(change for _, change in noted)
        if what == "take":
            act = took(item, number / 100.0)
            act_id = database.transact(lambda c, a=act: note_act(c, me, a))
            noted.append([act_id, -number / 100.0])
        elif what == "count" and number / 100.0 != max(0.0, now):
            counted = with_amount(item, number / 100.0)
            database.transact(lambda c, i=counted: put_stock(c, me, i))
            newest = database.transact(lambda c: list_acts(c, me, 1))[0]
            assert newest.act.why == "counted"
            noted.append([newest.act_id, number / 100.0 - now])
        elif what == "undo" and noted:
            one = noted[number % len(noted)]
            for _ in range(2):  # asked twice, done once
                database.transact(lambda c, i=one[0]: undo_act(c, me, i))
            one[1] = 0.0
        expected = 30.0 + sum(change for _, change in noted)
        assert left(database, me, item) == pytest.approx(max(0.0, expected), abs=1e-5)
        over = database.transact(lambda c: overdrawn(c, me)).get(item.spool_id, 0.0)
        assert over == pytest.approx(max(0.0, -expected), abs=2e-3)


def test_a_packet_is_counted_and_what_is_not_known_is_left_out(database, me):
    mine, strange = packet(), spool(21)
    database.transact(lambda c: put_stock(c, me, mine))
    changes = (*took(mine, 2.0).changes, *took(strange, 3.0).changes)
    act_id = database.transact(lambda c: note_act(c, me, Act(why="tied", changes=changes)))
    assert left(database, me, mine) == mine.count - 2
    (tied, _) = database.transact(lambda c: list_acts(c, me, 9))
    assert [entry.spool_id for entry in tied.act.changes] == [mine.spool_id]
    assert database.transact(lambda c: usual_takes(c, me)) == {mine.spool_id: 2.0}
    database.transact(lambda c: undo_act(c, me, act_id))
    assert left(database, me, mine) == mine.count
    with pytest.raises(NotFound):
        database.transact(lambda c: undo_act(c, me, "0" * 32))


def test_two_ends_of_the_same_become_one_and_can_be_taken_apart(database, me):
    one = spool(18, left_m=4.0)
    strand = one.strand.model_copy(update={"spool_id": "rest"})
    two = one.evolve(spool_id="rest", strand=strand, title="The rest", remaining_m=1.5)
    thick = spool(21)
    for item in (one, two, thick):
        database.transact(lambda c, i=item: put_stock(c, me, i))
    act_id = database.transact(lambda c: merge_stock(c, me, one.spool_id, "rest"))
    assert left(database, me, one) == 5.5
    assert "rest" not in {i.spool_id for i in database.transact(lambda c: list_stock(c, me))}
    database.transact(lambda c: undo_act(c, me, act_id))
    assert (left(database, me, one), left(database, me, two)) == (4.0, 1.5)
    assert "rest" in {i.spool_id for i in database.transact(lambda c: list_stock(c, me))}
    for other in (thick.spool_id, one.spool_id):
        with pytest.raises(OutOfRange):
            database.transact(lambda c, o=other: merge_stock(c, me, one.spool_id, o))


def test_it_goes_with_everything_and_comes_back_as_it_was(database, me):
    item = spool(18, left_m=30.0)
    database.transact(lambda c: put_stock(c, me, item))
    act_id = database.transact(lambda c: note_act(c, me, took(item, 2.5)))
    database.transact(lambda c: undo_act(c, me, act_id))
    database.transact(lambda c: note_act(c, me, took(item, 1.0, "lost")))
    before = database.transact(lambda c: list_acts(c, me, 99))
    file = database.transact(lambda c: read_account_export(c, me)).model_dump_json()
    other = database.transact(lambda c: write_account_export(c, parse_export(file)))
    assert database.transact(lambda c: list_acts(c, other, 99)) == before
    assert left(database, other, item) == 29.0
