"""What is owned, as it is said: lines are read, presumptions marked, nonsense refused by name."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from nine_knots.core.base.errors import NineKnotsError, OutOfRange
from nine_knots.core.base.units.factors import INCH_M, THOU_M
from nine_knots.core.domain.as_sold import bought_profile
from nine_knots.core.domain.materials import MATERIALS
from nine_knots.core.domain.strand import Packet, Spool, Strand, TaperedStrand
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod
from nine_knots.demo.shelf import demo_stock
from nine_knots.demo.tackle import FLIES, LINES, RODS
from nine_knots.parsing.labels import owned_text
from nine_knots.parsing.line import MOST_LINES, parse_owned, parse_owned_lines
from nine_knots.parsing.starters import STARTERS
from tests.makers import INCHES, METRIC


def of(text, units=INCHES):
    """The thing, and what of it is presumed, as one text."""
    found = parse_owned(text, units)
    return found.thing, ", ".join(found.presumed)


def test_spools_by_size_or_label():
    fine, presumed = of("5X fluoro 30 m")
    assert (fine.strand.material, fine.remaining_m) == ("fluorocarbon", 30.0)
    assert fine.strand.diameter_m == pytest.approx(6 * THOU_M)
    assert presumed == "breaks at about 4.4 lb"
    butt, presumed = of(".017 stiff nylon 50 yd 20 lb")
    assert (butt.strand.material, presumed) == ("nylon-stiff", "")
    assert butt.strand.strength_n == pytest.approx(88.96, abs=0.02)
    salt, presumed = of("40 lb salt mono")
    assert salt.strand.estimated
    assert (salt.strand.material, presumed) == ("nylon-medium", "≈.0245 in, 75 ft left")
    assert of("40 lb hard mono")[1] == "≈.026 in, 75 ft left"
    nylon, presumed = of("0.15 mm nylon, 25 m", METRIC)
    assert (nylon.strand.material, "soft nylon" in presumed) == ("nylon-soft", True)
    assert of(".010 sighter mono 20 ft")[0].strand.colour == "sighter"


def test_tapers_rods_lines_and_flies():
    taper, presumed = of("9 ft 4X tapered, 3 left")
    assert (taper.count, presumed) == (3, "butt .021 in, medium nylon")
    assert "a bought taper" in of("9 ft 4X")[1]
    rod, presumed = of("9 ft 5 wt, medium")
    assert (rod.weight, rod.action, presumed) == (5, "medium", "")
    line, presumed = of("8 wt floating, loop")
    assert (line.weight, line.sinking, presumed) == (8, "floating", "standard front taper")
    assert (of("WF5F")[0].weight, of("wf-8-i")[0].sinking) == (5, "intermediate")
    tip = of("8 wt 10 ft sink tip")[0]
    assert (tip.sinking, tip.sink_tip_m) == ("sink-3", pytest.approx(3.048))
    dry = of("size 14 bushy dry")[0]
    assert (dry.kind, dry.hook, dry.bulk, dry.title) == ("dry", 14, "bushy", "Dry 14")
    bait, presumed = of("4 in baitfish 1.3 g")
    assert (bait.weighed_kg, bait.dressing) == (pytest.approx(1.3e-3), "sheds")
    assert "hook 2/0" in presumed
    bug = of("Copper bug 14 nymph 3 mm brass bead barbless")[0]
    assert (bug.title, bug.bead, bug.barbless) == (
        "Copper bug 14",
        Bead(diameter_mm=3.0, metal="brass"),
        True,
    )


@pytest.mark.parametrize(
    ("text", "what", "hint"),
    [
        ("30 m", "no diameter and no strength", "5X, .017"),
        ("hello 5X nylon 30 m", "“hello” doesn't describe a spool", "or leave it out"),
        ("size 14", "no kind of fly", "Add dry"),
        ("20 wt floating", "no line weight from 1 to 14", "5 wt"),
        ("5 wt", "no rod length", "9 ft 5 wt"),
        ("2/0 streamer 20 g", "heavier than any castable fly", "15 g"),
        ("knotless 9 ft", "its length or tip", "9 ft 4X tapered"),
        ("bushy dry", "says no hook", "size 14"),
        (".9 nylon 10 m", "outside", "If you meant .9 mm"),
    ],
)
def test_what_cannot_be_read_is_refused_with_what_was_expected(text, what, hint):
    with pytest.raises(NineKnotsError) as refused:
        parse_owned(text, INCHES)
    assert what in refused.value.what
    assert hint in refused.value.hint


def test_a_list_or_a_table_is_read_line_by_line():
    rows = parse_owned_lines(
        'what,of,left\n5X,fluoro,30 m\n\n"9 ft 4X tapered","3 left"\nodd', INCHES
    )
    assert [row.number for row in rows] == [2, 4, 5]
    assert [row.understood.kind if row.understood else None for row in rows] == [
        "spool",
        "packet",
        None,
    ]
    assert rows[2].hint
    with pytest.raises(OutOfRange, match="too many"):
        parse_owned_lines("5X fluoro 30 m\n" * (MOST_LINES + 1), INCHES)


def test_starter_shelves_are_read_whole_and_tie_a_leader():
    for starter in STARTERS:
        for units in (INCHES, METRIC):
            rows = parse_owned_lines("\n".join(starter.lines), units)
            assert all(row.understood for row in rows), [r for r in rows if not r.understood]
        assert {row.understood.kind for row in rows} >= {"spool", "rod", "line", "fly"}


SPOOLS = st.builds(
    lambda material, thou, label, left, colour: Spool(
        spool_id="new",
        title="A spool",
        strand=Strand(
            material=material,
            diameter_m=thou / 2 * THOU_M,
            strength_n=label and label * 4.448,
            colour=colour,
            spool_id="new",
        ),
        remaining_m=left,
    ),
    st.sampled_from([key for key in MATERIALS if key != "braided-loop"]),
    st.integers(6, 80),
    st.none() | st.integers(2, 90),
    st.floats(1.0, 400.0),
    st.sampled_from(["plain", "sighter"]),
)
PACKETS = st.builds(
    lambda quarters, thou, count: Packet(
        spool_id="new",
        title="Some tapers",
        strand=TaperedStrand(
            material="nylon-medium",
            profile=bought_profile(quarters * INCH_M / 4, thou * THOU_M),
            estimated=True,
            spool_id="new",
        ),
        count=count,
    ),
    st.integers(200, 800),
    st.integers(4, 17),
    st.integers(1, 99),
)
RODS_SAID = st.builds(
    lambda length, weight, action: Rod(
        title="A rod", length_m=length, weight=weight, action=action
    ),
    st.floats(1.6, 5.9),
    st.integers(1, 14),
    st.sampled_from(["soft", "medium", "fast"]),
)
LINES_SAID = st.builds(
    lambda **fields: FlyLine(title="A line", **fields),
    weight=st.integers(1, 14),
    half_sizes_heavy=st.integers(0, 2),
    sinking=st.sampled_from(["floating", "intermediate", "sink-1", "sink-6"]),
    front_taper=st.sampled_from(["short", "standard", "long"]),
    tip=st.sampled_from(["loop", "bare"]),
)
FLIES_SAID = st.builds(
    lambda **fields: Fly(title="A fly", **fields),
    kind=st.sampled_from(["dry", "foam", "nymph", "wet", "streamer", "predator"]),
    hook=st.integers(-6, 24),
    bulk=st.sampled_from(["slim", "standard", "bushy"]),
    length_m=st.none() | st.floats(0.02, 0.3),
    dressing=st.sampled_from([None, "soaks", "sheds"]),
    bead=st.none() | st.builds(Bead, diameter_mm=st.sampled_from([2.0, 2.8, 4.6])),
    head=st.sampled_from([None, "small cone", "large eyes"]),
    weighed_kg=st.none() | st.floats(1e-5, 0.014),
    barbless=st.booleans(),
    tube=st.booleans(),
    trailing_hook=st.booleans(),
)


@given(
    thing=st.one_of(SPOOLS, PACKETS, RODS_SAID, LINES_SAID, FLIES_SAID),
    units=st.sampled_from([INCHES, METRIC]),
)
def test_what_is_printed_back_is_read_to_the_same(thing, units):
    said = owned_text(thing, units)
    again = parse_owned(said, units).thing
    assert type(again) is type(thing)
    assert owned_text(again, units) == said
    assert again.title == thing.title
    if isinstance(thing, Spool | Packet):
        assert again.strand.material == thing.strand.material
    else:
        loose = {"length_m", "weighed_kg"}
        for name in set(type(thing).model_fields) - loose:
            assert getattr(again, name) == getattr(thing, name), name


def test_the_demos_things_are_printed_and_read_but_for_what_a_line_cannot_say():
    for thing in (*demo_stock(), *RODS.values(), *LINES.values(), *FLIES.values()):
        said = owned_text(thing, INCHES)
        if said is not None:
            assert owned_text(parse_owned(said, INCHES).thing, INCHES) == said
    measured = next(item for item in demo_stock() if isinstance(item, Packet))
    assert owned_text(measured, INCHES) is None or measured.strand.estimated
