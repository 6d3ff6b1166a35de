"""Whatever ends the program, at whatever moment, the next start works and nothing saved is lost."""

import random
import signal
import time

import httpx
import psutil
import pytest

from nine_knots.run.mariadb import PrivateServer
from tests.faults.conftest import ROUNDS, answers, family, left_in
from tests.running import until
from tests.saving import Saver

ENDS_S = 5.0  # promised; a test gives the machine a little more
WAYS = {
    "term": (signal.SIGTERM,),
    "hang-up": (signal.SIGHUP,),
    "Ctrl-C": (signal.SIGINT,),
    "Ctrl-C twice": (signal.SIGINT, signal.SIGINT),
    "kill": (signal.SIGKILL,),
}


def end(running, way: str) -> None:
    for number in WAYS[way]:
        if running.process.poll() is None:
            running.process.send_signal(number)
            time.sleep(0.05)
    running.ended()


def test_every_way_of_ending_ends_everything_and_the_next_start_works(start, folder):
    running = start().ready()
    saver = Saver(running.http)
    saver.start()
    for number in range(max(ROUNDS, len(WAYS))):
        way = list(WAYS)[number % len(WAYS)]
        until(lambda now=running: answers(now), "answers")
        before = len(saver.acknowledged)
        until(lambda have=before: len(saver.acknowledged) > have, "a save")
        end(running, way)
        until(lambda: not left_in(folder), f"all ended after {way}", 2.0 * ENDS_S)
        running = start().ready()
        assert "damaged" not in running.said
        assert "--fresh" not in running.said
    saver.stop()
    saver.check()


def test_one_that_is_killed_while_it_sets_up_starts_the_next_time(start, folder):
    chance = random.Random(8)
    for number in range(ROUNDS):
        running = start()
        time.sleep(chance.uniform(0.2, 4.0))
        end(running, list(WAYS)[number % len(WAYS)])
        until(lambda: not left_in(folder), "all ended", 2.0 * ENDS_S)
    running = start().ready()
    assert running.http.get("/api/v1/leaders").json()


def test_work_under_way_is_ended_not_waited_for(start, folder):
    running = start().ready()
    with httpx.Client(base_url=running.url) as client:
        rows = client.get("/api/v1/leaders").json()
        ids = {row["title"]: row["leader_id"] for row in rows}
        path = f"/api/v1/leaders/{ids['Tag rig for the gorge pool']}"
        design = client.get(path).json()["design"]
        until(lambda: len(family(running)["workers"]) == 2, "workers")
        for number in range(2):
            body = {"bench": f"b{number}", "design": design, "units": "metric"}
            with pytest.raises(httpx.ReadTimeout):
                client.post("/api/v1/water/depth-table", json=body, timeout=0.3)
    end(running, "Ctrl-C")
    assert running.process.returncode == 0
    until(lambda: not left_in(folder), "all ended", ENDS_S)


def test_a_server_left_behind_is_ended_by_the_next_start(start, folder):
    start().ready().stop()
    left = PrivateServer(folder / "database")
    left.start()
    again = start().ready()
    assert left.pid is None
    assert "left over" in again.said
    assert answers(again)


def test_an_application_that_dies_is_started_again(start):
    running = start().ready()
    saver = Saver(running.http)
    saver.start()
    for _ in range(ROUNDS):
        until(lambda: answers(running), "the service")
        before = len(saver.acknowledged)
        until(lambda have=before: len(saver.acknowledged) > have, "a save")
        (service,) = family(running)["service"]
        service.kill()
        service.wait(10)
    until(lambda: answers(running), "answers")
    saver.stop()
    saver.check()


def test_workers_that_die_are_replaced(status):
    with httpx.Client(base_url=status.url, timeout=60.0) as client:
        first = client.get("/api/v1/leaders").json()[0]
        design = client.get(f"/api/v1/leaders/{first['leader_id']}").json()["design"]
        for number in range(ROUNDS):
            for worker in family(status)["workers"]:
                worker.kill()
            stroke = {"speed": f"{12.0 + number / 20.0} m/s"}  # never one whose answer is kept
            body = {"bench": "b", "design": design, "stroke": stroke}
            assert client.post("/api/v1/casts", json=body).status_code == 200


def test_nothing_that_serves_runs_as_root(status):
    until(lambda: family(status)["workers"], "workers")
    for kind, processes in family(status).items():
        for process in processes:
            if psutil.Process().uids().effective == 0:
                assert process.uids().effective != 0, kind
            assert process.uids() == (process.uids().real,) * 3
