"""The reserve against rigs whose outcome builders know: common practice, no source.

Masses and drag areas of flies are from memory. The thresholds (.90, 1.35, 2.4) were set by FITTED;
HELD_OUT was kept out of that and only tested. Two that the model and the trade tell apart are said
in docs/model.md and stand in DIFFERS.
"""

from functools import cache

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.matters import (
    DRAG_OFF,
    SPOOL_OFF_M,
    STROKE_OFF,
    TIED_OFF_M,
    WIND_OFF_M_S,
    matters_of,
)
from nine_knots.core.judge.own_cast import PILES_UP, SLAMS, SOFT, SPEED_SPREAD
from nine_knots.core.models.cast.casting import forward_of, prepared
from nine_knots.core.models.cast.reserve import (
    LOWEST_AIM,
    RATIO,
    USUAL,
    Least,
    least_speed,
    opens_at,
)
from nine_knots.core.models.cast.rig import Mesh, rig_of
from nine_knots.core.models.cast.stroke import FASTEST_M_S, Stroke
from nine_knots.core.models.cast.wind import STEADY, air_of
from nine_knots.core.physics.air import Air
from nine_knots.core.physics.flight import OPEN
from nine_knots.core.trade.leader import TaperedPiece
from nine_knots.core.trade.strand import TaperedStrand, TaperProfile
from nine_knots.core.trade.tackle import Fly, FlyLine, line_profile
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.shelf import demo_stock
from tests.makers import level, tied


def fly(milligrams: float, cm2: float) -> Fly:
    return Fly(
        title="f", kind="dry", hook=14, weighed_kg=milligrams * 1e-6, drag_area_m2=cm2 * 1e-4
    )


def bought(feet: float, tip: float) -> TaperedPiece:
    """A knotless taper of 60 : 20 : 20."""
    whole = feet * FOOT_M
    profile = TaperProfile(
        butt_length_m=0.6 * whole,
        butt_diameter_m=20 * THOU_M,
        taper_length_m=0.2 * whole,
        tip_length_m=0.2 * whole,
        tip_diameter_m=tip * THOU_M,
    )
    strand = TaperedStrand(material="nylon-medium", profile=profile)
    return TaperedPiece(role="butt", strand=strand)


def medium(size, feet, role="taper"):
    return level(size, feet, role, "nylon-medium")


def soft(size, feet, role="tippet"):
    return level(size, feet, role, "nylon-soft")


COMPOUND = tied(
    *(medium(15, 2), medium(13, 1.2), medium(11, 0.9), medium(9, 0.7)),
    *(soft(8, 1.2), soft(7, 2), soft(6, 2.8)),
)
LONG_FINE = tied(
    medium(14.5, 5), medium(12, 2.5), medium(10, 2), medium(8, 1.5), medium(6, 1), soft(4, 3)
)
EVEN = tied(*(level(size, 2.1) for size in (27, 24, 21, 18, 15)), level(12, 2.1, "tippet"))
INSHORE = tied(medium(30, 4.5), medium(24, 2.1), medium(19.5, 1.1), medium(17, 1.5, "tippet"))
HALVING = tied(medium(18, 4), medium(13, 2), medium(12, 1.25), medium(10, 1.5, "tippet"))
PREDATOR = tied(medium(24, 3.5), medium(20, 1.5), medium(18, 1, "tippet"))
NINE, SHORT = bought(9, 6), bought(7.5, 6)

# name: leader, fly, line, what builders say of it
FITTED = {
    "9 ft 5X, dry 16": (tied(NINE), fly(14, 0.28), 5, "fully"),
    "9 ft 5X and 2 ft of 6X, dry 18": (tied(NINE, soft(5, 2)), fly(9, 0.2), 5, "fully"),
    "long fine 15 ft, 18, 4-weight": (LONG_FINE, fly(9, 0.2), 4, "fully"),
    "9 ft 5X, nymph with 3 mm bead": (tied(NINE), fly(260, 0.15), 5, "fully"),
    "halving, streamer .8 g": (HALVING, fly(800, 3), 5, "works"),
    "pike fly 3 g, 9-weight": (PREDATOR, fly(3000, 8), 9, "works"),
    "foam 8 on 7.5 ft 2X": (tied(bought(7.5, 9)), fly(120, 3), 5, "works"),
    "foam 8 on 9 ft 5X": (tied(NINE), fly(120, 3), 5, "fails"),
    "2 g on 12 ft 6X, 3-weight": (tied(NINE, medium(5, 3, "tippet")), fly(2000, 6), 3, "fails"),
}
HELD_OUT = {
    "9 ft 5X, bushy 14": (tied(NINE), fly(25, 0.6), 5, "fully"),
    "9 ft 4X, dry 12": (tied(bought(9, 7)), fly(45, 0.9), 5, "fully"),
    "9 ft 5X and 3 ft of 6X, midge 20, 4-weight": (
        tied(NINE, soft(5, 3)),
        fly(5, 0.15),
        4,
        "fully",
    ),
    "7.5 ft 5X, dry 16": (tied(SHORT), fly(14, 0.28), 5, "fully"),
    "compound, dry 14": (COMPOUND, fly(17, 0.4), 5, "fully"),
    "even step for flats, crab .35 g, 8-weight": (EVEN, fly(350, 1), 8, "fully"),
    "inshore, baitfish 1.2 g, 8-weight": (INSHORE, fly(1200, 4), 8, "works"),
    "two-part 8 ft, 1.3 g, 7-weight": (
        tied(medium(21, 6), medium(15, 2, "tippet")),
        fly(1300, 4),
        7,
        "works",
    ),
    "compound, bushy 10": (COMPOUND, fly(60, 1.3), 5, "fails"),
}
# what the trade calls poor, or a failure, and the model does not
DIFFERS = {
    "level 9 ft .010": (tied(medium(10, 9, "tippet")), fly(17, 0.4), 5, "fully"),
    "1.2 g on a 4-weight": (HALVING, fly(1200, 3.5), 4, "works"),
}
SPAN = {"fails": (0.0, PILES_UP), "works": (PILES_UP, SOFT), "fully": (SOFT, SLAMS)}


@cache
def least(name: str, wind: float = 0.0) -> Least:
    leader, thrown, weight, _ = {**FITTED, **HELD_OUT, **DIFFERS}[name]
    line = line_profile(FlyLine(title="l", weight=weight))
    return least_speed(rig_of(leader, line, thrown, 9.0), Stroke(), Air(wind_m_s=wind))


@pytest.mark.parametrize("name", [*FITTED, *HELD_OUT, *DIFFERS])
def test_a_normal_stroke_opens_what_builders_say_it_opens(name):
    """Common practice, no source: on nine metres of line, in still air, launched at 15 m/s."""
    low, high = SPAN[{**FITTED, **HELD_OUT, **DIFFERS}[name][3]]
    assert low <= least(name).reserve(Stroke()) < high


def reserve_on(line: FlyLine) -> float:
    rig = rig_of(PREDATOR, line_profile(line), fly(3000, 8), 9.0)
    return least_speed(rig, Stroke(), Air()).reserve(Stroke())


def test_a_heavier_head_and_a_shorter_one_of_the_same_mass_open_more():
    """Common practice, no source: pike flies on heads of 19 to 20 g."""
    light, usual, short = (
        FlyLine(title="l", weight=9, head_kg=grams * 1e-3, head_m=metres)
        for grams, metres in ((16, 9.1), (19.5, 9.1), (19.5, 7.0))
    )
    assert reserve_on(light) < reserve_on(usual) < reserve_on(short)
    assert line_profile(usual).mass_kg == pytest.approx(19.5e-3)
    assert line_profile(short).diameter_at_m(8.0) < line_profile(short).belly_diameter_m


def test_a_thin_level_line_turns_over_less_than_a_weight_forward_one():
    thin = FlyLine(title="l", weight=9, level_m=0.022 * 0.0254)
    assert reserve_on(thin) < 0.7 * reserve_on(FlyLine(title="l", weight=9))


def test_a_shorter_leader_opens_harder():
    assert least("7.5 ft 5X, dry 16").speed_m_s <= least("9 ft 5X, dry 16").speed_m_s


@pytest.mark.parametrize(
    ("name", "winds"),
    [
        ("even step for flats, crab .35 g, 8-weight", (9.8, 10.8, 12.9, 16.9)),
        ("9 ft 5X, nymph with 3 mm bead", (8.8, 9.4, 10.8, 12.4)),
        ("9 ft 5X, dry 16", (8.5, 10.8, 13.8, None)),
        ("inshore, baitfish 1.2 g, 8-weight", (12.4, 15.8, 22.0, 34.0)),
    ],
)
def test_least_speeds_are_those_of_an_independent_model(name, winds):
    """Another implementation's least speeds in m/s by head wind of 0, 3, 6, 9 m/s, on rigs alike
    but not the same, and at a coarser mesh: within a fifth."""
    for wind, expected in zip((0.0, 3.0, 6.0, 9.0), winds, strict=True):
        if expected is not None:
            assert least(name, -wind).speed_m_s == pytest.approx(expected, rel=0.25)


def test_it_hardly_hangs_on_the_mesh_and_not_on_where_one_begins():
    leader, thrown, weight, _ = HELD_OUT["inshore, baitfish 1.2 g, 8-weight"]
    line = line_profile(FlyLine(title="l", weight=weight))
    usual = least("inshore, baitfish 1.2 g, 8-weight").speed_m_s
    fine = rig_of(leader, line, thrown, 9.0, Mesh(line_m=0.05, leader_m=0.04))
    assert least_speed(fine, Stroke(), Air()).speed_m_s == pytest.approx(usual, rel=0.05)
    rig = rig_of(leader, line, thrown, 9.0)
    for near in (USUAL, Least(30.0, 0.0), Least(5.0, 16.0), Least(None, 4.0)):
        assert least_speed(rig, Stroke(), Air(), near).speed_m_s == pytest.approx(usual, rel=0.03)


@pytest.mark.parametrize("wind", [0.0, -5.0, -9.0])
@pytest.mark.parametrize("name", ["9 ft 5X, dry 16", "compound, dry 14", "9 ft 5X, bushy 14"])
def test_no_aim_at_all_opens_it_much_slower(name, wind):
    """Also where it was sought from a like leader's answer: against a scan of all aims."""
    found, (leader, thrown, weight, _) = least(name, wind), {**FITTED, **HELD_OUT}[name]
    line, air = line_profile(FlyLine(title="l", weight=weight)), Air(wind_m_s=wind)
    rig = rig_of(leader, line, thrown, 9.0)
    near = Least(found.speed_m_s and 1.05 * found.speed_m_s, found.aim_deg + 1.0)
    again = least_speed(rig, Stroke(), air, near)
    slower = (again.speed_m_s or FASTEST_M_S) / RATIO**2.5
    chain, stroke = prepared(rig, Stroke()), Stroke(speed_m_s=slower)
    aims = np.arange(LOWEST_AIM, 16.0, 1.0)
    assert max(forward_of(rig, chain, stroke, air, float(aim)) for aim in aims) < OPEN


@settings(max_examples=12)
@given(st.sampled_from(sorted({**FITTED, **HELD_OUT})), st.integers(0, 3), st.integers(1, 3))
def test_more_head_wind_never_costs_less(name, threes, more):
    """However it is said: what a gale blows back is not open."""
    calmer, windier = least(name, -3.0 * threes), least(name, -3.0 * (threes + more))
    assert (windier.speed_m_s or 1e9) >= (calmer.speed_m_s or 1e9)


def test_the_chance_of_opening_is_that_of_four_hundred_plain_casts():
    """Every doubt drawn at once and thrown, against the sum of small changes (Monte Carlo)."""
    made = next(d for d in demo_designs(demo_stock()) if d.title == "Estuary wind leader")
    stroke, day, rng = Stroke(), made.situation, np.random.default_rng(9)
    found = matters_of(made, stroke, Angler())
    near = Least(stroke.speed_m_s / found.reserve, 15.0)
    opened = 0
    for _ in range(400):
        pieces = tuple(
            piece.remade(
                length_m=piece.length_m + TIED_OFF_M * rng.standard_normal(),
                strand=piece.strand.remade(
                    diameter_m=piece.strand.diameter_m + SPOOL_OFF_M * rng.standard_normal()
                ),
            )
            for piece in made.leader.pieces
        )
        leader = made.leader.remade(pieces=pieces)
        drag = day.fly.air_drag_area_m2 * np.exp(DRAG_OFF * rng.standard_normal())
        rig = rig_of(
            leader, line_profile(day.line), day.fly.remade(drag_area_m2=drag), stroke.line_out_m
        )
        air = air_of(day.wind, STEADY)
        air = air._replace(wind_m_s=air.wind_m_s - WIND_OFF_M_S * rng.standard_normal())
        speed = stroke.speed_m_s * np.exp(
            np.hypot(STROKE_OFF, SPEED_SPREAD) * rng.standard_normal()
        )
        opened += opens_at(speed / found.low, rig, stroke, air, near)
    assert opened / 400.0 == pytest.approx(found.opens, abs=0.07)
