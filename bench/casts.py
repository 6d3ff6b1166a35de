"""How fast casts are, how well the screen sorts, and what the service takes under load."""

import random
import time
from concurrent.futures import ThreadPoolExecutor

import httpx
import numpy as np
import psutil
from scipy.stats import spearmanr

from bench.timing import row
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.casting.minimum_speed import (
    MinimumLaunchSpeed,
    minimum_launch_speed,
    rough_launch_speed,
)
from nine_knots.core.casting.rig import FULL, Mesh, Rig, rig_of
from nine_knots.core.casting.screen import screen
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.throw import cast_at
from nine_knots.core.domain.tackle import Fly, FlyLine, line_profile
from nine_knots.core.mechanics.air import Air
from tests.makers import level, tied
from tests.reference.test_chain import in_step_with_the_engine

RIGS = 300
STROKE = Stroke()


def random_rigs(mesh: Mesh, count: int) -> list[Rig]:
    """Tapered leaders of 4 to 8 pieces, 2 to 5 m, with dry flies, nymphs and small streamers."""
    rng = np.random.default_rng(7)
    rigs = []
    for _ in range(count):
        pieces = int(rng.integers(4, 9))
        thou = np.geomspace(rng.uniform(14, 21), rng.uniform(4, 9), pieces)
        feet = rng.dirichlet(np.full(pieces, 3.0)) * rng.uniform(6.5, 16)
        leader = tied(*[level(float(t), float(f)) for t, f in zip(thou, feet, strict=True)])
        kind = rng.choice(["dry", "dry", "midge", "emerger", "nymph", "wet"])
        fly = Fly(title="f", kind=str(kind), hook=int(rng.integers(8, 20)))
        line = line_profile(FlyLine(title="l", weight=int(rng.integers(3, 8))))
        rigs.append(rig_of(leader, line, fly, 9.0, mesh))
    return rigs


def casts() -> None:
    """Milliseconds a cast, and a minimum speed begun from nothing, from a like leader's, and at its
    aim alone."""
    print(f"\n{'one cast, ms, 300 random rigs':<34}{'median':>9}{'p95':>9}")
    rigs = random_rigs(FULL, RIGS)
    cast_at(rigs[0], STROKE, Air(), 4.0)
    found, refused = [], 0
    for rig in rigs:
        begun = time.perf_counter()
        try:
            cast_at(rig, STROKE, Air(), 4.0)
        except CannotCompute:
            refused += 1
        found.append(1e3 * (time.perf_counter() - begun))
    found.sort()
    row("one aim", found, f"worst {found[-1]:.0f} ms, {refused} refused")
    for name, air in (("calm", Air()), ("5 m/s in the face", Air(wind_m_s=-5.0))):
        cold, warm, rough = [], [], []
        for rig in rigs[:60]:
            begun = time.perf_counter()
            minimum = minimum_launch_speed(rig, STROKE, air)
            cold.append(1e3 * (time.perf_counter() - begun))
            like = minimum.speed_m_s and 1.04 * minimum.speed_m_s
            near = MinimumLaunchSpeed(like, minimum.aim_deg)
            for found, search in ((warm, minimum_launch_speed), (rough, rough_launch_speed)):
                begun = time.perf_counter()
                search(rig, STROKE, air, near)
                found.append(1e3 * (time.perf_counter() - begun))
        row(f"minimum speed, {name}", sorted(cold))
        row("  from a like leader", sorted(warm))
        row("  at its aim", sorted(rough))


def against_the_engine() -> None:
    """The same short cast here and in MuJoCo, in one run: time and greatest rms distance."""
    ours, theirs, error = in_step_with_the_engine()
    print(f"\n{'short cast with drag, ms':<34}{'ours':>9}{'MuJoCo':>9}")
    print(f"{'':<34}{1e3 * ours:>9.1f}{1e3 * theirs:>9.0f}   {100 * error:.1f} cm rms apart")


def rank_correlation() -> None:
    """Rank correlation of the screen with the simulation over random leaders."""
    rigs = random_rigs(FULL, 160)
    begun = time.perf_counter()
    quick = [screen(rig, STROKE) for rig in rigs]
    each = 1e3 * (time.perf_counter() - begun) / len(rigs)
    arrivals, speeds = [], []
    for rig, guess in zip(rigs, quick, strict=True):
        minimum = minimum_launch_speed(rig, STROKE, Air()).speed_m_s
        if minimum is not None:
            arrivals.append(guess.arrival_m_s)
            speeds.append(-minimum)
    ranks = spearmanr(arrivals, speeds).statistic
    print(
        f"\nscreen against simulation, {len(speeds)} leaders: rank correlation of the arrival with "
        f"the minimum speed {ranks:.2f}; {each:.2f} ms each"
    )


def service(url: str) -> None:
    """Latency of POST /api/v1/casts under 1 and 8 benches, another call meanwhile, memory."""
    print(f"\n{'cast over HTTP, ms':<34}{'p50':>9}{'p95':>9}")
    with httpx.Client(base_url=url, timeout=60.0) as client:
        first = client.get("/api/v1/leaders").json()[0]
        design = client.get(f"/api/v1/leaders/{first['leader_id']}").json()["design"]
        near: dict[str, dict] = {}

        def cast(number: int, bench: str, rough: bool = True) -> float:
            """Its tippet a little longer each time, as a drag does; never a kept one."""
            leader = design["leader"]
            last = leader["pieces"][-1]
            longer = {**last, "length_m": 0.5 + (number % 997) / 2000.0}
            changed = {**leader, "pieces": [*leader["pieces"][:-1], longer]}
            body = {
                "bench": bench,
                "design": {**design, "leader": changed},
                "near": near.get(bench) or near.get("one"),
                "rough": rough,
            }
            begun = time.perf_counter()
            answer = client.post("/api/v1/casts", json=body).raise_for_status().json()
            near[bench] = answer["near"]
            return 1e3 * (time.perf_counter() - begun)

        for _ in range(6):
            cast(499, "one")
        number = iter(range(10_000))
        row("one bench, dragging", sorted(cast(next(number), "one") for _ in range(60)))
        row("  as it is left", sorted(cast(next(number), "one", False) for _ in range(40)))
        with ThreadPoolExecutor(9) as pool:
            people = [pool.submit(_drag, cast, number, f"hand-{n}", 0.5) for n in range(8)]
            row(
                "8 benches by hand",
                sorted(ms for person in people for ms in person.result()),
                "each asks every 0.5 s",
            )
            for n in range(8):  # each leader as it lies before it is dragged
                cast(next(number), f"drag-{n}")
            people = [pool.submit(_drag, cast, number, f"drag-{n}", 0.0) for n in range(8)]
            others = sorted(_timed(client) for _ in range(30))
            row(
                "8 benches without pause", sorted(ms for person in people for ms in person.result())
            )
            row("  another call meanwhile", others)
    _memory(url)


def _drag(cast, number, bench: str, pause_s: float) -> list[float]:
    """One angler who changes something every ``pause_s``, for twelve changes."""
    found = []
    for _ in range(12):
        time.sleep(pause_s * random.uniform(0.7, 1.3))
        found.append(cast(next(number), bench))
    return found


def _memory(url: str) -> None:
    """Resident memory of the service and of each of its workers, from the kernel's tables."""
    port = int(url.rsplit(":", 1)[1])
    server = next(
        c.pid
        for c in psutil.net_connections("tcp4")
        if c.status == "LISTEN" and c.laddr.port == port
    )
    process = psutil.Process(server)
    sizes = [p.memory_info().rss >> 20 for p in process.children(recursive=True)]
    print(
        f"memory: service {process.memory_info().rss >> 20} MB, its processes "
        f"{', '.join(str(s) for s in sorted(sizes, reverse=True))} MB"
    )


def _timed(client: httpx.Client) -> float:
    begun = time.perf_counter()
    client.get("/api/v1/angler").raise_for_status()
    return 1e3 * (time.perf_counter() - begun)
