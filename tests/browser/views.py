"""How to show every view, and what axe-core finds on it."""

import re

from playwright.sync_api import Page, expect

from tests.browser.conftest import piece
from tests.running import PROJECT

STILL = "document.getAnimations().every((one) => one.playState !== 'running')"
AXE = (PROJECT / "web/node_modules/axe-core/axe.min.js").read_text()


def serious(page: Page) -> list[str]:
    page.evaluate(AXE)
    found = page.evaluate("axe.run(document, { resultTypes: ['violations'] })")
    return [
        f"{violation['id']}: {violation['help']} at "
        f"{[node['target'] for node in violation['nodes'][:3]]}"
        for violation in found["violations"]
        if violation["impact"] in ("serious", "critical")
    ]


PLACES = {
    "bench": "/",
    "tie": "/tie",
    "tie now": "/tie/now",
    "spools": "/spools",
    "knots": "/knots/blood",
    "shelf": "/shelf",
    "find": "/find",
    "measure": "/spools/measure",
    "ledger": "/spools/ledger",
    "buy": "/spools/buy",
    "days": "/days",
    "plan": "/days/plan",
    "wallet": "/days/wallet",
    "log": "/days/log",
}
LANDMARKS = {
    "measure": "Keep it",
    "ledger": "undo",
    "buy": "Add the days of saved leaders",
    "days": "Add a stretch",
    "plan": re.compile("Work it out|Change it"),
    "wallet": "take out: Skarn evening sedge",
}


def show(page: Page, view: str) -> None:
    page.goto(PLACES.get(view, "/"))
    expect(page.locator("main h1, main h2").first).to_be_attached()
    if view == "tie now":
        expect(page.get_by_label("This step")).to_be_visible()
    elif view == "knots":
        expect(page.locator("svg.knot")).to_be_visible()
    elif view == "tie":
        expect(page.get_by_text("Tie, in this order")).to_be_visible()
    elif view == "shelf":
        expect(page.get_by_role("button", name="Put this")).to_be_visible()
    elif view == "find":
        expect(page.get_by_role("button", name="Find", exact=True)).to_be_visible()
    elif view == "log":
        expect(page.get_by_role("region", name="By stretch")).to_be_visible()
    elif view == "spools":
        expect(page.get_by_text("Knotless tapers").first).to_be_visible()
    elif view in LANDMARKS:
        expect(page.get_by_role("button", name=LANDMARKS[view]).first).to_be_visible()
    else:
        expect(piece(page, 1)).to_be_visible()
    if view == "bench with a ghost and a joint selected":
        page.get_by_role("button", name="Pin as ghost").click()
        page.get_by_role("option").first.click()
    if view == "air":
        page.get_by_text("Air: the cast").click()
        expect(page.locator("svg.cast")).to_be_visible(timeout=60_000)
    if view == "water":
        page.get_by_role("option", name=re.compile("^Piece 1,")).click()
        page.keyboard.press("o")
        page.get_by_text("Water: the drift").click()
        expect(page.get_by_role("region", name="The rig in the water")).to_contain_text("On the")
    if view == "hold":
        page.get_by_text("Hold: the pull").click()
        expect(page.locator("svg.pull")).to_be_visible()
    if view == "sure":
        page.get_by_text("Sure: what matters").click()
        expect(page.locator(".what-if").first).to_be_visible(timeout=60_000)
    if view == "sentence":
        page.locator("#say-water").click()
        expect(page.get_by_role("dialog", name="The water")).to_be_visible()
    if view == "file menu":
        page.get_by_role("button", name="File ▾").click()
        expect(page.get_by_role("menuitem", name="Export as JSON")).to_be_visible()
    if view == "keys":
        page.keyboard.press("?")
        expect(page.get_by_role("dialog", name="Keys")).to_be_visible()
    if view == "spool form":
        page.goto("/spools")
        page.get_by_role("button", name="Add a spool").click()
        expect(page.get_by_role("dialog", name="Add a spool")).to_be_visible()


VIEWS = [
    "bench",
    "bench with a ghost and a joint selected",
    "sentence",
    "air",
    "water",
    "hold",
    "sure",
    "tie now",
    "knots",
    "file menu",
    "keys",
    "tie",
    "spools",
    "spool form",
    "shelf",
    "find",
    *LANDMARKS,
]
LAID_OVER = ("sentence", "file menu", "keys", "spool form")
