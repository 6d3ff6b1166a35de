"""Nothing is cut off, laid over its neighbour, too small to hit, silent or left open."""

import re
from itertools import pairwise

import pytest
from playwright.sync_api import Page, expect

from nine_knots.demo.days import PLAN_ID
from tests.browser.conftest import open_from_shelf, piece
from tests.browser.views import LAID_OVER, STILL, VIEWS, serious, show

CUT_OFF = """() => {
  const words = (e) => (e.innerText ?? '').slice(0, 30)
  const named = (e) => `${e.tagName}.${e.getAttribute('class') ?? ''} “${words(e)}”`
  const scrolls = (e) =>
    ['auto', 'scroll'].includes(getComputedStyle(e).overflowX) && e.id !== 'place'
  const within = (e) => {
    for (let p = e.parentElement; p && p !== document.body; p = p.parentElement)
      if (scrolls(p)) return true
    return false
  }
  return [...document.querySelectorAll('body *')].filter((e) => {
    const box = e.getBoundingClientRect(), style = getComputedStyle(e)
    if (!box.width || !box.height || style.visibility === 'hidden' || style.display === 'inline')
      return false
    // an input scrolls what is typed, a picked spool ends in dots beside its full name in the list
    if (e.closest('.unseen, .behind, .skip, svg, input, .el-select__placeholder') || within(e))
      return false
    const cut = e.scrollWidth > e.clientWidth + 1 && e.clientWidth > 0 && !scrolls(e)
    return cut || box.right > innerWidth + 1
  }).slice(0, 5).map(named)
}"""
SMALL = """() => [...document.querySelectorAll(
    'button, summary, select, textarea, input:not(.behind), [role=option], [role=button], a')]
  .filter((e) => {
    const box = (e.matches('input') && e.closest('label') || e).getBoundingClientRect()
    const style = getComputedStyle(e)
    if (!box.width || style.visibility === 'hidden' || e.closest('.unseen, .skip')) return false
    if (e.matches('p a, li > a, a.rail__small')) return false // within a sentence
    return box.height < 23.9 || box.width < 23.9
  }).map((e) => `${e.tagName} ${e.getAttribute('aria-label') ?? e.innerText}`)"""
OVERLAPS = """(selector) => {
  const boxes = [...document.querySelectorAll(selector)].filter((e) => e.textContent.trim())
    .map((e) => [e.textContent.trim(), e.getBoundingClientRect()])
  const out = boxes.filter(([, b]) => b.left < 0 || b.right > innerWidth + 0.5)
    .map(([t]) => `out: ${t}`)
  boxes.forEach(([text, a], i) => boxes.slice(i + 1).forEach(([other, b]) => {
    const across = a.left < b.right - 1 && b.left < a.right - 1
    if (across && a.top < b.bottom - 2 && b.top < a.bottom - 2) out.push(`${text} / ${other}`)
  }))
  return out
}"""
STAGES = ("Air: the cast", "Water: the drift", "Hold: the pull", "Sure: what matters")


def stage(page: Page, name: str) -> None:
    page.get_by_text(name, exact=True).click()
    ready = {"Air": "svg.cast", "Water": ".water, svg.lane", "Hold": "svg.pull", "Sure": ".what-if"}
    expect(page.locator(ready[name.split(":")[0]]).first).to_be_visible()
    page.wait_for_timeout(300)


@pytest.mark.parametrize("views", [VIEWS[::2], VIEWS[1::2]], ids=("even", "odd"))
def test_every_view_by_lamp_by_night_on_a_desk_and_on_a_phone(page, views):
    """Nothing serious for axe-core, cut off, too small to hit or silent; each is shown once."""
    silent = "document.querySelectorAll('input[type=range]:not([aria-valuetext])').length"
    mains = "document.querySelectorAll('main').length"
    wide = "document.documentElement.scrollWidth - innerWidth"
    found: dict[str, object] = {}
    for view in views:
        page.set_viewport_size({"width": 1280, "height": 800})
        show(page, view)
        page.wait_for_function(STILL)
        found[f"{view}, by lamp"] = serious(page)
        page.evaluate("document.documentElement.dataset.theme = 'dark'")
        page.wait_for_function(STILL)
        found[f"{view}, by night"] = serious(page)
        page.evaluate("document.documentElement.dataset.theme = 'light'")
        if view in LAID_OVER:
            continue
        found[f"{view}, too small"] = page.evaluate(SMALL)
        assert (page.evaluate(silent), page.evaluate(mains)) == (0, 1), view
        for width, height in ((1280, 800), (1024, 768), (390, 844)):
            page.set_viewport_size({"width": width, "height": height})
            page.wait_for_timeout(150)
            found[f"{view}, cut off at {width}"] = page.evaluate(CUT_OFF)
        assert page.evaluate(wide) <= 0, view
        found[f"{view}, on a phone"] = serious(page)
    assert {view: said for view, said in found.items() if said} == {}


def test_stop_is_inside_the_window_while_remedies_are_worked_out(page, context):
    for asked in ("casts", "water"):
        context.route(f"**/api/v1/{asked}/remedies", lambda _: None)  # never answered
    open_from_shelf(page, "Long fine for the mill glide")
    page.locator("#say-wind").click()
    page.locator('label:has(input[value="fresh breeze"])').click()
    page.locator('label:has(input[value="in the face"])').click()
    page.keyboard.press("Escape")
    stop = page.get_by_label("The verdict").get_by_role("button", name="Stop").first
    expect(stop).to_be_visible()
    box = stop.bounding_box()
    assert box["x"] + box["width"] <= 1280
    assert page.evaluate(CUT_OFF) == []


def test_a_word_of_the_sentence_closes_however_it_is_left(page):
    panel = page.get_by_role("dialog", name="The wind")
    word = page.locator("#say-wind")
    for leave in ("tab", "tab back", "escape outside", "click outside"):
        word.click()
        expect(panel).to_be_visible()
        if leave == "tab":
            for _ in range(40):
                page.keyboard.press("Tab")
                if panel.count() == 0:
                    break
        elif leave == "tab back":
            word.focus()
            page.keyboard.press("Shift+Tab")
            page.keyboard.press("Escape")
        elif leave == "escape outside":
            page.evaluate("document.activeElement.blur()")
            page.keyboard.press("Escape")
        else:
            page.mouse.click(40, 700)  # on the rail
        expect(panel, leave).to_have_count(0)


def test_what_is_typed_is_read_at_night(page, program):
    settings = {"name": "Test angler", "units": "imperial", "theme": "dark"}
    program.http.put("/api/v1/angler", json=settings).raise_for_status()
    page.goto("/spools")
    box = page.get_by_label("What you own, one item per line")
    box.fill("5X nylon 30 m")
    page.wait_for_timeout(300)
    contrast = box.evaluate(
        """(box) => {
          const light = (text) => {
            const [r, g, b] = text.match(/[\\d.]+/g).map((v) => v / 255)
              .map((v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4))
            return 0.2126 * r + 0.7152 * g + 0.0722 * b
          }
          const style = getComputedStyle(box)
          const [a, b] = [light(style.color), light(style.backgroundColor)].sort((x, y) => y - x)
          return (a + 0.05) / (b + 0.05)
        }"""
    )
    assert contrast > 7


def test_on_a_phone_no_label_lies_over_another(page):
    page.set_viewport_size({"width": 390, "height": 844})
    open_from_shelf(page, "Two under the float, bridge run")
    page.reload()
    expect(piece(page, 1)).to_be_visible()
    seats = page.locator(".joint .seat").evaluate_all(
        "(all) => all.map((one) => one.getBoundingClientRect()).map((b) => [b.left, b.right])"
    )
    assert all(right <= left + 0.5 for (_, right), (left, _) in pairwise(seats))
    expect(page.get_by_text("short pieces drawn longer")).to_be_visible()
    found = {}
    for name, picture in (("Water", "svg.section text"), ("Hold", "svg.pull text")):
        stage(page, next(item for item in STAGES if item.startswith(name)))
        found[name] = page.evaluate(OVERLAPS, picture)
    open_from_shelf(page, "Skarn evening sedge")
    for name, picture in (("Air", "svg.cast text"), ("Water", "svg.lane text")):
        stage(page, next(item for item in STAGES if item.startswith(name)))
        found[f"dry {name}"] = page.evaluate(OVERLAPS, picture)
    assert {name: over for name, over in found.items() if over} == {}


def test_on_a_phone_whose_bench_it_is_leaves_the_work_in_sight(open_page, program):
    program.http.post("/api/v1/anglers/demo").raise_for_status()
    page = open_page("/#first")
    page.set_viewport_size({"width": 390, "height": 844})
    note = page.locator(".first")
    expect(note).to_be_visible()
    assert note.bounding_box()["height"] < 90
    note.get_by_role("button", name="Start with mine").click()
    expect(note.get_by_label("Your name")).to_be_visible()
    page.goto("/tie/now#first")
    for name in ("← Back", "Done, next →"):
        box = page.get_by_role("button", name=name).bounding_box()
        assert box["y"] + box["height"] <= 844
    expect(note).to_have_count(0)


def test_days_are_written_for_the_reader_and_a_plan_reads_as_one_would_say_it(page, program):
    # a plan of its own: once another test has fished the demo's, the list no longer shows it
    texts = program.http.get(f"/api/v1/plans/{PLAN_ID}").json()["texts"]
    plan = program.http.post("/api/v1/plans", json=texts | {"title": "As one would say it"})
    worked = {"plan_id": plan.raise_for_status().json()["plan_id"]}
    program.http.post("/api/v1/plans/work", json=worked, timeout=120.0).raise_for_status()
    page.goto("/days/plan")
    page.get_by_role("navigation", name="Planned days").get_by_text("As one would say it").click()
    asked = page.locator(".asked")
    expect(asked).to_contain_text(re.compile(r": .*, wind of "))
    assert " ," not in asked.inner_text()
    for path in ("/days/plan", "/days/log", "/days/wallet", "/knots/blood", "/spools/ledger"):
        page.goto(path)
        expect(page.locator("main h1").first).to_be_visible()
        page.wait_for_timeout(700)
        assert re.findall(r"\d{4}-\d\d-\d\d", page.locator("main").inner_text()) == [], path
    program.http.delete(f"/api/v1/plans/{worked['plan_id']}").raise_for_status()
