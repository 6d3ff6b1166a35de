"""Times a day: planned, packed, opened without a signal, its events sent; a year of days read."""

import time

import httpx
from playwright.sync_api import sync_playwright

from bench.timing import laps, row
from nine_knots.demo.days import PLAN_ID
from tests.browser.conftest import CHROMIUM_FLAGS

DAYS, EVENTS = 100, 6_000
SENT = 1_000
MS = 1_000
BEGAN = 1_750_000_000_000
KINDS = ("fish", "missed", "missed", "changed-fly", "snagged", "refused")
PAINTED = "performance.getEntriesByName('first-contentful-paint')[0]?.startTime"


def days(url: str) -> None:
    """Against a running program of our own: it is left with a year of days."""
    print(f"\n{'a day, over HTTP':<34}{'s':>9}")
    with httpx.Client(base_url=url, timeout=300.0) as client:
        asked = {"plan_id": PLAN_ID}
        for name, path in (
            ("worked out the first time", "work"),
            ("worked out again", "work"),
            ("packed", "pack"),
        ):
            begun = time.perf_counter()
            client.post(f"/api/v1/plans/{path}", json=asked).raise_for_status()
            print(f"{name:<34}{time.perf_counter() - begun:>9.1f}")
        pack = client.get(f"/api/v1/plans/{PLAN_ID}/pack").content
        one = client.get(f"/api/v1/plans/{PLAN_ID}/pack.html").content
        print(f"pack {len(pack) / MS:.0f} kB; as one file {len(one) / MS:.0f} kB")
        print(f"first paint without a signal {_offline(url):.0f} ms")
        plans = _fill(client)
        batches = iter(range(10_000))

        def send() -> None:
            events = [_event(9_000_000 + SENT * next(batches) + n, plans[0]) for n in range(SENT)]
            client.post("/api/v1/events", json={"events": events}).raise_for_status()

        print(f"\n{f'{DAYS} days, {EVENTS:,} events, ms':<34}{'p50':>9}{'p95':>9}")
        row("the whole log", laps(lambda: client.get("/api/v1/log").raise_for_status(), 15))
        for words in ("fish", "broke pockets", "nothing like it"):
            asked = {"q": words}
            row(f"sought: {words}", laps(lambda a=asked: client.get("/api/v1/log", params=a), 15))
        row("one day", laps(lambda: client.get(f"/api/v1/log/{plans[3]}"), 15))
        row(f"{SENT:,} events sent", laps(send, 5))


def _event(number: int, plan_id: str) -> dict:
    return {
        "event_id": f"{number:032x}",
        "plan_id": plan_id,
        "at": BEGAN + 300_000 * (number % 100_000),
        "kind": KINDS[number % len(KINDS)],
    }


def _fill(client: httpx.Client) -> list[str]:
    """Days like the demo's, each packed, each with as many events."""
    texts = client.get(f"/api/v1/plans/{PLAN_ID}").json()["texts"]
    made = []
    for number in range(DAYS):
        form = {**texts, "title": f"Day {number}", "on": f"2025-{1 + number % 12:02d}-11"}
        made.append(client.post("/api/v1/plans", json=form).raise_for_status().json()["plan_id"])
    each = EVENTS // DAYS
    for place, plan_id in enumerate(made):
        events = [_event(each * place + n, plan_id) for n in range(each)]
        client.post("/api/v1/events", json={"events": events}).raise_for_status()
    return made


def _offline(url: str) -> float:
    """From the tap to the first paint of a day that is kept, in ms; the median of five."""
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(
            executable_path="/usr/bin/chromium", args=CHROMIUM_FLAGS
        )
        context = browser.new_context(viewport={"width": 390, "height": 844})
        page = context.new_page()
        page.goto(f"{url}/water/{PLAN_ID}")
        page.evaluate("navigator.serviceWorker.ready.then(() => true)")
        page.reload()
        page.wait_for_timeout(500)
        context.set_offline(True)
        taken = []
        for _ in range(5):
            page.reload()
            page.get_by_role("heading", name="If the water is otherwise").wait_for()
            taken.append(page.evaluate(PAINTED))
        browser.close()
    return float(sorted(taken)[2])
