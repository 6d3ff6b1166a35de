"""Rigs on the strip and the Water stage: built from nothing, dragged, led by keyboard, refused."""

import re
from io import BytesIO

from playwright.sync_api import Page, expect
from pypdf import PdfReader

from tests.browser.conftest import cord, joint, open_from_shelf, piece, pieces, tab_to, typed


def say(page: Page, part: str, *choices: str) -> None:
    """Choose in one part of the sentence."""
    page.locator(f"#say-{part}").click()
    panel = page.get_by_role("dialog")
    for choice in choices:
        panel.get_by_text(choice, exact=True).click()
    page.keyboard.press("Escape")


def deep(page: Page, fly: str) -> None:
    say(page, "wish", "drift deep")
    say(page, "fly", fly)


def water(page: Page):
    page.get_by_text("Water: the drift").click()
    return page.get_by_role("region", name="The rig in the water")


def from_nothing(page: Page, count: int) -> None:
    page.get_by_role("link", name="Shelf").click()
    page.get_by_role("button", name="Build by hand").click()
    for number in range(2, count + 1):
        page.get_by_role("button", name="Add below").click()
        expect(pieces(page)).to_have_count(number)


def pull(page: Page, what, down_px: float) -> None:
    """Drag something in the section downwards."""
    box = what.bounding_box()
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x, y + down_px, steps=6)
    page.mouse.up()


def test_a_nymph_under_a_dry_by_keyboard(page):
    from_nothing(page, 3)
    deep(page, "Slim olive 16, 2.5 mm bead")
    tab_to(page, "Piece 3,")
    page.keyboard.press("ArrowRight")
    page.keyboard.press("d")
    expect(page.get_by_role("alert")).to_contain_text("between two pieces")
    page.keyboard.press("ArrowLeft")
    page.keyboard.press("ArrowLeft")
    expect(joint(page, 2)).to_be_focused()
    page.keyboard.press("d")
    dropper = page.get_by_role("option", name=re.compile("on a dropper"))
    expect(dropper).to_be_visible()
    page.get_by_label("Fly", exact=True).select_option(label="Foam pine beetle 8")
    expect(dropper).to_have_accessible_name(re.compile("Foam pine beetle"))
    before = dropper.get_attribute("aria-label")
    dropper.focus()
    page.keyboard.press("Shift+ArrowRight")
    expect(dropper).not_to_have_accessible_name(before)
    stage = water(page)
    expect(stage).to_contain_text("Under the dry fly, which floats it")
    expect(stage).to_contain_text("of what takes it under")
    expect(cord(page, "Depth")).to_contain_text("fishes at")
    dropper.focus()
    page.keyboard.press("Delete")
    expect(dropper).to_have_count(0)
    expect(stage).to_contain_text("On the leader")
    page.keyboard.press("Control+z")
    expect(dropper).to_be_visible()


def test_an_indicator_pair_with_the_mouse(page):
    from_nothing(page, 3)
    deep(page, "Copper bug 14, 3 mm bead")
    piece(page, 2).click()
    page.get_by_role("button", name="Add ▾").click()
    page.get_by_role("menuitem", name="An indicator").click()
    float_on_strip = page.get_by_role("option", name=re.compile("^Indicator"))
    expect(float_on_strip).to_be_visible()
    joint(page, 2).click()
    page.get_by_role("button", name="Add ▾").click()
    page.get_by_role("menuitem", name="A fly in line here").click()
    expect(
        page.get_by_role("option", name=re.compile("in line, tied from its bend"))
    ).to_be_visible()
    page.get_by_label("The next is tied from its").select_option("eye")
    expect(page.get_by_role("option", name=re.compile("tied from its eye"))).to_be_visible()
    float_on_strip.click()
    typed(page, "Above the point fly", "30 in")
    expect(float_on_strip).to_have_accessible_name(re.compile("30 in above"))
    stage = water(page)
    expect(stage).to_contain_text("Under an indicator")
    pull(page, stage.locator(".float"), -36)
    expect(float_on_strip).not_to_have_accessible_name(re.compile(" 30 in above"))
    page.wait_for_timeout(800)  # the last step of the pull has come too
    box = float_on_strip.bounding_box()
    page.mouse.move(box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
    page.mouse.down()
    page.mouse.move(box["x"] - 60, box["y"] + 20, steps=6)
    page.mouse.up()
    expect(page.get_by_role("button", name="Undo")).to_be_enabled()
    typed(page, "Above the point fly", "four fathoms")
    expect(page.get_by_role("alert")).to_contain_text("not a length")


def test_a_dropper_and_a_shot_are_dragged_in_the_section(page):
    open_from_shelf(page, "Tag rig for the gorge pool")
    stage = water(page)
    dropper = page.get_by_role("option", name=re.compile("on a dropper"))
    tag = page.get_by_role("textbox", name="Length", exact=True)
    pull(page, stage.locator(".fly.grab"), 24)
    expect(dropper).to_have_attribute("aria-selected", "true")
    expect(tag).not_to_have_value("8 in")
    page.keyboard.press("Control+z")
    expect(tag).to_have_value("8 in")
    piece(page, 5).click()
    page.get_by_role("button", name="Add ▾").click()
    page.get_by_role("menuitem", name="A split shot").click()
    above = page.get_by_role("textbox", name="Above the point fly", exact=True)
    expect(above).to_have_value("15 in")
    pull(page, stage.locator(".shot"), 14)
    expect(above).not_to_have_value("15 in")


def test_a_tight_line_is_led_slower_and_played_by_keyboard(page):
    page.get_by_role("link", name="Shelf").click()
    page.get_by_text("others don’t suit this day").click()
    page.get_by_text("Tight line with sighter", exact=True).first.click()
    page.get_by_role("button", name="Put this").click()
    expect(page.get_by_role("option", name=re.compile("^Sighter mark"))).to_be_visible()
    deep(page, "Copper bug 14, 3 mm bead")
    stage = water(page)
    expect(stage).to_contain_text("On a tight line, led by the rod's tip")
    expect(stage).to_contain_text("Led slower")
    expect(stage.locator(".aside")).to_have_count(2)
    typed(page, "Led, share of speed", "as fast as I can")
    expect(page.get_by_role("alert")).to_contain_text("is not a percentage")
    typed(page, "Led, share of speed", "40 %")
    expect(stage).to_contain_text("at 40% of the surface speed")
    tab_to(page, "Led, share of speed")
    moment = stage.get_by_label("Moment of the drift")
    picture = stage.locator(".picture")
    picture.focus()
    page.keyboard.press("Home")
    expect(moment).to_have_value("0")
    page.keyboard.press("ArrowRight")
    expect(moment).to_have_value("1")


def test_a_sunk_streamer_from_nothing_goes_by_its_count(page):
    from_nothing(page, 2)
    say(page, "wish", "strip")
    say(page, "fly", "Pool leech 10, 3.8 mm bead")
    say(page, "outfit", "7-weight line, sinks 3 in/s")
    for part, label, text in (("pace", "speed", "0 ft/s"), ("water", "depth", "12 ft")):
        page.locator(f"#say-{part}").click()
        typed(page, f"… or a {label}", text)
        page.keyboard.press("Escape")
    stage = water(page)
    expect(stage).to_contain_text("Cast out, counted down and stripped back")
    typed(page, "Count down", "4 s")
    depth = cord(page, "Depth").locator(".cord__figure strong")
    expect(depth).to_have_text(re.compile(r"fishes at (\d+ in|[34] ft)"))
    typed(page, "Count down", "25 s")
    expect(depth).not_to_have_text(re.compile(r"fishes at (\d+ in|[34] ft)"))
    expect(stage.get_by_text("Leader length")).to_be_visible()


def test_a_remedy_of_the_water_is_applied_and_undone(page):
    open_from_shelf(page, "Two under the float, bridge run")
    stage = water(page)
    page.get_by_role("option", name=re.compile("^Indicator")).click()
    typed(page, "Above the point fly", "28 in")
    expect(cord(page, "Depth")).to_contain_text("too little")
    remedies = page.get_by_label("Remedies, drift and depth").get_by_role("button")
    setting = remedies.filter(has_text="indicator set at").first
    expect(setting).to_be_visible(timeout=30_000)
    setting.click()
    expect(cord(page, "Depth")).not_to_contain_text("too little")
    stage.locator(".picture").focus()
    page.keyboard.press("Control+z")
    expect(cord(page, "Depth")).to_contain_text("too little")


def test_a_depth_wanted_is_mended_by_the_count(page):
    open_from_shelf(page, "Down the drop-off, perch lake")
    water(page)
    typed(page, "Count down", "5 s")
    typed(page, "Depth wanted", "9 ft")
    expect(cord(page, "Depth")).to_contain_text("You asked for 9 ft")
    expect(cord(page, "Depth")).to_contain_text("too little")
    remedies = page.get_by_label("Remedies, drift and depth").get_by_role("button")
    count = remedies.filter(has_text="count").first
    expect(count).to_be_visible(timeout=30_000)
    count.click()
    expect(cord(page, "Depth")).to_contain_text("right")
    expect(page.get_by_role("textbox", name="Count down", exact=True)).not_to_have_value("5 s")


def test_the_depth_table_is_worked_out_and_printed_on_the_card(page):
    open_from_shelf(page, "Sedge and olive")
    stage = water(page)
    stage.get_by_text("Depth table").click()
    table = stage.get_by_role("table", name="Depth by pace, and what to change")
    expect(table).to_be_visible(timeout=60_000)
    expect(table.get_by_role("row")).to_have_count(6)
    page.get_by_role("link", name="Tie", exact=True).click()
    page.get_by_role("button", name="Cards as PDF").first.click()
    with page.expect_download(timeout=60_000) as kept:
        page.get_by_role("menuitem", name="A sheet each with its depth table, A4").click()
    text = " ".join(
        part.extract_text() for part in PdfReader(BytesIO(kept.value.path().read_bytes())).pages
    )
    assert "Depth by pace" in text
    assert "walking pace" in text


def test_a_dry_flys_slack_and_the_rules_of_the_water(page):
    stage = water(page)
    expect(stage).to_contain_text("On the surface")
    cord(page, "Drift").get_by_role("button", name=re.compile("^why")).click(timeout=30_000)
    expect(cord(page, "Drift")).to_contain_text("of slack as a soft cast leaves")
    page.locator("#say-water").click()
    panel = page.get_by_role("dialog", name="The water")
    panel.get_by_text("Rules of this water").click()
    panel.get_by_label("Barbless hooks only").check()
    page.keyboard.press("Escape")
    expect(stage).to_contain_text("Pinch the barb of Skarn sedge 14")
    expect(stage).to_contain_text("ask the local authority")
