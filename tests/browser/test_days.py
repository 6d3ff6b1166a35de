"""Waters: the gauge read, a note taken, depth and pace at today's level, on to the bench."""

import re

from playwright.sync_api import expect


def skarn(page):
    page.get_by_role("link", name="Days", exact=True).click()
    page.get_by_text("The Skarn", exact=True).click()
    return page.get_by_role("region", name="The Skarn")


def test_the_gauge_tells_how_deep_it_is_and_the_bench_goes_by_it(page):
    water = skarn(page)
    water.get_by_role("button", name="Read the gauge").click()
    expect(water.get_by_role("status")).to_contain_text("just now")
    alder = water.get_by_role("article", name="The alder pool, head")
    expect(alder).to_contain_text(re.compile(r"Thigh-deep, (28|29|3\d) in, ± 4 in"))
    level = water.get_by_label("Today’s level")
    level.fill("high")
    expect(water.get_by_role("alert")).to_contain_text("is not a level")
    level.fill("4.6 ft")
    expect(alder).to_contain_text("outside what you have seen")
    expect(alder).to_contain_text("Don't wade here")
    level.fill("1.3 ft")
    expect(alder).to_contain_text("Knee-deep")
    alder.get_by_role("button", name="To the bench: The alder pool, head").click()
    expect(page.locator("#say-water")).to_contain_text("in deep run")


def test_a_stretch_is_added_noted_at_two_levels_and_left_out(page):
    water = skarn(page)
    water.get_by_role("button", name="Add a stretch").click()
    form = page.get_by_role("dialog", name="Add a stretch")
    form.get_by_label("Name").fill("Willow bend")
    form.get_by_label("Usual depth").fill("waist-deep")
    form.get_by_label("and so fast").fill("fast")
    form.get_by_role("button", name="Keep").click()
    expect(form.get_by_role("alert")).to_be_visible()
    form.get_by_label("and so fast").fill("8 s for 10 steps")
    form.get_by_label("grayling").check()
    form.get_by_role("button", name="Keep").click()
    bend = water.get_by_role("article", name="Willow bend")
    expect(bend).to_contain_text("Usually waist-deep")
    for level, depth in (("1.2 ft", "30 in"), ("2.2 ft", "42 in")):
        bend.get_by_role("button", name=re.compile("^add a note at a level")).click()
        bend.get_by_label("At the level").fill(level)
        bend.get_by_label("it is deep").fill(depth)
        bend.get_by_role("button", name="Add note").click()
        expect(bend.get_by_role("list")).to_contain_text(f"At {level[:3]}0 ft")
    water.get_by_label("Today’s level").fill("1.7 ft")
    expect(bend).to_contain_text("By two notes")
    bend.get_by_role("button", name="Change Willow bend").click()
    form = page.get_by_role("dialog", name="Willow bend")
    form.get_by_role("button", name="Delete this stretch").click()
    expect(bend).to_have_count(0)


def test_a_gauge_is_chosen_and_one_that_is_not_there_is_said(page):
    water = skarn(page)
    water.get_by_role("button", name="change the gauge").click()
    form = page.get_by_role("dialog", name="Choose a gauge")
    form.get_by_label("Base address of the service").fill("http://127.0.0.1:9/v1.1")
    form.get_by_role("button", name="Look it up").click()
    expect(form.get_by_role("alert")).to_contain_text("can't be reached")
    form.get_by_role("button", name="The simulated one").click()
    expect(form.get_by_role("button", name=re.compile("Water temperature"))).to_be_disabled()
    form.get_by_role("button", name="Read Skarn bridge: Water level").click()
    expect(form).to_have_count(0)
    expect(water).to_contain_text("Skarn bridge: Water level")


def test_the_tide_is_typed_and_the_light_is_told(page):
    water = skarn(page)
    expect(water.get_by_text(re.compile("^First light |^Sun up |^The sun "))).to_be_visible()
    page.get_by_text("Skarn estuary", exact=True).click()
    shore = page.get_by_role("region", name="Skarn estuary")
    for label, time in (("High water", "06:10"), ("Low water", "12:22"), ("at", "9.16")):
        field = shore.get_by_label(label, exact=True)
        field.fill(time)
        field.press("Tab")
    expect(shore.get_by_role("status")).to_contain_text("Ebbing, 3 h 6 min after the turn")
    expect(shore.get_by_role("article", name="The bar mouth")).to_contain_text("by the tide")
