"""What an angler has taught the store: landings, hand and height, attempts, pull tests."""

import asyncio
from datetime import UTC, datetime

import pytest
from pydantic import TypeAdapter

from nine_knots.api.jobs.landing_updates import LandingUpdater
from nine_knots.core.assess.landings import CAST_MODEL, ObservedLanding, landing_of
from nine_knots.core.assess.own_cast import UNKNOWN, Landing, estimate
from nine_knots.core.assess.practice import Attempt
from nine_knots.core.base.errors import NotFound
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.knots.own import PullTest, sum_tests
from nine_knots.store import landings, practice, pulls, tying
from nine_knots.store.angler_cache import AnglerCache
from nine_knots.store.anglers import Settings, create_angler, lock_angler
from tests.makers import design


@pytest.fixture
def me(database):
    return database.transact(lambda c: create_angler(c, Settings(name="Test angler")))


@pytest.fixture
def other(database):
    return database.transact(lambda c: create_angler(c, Settings(name="Another")))


SEEN = ObservedLanding(design=design(), stroke=Stroke(), said="normal", by_word=True, landed="soft")
LANDING = Landing(usual=0.4, by_word=True, landed="soft")


def test_landings_come_back_newest_first_and_only_to_their_angler(database, me, other):
    for usual in (0.2, 0.4):
        made = Landing(usual, True, "soft")
        database.transact(lambda c, m=made: landings.add_landing(c, me, SEEN, m))
    kept = database.transact(lambda c: landings.list_landings(c, me))
    assert [item.landing.usual for item in kept] == [0.4, 0.2]
    assert kept[0].seen == SEEN
    assert database.transact(lambda c: landings.list_landings(c, other)) == ()
    with pytest.raises(NotFound):
        database.transact(lambda c: landings.delete_landing(c, other, kept[0].landing_id))
    database.transact(lambda c: landings.delete_landing(c, me, kept[0].landing_id))
    assert len(database.transact(lambda c: landings.list_landings(c, me))) == 1


def test_a_landing_of_an_earlier_cast_model_is_cast_anew_and_learnt_from(database, me):
    """By the crew as it runs in the service; one that cannot be read keeps what it told."""
    for _ in range(2):
        database.transact(lambda c: landings.add_landing(c, me, SEEN, LANDING))
    first, second = database.transact(lambda c: landings.list_landings(c, me))

    def make_old(cursor):
        cursor.execute("UPDATE landing SET usual = 1.5, cast_model = 1")
        cursor.execute("UPDATE landing SET body = '{}' WHERE landing_id = %s", (second.landing_id,))

    database.transact(make_old)

    class Crew:
        async def ask(self, _asker, task):
            return TypeAdapter(Landing).dump_json(task.work())

    async def all_of_them():
        recasting = LandingUpdater(Crew(), database)
        while await recasting.recast_one():
            pass
        recasting.close()

    asyncio.run(all_of_them())
    (kept,) = database.transact(lambda c: landings.list_landings(c, me))
    assert kept.landing_id == first.landing_id
    assert kept.cast_model == CAST_MODEL
    assert kept.landing.usual == pytest.approx(landing_of(SEEN).usual)
    assert database.transact(lambda c: landings.read_estimate(c, me)) == estimate((kept.landing,))
    assert database.transact(landings.old_landing) is None


def test_the_own_cast_is_usual_until_one_is_written(database, me):
    assert database.transact(lambda c: landings.read_own_cast(c, me)) == UNKNOWN
    found = estimate((LANDING,))
    for _ in range(2):
        database.transact(lambda c: landings.write_estimate(c, me, found))
    assert database.transact(lambda c: landings.read_estimate(c, me)) == found
    assert database.transact(lambda c: landings.read_own_cast(c, me)) == found.own


def test_hand_height_and_own_knots_make_the_tyer(database, me):
    usual = database.transact(lambda c: tying.read_tyer(c, me))
    assert (usual.handiness, usual.height_m, usual.knots) == (1.0, None, ())
    database.transact(lambda c: tying.write_height_m(c, me, 1.81))
    database.transact(lambda c: tying.add_tied(c, me, {0: 0.6, 2: 0.7}))
    test = PullTest(knot="blood", family="nylon", strand_n=40.0, broke_n=30.0)
    database.transact(lambda c: pulls.add_tests(c, me, [(test, "Mist soft")], "typed"))
    tyer = database.transact(lambda c: tying.read_tyer(c, me))
    assert tyer.height_m == 1.81
    assert 0.6 < tyer.handiness < 1.0
    assert tyer.knots[0].tests == 1
    assert tyer.knots[0].factor < 1.0


def test_attempts_keep_their_moment_in_utc(database, me):
    made = Attempt(
        knot="blood", seconds=41.5, rated="good", at=datetime(2026, 5, 1, 20, 15, tzinfo=UTC)
    )
    database.transact(lambda c: practice.add_attempt(c, me, made))
    assert database.transact(lambda c: practice.list_attempts(c, me)) == (made,)


def test_a_pull_test_is_set_aside_and_counted_again(database, me, other):
    test = PullTest(knot="uni", family="fluorocarbon", strand_n=40.0, broke_n=12.0)
    database.transact(lambda c: pulls.add_tests(c, me, [(test, "Frost")], "scale"))
    (kept,) = database.transact(lambda c: pulls.list_tests(c, me))
    assert (kept.test, kept.line, kept.source) == (test, "Frost", "scale")
    for aside in (True, False):
        database.transact(lambda c, a=aside: pulls.set_aside(c, me, [kept.test_id], a))
        (now,) = database.transact(lambda c: pulls.list_tests(c, me))
        assert now.test.set_aside is aside
        (told,) = database.transact(lambda c: pulls.summed_tests(c, me))
        assert told == sum_tests("uni", "fluorocarbon", (now.test,))
    with pytest.raises(NotFound):
        database.transact(lambda c: pulls.set_aside(c, other, [kept.test_id], True))


def test_the_database_sums_up_what_the_core_would(database, me):
    shares = (0.5, 0.82, 0.91, 0.7)
    tests = [
        PullTest(knot=knot, family="nylon", strand_n=40.0, broke_n=40.0 * share, set_aside=aside)
        for knot in ("uni", "blood")
        for share, aside in zip(shares, (False, True, False, False), strict=True)
    ]
    database.transact(lambda c: pulls.add_tests(c, me, [(t, "Mist") for t in tests], "file"))
    told = database.transact(lambda c: pulls.summed_tests(c, me))
    for item, mine in zip(told, (tests[4:], tests[:4]), strict=True):
        expected = sum_tests(mine[0].knot, "nylon", tuple(mine))
        assert item.tests == expected.tests == 3
        assert item.ln_kept == pytest.approx(expected.ln_kept)
        assert (item.least, item.most) == pytest.approx((expected.least, expected.most))
    listed = database.transact(lambda c: pulls.list_tests(c, me, 3, 2))
    every = database.transact(lambda c: pulls.list_tests(c, me))
    assert listed == every[2:5]


def test_tests_are_forgotten_together_or_not_at_all(database, me):
    test = PullTest(knot="uni", family="nylon", strand_n=40.0, broke_n=12.0)
    database.transact(lambda c: pulls.add_tests(c, me, [(test, "Mist")] * 3, "typed"))
    ids = [kept.test_id for kept in database.transact(lambda c: pulls.list_tests(c, me))]
    with pytest.raises(NotFound):
        database.transact(lambda c: pulls.delete_tests(c, me, [ids[0], "0" * 32]))
    database.transact(lambda c: pulls.delete_tests(c, me, ids[:2]))
    assert [k.test_id for k in database.transact(lambda c: pulls.list_tests(c, me))] == ids[2:]
    assert database.transact(lambda c: pulls.count_tests(c, me)) == 1


def test_an_angler_is_read_again_after_a_write_of_theirs_and_of_nobody_elses(database, me, other):
    known = AnglerCache()

    def ask(who, system="imperial"):
        return database.transact(lambda c: known.angler(c, who, system))

    def tall(who, height_m):
        def write(cursor):
            lock_angler(cursor, who)
            tying.write_height_m(cursor, who, height_m)

        database.transact(write)

    before = ask(me)
    tall(other, 1.6)
    assert ask(me) is before
    assert ask(me, "metric").units.system == "metric"
    tall(me, 1.9)
    assert ask(me).tyer.height_m == 1.9
    assert ask(other).tyer.height_m == 1.6
