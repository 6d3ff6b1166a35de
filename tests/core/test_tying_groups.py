"""Which ties may go where: every knot at its place, every offer one that the leader takes."""

import pytest

from nine_knots.core.domain.knots import KNOTS
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import SetJoint
from nine_knots.core.domain.leader.tying_groups import TIES, place_of
from tests.makers import PLAIN, workbench


@pytest.mark.parametrize("number", range(len(PLAIN.joints)))
def test_a_leader_takes_every_tie_that_is_offered_for_a_joint(number):
    place = place_of(number, len(PLAIN.joints))
    for group in TIES[place]:
        assert group.ties, group.title
        for tie in group.ties:
            changed = apply_edit(PLAIN, SetJoint(joint=number, tied=tie.joint), workbench())
            assert changed.joints[number] == tie.joint


def test_every_knot_is_offered_somewhere():
    offered = {tie.joint.knot for groups in TIES.values() for group in groups for tie in group.ties}
    assert offered == set(KNOTS)
