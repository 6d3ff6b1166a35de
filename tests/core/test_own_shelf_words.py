"""What is said of the own shelf: takes, what is low or old, how it is known, what differs."""

import pytest

from nine_knots.core.assess.line_age import years_old
from nine_knots.core.assess.refit import refitted
from nine_knots.core.assess.strength_known import strength_known
from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.domain.builder import Builder
from nine_knots.core.domain.ends import check_ends
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.labels import labels_in
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.strength.elements import hold_of
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.words.differences import differences, swap_words
from nine_knots.words.figure_sources import source_words
from nine_knots.words.found_by import search_words_of
from nine_knots.words.ledger import act_words, changes_by, is_low, shopping, unknown_words
from nine_knots.words.line_age import age_words
from nine_knots.words.tying import cut_length_m, takes_of
from tests.makers import INCHES, METRIC, SHELF, design, packet, spool, strand

STOCK = demo_stock()
SEDGE = demo_designs(STOCK)[0]
BY_ID = {item.spool_id: item for item in STOCK}
TODAY = "2026-11-27"


def test_takes_are_what_is_cut_by_the_own_hand_and_only_what_is_renewed():
    leader, tyer = SEDGE.leader, Builder(handiness=1.4)
    takes = takes_of(((SEDGE, 2),), tyer)
    cut = sum(2 * cut_length_m(leader, n, 1.4) for n in range(len(leader.pieces)))
    assert sum(take.amount for take in takes) == pytest.approx(cut)
    last = len(leader.pieces) - 1
    (tippet,) = takes_of(((SEDGE, 1),), only=frozenset({last}))
    assert tippet.amount == pytest.approx(cut_length_m(leader, last))
    tag_rig = next(rig for rig in demo_rigs(STOCK) if rig.title.startswith("Tag rig"))
    level = sum(piece.length_m for piece in tag_rig.leader.pieces)
    tags = sum(dropper.length_m for _, dropper in tag_rig.leader.branches)
    assert sum(take.amount for take in takes_of(((tag_rig, 1),))) > level + tags
    nobodys = takes_of(((design(), 1),))
    assert changes_by(nobodys, BY_ID) == ()
    assert "Material from no spool on your shelf (soft nylon and stiff nylon)" in unknown_words(
        nobodys, BY_ID
    )


def test_words_of_an_act_name_the_spool_or_count_them():
    one = changes_by(takes_of(((SEDGE, 1),), only=frozenset({0})), BY_ID)
    assert act_words(one, frozenset(), INCHES) == "4 ft off Amber stiff .017 in."
    several = changes_by(takes_of(((SEDGE, 1),)), BY_ID)
    assert act_words(several, frozenset(), INCHES).endswith("off six spools.")
    assert act_words((), frozenset(), INCHES) == "Nothing was taken off a spool."


@pytest.mark.parametrize(
    ("material", "thou", "bought", "old"),
    [
        ("nylon-soft", 6, "2023-11-27", True),
        ("nylon-soft", 6, "2023-11-28", False),
        ("nylon-stiff", 18, "2021-01-01", False),
        ("nylon-stiff", 18, "2020-01-01", True),
        ("fluorocarbon", 6, "1999-01-01", False),
        ("nylon-soft", 6, "2027-01-01", False),
        ("nylon-soft", 6, None, False),
    ],
)
def test_nylon_is_to_be_pulled_after_years_and_no_figure_is_made_of_it(material, thou, bought, old):
    item = spool(thou, material).evolve(bought_on=bought)
    assert bool(age_words(item, TODAY)) == old
    assert item.strand.breaking_n == spool(thou, material).strand.breaking_n


def test_years_are_whole_ones():
    item = spool(6).evolve(bought_on="2024-11-28")
    assert years_old(item, TODAY) == 1
    assert years_old(item, "2026-11-28") == 2


def test_little_is_less_than_three_of_the_largest_takes():
    item = spool(6, left_m=2.9)
    assert is_low(item, 1.0)
    assert not is_low(item, 0.9)
    assert is_low(item, None)
    assert not is_low(packet(2), None)


def test_the_list_tells_what_lacks_then_what_is_low_then_what_is_old():
    old = spool(6, "nylon-soft").evolve(bought_on="2019-01-01")
    stock = (old, spool(18, left_m=1.0), spool(15, left_m=50.0))
    rows = shopping(stock, takes_of(((SEDGE, 1),)), {}, TODAY, INCHES)
    lacking = [row for row in rows if row.why.endswith("for the leaders to be tied")]
    assert rows[: len(lacking)] == tuple(lacking)
    assert [row.why for row in rows[len(lacking) :]] == [
        "3.5 ft left",
        "seven years old; nylon weakens with age and sun: pull-test it or renew it",
    ]


def test_it_is_said_where_figures_come_from():
    plain = spool(6, "nylon-soft")
    assert source_words(plain, METRIC)[0] == "Diameter as sold, ± 0.026."
    by = MeasuredSpread(off=0.01, readings=9)
    measured = plain.evolve(strand=plain.strand.evolve(across_by=by, modulus_by=by))
    said = source_words(measured, METRIC)
    assert said[0] == "Measured, nine readings: 0.152 mm ± 0.004."
    assert said[2] == "Stiffness measured, ± 2%."


def test_hold_is_known_by_label_law_or_pulls():
    leader = design().leader
    hold = hold_of(leader)
    assert strength_known(leader, hold).by == "law"
    own = tuple(
        PulledKnot(knot=knot, family="nylon", factor=1.0, tests=4)
        for knot in ("improved-clinch", "blood", "double-surgeons", "perfection-loop")
    )
    assert strength_known(leader, hold, own).by == "pulls"


def test_two_ends_are_of_one_stuff_and_size():
    one = spool(18)
    check_ends(one, spool(18.3).evolve(spool_id="b", strand=strand(18.3, spool_id="b")))
    for other in (one, spool(15), spool(18, "nylon-soft"), packet()):
        with pytest.raises(OutOfRange):
            check_ends(one, other)


def test_somebody_elses_leader_is_of_the_nearest_spools_and_the_same_length():
    for made in (*demo_designs(STOCK), *demo_rigs(STOCK)):
        same, swaps = refitted(made, STOCK)
        assert swap_words(swaps, INCHES) == ("All of it is of spools that you own.",)
        assert same.leader == made.leader
        here, _ = refitted(made, SHELF)
        assert here.leader.length_m == pytest.approx(made.leader.length_m, rel=0.05)
        ids = {piece.strand.spool_id for piece in here.leader.pieces}
        assert ids <= {*(item.spool_id for item in SHELF), None}


def test_what_differs_is_said_piece_by_piece():
    assert differences(SEDGE, SEDGE, INCHES) == ("No differences.",)
    pieces = list(SEDGE.leader.pieces)
    pieces[-1] = pieces[-1].evolve(length_m=1.0)
    other = SEDGE.evolve(leader=SEDGE.leader.evolve(pieces=tuple(pieces)), notes="Longer.")
    said = differences(SEDGE, other, INCHES)
    assert [entry.split(":")[0] for entry in said] == [
        "Whole length",
        "Piece 6",
        "The notes changed.",
    ]


def test_a_leader_is_found_by_what_one_remembers_of_it():
    words = search_words_of(SEDGE)
    for remembered in ("sedge", "grayling", "5x", ".006", "0.15", "blood", "stiff", "pocket"):
        assert remembered in words
    assert labels_in(" a , b,A ") == ("a", "b")
    with pytest.raises(OutOfRange):
        labels_in("x" * 31)
