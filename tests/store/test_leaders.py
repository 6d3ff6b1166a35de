"""Leaders in the store: immutable revisions, conflicts that lose nothing, one angler's rows."""

from concurrent.futures import ThreadPoolExecutor
from datetime import UTC, datetime, timedelta

import pytest

from nine_knots.core.base.errors import NotFound
from nine_knots.store import leaders
from nine_knots.store.anglers import Settings, create_angler, read_settings, write_settings
from nine_knots.store.errors import StaleRevision
from tests.makers import design, level, tied

MINE, THEIRS = design(), design(tied(level(17, 5), level(10, 2)))


@pytest.fixture
def me(database):
    return database.transact(lambda c: create_angler(c, Settings(name="Test angler")))


def test_a_leader_comes_back_as_it_was_saved(database, me):
    made = database.transact(lambda c: leaders.create_leader(c, me, MINE))
    found = database.transact(lambda c: leaders.read_revision(c, me, made.leader_id))
    assert (found.design, found.revision) == (MINE, 1)
    assert abs(found.saved_at - datetime.now(UTC)) < timedelta(minutes=1)


def test_every_revision_stays_as_it_was(database, me):
    made = database.transact(lambda c: leaders.create_leader(c, me, MINE))
    second = database.transact(lambda c: leaders.save_revision(c, me, made.leader_id, 1, THEIRS))
    assert second.revision == 2
    first = database.transact(lambda c: leaders.read_revision(c, me, made.leader_id, 1))
    assert first.design == MINE


def test_a_save_on_an_older_revision_is_refused_and_both_are_kept(database, me):
    made = database.transact(lambda c: leaders.create_leader(c, me, MINE))
    database.transact(lambda c: leaders.save_revision(c, me, made.leader_id, 1, THEIRS))
    with pytest.raises(StaleRevision) as refused:
        database.transact(lambda c: leaders.save_revision(c, me, made.leader_id, 1, MINE))
    assert refused.value.newest == 2
    own = database.transact(lambda c: leaders.create_leader(c, me, MINE))
    shelf = database.transact(lambda c: leaders.list_leaders(c, me, 50))
    assert {item.leader_id for item in shelf} == {made.leader_id, own.leader_id}


def test_of_many_saves_at_once_one_wins(database, me):
    made = database.transact(lambda c: leaders.create_leader(c, me, MINE))

    def save(_number):
        try:
            return database.transact(
                lambda c: leaders.save_revision(c, me, made.leader_id, 1, THEIRS)
            ).revision
        except StaleRevision:
            return None

    with ThreadPoolExecutor(8) as pool:
        won = [number for number in pool.map(save, range(8)) if number]
    assert won == [2]


def test_another_anglers_leader_is_not_there(database, me):
    other = database.transact(lambda c: create_angler(c, Settings(name="Another")))
    made = database.transact(lambda c: leaders.create_leader(c, other, MINE))
    assert database.transact(lambda c: leaders.list_leaders(c, me, 50)) == ()
    for act in (
        lambda c: leaders.read_revision(c, me, made.leader_id),
        lambda c: leaders.save_revision(c, me, made.leader_id, 1, MINE),
        lambda c: leaders.set_removed(c, me, made.leader_id, removed=True),
    ):
        with pytest.raises(NotFound):
            database.transact(act)


def test_what_is_taken_off_the_shelf_can_be_put_back(database, me):
    made = database.transact(lambda c: leaders.create_leader(c, me, MINE))
    database.transact(lambda c: leaders.set_removed(c, me, made.leader_id, removed=True))
    with pytest.raises(NotFound):
        database.transact(lambda c: leaders.read_revision(c, me, made.leader_id))
    database.transact(lambda c: leaders.set_removed(c, me, made.leader_id, removed=False))
    assert database.transact(lambda c: leaders.read_revision(c, me, made.leader_id)).design == MINE


def test_hostile_text_is_only_text(database, me):
    name = "'; DROP TABLE leader; -- 🎣"
    named = MINE.model_copy(update={"title": name})
    made = database.transact(lambda c: leaders.create_leader(c, me, named))
    assert made.design.title == name
    with pytest.raises(NotFound):
        database.transact(lambda c: leaders.read_revision(c, me, "' OR '1'='1"))


def test_settings_are_remembered(database, me):
    wanted = Settings(name="Test angler", units="metric", theme="dark")
    database.transact(lambda c: write_settings(c, me, wanted))
    assert database.transact(lambda c: read_settings(c, me)) == wanted
