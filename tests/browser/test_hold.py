"""Joints and the Hold stage: choose a knot, see hold change, pull, tell of wear."""

import re

import pytest
from playwright.sync_api import expect

from tests.browser.conftest import cord, joint, tab_to


@pytest.fixture
def hold(page):
    page.get_by_text("Hold: the pull").click()
    expect(page.locator("svg.pull")).to_be_visible()
    return page


def test_a_knot_is_advised_and_changes_the_hold(hold):
    before = cord(hold, "Hold").inner_text()
    joint(hold, 5).click()
    chosen = hold.get_by_label("Selection")
    expect(chosen).to_contain_text("Best choice: blood knot")
    chosen.get_by_role("button", name="Tie it as double surgeon's").click()
    expect(joint(hold, 5)).to_have_accessible_name(re.compile("double surgeon's"))
    expect(chosen).to_contain_text("Best: blood knot")
    assert cord(hold, "Hold").inner_text() != before


def test_a_poor_knot_is_warned_of_and_mended_with_a_click(hold):
    joint(hold, 6).click()
    chosen = hold.get_by_label("Selection")
    chosen.get_by_label("Tied as").select_option(label="haywire twist")
    expect(chosen.get_by_role("note")).to_contain_text("A haywire twist is for wire only")
    chosen.get_by_role("button", name="Fix it").click()
    expect(joint(hold, 6)).to_have_accessible_name(re.compile("improved clinch"))
    expect(chosen.get_by_role("note")).to_have_count(0)


def test_the_leader_is_pulled_by_keyboard_and_by_itself(hold):
    stage = hold.get_by_label("The leader under a pull")
    tab_to(hold, "Pull until it breaks")
    hold.keyboard.press("Enter")
    expect(stage.get_by_role("status")).to_contain_text(re.compile("Broke .* lost is the fly"))
    expect(hold.locator("svg.pull .snap")).to_be_visible()
    tab_to(hold, "Pull")
    hold.keyboard.press("Home")
    expect(stage.get_by_role("status")).to_contain_text("0.0 lb: none in 200")
    for _ in range(3):
        hold.keyboard.press("ArrowRight")
    expect(stage.get_by_role("status")).not_to_contain_text("0.0 lb:")
    hold.keyboard.press("End")
    expect(stage.get_by_role("status")).to_contain_text("Broke ")


def test_wear_wetness_and_the_record_rule(hold):
    stage = hold.get_by_label("The leader under a pull")
    expect(stage).to_contain_text("Set the drag to")
    before = stage.locator("dd").first.inner_text()
    stage.get_by_label("Nylon").select_option("dry, on the table")
    expect(stage.locator("dd").first).not_to_have_text(before)
    stage.get_by_role("combobox", name=re.compile("^Piece 1 is")).select_option("wind-knotted")
    expect(hold.get_by_role("status").filter(has_text="changed since")).to_be_visible()
    stage.get_by_label("Record rule").check()
    expect(stage).to_contain_text("Passes: Class tippet")
