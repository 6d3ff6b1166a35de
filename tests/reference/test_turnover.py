"""What casters know of leaders, on leaders of our own: common practice, no source."""

from functools import cache

import pytest

from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.judge.proposing.propose import propose
from nine_knots.core.models.cast.casting import Flight, cast_aimed
from nine_knots.core.models.cast.rig import FULL, rig_of
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.physics.air import Air
from nine_knots.core.trade.schools.school import SchoolParameters
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.tackle import Fly, FlyLine, line_profile
from tests.makers import DRY, FIVE, INCHES, SHELF, day, level, tied

EIGHT = FlyLine(title="8-weight", weight=8)
FOAM = Fly(title="foam", kind="foam", hook=8, weighed_kg=1.2e-4, drag_area_m2=3e-4)  # a bushy one
STREAMER = Fly(
    title="Small streamer", kind="streamer", hook=8, weighed_kg=0.5e-3, drag_area_m2=2e-4
)
PREDATOR = Fly(title="10 cm predator", kind="predator", hook=-1, weighed_kg=3e-3, drag_area_m2=8e-4)


def trout(tippet_ft: float, tip_thou: float = 6.0):
    """A tapered trout leader with a tippet of this length and size."""
    butt = (level(18, 3, "butt"), level(16, 1.5), level(13.5, 1), level(10.5, 0.7))
    soft = (
        level(8, 0.7, "taper", "nylon-soft"),
        level(tip_thou, tippet_ft, "tippet", "nylon-soft"),
    )
    return tied(*butt, *soft)


@cache
def cast(leader, fly: Fly = DRY, line: FlyLine = FIVE, speed=15.0, wind=0.0) -> Flight:
    rig = rig_of(leader, line_profile(line), fly, 9.0, FULL)
    return cast_aimed(rig, Stroke(speed_m_s=speed), Air(wind_m_s=wind))


def of_school(key: str, situation: Situation, **parameters):
    return propose(key, situation, SchoolParameters(**parameters), SHELF, INCHES).leader


def test_a_longer_tippet_opens_less():
    arrivals = [cast(trout(feet)).arrival_m_s for feet in (1, 2, 3, 4, 5)]
    assert arrivals == sorted(arrivals, reverse=True)
    assert arrivals[0] > 3 * arrivals[-1]
    assert cast(trout(5)).slack_m > cast(trout(1)).slack_m + 0.1


def test_a_finer_tippet_opens_less():
    assert cast(trout(4, 4.5)).arrival_m_s < cast(trout(4, 7.5)).arrival_m_s


def test_a_level_leader_opens_worse_than_a_tapered_one():
    tapered = trout(2)
    long_level = tied(level(8, tapered.length_m / FOOT_M, "tippet", "nylon-soft"))
    opened, level_ = cast(tapered), cast(long_level)
    assert level_.straightness < opened.straightness
    assert level_.arrival_m_s is None or level_.arrival_m_s < opened.arrival_m_s


def test_compound_slack_lands_soft_yet_opens():
    slack, plain = cast(of_school("compound-slack", day())), cast(trout(2))
    assert slack.straightness > 0.8
    assert slack.arrival_m_s < 0.6 * plain.arrival_m_s
    assert slack.slack_m > 0.3 > plain.slack_m


def test_a_bushy_fly_on_a_long_fine_leader_fails_and_on_a_short_stout_one_does_less_badly():
    long_fine = tied(level(17, 6, "butt"), level(12, 3), level(8, 2), level(6, 3, "tippet"))
    short_stout = tied(level(20, 3, "butt"), level(15, 2), level(11, 2, "tippet"))
    failed, better = cast(long_fine, FOAM), cast(short_stout, FOAM)
    assert failed.straightness < 0.5
    assert better.straightness > failed.straightness + 0.15


def test_in_wind_a_stout_even_step_beats_a_fine_trout_leader():
    salt = day(line=EIGHT)
    even = of_school("even-step", salt, tippet_m=0.3e-3, length_m=2.7)
    fine = tied(level(15, 4, "butt"), level(11, 2), level(8, 1.5), level(6, 3, "tippet"))
    stout, thin = (cast(one, STREAMER, EIGHT, 18.0, -5.0) for one in (even, fine))
    assert stout.straightness > 0.85
    assert stout.straightness > thin.straightness
    assert (stout.arrival_m_s or 0) > (thin.arrival_m_s or 0)


def test_a_headwind_costs_and_a_tailwind_helps():
    calm, against, behind = (cast(trout(3), wind=w) for w in (0.0, -4.0, 4.0))
    assert (against.arrival_m_s or 0.0) < 0.7 * calm.arrival_m_s < 0.7 * behind.arrival_m_s
    assert against.slack_m > calm.slack_m > behind.slack_m


def test_a_predator_fly_wants_a_short_stout_leader():
    """6 ft stout against 12 ft thin at 20 m/s: the one is straight, the other in a heap."""
    stout = cast(tied(level(24, 3.5, "butt"), level(18, 2.5, "tippet")), PREDATOR, EIGHT, 20.0)
    thin = cast(tied(level(18, 6, "butt"), level(10, 6, "tippet")), PREDATOR, EIGHT, 20.0)
    assert stout.straightness > 0.95
    assert thin.straightness < 0.7  # it collapses, at whatever aim


def test_a_harder_stroke_opens_more():
    assert cast(trout(4), speed=18.0).arrival_m_s > cast(trout(4), speed=14.0).arrival_m_s


def test_an_aim_is_trimmed_to_open_low_over_the_water():
    for feet in (1, 2, 3):
        assert cast(trout(feet)).height_m == pytest.approx(0.25, abs=0.2)
