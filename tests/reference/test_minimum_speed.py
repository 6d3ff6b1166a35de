"""Minimum launch speeds against rigs whose outcome builders know, and against themselves.

The rigs are common practice, no source (``tests/cast_rigs.py``). The thresholds (1.0, 1.4, 2.4)
were set by FITTED; HELD_OUT was kept out of that and only tested. What the model and the trade
tell apart is said in docs/model.md and stands in DIFFERS.
"""

from functools import cache

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.changed_casts import DRAG_OFF, WIND_OFF_M_S
from nine_knots.core.assess.own_cast import PILES_UP, SLAMS, SOFT, SPEED_SPREAD
from nine_knots.core.assess.sensitivity import SPOOL_OFF_M, STROKE_OFF, TIED_OFF_M, sensitivity_of
from nine_knots.core.casting.minimum_speed import (
    USUAL,
    MinimumLaunchSpeed,
    minimum_launch_speed,
    opens_at,
)
from nine_knots.core.casting.opening import (
    AIM_STEP,
    HIGHEST_AIM,
    LOWEST_AIM,
    OPENS,
    SPEED_STEP,
    Openings,
)
from nine_knots.core.casting.rig import FULL, Mesh, rig_of
from nine_knots.core.casting.stroke import FASTEST_M_S, SLOWEST_M_S, Stroke
from nine_knots.core.casting.wind import STEADY, air_of
from nine_knots.core.domain.tackle import FlyLine, line_profile
from nine_knots.core.mechanics.air import Air
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.shelf import demo_stock
from tests.cast_rigs import DIFFERS, FITTED, HELD_OUT, PREDATOR, fly

KNOWN = {**FITTED, **HELD_OUT, **DIFFERS}
SPAN = {
    "fails": (0.0, PILES_UP),
    "is work": (0.9 * PILES_UP, 1.1 * PILES_UP),
    "works": (PILES_UP, SOFT),
    "fully": (SOFT, SLAMS),
}
HALF = Mesh(line_m=FULL.line_m / 2.0, leader_m=FULL.leader_m / 2.0)


def rig(name: str, mesh: Mesh = FULL, line_out_m: float = 9.0):
    leader, thrown, weight, _ = KNOWN[name]
    line = line_profile(FlyLine(title="l", weight=weight))
    return rig_of(leader, line, thrown, line_out_m, mesh)


@cache
def minimum(
    name: str, wind: float = 0.0, mesh: Mesh = FULL, line_out_m: float = 9.0
) -> MinimumLaunchSpeed:
    stroke = Stroke(line_out_m=line_out_m)
    return minimum_launch_speed(rig(name, mesh, line_out_m), stroke, Air(wind_m_s=wind))


@pytest.mark.parametrize("name", [*FITTED, *HELD_OUT, *DIFFERS])
def test_a_normal_stroke_opens_what_builders_say_it_opens(name):
    """Common practice, no source: on nine metres of line, in still air, launched at 15 m/s."""
    low, high = SPAN[KNOWN[name][3]]
    assert low <= minimum(name).margin(Stroke()) < high


@pytest.mark.parametrize(
    ("name", "margin"),
    [
        ("9 ft 5X, dry 16", 1.84),
        ("9 ft 5X, bushy 14", 1.77),
        ("compound, dry 14", 1.71),
        ("9 ft 5X, nymph with 3 mm bead", 1.71),
        ("long fine 15 ft, 18, 4-weight", 1.67),
        ("halving, streamer .8 g", 1.18),
        ("pike fly 3 g, 9-weight", 1.04),
        ("foam 8 on 9 ft 5X", 0.92),
    ],
)
def test_margins_are_those_of_an_independent_model(name, margin):
    """Another implementation's margins at 15 m/s, on rigs alike but not the same, with another
    measure of opening: within a tenth."""
    assert minimum(name).margin(Stroke()) == pytest.approx(margin, rel=0.1)


@pytest.mark.parametrize(
    ("name", "wind", "within"),
    [
        ("9 ft 5X, dry 16", 0.0, 0.04),
        ("compound, dry 14", 0.0, 0.04),
        ("inshore, baitfish 1.2 g, 8-weight", 0.0, 0.04),
        ("even step for flats, crab .35 g, 8-weight", 0.0, 0.04),
        ("9 ft 5X, dry 16", -5.0, 0.06),
        ("inshore, baitfish 1.2 g, 8-weight", -5.0, 0.06),
    ],
)
def test_it_does_not_depend_on_the_mesh(name, wind, within):
    """Half of every link: ``bench.convergence`` does it for all rigs."""
    usual, fine = (minimum(name, wind, mesh).speed_m_s for mesh in (FULL, HALF))
    assert usual == pytest.approx(fine, rel=within)


def margin_on(line: FlyLine) -> float:
    thrown = rig_of(PREDATOR, line_profile(line), fly(3000, 8), 9.0)
    return minimum_launch_speed(thrown, Stroke(), Air()).margin(Stroke())


def test_a_heavier_head_and_a_shorter_one_of_the_same_mass_open_more():
    """Common practice, no source: pike flies on heads of 19 to 20 g."""
    light, usual, short = (
        FlyLine(title="l", weight=9, head_kg=grams * 1e-3, head_m=metres)
        for grams, metres in ((16, 9.1), (19.5, 9.1), (19.5, 7.0))
    )
    assert margin_on(light) < margin_on(usual) < margin_on(short)
    assert line_profile(usual).mass_kg == pytest.approx(19.5e-3)
    assert line_profile(short).diameter_at_m(8.0) < line_profile(short).belly_diameter_m


def test_a_thin_level_line_turns_over_less_than_a_weight_forward_one():
    thin = FlyLine(title="l", weight=9, level_m=0.022 * 0.0254)
    assert margin_on(thin) < 0.7 * margin_on(FlyLine(title="l", weight=9))


def test_a_shorter_leader_opens_harder():
    assert minimum("7.5 ft 5X, dry 16").speed_m_s <= 1.01 * minimum("9 ft 5X, dry 16").speed_m_s


@pytest.mark.parametrize(
    ("name", "winds"),
    [
        ("even step for flats, crab .35 g, 8-weight", (9.8, 10.8, 12.9, 16.9)),
        ("9 ft 5X, nymph with 3 mm bead", (8.8, 9.4, 10.8, 12.4)),
        ("9 ft 5X, dry 16", (8.1, 10.5, 15.2, 18.8)),
        ("inshore, baitfish 1.2 g, 8-weight", (12.4, 15.8, 22.0, 34.0)),
    ],
)
def test_minimum_speeds_are_those_of_an_independent_model(name, winds):
    """Another implementation's minimum speeds in m/s by head wind of 0, 3, 6, 9 m/s, on rigs alike
    but not the same, most at a coarser mesh: within a quarter."""
    for wind, expected in zip((0.0, 3.0, 6.0, 9.0), winds, strict=True):
        assert minimum(name, -wind).speed_m_s == pytest.approx(expected, rel=0.25)


@pytest.mark.parametrize(
    ("name", "wind", "within"),
    [
        ("inshore, baitfish 1.2 g, 8-weight", 0.0, 1e-9),
        ("9 ft 5X, dry 16", 0.0, 1e-9),
        ("9 ft 5X, bushy 14", -6.0, 0.06),
        ("compound, dry 14", -3.0, 0.06),
    ],
)
def test_it_does_not_depend_on_where_one_begins(name, wind, within):
    usual = minimum(name, wind).speed_m_s
    begun = (USUAL, *(MinimumLaunchSpeed(*at) for at in ((30.0, 0), (5.0, 12), (None, 4))))
    for near in begun:
        found = minimum_launch_speed(rig(name), Stroke(), Air(wind_m_s=wind), near)
        assert found.speed_m_s == pytest.approx(usual, rel=within)


@pytest.mark.parametrize("wind", [0.0, -5.0])
@pytest.mark.parametrize("name", ["9 ft 5X, dry 16", "compound, dry 14", "9 ft 5X, bushy 14"])
def test_no_aim_at_all_opens_it_much_slower(name, wind):
    """Against a scan of all aims, two steps of speed below."""
    found = minimum(name, wind).speed_m_s or FASTEST_M_S
    openings = Openings(rig(name), Stroke(), Air(wind_m_s=wind))
    slower = round(np.log(found / SLOWEST_M_S) / np.log(SPEED_STEP)) - 2
    aims = range(LOWEST_AIM + AIM_STEP, HIGHEST_AIM, AIM_STEP)
    assert max(openings.at(slower, aim) for aim in aims) < OPENS


@settings(max_examples=15)
@given(
    st.sampled_from(sorted({**FITTED, **HELD_OUT})),
    st.integers(-1, 2),
    st.integers(1, 3),
    st.sampled_from([4.0, 9.0, 15.0]),
)
def test_more_head_wind_never_costs_less(name, threes, more, line_out_m):
    """However it is said: what a gale blows back is not open."""
    calmer, windier = (
        minimum(name, -3.0 * wind, line_out_m=line_out_m) for wind in (threes, threes + more)
    )
    # a following wind, which lifts what still trails, may cost a twentieth itself
    least = 0.95 if threes < 0 else 1.0
    assert (windier.speed_m_s or 1e9) >= least * (calmer.speed_m_s or 1e9)


def test_the_chance_of_opening_is_that_of_plain_casts():
    """Every doubt drawn at once and thrown, against the sum of small changes (Monte Carlo)."""
    made = next(d for d in demo_designs(demo_stock()) if d.title == "Estuary wind leader")
    stroke, day, rng = Stroke(), made.situation, np.random.default_rng(9)
    found = sensitivity_of(made, stroke, Angler())
    draws, opened = 150, 0
    for _ in range(draws):
        pieces = tuple(
            piece.evolve(
                length_m=piece.length_m + TIED_OFF_M * rng.standard_normal(),
                strand=piece.strand.evolve(
                    diameter_m=piece.strand.diameter_m + SPOOL_OFF_M * rng.standard_normal()
                ),
            )
            for piece in made.leader.pieces
        )
        leader = made.leader.evolve(pieces=pieces)
        drag = day.fly.air_drag_area_m2 * np.exp(DRAG_OFF * rng.standard_normal())
        drawn = rig_of(
            leader, line_profile(day.line), day.fly.evolve(drag_area_m2=drag), stroke.line_out_m
        )
        air = air_of(day.wind, STEADY)
        air = air._replace(wind_m_s=air.wind_m_s - WIND_OFF_M_S * rng.standard_normal())
        speed = stroke.speed_m_s * np.exp(
            np.hypot(STROKE_OFF, SPEED_SPREAD) * rng.standard_normal()
        )
        opened += opens_at(speed / found.low, drawn, stroke, air)
    assert opened / draws == pytest.approx(found.opens, abs=0.11)
