"""From the design to the table: what to cut, in which order to tie."""

import pytest

from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.words.tying.cutting import cut_length_m
from nine_knots.words.tying.steps import cautions_for, work_order
from tests.makers import DRY, INCHES, PLAIN, knotless, level, tied


def test_a_cut_is_longer_by_what_its_two_knots_use():
    for number, piece in enumerate(PLAIN.pieces):
        extra = cut_length_m(PLAIN, number) - piece.length_m
        assert 0.08 < extra < 0.25
    assert cut_length_m(PLAIN, 0, handiness=0.5) < cut_length_m(PLAIN, 0)


def test_the_work_goes_from_cutting_to_the_fly_and_a_last_measure():
    order = work_order(PLAIN, DRY, {"x": "X"}, INCHES)
    kinds = [step.kind for step in order.steps]
    assert kinds == ["cut"] * 4 + ["straighten"] + ["join"] * 3 + ["loop", "fly", "check"]
    assert order.steps[0].title == f"Cut {order.rows[0].cut.text} of .018 in"
    assert "blood knot, 5 turns above, 6 below" in order.steps[5].title
    assert DRY.title in order.steps[-2].detail
    assert order.steps[-1].title == "Measure: 9 ft from loop to fly"


def test_a_knotless_taper_says_what_to_cut_off_and_what_tip_that_leaves():
    leader = tied(knotless(cut_butt_m=0.3, cut_tip_m=0.9), level(7, 2, "tippet"))
    row = work_order(leader, DRY, {}, INCHES).rows[0]
    assert "off the butt" in row.note
    assert "off the tip" in row.note
    assert "its tip is then .0105 in" in row.note


def test_a_taper_used_whole_says_so_and_warns_when_its_knots_eat_into_it():
    leader = tied(knotless(), level(7, 2, "tippet"))
    row = work_order(leader, DRY, {}, INCHES).rows[0]
    assert row.note.startswith("Use it whole.")
    assert "comes out shorter" in row.note
    assert row.cut.si == pytest.approx(2.7)


def test_cautions_follow_the_materials():
    plain = cautions_for(PLAIN)
    heavy = cautions_for(tied(level(30, 3), level(20, 2)))
    swivel = Connection(kind="swivel", knot="haywire", upper_knot="improved-clinch")
    wired = Leader(
        pieces=(level(17, 3), level(13, 1, "bite", "wire-single")),
        joints=(PLAIN.joints[0], swivel, Connection(knot="haywire")),
    )
    assert any("eye protection" in said for said in plain)
    assert any("bare hands or teeth" in said for said in heavy)
    assert any("Wire ends" in said for said in cautions_for(wired))
    assert not any("Wire" in said for said in plain)
