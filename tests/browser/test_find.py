"""Find me a leader: asked as a sentence, stopped, gone through and chosen, by keyboard alone."""

import json
import re

from playwright.sync_api import expect

from tests.browser.conftest import tab_to, title


def say(page, phrase: str) -> None:
    """Open a part of the sentence by keyboard."""
    page.get_by_role("button", name=re.compile(phrase)).focus()
    page.keyboard.press("Enter")


def test_it_is_found_stopped_compared_and_put_on_the_bench_by_keyboard(page):
    tab_to(page, "Find")
    page.keyboard.press("Enter")
    expect(page.get_by_text("Up to a dozen truly different leaders")).to_be_visible()
    say(page, "as many knots as it needs")
    page.get_by_role("radio", name="4", exact=True).focus()
    page.keyboard.press("Space")
    page.keyboard.press("Escape")
    expect(page.get_by_role("button", name="no more than four knots")).to_be_focused()
    page.get_by_role("button", name="Find", exact=True).focus()
    page.keyboard.press("Enter")
    found = page.get_by_role("radio", name=re.compile(r"\d+ ft"))
    expect(found.first).to_be_attached(timeout=90_000)
    expect(page.get_by_role("progressbar")).to_be_visible()
    leader = page.get_by_role("article")
    expect(leader).to_contain_text("The balanced one", timeout=90_000)
    page.get_by_role("button", name="Stop").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_role("status").filter(has_text="Stopped: ")).to_be_visible()
    expect(page.get_by_role("progressbar")).to_have_count(0)

    found.first.focus()
    page.keyboard.press("p")
    expect(leader.get_by_role("button", name="Unpin")).to_be_visible()
    if found.count() > 1:
        page.keyboard.press("ArrowDown")
        expect(leader).to_contain_text("What you give up")
        expect(leader.get_by_role("columnheader", name="1", exact=True)).to_be_visible()
    chosen = leader.get_by_role("heading").inner_text().split(" · ")[1]
    page.keyboard.press("Enter")
    expect(title(page)).to_have_value(chosen)
    page.get_by_role("link", name="Find").click()
    expect(found.first).to_be_attached()  # what was found is still there


def test_what_cannot_be_is_told_before_it_is_sought(page):
    page.get_by_role("link", name="Find").click()
    say(page, "has its school's length")
    page.get_by_label("At most").fill("5 in")
    alert = page.get_by_role("alert").filter(has_text="it is too short for a leader")
    expect(alert).to_be_visible()
    page.keyboard.press("Escape")
    find = page.get_by_role("button", name="Find", exact=True)
    expect(find).to_have_attribute("aria-disabled", "true")
    page.get_by_role("button", name=re.compile("at most 5 in long")).click()
    page.get_by_label("At most").fill("long")
    expect(page.get_by_role("alert").filter(has_text="“long”")).to_be_visible()
    page.get_by_label("At most").fill("")
    expect(find).not_to_have_attribute("aria-disabled", "true")


def test_a_search_that_ran_out_of_time_keeps_what_it_found_and_goes_on(page, context):
    cut = "Time ran out after 20 of 300 leaders."
    asked = []

    def out_of_time(route):
        """The first search has time for twenty leaders."""
        asked.append(route.request.post_data_json)
        if len(asked) > 1:
            route.continue_()
            return
        answer = route.fetch(post_data=json.dumps({**asked[0], "most": 20}), timeout=90_000)
        said = answer.text().replace('"cut_short":""', f'"cut_short":"{cut}"')
        route.fulfill(response=answer, body=said)

    context.route("**/api/v1/find", out_of_time)
    page.get_by_role("link", name="Find").click()
    page.get_by_role("button", name="Find", exact=True).click()
    told = page.get_by_role("status").filter(has_text=cut)
    expect(told).to_contain_text("These are the best so far.", timeout=90_000)
    found = page.get_by_role("radio", name=re.compile(r"\d+ ft"))
    expect(found.first).to_be_attached()
    told.get_by_role("button", name="Go on searching").click()
    expect(page.get_by_role("progressbar")).to_be_visible()
    expect(found.first).to_be_attached()  # what was found stays in sight
    expect(told).to_have_count(0)
    page.get_by_role("button", name="Stop").click()
    assert len(asked) == 2
