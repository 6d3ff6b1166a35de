"""The Air stage: the cast is worked out, played, scrubbed, compared, and mended with one click."""

import re

import pytest
from playwright.sync_api import expect

from tests.browser.conftest import cord, piece


@pytest.fixture
def air(page):
    page.get_by_text("Air: the cast").click()
    expect(page.locator("svg.cast")).to_be_visible(timeout=60_000)  # the first cast compiles
    return page


def settled(page):
    """The turnover cord has left its rough first answer."""
    expect(cord(page, "Turnover")).to_be_visible(timeout=60_000)
    expect(cord(page, "Turnover").get_by_text("rough")).to_have_count(0)


def make_too_long(page):
    page.get_by_label("Length of piece 6").fill("18 ft")
    page.get_by_label("Length of piece 6").press("Enter")
    expect(cord(page, "Turnover")).to_contain_text("too little")


def test_the_cord_speaks_and_the_landing_is_drawn(air):
    settled(air)
    expect(cord(air, "Turnover")).to_contain_text("opens")
    expect(air.locator("svg.cast")).to_contain_text("the leader:")
    expect(air.locator("svg.cast")).to_contain_text("of line out")
    assert air.locator("svg.cast .faint").count() > 5


def test_it_is_scrubbed_and_stepped_by_keyboard(air):
    settled(air)
    scrub = air.get_by_label("Moment of the cast")
    last = int(scrub.get_attribute("max"))
    expect(scrub).to_have_value(str(last))
    air.get_by_role("img", name=re.compile("Space plays")).focus()
    air.keyboard.press("Home")
    expect(scrub).to_have_value("0")
    before = air.locator("svg.cast .fly").get_attribute("cx")
    for _ in range(4):
        air.keyboard.press("ArrowRight")
    expect(scrub).to_have_value("4")
    expect(air.locator("svg.cast .fly")).not_to_have_attribute("cx", before)
    scrub.focus()
    air.keyboard.press("ArrowLeft")
    expect(scrub).to_have_value("3")
    air.get_by_role("button", name="Play").click()
    expect(scrub).to_have_value(str(last), timeout=15_000)


def test_the_ghost_is_cast_under_the_same_stroke(air):
    settled(air)
    air.get_by_role("button", name="Pin as ghost").click()
    make_too_long(air)
    expect(air.locator("svg.cast .ghost")).to_be_visible()
    expect(cord(air, "Turnover")).to_contain_text("ghost: opens")


def test_a_stroke_changes_the_cast(air):
    settled(air)
    before = cord(air, "Turnover").locator(".knot").get_attribute("transform")
    air.get_by_label("Stroke").select_option("hard")
    expect(cord(air, "Turnover").locator(".knot")).not_to_have_attribute("transform", before)


def test_a_remedy_is_applied_with_a_click_and_undone_with_a_key(air):
    settled(air)
    make_too_long(air)
    remedies = air.get_by_label("Remedies").get_by_role("button")
    expect(remedies.first).to_be_visible(timeout=30_000)
    air.get_by_role("button", name=re.compile("^tippet 18 ft →")).click()
    expect(cord(air, "Turnover")).to_contain_text("right")
    expect(piece(air, 6)).not_to_have_accessible_name(re.compile("tippet, 18 ft "))
    air.locator("body").press("Control+z")
    expect(piece(air, 6)).to_have_accessible_name(re.compile("tippet, 18 ft "))
    expect(cord(air, "Turnover")).to_contain_text("too little")


def test_the_energy_lane_shares_the_axis(page):
    settled(page)
    expect(page.get_by_label(re.compile("^Energy: .* times its launch energy"))).to_be_visible()


def test_the_cast_is_kept_as_picture_and_table(air, tmp_path):
    settled(air)
    for item, holds in (("The cast as a picture, SVG", "<svg"), ("Its nodes as a table", "time_s")):
        air.get_by_role("button", name="Export ▾").click()
        with air.expect_download() as download:
            air.get_by_role("menuitem", name=item).click()
        out = tmp_path / download.value.suggested_filename
        download.value.save_as(out)
        assert holds in out.read_text()


def test_a_gust_and_a_typed_line_speed_change_the_cast(air):
    settled(air)
    air.get_by_role("combobox", name=re.compile("^Gust")).select_option("20 mph")
    expect(air.locator("svg.cast")).to_contain_text("a gust of 20 mph in the face")
    expect(cord(air, "Turnover")).to_contain_text("too little")
    air.get_by_role("combobox", name=re.compile("^Gust")).select_option("none")
    air.get_by_label("Stroke").select_option("a line speed of …")
    speed = air.get_by_label("Line speed", exact=True)
    speed.fill("brisk")
    speed.press("Enter")
    expect(air.get_by_role("alert")).to_contain_text("brisk")
    expect(speed).to_have_value("brisk")
    speed.fill("70 ft/s")
    speed.press("Enter")
    expect(cord(air, "Turnover")).to_contain_text("yours launches at 70 ft/s", timeout=30_000)


def test_a_landing_told_teaches_the_bench_and_can_be_forgotten(air):
    settled(air)
    own = air.get_by_label("Your own cast")
    expect(own).to_contain_text("Nothing is known about your cast yet")
    own.get_by_role("button", name="It piled up").click()
    expect(own).to_contain_text("From one landing: you launch", timeout=30_000)
    expect(air.get_by_label("Stroke")).not_to_contain_text("normal, 49.2 ft/s")
    own.get_by_text("From one landing").click()
    row = own.get_by_role("row", name=re.compile("piled up"))
    expect(row).to_contain_text("straight")
    row.get_by_role("button", name=re.compile("^Delete the landing")).click()
    expect(own).to_contain_text("Nothing is known about your cast yet")
    expect(air.get_by_label("Stroke")).to_contain_text("normal, 49.2 ft/s")
