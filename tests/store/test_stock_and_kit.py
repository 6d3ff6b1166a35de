"""Spools, packets, rods, lines and flies in the store, and the demo that fills them."""

import pytest

from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.units import Units
from nine_knots.core.domain.tackle import Fly
from nine_knots.demo.load import load_demo
from nine_knots.store.anglers import Settings, create_angler, current_angler
from nine_knots.store.leaders import list_leaders
from nine_knots.store.ledger import put_stock
from nine_knots.store.stock import list_stock, retire_stock
from nine_knots.store.tackle import add_tackle, read_kit
from nine_knots.words.evaluation import evaluate
from tests.makers import DRY, FIVE, SHELF, day, spool


@pytest.fixture
def me(database):
    return database.transact(lambda c: create_angler(c, Settings(name="Test angler")))


def test_the_shelf_comes_back_thickest_first(database, me):
    for item in SHELF:
        database.transact(lambda c, i=item: put_stock(c, me, i))
    found = database.transact(lambda c: list_stock(c, me))
    assert sorted(found, key=lambda i: i.spool_id) == sorted(SHELF, key=lambda i: i.spool_id)
    stiff = [i.strand.diameter_m for i in found if i.strand.material == "nylon-stiff"]
    assert stiff == sorted(stiff, reverse=True)


def test_a_spool_is_written_anew_under_its_own_name_and_can_go(database, me):
    database.transact(lambda c: put_stock(c, me, spool(18)))
    database.transact(lambda c: put_stock(c, me, spool(18, left_m=3.0)))
    (found,) = database.transact(lambda c: list_stock(c, me))
    assert found.remaining_m == 3.0
    database.transact(lambda c: retire_stock(c, me, found.spool_id))
    with pytest.raises(NotFound):
        database.transact(lambda c: retire_stock(c, me, found.spool_id))


def test_the_kit_keeps_its_order_and_renews_in_place(database, me):
    other = Fly(title="Other", kind="wet", hook=12)
    for item in (DRY, other, FIVE, day().rod, DRY.model_copy(update={"hook": 16})):
        database.transact(lambda c, i=item: add_tackle(c, me, i))
    kit = database.transact(lambda c: read_kit(c, me))
    assert [(fly.title, fly.hook) for fly in kit.flies] == [(DRY.title, 16), ("Other", 12)]
    assert (kit.lines, kit.rods) == ((FIVE,), (day().rod,))


def test_the_demo_is_loaded_once_and_sound(database):
    assert load_demo(database)
    assert not load_demo(database)
    me = database.transact(current_angler)
    kit = database.transact(lambda c: read_kit(c, me))
    assert (len(kit.rods), len(kit.lines), len(kit.flies)) == (3, 4, 15)
    stock = database.transact(lambda c: list_stock(c, me))
    assert {i.strand.substance.family for i in stock} == {"nylon", "fluorocarbon", "wire"}
    shelf = database.transact(lambda c: list_leaders(c, me, 50))
    assert len({entry.design.leader.school for entry in shelf}) >= 13
    assert len(shelf) == 14
    assert all(entry.design.notes for entry in shelf)
    titles = {item.spool_id: item.title for item in stock}
    for entry in shelf[:6]:
        verdict = evaluate(entry.design, titles, Units("imperial")).verdict
        assert {m.status for m in verdict if m.key != "hold"} == {"right"}
