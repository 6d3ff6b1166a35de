"""The crew: in turn, newest only, bounded, given up when nobody waits, alive whatever happens."""

import asyncio
import json
from datetime import UTC, datetime, timedelta

import psutil
import pytest

from nine_knots.api.jobs.answer_cache import AnswerCache
from nine_knots.api.jobs.job_queue import MOST_OF_A_PAGE, ClientKey
from nine_knots.api.jobs.quota import HOUR, Quota
from nine_knots.api.jobs.readiness import Readiness, ReadinessWatch
from nine_knots.api.jobs.worker_pool import WORKERS, WorkerPool
from nine_knots.core.base.errors import CannotCompute, Superseded, TimedOut, TooBusy, WorkFailed
from tests.api.naps import Broken, Deadly, HeavyNap, LongNap, Nap, Refusing, Showing, WaitingNap

ME = ClientKey("page", "question")


@pytest.fixture(scope="module")
def with_crew():
    """Runs a play with one crew, whose workers serve every test."""
    crew = WorkerPool()

    async def end():
        crew.close()

    with asyncio.Runner() as runner:
        yield lambda play: runner.run(play(crew))
        runner.run(end())


def asked(crew, task, page="page", question=None):
    asker = ClientKey(page, question or task.name)
    return asyncio.ensure_future(crew.ask(asker, task))


async def names(*questions):
    """Answers in the order in which they came."""
    came = []
    for done in asyncio.as_completed(questions):
        came.append(json.loads(await done))
    return came


def test_answers_are_kept_and_refusals_come_as_they_are(with_crew):
    async def play(crew):
        assert json.loads(await crew.ask(ME, Nap(name="a"))) == "a"
        before = crew.kept_bytes
        assert json.loads(await crew.ask(ME, Nap(name="a"))) == "a"
        assert crew.kept_bytes == before > 0
        with pytest.raises(CannotCompute, match="Not this one") as refused:
            await crew.ask(ME, Refusing(name="b"))
        assert (refused.value.where, refused.value.hint) == ("here", "Take another.")
        with pytest.raises(WorkFailed):
            await crew.ask(ME, Broken(name="c"))

    with_crew(play)


def test_an_account_has_its_share_of_the_hour_and_home_has_none(with_crew, monkeypatch):
    shares = Quota(share_s=0.2)

    async def play(crew):
        monkeypatch.setattr(crew, "_shares", shares)
        runa, eira = (ClientKey("page", "question", name) for name in ("runa", "eira"))
        await crew.ask(runa, Nap(name="long", seconds=0.3))
        with pytest.raises(TooBusy, match="this hour's computing time") as refused:
            await crew.ask(runa, Nap(name="more"))
        assert 3500 < refused.value.retry_s <= 3600
        assert json.loads(await crew.ask(runa, Nap(name="long", seconds=0.3))) == "long", "known"
        for other in (eira, ClientKey("page", "question")):
            await crew.ask(other, Nap(name="x", seconds=0.3))
        await crew.ask(ClientKey("page", "question"), Nap(name="y"))
        over = datetime.now(UTC) + HOUR + timedelta(seconds=1)
        monkeypatch.setattr("nine_knots.api.jobs.quota._now", lambda: over)
        shares.check("runa")

    with_crew(play)


def test_nobody_elses_answer_is_known_nor_anybody_elses_question_replaced(with_crew):
    async def play(crew):
        runa, eira = (ClientKey("page", "question", name) for name in ("runa", "eira"))
        task = Nap(name="same", seconds=0.4)
        first = asyncio.ensure_future(crew.ask(runa, task))
        await asyncio.sleep(0.1)
        second = asyncio.ensure_future(crew.ask(eira, task))
        known = crew.ended["known"]
        assert json.loads(await first) == json.loads(await second) == "same"
        assert crew.ended["known"] == known

    with_crew(play)


def test_the_newest_of_an_asker_replaces_the_older_even_one_that_runs(with_crew):
    async def play(crew):
        older = [asked(crew, Nap(name=f"old {n}", seconds=60), question="q") for n in range(3)]
        await asyncio.sleep(0.05)
        newest = asked(crew, Nap(name="newest"), question="q")
        other = asked(crew, Nap(name="other"), page="another page", question="q")
        assert sorted(await names(newest, other)) == ["newest", "other"]
        for item in older:
            with pytest.raises(Superseded):
                await item

    with_crew(play)


def test_light_ones_go_before_heavy_ones_and_one_worker_stays_free(with_crew):
    async def play(crew):
        heavy = [asked(crew, HeavyNap(name=f"heavy {n}", seconds=30)) for n in range(3)]
        await asyncio.sleep(0.1)
        light = [asked(crew, Nap(name=f"light {n}")) for n in range(4)]
        assert await names(*light) == [f"light {n}" for n in range(4)]
        assert not any(item.done() for item in heavy)
        for item in heavy:
            item.cancel()
        await asyncio.wait(heavy)

    with_crew(play)


def test_pages_are_served_in_turn(with_crew):
    async def play(crew):
        holds = [asked(crew, Nap(name=f"hold {n}", seconds=0.3), f"p{n}") for n in range(WORKERS)]
        await asyncio.sleep(0.1)
        many = [asked(crew, Nap(name=f"many {n}", seconds=0.05), "greedy") for n in range(8)]
        one = asked(crew, Nap(name="one"), "modest")
        came = await names(*many, one, *holds)
        assert came.index("one") < came.index("many 3")

    with_crew(play)


def test_too_much_is_refused_with_a_time_to_come_back(with_crew):
    async def play(crew):
        asks = [asked(crew, Nap(name=f"n{n}", seconds=30)) for n in range(2 * MOST_OF_A_PAGE)]
        await asyncio.sleep(0.05)
        refused = [ask.exception() for ask in asks if ask.done()]
        # as many wait as may, and up to one a worker is worked on
        assert MOST_OF_A_PAGE - WORKERS <= len(refused) <= MOST_OF_A_PAGE
        assert all(isinstance(item, TooBusy) and item.retry_s >= 1 for item in refused)
        for ask in asks:
            ask.cancel()
        await asyncio.wait(asks)
        assert json.loads(await crew.ask(ME, Nap(name="after"))) == "after"

    with_crew(play)


def test_who_leaves_gives_the_work_up_and_what_takes_too_long_ends(with_crew):
    async def play(crew):
        left = [asked(crew, Nap(name=f"left {n}", seconds=60)) for n in range(WORKERS)]
        await asyncio.sleep(0.3)
        for item in left:
            item.cancel()
        await asyncio.wait(left)
        assert json.loads(await crew.ask(ME, Nap(name="free"))) == "free"
        with pytest.raises(TimedOut) as late:
            await crew.ask(ME, LongNap(name="slow", seconds=60))
        assert late.value.hint == LongNap.when_too_long
        # what waits for a processor does not use its time up, but does not wait for ever
        assert json.loads(await crew.ask(ME, WaitingNap(name="busy", seconds=0.8))) == "busy"
        with pytest.raises(TimedOut):
            await crew.ask(ME, WaitingNap(name="stuck", seconds=60))

    with_crew(play)


def test_progress_is_heard(with_crew):
    async def play(crew):
        heard = []
        await crew.ask(ME, Nap(name="a", seconds=0.5), heard.append)
        assert set(heard) == {0.5}

    with_crew(play)


def test_a_worker_that_dies_is_replaced_and_its_task_tried_once_more(with_crew):
    async def play(crew):
        slow = asked(crew, Nap(name="slow", seconds=0.5))
        await asyncio.sleep(0.2)
        for pid in crew.pids:
            psutil.Process(pid).kill()
        assert json.loads(await slow) == "slow"
        with pytest.raises(CannotCompute, match="crashed twice"):
            await crew.ask(ME, Deadly(name="deadly"))
        assert json.loads(await crew.ask(ME, Nap(name="after"))) == "after"
        assert len(crew.pids) == WORKERS

    with_crew(play)


def test_kept_answers_never_take_more_than_their_bytes():
    kept = AnswerCache(most_bytes=10_000)
    for number in range(200):
        kept.put(AnswerCache.key(Nap(name=f"{number}")), b"x" * (number % 4 * 700))
        assert kept.bytes <= 10_000
    assert kept.get(AnswerCache.key(Nap(name="199"))) is not None
    assert kept.get(AnswerCache.key(Nap(name="0"))) is None
    kept.put(AnswerCache.key(Nap(name="huge")), b"x" * 9_000)
    assert kept.get(AnswerCache.key(Nap(name="huge"))) is None


def test_it_is_known_when_the_first_worker_is_up(with_crew):
    async def play(crew):
        watch = ReadinessWatch(crew)
        while not watch.read().ready:
            assert 0.0 <= watch.read().compiled <= 1.0
            await asyncio.sleep(0.05)
        assert watch.read() == Readiness(ready=True, compiled=1.0)
        watch.end()

    with_crew(play)


def test_what_it_comes_to_is_told_before_the_answer(with_crew):
    async def play(crew):
        told = []
        answer = await crew.ask(ME, Showing(name="s"), told.append)
        assert [item for item in told if isinstance(item, bytes)] == [b"half", b"nearly"]
        assert json.loads(answer) == "s"

    with_crew(play)
