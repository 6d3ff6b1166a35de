"""Every change to a leader gives a leader again, or a refusal with the mend."""

from contextlib import suppress

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nine_knots.core.base.errors import EditRefused, NineKnotsError, Unreadable
from nine_knots.core.base.units.factors import FOOT_M, INCH_M, THOU_M
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import (
    CutBack,
    Delete,
    Insert,
    Merge,
    MoveJoint,
    NudgeJoint,
    SetJoint,
    SetLength,
    SetRole,
    Split,
    StepStock,
    UseStock,
)
from nine_knots.core.domain.leader.resizing import SHORTEST_PIECE_M
from tests.makers import METRIC, PLAIN, SHELF, knotless, level, spool, tied, workbench

BENCH = workbench()


def lengths_in(leader: Leader) -> list[float]:
    return [round(piece.length_m / INCH_M, 6) for piece in leader.pieces]


def test_a_joint_trades_length_between_its_pieces():
    after = apply_edit(PLAIN, MoveJoint(joint=1, to_m=3.52 * FOOT_M), BENCH)
    assert lengths_in(after) == [42.25, 29.75, 12, 24]
    assert after.length_m == pytest.approx(PLAIN.length_m)


def test_a_drag_stops_at_what_is_possible():
    after = apply_edit(PLAIN, MoveJoint(joint=1, to_m=50.0), BENCH)
    assert after.pieces[1].length_m == pytest.approx(SHORTEST_PIECE_M)
    assert after.length_m == pytest.approx(PLAIN.length_m)


def test_the_end_lengthens_the_leader_in_steps_the_angler_can_read():
    grown = apply_edit(PLAIN, MoveJoint(joint=4, to_m=10 * FOOT_M + 0.003), BENCH)
    assert lengths_in(grown)[-1] == 36.0
    metric = apply_edit(PLAIN, MoveJoint(joint=4, to_m=3.001), workbench(units=METRIC))
    assert metric.pieces[-1].length_m == pytest.approx(0.865, abs=1e-9)


def test_nudges_add_up_in_the_anglers_own_steps():
    leader = PLAIN
    for _ in range(5):
        leader = apply_edit(leader, NudgeJoint(joint=1, steps=-2), BENCH)
    assert lengths_in(leader)[:2] == [45.5, 26.5]
    metric = apply_edit(PLAIN, NudgeJoint(joint=4, steps=3), workbench(units=METRIC))
    assert metric.length_m == pytest.approx(PLAIN.length_m + 0.015, abs=0.003)


def test_the_lines_tip_does_not_move():
    with pytest.raises(EditRefused, match="stays there"):
        apply_edit(PLAIN, MoveJoint(joint=0, to_m=0.5), BENCH)


def test_a_typed_length_is_read_or_refused():
    assert lengths_in(apply_edit(PLAIN, SetLength(piece=1, length="1 ft 8 in"), BENCH))[1] == 20
    with pytest.raises(Unreadable):
        apply_edit(PLAIN, SetLength(piece=1, length="a bit"), BENCH)


def test_a_knotless_taper_gives_and_takes_what_was_cut():
    leader = tied(knotless(cut_tip_m=0.7), level(7, 2, "tippet"))
    grown = apply_edit(leader, SetLength(piece=0, length=2.3), BENCH)
    assert grown.pieces[0].cut_tip_m == pytest.approx(0.4)
    with pytest.raises(EditRefused, match="only 8 ft 10¼ in left"):
        apply_edit(leader, SetLength(piece=0, length=2.8), BENCH)
    cut = apply_edit(leader, CutBack(piece=0, end="butt", length="10 cm"), BENCH)
    assert (cut.pieces[0].cut_butt_m, cut.pieces[0].length_m) == (
        pytest.approx(0.1),
        pytest.approx(1.9),
    )
    # a drag of the joint below it takes from the tip, and no more than the taper has
    pulled = apply_edit(leader, MoveJoint(joint=1, to_m=2.9), BENCH)
    assert pulled.pieces[0].length_m == pytest.approx(2.0 + 2 * FOOT_M - SHORTEST_PIECE_M)


def test_a_level_piece_is_not_cut_back():
    with pytest.raises(EditRefused, match="knotless taper"):
        apply_edit(PLAIN, CutBack(piece=0, end="tip", length="1 in"), BENCH)


def test_another_material_is_tied_with_knots_that_hold_it():
    after = apply_edit(PLAIN, UseStock(piece=3, spool_id="fluorocarbon-70"), BENCH)
    assert after.pieces[3].strand.spool_id == "fluorocarbon-70"
    assert after.joints[3].knot != "blood"
    same = apply_edit(PLAIN, UseStock(piece=3, spool_id="nylon-soft-60"), BENCH)
    assert same.joints == PLAIN.joints


def test_stepping_goes_through_the_owned_spools_of_the_same_kind():
    thou = []
    leader = PLAIN
    for _ in range(3):
        leader = apply_edit(leader, StepStock(piece=0, by=-1), BENCH)
        thou.append(round(leader.pieces[0].lower_diameter_m / THOU_M, 3))
    assert thou == [17, 16, 15]
    wire = apply_edit(PLAIN, UseStock(piece=3, spool_id="wire-single-130"), BENCH)
    with pytest.raises(EditRefused, match="no thicker spool"):
        apply_edit(wire, StepStock(piece=3, by=1), BENCH)


def test_split_and_merge_undo_each_other():
    parted = apply_edit(PLAIN, Split(piece=0), BENCH)
    assert lengths_in(parted)[:2] == [24, 24]
    merged = apply_edit(parted, Merge(piece=0), BENCH)
    assert merged.pieces == PLAIN.pieces


def test_a_new_piece_comes_from_the_spool_between_its_neighbours():
    after = apply_edit(PLAIN, Insert(joint=3), BENCH)
    assert len(after.pieces) == 5
    assert 7 * THOU_M < after.pieces[3].upper_diameter_m < 12 * THOU_M
    first = apply_edit(PLAIN, Insert(joint=0), BENCH)
    last = apply_edit(PLAIN, Insert(joint=4), BENCH)
    assert (first.pieces[0].role, last.pieces[-1].role) == ("butt", "tippet")
    assert last.joints[-1] == PLAIN.joints[-1]
    assert last.pieces[-1].upper_diameter_m == pytest.approx(6 * THOU_M)  # the next thinner
    assert last.pieces[-1].strand.material == PLAIN.pieces[-1].strand.material


def test_the_last_piece_stays():
    with pytest.raises(EditRefused, match="last piece"):
        apply_edit(tied(level(18, 4)), Delete(piece=0), BENCH)


def test_a_joint_can_be_tied_otherwise_and_a_piece_be_named_otherwise():
    ring = Connection(kind="ring", knot="uni", upper_knot="improved-clinch")
    assert apply_edit(PLAIN, SetJoint(joint=3, tied=ring), BENCH).joints[3] == ring
    with pytest.raises(EditRefused, match="joins two pieces"):
        apply_edit(PLAIN, SetJoint(joint=4, tied=ring), BENCH)
    assert apply_edit(PLAIN, SetRole(piece=3, role="bite"), BENCH).pieces[3].role == "bite"


def test_what_is_not_there_is_refused():
    with pytest.raises(EditRefused, match="no piece 9"):
        apply_edit(PLAIN, Delete(piece=8), BENCH)
    with pytest.raises(EditRefused, match="no spool"):
        apply_edit(PLAIN, UseStock(piece=0, spool_id="borrowed"), BENCH)
    with pytest.raises(EditRefused, match="no spool on the shelf"):
        apply_edit(PLAIN, Insert(joint=1), workbench(stock=()))


EDITS = st.one_of(
    st.builds(MoveJoint, joint=st.integers(-1, 9), to_m=st.floats(-5, 50)),
    st.builds(NudgeJoint, joint=st.integers(-1, 9), steps=st.integers(-40, 40)),
    st.builds(SetLength, piece=st.integers(0, 9), length=st.floats(0.001, 40.0)),
    st.builds(
        CutBack,
        piece=st.integers(0, 9),
        end=st.sampled_from(["butt", "tip"]),
        length=st.floats(0.001, 3.0),
    ),
    st.builds(
        UseStock,
        piece=st.integers(0, 9),
        spool_id=st.sampled_from([item.spool_id for item in SHELF]),
    ),
    st.builds(StepStock, piece=st.integers(0, 9), by=st.sampled_from([-1, 1])),
    st.builds(Split, piece=st.integers(0, 9), share=st.floats(0.05, 0.95)),
    st.builds(Merge, piece=st.integers(0, 9)),
    st.builds(Insert, joint=st.integers(0, 9)),
    st.builds(Delete, piece=st.integers(0, 9)),
)


@settings(max_examples=150)
@given(st.lists(EDITS, max_size=14))
def test_any_row_of_changes_leaves_a_leader(edits):
    leader = tied(knotless(cut_tip_m=0.3), level(9, 1), level(7, 2, "tippet"))
    for edit in edits:
        with suppress(NineKnotsError):
            leader = apply_edit(leader, edit, BENCH)
    again = Leader.model_validate_json(leader.model_dump_json())
    assert again == leader
    assert all(piece.length_m > 0 for piece in leader.pieces)


def test_a_shelf_of_wire_alone_still_serves_an_insert():
    only = workbench(stock=(spool(13, "wire-single"),))
    assert len(apply_edit(PLAIN, Insert(joint=2), only).pieces) == 5


def test_a_packet_is_put_on_whole_and_cut_only_when_asked():
    whole = apply_edit(PLAIN, UseStock(piece=0, spool_id="taper-a"), BENCH).pieces[0]
    assert (whole.cut_butt_m, whole.cut_tip_m) == (0.0, 0.0)
