"""A hosted service in a browser: joining, coming in by passkey and password, pairing, giving and
taking back, operating, and the end of all of it. One program for the file, a cookie jar each."""

import re

import httpx
import pytest
from playwright.sync_api import Page, expect

from tests.browser.views import serious
from tests.hosting import PASSWORD, Hosted, invite, joined

DEVICE = {
    "protocol": "ctap2",
    "transport": "internal",
    "hasResidentKey": True,
    "hasUserVerification": True,
    "isUserVerified": True,
    "automaticPresenceSimulation": True,
}


@pytest.fixture(scope="module")
def site(tmp_path_factory):
    running = Hosted(tmp_path_factory.mktemp("hosted")).ready()
    yield running
    running.stop()


@pytest.fixture
def page(browser, site) -> Page:
    """Somebody's browser that the service does not know, with a device that makes passkeys."""
    browser.clear_cookies()
    found = browser.new_page()
    trouble: list[str] = []
    found.on("pageerror", lambda error: trouble.append(str(error)))
    device = browser.new_cdp_session(found)
    device.send("WebAuthn.enable")
    device.send("WebAuthn.addVirtualAuthenticator", {"options": DEVICE})
    yield found
    found.close()
    browser.clear_cookies()
    assert trouble == []


@pytest.fixture(scope="module")
def keeper(site) -> httpx.Client:
    """Who joined first, as the operator, and invites the others; by HTTP alone."""
    return joined(site.site, site.invitation, "Keeper")


def join_by_password(page: Page, site: Hosted, invitation: str, name: str) -> None:
    page.goto(f"{site.site}/join#{invitation}")
    page.get_by_label(re.compile("^Your name here")).fill(name)
    page.get_by_label(re.compile("^A password")).fill(PASSWORD)
    page.get_by_role("button", name="Sign up with a password").click()
    expect(page.get_by_role("list", name="Recovery codes").get_by_role("listitem")).to_have_count(
        10
    )
    page.get_by_role("button", name="I have them: begin").click()
    expect(page.get_by_role("heading", name="First, what do you own?")).to_be_visible()


def test_joining_by_a_passkey_and_coming_in_by_passkey_password_and_code(page, site, keeper):
    page.goto(f"{site.site}/join#{invite(keeper)}")
    expect(page.get_by_text("You are invited to join")).to_be_visible()
    assert serious(page) == []
    page.get_by_label(re.compile("^Your name here")).fill("Runa")
    page.get_by_role("button", name="Sign up with a passkey").click()
    code = (
        page.get_by_role("list", name="Recovery codes").get_by_role("listitem").first.inner_text()
    )
    page.get_by_role("button", name="I have them: begin").click()
    page.get_by_role("link", name="Account").click()
    page.get_by_role("textbox", name="Password", exact=True).fill(PASSWORD)
    page.get_by_role("button", name="Set it").click()
    expect(page.get_by_role("button", name="log in with passkeys only")).to_be_visible()
    assert serious(page) == []

    page.get_by_role("button", name="Log out").click()
    expect(page.get_by_role("button", name="Log in with a passkey")).to_be_visible()
    assert serious(page) == []
    page.get_by_role("button", name="Log in with a passkey").click()
    expect(page.get_by_role("heading", name="First, what do you own?")).to_be_visible()

    page.get_by_role("button", name="Log out").click()
    page.get_by_label("Name").first.fill("runa")
    page.get_by_label("Password", exact=True).fill("not it at all")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("Wrong name or")
    page.get_by_label("Password", exact=True).fill(PASSWORD)
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="First, what do you own?")).to_be_visible()

    page.get_by_role("button", name="Log out").click()
    page.get_by_text("I have lost both").click()
    page.get_by_label("Name").last.fill("Runa")
    page.get_by_label("Recovery code").fill(code.lower())
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="First, what do you own?")).to_be_visible()
    page.goto(f"{site.site}/account/logins")
    expect(page.get_by_text("refused, password")).to_be_visible()
    expect(page.get_by_text("127.0.0.0/24").first).to_be_visible()


def test_a_leader_is_given_to_a_group_read_and_taken_back(page, site, keeper):
    join_by_password(page, site, invite(keeper), "Torv")
    page.get_by_role("button", name="Look around the demo first").click()
    expect(page.get_by_role("button", name="Demo", exact=True)).to_be_visible(timeout=30_000)
    page.get_by_role("link", name="Shared").click()
    page.get_by_role("link", name="Groups").click()
    page.get_by_label("Name of a new group").fill("The Skarn club")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Create a join code").click()
    code = page.locator(".code b").inner_text()
    assert keeper.post("/api/v1/clubs/join", json={"code": code}).status_code == 200
    page.goto(f"{site.site}/shelf")
    page.get_by_role("button", name="Share: Skarn evening sedge").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("button", name="Share the leader").click()
    expect(dialog.get_by_text("to copy, without its notes")).to_be_visible()
    (given,) = keeper.get("/api/v1/gifts").json()
    assert (given["title"], given["giver"]) == ("Skarn evening sedge", "Torv")
    dialog.get_by_role("button", name="Stop sharing with The Skarn club").click()
    expect(dialog.get_by_text("Shared with")).not_to_be_visible()
    assert keeper.get("/api/v1/gifts").json() == []

    keeper.post("/api/v1/anglers/demo")
    club = keeper.post("/api/v1/clubs", json={"title": "Guests"}).json()[-1]["club_id"]
    code = keeper.post(f"/api/v1/clubs/{club}/code").json()["code"]
    water = keeper.get("/api/v1/places").json()[0]["place_id"]
    form = {"kind": "water", "thing_id": water, "whom": "club", "to_id": club}
    assert keeper.post("/api/v1/gifts", json=form).status_code == 200
    page.goto(f"{site.site}/shared/groups#{code}")
    page.get_by_role("button", name="Join", exact=True).click()
    page.get_by_role("link", name="Shared with me").click()
    page.get_by_role("button", name="Show it: A lake").click()
    expect(page.get_by_role("heading", name="Stretch 1")).to_be_visible()
    assert serious(page) == []
    page.get_by_role("button", name="Copy it").click()
    expect(page.get_by_text("“A lake” is among your waters")).to_be_visible()


def test_a_phone_is_paired_and_all_is_deleted_at_a_word(page, site, keeper):
    join_by_password(page, site, invite(keeper), "Eira")
    page.get_by_role("button", name="My things").click()
    page.get_by_role("button", name="Pair a phone").click()
    code = page.get_by_text("code").locator("b.figure").inner_text()
    page.goto(f"{site.site}/account")
    page.get_by_text("Delete my account and everything in it").click()
    page.get_by_label("To confirm, type Eira").fill("Eira")
    jar = page.context.cookies()
    page.context.clear_cookies()
    page.goto(f"{site.site}/water/pair#{code}")
    page.get_by_role("button", name="Pair").click()
    expect(page.get_by_role("status")).to_contain_text("is paired")
    assert [cooky["httpOnly"] for cooky in page.context.cookies()] == [True]

    page.context.add_cookies(jar)
    page.goto(f"{site.site}/account")
    page.get_by_text("Delete my account and everything in it").click()
    page.get_by_label("To confirm, type Eira").fill("Eira")
    page.get_by_role("button", name="Delete it all").click()
    expect(page.get_by_role("button", name="Log in with a passkey")).to_be_visible()
    page.get_by_label("Name").first.fill("Eira")
    page.get_by_label("Password", exact=True).fill(PASSWORD)
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("Wrong name or")


def test_the_operator_sees_who_is_in_and_shuts_an_account_after_a_proof(page, site, keeper):
    joined(site.site, invite(keeper), "Guest")
    page.goto(site.site)
    page.get_by_label("Name").first.fill("Keeper")
    page.get_by_label("Password", exact=True).fill(PASSWORD)
    page.keyboard.press("Enter")
    page.get_by_role("link", name="Service").click()
    expect(page.get_by_text("Nothing is waiting for long")).to_be_visible()
    assert serious(page) == []
    page.get_by_role("button", name="disable Guest").click()
    expect(page.get_by_text("shut: nobody comes in by it")).to_be_visible()
    page.get_by_role("button", name="enable Guest").click()
    expect(page.get_by_role("button", name="disable Guest")).to_be_visible()
