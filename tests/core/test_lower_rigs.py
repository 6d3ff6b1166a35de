"""Everything below a ring or swivel is a thing of its own: taken off, hung on, tied by itself."""

import pytest
from pydantic import ValidationError

from nine_knots.core.assess.joint_match import match_joints
from nine_knots.core.base.errors import EditRefused
from nine_knots.core.domain.leader import Connection
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.lower_rig import LowerRig, lower_rig_of, with_lower_rig
from nine_knots.core.domain.leader.rig_edits import HangOn, SetDropper
from nine_knots.core.domain.tackle import Fly, line_profile
from nine_knots.words.evaluation import evaluate
from tests.makers import DRY, FIVE, INCHES, PLAIN, design, level, tied, workbench

NYMPH = Fly(title="Nymph 14", kind="nymph", hook=14)
RING = Connection(kind="ring", knot="uni", upper_knot="improved-clinch")


def ringed(*below, joint=1):
    leader = tied(level(18, 5, "butt"), *below)
    joints = list(leader.joints)
    joints[joint] = RING
    return leader.evolve(joints=tuple(joints))


def hung(leader, *edits):
    for edit in edits:
        leader = apply_edit(leader, edit, workbench())
    return leader


WHOLE = hung(
    ringed(level(8, 2, "tippet"), level(7, 2, "tippet")),
    SetDropper(joint=2, fly=NYMPH),
    HangOn(kind="shot", above="12 in"),
    HangOn(kind="indicator", above="7 ft"),
)


def test_a_rig_taken_off_and_hung_on_again_is_the_same_leader():
    rig = lower_rig_of("riffle", WHOLE, DRY)
    assert [piece.role for piece in rig.leader.pieces] == ["tippet", "tippet"]
    assert [thing.kind for thing in rig.leader.attachments] == ["shot"]
    again = with_lower_rig(WHOLE, rig)
    assert again.pieces == WHOLE.pieces
    assert again.joints == WHOLE.joints
    assert set(again.attachments) == set(WHOLE.attachments)


def test_what_is_along_the_upper_leader_stays_where_it_is():
    longer = lower_rig_of("hole", ringed(level(8, 6, "tippet")), NYMPH)
    swapped = with_lower_rig(WHOLE, longer)
    before, after = WHOLE.indicator, swapped.indicator
    assert swapped.length_m - after.above_end_m == pytest.approx(
        WHOLE.length_m - before.above_end_m
    )
    assert [thing.kind for thing in swapped.attachments] == ["indicator"]
    assert swapped.flies_above == ()
    assert swapped.joints[1].kind == "ring"


def test_tied_by_itself_it_says_what_it_hangs_from_and_is_not_held_against_the_line():
    rig = lower_rig_of("riffle", WHOLE, DRY)
    alone = design(rig.leader)
    work = evaluate(alone, {}, INCHES).work
    assert len(work.rows) == 2
    assert any(step.title.startswith("To the ring: uni knot") for step in work.steps)
    assert any("from ring to fly" in step.title for step in work.steps)
    assert match_joints(rig.leader, line_profile(FIVE), DRY)[0].flag == "parted"


def test_without_a_ring_or_swivel_there_is_none():
    with pytest.raises(EditRefused, match="no ring or swivel"):
        lower_rig_of("riffle", PLAIN, DRY)
    with pytest.raises(EditRefused, match="no ring or swivel"):
        with_lower_rig(WHOLE, lower_rig_of("riffle", WHOLE, DRY), joint=2)
    with pytest.raises(ValidationError, match="ring or a swivel"):
        LowerRig(title="whole", leader=PLAIN, fly=DRY)
