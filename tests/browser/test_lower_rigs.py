"""A lower rig kept, swapped and cut alone; a fly by one key; what cannot act says why."""

import re

from playwright.sync_api import expect

from tests.browser.conftest import cord, joint, open_from_shelf, piece, pieces, typed


def test_a_lower_rig_is_swapped_kept_and_cut_alone(page):
    open_from_shelf(page, "Sedge and olive")
    expect(pieces(page)).to_have_count(6)
    joint(page, 4).click()
    below = page.get_by_label("Swap what hangs below for")
    hole = below.locator("option", has_text="hole, slate point")
    below.select_option(value=hole.get_attribute("value"))
    expect(pieces(page)).to_have_count(5)
    expect(piece(page, 5)).to_have_accessible_name(re.compile("5 ft 6 in"))
    expect(page.get_by_role("button", name="the Slate point 12, 3.8 mm bead")).to_be_visible()
    page.keyboard.press("Control+z")
    expect(pieces(page)).to_have_count(6)
    joint(page, 4).click()
    page.get_by_label("or keep it as").fill("evening")
    page.get_by_role("button", name="Keep", exact=True).click()
    expect(page.get_by_role("alert")).to_contain_text("“evening” is kept")
    page.get_by_role("link", name="Shelf").click()
    page.get_by_role("button", name="Cut and tie alone: evening").click()
    expect(page.get_by_text("To the ring: improved clinch, 6 turns")).to_be_visible()
    page.get_by_role("button", name="Delete: evening").click()
    expect(page.get_by_role("heading", name="evening", exact=True)).to_have_count(0)


def test_a_second_fly_by_one_key_and_a_button_that_says_why_it_cannot(page):
    open_from_shelf(page, "Night pool")
    count = pieces(page).count()
    piece(page, count).click()
    merge = page.get_by_role("button", name="Merge with next")
    merge.focus()
    expect(page.get_by_role("tooltip")).to_contain_text("no piece below")
    piece(page, count).focus()
    page.keyboard.press("b")
    expect(pieces(page)).to_have_count(count + 1)
    expect(
        page.get_by_role("option", name=re.compile("in line, tied from its bend"))
    ).to_be_visible()
    page.keyboard.press("Control+z")
    expect(pieces(page)).to_have_count(count)


def test_what_is_said_while_what_was_said_before_is_read_takes_nothing_back(page):
    open_from_shelf(page, "Night pool")
    page.get_by_role("button", name=re.compile("^wary sea trout")).click()
    page.get_by_text("another fish …").click()
    expect(page.get_by_label("Name", exact=True)).to_have_value("fish")
    held, slow = [], [True]
    page.route("**/api/v1/bench", lambda route: held.append(route) if slow else route.continue_())
    page.get_by_text("cutting", exact=True).click()
    page.get_by_text("bony", exact=True).click()
    slow.clear()
    with page.expect_response(
        lambda item: (
            item.url.endswith("/api/v1/bench") and '"bony"' in (item.request.post_data or "")
        )
    ) as second:
        for item in held:
            item.continue_()
    own = second.value.json()["design"]["situation"]["quarry"]["own"]
    assert (own["teeth"], own["mouth"]) == ("cutting", "bony")
    page.keyboard.press("Escape")
    expect(cord(page, "Hold")).to_contain_text("cuts plain tippet")


def test_another_fish_and_the_chain_from_the_reel_are_said(page):
    open_from_shelf(page, "Night pool")
    page.get_by_role("button", name=re.compile("^wary sea trout")).click()
    page.get_by_text("another fish …").click()
    typed(page, "Name", "wolf fish")
    page.get_by_text("cutting", exact=True).click()
    page.keyboard.press("Escape")
    expect(page.get_by_role("button", name=re.compile("wary wolf fish of"))).to_be_visible()
    expect(cord(page, "Hold")).to_contain_text("cuts plain tippet")
    page.get_by_role("button", name=re.compile("^the 9 ft 5-weight")).click()
    typed(page, "Backing behind the line: strength, length", "6 lb, 80 yd")
    page.keyboard.press("Escape")
    page.get_by_role("button", name="From the reel").click()
    chain = page.get_by_role("region", name="The chain above the leader")
    expect(chain).to_contain_text("arbor knot")
    expect(chain).to_contain_text("you lose the line and the leader")
