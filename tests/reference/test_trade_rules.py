"""What builders hold true, where a school or rule of ours claims it: common practice, no source."""

import pytest

from nine_knots.core.assess.joint_match import match_joints
from nine_knots.core.base.units import x_of_diameter
from nine_knots.core.base.units.factors import FOOT_M, POUND_N, THOU_M
from nine_knots.core.domain.situation import TargetFish, Water
from nine_knots.core.domain.tackle import Fly, FlyLine, line_profile
from nine_knots.core.domain.tippet import advise_tippet
from nine_knots.core.propose.propose import propose
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.schools.by_water import span_by_water
from nine_knots.core.schools.school import SchoolParameters
from tests.makers import DRY, INCHES, SHELF, day

STREAMER = Fly(title="s", kind="streamer", hook=6, bulk="slim")


def butt_thou(weight: int, key: str = "sixty-twenty-twenty", **parameters) -> float:
    situation = day(line=FlyLine(title="l", weight=weight))
    made = propose(key, situation, SchoolParameters(**parameters), SHELF, INCHES)
    return made.leader.pieces[0].upper_diameter_m / THOU_M


def test_butts_on_5_and_6_weights_are_about_017_in_stiff_nylon():
    assert 16 <= butt_thou(5) <= 18
    assert 16 <= butt_thou(6) <= 19


def test_butts_of_024_to_026_belong_on_10_and_11_weights():
    """With a tippet to suit such lines; on a 4- or 5-weight they are far too stiff."""
    assert 21 <= butt_thou(11, tippet_m=14 * THOU_M, power=0.5) <= 26
    assert butt_thou(5, tippet_m=14 * THOU_M, power=0.5) < 22


def test_slack_line_leaders_start_thinner_than_ordinary_ones():
    assert butt_thou(5, "compound-slack") < butt_thou(5) - 0.9


def test_a_thinner_tippet_wants_a_somewhat_thinner_butt():
    assert butt_thou(5, tippet_m=5 * THOU_M) <= butt_thou(5, tippet_m=9 * THOU_M)


@pytest.mark.parametrize(
    ("situation", "feet"),
    [
        (day(), 9.0),
        (day(fly=STREAMER, wish="strip", water=Water(depth_m=1.5)), 7.5),
        (day(line=FlyLine(title="l", weight=7, sinking="sink-6"), fly=STREAMER), 3.5),
        (
            day(
                fly=Fly(title="m", kind="midge", hook=20),
                water=Water(kind="glide"),
                quarry=TargetFish(temper="very wary"),
            ),
            12.0,
        ),
    ],
)
def test_lengths_by_water_and_line(situation, feet):
    """9 ft as a rule, 7.5 for streamers, 2 to 5 on full sinking lines, longer for wary fish."""
    assert span_by_water(situation).usual_m / FOOT_M == pytest.approx(feet)


def test_the_schools_own_lengths():
    """Halving 7.5 ft; even step 12 to 13; slack 10 to 12; two parts 8, 6 and 4 ft by line."""
    feet = {
        key: SCHOOLS[key].span(day(water=Water(depth_m=1.0))).usual_m / FOOT_M for key in SCHOOLS
    }
    assert feet["halving"] == pytest.approx(7.5)
    assert 11.5 <= feet["even-step"] <= 13
    assert 10 <= feet["compound-slack"] <= 12
    assert feet["two-part"] == pytest.approx(8)
    assert 38 <= feet["thin-mono"] <= 43


def test_two_parts_end_in_two_feet_of_about_12_pounds():
    made = propose("two-part", day(fly=STREAMER), SchoolParameters(), SHELF, INCHES)
    upper, tippet = made.leader.pieces
    assert tippet.length_m == pytest.approx(2 * FOOT_M)
    assert 10 <= tippet.breaking_at_n(0) / POUND_N <= 15
    assert 16 <= upper.breaking_at_n(0) / POUND_N <= 24


@pytest.mark.parametrize(
    ("kind", "hook", "names"),
    [
        ("dry", 18, {"5X", "6X"}),
        ("midge", 22, {"6X", "7X"}),
        ("dry", 12, {"4X", "3X"}),
        ("foam", 8, {"2X", "3X"}),
        ("streamer", 6, {"0X", "1X"}),
    ],
)
def test_tippet_by_the_hook(kind, hook, names):
    """Hook over three, or over four; streamers 0X to 1X."""
    advice = advise_tippet(
        day(fly=Fly(title="f", kind=kind, hook=hook), quarry=TargetFish(mass_kg=0.3))
    )
    assert x_of_diameter(advice.diameter_m) in names


def test_very_wary_fish_get_finer_and_snags_stouter_tippet():
    plain = advise_tippet(day())
    wary = advise_tippet(day(quarry=TargetFish(temper="very wary")))
    snags = advise_tippet(day(quarry=TargetFish(mass_kg=2.5), water=Water(snags="heavy snags")))
    assert wary.diameter_m < plain.diameter_m < snags.diameter_m
    assert "snags" in snags.by


def test_unlike_neighbours_are_joined_by_what_holds_them():
    """A blood knot within .003 in, and never thicker after thinner but for a bite piece."""
    for key in SCHOOLS:
        leader = propose(key, day(), SchoolParameters(), SHELF, INCHES).leader
        for joint, (above, below) in zip(
            leader.joints[1:-1], zip(leader.pieces, leader.pieces[1:], strict=False), strict=True
        ):
            step = above.lower_diameter_m - below.upper_diameter_m
            parted = joint.kind in ("ring", "swivel")
            assert parted or step > -0.6 * THOU_M or below.role == "bite"
            if joint.knot == "blood" and joint.kind == "knot":
                stout = above.lower_diameter_m > 16.4 * THOU_M
                assert step <= 3.01 * THOU_M or (
                    stout and above.lower_diameter_m < 1.46 * below.upper_diameter_m
                )


def test_a_standard_leader_on_a_standard_line_folds_nowhere():
    for weight in range(3, 9):
        line = FlyLine(title="l", weight=weight)
        leader = propose(
            "sixty-twenty-twenty", day(line=line), SchoolParameters(), SHELF, INCHES
        ).leader
        assert "hinge" not in {m.flag for m in match_joints(leader, line_profile(line), DRY)}
