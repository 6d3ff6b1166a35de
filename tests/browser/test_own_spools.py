"""Whole rigs from an empty shelf: spools typed in pounds and yards, a school, the bench, the card.

Common practice, no source.
"""

import re

import pytest
from playwright.sync_api import Page, expect

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import Situation, TargetFish, Water
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod
from tests.browser.conftest import cord, piece
from tests.makers import PLAIN, day
from tests.running import Running

NYMPH = Fly(title="Small nymph", kind="nymph", hook=14, bulk="slim", bead=Bead(diameter_mm=2.5))
STONEFLY = {"kind": "nymph", "hook": "6", "bead": "4.6 mm", "title": "Stonefly"}
MIDDLE = {"kind": "nymph", "hook": "12", "bead": "3 mm", "title": "Middle nymph"}
SHARK = day(
    water=Water(kind="surf", depth_m=2.0, pace_m_s=0.3),
    fly=Fly(title="Tube 10/0", kind="predator", hook=-9, tube=True),
    line=FlyLine(title="13-weight", weight=13),
    rod=Rod(title="9 ft 13-weight", length_m=2.7, weight=13, action="fast"),
    quarry=TargetFish(kind="shark", mass_kg=40.0),
    wish="strip",
)
STRONG_RUN = day(
    water=Water(kind="run", depth_m=1.2, pace_m_s=1.0, bed="cobble"),
    fly=NYMPH,
    line=FlyLine(title="6-weight", weight=6),
    rod=Rod(title="9 ft 6-weight", length_m=2.7, weight=6),
    quarry=TargetFish(kind="trout", mass_kg=0.7),
    wish="drift deep",
)


@pytest.fixture(scope="module")
def empty(tmp_path_factory):
    """A program of its own with nothing on the shelf."""
    running = Running(tmp_path_factory.mktemp("empty")).ready()
    for row in running.http.get("/api/v1/stock").json():
        running.http.delete(f"/api/v1/stock/{row['spool_id']}").raise_for_status()
    yield running
    running.stop()


def begun(context, empty: Running, title: str, at: Situation) -> Page:
    """The shelf, with this day on the bench."""
    design = Design(title=title, situation=at, leader=PLAIN)
    body = design.model_dump(mode="json")
    empty.http.post("/api/v1/leaders", json=body).raise_for_status()
    page = context.new_page()
    page.goto(f"{empty.url}/shelf")
    page.get_by_role("button", name=title, exact=True).click()
    expect(page.get_by_label("Name of this leader")).to_have_value(title)
    return page


def add_spool(page: Page, material: str, label: str, left: str) -> None:
    page.get_by_role("button", name="Add a spool").click()
    form = page.get_by_role("dialog")
    form.locator(".el-select").click()
    page.get_by_role("option", name=material, exact=True).click()
    form.get_by_label("Label strength").fill(label)
    form.get_by_label("Left on it").fill(left)
    form.get_by_role("button", name="Put on the shelf").click()
    expect(form).to_be_hidden()


def proposed(page: Page, school: str) -> None:
    page.get_by_role("link", name="Shelf").click()
    page.get_by_role("radio", name=re.compile(f"^{school} ")).check()


def test_level_mono_and_wire_for_sharks(context, empty):
    page = begun(context, empty, "Shark day", SHARK)
    page.get_by_role("link", name="Spools").click()
    add_spool(page, "medium nylon", "30 lb", "25 yd")
    add_spool(page, "single-strand wire", "22 lb", "10 yd")
    proposed(page, "Level and wire")
    lacks = page.get_by_text("which the shelf lacks").first
    expect(lacks).to_contain_text("64 lb weaker")
    page.get_by_role("link", name="Spools").click()
    add_spool(page, "single-strand wire", "86 lb", "10 yd")
    proposed(page, "Level and wire")
    recipe = page.get_by_label("How to tie it, from the line down")
    expect(recipe).to_contain_text("3 ft 6 in of ≈")
    expect(recipe).to_contain_text("single-strand wire 86 lb")
    expect(lacks).to_be_hidden()
    page.get_by_role("button", name=re.compile("^Put this .* leader on the bench")).click()
    expect(piece(page, 2)).to_have_accessible_name(re.compile("single-strand wire 86 lb"))
    for name in ("Match", "Hold", "Length"):
        expect(cord(page, name)).to_contain_text(re.compile("right"))
    page.get_by_role("link", name="Tie").click()
    work = page.get_by_role("main")
    expect(work).to_contain_text("Don't straighten wire this way: it cuts, and kinks stay.")
    expect(work).to_contain_text(re.compile("haywire twist, 8 turns"))
    page.close()


def test_three_nymphs_the_heaviest_first(context, empty):
    for fly in (STONEFLY, MIDDLE):
        empty.http.post("/api/v1/kit/flies", json=fly).raise_for_status()
    page = begun(context, empty, "Strong run", STRONG_RUN)
    page.get_by_role("link", name="Spools").click()
    page.get_by_role("button", name="Add knotless tapers").click()
    form = page.get_by_role("dialog")
    form.get_by_label("As it is sold").fill("7½ ft 2X")
    form.get_by_role("button", name="Put on the shelf").click()
    expect(form).to_be_hidden()
    for pounds in (12, 10, 8):
        add_spool(page, "fluorocarbon", f"{pounds} lb", "30 yd")
    proposed(page, "Three in line, heaviest first")
    recipe = page.get_by_label("How to tie it, from the line down").get_by_role("listitem")
    expect(recipe.nth(0)).to_contain_text("Knotless 7½ ft 2X")
    for number, (said, tied) in enumerate(
        (("18 in of ≈", "swivel"), ("20 in of ≈", "in line"), ("18 in of ≈", "in line")), start=1
    ):
        expect(recipe.nth(number)).to_contain_text(said)
        expect(recipe.nth(number)).to_contain_text(tied)
    for number, pounds in enumerate((12, 10, 8), start=1):
        expect(recipe.nth(number)).to_contain_text(f"fluorocarbon {pounds} lb")
    expect(page.get_by_text("The whole Knotless 7½ ft 2X, as it is sold.")).to_be_visible()
    page.get_by_role("button", name=re.compile("^Put this .* leader on the bench")).click()
    for name in ("Drift", "Depth", "Match", "Hold", "Length"):
        expect(cord(page, name)).to_contain_text(re.compile("right"))
    page.close()
