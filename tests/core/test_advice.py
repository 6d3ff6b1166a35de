"""Advice at a joint: common practice, no source; every best choice is free of faults itself."""

import pytest
from pydantic import ValidationError

from nine_knots.core.base.errors import NineKnotsError
from nine_knots.core.domain.knots import KNOTS, STOUT_M
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.domain.leader.connection_advice import advise
from nine_knots.core.domain.leader.connection_faults import ConnectionFlaw
from nine_knots.core.domain.leader.connections import ConnectionReason
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import UseStock
from nine_knots.core.domain.tackle import Fly, FlyLine
from nine_knots.words.connection_advice import FLAWS, REASONS, advice_reading
from tests.makers import DRY, FIVE, PLAIN, knotless, level, tied, workbench

BARE = FlyLine(title="bare", weight=5, tip="bare")


def retied(leader: Leader, number: int, joint: Connection) -> Leader:
    joints = list(leader.joints)
    joints[number] = joint
    return leader.model_copy(update={"joints": tuple(joints)})


def at(leader: Leader, number: int, line=FIVE, fly=DRY):
    return advice_reading(advise(leader, number, line, fly), lambda tied: tied.knot)


def faults(leader: Leader, number: int, line=FIVE) -> str:
    return " ".join(fault.what for fault in at(leader, number, line).faults)


def test_like_sizes_take_a_blood_knot_and_the_other_school_is_named():
    advice = at(PLAIN, 1)
    assert advice.best.joint == Connection(knot="blood")
    assert "similar sizes" in advice.best.reason
    assert advice.other.joint != advice.best.joint
    assert advice.faults == ()


@pytest.mark.parametrize(
    ("above", "below", "knot", "said"),
    [
        (level(17, 2), level(11, 2), "blood", "step is too great"),
        (level(9, 2), level(8, 2, "tippet", "fluorocarbon"), "albright", "slips more"),
        (level(9, 2), level(12, 2, "tippet"), "blood", "Thicker material follows"),
    ],
)
def test_poor_choices_are_warned_of_with_a_mend(above, below, knot, said):
    leader = retied(tied(above, below), 1, Connection(knot=knot))
    assert said in faults(leader, 1)
    for fault in at(leader, 1).faults:
        assert fault.hint
        if fault.instead is not None:
            mended = retied(leader, 1, fault.instead)
            assert fault.what not in faults(mended, 1)


@pytest.mark.parametrize(
    ("above", "below", "knot"),
    [
        (level(20, 2), level(18, 2), "double-surgeons"),
        (level(24, 2), level(15, 2, "tippet"), "double-surgeons"),
        (level(15, 2), level(12, 2, "tippet", "fluorocarbon"), "blood"),
        (level(32, 2, "butt", "nylon-medium"), level(24, 2, "taper", "nylon-medium"), "blood"),
    ],
)
def test_another_school_is_no_fault(above, below, knot):
    assert faults(retied(tied(above, below), 1, Connection(knot=knot)), 1) == ""


def test_a_cut_back_taper_takes_its_knots_by_its_end():
    assert faults(tied(knotless()), 1) == ""
    assert at(tied(knotless()), 1).best.joint.knot == "improved-clinch"


def test_a_clinch_in_heavy_mono_and_mono_knots_in_wire_are_warned_of():
    heavy = retied(tied(level(20, 3)), 1, Connection(knot="clinch"))
    assert "doesn't seat in mono this heavy" in faults(heavy, 1)
    assert at(heavy, 1).best.joint.knot == "uni"
    wire = retied(tied(level(13, 1, "bite", "wire-single")), 1, Connection(knot="improved-clinch"))
    assert "doesn't hold in single-strand wire" in faults(wire, 1)
    assert at(wire, 1).faults[0].instead == Connection(knot="haywire")
    mono = retied(PLAIN, 4, Connection(knot="haywire"))
    assert "for wire only" in faults(mono, 4)


def test_the_two_schools_of_the_lines_end_have_their_consequences():
    loop, bare = at(PLAIN, 0), at(PLAIN, 0, BARE)
    assert (loop.best.joint.kind, loop.other.joint.knot) == ("loops", "nail")
    assert (bare.best.joint.knot, bare.other.joint.kind) == ("nail", "loops")
    assert "costs" in loop.other.reason
    assert "saws into the line's coated loop in time" in loop.best.reason  # of .017 in
    stout = tied(level(24, 4, "butt"), level(20, 3, "tippet"))
    assert "float" in at(stout, 0).best.reason
    assert "nothing to tie" in at(tied(knotless()), 0).best.reason
    assert "has no loop" in faults(PLAIN, 0, BARE)
    assert "cuts into" in faults(tied(level(10, 6), level(8, 2)), 0)


def test_a_free_swimmer_hangs_in_a_loop():
    streamer = Fly(title="s", kind="streamer", hook=4)
    assert at(PLAIN, 4, fly=streamer).best.joint.knot == "non-slip-loop"
    assert at(PLAIN, 4).best.joint.knot == "improved-clinch"


MATERIALS = ("nylon-stiff", "nylon-soft", "fluorocarbon", "wire-single", "wire-soft")


@pytest.mark.parametrize("upper", [30, 24, 18, 14, 9, 6])
@pytest.mark.parametrize("below", MATERIALS)
def test_the_best_choice_never_has_a_fault_itself(upper, below):
    for lower in (30, 24, 18, 14, 9, 6, 4):
        if lower > upper:
            continue
        role = "bite" if below.startswith("wire") else "tippet"
        for above in ("nylon-stiff", "fluorocarbon"):
            leader = tied(level(upper, 3, "butt", above), level(lower, 2, role, below))
            advice = at(leader, 1)
            best = retied(leader, 1, advice.best.joint)
            assert at(best, 1).faults == (), (upper, lower, above, below)
            try:
                Leader.model_validate(retied(leader, 1, advice.other.joint).model_dump())
            except NineKnotsError as error:
                pytest.fail(str(error))


def test_every_knot_says_how_its_tags_leave_and_keeps_its_limits_in_reach():
    for knot in KNOTS.values():
        assert knot.tags.endswith(".")
        assert knot.mono or knot.wires
        assert knot.most_m is None or knot.most_m >= STOUT_M
    assert KNOTS["blood"].dropper
    assert KNOTS["triple-surgeons"].dropper


def test_soft_wire_takes_a_surgeons_and_a_snap_without_fault():
    mono, soft = level(16, 5), level(14, 1, "bite", "wire-soft")
    leader = retied(tied(mono, soft), 1, Connection(knot="double-surgeons"))
    assert faults(leader, 1) == ""
    assert at(leader, 1).other.joint == Connection(knot="double-surgeons")
    single = retied(tied(mono, level(14, 1, "bite", "wire-single")), 1, leader.joints[1])
    assert "doesn't hold in single-strand wire" in faults(single, 1)
    other = at(leader, 2, fly=Fly(title="Pike fly", kind="predator", hook=-3)).other
    assert other.joint.kind == "snap"
    snapped = retied(leader, 2, other.joint)
    assert faults(snapped, 2) == ""
    swapped = apply_edit(snapped, UseStock(piece=1, spool_id="nylon-stiff-160"), workbench())
    assert (swapped.joints[-1].kind, swapped.joints[-1].knot) == ("snap", "improved-clinch")
    with pytest.raises(ValidationError, match="at the leader's end"):
        tied(mono, soft).evolve(joints=(leader.joints[0], other.joint, leader.joints[2]))


def test_every_reason_and_every_flaw_has_its_words():
    assert set(REASONS) == set(ConnectionReason)
    assert set(FLAWS) == set(ConnectionFlaw)
