"""The knots: stepped, scrubbed and mirrored, read at phone size, practised against the clock."""

import re

from playwright.sync_api import expect

from tests.browser.conftest import joint, tab_to


def test_a_knot_is_stepped_by_keyboard_and_mirrored(page):
    tab_to(page, "Knots")
    page.keyboard.press("Enter")
    page.get_by_role("link", name="blood knot").focus()
    page.keyboard.press("Enter")
    steps = page.get_by_label("blood knot, step by step")
    expect(steps.get_by_role("status")).to_contain_text("1/6 Lay the two ends side by side")
    before = steps.locator("path.strand").count()
    tab_to(page, "Next")
    for _ in range(2):
        page.keyboard.press("Enter")
    expect(steps.get_by_role("status")).to_contain_text("3/6")
    assert steps.locator("path.strand").count() > before
    expect(steps.locator("path.strand--tag").first).to_be_visible()
    slider = steps.get_by_label("How far it is tied")
    slider.focus()
    page.keyboard.press("End")
    expect(steps.get_by_role("status")).to_contain_text("6/6 Wet it and draw")
    expect(steps.get_by_role("button", name="Next")).to_be_disabled()
    page.keyboard.press("Home")
    expect(steps.get_by_role("status")).to_contain_text("1/6")
    steps.get_by_label("Mirrored").check()
    expect(steps.locator("svg.knot > g")).to_have_attribute("transform", re.compile("scale"))


def test_practice_is_timed_rated_and_drawn(page):
    page.goto("/knots/perfection-loop")
    practice = page.get_by_label("Practise")
    expect(practice).to_contain_text("never tied here")
    practice.get_by_role("button", name="Start the clock").click()
    expect(practice.get_by_label("Seconds")).not_to_have_text("0.0 s")
    practice.get_by_role("button", name="Tied!").click()
    practice.get_by_role("button", name="Holds, but ugly").click()
    expect(
        practice.get_by_role("img", name=re.compile("Attempts at the perfection loop"))
    ).to_be_visible()
    expect(practice).to_contain_text("again in ")


def test_a_knot_is_readable_at_phone_size(page):
    page.set_viewport_size({"width": 390, "height": 844})
    page.goto("/knots/improved-clinch")
    picture = page.locator("svg.knot")
    expect(picture).to_be_visible()
    box = picture.bounding_box()
    assert box["width"] > 300
    assert box["x"] >= 0
    assert box["x"] + box["width"] <= 390
    assert page.get_by_role("button", name="Next").bounding_box()["height"] >= 48


def test_a_pull_is_noted_by_hand_and_read_from_the_scale_and_its_faults_are_said(page):
    page.goto("/knots/palomar")
    pulls = page.get_by_label("Pull tests of your own")
    pulls.get_by_label("it broke at").fill("much")
    pulls.get_by_role("button", name="Add note").click()
    expect(pulls.get_by_role("alert")).to_contain_text("much")
    expect(pulls.get_by_label("it broke at")).to_have_value("much")
    pull = pulls.get_by_role("button", name="Pull and read")
    for mischief, said in (
        ("… stops sending", "stopped sending"),
        ("… sends garbage", "unreadable data"),
        ("… unplugged", "isn't connected"),
    ):
        pulls.get_by_label("Scale").select_option(mischief)
        pull.click()
        expect(pulls.get_by_role("alert")).to_contain_text(said, timeout=20_000)
    pulls.get_by_label("Scale").select_option("the simulated scale")
    pull.click()
    expect(pulls.get_by_role("status")).to_contain_text("Scale reading", timeout=20_000)
    expect(
        pulls.get_by_role("img", name=re.compile("after one pull test of yours"))
    ).to_be_visible()
    pulls.get_by_label("it broke at").fill("1 lb")
    pulls.get_by_role("button", name="Add note").click()
    expect(pulls.get_by_role("note")).to_contain_text("Far from the others")
    pulls.get_by_role("button", name="Exclude the pull of 1.0 lb").click()
    expect(pulls.get_by_role("button", name="Include the pull of 1.0 lb")).to_be_visible()
    with page.expect_download() as download:
        pulls.get_by_role("button", name="All as CSV").click()
    text = download.value.path().read_text()
    assert text.count("palomar") == 2


def test_what_i_always_tie_is_set_once_and_tied_everywhere(page):
    page.get_by_role("link", name="Knots").click()
    mine = page.get_by_role("region", name="What I always tie")
    for place, knot in (("To the fly", "uni knot"), ("Between other pieces", "double uni")):
        mine.get_by_label(place).select_option(label=knot)
    page.get_by_role("link", name="Bench").click()
    joint(page, 1).click()
    page.get_by_role("button", name="Use my own knots throughout, where they hold").click()
    expect(joint(page, 1)).to_have_accessible_name(re.compile("double uni"))
    expect(joint(page, 6)).to_have_accessible_name(re.compile("uni knot"))
    page.get_by_role("link", name="Knots").click()
    for place in ("To the fly", "Between other pieces"):
        mine.get_by_label(place).select_option(label="as is usual")
