"""What hangs on a leader: put on, slid, sized, taken off; droppers and flies in line."""

import pytest
from pydantic import ValidationError

from nine_knots.core.assess.failure_report import break_of
from nine_knots.core.base.errors import EditRefused, Unreadable
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Attachment, Connection, Dropper
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import Delete, SetLength, UseStock
from nine_knots.core.domain.leader.rig_edits import (
    AddFly,
    ChangeFly,
    HangOn,
    MoveThing,
    NudgeDropper,
    NudgeThing,
    RemoveDropper,
    RemoveFlyInLine,
    SetDropper,
    SetFlyInLine,
    SetThing,
    StepThing,
    TakeOff,
)
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.strength.elements import hold_of, hold_of_dropper
from nine_knots.words.failure_report import lost_words
from nine_knots.words.hold_facts import facts
from nine_knots.words.tying.companion import screens
from nine_knots.words.tying.cutting import cut_length_m
from nine_knots.words.tying.steps import work_order
from tests.makers import DRY, INCHES, PLAIN, design, level, strand, tied, workbench

NYMPH = Fly(title="Test nymph 14", kind="nymph", hook=14)


def edited(*edits, leader=PLAIN):
    for edit in edits:
        leader = apply_edit(leader, edit, workbench())
    return leader


def test_a_shot_goes_above_the_fly_and_the_next_above_it():
    first, second = edited(HangOn(kind="shot"), HangOn(kind="shot")).attachments
    assert first.above_end_m == pytest.approx(0.38, abs=0.01)
    assert second.above_end_m > first.above_end_m


def test_a_thing_is_slid_stepped_typed_and_taken_off():
    hung = HangOn(kind="shot", above="12 in")
    slid = edited(hung, NudgeThing(thing=0, steps=2), StepThing(thing=0, by=1)).attachments[0]
    assert slid.above_end_m == pytest.approx(0.3048 + 2 * INCHES.length_step_m)
    assert slid.mass_kg == pytest.approx(0.6e-3)
    typed = edited(hung, SetThing(thing=0, size="No 4", above="9 in", metal="tin")).attachments[0]
    assert (typed.mass_kg, typed.metal) == (pytest.approx(0.18e-3), "tin")
    assert edited(hung, SetThing(thing=0, size="3/0")).attachments[0].mass_kg == pytest.approx(
        0.8e-3
    )
    assert edited(hung, SetThing(thing=0, size="0.33 g")).attachments[0].mass_kg == pytest.approx(
        0.33e-3
    )
    assert edited(hung, TakeOff(thing=0)).attachments == ()


def test_sliding_stops_at_the_ends_and_a_shorter_leader_keeps_what_hangs_on_it():
    top = edited(HangOn(kind="indicator"), MoveThing(thing=0, above_m=99.0))
    assert top.attachments[0].above_end_m < top.length_m
    short = edited(*(SetLength(piece=p, length="6 in") for p in range(4)), leader=top)
    assert short.attachments[0].above_end_m < short.length_m


@pytest.mark.parametrize(
    ("edit", "refusal", "said"),
    [
        (SetThing(thing=0, size="huge"), Unreadable, "BB"),
        (SetThing(thing=3, size="BB"), EditRefused, "existing"),
        (HangOn(kind="shot", above="30 ft"), EditRefused, "smaller"),
        (SetDropper(joint=0), EditRefused, "Split"),
        (RemoveDropper(joint=2), EditRefused, "Tie one"),
        (ChangeFly(joint=2), EditRefused, "Tie one"),
        (RemoveFlyInLine(joint=2), EditRefused, "Choose"),
    ],
)
def test_what_cannot_be_is_refused_with_the_mend(edit, refusal, said):
    hung = edited(HangOn(kind="shot"))
    with pytest.raises(refusal) as refused:
        apply_edit(hung, edit, workbench())
    assert said in refused.value.hint


def test_there_is_one_indicator_and_a_biggest_size():
    with pytest.raises(EditRefused, match="one indicator"):
        edited(HangOn(kind="indicator"), HangOn(kind="indicator"))
    with pytest.raises(EditRefused, match="no bigger"):
        edited(HangOn(kind="indicator"), *[StepThing(thing=0, by=1)] * 9)


def test_a_dropper_is_tied_on_a_knot_that_leaves_a_tag_and_shortens_with_its_flies():
    stepped = tied(level(18, 4, "butt"), level(12, 2), level(7, 2, "tippet"))
    leader = edited(SetDropper(joint=2, fly=NYMPH), leader=stepped)
    assert leader.joints[2].knot in ("blood", "triple-surgeons")
    dropper = leader.joints[2].dropper
    assert dropper.strand == leader.pieces[1].strand
    assert dropper.length_m == pytest.approx(0.3, abs=0.01)
    changed = edited(ChangeFly(joint=2), leader=leader).joints[2].dropper
    assert changed.changes_left == dropper.changes_left - 1
    with pytest.raises(EditRefused, match="too short"):
        edited(*[ChangeFly(joint=2)] * 12, leader=leader)
    longer = edited(NudgeDropper(joint=2, steps=4), leader=leader).joints[2].dropper
    assert longer.length_m == pytest.approx(dropper.length_m + 8 * INCHES.length_step_m, abs=0.004)
    lower = edited(SetDropper(joint=2, tag="lower"), leader=leader).joints[2].dropper
    assert lower.strand == leader.pieces[2].strand


def test_droppers_and_flies_in_line_outlive_other_changes():
    leader = edited(SetDropper(joint=3, fly=NYMPH), SetFlyInLine(joint=2, fly=NYMPH))
    other = edited(UseStock(piece=2, spool_id="fluorocarbon-90"), leader=leader)
    assert other.joints[3].dropper == leader.joints[3].dropper
    assert other.joints[2].fly == NYMPH
    assert edited(RemoveFlyInLine(joint=2), leader=leader).joints[2].kind == "knot"
    assert edited(Delete(piece=0), leader=leader).joints[1].fly == NYMPH


def test_joints_refuse_what_does_not_go_together():
    tag = {"strand": strand(7), "length_m": 0.3, "fly": NYMPH}
    with pytest.raises(ValidationError, match="ties no fly"):
        Dropper(**tag, knot="blood")
    with pytest.raises(ValidationError, match="go with the kind fly"):
        Connection(kind="fly", knot="uni", upper_knot="uni", fly=NYMPH)
    with pytest.raises(ValidationError, match="needs a mass"):
        Attachment(kind="shot", above_end_m=0.3)


def test_the_hold_goes_along_the_tree():
    leader = edited(SetDropper(joint=3, fly=NYMPH))
    branch = hold_of_dropper(leader, 3)
    assert sum(e.chance for e in branch.elements) == pytest.approx(1.0, abs=1e-3)
    assert {e.index for e in branch.elements} == {0, 1, 2, 3}
    assert branch.mean_n < leader.joints[3].dropper.strand.breaking_n
    lowest = max(hold_of(leader).elements, key=lambda e: e.index)
    highest = min(hold_of(leader).elements, key=lambda e: e.index)
    assert lost_words(break_of(lowest, leader), INCHES) == "the point fly"
    assert lost_words(break_of(highest, leader), INCHES).startswith("both flies")
    with pytest.raises(LookupError):
        hold_of_dropper(leader, 2)


def test_ones_own_pulls_of_a_droppers_knot_are_told_of_its_fish():
    leader = edited(SetDropper(joint=3, fly=NYMPH))
    knot = leader.joints[3].dropper.knot
    weak = (PulledKnot(knot=knot, family="nylon", factor=0.5, tests=4),)
    held = hold_of_dropper(leader, 3, weak)
    assert held.mean_n < 0.8 * hold_of_dropper(leader, 3).mean_n
    told = {fact.title: fact.text for fact in facts(design(leader), held, INCHES, weak).lines}
    assert f"breaks it at {INCHES.load(held.mean_n).text}" in told["Dropper 3"]


def test_a_tag_is_cut_with_its_piece_and_the_work_tells_what_hangs():
    plain = edited(SetDropper(joint=3, fly=NYMPH), RemoveDropper(joint=3))
    leader = edited(SetDropper(joint=3, fly=NYMPH), HangOn(kind="shot"), HangOn(kind="indicator"))
    assert leader.joints[3].dropper.tag == "upper"  # towards the fly is the end of the upper piece
    more = cut_length_m(leader, 2) - cut_length_m(plain, 2)
    assert more > leader.joints[3].dropper.length_m
    order = work_order(leader, DRY, {}, INCHES)
    titles = " / ".join(step.title for step in order.steps)
    assert "Pinch on shot BB" in titles
    assert "Put on the indicator" in titles
    join = next(step for step in order.steps if step.title.startswith("Piece 3 to piece 4"))
    assert "Leave the upper tag long" in join.detail


def test_a_second_and_a_third_fly_hang_on_tags_by_one_act_each():
    three = edited(AddFly(), AddFly(), leader=tied(level(15, 4, "butt"), level(8, 5, "tippet")))
    up = [three.length_m - three.joints_at_m[joint] for joint, _ in three.flies_above]
    assert up == pytest.approx([2 * 0.508, 0.508], abs=0.01)
    assert all(dropper.tag == "upper" for _, dropper in three.branches)
    assert three.length_m == pytest.approx(9 * 0.3048)
    near = edited(AddFly(), leader=tied(level(15, 4), level(9, 2), level(8, 1.75, "tippet")))
    assert [joint for joint, _ in near.flies_above] == [2]  # a joint that is near enough is used
    with pytest.raises(EditRefused, match="no room"):
        edited(AddFly(), leader=tied(level(20, 2)))


def test_a_fly_behind_hangs_on_a_lighter_trace_and_the_indicator_stays_where_it_is():
    floated = edited(HangOn(kind="indicator", above="4 ft"))
    behind = edited(AddFly(how="behind"), leader=floated)
    trace, place = behind.pieces[-1], floated.length_m - floated.attachments[0].above_end_m
    assert trace.strand.diameter_m < floated.pieces[-1].strand.diameter_m
    assert behind.length_m - behind.attachments[0].above_end_m == pytest.approx(place)
    assert behind.joints[-2].fly == DRY
    assert behind.joints[-2].tied_from == "bend"


def test_a_tube_goes_on_before_the_knot_and_a_snap_has_a_step_of_its_own():
    tube = Fly(title="Tube fly", kind="predator", hook=-9, tube=True)
    ends = (
        Connection(kind="loops", knot="perfection-loop"),
        Connection(kind="snap", knot="haywire"),
    )
    trace = tied(level(20, 3, "bite", "wire-single")).evolve(joints=ends)
    titles = [screen.title for screen in screens(trace, tube, {}, INCHES)]
    on, knot, hung = (
        next(i for i, title in enumerate(titles) if said in title)
        for said in ("Slide the tube on", "snap: haywire", "Hang the fly in the snap")
    )
    assert on < knot < hung
