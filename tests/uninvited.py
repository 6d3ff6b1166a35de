"""Callers who take what they can get: what others notice of them, printed act by act.

What is printed: how long a light call of somebody else's waited (median and longest), the most
memory that the application took, and how the calls of the act ended. Memory is promised for all
acts, the wait where one call alone is made: where forty come at once, they and this script also
share two processors.
"""

import json
import shutil
import socket
import sys
import threading
import time
from base64 import b64encode
from collections import Counter
from collections.abc import Callable, Iterable
from concurrent.futures import ThreadPoolExecutor
from io import BytesIO
from pathlib import Path
from statistics import median
from tempfile import mkdtemp

import httpx
import psutil
from PIL import Image

from tests.faults.conftest import family
from tests.hosting import PASSWORD, Hosted, caller, invite, joined

PROMISED_BYTES, PROMISED_S = 450_000_000, 0.2
PROBE_S, LOOK_S = 0.05, 0.02
PHOTO = (9000, 6600)
JSON = {"content-type": "application/json"}
ODD = "4@8({[<369!1|705$7+%2" * 5
Ends = Counter[str]


class Watch:
    """Asks a light question again and again, and looks at the application's memory meanwhile."""

    def __init__(self, probe: httpx.Client, application: psutil.Process) -> None:
        self._probe, self._application = probe, application
        self._over = threading.Event()
        self.waits: list[float] = []
        self.most_bytes = 0

    def __enter__(self) -> "Watch":
        self._threads = [threading.Thread(target=item) for item in (self._ask, self._look)]
        for thread in self._threads:
            thread.start()
        return self

    def __exit__(self, *_: object) -> None:
        self._over.set()
        for thread in self._threads:
            thread.join()

    def _ask(self) -> None:
        while not self._over.wait(PROBE_S):
            begun = time.perf_counter()
            self._probe.get("/api/v1/angler").raise_for_status()
            self.waits.append(time.perf_counter() - begun)

    def _look(self) -> None:
        while not self._over.wait(LOOK_S):
            self.most_bytes = max(self.most_bytes, self._application.memory_info().rss)


def all_at_once(calls: Iterable[Callable[[], httpx.Response]]) -> Ends:
    """Call all of them side by side; how they ended."""

    def end_of(call: Callable[[], httpx.Response]) -> str:
        try:
            return str(call().status_code)
        except httpx.HTTPError as lost:
            return type(lost).__name__

    calls = list(calls)
    with ThreadPoolExecutor(len(calls)) as pool:
        return Counter(pool.map(end_of, calls))


class Acts:
    """What they do: strangers at first, then somebody who has an account."""

    def __init__(self, site: str, insider: httpx.Client) -> None:
        self.site, self.insider = site, insider

    def nothing(self) -> Ends:
        """For comparison."""
        time.sleep(3.0)
        return Counter()

    def forty_join_without_an_invitation(self) -> Ends:
        form = {"invitation": "none", "name": "Somebody", "password": PASSWORD}
        return all_at_once(self._stranger("/api/v1/account/join", form) for _ in range(40))

    def one_joins_by_an_odd_password(self) -> Ends:
        form = {"invitation": invite(self.insider), "name": "Odd", "password": ODD}
        return all_at_once([self._stranger("/api/v1/account/join", form)])

    def eight_join_by_odd_passwords(self) -> Ends:
        forms = [
            {"invitation": invite(self.insider), "name": f"Odd {number}", "password": ODD}
            for number in range(8)
        ]
        return all_at_once(self._stranger("/api/v1/account/join", form) for form in forms)

    def forty_guess_a_password(self) -> Ends:
        form = {"name": "Insider", "password": "not it at all"}
        return all_at_once(self._stranger("/api/v1/account/log-in", form) for _ in range(40))

    def one_sends_a_large_photo(self) -> Ends:
        return all_at_once(self._photos(1))

    def six_send_large_photos(self) -> Ends:
        return all_at_once(self._photos(6))

    def _photos(self, count: int) -> list[Callable[[], httpx.Response]]:
        out = BytesIO()
        Image.linear_gradient("L").resize(PHOTO).convert("RGB").save(out, "JPEG", quality=80)
        image = b64encode(out.getvalue()).decode()
        forms = [
            {"plan_id": "0" * 32, "name": f"{item}.jpg", "image": image} for item in range(count)
        ]
        return [self._inside("/api/v1/photos", json.dumps(form)) for form in forms]

    def one_sends_brackets_for_everything(self) -> Ends:
        return all_at_once([self._inside("/api/v1/account-data", "[" + "{}," * 9_000_000 + "0]")])

    def four_send_brackets_for_everything(self) -> Ends:
        body = "[" + "{}," * 9_000_000 + "0]"
        return all_at_once(self._inside("/api/v1/account-data", body) for _ in range(4))

    def one_sends_many_things_for_everything(self) -> Ends:
        found = self.insider.get("/api/v1/account-data").json()
        found["happened"] = [
            {"event_id": f"{number:032x}", "plan_id": "0" * 32, "at": number, "kind": "fish"}
            for number in range(19_000)
        ]
        return all_at_once([self._inside("/api/v1/account-data", json.dumps(found))])

    def one_asks_for_the_description(self) -> Ends:
        with caller(self.site) as one:
            return all_at_once([lambda: one.get("/api/v1/openapi.json", timeout=60.0)])

    def one_reads_all_of_it_back(self) -> Ends:
        """As many things as were sent for everything, each way they can be read."""
        paths = ("/api/v1/account-data", "/api/v1/log", "/api/v1/photos/files/log.zip")
        ends: Ends = Counter()
        for path in paths:
            ends += all_at_once([lambda path=path: self.insider.get(path, timeout=120.0)])
        return ends

    def one_sends_a_file_of_five_hundred_leaders(self) -> Ends:
        ids = [row["leader_id"] for row in self.insider.get("/api/v1/leaders").json()]
        file = self.insider.post("/api/v1/sharing/file", json={"leader_ids": ids}).json()
        file["leaders"] = (500 * file["leaders"])[:500]
        body = json.dumps({"text": json.dumps(file)})
        return all_at_once([self._inside("/api/v1/sharing/leaders", body)])

    def ten_send_brackets_for_events(self) -> Ends:
        body = '{"events":[' + "[]," * 1_290_000 + "0]}"
        return all_at_once(self._inside("/api/v1/events", body) for _ in range(10))

    def forty_two_ask_a_gauge_that_drips(self) -> Ends:
        place = self.insider.get("/api/v1/places").json()[0]["place_id"]
        gauge = {"base": "demo", "datastream": "1", "metres": 1.0}
        self.insider.put(f"/api/v1/places/{place}/gauge", json=gauge).raise_for_status()
        drips = {"trick": "drip"}
        return all_at_once(
            (lambda: self.insider.get(f"/api/v1/places/{place}/level", params=drips, timeout=60.0))
            for _ in range(42)
        )

    def fifty_send_bodies_by_drips(self) -> Ends:
        where = httpx.URL(self.site)
        cookie = "; ".join(f"{name}={value}" for name, value in self.insider.cookies.items())
        head = (
            f"POST /api/v1/account-data HTTP/1.1\r\nhost: {where.host}:{where.port}\r\n"
            f"origin: {self.site}\r\ncookie: {cookie}\r\ncontent-type: application/json\r\n"
            "content-length: 31000000\r\n\r\n"
        ).encode()

        def drip() -> httpx.Response:
            with socket.create_connection((where.host, where.port or 80)) as line:
                line.sendall(head)
                line.settimeout(0.5)
                answer = b""
                for _ in range(20):
                    try:
                        line.sendall(b" ")
                        answer += line.recv(200)
                    except TimeoutError:
                        continue
                    except OSError:
                        break
                    if answer:
                        return httpx.Response(int(answer.split()[1]))
                raise httpx.ReadTimeout("it still listens")

        return all_at_once(drip for _ in range(50))

    def _stranger(self, path: str, form: dict[str, str]) -> Callable[[], httpx.Response]:
        def call() -> httpx.Response:
            with caller(self.site) as one:
                return one.post(path, json=form)

        return call

    def _inside(self, path: str, body: str) -> Callable[[], httpx.Response]:
        content = body.encode()
        return lambda: self.insider.post(path, content=content, headers=JSON, timeout=120.0)


ACTS: tuple[Callable[[Acts], Ends], ...] = (
    Acts.nothing,
    Acts.forty_join_without_an_invitation,
    Acts.one_joins_by_an_odd_password,
    Acts.eight_join_by_odd_passwords,
    Acts.forty_guess_a_password,
    Acts.one_sends_a_large_photo,
    Acts.six_send_large_photos,
    Acts.one_sends_brackets_for_everything,
    Acts.four_send_brackets_for_everything,
    Acts.one_sends_many_things_for_everything,
    Acts.one_reads_all_of_it_back,
    Acts.one_asks_for_the_description,
    Acts.one_sends_a_file_of_five_hundred_leaders,
    Acts.ten_send_brackets_for_events,
    Acts.forty_two_ask_a_gauge_that_drips,
    Acts.fifty_send_bodies_by_drips,
)


def fifty_use_it(site: str, insider: httpx.Client, minutes: float) -> Ends:
    """Fifty callers of one account, each with a page of its own, as one does at a bench."""
    leaders = insider.get("/api/v1/leaders").json()
    designs = [
        insider.get(f"/api/v1/leaders/{row['leader_id']}").json()["design"] for row in leaders
    ]
    until = time.monotonic() + 60.0 * minutes
    ends: Ends = Counter()

    def use(number: int) -> None:
        with httpx.Client(
            base_url=site, headers={"origin": site}, cookies=insider.cookies, timeout=60.0
        ) as page:
            turn = number
            while time.monotonic() < until:
                turn += 1
                body = {"bench": f"{number}", "design": designs[turn % len(designs)]}
                path = ("/api/v1/bench", "/api/v1/bench", "/api/v1/casts", "/api/v1/water")[
                    turn % 4
                ]
                ends[str(page.post(path, json=body).status_code)] += 1
                time.sleep(1.0)

    with ThreadPoolExecutor(50) as pool:
        list(pool.map(use, range(50)))
    return ends


def main(minutes: float) -> int:
    """Play all of it; 1 where others waited longer, or it took more memory, than is promised."""
    folder = Path(mkdtemp())
    folder.chmod(0o755)
    service = Hosted(folder)
    kept = True
    try:
        service.ready()
        insider = joined(service.site, service.invitation, "Insider")
        insider.post("/api/v1/anglers/demo").raise_for_status()
        probe = joined(service.site, invite(insider), "Probe")
        (application,) = family(service)["service"]
        time.sleep(20.0)  # until its workers have compiled what they need
        acts = Acts(service.site, insider)
        todo = [(item.__name__.replace("_", " "), lambda item=item: item(acts)) for item in ACTS]
        if minutes:
            todo.append(
                (
                    f"fifty use it for {minutes:g} min",
                    lambda: fifty_use_it(service.site, insider, minutes),
                )
            )
        print(f"{'act':40} {'took':>7} {'median':>8} {'longest':>9} {'memory':>8}  ends")
        for name, act in todo:
            with Watch(probe, application) as watch:
                begun = time.monotonic()
                ends = act()
                took = time.monotonic() - begun
                time.sleep(1.0)
            longest = max(watch.waits)
            waited = longest < PROMISED_S or not name.startswith("one ")
            ok = waited and watch.most_bytes < PROMISED_BYTES
            kept &= ok
            print(
                f"{name:40} {took:5.1f} s {1e3 * median(watch.waits):5.0f} ms "
                f"{1e3 * longest:6.0f} ms {watch.most_bytes / 1e6:5.0f} MB  "
                f"{' '.join(f'{end}×{count}' for end, count in sorted(ends.items()))}"
                f"{'' if ok else '  more than promised'}",
                flush=True,
            )
    finally:
        service.stop()
        shutil.rmtree(folder, ignore_errors=True)
    return 0 if kept else 1


if __name__ == "__main__":
    sys.exit(main(float(sys.argv[1]) if len(sys.argv) > 1 else 0.0))
