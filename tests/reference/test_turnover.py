"""What casters know of leaders, on leaders of our own: common practice, no source."""

from functools import cache

from nine_knots.core.casting.landing import CastLanding, landing_of
from nine_knots.core.casting.minimum_speed import MinimumLaunchSpeed, minimum_launch_speed
from nine_knots.core.casting.rig import rig_of
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle import Fly, FlyLine, line_profile
from nine_knots.core.mechanics.air import Air
from nine_knots.core.propose.propose import propose
from nine_knots.core.schools.school import SchoolParameters
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
def minimum(leader, fly: Fly = DRY, line: FlyLine = FIVE, wind=0.0) -> MinimumLaunchSpeed:
    rig = rig_of(leader, line_profile(line), fly, 9.0)
    return minimum_launch_speed(rig, Stroke(), Air(wind_m_s=wind))


def speed(leader, fly: Fly = DRY, line: FlyLine = FIVE, wind=0.0) -> float:
    """The minimum launch speed that opens it, in m/s."""
    return minimum(leader, fly, line, wind).speed_m_s or float("inf")


@cache
def landing(leader, fly: Fly = DRY, times=1.4, wind=0.0) -> CastLanding:
    """As it lands, thrown at so many times its minimum."""
    least = minimum(leader, fly, wind=wind)
    stroke = Stroke(speed_m_s=times * least.speed_m_s)
    return landing_of(leader, line_profile(FIVE), fly, stroke, Air(wind_m_s=wind), least)


def of_school(key: str, situation: Situation, **parameters):
    return propose(key, situation, SchoolParameters(**parameters), SHELF, INCHES).leader


def test_a_longer_tippet_opens_less_and_lands_with_more_slack():
    speeds = [speed(trout(feet)) for feet in (1, 3, 5)]
    assert speeds == sorted(speeds)
    assert speeds[-1] > 1.05 * speeds[0]
    assert landing(trout(5)).slack_m > landing(trout(1)).slack_m + 0.1


def test_a_finer_tippet_opens_less():
    assert speed(trout(4, 4.5)) > speed(trout(4, 7.5))


def test_compound_slack_lands_with_slack_yet_opens():
    slack, plain = of_school("compound-slack", day()), trout(2)
    assert 15.0 / speed(slack) > 1.3
    assert speed(slack) > speed(plain)
    assert 0.3 < landing(slack).slack_m < 0.9


def test_a_bushy_fly_on_a_long_fine_leader_fails_and_on_a_short_stout_one_does_less_badly():
    long_fine = tied(level(17, 6, "butt"), level(12, 3), level(8, 2), level(6, 3, "tippet"))
    short_stout = tied(level(20, 3, "butt"), level(15, 2), level(11, 2, "tippet"))
    assert speed(long_fine, FOAM) > 15.0
    assert speed(short_stout, FOAM) < 0.85 * speed(long_fine, FOAM)


def test_in_wind_a_stout_even_step_beats_a_fine_trout_leader():
    salt = day(line=EIGHT)
    even = of_school("even-step", salt, tippet_m=0.3e-3, length_m=2.7)
    fine = tied(level(15, 4, "butt"), level(11, 2), level(8, 1.5), level(6, 3, "tippet"))
    assert speed(even, STREAMER, EIGHT, -5.0) < 0.95 * speed(fine, STREAMER, EIGHT, -5.0)


def test_a_headwind_costs_and_a_tailwind_helps():
    against, calm, behind = (speed(trout(3), wind=wind) for wind in (-4.0, 0.0, 4.0))
    assert against > 1.2 * calm > 1.2 * behind


def test_a_light_fly_falls_straighter_before_the_wind_than_into_it():
    against, calm = (landing(trout(3), wind=wind) for wind in (-4.0, 0.0))
    assert against.slack_m > calm.slack_m


def test_a_predator_fly_wants_a_short_stout_leader():
    stout = tied(level(24, 3.5, "butt"), level(18, 2.5, "tippet"))
    thin = tied(level(18, 6, "butt"), level(10, 6, "tippet"))
    assert speed(stout, PREDATOR, EIGHT) < 20.0 < speed(thin, PREDATOR, EIGHT)
