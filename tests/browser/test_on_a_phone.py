"""The whole application on a phone: nothing scrolls sideways, no place is cut off."""

from playwright.sync_api import expect

from tests.browser.views import PLACES, show

WIDE = "[document.querySelector('main').scrollWidth, document.documentElement.scrollWidth]"
RAIL = """[...document.querySelectorAll('nav.rail > .go')]
  .map((one) => one.getBoundingClientRect()).filter((one) => one.width)
  .every((one) => one.left >= 0 && one.right <= innerWidth && one.width >= 44)"""
STAGES = ("Air: the cast", "Water: the drift", "Hold: the pull", "Sure: what matters")


def test_no_place_scrolls_sideways(page):
    width = 360  # what fits there fits the wider
    page.set_viewport_size({"width": width, "height": 740})
    for view in PLACES:
        show(page, view)
        page.wait_for_timeout(400)
        assert max(page.evaluate(WIDE)) <= width, view
        assert page.evaluate(RAIL), view


def test_the_strip_is_reached_by_a_thumb_and_every_stage_fits(page):
    page.set_viewport_size({"width": 390, "height": 844})
    show(page, "bench")
    chips = page.get_by_role("group", name="Pieces and joints of the strip")
    sizes = chips.get_by_role("button").evaluate_all(
        "(all) => all.map((one) => [one.offsetWidth, one.offsetHeight])"
    )
    assert min(min(size) for size in sizes) >= 44
    chips.get_by_role("button", name="3 ").first.click()
    expect(chips.get_by_role("button", name="3 ").first).to_have_attribute("aria-pressed", "true")
    for stage in STAGES:
        page.get_by_text(stage).click()
        page.wait_for_timeout(700)
        assert max(page.evaluate(WIDE)) <= 390, stage
    page.get_by_role("button", name="More").click()
    page.get_by_role("button", name="My things").click()
    expect(page.get_by_role("dialog", name="My things")).to_be_visible()
    page.keyboard.press("Escape")
