"""So many simulated anglers at the table for so many minutes, and what each route takes them."""

import asyncio
import random
import statistics
import time
from collections import defaultdict

import httpx

from tests.cluster.cluster import Cluster
from tests.hosting import invite

AT_ONCE = 6  # who begin with the demo
CHANGES_AN_HOUR = 200  # of an angler at the table (docs/scale.md)
ACTS = {"bench": 75, "shelf": 8, "stock": 6, "save": 5, "log": 5, "depth": 1}  # of a hundred
Times = dict[str, list[float]]


class Angler:
    """One at the table: changes a leader, looks at cast, hold and water, now and then something
    else, as an evening goes."""

    def __init__(self, item: httpx.Client, number: int) -> None:
        self.http = httpx.AsyncClient(
            base_url=item.base_url,
            cookies=item.cookies,
            headers={**item.headers, "nine-knots-page": f"page-{number}"},
            timeout=60.0,
        )
        self.random = random.Random(number)
        self.times: Times = defaultdict(list)
        self.statuses: dict[int, int] = defaultdict(int)
        self.design: dict = {}

    async def begin(self) -> None:
        """With the demo's things, and one of its leaders on the bench."""
        await self.ask("POST", "/api/v1/anglers/demo")
        cards = (await self.ask("GET", "/api/v1/leaders")).json()
        chosen = self.random.choice(cards)["leader_id"]
        self.design = (await self.ask("GET", f"/api/v1/leaders/{chosen}")).json()["design"]
        self.times.clear()

    async def ask(self, method: str, path: str, body: object = None) -> httpx.Response:
        begun = time.perf_counter()
        answer = await self.http.request(method, path, json=body)
        self.times[f"{method} {path}"].append(time.perf_counter() - begun)
        self.statuses[answer.status_code] += 1
        return answer

    async def sit(self, until: float) -> None:
        """Till the evening is over."""
        pause_s = 3600.0 / CHANGES_AN_HOUR
        await asyncio.sleep(self.random.uniform(0.0, pause_s))
        while time.monotonic() < until:
            (act,) = self.random.choices([*ACTS], [*ACTS.values()])
            await getattr(self, act)()
            await asyncio.sleep(self.random.expovariate(1.0 / pause_s))

    async def bench(self) -> None:
        pieces = self.design["leader"]["pieces"]
        level = [number for number, item in enumerate(pieces) if "length_m" in item]
        edit = None
        if level:
            number = self.random.choice(level)
            length = pieces[number]["length_m"] * self.random.choice((0.97, 1.0, 1.03))
            edit = {"act": "set-length", "piece": number, "length": round(length, 3)}
        read = await self.ask("POST", "/api/v1/bench", {"design": self.design, "edit": edit})
        if read.is_success:
            self.design = read.json()["design"]
        asked = {"bench": "b", "design": self.design}
        await asyncio.gather(
            self.ask("POST", "/api/v1/casts", {**asked, "movie": False}),
            self.ask("POST", "/api/v1/water", {**asked, "movie": False}),
            self.ask("POST", "/api/v1/hold", {"design": self.design}),
        )

    async def save(self) -> None:
        await self.ask("POST", "/api/v1/leaders", self.design)

    async def shelf(self) -> None:
        await self.ask("GET", "/api/v1/leaders")

    async def stock(self) -> None:
        await self.ask("GET", "/api/v1/stock")

    async def depth(self) -> None:
        await self.ask("POST", "/api/v1/water/depth-table", {"bench": "b", "design": self.design})

    async def log(self) -> None:
        await self.ask("GET", "/api/v1/log")


def try_load(cluster: Cluster, anglers: int, minutes: float) -> bool:
    """Let them sit, print p50 and p95 by route; whether nothing but what may be refused was."""
    keeper = cluster.joined("Keeper", cluster.invitation)
    begun = time.monotonic()
    clients = [cluster.joined(f"Angler {n}", invite(keeper)) for n in range(anglers)]
    print(f"{anglers} joined in {time.monotonic() - begun:.0f} s", flush=True)
    sitting = [Angler(item, number) for number, item in enumerate(clients)]
    asyncio.run(_sit(sitting, minutes))
    times: Times = defaultdict(list)
    statuses: dict[int, int] = defaultdict(int)
    for item in sitting:
        for route, found in item.times.items():
            times[route] += found
        for status, count in item.statuses.items():
            statuses[status] += count
    print(f"{'route':34} {'calls':>7} {'p50':>9} {'p95':>9}")
    for route, found in sorted(times.items()):
        cuts = statistics.quantiles(found, n=20) if len(found) > 1 else [found[0]] * 19
        print(f"{route:34} {len(found):7d} {1000 * cuts[9]:6.0f} ms {1000 * cuts[18]:6.0f} ms")
    print(f"answers: {dict(sorted(statuses.items()))}")
    return not any(status >= 500 for status in statuses)


async def _sit(sitting: list[Angler], minutes: float) -> None:
    for some in range(0, len(sitting), AT_ONCE):
        await asyncio.gather(*(item.begin() for item in sitting[some : some + AT_ONCE]))
    print("all sit", flush=True)
    until = time.monotonic() + 60.0 * minutes
    await asyncio.gather(*(item.sit(until) for item in sitting))
    for item in sitting:
        await item.http.aclose()
