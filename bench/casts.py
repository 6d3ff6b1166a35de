"""How fast casts are, how well the screen sorts, and what the service takes under load."""

import resource
import statistics
import time
from concurrent.futures import ThreadPoolExecutor

import httpx
import numpy as np
from scipy.stats import spearmanr

from bench.measure import row
from nine_knots.core.cast.rig import FAST, FULL, Mesh, Rig, rig_of
from nine_knots.core.cast.screen import screened
from nine_knots.core.cast.stroke import Stroke
from nine_knots.core.cast.throw import Air, throw, trimmed
from nine_knots.core.errors import CannotCompute
from nine_knots.core.tackle import Fly, FlyLine, line_profile
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
    """Milliseconds a cast by resolution, one aim, over random rigs."""
    print(f"\n{'one cast, ms, 300 random rigs':<34}{'median':>9}{'p95':>9}")
    for name, mesh in (("fast mesh", FAST), ("full mesh", FULL)):
        rigs = random_rigs(mesh, RIGS)
        throw(rigs[0], STROKE, Air(), 4.0)
        found, refused = [], 0
        for rig in rigs:
            begun = time.perf_counter()
            try:
                throw(rig, STROKE, Air(), 4.0)
            except CannotCompute:
                refused += 1
            found.append(1e3 * (time.perf_counter() - begun))
        found.sort()
        row(name, found, f"worst {found[-1]:.0f} ms, {refused} refused")


def against_the_engine() -> None:
    """The same short cast here and in MuJoCo, in one run: time and greatest rms distance."""
    ours, theirs, error = in_step_with_the_engine()
    print(f"\n{'short cast with drag, ms':<34}{'ours':>9}{'MuJoCo':>9}")
    print(f"{'':<34}{1e3 * ours:>9.1f}{1e3 * theirs:>9.0f}   {100 * error:.1f} cm rms apart")


def screen() -> None:
    """Rank correlation of the screen with the simulation over random leaders."""
    rigs = random_rigs(FAST, 160)
    shown, cast, times, opened = [], [], [], []
    begun = time.perf_counter()
    quick = [screened(rig, STROKE) for rig in rigs]
    each = 1e3 * (time.perf_counter() - begun) / len(rigs)
    for rig, guess in zip(rigs, quick, strict=True):
        flight = trimmed(rig, STROKE, Air())
        if flight.arrival_m_s is not None:
            shown.append(guess.arrival_m_s)
            cast.append(flight.arrival_m_s)
            times.append(guess.time_s)
            opened.append(flight.opened_at_s)
    ratio = statistics.median(c / s for c, s in zip(cast, shown, strict=True))
    arrival = spearmanr(shown, cast).statistic
    print(
        f"\nscreen against simulation, {len(cast)} leaders that open: rank correlation "
        f"{arrival:.2f} (arrival), {spearmanr(times, opened).statistic:.2f} (time); simulation "
        f"reads {ratio:.2f} times as fast; {each:.2f} ms each"
    )


def service(url: str) -> None:
    """POST /api/casts under 1 and 8 benches; another call meanwhile; memory of this machine's."""
    print(f"\n{'cast over HTTP, ms':<34}{'p50':>9}{'p95':>9}")
    with httpx.Client(base_url=url, timeout=60.0) as client:
        first = client.get("/api/leaders").json()[0]
        design = client.get(f"/api/leaders/{first['leader_id']}").json()["design"]

        def cast(number: int, resolution: str, aim: float | None, bench: str) -> float:
            speed = f"{13 + (number % 500) / 125:.3f} m/s"  # a new cast each time, never a kept one
            body = {
                "bench": bench,
                "design": design,
                "resolution": resolution,
                "first_deg": aim,
                "stroke": {"speed": speed},
            }
            begun = time.perf_counter()
            answer = client.post("/api/casts", json=body).raise_for_status().json()
            aims[bench] = answer["aim_deg"]
            return 1e3 * (time.perf_counter() - begun)

        aims: dict[str, float] = {}
        for _ in range(6):
            cast(499, "full", None, "warm")
        number = iter(range(10_000))
        for resolution in ("fast", "full"):
            # as a drag does: each cast begins from the aim of the one before
            found = sorted(
                cast(next(number), resolution, aims.get("one"), "one") for _ in range(60)
            )
            row(f"{resolution}, one bench", found)
        with ThreadPoolExecutor(9) as pool:
            for resolution in ("fast", "full"):
                asked = [
                    pool.submit(cast, next(number), resolution, aims["one"], f"bench-{n}")
                    for n in range(64)
                ]
                others = sorted(_timed(client) for _ in range(30))
                row(f"{resolution}, 8 benches at once", sorted(f.result() for f in asked))
                row("  another call meanwhile", others)
    used = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss >> 10
    print(f"memory of the benchmark itself: {used} MB")


def _timed(client: httpx.Client) -> float:
    begun = time.perf_counter()
    client.get("/api/angler").raise_for_status()
    return 1e3 * (time.perf_counter() - begun)
