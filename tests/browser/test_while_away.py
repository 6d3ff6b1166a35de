"""With the server gone every part of the sentence and every edit waits, survives a reload and is
made when the server is back."""

import re
from collections.abc import Callable

import pytest
from playwright.sync_api import BrowserContext, Page, expect

from tests.browser.conftest import draft_kept, open_from_shelf, piece, pieces, title, typed

WAITING = """() => new Promise((done) => {
  indexedDB.open('nine-knots').onsuccess = ({ target }) => {
    const store = target.result.transaction('drafts').objectStore('drafts')
    store.getAll().onsuccess = (found) =>
      done(Math.max(0, ...found.target.result.map((one) => one?.waiting?.length ?? 0)))
  }
})"""


@pytest.fixture
def away(page: Page, context: BrowserContext) -> Callable[[Callable[[], None], int], None]:
    """Does something while the bench isn't answered, reloads, and lets the server come back."""

    def do(acts: Callable[[], None], waiting: int) -> None:
        context.route("**/api/v1/bench", lambda route: route.abort())
        acts()
        expect(page.get_by_text("Your draft is safe in this browser.")).to_be_visible()
        page.wait_for_function(f"({WAITING})().then((count) => count === {waiting})")
        page.reload()
        expect(page.get_by_text("Your draft is safe in this browser.")).to_be_visible()
        context.unroute("**/api/v1/bench")
        expect(page.get_by_text("isn’t answering")).to_have_count(0)

    return do


def choose(page: Page, part: str, chip: str) -> None:
    """Pick a word of one part of the sentence, which can't show it yet."""
    page.locator(f"#say-{part}").click()
    panel = page.get_by_role("dialog")
    panel.locator(f'label:has(input[value="{chip}"])').click()
    page.keyboard.press("Escape")
    expect(panel).to_have_count(0)


def test_every_part_of_the_sentence(page, away):
    chosen = {
        "water": "waist-deep",
        "pace": "brisk walking pace",
        "wind": "gentle breeze",
        "fly": "Half-hatched 14",
        "fish": "trout",
        "wish": "hang in the film",
        "outfit": "10 ft 3-weight, soft",
    }
    away(lambda: [choose(page, part, chip) for part, chip in chosen.items()], len(chosen))
    for part, chip in chosen.items():
        expect(page.locator(f"#say-{part}")).to_contain_text(chip)


def test_every_edit(page, away):
    open_from_shelf(page, "Night pool")

    def edit() -> None:
        piece(page, 1).focus()
        page.keyboard.press("s")
        page.keyboard.press("i")
        page.keyboard.press("Shift+ArrowRight")
        bar = page.get_by_label("Selection")
        typed(page, "Length", "20 in")
        bar.get_by_role("button", name="Thinner spool").click()
        piece(page, 1).focus()
        page.keyboard.press("w")
        title(page).fill("Written while away")
        title(page).press("Enter")

    away(edit, 7)
    expect(page.get_by_role("option", name=re.compile("^Shot"))).to_be_visible()
    expect(pieces(page)).to_have_count(6)
    expect(title(page)).to_have_value("Written while away")
    expect(piece(page, 2)).to_have_accessible_name(re.compile(", taper, 20 in "))


def test_a_drag_that_was_let_go(page, away):
    before = piece(page, 1).get_attribute("aria-label")
    knot = page.get_by_role("option", name=re.compile("^Joint 1,")).locator("circle").bounding_box()
    x, y = knot["x"] + knot["width"] / 2, knot["y"] + knot["height"] / 2

    def drag() -> None:
        page.mouse.move(x, y)
        page.mouse.down()
        page.mouse.move(x + 60, y, steps=6)
        page.mouse.up()

    away(drag, 1)
    expect(piece(page, 1)).not_to_have_accessible_name(before)


def test_a_draft_that_is_not_stored_is_said_at_once(page):
    page.evaluate(
        "() => { IDBObjectStore.prototype.put = () => {"
        " throw new DOMException('full', 'QuotaExceededError') } }"
    )
    piece(page, 1).focus()
    page.keyboard.press("s")
    told = page.get_by_role("alert").filter(has_text="can’t store your draft")
    expect(told).to_contain_text("Save the leader, or export it")
    expect(page.get_by_text("Your draft is safe")).to_have_count(0)
    page.reload()
    with draft_kept(page):
        piece(page, 1).focus()
        page.keyboard.press("s")
    expect(told).to_have_count(0)
