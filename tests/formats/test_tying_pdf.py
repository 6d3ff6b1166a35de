"""Cards and labels: the page sizes asked for, all there is to read, names in any letters."""

from io import BytesIO

import pytest
from pypdf import PdfReader

from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.remedies.depth_table import depth_table
from nine_knots.core.tell.evaluation import evaluate
from nine_knots.core.trade.tyer import Tyer
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.formats.tying_pdf import Card, write_pdf
from tests.makers import INCHES, METRIC, design, level, tied


def card(title="Test leader", leader=None, units=INCHES) -> Card:
    made = design(leader) if leader else design()
    made = made.model_copy(update={"title": title, "notes": "For the glide."})
    return Card(made, evaluate(made, {}, units, Tyer(height_m=1.8)))


def read(cards, paper) -> PdfReader:
    return PdfReader(BytesIO(write_pdf(tuple(cards), paper)))


@pytest.mark.parametrize(
    ("paper", "millimetres"),
    [("a6", (105, 148)), ("a4", (210, 297)), ("sheet", (210, 297)), ("labels", (210, 297))],
)
def test_pages_have_the_size_asked_for(paper, millimetres):
    found = read([card()], paper)
    assert len(found.pages) == 1
    box = found.pages[0].mediabox
    assert (float(box.width) / 72 * 25.4, float(box.height) / 72 * 25.4) == pytest.approx(
        millimetres, abs=1
    )


def test_a_card_has_cuts_knots_with_turns_cautions_and_notes():
    one = card()
    text = read([one], "a6").pages[0].extract_text()
    for row in one.evaluation.work.rows:
        assert row.cut.text in text
    for wanted in ("5 turns above, 6 below", "opposite sides", "Eye protection", "breastbone"):
        assert wanted in text.replace("\n", " ")
    assert "For the glide." in text
    assert "thickness ×" in text
    assert "cm" in read([card(units=METRIC)], "a6").pages[0].extract_text()


def test_several_go_on_a_sheet_and_many_on_more():
    four = [card(f"Leader {n}") for n in range(4)]
    assert len(read(four, "sheet").pages) == 1
    assert len(read([*four, card("Leader 5")], "sheet").pages) == 2
    assert len(read([card()] * 24, "labels").pages) == 1
    assert len(read(four, "a6").pages) == 4
    long = card(leader=tied(*(level(20 - i / 2, 0.5) for i in range(24))))
    assert len(read([long], "a6").pages) > 1, "a long leader runs on"


def test_a_name_with_marks_and_letters_of_the_north_is_kept():
    text = read([card("Bæk & Łosoś <½>")], "a6").pages[0].extract_text()
    assert "Bæk & Łosoś <½>" in text


def test_a_rigs_card_tells_what_hangs_and_carries_its_depth_table():
    rig = demo_rigs(demo_stock())[0]
    one = Card(
        rig,
        evaluate(rig, {}, METRIC),
        depth_table(rig, Angler(stock=demo_stock(), system="metric")),
    )
    for paper in ("a6", "a4"):
        text = " ".join(page.extract_text() for page in read([one], paper).pages)
        for wanted in ("Depth by pace", "brisk walking pace", "as it is", "tag long"):
            assert wanted in text.replace("\n", " ")


def test_a_card_carries_the_chain_above_the_leader_where_it_is_asked_for():
    rig = demo_rigs(demo_stock())[0]
    reading = evaluate(rig, {}, METRIC)
    asked, plain = (
        " ".join(
            page.extract_text() for page in read([Card(rig, reading, chain=chain)], "a6").pages
        )
        for chain in (True, False)
    )
    assert reading.chain.words in asked.replace("\n", " ")
    assert "Above the leader" not in plain


def test_a_code_to_share_stands_on_the_back():
    made = card()
    found = read([Card(made.design, made.evaluation, code=True)], "a6")
    assert len(found.pages) == 2
    assert "Scan it with Nine Knots" in found.pages[1].extract_text().replace("\n", " ")


def test_a_label_bears_a_code_and_24_still_go_on_a_sheet():
    made = card()
    labels = [Card(made.design, made.evaluation, code=True)] * 24
    found = read(labels, "labels")
    assert len(found.pages) == 1
    assert found.pages[0].extract_text().count("tied ________") == 24
