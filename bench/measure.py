"""Times evaluation, the API's round trip and the first load; see bench/README.md."""

import statistics
import sys
import tempfile
import time
from pathlib import Path

import httpx
import numpy as np
from playwright.sync_api import sync_playwright

from bench import casts, waters
from bench.days import days
from bench.finding import finding
from bench.load import strain
from bench.proposals import proposals
from bench.shelf import shelf
from bench.timing import laps, row
from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import Split
from nine_knots.formats.tying_pdf import Card, write_pdf
from nine_knots.words.evaluation import evaluate
from nine_knots.words.pull import hold_reading
from tests.makers import PLAIN, design, level, tied, workbench
from tests.running import Running

SENT = "performance.getEntriesByType('resource').map((one) => [one.name, one.transferSize])"


def yardstick() -> list[float]:
    """A fixed piece of work, so that figures of two machines can be compared."""
    numbers = np.random.default_rng(1).normal(size=(160, 160))
    return laps(lambda: np.linalg.svd(numbers, compute_uv=False), 100)


def evaluation() -> None:
    """A whole evaluation by the number of pieces."""
    print(f"\n{'evaluation, ms':<34}{'median':>9}{'p95':>9}")
    yard = yardstick()
    row("yardstick (svd of 160 x 160)", yard)
    for count in (4, 6, 10, 24):
        leader = PLAIN
        while len(leader.pieces) < count:
            longest = max(range(len(leader.pieces)), key=lambda i: leader.pieces[i].length_m)
            leader = apply_edit(leader, Split(piece=longest), workbench())
        made = design(leader)
        found = laps(lambda made=made: evaluate(made, {}, Units("imperial")))
        ratio = statistics.median(found) / statistics.median(yard)
        row(f"{len(leader.pieces)} pieces", found, f"{ratio:.2f} of the yardstick")


def hold_and_paper() -> None:
    """The pull of a large leader, and a tying card as PDF."""
    print(f"\n{'hold and paper, ms':<34}{'median':>9}{'p95':>9}")
    for count in (6, 24):
        made = design(tied(*(level(24 - 0.8 * i, 0.5) for i in range(count))))
        row(
            f"pull of {count} pieces",
            laps(lambda made=made: hold_reading(made, True, True, Units("imperial")), 60),
        )
        cards = (Card(made, evaluate(made, {}, Units("imperial"))),)
        row(f"A6 card of {count} pieces, PDF", laps(lambda c=cards: write_pdf(c, "a6"), 20))


def round_trip(url: str) -> None:
    """POST /api/v1/bench with a change, from one client."""
    print(f"\n{'round trip over HTTP, ms':<34}{'p50':>9}{'p95':>9}")
    with httpx.Client(base_url=url) as client:
        first = client.get("/api/v1/leaders").json()[0]
        saved = client.get(f"/api/v1/leaders/{first['leader_id']}").json()
        edit = {"act": "nudge-joint", "joint": 1, "steps": 1}
        body = {"design": saved["design"], "edit": edit, "units": "imperial"}
        row(
            "POST /api/v1/bench, with a change",
            laps(lambda: client.post("/api/v1/bench", json=body)),
        )
        row("GET /api/v1/leaders", laps(lambda: client.get("/api/v1/leaders"), 100))
        row("GET /api/v1/catalogue", laps(lambda: client.get("/api/v1/catalogue"), 100))


def first_load(url: str) -> None:
    """What an empty cache fetches, and when the strip stands."""
    print(f"\n{'first load of the bench':<34}{'kB':>9}{'ms':>9}")
    flags = ["--no-sandbox", "--disable-gpu", "--disable-background-networking"]
    times, files, answers = [], [], []
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=flags)
        for _ in range(5):
            page = browser.new_page(viewport={"width": 1280, "height": 800})
            begun = time.perf_counter()
            page.goto(url)
            page.wait_for_selector(".strip svg [role=option]")
            times.append(1e3 * (time.perf_counter() - begun))
            sent = page.evaluate(SENT)
            answers.append(sum(size for name, size in sent if "/api/v1/" in name))
            files.append(sum(size for _, size in sent) - answers[-1])
            page.close()
        browser.close()
    milliseconds, beside = statistics.median(times), statistics.median(answers) / 1e3
    print(
        f"{'the interface, median of 5':<34}{statistics.median(files) / 1e3:>9.0f}"
        f"{milliseconds:>9.0f}   and {beside:.0f} kB of answers"
    )


def over_http(url: str) -> None:
    """What is measured against a running program."""
    round_trip(url)
    casts.service(url)
    waters.water_over_http(url)
    waters.verdict_over_http(url)
    first_load(url)


def main() -> None:
    """All tables, against the program given or one of our own."""
    evaluation()
    hold_and_paper()
    proposals()
    waters.waters()
    casts.casts()
    casts.against_the_engine()
    casts.rank_correlation()
    finding()
    if len(sys.argv) > 1:
        over_http(sys.argv[1])
        return
    with tempfile.TemporaryDirectory() as folder:
        running = Running(Path(folder)).ready()
        try:
            over_http(running.url)
            strain(running.url)
            shelf(running.url)
            days(running.url)
        finally:
            running.stop()


if __name__ == "__main__":
    main()
