"""Times rigs in the water by how they are fished, and the service under several benches."""

import statistics
import threading
import time

import httpx

from bench.timing import laps, row
from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.steady import drifting
from nine_knots.core.remedies.depth_table import depth_table
from nine_knots.core.remedies.tuning import tuned
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.floated import Floated
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.core.water.rig_in_water import rig_below
from nine_knots.core.water.surroundings import fluid_of, stream_of
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.words.water_reading import water_reading

RUNS = 60
UNITS = Units("metric")


def _steady(design: Design, way: Floated) -> None:
    day = design.situation
    fluid = fluid_of(day.water)
    top = way.floated_top(design, fluid)
    rig = rig_below(design.leader, day.fly, fluid, top.at_m, skip_joint=top.joint)
    drifting(top.floats, rig.tree, stream_of(day.water), fluid)


def waters() -> None:
    """Each demo rig: steady drift, followed and judged, the whole reading; one table and tuning."""
    print(f"\n{'a rig in the water, ms':<34}{'median':>9}{'p95':>9}")
    angler = Angler(stock=demo_stock(), system="metric")
    rigs = demo_rigs(angler.stock)
    for design in rigs:
        way = technique_of(design)
        if isinstance(way, Floated) and way.water_line_m(design) is not None:
            row(f"{way.key}: steady drift", laps(lambda d=design, w=way: _steady(d, w), RUNS))
        judged = laps(lambda d=design: _judged(d), RUNS)
        row(f"{way.key}: followed, both cords", judged, design.title)
        read = laps(lambda d=design: water_reading(d, USUAL_QUESTION, UNITS), RUNS)
        row(f"{way.key}: the stage", read)
    row("depth table of the first", laps(lambda: depth_table(rigs[1], angler), 3))
    row("settings and weights of it", laps(lambda: tuned(rigs[1], angler), 5))


def _judged(design: Design) -> None:
    tuple(technique_of(design).measures(design, USUAL_QUESTION))


def verdict_over_http(url: str) -> None:
    """The whole verdict after a change, as the page asks for it: bench, cast (from what was good
    for the leader before), water's cords and hold, at once; and with the Water stage's movie."""
    print(f"\n{'whole verdict over HTTP, ms':<34}{'p50':>9}{'p95':>9}")
    with httpx.Client(base_url=url) as client:
        cards = client.get("/api/v1/leaders").json()
        ids = {card["title"]: card["leader_id"] for card in cards}
        for title in ("Sedge and olive", "Down the drop-off, perch lake"):
            saved = client.get(f"/api/v1/leaders/{ids[title]}").json()
            for movie in (False, True):
                took = sorted(_whole(url, saved["design"], turn, movie) for turn in range(40))
                row(f"{title}{', its movie' if movie else ''}"[:33], took)


def _whole(url: str, design: dict, turn: int, movie: bool) -> float:
    """Milliseconds until all four have answered, each on its own connection as browsers ask."""
    edit = {"act": "nudge-joint", "joint": 1, "steps": 1 + turn}
    with httpx.Client(base_url=url) as client:
        changed = client.post("/api/v1/bench", json={"design": design, "edit": edit}).json()[
            "design"
        ]
        before = client.post("/api/v1/casts", json={"bench": "before", "design": design}).json()
    named = {"bench": "verdict", "design": changed}
    asks = [
        ("/api/v1/bench", {"design": changed}),
        (
            "/api/v1/casts",
            {**named, "near": before["near"]},
        ),
        ("/api/v1/water", {**named, "movie": movie}),
        ("/api/v1/hold", {"design": changed, "soaked": True, "record": False, "units": "metric"}),
    ]
    clients = [httpx.Client(base_url=url) for _ in asks]
    for client in clients:
        client.get("/api/v1/leaders")

    def post(number: int) -> None:
        path, body = asks[number]
        clients[number].post(path, json=body).raise_for_status()

    threads = [threading.Thread(target=post, args=(number,)) for number in range(len(asks))]
    begun = time.perf_counter()
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    took = 1e3 * (time.perf_counter() - begun)
    for client in clients:
        client.close()
    return took


def water_over_http(url: str) -> None:
    """POST /api/v1/water with and without the movie, from one client, and its size."""
    print(f"\n{'water over HTTP, ms':<34}{'p50':>9}{'p95':>9}")
    with httpx.Client(base_url=url) as client:
        cards = client.get("/api/v1/leaders").json()
        card = next(item for item in cards if item["title"].startswith("Two under"))
        design = client.get(f"/api/v1/leaders/{card['leader_id']}").json()["design"]
        for movie in (True, False):
            found, size = [], 0
            for turn in range(40):
                edit = {"act": "nudge-thing", "thing": 0, "steps": turn}
                made = client.post("/api/v1/bench", json={"design": design, "edit": edit}).json()
                body = {"bench": "b", "design": made["design"], "movie": movie}
                begun = time.perf_counter()
                answer = client.post("/api/v1/water", json=body)
                found.append(1e3 * (time.perf_counter() - begun))
                size = len(answer.content)
            name = "with its movie" if movie else "the cords alone"
            row(name, sorted(found), f"{size / 1e3:.0f} kB, median {statistics.median(found):.0f}")
