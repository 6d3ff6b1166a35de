"""What the joints are called: the flags stand where a builder would put them."""

import pytest

from nine_knots.core.assess.joint_match import match_joints
from nine_knots.core.domain.leader import Attachment
from nine_knots.core.domain.tackle import FlyLine, line_profile
from tests.makers import DRY, FIVE, level, tied


def flags(*pieces, line=FIVE) -> list[str]:
    return [m.flag for m in match_joints(tied(*pieces), line_profile(line), DRY)]


def test_a_sound_leader_has_no_flag():
    assert flags(level(18, 3), level(15, 2), level(12, 1), level(9.5, 1)) == ["fits"] * 4


@pytest.mark.parametrize(
    ("thou", "flag"), [(11, "hinge"), (12.5, "soft"), (17, "fits"), (26, "kick")]
)
def test_the_butt_against_the_line(thou, flag):
    assert flags(level(thou, 4), level(6, 2))[0] == flag


def test_a_stout_butt_is_no_kick_on_a_stout_line():
    assert flags(level(26, 5), line=FlyLine(title="10", weight=10)) == ["fits"]


def test_too_great_a_step_is_a_hinge_and_nearly_so_is_soft():
    assert flags(level(18, 3), level(11, 2))[1] == "hinge"
    assert flags(level(18, 3), level(12, 2))[1] == "soft"


def test_thicker_after_thinner_runs_backwards():
    assert flags(level(15, 3), level(18, 2))[1] == "reversal"


def test_thinner_but_much_stiffer_stuff_kicks():
    # stiff .016 after soft .017: thinner, yet 1.24 times as stiff is let pass; .0165 wire is not
    assert flags(level(17, 3, "butt", "nylon-soft"), level(16, 2))[1] == "fits"
    assert flags(level(12, 3, "butt", "nylon-soft"), level(11, 1, "taper", "wire-single"))[1] == (
        "trace"
    )


def test_two_joints_without_a_step_are_a_flat_spot_and_one_is_not():
    assert flags(level(18, 1), level(18, 1), level(18, 1)) == ["fits", "fits", "flat spot"]
    assert flags(level(18, 1), level(18, 1), level(15, 1)) == ["fits", "fits", "fits"]


def test_a_bite_piece_is_thick_for_teeth_and_not_judged():
    assert flags(level(17, 3), level(13, 2), level(24, 1, "bite"))[2] == "trace"


def test_an_indicator_at_the_very_end_leaves_the_joints_to_the_line():
    leader = tied(level(18, 3), level(15, 2), level(12, 2))
    low = Attachment(kind="indicator", above_end_m=1e-18, diameter_m=0.016)
    ends = (leader, leader.evolve(attachments=(low,)))
    plain, found = (
        [joint.flag for joint in match_joints(end, line_profile(FIVE), DRY)] for end in ends
    )
    assert found == plain
