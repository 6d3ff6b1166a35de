"""Under load: the memory promised, work given up with its caller, light calls in between."""

import json
import threading
import time

import httpx
import psutil

from nine_knots.api.jobs.worker import MOST_BYTES as WORKER_BYTES
from tests.faults.conftest import family
from tests.running import until

SERVICE_BYTES = 450_000_000  # promised in docs/reliability.md
QUIET_CPU_S = 0.3  # of two idle workers in a second


def design_of(client, title: str) -> dict:
    rows = client.get("/api/v1/leaders").json()
    leader_id = next(row["leader_id"] for row in rows if row["title"] == title)
    return client.get(f"/api/v1/leaders/{leader_id}").json()["design"]


def in_depth(design: dict, depth_m: float) -> dict:
    """The design in other water, which nobody has asked for."""
    water = {**design["situation"]["water"], "depth_m": depth_m}
    return {**design, "situation": {**design["situation"], "water": water}}


def cpu_s(processes: list[psutil.Process]) -> float:
    return sum(sum(process.cpu_times()[:2]) for process in processes)


def test_memory_stays_under_what_is_promised(status):
    with httpx.Client(base_url=status.url, timeout=120.0) as client:
        design = design_of(client, "Down the drop-off, perch lake")
        until(lambda: family(status)["workers"], "workers")
        huge = json.dumps({"design": [{"a": [1] * 50}] * 2000}).encode()[:390_000]
        for number in range(120):
            fished = {"count": f"{1 + 0.1 * number:.1f} s"}
            body = {"bench": "b", "design": design, "fished": fished, "units": "metric"}
            assert client.post("/api/v1/water", json=body).status_code == 200
            if number % 10 == 0:
                kind = {"content-type": "application/json"}
                assert client.post("/api/v1/bench", content=huge, headers=kind).status_code >= 400
                assert client.get("/api/v1/leaders", params={"limit": 200}).status_code == 200
    (service,) = family(status)["service"]
    assert service.memory_info().rss < SERVICE_BYTES
    for worker in family(status)["workers"]:
        assert worker.memory_info().rss < WORKER_BYTES


def test_a_caller_who_leaves_takes_the_work_along(status):
    streaming = {"accept": "text/event-stream"}
    with httpx.Client(base_url=status.url, timeout=120.0) as client:
        design = design_of(client, "Tag rig for the gorge pool")
        client.post("/api/v1/water", json={"bench": "b", "design": design})  # all is up
        for number in range(3):
            other = in_depth(design, 1.7 + 0.1 * number)
            body = {"bench": "b", "design": other, "units": "metric"}
            path = "/api/v1/water/depth-table"
            with client.stream("POST", path, json=body, headers=streaming) as events:
                assert events.headers["content-type"].startswith("text/event-stream")
                lines = events.iter_lines()
                assert next(lines) == "event: progress"
            time.sleep(1.0)
            workers = family(status)["workers"]
            before = cpu_s(workers)
            time.sleep(1.0)
            assert cpu_s(workers) - before < QUIET_CPU_S


def test_a_light_call_goes_before_long_searches(start):
    running = start().ready()  # both of its workers live
    with httpx.Client(base_url=running.url, timeout=120.0) as client:
        design = design_of(client, "Tag rig for the gorge pool")
        client.post("/api/v1/water", json={"bench": "b", "design": design})
        done: list[str] = []

        def search(number: int) -> None:
            body = {"bench": f"s{number}", "design": in_depth(design, 1.0 + 0.1 * number)}
            answer = running.http.post("/api/v1/water/depth-table", json=body, timeout=120.0)
            assert answer.status_code == 200
            done.append("long")

        searches = [threading.Thread(target=search, args=(number,)) for number in range(4)]
        for item in searches:
            item.start()
        time.sleep(0.5)
        for number in range(5):
            stroke = {"speed": f"{12 + number} m/s"}
            body = {"bench": "light", "design": design, "stroke": stroke}
            assert client.post("/api/v1/casts", json=body).status_code == 200
            done.append("light")
        for item in searches:
            item.join()
        assert done.index("light") < done.index("long") or done[:6].count("light") >= 3
        assert done[-1] == "long"
