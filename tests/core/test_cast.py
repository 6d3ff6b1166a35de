"""Casts of whatever the bench accepts: finite, bounded, the same twice, or refused by name."""

import re
from itertools import pairwise
from math import pi

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nine_knots.core.assess.balance import balance_of
from nine_knots.core.assess.own_cast import UNKNOWN, OwnCast
from nine_knots.core.assess.pick_up import pick_up_of
from nine_knots.core.assess.turnover import (
    CastResult,
    TurnoverReason,
    eased_stroke,
    landing_finding,
    mono_score,
    turnover_score,
)
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import BAND_LOW
from nine_knots.core.casting.landing import CastLanding, landing_of
from nine_knots.core.casting.minimum_speed import MinimumLaunchSpeed, minimum_launch_speed
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.rig import rig_of
from nine_knots.core.casting.stroke import ROD_TIP_M, Stroke
from nine_knots.core.casting.throw import cast_at, launched
from nine_knots.core.casting.wind import air_of
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Wind
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod, line_profile
from nine_knots.core.mechanics.air import Air
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.shelf import demo_stock
from nine_knots.words.cast import cast_of, rough_cast_of
from nine_knots.words.cast_remarks import DOUBTS, PICK_UPS
from nine_knots.words.scores.reading import score_reading
from nine_knots.words.scores.turnover import LEVEL, landing_words, share_words, stroke_words
from tests.makers import DRY, FIVE, INCHES, METRIC, PLAIN, day, design, knotless, level, tied

LINE = line_profile(FIVE)


def test_the_chain_weighs_and_measures_what_the_leader_does():
    rig = rig_of(PLAIN, LINE, DRY, 9.0)
    assert rig.leader_m == pytest.approx(PLAIN.length_m)
    assert rig.length_m == pytest.approx(9.0 + PLAIN.length_m)
    leader_kg = sum(p.strand.mass_kg_m(p.lower_diameter_m) * p.length_m for p in PLAIN.pieces)
    bare = rig_of(PLAIN, LINE, DRY, 0.0)
    assert bare.mass.sum() == pytest.approx(leader_kg + DRY.mass_kg)
    assert [float(rig.rest[rig.leader : j].sum()) for j in rig.joints] == pytest.approx(
        list(PLAIN.joints_at_m)
    )
    assert rig.body[-1] == DRY.air_drag_area_m2


def test_a_cast_begins_as_a_loop_at_the_rods_tip():
    rig, stroke = rig_of(PLAIN, LINE, DRY, 9.0), Stroke(speed_m_s=16.0, loop_m=0.8)
    place, speed = launched(rig, stroke, 0.0)
    assert place[0] == pytest.approx((0.0, ROD_TIP_M))
    assert place[:, 1].max() == pytest.approx(ROD_TIP_M + 0.8, abs=2e-3)
    assert speed[0] == pytest.approx((0.0, 0.0))
    assert speed[-1] == pytest.approx((16.0, 0.0))
    turned, _ = launched(rig, stroke, 30.0)
    assert np.hypot(*(turned[-1] - turned[0])) == pytest.approx(np.hypot(*(place[-1] - place[0])))


def test_the_same_cast_twice_is_the_same():
    rig = rig_of(PLAIN, LINE, DRY, 8.0)
    one, two = (cast_at(rig, Stroke(line_out_m=8.0), Air(), 4.0) for _ in range(2))
    assert np.array_equal(one.frames, two.frames)
    assert one.straight == two.straight


def test_energy_beyond_a_joint_never_passes_that_of_the_launch_by_far():
    rig = rig_of(PLAIN, LINE, DRY, 9.0)
    flown = cast_at(rig, Stroke(), Air(), 3.0)
    assert flown.landed
    assert (flown.passing_j >= 0).all()
    # all that still flies can have no more than the whole launch
    assert flown.passing_j.max() <= 1.02 * flown.launch_j.max()


def test_a_gust_from_behind_helps_from_its_time_on():
    rig = rig_of(PLAIN, LINE, DRY, 9.0)
    calm, late = cast_at(rig, Stroke(), Air(), 3.0), cast_at(rig, Stroke(), Air(0.0, 5.0, 9.0), 3.0)
    gust = cast_at(rig, Stroke(), Air(0.0, 5.0, 0.4), 3.0)
    assert np.array_equal(calm.frames, late.frames)
    assert gust.straightness != calm.straightness


@pytest.mark.parametrize("kind", ["roll", "water-loaded"])
def test_what_is_not_modelled_is_refused_by_name(kind):
    rig = rig_of(PLAIN, LINE, DRY, 9.0)
    with pytest.raises(CannotCompute, match="not modelled yet"):
        cast_at(rig, Stroke(kind=kind), Air(), 3.0)


def test_too_little_line_for_a_loop_is_refused():
    rig = rig_of(tied(level(15, 1)), LINE, DRY, 0.3)
    with pytest.raises(CannotCompute, match="too short for a loop"):
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
    rig = rig_of(tied(*pieces), line, fly, out)
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


SOUND = tied(
    *(level(18, 3, "butt"), level(15, 2), level(12, 1), level(9, 1)),
    level(7, 2.2, "tippet", "nylon-soft"),
)


def thrown(leader: Leader, fly: Fly = DRY, wind=0.0, speed=15.0) -> CastResult:
    stroke, air = Stroke(speed_m_s=speed), Air(wind_m_s=wind)
    minimum = minimum_launch_speed(rig_of(leader, LINE, fly, 9.0), stroke, air)
    return CastResult(minimum, stroke)


def result(margin: float, straight: float = 1.0, opening: float = 0.9) -> CastResult:
    """A stroke at so many times the minimum, and a landing."""
    flat = MinimumLaunchSpeed(15.0 / margin, 12)
    rig = rig_of(SOUND, LINE, DRY, 9.0)
    slack_m = (1.0 - straight) * rig.leader_m
    return CastResult(flat, Stroke(), CastLanding(0, straight, opening, slack_m, None, rig))


FOAM = Fly(title="f", kind="foam", hook=6)


def test_the_cord_says_how_much_of_the_stroke_is_to_spare():
    right = score_reading(turnover_score(thrown(SOUND), SOUND, day()), INCHES)
    assert right.status == "right"
    assert re.fullmatch(r"opens, (half|two thirds|three quarters) to spare", right.figure)
    assert "less than an easy stroke; yours launches at 49 ft/s" in right.why
    long_fine = tied(*SOUND.pieces[:-1], level(4, 12, "tippet", "nylon-soft"))
    heap = turnover_score(thrown(long_fine, FOAM), long_fine, day(fly=FOAM))
    assert (heap.status, heap.finding.reason) == ("too little", TurnoverReason.NEVER_OPENS)
    assert heap.position < BAND_LOW
    wind = Wind(speed_m_s=8.0, bearing="in the face")
    against = turnover_score(thrown(SOUND, wind=-8.0), SOUND, day(wind=wind))
    against = score_reading(against, METRIC)
    assert against.status == "too little"
    assert "against this wind only at" in against.why
    assert "cast it across the wind" in against.why


def test_the_cord_goes_with_the_margin_and_never_jumps():
    def cord(margin: float, wish="drift on top"):
        return turnover_score(result(margin), SOUND, day(wish=wish))

    cords = [cord(0.5 * 1.01**number) for number in range(200)]
    places = [each.position for each in cords]
    assert places == sorted(places)
    assert max(b - a for a, b in pairwise(places)) < 0.02
    standings = [each.status for each in cords]
    assert sorted(standings, key=["too little", "right", "too much"].index) == standings
    # a streamer that is thrown too hard lies as it should
    assert (cord(3.0).status, cord(3.0, "strip").status) == ("too much", "right")
    assert cord(1.02).marginal
    assert not cord(1.06).marginal


def test_no_stroke_is_said_as_such():
    none = CastResult(MinimumLaunchSpeed(None, 2), Stroke())
    told = score_reading(turnover_score(none, SOUND, day()), METRIC)
    assert told.status == "too little"
    assert told.why.startswith("As it is computed here, no stroke opens it.")


WINDS = [Wind(), Wind(speed_m_s=5.0, bearing="in the face"), Wind(speed_m_s=5.0, bearing="behind")]


@given(
    st.floats(0.3, 4.0),
    st.floats(-1.0, 1.0),
    st.floats(-0.2, 1.0),
    st.sampled_from(WINDS),
    st.sampled_from(["drift on top", "drift deep", "strip"]),
    st.sampled_from([UNKNOWN, OwnCast(piles_up=1.3, soft=1.7), OwnCast(piles_up=0.8)]),
)
def test_no_two_sentences_about_a_cast_disagree(margin, straight, opening, wind, wish, own):
    cast, situation = result(margin, straight, opening), day(wish=wish, wind=wind)
    told = score_reading(turnover_score(cast, SOUND, situation, own), INCHES)
    lies = landing_words(landing_finding(cast, wind, situation.floats, own), INCHES)
    if told.status == "right":
        assert "heap" not in lies
        assert told.figure not in ("piles up", "barely opens")
    if told.figure == "piles up":
        assert not lies
        assert "straight" not in told.why
    if told.figure == "barely opens":
        assert "straight" not in lies
    if "straight" in lies:
        assert told.figure.startswith("opens")


def test_where_a_leader_lies_is_told_by_how_it_opened():
    calm, against = WINDS[0], WINDS[1]
    said = [
        landing_words(landing_finding(result(margin, straight), wind, True), INCHES)
        for margin, straight, wind in (
            (1.5, 0.95, calm),
            (1.5, 0.8, calm),
            (1.5, 0.4, calm),
            (1.1, 0.4, calm),
            (1.5, 0.4, against),
            (0.95, 0.3, calm),
            (0.95, 0.95, calm),
            (0.8, 0.95, calm),
        )
    ]
    assert said == [
        "lies straight",
        "lies with about 24 in of slack",
        "springs back about 5 ft 8 in: ease off",
        "straightens only in part, about 5 ft 8 in short",
        "is blown back as it falls",
        "lies in a heap, 6 ft 4 in short",
        "lies 4 in short",
        "",
    ]


@pytest.mark.parametrize(
    ("speed", "words"),
    [
        (8.0, "less than an easy"),
        (13.0, "between an easy and a normal"),
        (14.5, "a normal"),
        (19.0, "a hard"),
        (25.0, "a double haul"),
    ],
)
def test_a_speed_is_one_of_the_anglers_strokes(speed, words):
    assert stroke_words(speed).startswith(words)
    assert stroke_words(1.2 * speed, OwnCast(speed_factor=1.2)).startswith(words)


def test_shares_are_said_as_one_says_them():
    said = [share_words(share) for share in (0.02, 0.12, 0.3, 0.48, 0.9)]
    assert said == ["a tenth", "a tenth", "a third", "half", "as much again"]
    assert share_words(1.6) == "more than as much again"


def test_a_dry_fly_with_much_to_spare_is_eased_and_a_streamer_is_not():
    minimum, hard = MinimumLaunchSpeed(9.0, 12), Stroke(speed_m_s=20.0)
    softer = eased_stroke(minimum, hard, day())
    assert minimum.margin(softer) == pytest.approx(1.4)
    assert eased_stroke(minimum, hard, day(wish="strip")) == hard
    gentle = Stroke(speed_m_s=12.0)
    assert eased_stroke(minimum, gentle, day()) == gentle


def test_the_wind_of_the_day_blows_along_the_cast():
    along = {b: air_of(Wind(speed_m_s=6.0, bearing=b)).wind_m_s for b in ("behind", "across")}
    assert along == {"behind": 6.0, "across": 0.0}
    assert air_of(Wind(speed_m_s=6.0, bearing="in the face")).wind_m_s == -6.0


def test_a_mono_rig_is_judged_by_mass():
    """Common practice, no source: below 3 casts well, above 6 the fly cannot lead."""
    thin = tied(level(6.3, 38, "butt", "copolymer"), level(5, 4, "tippet"))
    rig = Leader(pieces=thin.pieces, joints=thin.joints)
    assert mass_ratio(SOUND, DRY) is None
    bead = Fly(title="n", kind="nymph", hook=14, weighed_kg=2.6e-4)
    speck = Fly(title="n", kind="nymph", hook=20, weighed_kg=2e-5)
    mono, tippet = (1140 * pi / 4 * (thou * 25.4e-6) ** 2 for thou in (6.3, 5))
    expected = (mono * (8.0 - 1.2192) + tippet * 1.2192) / 2.6e-4
    assert mass_ratio(rig, bead) == pytest.approx(expected, rel=1e-6)
    assert mono_score(mass_ratio(rig, bead)).status == "right"
    assert mono_score(mass_ratio(rig, speck)).status == "too little"
    assert mono_score(4.5).marginal
    assert "more than 1000 times" in score_reading(mono_score(float("inf")), INCHES).why


def test_a_knotless_taper_flies_too():
    assert thrown(tied(knotless(cut_tip_m=0.2), level(7, 2, "tippet"))).margin > 1.4


def test_what_is_thrown_low_lands_nearly_as_far_as_it_opened_and_no_lower_aim_opens_it():
    minimum, stroke = thrown(SOUND).minimum, Stroke(speed_m_s=12.0)
    landed = landing_of(SOUND, LINE, DRY, stroke, Air(), minimum)
    assert landed.straight <= landed.opening
    assert landed.slack_m == pytest.approx((1.0 - landed.straight) * SOUND.length_m)
    lower = cast_at(rig_of(SOUND, LINE, DRY, 9.0), stroke, Air(), landed.aim_deg - 1)
    assert lower.opening < landed.opening
    assert not len(landed.flight.frames), "only a movie has frames"


def test_line_leader_and_fly_can_disagree_both_ways():
    """Common practice, no source: too much fly on a long fine leader, no life in a speck on a stout
    tippet."""
    midge = Fly(title="m", kind="midge", hook=22)
    foam = Fly(title="f", kind="foam", hook=8)
    stout = tied(level(21, 3, "butt"), level(15, 2), level(8, 1, "tippet"))
    long_fine = tied(*SOUND.pieces[:-1], level(5, 6, "tippet", "nylon-soft"))
    endless = tied(level(6, 22, "tippet", "nylon-soft"), level(4, 8, "tippet", "nylon-soft"))

    def said(leader, fly):
        cast = thrown(leader, fly)
        landed = landing_of(leader, LINE, fly, Stroke(), Air(), cast.minimum)
        return balance_of(landed.flight, landed.rig, leader, day(fly=fly), cast.margin >= 1.0)

    assert said(SOUND, DRY).kind == "agree"
    assert said(long_fine, foam).kind == "too much fly"
    assert said(stout, midge).kind == "no life"
    assert said(endless, midge).kind == "too much leader"


def test_a_stop_and_drop_lays_slack():
    """Common practice, no source; in the model by the higher stop."""
    flat, dropped = (cast_of(design(SOUND), Stroke(drop=drop), INCHES) for drop in (False, True))
    assert dropped.slack.si > flat.slack.si + 0.1
    assert dropped.speed_margin == flat.speed_margin
    assert dropped.near == flat.near


def test_while_a_piece_is_dragged_the_cord_goes_along():
    """The turnover alone, from the answer before: near to what is found from nothing."""

    def dragged(step: int, wind: float):
        leader = SOUND.evolve(pieces=(*SOUND.pieces[:-1], level(6, 2 + 0.1 * step, "tippet")))
        return design(leader, wind=Wind(speed_m_s=wind, bearing="in the face"))

    for wind, within in ((0.0, 0.02), (5.0, 0.05)):
        whole = cast_of(dragged(0, wind), Stroke(), INCHES)
        rough = rough_cast_of(dragged(2, wind), Stroke(), INCHES, whole.near)
        assert rough.movie is None
        settled = cast_of(dragged(2, wind), Stroke(), INCHES, rough.near)
        assert rough.speed_margin == pytest.approx(settled.speed_margin, rel=within)
        assert settled == cast_of(dragged(2, wind), Stroke(), INCHES), "it comes out the same"


@pytest.mark.parametrize(
    ("fly", "weight", "sinking", "said"),
    [
        (Fly(title="n", kind="nymph", hook=14), 5, "floating", "easily"),
        (Fly(title="s", kind="streamer", hook=-1), 8, "floating", "steady draw"),
        (Fly(title="t", kind="predator", hook=-9), 8, "floating", "grips the water"),
        (Fly(title="n", kind="nymph", hook=14), 7, "sink-3", "roll it up"),
    ],
)
def test_how_the_fly_comes_off_the_water(fly, weight, sinking, said):
    """Common practice, no source; where the borders are is a guess."""
    line = FlyLine(title="l", weight=weight, sinking=sinking)
    rod = Rod(title="r", length_m=2.7, weight=weight)
    made = design(SOUND, fly=fly, line=line, rod=rod, wish="strip")
    assert said in PICK_UPS[pick_up_of(made)]


def test_near_the_edge_a_verdict_says_what_it_hangs_on_until_that_is_known():
    """A shrimp on a wind leader into a fresh wind opens only just, and the fly's drag decides."""
    made = next(d for d in demo_designs(demo_stock()) if d.title == "Estuary wind leader")

    def why(of=made, own=UNKNOWN):
        return cast_of(of, Stroke(), INCHES, own=own).turnover.why

    drag, speed = DOUBTS["fly's drag"], DOUBTS["own speed"]
    assert drag in why()
    assert speed in why()
    fly = made.situation.fly
    timed = fly.evolve(drag_area_m2=fly.air_drag_area_m2)
    known = made.evolve(situation=made.situation.evolve(fly=timed))
    assert drag not in why(known)
    assert speed in why(known)
    profile = line_profile(known.situation.line)
    bends = {"tip_bend_nm2": profile.tip_bend_nm2, "belly_bend_nm2": profile.belly_bend_nm2}
    measured = known.situation.line.evolve(**bends)
    known = known.evolve(situation=known.situation.evolve(line=measured))
    assert "depends most on" not in why(known, OwnCast(speed_factor=1.02))
    assert "depends most on" not in why(design())


def test_a_level_leader_says_what_builders_know_of_it():
    """Common practice, no source: it turns over poorly, and the model does not say so."""
    flat = cast_of(design(tied(level(10, 9, "tippet"))), Stroke(), INCHES).turnover.why
    assert flat.endswith(LEVEL)
    assert LEVEL not in cast_of(design(SOUND), Stroke(), INCHES).turnover.why


def test_a_light_fly_near_the_edge_hangs_on_the_lines_stiffness_until_its_droop_is_measured():
    """Doubling it moves the margin of light flies by up to a sixth."""
    speck = Fly(title="s", kind="dry", hook=16, weighed_kg=14e-6, drag_area_m2=2.8e-5)
    made = design(SOUND, fly=speck, wind=Wind(speed_m_s=6.0, bearing="in the face"))

    def why(line: FlyLine) -> str:
        of = made.evolve(situation=made.situation.evolve(line=line))
        return cast_of(of, Stroke(), INCHES, own=OwnCast(speed_factor=1.02)).turnover.why

    tip, belly = LINE.tip_bend_nm2, LINE.belly_bend_nm2
    droop = DOUBTS["line's stiffness"].format(parts="belly")
    assert droop in why(FIVE), "the loop rolls in the belly for most of the cast"
    assert droop in why(FIVE.evolve(tip_bend_nm2=tip))
    known = FIVE.evolve(tip_bend_nm2=tip, belly_bend_nm2=belly)
    assert "droop" not in why(known)
    assert line_profile(known).bend_at_nm2(3.0) == pytest.approx(LINE.bend_at_nm2(3.0))


def test_tip_and_belly_are_as_stiff_as_measured_and_one_tells_of_the_other():
    def bends(**measured: float) -> tuple[float, float]:
        profile = line_profile(FIVE.evolve(**measured))
        return profile.bend_at_nm2(0.0), profile.bend_at_nm2(6.0)

    usual = bends()
    thicker = (LINE.belly_diameter_m / LINE.tip_diameter_m) ** 4
    assert bends(tip_bend_nm2=2e-6) == pytest.approx((2e-6, 2e-6 * thicker))
    assert bends(belly_bend_nm2=2e-5) == pytest.approx((2e-5 / thicker, 2e-5))
    assert bends(tip_bend_nm2=2e-6, belly_bend_nm2=2e-5) == pytest.approx((2e-6, 2e-5))
    assert usual[1] == pytest.approx(usual[0] * thicker)
    # a butt is matched to a floating line's tip, and to a sinking one's where that was measured
    sinking = FIVE.evolve(sinking="sink-3")
    plain = line_profile(sinking).match_bend_nm2
    assert line_profile(sinking.evolve(belly_bend_nm2=2e-5)).match_bend_nm2 == plain
    assert line_profile(sinking.evolve(tip_bend_nm2=2e-6)).match_bend_nm2 == 2e-6
