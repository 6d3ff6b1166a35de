"""Cards and labels: the page sizes asked for, all there is to read, names in any letters."""

import ast
import unicodedata
from io import BytesIO
from pathlib import Path

import pytest
from pypdf import PdfReader

import nine_knots
from nine_knots.core.assess.angler import Angler
from nine_knots.core.domain.builder import Builder
from nine_knots.core.domain.leader import Attachment, Connection, Dropper, Leader
from nine_knots.core.remedies.depth_table import depth_table
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.formats.card import Card
from nine_knots.formats.pdf_style import SIGNS, TEXT, drawn_by, marked_up
from nine_knots.formats.tying_pdf import write_pdf
from nine_knots.words.depth_table import depth_table_reading
from nine_knots.words.evaluation import evaluate
from nine_knots.words.tying.steps import knots_tied
from tests.makers import DRY, INCHES, METRIC, design, level, strand, tied


def card(title="Test leader", leader=None, units=INCHES) -> Card:
    made = design(leader) if leader else design()
    made = made.model_copy(update={"title": title, "notes": "For the glide."})
    return Card(made, evaluate(made, {}, units, Builder(height_m=1.8)))


def read(cards, paper) -> PdfReader:
    return PdfReader(BytesIO(write_pdf(tuple(cards), paper)))


def test_a_leader_of_next_to_nothing_is_drawn():
    speck = level(5, 1)
    made = tied(speck.evolve(length_m=5e-324))
    assert len(read([card(leader=made)], "letter").pages) >= 1


@pytest.mark.parametrize(
    ("paper", "millimetres"),
    [
        ("a6", (105, 148)),
        ("a4", (210, 297)),
        ("sheet", (210, 297)),
        ("labels", (210, 297)),
        ("3x5", (76.2, 127)),
        ("letter", (215.9, 279.4)),
        ("letter-sheet", (215.9, 279.4)),
        ("letter-labels", (215.9, 279.4)),
    ],
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
    for wanted in ("5 turns above, 6 below", "opposite sides", "eye protection", "breastbone"):
        assert wanted in text.replace("\n", " ")
    assert "For the glide." in text
    assert "Breaks first at joint" in text, "what it holds"
    assert "thickness ×" in text
    assert "cm" in read([card(units=METRIC)], "a6").pages[0].extract_text()


def words_of(item: Card, paper="a6") -> str:
    return " ".join(page.extract_text() for page in read([item], paper).pages).replace("\n", " ")


def everything_at_once() -> Leader:
    """Doubled line, a ring, a tag with a fly, shot, an indicator and a mark."""
    leader = tied(
        level(28, 3), level(20, 2), level(12, 2), level(11, 2), level(10, 2), level(7, 3, "tippet")
    )
    tag = Dropper(strand=strand(10), length_m=0.15, fly=DRY, knot="palomar", tag="upper")
    joints = list(leader.joints)
    joints[2] = Connection(knot="albright", doubled="lower")
    joints[3] = Connection(kind="ring", upper_knot="uni", knot="improved-clinch")
    joints[5] = Connection(knot="triple-surgeons", dropper=tag)
    hung = (
        Attachment(kind="shot", above_end_m=0.3, mass_kg=4e-4, metal="tin"),
        Attachment(kind="indicator", above_end_m=1.5, diameter_m=0.016),
        Attachment(kind="mark", above_end_m=1.0),
    )
    return leader.model_copy(update={"joints": tuple(joints), "attachments": hung})


@pytest.mark.parametrize("paper", ["a6", "a4", "3x5", "letter", "sheet"])
def test_a_card_leaves_out_nothing_one_must_know_to_tie_it(paper):
    one = card(leader=everything_at_once())
    said = words_of(one, paper)
    steps = one.evaluation.work.steps
    for step in steps:
        if step.kind != "cut":
            assert step.title in said
            assert step.brief in said
    for wanted in (
        "First double the end of the lower piece with a bimini twist of twenty turns",
        "Leave the upper tag long: 6 in when the Test dry 14 is on it, by palomar. Trim the other",
        "11¾ in above the point fly",
        "4 ft 11 in above the point fly",
        "uni knot, 6 turns above, improved clinch, 6 turns below",
        "trim the tags close, except those left long for a fly",
    ):
        assert wanted in said
    for knot in ("Bimini twist.", "Uni knot.", "Palomar.", "Triple surgeon's.", "Albright."):
        assert knot in said  # how its tags lie


def test_what_a_card_must_say_is_part_of_what_the_page_says():
    for made in (*demo_designs(demo_stock()), *demo_rigs(demo_stock())):
        for step in evaluate(made, {}, INCHES).work.steps:
            for sentence in step.brief.rstrip(".").split(". "):
                assert sentence.lower() in step.detail.lower()


def inked(page) -> float:
    """How far down a page there is text, as a share of its height."""
    lowest: list[float] = []
    page.extract_text(visitor_text=lambda text, _cm, tm, *_: text.strip() and lowest.append(tm[5]))
    return 1.0 - min(lowest) / float(page.mediabox.height)


@pytest.mark.parametrize("paper", ["a6", "a4", "3x5", "letter"])
def test_no_second_page_is_half_empty(paper):
    stock = demo_stock()
    for made in (*demo_designs(stock), *demo_rigs(stock), design(everything_at_once())):
        pages = read([Card(made, evaluate(made, {}, INCHES))], paper).pages
        assert len(pages) == 1 or all(inked(page) > 0.5 for page in pages)


def test_there_is_room_for_the_knots_on_a_sheet():
    one = card()
    names = words_of(one, "a4")
    for key in knots_tied(one.design.leader):
        assert names.count(key.replace("-", " ")) >= 2  # in a step, and under its drawing


def test_every_sign_that_a_sentence_can_contain_is_drawn():
    root = Path(nine_knots.__file__).parent
    said = {
        sign
        for file in root.rglob("*.py")
        if file.name != "text.py"  # names the ranges that XML allows
        for node in ast.walk(ast.parse(file.read_text()))
        if isinstance(node, ast.Constant) and isinstance(node.value, str)
        for sign in node.value
        if sign.isprintable() and not unicodedata.category(sign).startswith(("C", "Z"))
    }
    assert {"→", "≈", "½", "×"} <= said
    plain, signs = drawn_by(TEXT), drawn_by(SIGNS)
    assert {sign for sign in said if ord(sign) not in plain | signs} == set()
    made = card(f"≈ 5 → 6, Ωμέγα, Сёмга {''.join(sorted(said))}")
    text = words_of(made)
    for sign in ("→", "≈", "Ω", "С"):
        assert sign in text
        assert f'<font name="{SIGNS}">' in marked_up(sign)
    fonts = {
        font.get_object()["/BaseFont"].split("+")[-1]
        for page in read([made], "a6").pages
        for font in page["/Resources"]["/Font"].values()
    }
    assert any("DejaVu" in font for font in fonts)


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
        depth_table_reading(depth_table(rig, Angler(stock=demo_stock())), METRIC),
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
    assert "scan the code in Nine Knots" in found.pages[1].extract_text().replace("\n", " ")


def test_a_label_bears_a_code_and_24_still_go_on_a_sheet():
    made = card()
    labels = [Card(made.design, made.evaluation, code=True)] * 24
    found = read(labels, "labels")
    assert len(found.pages) == 1
    assert found.pages[0].extract_text().count("tied ________") == 24
