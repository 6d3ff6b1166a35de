"""Files in open formats: a round trip loses nothing, a bad file says where it is wrong."""

import json
import math
from xml.etree import ElementTree

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from jsonschema import Draft202012Validator

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Attachment, Connection, Leader
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.formats.card import Card
from nine_knots.formats.errors import FileRefused
from nine_knots.formats.leader_csv import read_csv, write_csv
from nine_knots.formats.leader_json import read_json, schema, write_json
from nine_knots.formats.strip_svg import write_svg
from nine_knots.formats.tying_pdf import write_pdf
from nine_knots.words.evaluation import evaluate
from tests.makers import INCHES, PLAIN, design, knotless, level, tied
from tests.running import PROJECT

RIGS = demo_rigs(demo_stock())
DEMO = (*demo_designs(demo_stock()), *RIGS)
RINGED = Leader(
    pieces=(knotless(cut_tip_m=0.123456789, strength_n=28.1), level(6, 2.3, "tippet")),
    joints=(
        PLAIN.joints[0],
        Connection(kind="ring", knot="uni", upper_knot="improved-clinch"),
        Connection(knot="non-slip-loop"),
    ),
    school="sixty-twenty-twenty-knotless",
)


@pytest.mark.parametrize("made", [*DEMO, design(RINGED)], ids=lambda d: d.title)
def test_a_round_trip_is_lossless(made):
    assert read_json(write_json(made)) == made
    if made.leader.flies_above or made.leader.attachments:
        with pytest.raises(FileRefused, match="can't hold droppers"):
            write_csv(made.leader)
        return
    assert read_csv(write_csv(made.leader)) == made.leader


def test_wear_goes_along_and_an_older_table_without_it_still_reads():
    worn = level(9, 2, "tippet").model_copy(update={"wear": "nicked"})
    text = write_csv(tied(level(12, 3, "butt"), worn))
    assert read_csv(text).pieces[1].wear == "nicked"
    older = "\n".join(line.rsplit(",", 1)[0] for line in text.splitlines())
    assert read_csv(older).pieces[1].wear == "new"


@settings(max_examples=40)
@given(st.lists(st.tuples(st.floats(3, 40), st.floats(0.1, 3)), min_size=1, max_size=8))
def test_any_figures_survive_a_round_trip(parts):
    leader = tied(*[level(thou, feet) for thou, feet in parts])
    assert read_csv(write_csv(leader)) == leader
    assert read_json(write_json(design(leader))).leader == leader


def test_a_file_keeps_to_the_published_schema():
    published = (PROJECT / "docs" / "leader.schema.json").read_text()
    assert json.loads(published) == schema()
    validator = Draft202012Validator(schema())
    for made in DEMO:
        validator.validate(json.loads(write_json(made)))
    broken = json.loads(write_json(DEMO[0]))
    broken["design"]["leader"]["pieces"][0]["length_m"] = -1
    assert not validator.is_valid(broken)


def changed(**at) -> str:
    found = json.loads(write_json(DEMO[0]))
    for path, value in at.items():
        place = found
        *way, last = path.split("__")
        for step in way:
            place = place[int(step) if step.isdigit() else step]
        place[last] = value
    return json.dumps(found)


@pytest.mark.parametrize(
    ("text", "where", "says"),
    [
        ('{\n  "format": "nine-knots-leader",\n  oops\n}', "line 3", "not valid JSON"),
        ("[]", "format", "not a nine-knots-leader"),
        ('"x"', "format", "not a nine-knots-leader"),
        (changed(version=5), "version", "up to 4"),
        (changed(design__title=""), "design.title", "at least 1"),
        (changed(design__leader__pieces__0__length_m=-3), "length_m", "greater than 0"),
        (changed(design__leader__pieces__0__length_m=1e308), "length_m", "less than"),
        (changed(design__leader__joints=[]), "design.leader.joints", "at least 2"),
        (changed(design__surprise=1), "design.surprise", "not permitted"),
        (changed(design__notes="x" * 5000), "design.notes", "at most 4000"),
        (changed(design__leader__pieces__0__length_m=math.nan), "", "NaN"),
        ("[" * 100_000, "", ""),
        ("x" * 300_000, "", "larger than"),
    ],
    ids=lambda v: str(v)[:24],
)
def test_a_bad_json_file_is_refused_with_the_place(text, where, says):
    with pytest.raises(FileRefused) as refused:
        read_json(text)
    assert where in refused.value.where
    assert says in refused.value.what


CSV = write_csv(PLAIN)


def csv_with(line: int, old: str, new: str) -> str:
    lines = CSV.splitlines()
    assert old in lines[line - 1]
    lines[line - 1] = lines[line - 1].replace(old, new, 1)
    return "\n".join(lines) + "\n"


@pytest.mark.parametrize(
    ("text", "says"),
    [
        ("", "Columns are missing"),
        ("a,b\n1,2\n", "Columns are missing"),
        (csv_with(2, "1.219", "long"), "Line 2, length_m"),
        (csv_with(3, "nylon-stiff", "string"), "Line 3, material"),
        (csv_with(3, "blood", "granny"), "Line 3, knot"),
        (csv_with(2, "level", "spiral"), "Line 2, form"),
        ("\n".join(CSV.splitlines()[:-1]) + "\n", "make a leader"),
        (CSV.splitlines()[0] + "\n", "Columns are missing"),
        (CSV + "loops\n", "Line 7"),
        (CSV.replace("\n", "\n" * 40_000, 3), "larger than"),
    ],
    ids=lambda v: str(v)[-24:],
)
def test_a_bad_table_is_refused_with_line_and_column(text, says):
    with pytest.raises(FileRefused) as refused:
        read_csv(text)
    assert says in refused.value.what


def test_a_table_from_a_spreadsheet_with_a_mark_before_it_is_read():
    assert read_csv("\ufeff" + CSV) == PLAIN


def test_a_table_has_no_place_for_what_hangs_along_the_line():
    hung = Leader.model_validate(
        {
            **PLAIN.model_dump(),
            "attachments": [Attachment(kind="shot", above_end_m=0.3, mass_kg=4e-4)],
        }
    )
    with pytest.raises(FileRefused, match="hold droppers"):
        write_csv(hung)
    assert read_json(write_json(design(hung))).leader == hung


@settings(max_examples=150)
@given(st.text(max_size=200) | st.binary(max_size=200).map(lambda b: b.decode("latin-1")))
def test_rubbish_is_refused_not_crashed_on(text):
    for read in (read_json, read_csv):
        with pytest.raises(FileRefused):
            read(text)


def test_the_strip_is_a_scale_drawing():
    made: Design = DEMO[0].model_copy(update={"title": 'A <b> & "c"'})
    reading = evaluate(made, {}, INCHES)
    root = ElementTree.fromstring(write_svg(made, reading))
    space = "{http://www.w3.org/2000/svg}"
    assert root.find(f"{space}title").text == made.title
    shapes = root.findall(f"{space}polygon")
    assert len(shapes) == len(reading.outline)

    def width(shape) -> float:
        xs = [float(pair.split(",")[0]) for pair in shape.get("points").split()]
        return max(xs) - min(xs)

    per_m = [width(s) / (p.to_m - p.from_m) for s, p in zip(shapes, reading.outline, strict=True)]
    assert max(per_m) == pytest.approx(min(per_m), rel=0.01)
    assert len(root.findall(f"{space}circle")) == len(reading.joints)


def test_control_characters_leave_the_picture_and_the_card_whole():
    plain = design()
    title = "Bell \x07 and <tag> & \ufffe“quote”"
    made = plain.model_copy(update={"title": title, "notes": "\x00\x1b[31m"})
    reading = evaluate(made, {}, INCHES)
    root = ElementTree.fromstring(write_svg(made, reading))
    assert root.findtext("{http://www.w3.org/2000/svg}title") == "Bell  and <tag> & “quote”"
    assert write_pdf((Card(made, reading),), "a6").startswith(b"%PDF")


def test_the_strip_as_svg_shows_what_hangs_on_it():
    rig = next(item for item in RIGS if item.leader.indicator)
    text = write_svg(rig, evaluate(rig, {}, INCHES))
    titles = {
        element.text
        for element in ElementTree.fromstring(text).iter()
        if element.tag.endswith("title")
    }
    assert any(title.startswith("Indicator") for title in titles)
    assert any("in line" in title or "dropper" in title for title in titles)


def test_a_file_from_before_rigs_is_read_with_nothing_hung_on_it():
    file = json.loads(write_json(design()))
    old = file["design"]
    for key in ("temperature_c", "rules"):
        del old["situation"]["water"][key]
    for key in ("sink_m_s", "barbless", "tube"):
        del old["situation"]["fly"][key]
    del old["situation"]["line"]["sink_tip_m"]
    for joint in old["leader"]["joints"]:
        del joint["fly"], joint["tied_from"]
    assert read_json(json.dumps(file)) == design()
