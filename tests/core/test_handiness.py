"""The hand that ties: allowances, arm spans, the leader as tied, batches, step by step."""

import pytest

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.units.factors import INCH_M
from nine_knots.core.domain.builder import Builder
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.words.tying.as_tied import as_tied
from nine_knots.words.tying.batch import batch_of
from nine_knots.words.tying.companion import screens
from nine_knots.words.tying.cutting import cut_length_m
from nine_knots.words.tying.hand import hand_of, shown_handiness
from nine_knots.words.tying.spans import in_spans
from nine_knots.words.tying.steps import work_order
from tests.makers import DRY, INCHES, METRIC, PLAIN, SHELF, design, knotless, level, packet, tied


def test_a_hand_is_learnt_from_what_pieces_came_out_at():
    cut = cut_length_m(PLAIN, 1)
    assert shown_handiness(PLAIN, 1, cut, PLAIN.pieces[1].length_m) == pytest.approx(1.0)
    thrifty = PLAIN.pieces[1].length_m + cut_length_m(PLAIN, 1) - cut_length_m(PLAIN, 1, 0.6)
    assert shown_handiness(PLAIN, 1, cut, thrifty) == pytest.approx(0.6)
    none, one, many = hand_of(()), hand_of((0.6,)), hand_of((0.6,) * 40)
    assert (none.mean, none.pieces) == (1.0, 0)
    assert 0.6 < many.mean < 0.66 < one.mean < 1.0
    assert many.spread < one.spread < none.spread
    # what one cuts by it then comes out as wanted
    assert cut_length_m(PLAIN, 1, many.mean) < cut


@pytest.mark.parametrize(
    ("inches", "said"),
    [
        (70, "1 arm span"),
        (35, "hand to breastbone"),
        (105, "1 arm span + hand to breastbone"),
        (38, "hand to breastbone + 3 in"),
        (135, "2 arm spans − 5 in"),
        (14, "0.4 of hand to breastbone"),
        (3, ""),
    ],
)
def test_lengths_without_a_tape(inches, said):
    """Common practice, no source: arm span is close to height, hand to breastbone half of it."""
    assert in_spans(inches * INCH_M, 70 * INCH_M, INCHES) == said
    assert in_spans(inches * INCH_M, None, INCHES) == ""


def test_a_cut_list_follows_the_tyer():
    usual = work_order(PLAIN, DRY, {}, INCHES)
    mine = work_order(PLAIN, DRY, {}, INCHES, Builder(handiness=0.6, height_m=1.8))
    assert all(m.cut.si < u.cut.si for m, u in zip(mine.rows, usual.rows, strict=True))
    assert usual.rows[0].spans == ""
    assert "breastbone" in mine.rows[0].spans


def test_the_leader_as_tied_has_its_true_lengths():
    true = as_tied(PLAIN, (None, 0.55, None, 0.6), METRIC)
    assert [round(p.length_m, 3) for p in true.pieces][1::2] == [0.55, 0.6]
    assert true.pieces[0] == PLAIN.pieces[0]
    assert true.joints == PLAIN.joints
    taper = tied(knotless(), level(7, 2, "tippet"))
    shorter = as_tied(taper, (2.6, None), METRIC)
    assert shorter.pieces[0].length_m == pytest.approx(2.6)
    assert shorter.pieces[0].lower_diameter_m >= taper.pieces[0].lower_diameter_m
    with pytest.raises(OutOfRange, match="too far off") as refused:
        as_tied(PLAIN, (None, 5.0, None, None), METRIC)
    assert refused.value.where == "came_out.1"


def test_a_batch_adds_up_and_says_what_runs_out():
    shelf_ids = {"0": "nylon-stiff-180", "1": "nylon-stiff-150"}
    stuff = [SHELF[4].strand, SHELF[7].strand]
    leader = Leader(
        pieces=tuple(
            level(18, 10, "butt").model_copy(update={"strand": strand}) for strand in stuff
        ),
        joints=tied(level(18, 1), level(15, 1)).joints,
    )
    assert {piece.strand.spool_id for piece in leader.pieces} <= set(shelf_ids.values()) | {
        "nylon-stiff-160"
    }
    some = batch_of(((design(leader), 2),), SHELF, METRIC)
    assert some.words == "The shelf has everything."
    assert not any(row.short for row in some.rows)
    each = sum(cut_length_m(leader, i) for i in range(2))
    assert 6.0 < each < 6.6
    many = batch_of(((design(leader), 12),), SHELF, METRIC)
    assert many.words.startswith("Runs out: ")
    assert all(row.short for row in many.rows)
    loose = batch_of(((design(PLAIN), 1),), SHELF, METRIC)
    assert "no spool of yours" in loose.rows[0].stock
    piece = knotless().model_copy(update={"strand": packet(1).strand})
    tapers = batch_of(((design(tied(piece)), 3),), (packet(2),), METRIC)
    assert (tapers.rows[0].takes, tapers.rows[0].short) == ("3 of them", True)


def test_the_work_is_one_step_a_screen_and_ends_with_measuring():
    shown = screens(PLAIN, DRY, {}, INCHES, Builder(height_m=1.8))
    kinds = [screen.kind for screen in shown]
    assert kinds == (["cut"] * 4 + ["straighten"] + ["tie", "draw", "check"] * 5 + ["measure"] * 4)
    assert [s.joint for s in shown if s.kind == "tie"] == [1, 2, 3, 0, 4]
    check = next(s for s in shown if s.kind == "check")
    assert "tug to " in check.title
    assert "opposite sides" in check.detail
    seat = next(s for s in shown if s.kind == "draw" and s.joint == 0)
    assert "seat square" in seat.detail


def test_spool_by_spool_a_piece_is_cut_where_it_is_joined():
    shown = screens(PLAIN, DRY, {}, INCHES, order="spool by spool")
    kinds = [screen.kind for screen in shown]
    assert kinds == ["cut", "tie", "check"] * 4 + ["tie", "check"] + ["measure"] * 4
    assert [s.piece for s in shown if s.kind == "cut"] == [0, 1, 2, 3]
    assert [s.joint for s in shown if s.kind == "tie"] == [0, 1, 2, 3, 4]
    both = next(s for s in shown if s.kind == "check" and s.joint == 1)
    assert "Dip in water, and draw up; check, tug to" in both.title
    assert "opposite sides" in both.detail
    assert len(shown) < len(screens(PLAIN, DRY, {}, INCHES))


def test_a_swivels_two_knots_are_two_steps():
    ringed = PLAIN.model_copy(
        update={
            "joints": (
                *PLAIN.joints[:2],
                Connection(kind="swivel", knot="uni", upper_knot="improved-clinch"),
                *PLAIN.joints[3:],
            )
        }
    )
    for order in ("cut first", "spool by spool"):
        knots = [
            s.knot
            for s in screens(ringed, DRY, {}, INCHES, order=order)
            if s.kind == "tie" and s.joint == 2
        ]
        assert knots == ["improved-clinch", "uni"]


def test_cautions_stand_at_the_step_they_are_for():
    heavy = screens(tied(level(30, 3), level(27, 2)), DRY, {}, INCHES)
    assert "never bare hands or teeth" in next(s for s in heavy if s.kind == "draw").caution
    wired = Leader(
        pieces=(level(17, 3), level(13, 1, "bite", "wire-single")),
        joints=(
            PLAIN.joints[0],
            Connection(kind="swivel", knot="haywire", upper_knot="improved-clinch"),
            Connection(knot="haywire"),
        ),
    )
    haywire = [s for s in screens(wired, DRY, {}, INCHES) if s.knot == "haywire"]
    assert all("Wire ends cut" in s.caution for s in haywire)
    assert "hook's point" in screens(PLAIN, DRY, {}, INCHES)[-5].caution
