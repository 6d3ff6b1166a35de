"""The real program and a real browser; every page is watched for errors and foreign requests."""

import re
from collections.abc import Callable, Iterator
from contextlib import contextmanager

import pytest
from playwright.sync_api import BrowserContext, Locator, Page, expect, sync_playwright

from tests.running import Running

CHROMIUM_FLAGS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--no-first-run",
]
FOCUSED_NAME = """(() => {
  const e = document.activeElement
  if (!e || !e.matches('a, button, input, select, textarea, [role=option]')) return ''
  return e.getAttribute('aria-label') || e.labels?.[0]?.innerText || e.innerText || ''
})()"""
KEPT_SINCE = """(since) => new Promise((done) => {
  indexedDB.open('nine-knots').onsuccess = ({ target }) => {
    const store = target.result.transaction('drafts').objectStore('drafts')
    store.getAll().onsuccess = (found) =>
      done(found.target.result.some((one) => one?.touched >= since && one.at >= 0))
  }
})"""
EXPECTED_TROUBLE = re.compile(r"Failed to load resource")
expect.set_options(timeout=10_000)


@pytest.fixture(scope="session")
def program(tmp_path_factory) -> Iterator[Running]:
    running = Running(tmp_path_factory.mktemp("program")).ready()
    yield running
    running.stop()


@pytest.fixture(scope="session")
def browser(program, tmp_path_factory) -> Iterator[BrowserContext]:
    """One browser whose cache of compiled scripts serves every test."""
    with sync_playwright() as playwright:
        found = playwright.chromium.launch_persistent_context(
            tmp_path_factory.mktemp("chromium"),
            executable_path="/usr/bin/chromium",
            args=CHROMIUM_FLAGS,
            base_url=program.url,
            viewport={"width": 1280, "height": 800},
            reduced_motion="reduce",
        )
        # how to begin is asked at the first opening: here it was answered, but where a test asks
        found.add_init_script(
            "if (location.hash !== '#first') localStorage.setItem('nine-knots.begun', 'true')"
        )
        yield found
        found.close()


@pytest.fixture
def context(browser, program) -> Iterator[BrowserContext]:
    """The browser with nothing kept of the test before."""
    settings = {"name": "Test angler", "units": "imperial", "theme": "light"}
    program.http.put("/api/v1/angler", json=settings).raise_for_status()
    yield browser
    browser.unroute_all(behavior="ignoreErrors")
    blank = browser.new_page()
    for page in browser.pages:
        if page != blank:
            page.close()
    forget = {"origin": program.url, "storageTypes": "local_storage,indexeddb"}
    browser.new_cdp_session(blank).send("Storage.clearDataForOrigin", forget)


@pytest.fixture
def open_page(context, program) -> Iterator[Callable[[str], Page]]:
    trouble: list[str] = []

    def make(path: str = "/") -> Page:
        page = context.new_page()
        page.on("pageerror", lambda error: trouble.append(str(error)))
        page.on(
            "console",
            lambda said: (
                trouble.append(said.text)
                if said.type == "error" and not EXPECTED_TROUBLE.search(said.text)
                else None
            ),
        )
        page.on(
            "request",
            lambda request: (
                None
                if request.url.startswith((program.url, "data:", "blob:"))
                else trouble.append(f"foreign request: {request.url}")
            ),
        )
        page.goto(path)
        return page

    yield make
    assert trouble == []


@pytest.fixture
def page(open_page) -> Page:
    """The bench with the demo's first leader, whatever other tests have saved since."""
    made = open_page("/shelf")
    open_from_shelf(made, "Skarn evening sedge")
    return made


def open_from_shelf(page: Page, name: str) -> None:
    page.get_by_role("link", name="Shelf").click()
    page.get_by_role("button", name=name, exact=True).click()
    expect(title(page)).to_have_value(name)


@contextmanager
def draft_kept(page: Page) -> Iterator[None]:
    """What is done inside is in the browser's draft when it is over."""
    since = page.evaluate("Date.now()")
    yield
    page.wait_for_function(KEPT_SINCE, arg=since)


def piece(page: Page, number: int) -> Locator:
    """A piece on the strip, counted from the line."""
    return page.get_by_role("option", name=re.compile(rf"^Piece {number},"))


def joint(page: Page, number: int) -> Locator:
    """A joint on the strip; 0 is at the line."""
    return page.get_by_role("option", name=re.compile(rf"^Joint {number},"))


def pieces(page: Page) -> Locator:
    return page.get_by_role("option", name=re.compile(r"^Piece \d+,"))


def title(page: Page) -> Locator:
    return page.get_by_label("Name of this leader")


def cord(page: Page, name: str) -> Locator:
    """One measure of the verdict."""
    heading = page.get_by_role("heading", name=re.compile(rf"^{name}"))
    return page.get_by_label("The verdict").locator(".cord").filter(has=heading)


def pick_spool(within: Page | Locator, label: str, name: str) -> None:
    """Pick a spool by typing its name."""
    box = within.get_by_role("combobox", name=label, exact=True)
    box.click()
    box.page.keyboard.type(name)
    box.page.get_by_role("option", name=re.compile(f"^{re.escape(name)}")).click()


def typed(page: Page, label: str, text: str) -> None:
    """Type into a field and hand it on."""
    field = page.get_by_role("textbox", name=label, exact=True)
    field.fill(text)
    field.press("Enter")


def tab_to(page: Page, name: str) -> None:
    """Press Tab until the control of this name has the focus."""
    for _ in range(120):
        page.keyboard.press("Tab")
        if name in page.evaluate(FOCUSED_NAME):
            return
    raise AssertionError(f"Tab never came to “{name}”")
