"""Nothing typed is lost: undo, reload, saving, two tabs, a server that goes away, files."""

import json
import re

from playwright.sync_api import expect

from tests.browser.conftest import draft_kept, open_from_shelf, piece, pieces, title


def lengthen(page, steps: int) -> None:
    piece(page, 1).focus()
    for _ in range(steps):
        page.keyboard.press("Shift+ArrowRight")


def length_of(page, number: int) -> str:
    return re.search(r"butt, (.*? in) \.", piece(page, number).get_attribute("aria-label")).group(1)


def test_undo_and_redo_go_all_the_way_and_survive_a_reload(page):
    open_from_shelf(page, "Night pool")
    first = length_of(page, 1)
    piece(page, 1).focus()
    page.keyboard.press("s")
    expect(pieces(page)).to_have_count(5)
    page.keyboard.press("s")
    expect(pieces(page)).to_have_count(6)
    lengthen(page, 4)
    changed = "11½ in"  # a quarter of 3 ft 5¼ in, as finely as it is shown, and four steps
    expect(piece(page, 1)).to_have_accessible_name(re.compile(f", {changed} "))
    expect(page.get_by_text("changed since revision 1")).to_be_visible()

    page.reload()
    expect(pieces(page)).to_have_count(6)
    expect(piece(page, 1)).to_have_accessible_name(re.compile(f", {changed} "))
    for _ in range(3):
        page.get_by_role("button", name="Undo").click()
    expect(pieces(page)).to_have_count(4)
    expect(piece(page, 1)).to_have_accessible_name(re.compile(f", {first} "))
    expect(page.get_by_text("revision 1", exact=True)).to_be_visible()
    page.locator("body").press("Control+Shift+Z")
    expect(pieces(page)).to_have_count(5)
    page.locator("body").press("Control+z")
    expect(pieces(page)).to_have_count(4)


def test_quick_keys_are_all_answered_in_order(page):
    open_from_shelf(page, "Night pool")
    page.get_by_label("Length of piece 1").fill("40 in")
    page.get_by_label("Length of piece 1").press("Enter")
    expect(piece(page, 1)).to_have_accessible_name(re.compile(r", 3 ft 4 in "))
    lengthen(page, 16)
    expect(piece(page, 1)).to_have_accessible_name(re.compile(r", 3 ft 8 in "))


def test_undo_back_over_an_opening_saves_onto_the_right_leader(page):
    open_from_shelf(page, "Perch lake, two parts")
    open_from_shelf(page, "Night pool")
    page.get_by_role("button", name="Undo").click()
    expect(title(page)).to_have_value("Perch lake, two parts")
    expect(page.get_by_text("revision 1", exact=True)).to_be_visible()
    title(page).fill("Perch lake, renamed")
    title(page).press("Enter")
    page.get_by_role("button", name="Save", exact=True).click()
    expect(page.get_by_text("revision 2", exact=True)).to_be_visible()
    page.get_by_role("link", name="Shelf").click()
    expect(page.get_by_role("button", name="Night pool", exact=True)).to_be_visible()
    expect(page.get_by_role("button", name="Perch lake, two parts", exact=True)).to_have_count(0)


def test_a_second_tab_that_saved_first_costs_nothing(open_page):
    one, two = open_page("/"), open_page("/")
    for tab in (one, two):
        open_from_shelf(tab, "Estuary wind leader")
        lengthen(tab, 3)
        expect(tab.get_by_text("changed since revision 1")).to_be_visible()
    one.get_by_role("button", name="Save", exact=True).click()
    expect(one.get_by_text("revision 2", exact=True)).to_be_visible()
    two.get_by_role("button", name="Save", exact=True).click()
    dialog = two.get_by_role("dialog", name="Saved in another window")
    expect(dialog).to_contain_text("Both are kept")
    dialog.get_by_role("button", name="Show the other as a ghost").click()
    expect(two.get_by_text("saved in another window”, on this same day")).to_be_visible()
    two.get_by_role("button", name="Save", exact=True).click()
    dialog.get_by_role("button", name="Save mine as a new leader").click()
    expect(two.get_by_text("revision 1", exact=True)).to_be_visible()
    two.get_by_role("link", name="Shelf").click()
    mine = two.get_by_role("button", name="Estuary wind leader, mine", exact=True)
    expect(mine).to_be_visible()
    expect(two.get_by_role("button", name="Estuary wind leader", exact=True)).to_be_visible()


def test_two_tabs_keep_two_drafts(open_page):
    one = open_page("/")
    expect(piece(one, 1)).to_be_visible()
    open_from_shelf(one, "Night pool")
    two = open_page("/")
    expect(piece(two, 1)).to_be_visible()
    open_from_shelf(two, "Long fine for the mill glide")
    one.reload()
    expect(title(one)).to_have_value("Night pool")
    two.reload()
    expect(title(two)).to_have_value("Long fine for the mill glide")


def test_a_lost_server_is_waited_for_and_the_draft_goes_on(page, context):
    open_from_shelf(page, "Night pool")
    context.route("**/api/v1/bench", lambda route: route.abort())
    piece(page, 1).focus()
    page.keyboard.press("s")
    expect(page.get_by_text("isn’t answering")).to_be_visible()
    page.keyboard.press("s")
    expect(page.get_by_text("2 changes are waiting")).to_be_visible()
    expect(pieces(page)).to_have_count(4)
    context.unroute("**/api/v1/bench")
    expect(pieces(page)).to_have_count(6)
    expect(page.get_by_text("isn’t answering")).to_have_count(0)


def test_changes_that_waited_survive_a_reload(page, context):
    open_from_shelf(page, "Night pool")
    context.route("**/api/v1/bench", lambda route: route.abort())
    piece(page, 1).focus()
    with draft_kept(page):
        page.keyboard.press("s")
    expect(page.get_by_text("isn’t answering")).to_be_visible()
    page.reload()
    context.unroute("**/api/v1/bench")
    expect(pieces(page)).to_have_count(5)


def test_files_go_out_and_come_back_the_same(page, tmp_path):
    open_from_shelf(page, "Knotless for the weedy side")
    page.get_by_role("button", name="File ▾").click()
    with page.expect_download() as download:
        page.get_by_role("menuitem", name="Export as JSON").click()
    out = tmp_path / download.value.suggested_filename
    download.value.save_as(out)
    assert out.name == "knotless-for-the-weedy-side.json"
    piece(page, 1).focus()
    page.keyboard.press("ArrowRight")
    page.keyboard.press("ArrowRight")
    page.keyboard.press("s")
    expect(pieces(page)).to_have_count(3)
    page.get_by_label("File to import").set_input_files(out)
    expect(pieces(page)).to_have_count(2)
    expect(page.get_by_text("Undo brings the previous one back")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(pieces(page)).to_have_count(3)


def test_a_broken_file_says_what_is_wrong_and_changes_nothing(page, tmp_path):
    before = title(page).input_value()
    broken = tmp_path / "broken.json"
    broken.write_text(json.dumps({"format": "nine-knots-leader", "version": 9}))
    page.get_by_label("File to import").set_input_files(broken)
    expect(page.locator(".notice")).to_contain_text("broken.json: The file is of version 9")
    expect(title(page)).to_have_value(before)
    table = tmp_path / "broken.csv"
    table.write_text("a,b\n1,2\n")
    page.get_by_label("File to import").set_input_files(table)
    expect(page.locator(".notice").last).to_contain_text("Columns are missing")
    expect(title(page)).to_have_value(before)


def test_csv_and_svg_are_written(page, tmp_path):
    for item, ending, holds in (
        ("Export as CSV table", ".csv", "joint_kind"),
        ("Export the strip as SVG", ".svg", "<svg"),
    ):
        page.get_by_role("button", name="File ▾").click()
        with page.expect_download() as download:
            page.get_by_role("menuitem", name=item).click()
        out = tmp_path / download.value.suggested_filename
        download.value.save_as(out)
        assert out.suffix == ending
        assert holds in out.read_text()
