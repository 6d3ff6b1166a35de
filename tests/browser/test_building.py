"""A leader from nothing: once with the mouse, once without touching it."""

import re

from playwright.sync_api import Page, expect

from tests.browser.conftest import cord, joint, pick_spool, piece, pieces, tab_to, title


def drag(page: Page, what, by_px: float) -> None:
    box = what.locator("circle").bounding_box()
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    for step in range(1, 9):
        page.mouse.move(x + by_px * step / 8, y)
    page.mouse.up()


def test_with_the_mouse(page):
    page.get_by_role("link", name="Shelf").click()
    page.get_by_role("button", name="Build by hand").click()
    expect(pieces(page)).to_have_count(1)
    for count in (2, 3):
        page.get_by_role("button", name="Add below").click()
        expect(pieces(page)).to_have_count(count)
    bar = page.get_by_label("Selection")
    piece(page, 2).click()
    pick_spool(bar, "Spool", "Amber stiff .0125 in")
    expect(piece(page, 2)).to_have_accessible_name(re.compile(r"\.0125 in, Amber stiff"))
    piece(page, 3).click()
    pick_spool(bar, "Spool", "Mist soft .0095 in")
    expect(piece(page, 3)).to_have_accessible_name(re.compile("Mist soft"))

    joint(page, 1).click()
    before = piece(page, 1).get_attribute("aria-label")
    drag(page, joint(page, 1), 40)
    expect(piece(page, 1)).not_to_have_accessible_name(before)
    whole = page.locator(".ruler text").last.text_content()
    drag(page, joint(page, 3), 200)
    expect(page.locator(".ruler text").last).not_to_have_text(whole)

    joint(page, 2).click()
    bar.get_by_label("Tied as").select_option(label="double surgeon's")
    expect(joint(page, 2)).to_have_accessible_name(re.compile("double surgeon's"))

    title(page).fill("Mouse-built")
    title(page).press("Enter")
    page.get_by_role("button", name="Save", exact=True).click()
    expect(page.get_by_text("revision 1", exact=True)).to_be_visible()
    page.get_by_role("link", name="Shelf").click()
    expect(page.get_by_role("button", name="Mouse-built", exact=True)).to_be_visible()


def test_without_the_mouse(page):
    keys = page.keyboard
    tab_to(page, "Shelf")
    keys.press("Enter")
    expect(page.get_by_role("heading", name="Shelf", exact=True)).to_be_visible()
    tab_to(page, "Build by hand")
    keys.press("Enter")
    expect(pieces(page)).to_have_count(1)

    tab_to(page, "Piece 1,")
    keys.press("i")
    expect(pieces(page)).to_have_count(2)
    expect(piece(page, 2)).to_be_focused()
    keys.press("ArrowDown")
    keys.press("s")
    expect(pieces(page)).to_have_count(3)
    keys.press("m")
    expect(pieces(page)).to_have_count(2)
    keys.press("ArrowRight")
    expect(joint(page, 2)).to_be_focused()
    for _ in range(8):
        keys.press("Shift+ArrowRight")
    expect(piece(page, 2)).to_have_accessible_name(re.compile("14 in "))
    keys.press("PageUp")
    expect(piece(page, 2)).to_have_accessible_name(re.compile("16½ in "))

    keys.press("ArrowLeft")
    keys.press("Enter")
    keys.press("Control+a")
    keys.type("2 ft 3 in")
    keys.press("Enter")
    expect(piece(page, 2)).to_have_accessible_name(re.compile("27 in "))

    tab_to(page, "Knot at joint 1")
    keys.press("d")
    expect(joint(page, 1)).to_have_accessible_name(re.compile("double"))

    page.get_by_label("Name of this leader").focus()
    keys.press("Control+a")
    keys.type("Key-built")
    keys.press("Enter")
    keys.press("Control+s")
    expect(page.get_by_text("revision 1", exact=True)).to_be_visible()


def test_a_short_piece_is_taken_out_and_the_last_one_stays(page):
    page.get_by_role("link", name="Shelf").click()
    page.get_by_role("button", name="Build by hand").click()
    expect(pieces(page)).to_have_count(1)
    expect(page.get_by_role("button", name="Take out")).to_be_disabled()
    page.get_by_role("button", name="Split").click()
    expect(pieces(page)).to_have_count(2)
    page.get_by_role("button", name="Take out").click()
    expect(pieces(page)).to_have_count(1)


def test_a_button_that_cannot_act_says_why_and_goes_on_saying_it(page):
    redo = page.get_by_role("button", name="Redo", exact=True)
    why = page.get_by_role("tooltip").get_by_text("Nothing was undone.")
    for act in (redo.focus, lambda: redo.press("Enter"), lambda: redo.click(force=True)):
        act()
        page.wait_for_timeout(400)  # a tip that goes is gone by then
        expect(why).to_be_visible()


def test_a_refusal_stays_on_the_bench_and_changes_nothing(page):
    count = pieces(page).count()
    piece(page, 1).focus()
    for _ in range(6):
        page.keyboard.press("ArrowUp")
    expect(page.get_by_role("alert")).to_contain_text("no thicker spool")
    expect(pieces(page)).to_have_count(count)


def test_typed_nonsense_is_told_beside_the_field_and_kept(page):
    piece(page, 1).click()
    field = page.get_by_label("Selection").get_by_label("Length")
    field.fill("as long as it gets")
    field.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("is not a length")
    expect(field).to_have_value("as long as it gets")
    field.press("Escape")
    expect(page.get_by_role("alert")).to_have_count(0)


def test_a_hinge_is_seen_on_strip_lane_and_cord(page):
    expect(cord(page, "Match")).to_contain_text("right")
    piece(page, 1).focus()
    for _ in range(5):
        page.keyboard.press("ArrowDown")
    expect(cord(page, "Match")).not_to_contain_text("steps evenly")
    page.keyboard.press("ArrowRight")
    pick_spool(page, "Spool of piece 2", "Mist soft .004 in · 7X")
    expect(cord(page, "Match")).to_contain_text("too little")
    expect(page.locator(".lanes .flag text").first).to_have_text("hinge")
    expect(joint(page, 1)).to_have_accessible_name(re.compile("hinge"))
