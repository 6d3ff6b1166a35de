"""Workers on other machines: heard by their key only, crew like any other, and done without when
they are lost."""

import asyncio
import json
from contextlib import asynccontextmanager, suppress

import pytest
import zmq.asyncio

from nine_knots.api.app import first_tasks
from nine_knots.api.jobs import remote_workers, wire_format
from nine_knots.api.jobs.job_queue import ClientKey
from nine_knots.api.jobs.remote_address import RemoteAddress, RemoteKeys
from nine_knots.api.jobs.remote_workers import RemoteWorkerListener
from nine_knots.api.jobs.tasks import WaterRemedyTask
from nine_knots.api.jobs.worker_pool import WorkerPool
from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import CannotCompute, Superseded, TimedOut
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.run.mariadb import free_port
from nine_knots.run.remote_keys import HELPER, NoKey, hall_keys, read_helper_keys
from nine_knots.run.remote_worker import LentWorker, OtherVersion
from tests.api.naps import HeavyNap, LongNap, Nap, Refusing, Showing

ME = ClientKey("page", "question")


@pytest.fixture
def hall(tmp_path) -> RemoteAddress:
    return RemoteAddress(f"tcp://127.0.0.1:{free_port()}", hall_keys(tmp_path))


@asynccontextmanager
async def lent(hall, keys, workers=1):
    """A crew that has lent workers only, its hall, and the benches that lend them."""
    crew, context = WorkerPool(workers=0), zmq.asyncio.Context()
    keeper = RemoteWorkerListener(hall, crew)
    benches = [LentWorker(context, hall.address, keys) for _ in range(workers)]
    running = [asyncio.ensure_future(bench.lend()) for bench in benches]
    try:
        yield crew, running, benches
    finally:
        for item in running:
            item.cancel()
        for item in running:
            with suppress(asyncio.CancelledError, OtherVersion):
                await item
        for bench in benches:
            bench.end()
        keeper.close()
        crew.close()
        context.destroy(linger=0)


def play(hall, tmp_path, work, workers=1):
    async def run():
        keys = read_helper_keys(tmp_path / HELPER)
        async with lent(hall, keys, workers) as (crew, running, benches):
            await work(crew, running, benches)

    asyncio.run(asyncio.wait_for(run(), 60.0))


def test_it_answers_tells_shows_and_refuses_as_one_here_does(hall, tmp_path):
    async def work(crew, _running, _benches):
        heard = []
        assert json.loads(await crew.ask(ME, Nap(name="a", seconds=0.3), heard.append)) == "a"
        assert 0.5 in heard
        assert crew.elsewhere == 1
        shown = []
        await crew.ask(ME, Showing(name="s"), shown.append)
        assert shown == [b"half", b"nearly"]
        with pytest.raises(CannotCompute, match="Not this one") as refused:
            await crew.ask(ME, Refusing(name="b"))
        assert (refused.value.where, refused.value.hint) == ("here", "Take another.")
        with pytest.raises(TimedOut):
            await crew.ask(ME, LongNap(name="l", seconds=9.0))

    play(hall, tmp_path, work)


def test_what_nobody_waits_for_any_more_is_left(hall, tmp_path):
    async def work(crew, _running, _benches):
        older = asyncio.ensure_future(crew.ask(ME, HeavyNap(name="old", seconds=15.0)))
        await asyncio.sleep(1.0)
        newer = asyncio.ensure_future(crew.ask(ME, HeavyNap(name="new")))
        with pytest.raises(Superseded):
            await older
        assert json.loads(await asyncio.wait_for(newer, 5.0)) == "new"

    play(hall, tmp_path, work)


def test_what_a_lost_one_worked_on_goes_to_another(hall, tmp_path, monkeypatch):
    monkeypatch.setattr(remote_workers, "LOST_S", 1.5)

    async def work(crew, running, benches):
        while crew.elsewhere < 2:
            await asyncio.sleep(0.05)
        asked = asyncio.ensure_future(crew.ask(ME, HeavyNap(name="h", seconds=3.0)))
        await asyncio.sleep(0.5)
        number = next(n for n, item in enumerate(benches) if item.is_working)
        running[number].cancel()
        assert json.loads(await asked) == "h"
        assert crew.elsewhere == 1
        assert crew.ended["died"] == 1

    play(hall, tmp_path, work, workers=2)


def test_who_has_another_key_is_not_heard(hall, tmp_path):
    async def run():
        other = tmp_path / "other"
        hall_keys(other)
        keys = read_helper_keys(other / HELPER)
        for spoilt in (keys, type(keys)(keys.public, keys.secret, hall.keys.public)):
            async with lent(hall, spoilt) as (crew, _running, _benches):
                await asyncio.sleep(1.5)
                assert crew.elsewhere == 0

    asyncio.run(run())


def test_one_of_another_version_is_told_so(hall, tmp_path, monkeypatch):
    monkeypatch.setattr(remote_workers, "version", lambda: "another")

    async def work(crew, running, _benches):
        with pytest.raises(OtherVersion):
            await running[0]
        assert crew.elsewhere == 0

    play(hall, tmp_path, work)


def test_every_task_of_the_demo_goes_over_the_wire_as_it_is():
    stock = demo_stock()
    angler = Angler(stock=tuple(stock))
    tasks = [
        *first_tasks(),
        *(
            WaterRemedyTask(
                design=design, ask=USUAL_QUESTION, stroke=Stroke(), gust=STEADY, angler=angler
            )
            for design in (*demo_designs(stock), *demo_rigs(stock))
        ),
    ]
    for task in tasks:
        assert wire_format.decode_task(wire_format.encode_task(task)) == task


@pytest.mark.parametrize(
    "body", [b"", b"Nap", b"Nap\n{}", b"NoSuch\n{}", b'Nap\n{"name": 1}', b"\xff"]
)
def test_what_is_no_task_is_none(body):
    with pytest.raises(wire_format.UnknownTask):
        wire_format.decode_task(body)


def test_keys_are_made_once_for_their_owner_and_rubbish_is_said(tmp_path):
    assert hall_keys(tmp_path) == hall_keys(tmp_path)
    assert isinstance(hall_keys(tmp_path), RemoteKeys)
    assert (tmp_path / HELPER).stat().st_mode & 0o077 == 0
    (tmp_path / HELPER).write_text("{}")
    with pytest.raises(NoKey, match="contains no keys"):
        read_helper_keys(tmp_path / HELPER)
