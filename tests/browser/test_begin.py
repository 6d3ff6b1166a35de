"""Beginning with nothing: one's own shelf from what one says, apart from the demo."""

import re

import pytest
from playwright.sync_api import expect


@pytest.fixture
def first(open_page, program):
    """The first opening ever; the demo is shown again afterwards."""
    program.http.post("/api/v1/anglers/demo").raise_for_status()
    yield open_page("/#first")
    program.http.post("/api/v1/anglers/demo").raise_for_status()


def test_my_own_shelf_from_nothing_to_a_leader_that_opens_by_keyboard_alone(first):
    page = first
    asked = page.get_by_role("region", name="Whose bench is it?")
    asked.get_by_label("Your name").fill("Eira")
    page.keyboard.press("Tab")
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="First, what do you own?")).to_be_visible()
    box = page.get_by_label("What you own, one item per line")
    box.focus()
    page.keyboard.insert_text("9 ft 5X tapered, 3 left\n5 wt floating\n9 ft 5 wt\nhello 5X nylon")
    read = page.get_by_role("list", name="How it is read")
    expect(read).to_contain_text("assumed: butt .0205 in")
    expect(read).to_contain_text("“hello” doesn't describe a spool")
    page.get_by_role("button", name="Put 3 on the shelf").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_text("One packet of tapers, one rod and one fly line")).to_be_visible()
    expect(box).to_have_value("hello 5X nylon")  # what is not understood stays
    box.focus()
    for _ in range(len("hello 5X nylon")):
        page.keyboard.press("Backspace")
    page.get_by_role("button", name="Dry fly", exact=True).focus()
    page.keyboard.press("Enter")
    taper = page.get_by_role("button", name="Put Sixty-twenty-twenty, knotless on the bench")
    expect(taper).to_contain_text("9 ft, one piece", timeout=60_000)
    for demo in ("Amber stiff", "Skarn evening sedge", "Mist soft"):
        expect(page.get_by_text(demo)).to_have_count(0)
    taper.focus()
    page.keyboard.press("Enter")
    expect(page.get_by_role("option", name=re.compile("^Piece 1,"))).to_be_visible()


def test_a_new_leader_is_one_click_away_and_the_old_one_comes_back(page):
    page.goto("/")
    before = page.get_by_label("Name of this leader").input_value()
    page.get_by_role("button", name="New leader for").click()
    page.get_by_role("menuitem", name="Streamer").click()
    said = page.locator(".sentence")
    expect(said).to_contain_text("to strip for wary trout")
    page.get_by_role("link", name="Find", exact=True).click()
    expect(said.first).to_contain_text("to strip for wary trout")
    said.first.get_by_role("button", name="strip").click()
    page.get_by_role("dialog").get_by_text("swing", exact=True).click()
    page.get_by_role("link", name="Shelf", exact=True).click()
    expect(said).to_contain_text("to swing for wary trout")
    said.get_by_role("button", name=re.compile("^the ")).first.click()
    page.get_by_role("dialog").get_by_text("Skarn sedge 14", exact=True).click()
    expect(page.get_by_text("The Skarn sedge 14 can't swing, so it is set to")).to_be_visible()
    page.get_by_role("link", name="Bench", exact=True).click()
    expect(page.get_by_role("button", name=re.compile("^Put .* on the bench")).first).to_be_visible(
        timeout=60_000
    )
    page.get_by_role("button", name="Back to the leader before").click()
    expect(page.get_by_label("Name of this leader")).to_have_value(before)


def test_demo_and_own_never_mix_and_the_rail_says_which(first):
    page = first
    page.get_by_role("button", name="Look around the demo").click()
    expect(page.get_by_role("region", name="Whose bench is it?")).to_have_count(0)
    rail = page.get_by_role("navigation", name="Places")
    rail.get_by_role("button", name="Demo").click()
    who = page.get_by_role("dialog", name="Whose bench is this?")
    who.get_by_label("Name of another angler").fill("Torv")
    who.get_by_role("button", name="Start with an empty shelf").click()
    expect(rail.get_by_role("button", name="Torv")).to_be_visible()
    page.goto("/")
    expect(page.get_by_role("heading", name="First, what do you own?")).to_be_visible()
    rail.get_by_role("button", name="Torv").click()
    who.get_by_role("button", name="Switch to the demo").click()
    expect(rail.get_by_role("button", name="Demo")).to_be_visible()
    expect(page.get_by_role("option", name=re.compile("^Piece 1,"))).to_be_visible()


def test_a_rod_is_changed_by_its_line_and_another_made_like_it(page):
    page.get_by_role("link", name="Spools").click()
    page.get_by_role("button", name="Add a similar one: 9 ft 8-weight, fast").click()
    line = page.get_by_label("Add another, as text")
    line.fill("“Long reach” 12 ft 8 wt, soft")
    line.press("Enter")
    expect(page.get_by_text("Long reach")).to_be_visible()
    page.get_by_role("button", name="Change Long reach").click()
    line = page.get_by_label("Long reach, as text")
    line.fill("“Long reach” a very long one")
    line.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("Line 1")
    line.fill("“Long reach” 13 ft 8 wt, soft")
    line.press("Enter")
    expect(page.get_by_text("13 ft, 8-weight, soft")).to_be_visible()
    page.get_by_role("button", name="Take out Long reach").click()
    expect(page.get_by_role("button", name="Change Long reach")).to_have_count(0)
    page.get_by_text(re.compile("^Put away: ")).click()
    page.get_by_role("button", name="Put back Long reach").click()
    expect(page.get_by_role("button", name="Change Long reach")).to_be_visible()
    page.get_by_role("button", name="Take out Long reach").click()
    expect(page.get_by_role("button", name="Change Long reach")).to_have_count(0)


def test_all_of_ones_own_is_deleted_by_typing_the_name(first):
    page = first
    page.get_by_role("region", name="Whose bench is it?").get_by_label("Your name").fill("Eira")
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="First, what do you own?")).to_be_visible()
    page.get_by_role("button", name="My things").click()
    mine = page.get_by_role("dialog", name="My things")
    mine.get_by_text("Delete all of it").click()
    mine.get_by_label("To confirm, type Eira").fill("Eyra")
    mine.get_by_role("button", name="Delete everything").click()
    expect(mine.get_by_role("alert")).to_contain_text("Nothing was deleted")
    mine.get_by_label("To confirm, type Eira").fill("Eira")
    mine.get_by_role("button", name="Delete everything").click()
    expect(mine.get_by_role("status")).to_contain_text("All that Eira had is deleted")
    expect(mine.get_by_text("You are working with what")).not_to_contain_text("Eira")


def test_a_code_keeps_ones_things_from_the_others(first):
    page = first
    page.get_by_role("region", name="Whose bench is it?").get_by_label("Your name").fill("Hedda")
    page.keyboard.press("Enter")
    rail = page.get_by_role("navigation", name="Places")
    rail.get_by_role("button", name="Hedda").click()
    who = page.get_by_role("dialog", name="Whose bench is this?")
    who.get_by_text("Protect these things with a code").click()
    who.get_by_label("Code", exact=True).fill("tide 4")
    page.keyboard.press("Enter")
    expect(page.get_by_text("The code is set.")).to_be_visible()
    who.get_by_role("button", name="Switch to the demo").click()
    rail.get_by_role("button", name="Demo").click()
    code = who.get_by_label("Code of Hedda")
    code.fill("tide 5")
    page.keyboard.press("Enter")
    expect(page.get_by_text("Wrong code.")).to_be_visible()
    code.fill("tide 4")
    page.keyboard.press("Enter")
    expect(rail.get_by_role("button", name="Hedda")).to_be_visible()


def test_a_plan_one_angler_began_is_not_shown_to_the_next(first, program):
    page = first
    page.goto("/days/plan")
    page.get_by_text("Plan another day").click()
    name = page.get_by_label("Name", exact=True)
    name.fill("Only mine")
    page.goto("/")
    program.http.post("/api/v1/anglers", json={"name": "Next"}).raise_for_status()
    water = {"title": "The Next beck", "kind": "river", "rules": {}}
    program.http.post("/api/v1/places", json=water).raise_for_status()
    owned = {"text": "5 wt floating\n9 ft 5 wt\nsize 14 bushy dry"}
    program.http.post("/api/v1/owned", json=owned).raise_for_status()
    page.goto("/days/plan")
    expect(name).to_have_value("A day out")
    expect(page.get_by_text("The Next beck has no stretches yet")).to_be_visible()
    program.http.post("/api/v1/anglers/demo").raise_for_status()
    page.goto("/days/plan")
    expect(name).to_have_value("Only mine")


OUTFIT = "9 ft 5 wt\n5 wt floating\n"
DRY = f"{OUTFIT}9 ft 5X tapered, 3 left\nsize 14 dry"
NYMPHS = "size 14 nymph 2.5 mm bead\nsize 16 nymph 2 mm bead"
TWO = f"{OUTFIT}9 ft 4X tapered\n5X fluoro\n6X fluoro\n{NYMPHS}"


@pytest.mark.parametrize(
    ("typed", "kind", "school"),
    [(DRY, "", "Sixty-twenty-twenty, knotless"), (TWO, "Nymph", "Indicator nymph, on a tag")],
)
def test_from_nothing_to_a_printed_card_in_eight_clicks(first, typed, kind, school):
    page, clicks = first, 0

    def click(control):
        nonlocal clicks
        clicks += 1
        control.click(timeout=60_000)

    asked = page.get_by_role("region", name="Whose bench is it?")
    click(asked.get_by_role("button", name="Start with mine"))
    page.get_by_label("What you own, one item per line").fill(typed)
    click(page.get_by_role("button", name="Put on the shelf"))
    if kind:
        click(page.get_by_role("button", name=kind, exact=True))
    click(page.get_by_role("button", name=f"Put {school} on the bench"))
    expect(page.get_by_role("option", name=re.compile("^Piece 1,"))).to_be_visible()
    click(page.get_by_role("link", name="Tie", exact=True))
    click(page.get_by_role("button", name=re.compile("^Cards as PDF")).first)
    with page.expect_download(timeout=60_000) as card:
        click(page.get_by_role("menuitem", name=re.compile("^A card each, ")).first)
    assert card.value.suggested_filename.endswith(".pdf")
    assert clicks <= 8
