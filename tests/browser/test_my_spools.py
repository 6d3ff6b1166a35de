"""The shelf is mine: what is tied comes off it, it is measured, what it lacks is told."""

import re
import time

import pytest
from playwright.sync_api import expect

from tests.browser.conftest import open_from_shelf, tab_to

PACE_S = 300.0  # five minutes at a human pace
KEY_S, READ_S = 0.12, 2.5  # a key struck, a screen looked over


@pytest.fixture
def own(open_page, program):
    """An empty bench of one's own; the demo is shown again afterwards."""
    program.http.post("/api/v1/anglers", json={"name": "Eira"}).raise_for_status()
    yield open_page("/spools")
    program.http.post("/api/v1/anglers/demo").raise_for_status()


def test_what_is_tied_comes_off_and_is_undone_where_it_is_told(page):
    page.get_by_role("link", name="Tie", exact=True).click()
    page.get_by_label("What was tied").select_option(index=1)
    page.get_by_role("button", name="Take it off the spools").click()
    told = page.get_by_text(re.compile("off Mist soft .006 in"))
    expect(told).to_be_visible()
    page.get_by_role("button", name="Undo", exact=True).click()
    expect(page.get_by_text("Undone: Renewed: Skarn evening sedge.")).to_be_visible()
    page.get_by_role("link", name="Spools", exact=True).click()
    page.get_by_role("link", name="History").click()
    first = page.get_by_role("listitem").filter(has_text="Renewed: Skarn evening sedge").first
    expect(first).to_be_visible()
    expect(page.get_by_text("undone since").first).to_be_visible()


def test_a_spool_is_counted_taken_off_put_together_and_put_away(page):
    page.get_by_role("link", name="Spools", exact=True).click()
    page.get_by_label("Search").fill("foam pine")
    expect(page.get_by_role("button", name="Change Foam pine beetle 8")).to_be_visible()
    expect(page.get_by_text("None matches.")).to_have_count(2)
    page.get_by_label("Search").fill("soft 7X")
    page.get_by_role("button", name=re.compile(r"^Mist soft \.004 in")).click()
    form = page.get_by_role("dialog", name="This spool")
    expect(form).to_contain_text("Time to renew: four years old")
    expect(form).to_contain_text("Diameter as sold")
    form.get_by_label("How much to take off").fill("a lot")
    form.get_by_role("button", name="Take it off").click()
    expect(form.get_by_role("alert")).to_contain_text("is not a length")
    form.get_by_label("How much to take off").fill("3 ft")
    form.get_by_role("button", name="Take it off").click()
    expect(page.get_by_text(re.compile("3 ft off Mist soft .004 in"))).to_be_visible()
    page.get_by_role("button", name=re.compile(r"^Mist soft \.004 in")).click()
    form.get_by_role("button", name="Add a similar one").click()
    add = page.get_by_role("dialog", name="Add a spool")
    add.get_by_label("Name (optional)").fill("The end of a 7X")
    add.get_by_label("Left on it").fill("10 ft")
    add.get_by_role("button", name="Put on the shelf").click()
    expect(page.get_by_role("button", name=re.compile("^The end of a 7X"))).to_be_visible()
    page.get_by_role("button", name=re.compile(r"^Mist soft \.004 in")).click()
    form.get_by_role("combobox", name="Combine with this one").click()
    page.get_by_role("option", name=re.compile("The end of a 7X")).click()
    expect(page.get_by_text(re.compile("Combined: "))).to_be_visible()
    away = page.get_by_text(re.compile("^Put away: "))
    away.click()
    page.get_by_role("button", name="Put back The end of a 7X").click()
    expect(page.get_by_role("button", name=re.compile("^The end of a 7X"))).to_be_visible()


def test_a_strand_is_measured_by_the_instrument_and_by_space(page):
    page.goto("/spools/measure")
    page.get_by_label("Read from").select_option(label="the simulated micrometer")
    expect(page.locator(".live__reading")).to_have_text(re.compile(r"\.\d*[1-9]\d* in"))
    page.locator("body").click(position={"x": 5, "y": 5})
    for at in range(9):
        page.keyboard.press("Space")
        place, reading = divmod(at, 3)
        field = page.get_by_label(f"Place {place + 1}, reading {reading + 1}")
        expect(field).to_have_value(re.compile(r"\.\d{4} in"))
    expect(page.get_by_text(re.compile("By nine readings at three places"))).to_be_visible()
    page.get_by_role("button", name="Keep it").click()
    expect(page.get_by_role("heading", name="Measured before")).to_be_visible()
    expect(page.get_by_label("Place 1, reading 1")).to_have_value("")  # kept
    page.get_by_label("Place 1, reading 1").fill("thick")
    expect(page.get_by_text(re.compile("“thick”"))).to_be_visible()


def test_a_fall_is_timed_with_space(page):
    page.goto("/spools/measure")
    page.get_by_text("how a fly sinks").click()
    page.get_by_label("Between the marks").fill("10 in")
    page.locator("body").click(position={"x": 5, "y": 5})
    for number in (1, 2):
        page.keyboard.press("Space")
        page.wait_for_timeout(700)
        page.keyboard.press("Space")
        expect(page.get_by_label(f"It took, reading {number}")).to_have_value(
            re.compile(r"^0\.[789]\d s$|^1\.\d\d s$")
        )
    expect(page.get_by_text(re.compile("By two falls"))).to_be_visible()


def test_days_ahead_say_what_to_buy_and_prices_are_heeded(own):
    page = own
    page.get_by_role("link", name="To buy").click()
    expect(page.get_by_text("Nothing to buy")).to_be_visible()
    page.get_by_role("button", name="Add the day on the bench").click()
    status = page.get_by_role("status").filter(has_text=re.compile("to buy covers? this day"))
    expect(status).to_contain_text("no smaller set does", timeout=60_000)
    price = page.get_by_label(re.compile("^Price of ")).first
    price.fill("12,50")
    price.press("Tab")
    expect(page.get_by_text(re.compile("no cheaper set does"))).to_be_visible(timeout=20_000)
    page.get_by_role("button", name="Put the leader of day 1 on the bench").click()
    expect(page.get_by_role("option", name=re.compile("^Piece 1,"))).to_be_visible()


class Hands:
    """Someone at the keyboard, at a human pace: keys and looks are counted, not waited for."""

    def __init__(self, page):
        self.page, self.spent_s = page, 0.0

    def looks(self):
        self.spent_s += READ_S

    def types(self, text):
        self.spent_s += KEY_S * len(text)
        self.page.keyboard.insert_text(text)

    def goes_to(self, name):
        tab_to(self.page, name)
        self.spent_s += 12 * KEY_S

    def presses(self, key):
        self.spent_s += KEY_S
        self.page.keyboard.press(key)


def test_from_nothing_to_a_printed_card_in_five_minutes_by_keyboard_alone(own):
    page, hands, began = own, Hands(own), time.monotonic()
    box = page.get_by_label("What you own, one item per line")
    expect(box).to_be_visible()
    hands.looks()
    box.focus()
    for line in ("9 ft 5X tapered, 3 left", "5 wt floating", "9 ft 5 wt", "size 14 bushy dry"):
        hands.types(f"{line}\n")
        hands.looks()
    expect(page.get_by_role("button", name="Put on the shelf")).to_be_enabled()
    hands.goes_to("Put on the shelf")
    hands.presses("Enter")
    expect(page.get_by_text("One packet of tapers, one rod")).to_be_visible()
    page.get_by_role("link", name="Shelf", exact=True).focus()
    hands.presses("Enter")
    expect(page.get_by_role("group", name="Fits this day")).to_be_visible(timeout=60_000)
    hands.looks()
    page.get_by_role("button", name=re.compile("^Put this 9 ft leader")).focus()
    hands.presses("Enter")
    expect(page.get_by_role("option", name=re.compile("^Piece 1,"))).to_be_visible()
    hands.looks()
    page.get_by_role("link", name="Tie", exact=True).focus()
    hands.presses("Enter")
    cards = page.get_by_role("button", name="Cards as PDF").first
    expect(cards).to_be_enabled()
    cards.focus()
    hands.presses("Enter")
    expect(page.get_by_role("menuitem", name="A card each, A6")).to_be_visible()
    hands.presses("ArrowDown")
    with page.expect_download() as download:
        page.get_by_role("menuitem", name="A card each, A6").press("Enter")
    assert download.value.suggested_filename.endswith(".pdf")
    assert hands.spent_s + time.monotonic() - began < PACE_S


def test_leaders_are_found_labelled_and_their_history_put_back(page):
    """On a leader of its own, so that no other test's is changed."""
    name = "Skarn evening sedge, again"
    page.get_by_role("button", name="File ▾").click()
    page.get_by_role("menuitem", name="Save as a new leader").click()
    expect(page.get_by_text("revision 1", exact=True)).to_be_visible()
    page.get_by_label("Length of piece 6").fill("40 in")
    page.get_by_label("Length of piece 6").press("Enter")
    page.get_by_role("button", name="Save", exact=True).click()
    expect(page.get_by_text("revision 2", exact=True)).to_be_visible()
    page.get_by_role("link", name="Shelf", exact=True).click()
    saved = page.get_by_role("region", name="Saved leaders")
    saved.get_by_label("Search").fill("sedge 5X grayling")
    expect(saved.get_by_role("status")).to_contain_text("found")
    expect(saved.get_by_role("button", name="Night pool", exact=True)).to_have_count(0)
    saved.get_by_role("button", name=f"Labels: {name}").click()
    labels = saved.get_by_label(f"Labels of {name}")
    labels.fill("spring, dry")
    labels.press("Enter")
    saved.get_by_label("Search").fill("")
    saved.get_by_role("button", name=re.compile(r"^spring 1$")).click()
    expect(saved.get_by_role("listitem")).to_have_count(1)
    saved.get_by_role("button", name=f"History: {name}").click()
    history = page.get_by_role("dialog", name=f"{name}: history")
    for number in (1, 2):
        history.get_by_label(f"Revision {number}", exact=True).check()
    expect(history.get_by_label("Differences")).to_contain_text("Piece 6: 3 ft 4 in")
    history.get_by_role("button", name="Put back revision 1").click()
    expect(page.get_by_text("Revision 1 is restored as revision 3.")).to_be_visible()
    page.keyboard.press("Escape")
    saved.get_by_role("button", name=f"Take off: {name}").click()
    expect(saved.get_by_role("button", name=name, exact=True)).to_have_count(0)


def test_several_leaders_go_out_as_a_file_and_in_again(page, tmp_path):
    page.get_by_role("link", name="Shelf", exact=True).click()
    page.get_by_role("group", name="Fits this day").wait_for()
    astray = page.locator(".behind").evaluate_all(
        """all => {
          all.at(-1).parentElement.scrollIntoView()
          return all.filter(one => {
            const [at, label] = [one, one.parentElement].map(each => each.getBoundingClientRect())
            return at.top < label.top || at.bottom > label.bottom
          }).map(one => one.value)
        }"""
    )
    assert astray == [], "unseen, over what has nothing to do with it"
    page.get_by_label("Choose Night pool").first.check()
    page.get_by_label("Choose Long fine for the mill glide").first.check()
    with page.expect_download() as download:
        page.get_by_role("button", name="2 as one file").click()
    file = tmp_path / download.value.suggested_filename
    download.value.save_as(file)
    page.get_by_label("File of leaders").set_input_files(file)
    expect(page.get_by_text("Two leaders on the shelf.")).to_be_visible()
    page.get_by_role("button", name="Take off: Night pool").first.click()
    expect(page.get_by_text("“Night pool” is off the shelf.")).to_be_visible()
    page.get_by_role("button", name="Take off: Long fine for the mill glide").first.click()
    expect(page.get_by_text("“Long fine for the mill glide” is off the shelf.")).to_be_visible()


def test_a_leader_goes_over_as_a_code_and_opens_of_the_spools_there(page, program, tmp_path):
    page.get_by_role("button", name="File ▾").click()
    page.get_by_role("menuitem", name=re.compile("^Share as a code")).click()
    code = page.get_by_role("img", name="QR code of Skarn evening sedge")
    expect(code).to_be_visible()
    picture = tmp_path / "code.png"
    code.screenshot(path=picture)
    page.keyboard.press("Escape")
    program.http.post("/api/v1/anglers", json={"name": "Torv"}).raise_for_status()
    try:
        lines = {"text": ".017 stiff nylon 50 yd\n5X soft nylon 30 m\n9 ft 5 wt\n5 wt floating"}
        program.http.post("/api/v1/owned", json=lines).raise_for_status()
        page.goto("/shelf")
        page.get_by_role("button", name="Scan a code …").click()
        empty = tmp_path / "empty.txt"
        empty.write_text("not a readable picture")
        page.get_by_label("Picture of a code").set_input_files(empty)
        expect(page.get_by_role("alert")).to_contain_text("is not a readable picture")
        page.get_by_label("Picture of a code").set_input_files(picture)
        told = page.get_by_role("region", name="What is different here")
        expect(told).to_contain_text("from your own spools")
        expect(told).to_contain_text("no spool of yours is like")
        expect(page.get_by_label("Name of this leader")).to_have_value("Skarn evening sedge")
        told.get_by_role("button", name="I see").click()
        expect(told).to_have_count(0)
    finally:
        program.http.post("/api/v1/anglers/demo").raise_for_status()


def test_the_spool_of_a_piece_is_found_by_typing(page):
    open_from_shelf(page, "Skarn evening sedge")
    box = page.get_by_role("combobox", name="Spool of piece 6")
    box.click()
    page.keyboard.type("fluoro 5X")
    options = page.get_by_role("option", name=re.compile("Glass fluorocarbon"))
    expect(options).to_have_count(1)
    page.keyboard.press("Enter")
    expect(page.locator(".grid .stock-pick").nth(5)).to_contain_text("Glass fluorocarbon 0.15 mm")
