"""Casts of whatever the bench accepts: finite, bounded, the same twice, or refused by name."""

from math import pi

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.judge.agreement import agreement_of
from nine_knots.core.judge.turnover import mono_measure, opening_of, turnover_measure
from nine_knots.core.models.cast.casting import cast_aimed, cast_at, launched
from nine_knots.core.models.cast.mono import mass_ratio
from nine_knots.core.models.cast.rig import FAST, FULL, rig_of
from nine_knots.core.models.cast.stroke import ROD_TIP_M, Stroke
from nine_knots.core.models.cast.wind import air_of
from nine_knots.core.physics.air import Air
from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.situation import Wind
from nine_knots.core.trade.tackle import Fly, FlyLine, line_profile
from tests.makers import DRY, FIVE, INCHES, METRIC, PLAIN, day, knotless, level, tied

LINE = line_profile(FIVE)


def test_the_chain_weighs_and_measures_what_the_leader_does():
    rig = rig_of(PLAIN, LINE, DRY, 9.0, FULL)
    assert rig.leader_m == pytest.approx(PLAIN.length_m)
    assert rig.length_m == pytest.approx(9.0 + PLAIN.length_m)
    leader_kg = sum(p.strand.mass_kg_m(p.lower_diameter_m) * p.length_m for p in PLAIN.pieces)
    bare = rig_of(PLAIN, LINE, DRY, 0.0, FULL)
    assert bare.mass.sum() == pytest.approx(leader_kg + DRY.mass_kg)
    assert [float(rig.rest[rig.leader : j].sum()) for j in rig.joints] == pytest.approx(
        list(PLAIN.joints_at_m)
    )
    assert rig.body[-1] == DRY.air_drag_area_m2


def test_a_cast_begins_as_a_loop_at_the_rods_tip():
    rig, stroke = rig_of(PLAIN, LINE, DRY, 9.0, FULL), Stroke(speed_m_s=16.0, loop_m=0.8)
    place, speed = launched(rig, stroke, 0.0)
    assert place[0] == pytest.approx((0.0, ROD_TIP_M))
    assert place[:, 1].max() == pytest.approx(ROD_TIP_M + 0.8)
    assert speed[0] == pytest.approx((0.0, 0.0))
    assert speed[-1] == pytest.approx((16.0, 0.0))
    turned, _ = launched(rig, stroke, 30.0)
    assert np.hypot(*(turned[-1] - turned[0])) == pytest.approx(np.hypot(*(place[-1] - place[0])))


def test_the_same_cast_twice_is_the_same():
    rig = rig_of(PLAIN, LINE, DRY, 8.0, FAST)
    one, two = (cast_at(rig, Stroke(line_out_m=8.0), Air(), 4.0) for _ in range(2))
    assert np.array_equal(one.frames, two.frames)
    assert one.arrival_m_s == two.arrival_m_s


def test_energy_beyond_a_joint_never_passes_that_of_the_launch_by_far():
    rig = rig_of(PLAIN, LINE, DRY, 9.0, FAST)
    flown = cast_at(rig, Stroke(), Air(), 3.0)
    assert flown.landed
    assert (flown.passing_j >= 0).all()
    # all that still flies can have no more than the whole launch
    assert flown.passing_j.max() <= 1.02 * flown.launch_j.max()


def test_a_gust_from_behind_helps_from_its_time_on():
    rig = rig_of(PLAIN, LINE, DRY, 9.0, FAST)
    calm, late = cast_at(rig, Stroke(), Air(), 3.0), cast_at(rig, Stroke(), Air(0.0, 5.0, 9.0), 3.0)
    gust = cast_at(rig, Stroke(), Air(0.0, 5.0, 0.4), 3.0)
    assert np.array_equal(calm.frames, late.frames)
    assert gust.straightness != calm.straightness


@pytest.mark.parametrize("kind", ["roll", "water-loaded"])
def test_what_is_not_modelled_is_refused_by_name(kind):
    rig = rig_of(PLAIN, LINE, DRY, 9.0, FAST)
    with pytest.raises(CannotCompute, match="not modelled yet"):
        cast_at(rig, Stroke(kind=kind), Air(), 3.0)


def test_too_little_line_for_a_loop_is_refused():
    rig = rig_of(tied(level(15, 1)), LINE, DRY, 0.3, FAST)
    with pytest.raises(CannotCompute, match="make no loop"):
        cast_at(rig, Stroke(line_out_m=0.3), Air(), 3.0)


# Five feet of .0032 in nylon, a few newtons in EA, gives a fifth under a 3 g fly thrown hard.
MOST_STRETCH = 1.15
PIECES = st.builds(
    level,
    st.floats(3.2, 40),
    st.floats(0.15, 5),
    st.just("taper"),
    st.sampled_from(["nylon-stiff", "nylon-soft", "fluorocarbon", "wire-soft", "wire-single"]),
)
FLIES = st.builds(
    Fly,
    title=st.just("Any"),
    kind=st.sampled_from(["dry", "midge", "foam", "nymph", "streamer", "predator"]),
    hook=st.integers(-4, 24),
    bulk=st.sampled_from(["slim", "standard", "bushy"]),
)


@settings(max_examples=300)
@given(
    st.lists(PIECES, min_size=1, max_size=8),
    FLIES,
    st.integers(1, 14),
    st.floats(4.0, 16.0),
    st.floats(6.0, 30.0),
    st.floats(-10.0, 10.0),
    st.floats(-4.0, 24.0),
)
def test_any_rig_in_any_wind_stays_finite_and_whole(pieces, fly, weight, out, speed, wind, aim):
    line = line_profile(FlyLine(title="l", weight=weight))
    rig = rig_of(tied(*pieces), line, fly, out, FAST)
    stroke = Stroke(speed_m_s=speed, line_out_m=out)
    try:
        flown = cast_at(rig, stroke, Air(wind_m_s=wind), aim)
    except CannotCompute as refused:
        assert "too violently" in refused.what  # noqa: PT017
        return
    assert np.isfinite(flown.frames).all()
    reach = np.hypot(*(flown.frames - flown.frames[:, :1]).reshape(-1, 2).T)
    assert reach.max() <= MOST_STRETCH * rig.length_m
    # no overstretch: links keep their length but for the give of nylon
    lengths = np.hypot(*np.moveaxis(np.diff(flown.frames[:-1], axis=1), 2, 0))
    laid = np.hypot(*np.diff(launched(rig, stroke, aim)[0], axis=0).T)
    assert (lengths.sum(axis=1) <= MOST_STRETCH * laid.sum()).all()
    # no more energy beyond a place than was launched, fell from the launch, or the wind blew in
    start_m = launched(rig, stroke, aim)[0][:, 1].max()
    given_j = flown.launch_j.max() + rig.mass.sum() * (9.81 * start_m + 0.5 * wind**2)
    assert flown.passing_j.max() <= 1.02 * given_j


def flown(leader: Leader, fly: Fly = DRY, wind=0.0, speed=15.0):
    rig = rig_of(leader, LINE, fly, 9.0, FAST)
    return cast_aimed(rig, Stroke(speed_m_s=speed), Air(wind_m_s=wind))


SOUND = tied(
    *(level(18, 3, "butt"), level(15, 2), level(12, 1), level(9, 1)),
    level(7, 2.2, "tippet", "nylon-soft"),
)


def test_the_cord_says_what_the_cast_did():
    right = turnover_measure(flown(SOUND), SOUND, day(), INCHES)
    assert (right.standing, right.figure) == ("right", "opens fully")
    assert "slack on the water" in right.why or "straight on the water" in right.why
    long_fine = tied(*SOUND.pieces[:-1], level(4, 12, "tippet", "nylon-soft"))
    foam = Fly(title="f", kind="foam", hook=6)
    heap = turnover_measure(flown(long_fine, foam), long_fine, day(fly=foam), METRIC)
    assert (heap.standing, heap.figure) == ("too little", "piles up")
    assert heap.position < heap.band.low
    assert "cm of slack" in heap.why or "m of slack" in heap.why


def test_a_streamer_wants_more_than_a_dry_fly():
    softly = flown(tied(*SOUND.pieces[:-1], level(6, 5.4, "tippet", "nylon-soft")))
    assert 2.5 < softly.arrival_m_s < 4.0
    dry = turnover_measure(softly, SOUND, day(), INCHES)
    strip = turnover_measure(softly, SOUND, day(wish="strip"), INCHES)
    assert (dry.standing, strip.standing) == ("right", "too little")


def test_a_massless_fly_never_slams():
    midge = Fly(title="m", kind="midge", hook=22)
    fast = flown(SOUND, midge)
    assert fast.arrival_m_s > 25
    assert opening_of(fast, midge, INCHES).words == "opens fully"
    assert turnover_measure(fast, SOUND, day(fly=midge), INCHES).standing == "right"


def test_the_wind_of_the_day_blows_along_the_cast():
    along = {b: air_of(Wind(speed_m_s=6.0, bearing=b)).wind_m_s for b in ("behind", "across")}
    assert along == {"behind": 6.0, "across": 0.0}
    assert air_of(Wind(speed_m_s=6.0, bearing="in the face")).wind_m_s == -6.0


def test_a_mono_rig_is_judged_by_mass():
    """Common practice, no source: below 3 casts well, above 6 the fly cannot lead."""
    thin = tied(level(6.3, 38, "butt", "copolymer"), level(5, 4, "tippet"))
    rig = Leader(pieces=thin.pieces, joints=thin.joints, school="thin-mono")
    assert mass_ratio(thin, DRY) is None
    bead = Fly(title="n", kind="nymph", hook=14, weighed_kg=2.6e-4)
    speck = Fly(title="n", kind="nymph", hook=20, weighed_kg=2e-5)
    mono, tippet = (1140 * pi / 4 * (thou * 25.4e-6) ** 2 for thou in (6.3, 5))
    expected = (mono * (8.0 - 1.2192) + tippet * 1.2192) / 2.6e-4
    assert mass_ratio(rig, bead) == pytest.approx(expected, rel=1e-6)
    assert mono_measure(mass_ratio(rig, bead)).standing == "right"
    assert mono_measure(mass_ratio(rig, speck)).standing == "too little"
    assert mono_measure(4.5).marginal


def test_a_knotless_taper_flies_too():
    assert flown(tied(knotless(cut_tip_m=0.2), level(7, 2, "tippet"))).straightness > 0.8


def test_line_leader_and_fly_can_disagree_both_ways():
    """Common practice, no source: too much fly on a long fine leader, too much line for a speck."""
    midge = Fly(title="m", kind="midge", hook=22)
    foam = Fly(title="f", kind="foam", hook=8)
    stout = tied(level(21, 4, "butt"), level(15, 2), level(8, 2, "tippet"))
    long_fine = tied(*SOUND.pieces[:-1], level(5, 6, "tippet", "nylon-soft"))
    endless = tied(level(6, 22, "tippet", "nylon-soft"), level(4, 8, "tippet", "nylon-soft"))

    def said(leader, fly, weight=5):
        rig = rig_of(leader, line_profile(FlyLine(title="l", weight=weight)), fly, 9.0, FAST)
        return agreement_of(cast_aimed(rig, Stroke(), Air()), rig)

    assert said(SOUND, DRY).kind == "agree"
    assert said(SOUND, DRY).words == ""
    assert said(long_fine, foam).kind == "too much fly"
    assert said(stout, midge, weight=8).kind == "too much line"
    assert said(endless, midge).kind == "too much leader"
    assert said(stout, midge, weight=8).carried_m_s > 4 * said(SOUND, DRY).carried_m_s
