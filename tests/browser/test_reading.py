"""The day as a sentence, units, ghost, schools, spools, and the sheet to tie from."""

import re

from playwright.sync_api import expect

from tests.browser.conftest import cord, open_from_shelf, piece, pieces, title


def test_the_sentence_is_the_form(page):
    page.get_by_role("button", name="knee-deep pocket water").click()
    panel = page.get_by_role("dialog", name="The water")
    panel.get_by_text("waist-deep").click()
    expect(page.get_by_role("button", name="waist-deep pocket water")).to_be_visible()
    depth = panel.get_by_label("… or a depth")
    depth.fill("deep")
    depth.press("Enter")
    expect(panel.get_by_role("alert")).to_contain_text("isn't recognised")
    depth.fill("2 ft 2 in")
    depth.press("Enter")
    expect(page.get_by_role("button", name="26 in deep pocket water")).to_be_visible()
    page.keyboard.press("Escape")
    expect(panel).to_have_count(0)
    expect(page.get_by_role("button", name="26 in deep pocket water")).to_be_focused()


def test_another_fish_changes_what_is_asked(page):
    before = cord(page, "Hold").inner_text()
    page.get_by_role("button", name=re.compile("grayling ")).click()
    panel = page.get_by_role("dialog", name="The fish")
    panel.get_by_text("pike", exact=True).click()
    expect(cord(page, "Hold")).to_contain_text("A pike cuts plain tippet")
    assert cord(page, "Hold").inner_text() != before
    panel.get_by_role("button", name="Done").click()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_role("button", name=re.compile("grayling "))).to_be_visible()


def test_a_new_fly_is_typed_kept_and_cast(page):
    page.get_by_role("button", name="the Skarn sedge 14").click()
    panel = page.get_by_role("dialog", name="The fly")
    panel.get_by_text("Another fly …").click()
    panel.get_by_label("Name").fill("Loud hopper")
    panel.get_by_label("Hook", exact=True).fill("enormous")
    panel.get_by_role("button", name="Put it in the box").click()
    expect(panel.get_by_role("alert")).to_contain_text("not a hook size")
    panel.get_by_label("Hook", exact=True).fill("8")
    panel.get_by_role("button", name="Put it in the box").click()
    expect(page.get_by_role("button", name="the Loud hopper")).to_be_visible()
    expect(panel.get_by_text("Loud hopper")).to_be_visible()


def test_units_switch_anywhere_and_are_remembered(page):
    page.get_by_text("cm · kg").click()
    expect(cord(page, "Hold")).to_contain_text("kg")
    expect(piece(page, 1)).to_have_accessible_name(re.compile(" cm 0.43 mm"))
    page.get_by_role("link", name="Spools").click()
    expect(
        page.get_by_role("button", name=re.compile(r"Amber stiff \.017 in ?, 0.43 mm"))
    ).to_be_visible()
    page.reload()
    expect(
        page.get_by_role("button", name=re.compile(r"Amber stiff \.017 in ?, 0.43 mm"))
    ).to_be_visible()


def test_two_leaders_side_by_side(page):
    page.get_by_role("link", name="Shelf").click()
    page.get_by_role("button", name="Compare: Night pool").click()
    expect(page.get_by_text("“Night pool”, on this same day")).to_be_visible()
    expect(cord(page, "Hold")).to_contain_text("ghost: breaks at")
    expect(page.locator(".strip path.ghost").first).to_be_visible()
    page.locator("body").press("g")
    expect(page.locator(".strip path.ghost")).to_have_count(0)


def test_a_school_proposes_explains_and_takes_wishes(page):
    page.get_by_role("link", name="Shelf").click()
    page.get_by_text("others don’t suit this day").click()
    page.get_by_text("Halving", exact=True).click()
    expect(page.get_by_text("Even step disagrees")).to_be_visible()
    length = page.get_by_label("Length (empty: usual)")
    length.fill("eight")
    expect(page.get_by_role("alert")).to_contain_text("is not a length")
    length.fill("8 ft")
    page.get_by_label("Tippet (empty: by the day)").fill("3X")
    expect(page.get_by_text("Tippet .008 in · 3X, as you asked.")).to_be_visible()
    page.get_by_role("button", name="Put this 8 ft leader on the bench").click()
    expect(title(page)).to_have_value("Halving, 8 ft")
    expect(pieces(page)).to_have_count(4)
    expect(page.get_by_text("not saved yet")).to_be_visible()


def test_spools_come_and_go(page):
    page.get_by_role("link", name="Spools").click()
    page.get_by_role("button", name="Add a spool").click()
    form = page.get_by_role("dialog", name="Add a spool")
    form.get_by_label("Diameter").fill("18")
    form.get_by_label("Left on it").fill("50 ft")
    form.get_by_label("Name").fill("Odd stuff")
    form.get_by_role("button", name="Put on the shelf").click()
    expect(form.get_by_role("alert")).to_contain_text("is outside")
    expect(form.get_by_label("Name")).to_have_value("Odd stuff")
    form.get_by_label("Diameter").fill("18 thou")
    form.get_by_role("button", name="Put on the shelf").click()
    disc = page.get_by_role("button", name=re.compile("^Odd stuff"))
    expect(disc).to_have_accessible_name(re.compile("50 ft left"))
    disc.click()
    change = page.get_by_role("dialog", name="This spool")
    change.get_by_label("Left on it").fill("30 ft")
    change.get_by_role("button", name="Keep").click()
    expect(disc).to_have_accessible_name(re.compile("30 ft left"))
    disc.click()
    change.get_by_role("button", name="Take off the shelf").click()
    expect(disc).to_have_count(0)


def test_a_leader_is_taken_off_the_shelf_and_put_back(page):
    page.get_by_role("link", name="Shelf").click()
    page.get_by_role("button", name="Take off: Long fine for the mill glide").click()
    name = page.get_by_role("button", name="Long fine for the mill glide", exact=True)
    expect(name).to_have_count(0)
    page.get_by_role("button", name="Put it back").click()
    expect(name).to_be_visible()


def test_the_keys_are_listed(page):
    page.locator("body").press("?")
    keys = page.get_by_role("dialog", name="Keys")
    expect(keys.get_by_text("split the piece in two")).to_be_visible()
    page.keyboard.press("Escape")
    expect(keys).to_be_hidden()


def test_escape_closes_a_panel_wherever_the_focus_is(page):
    page.get_by_role("button", name="the Skarn sedge 14").click()
    panel = page.get_by_role("dialog", name="The fly")
    expect(panel).to_be_visible()
    page.evaluate("document.activeElement.blur()")
    page.keyboard.press("Escape")
    expect(panel).to_have_count(0)


def test_the_shelf_opens_with_the_schools_that_fit_the_day(page):
    """By keyboard: what fits comes first, the arrows go on, its leader goes onto the bench."""
    page.get_by_role("link", name="Shelf").click()
    fits = page.get_by_role("group", name="Fits this day")
    first = fits.get_by_role("radio").first
    expect(first).to_be_checked(timeout=30_000)
    expect(fits.get_by_role("listitem").first).to_contain_text("Turnover: opens")
    first.focus()
    page.keyboard.press("ArrowDown")
    expect(fits.get_by_role("radio").nth(1)).to_be_checked()
    page.get_by_role("button", name=re.compile("^Put this .+ leader on the bench$")).click()
    expect(cord(page, "Hold")).to_contain_text("right")
    page.get_by_role("link", name="Shelf").click()
    page.get_by_text("others don’t suit this day").click()
    expect(page.get_by_text("needs a sunk nymph").first).to_be_visible()


def test_how_sure_it_is_and_what_matters(page):
    open_from_shelf(page, "Estuary wind leader")
    page.get_by_text("Sure: what matters").click()
    stage = page.get_by_role("region", name="How sure it is, and what matters")
    expect(stage).to_contain_text("times in 100 with this stroke", timeout=30_000)
    expect(stage).to_contain_text("Most of the uncertainty")
    expect(stage).to_contain_text("Piece 5:")
    expect(stage).to_contain_text("Measure your Amber stiff")
    reach = stage.get_by_role("region", name="How surely it reaches the zone")
    expect(reach).to_contain_text("32 of 32 tries keep clear of the bed", timeout=30_000)
    supposed = stage.get_by_role("region", name="What if")
    supposed.get_by_label("How hard").focus()
    for _ in range(12):
        page.keyboard.press("ArrowRight")
    expect(supposed).to_contain_text("double haul")
    expect(supposed.get_by_role("heading", name=re.compile("^Turnover"))).to_be_visible()
    supposed.get_by_role("button", name="As it is").click()
    expect(supposed).to_contain_text("A normal stroke")
