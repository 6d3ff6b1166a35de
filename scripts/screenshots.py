"""Takes the pictures in docs/screenshots from a fresh demo, or those named: python -m
scripts.screenshots [name …]."""

import re
import sys
import tempfile
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import TypeVar

import httpx
from playwright.sync_api import Browser, Page, expect, sync_playwright

from nine_knots.demo.days import PLAN_ID
from tests.browser.conftest import CHROMIUM_FLAGS, cord, joint, open_from_shelf, pick_spool
from tests.browser.test_hosted import join_by_password
from tests.hosting import PASSWORD, Hosted, invite, joined
from tests.running import PROJECT, Running

Program = TypeVar("Program", bound=Running)
FOLDER = PROJECT / "docs" / "screenshots"


def bench(page: Page) -> None:
    """The bench as it opens."""
    open_from_shelf(page, "Skarn evening sedge")
    settled(page)


def settled(page: Page) -> None:
    """The cast is worked out, at full resolution."""
    expect(cord(page, "Turnover")).to_be_visible(timeout=90_000)
    page.wait_for_timeout(2500)


def shelf(page: Page) -> None:
    """The saved leaders, below the schools of the day."""
    page.goto("/shelf")
    page.get_by_role("group", name="Fits this day").wait_for()
    page.get_by_role("heading", name="Saved leaders").evaluate("e => e.scrollIntoView()")


def schools(page: Page) -> None:
    """Which school today, and one of them in full."""
    page.goto("/shelf")
    page.get_by_role("group", name="Fits this day").wait_for()
    page.get_by_role("radio", name=re.compile("^Compound slack")).check()
    page.wait_for_timeout(1500)


def air(page: Page) -> None:
    """The cast as it has landed."""
    open_from_shelf(page, "Skarn evening sedge")
    page.get_by_text("Air: the cast").click()
    settled(page)


def sure(page: Page) -> None:
    """The chances a cast has, what the doubt hangs on and what each piece does."""
    open_from_shelf(page, "Skarn evening sedge")
    page.get_by_text("Sure: what matters").click()
    page.wait_for_timeout(2500)
    settled(page)


def find(page: Page) -> None:
    """A dozen leaders found for an evening, one chosen and one pinned beside it."""
    open_from_shelf(page, "Skarn evening sedge")
    page.get_by_role("link", name="Find").click()
    page.get_by_role("button", name="Find", exact=True).click()
    expect(page.get_by_role("button", name="Find again")).to_be_visible(timeout=120_000)
    found = page.locator("input[name=found]")
    found.first.focus()
    page.keyboard.press("p")
    for _ in range(3):
        page.keyboard.press("ArrowDown")
    page.wait_for_timeout(1500)


def spools(page: Page) -> None:
    """What is owned is being typed, one line not yet understood."""
    page.goto("/spools")
    lines = "5X fluoro 30 m\n.017 stiff nylon 50 yd 20 lb\n9 ft 4X tapered, 3 left\nsize 14 bushy"
    page.get_by_label("What you own, one item per line").fill(lines)
    expect(page.get_by_role("list", name="How it is read")).to_contain_text("has no kind of fly")


def hold(page: Page) -> None:
    """A joint with its advice, and the leader pulled until it broke."""
    open_from_shelf(page, "Night pool")
    joint(page, 1).click()
    page.get_by_text("Hold: the pull").click()
    page.get_by_label("Pull", exact=True).fill("52")


def water(page: Page) -> None:
    """Two nymphs under an indicator, and the depth table below them."""
    open_from_shelf(page, "Two under the float, bridge run")
    page.get_by_text("Water: the drift").click()
    page.get_by_text("Hide rows").click()
    expect(page.locator("svg.section")).to_be_visible(timeout=30_000)
    settled(page)


def knots(page: Page) -> None:
    """A knot nearly tied."""
    page.goto("/knots/blood")
    page.get_by_label("How far it is tied").fill("4")


def tie_now(page: Page) -> None:
    """The companion at a knot."""
    open_from_shelf(page, "Skarn evening sedge")
    page.goto("/tie/now")
    expect(page.get_by_label("This step")).to_be_visible()
    for _ in range(7):
        page.keyboard.press("Space")


def measure(page: Page) -> None:
    """A strand read by the simulated micrometer, beside what it was sold as."""
    page.goto("/spools/measure")
    pick_spool(page, "The spool", "Mist soft .006 in · 5X")
    page.get_by_label("Read from").select_option(label="the simulated micrometer")
    expect(page.locator(".live__reading")).to_have_text(re.compile(r"\.\d{4} in"))
    for _ in range(9):
        page.get_by_role("button", name="Use reading").click()
        page.wait_for_timeout(160)
    expect(page.get_by_text(re.compile("^By nine readings"))).to_be_visible()


def days(page: Page) -> None:
    """A river at the level that its gauge says."""
    page.goto("/days")
    page.get_by_text("The Skarn", exact=True).click()
    water = page.get_by_role("region", name="The Skarn")
    water.get_by_role("button", name="Read the gauge").click()
    expect(water.get_by_role("status")).to_contain_text("just now")
    expect(page.get_by_text("being compiled")).to_have_count(0, timeout=90_000)


def plan(page: Page) -> None:
    """A day planned and packed: each stretch with its leader, and what the hands do first."""
    page.goto("/days/plan")
    page.get_by_role("button", name="Work it out").click()
    pack = page.get_by_role("button", name="Pack it for the water")
    pack.click(timeout=120_000)
    expect(page.get_by_role("link", name="At the water")).to_be_visible(timeout=120_000)


def at_the_water(page: Page) -> None:
    """The phone: the rig as it is after some flies and a wind knot, and what to change."""
    page.set_viewport_size({"width": 390, "height": 844})
    base = page.url.split("/shelf")[0]
    httpx.post(f"{base}/api/v1/plans/pack", json={"plan_id": PLAN_ID}, timeout=120.0)
    page.goto(f"/water/{PLAN_ID}")
    page.get_by_role("button", name="Happened").click()
    page.get_by_role("button", name="Changed fly", exact=True).click()
    page.get_by_role("button", name="No details").click()
    page.get_by_role("button", name="Wind knot", exact=True).click()
    page.get_by_role("button", name="Here").click()
    expect(page.get_by_role("alert")).to_be_visible()


def at(path: str) -> Callable[[Page], None]:
    """A place as it opens."""
    return lambda page: page.goto(path) and None


VIEWS: dict[str, tuple[str, Callable[[Page], None]]] = {
    "bench": ("light", bench),
    "air": ("light", air),
    "shelf": ("light", shelf),
    "schools": ("dark", schools),
    "spools": ("light", spools),
    "tie-now": ("dark", tie_now),
    "find": ("light", find),
    "sure": ("light", sure),
    "hold": ("light", hold),
    "water": ("light", water),
    "knots": ("light", knots),
    "measure": ("light", measure),
    "days": ("light", days),
    "plan": ("light", plan),
    "log": ("dark", at("/days/log")),
    "at-the-water": ("light", at_the_water),
}


def enter(page: Page, site: Hosted, _keeper: httpx.Client) -> None:
    """Before anybody has come in."""
    page.goto(site.site)
    page.get_by_role("button", name="Log in with a passkey").wait_for()


def shared(page: Page, site: Hosted, keeper: httpx.Client) -> None:
    """What others of a club have given, a leader of it read."""
    code = give_to_a_club(keeper)
    join_by_password(page, site, invite(keeper), "Eira")
    page.goto(f"{site.site}/shared/groups#{code}")
    page.get_by_role("button", name="Join", exact=True).click()
    page.get_by_role("link", name="Shared with me").click()
    page.get_by_role("button", name="Show it: Skarn evening sedge").click()
    page.get_by_role("button", name="Put it on my bench").wait_for()


def operator(page: Page, site: Hosted, _keeper: httpx.Client) -> None:
    """How the service does."""
    page.goto(site.site)
    page.get_by_label("Name").first.fill("Keeper")
    page.get_by_label("Password", exact=True).fill(PASSWORD)
    page.keyboard.press("Enter")
    page.get_by_role("link", name="Service").click()
    page.get_by_role("heading", name="Accounts").wait_for()


def give_to_a_club(http: httpx.Client) -> str:
    """The demo's things of who keeps a club, given to it; answers the code to join by."""
    http.post("/api/v1/anglers/demo")
    club = http.post("/api/v1/clubs", json={"title": "The Skarn club"}).json()[0]["club_id"]
    ids = {
        "day": [PLAN_ID],
        "water": [row["place_id"] for row in http.get("/api/v1/places").json()[:1]],
        "rig": [row["rig_id"] for row in http.get("/api/v1/lower-rigs").json()[:1]],
        "leader": [row["leader_id"] for row in http.get("/api/v1/leaders").json()[:1]],
    }
    for kind, things in ids.items():
        for thing in things:
            form = {"kind": kind, "thing_id": thing, "whom": "club", "to_id": club}
            http.post("/api/v1/gifts", json={**form, "places": kind == "day"}).raise_for_status()
    return str(http.post(f"/api/v1/clubs/{club}/code").json()["code"])


HOSTED: dict[str, Callable[[Page, Hosted, httpx.Client], None]] = {
    "enter": enter,
    "shared": shared,
    "operator": operator,
}


def take_at_home(browser: Browser, names: set[str]) -> None:
    """Those of a bench at home, each in a fresh page."""
    with tempfile.TemporaryDirectory() as folder, ending(Running(Path(folder)).ready()) as running:
        while not running.http.get("/api/v1/readiness").json()["ready"]:
            time.sleep(1.0)
        for name in VIEWS.keys() & names:
            theme, show = VIEWS[name]
            settings = {"name": "Runa", "units": "imperial", "theme": theme}
            running.http.put("/api/v1/angler", json=settings).raise_for_status()
            page = new_page(browser, running.url)
            page.goto("/shelf")
            show(page)
            take(page, name)


def take_hosted(browser: Browser, names: set[str]) -> None:
    """Those of a hosted service, each in a browser that it does not know."""
    with tempfile.TemporaryDirectory() as folder, ending(Hosted(Path(folder)).ready()) as running:
        keeper = joined(running.site, running.invitation, "Keeper")
        for name in [item for item in HOSTED if item in names]:
            page = new_page(browser, running.site)
            HOSTED[name](page, running, keeper)
            take(page, name)


def new_page(browser: Browser, url: str) -> Page:
    """A page of a browser that was never here, of the usual size."""
    page = browser.new_page(base_url=url, viewport={"width": 1280, "height": 800})
    page.add_init_script("localStorage.setItem('nine-knots.begun', 'true')")
    return page


def take(page: Page, name: str) -> None:
    """Its picture."""
    page.mouse.move(1270, 790)
    page.wait_for_timeout(900)
    page.screenshot(path=FOLDER / f"{name}.png")
    page.close()


@contextmanager
def ending(running: Program) -> Iterator[Program]:
    """A program that is stopped in the end."""
    try:
        yield running
    finally:
        running.stop()


def main() -> None:
    """The views named, or all of them."""
    FOLDER.mkdir(exist_ok=True)
    names = set(sys.argv[1:]) or {*VIEWS, *HOSTED}
    with sync_playwright() as playwright:
        chromium = playwright.chromium
        browser = chromium.launch(executable_path="/usr/bin/chromium", args=CHROMIUM_FLAGS)
        if VIEWS.keys() & names:
            take_at_home(browser, names)
        if HOSTED.keys() & names:
            take_hosted(browser, names)
        browser.close()


if __name__ == "__main__":
    main()
