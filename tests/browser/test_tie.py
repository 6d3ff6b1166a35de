"""The companion and what is printed: a leader tied through by keyboard, a batch, cards as PDF."""

import re
from io import BytesIO

from playwright.sync_api import expect
from pypdf import PdfReader

from tests.browser.conftest import piece, tab_to


def test_a_leader_is_tied_through_with_the_keyboard(page):
    tab_to(page, "Tie")
    page.keyboard.press("Enter")
    tab_to(page, "Tie it now")
    page.keyboard.press("Enter")
    step = page.get_by_label("This step")
    expect(step.get_by_role("heading")).to_have_text(re.compile("^Cut .* of .017 in"))
    for _ in range(7):
        page.keyboard.press("Space")
    expect(step.get_by_role("heading")).to_have_text(re.compile("^Piece 1 to piece 2: blood knot"))
    page.keyboard.press("ArrowLeft")
    expect(step.get_by_role("heading")).to_have_text("Straighten every piece")
    page.keyboard.press("ArrowRight")
    page.reload()
    expect(step.get_by_role("heading")).to_have_text(re.compile("^Piece 1 to piece 2"))
    expect(page.get_by_text("Then: Dip in water, and draw up")).to_be_visible()
    field = page.get_by_label("It came out at")
    for _ in range(30):
        page.keyboard.press("Space")
        if field.count():
            break
    expect(field).to_be_focused()
    page.keyboard.type("30 ft")
    for _ in range(6):
        page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("too far off to be the same piece")
    page.get_by_role("button", name="Back to that piece").click()
    for _ in range(5):
        page.get_by_role("button", name="Back").click()
    expect(field).to_have_value("30 ft")
    field.fill("3 ft 6 in")
    for _ in range(6):
        field.press("Enter")
    tied = page.get_by_label("As tied")
    expect(
        tied.get_by_role("row", name=re.compile("^Length 9 ft, right 8 ft 10¾ in"))
    ).to_be_visible()
    tied.get_by_role("button", name="Keep the true lengths").click()
    expect(piece(page, 1)).to_have_accessible_name(re.compile("3 ft 6 in"))
    expect(page.get_by_text(re.compile(r"^changed since revision \d"))).to_be_visible()


def test_lengths_by_arm_and_a_batch_against_the_shelf(page):
    page.get_by_role("link", name="Tie", exact=True).click()
    height = page.get_by_label("Your height, to cut without a tape")
    height.fill("tall")
    height.press("Enter")
    expect(page.get_by_role("alert")).to_be_visible()
    height.fill("5 ft 9 in")
    height.press("Enter")
    expect(page.get_by_text("By arm: hand to breastbone").first).to_be_visible()
    height.fill("")
    height.press("Enter")
    expect(page.get_by_text("By arm:")).to_have_count(0)
    batch = page.get_by_label("A batch in one sitting")
    batch.get_by_label("How many of this leader").fill("3")
    batch.get_by_label("How many of this leader").press("Tab")
    expect(batch.get_by_role("status")).to_have_text("The shelf has everything.")
    batch.get_by_label("How many of this leader").fill("20")
    batch.get_by_label("How many of this leader").press("Tab")
    batch.get_by_label("How many of Night pool").fill("2")
    batch.get_by_label("How many of Night pool").press("Tab")
    expect(batch.get_by_role("status")).to_contain_text("Runs out: ")


def test_cards_are_printed_as_pdf_and_the_sheet_on_a4(page):
    page.get_by_role("link", name="Tie", exact=True).click()
    expect(page.get_by_text("Measure: ")).to_be_visible()
    for words, size in (("A card each, A6", 148), ("A sheet each, A4", 297)):
        page.get_by_role("button", name="Cards as PDF").first.click()
        with page.expect_download() as download:
            page.get_by_role("menuitem", name=words).click()
        with open(download.value.path(), "rb") as file:
            found = PdfReader(BytesIO(file.read()))
        assert float(found.pages[0].mediabox.height) / 72 * 25.4 - size < 1
        assert "Skarn evening sedge" in found.pages[0].extract_text()
    page.emulate_media(media="print")
    expect(page.get_by_role("navigation", name="Places")).to_be_hidden()
    expect(page.get_by_role("button", name="Cards as PDF").first).to_be_hidden()
    boxes = re.findall(rb"/MediaBox \[0 0 [\d.]+ ([\d.]+)\]", page.pdf(prefer_css_page_size=True))
    assert len(boxes) == 1
    assert abs(float(boxes[0]) / 72 * 25.4 - 297) < 1
