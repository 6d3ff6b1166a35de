"""Long work shows how far it is and stops; a database that dies in mid-drag costs nothing."""

import httpx
import psutil
from playwright.sync_api import expect

from tests.browser.conftest import draft_kept, joint, open_from_shelf, piece, pieces, title


def databases(program) -> list[psutil.Process]:
    children = psutil.Process(program.process.pid).children(recursive=True)
    return [item for item in children if "mariadbd" in item.name()]


def test_a_depth_table_shows_its_progress_and_is_stopped(page):
    open_from_shelf(page, "Tag rig for the gorge pool")
    page.get_by_text("Water: the drift").click()
    page.get_by_text("Depth table: what to set").click()
    bar = page.get_by_role("progressbar", name="Fishing it at every pace")
    expect(bar).to_be_visible()
    page.locator(".table").get_by_role("button", name="Stop").click()
    expect(bar).to_have_count(0)
    expect(page.get_by_text("Stopped.")).to_be_visible()
    page.get_by_role("button", name="Compute it anyway").click()
    expect(page.get_by_role("table", name="Depth by pace")).to_be_visible()
    expect(bar).to_have_count(0)


def test_a_database_killed_in_mid_drag_costs_nothing(page, program):
    open_from_shelf(page, "Night pool")
    first = piece(page, 1).get_attribute("aria-label")
    knot = joint(page, 1).bounding_box()
    x, y = knot["x"] + knot["width"] / 2, knot["y"] + knot["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x + 15, y, steps=4)
    for database in databases(program):
        database.kill()
    page.mouse.move(x + 60, y, steps=12)
    expect(page.get_by_text("isn’t answering")).to_be_visible()
    page.mouse.up()
    expect(page.get_by_text("isn’t answering")).to_have_count(0, timeout=30_000)
    expect(piece(page, 1)).not_to_have_accessible_name(first)
    piece(page, 1).click()
    with draft_kept(page):
        page.keyboard.press("s")
        expect(pieces(page)).to_have_count(5)
    page.reload()
    expect(pieces(page)).to_have_count(5)
    expect(title(page)).to_have_value("Night pool")
    expect(piece(page, 1)).to_be_visible()
    expect(piece(page, 1)).not_to_have_accessible_name(first)
    assert program.http.get("/api/v1/angler").status_code == 200


def test_everything_is_kept_as_a_file_and_brought_back_beside(page, tmp_path):
    page.get_by_role("button", name="My things").click()
    dialog = page.get_by_role("dialog", name="My things")
    expect(dialog.get_by_text("Test angler").first).to_be_visible()
    with page.expect_download() as download:
        dialog.get_by_role("button", name="Export everything").click()
    out = tmp_path / download.value.suggested_filename
    download.value.save_as(out)
    assert out.name == "test-angler-all.json"
    shelf = httpx.get(f"{page.url.split('/shelf')[0].rstrip('/')}/api/v1/leaders")
    before = shelf.headers["X-Total-Count"]  # other tests may have saved more than a page
    dialog.get_by_label("Export file to import").set_input_files(out)
    expect(dialog.get_by_text(f"{before} leaders and")).to_be_visible()
    dialog.get_by_role("button", name="Go back to what was there before").click()
    expect(dialog.get_by_text("is shown again")).to_be_visible()
    broken = tmp_path / "broken.json"
    broken.write_text(out.read_text()[:-40])
    dialog.get_by_label("Export file to import").set_input_files(broken)
    expect(dialog.get_by_role("alert")).to_contain_text("Nothing changed")
    page.keyboard.press("Escape")
    expect(dialog).to_have_count(0)
