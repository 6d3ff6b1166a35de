"""What breaks first, and how the day's need is met."""

import numpy as np
import pytest

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.knots import KNOTS, knot_efficiency, line_used_m, turns
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.domain.materials import MATERIALS
from nine_knots.core.domain.need import need_of
from nine_knots.core.domain.situation import TargetFish, Water
from nine_knots.core.mechanics.weakest_link import first_break
from nine_knots.core.strength.elements import hold_of
from tests.makers import PLAIN, day

NYLON, FLUORO = MATERIALS["nylon-soft"], MATERIALS["fluorocarbon"]


def test_the_chances_of_all_elements_make_one():
    hold = hold_of(PLAIN)
    assert sum(element.chance for element in hold.elements) == pytest.approx(1.0)
    assert hold.low_n < hold.mean_n


def test_the_leader_breaks_in_its_tippet_knots():
    hold = hold_of(PLAIN)
    assert hold.break_element.what == "joint"
    assert hold.chance_of("joint", 3) + hold.chance_of("joint", 4) > 0.95
    assert hold.mean_n < PLAIN.pieces[-1].breaking_at_n(0.0)


def test_a_ring_is_a_joint_of_two_knots():
    joints = list(PLAIN.joints)
    joints[3] = Connection(kind="ring", knot="uni", upper_knot="improved-clinch")
    ringed = hold_of(Leader(pieces=PLAIN.pieces, joints=joints))
    sides = [e for e in ringed.elements if (e.what, e.index) == ("joint", 3)]
    assert len(sides) == 2
    assert sides[0].mean_n == pytest.approx(0.9 * PLAIN.pieces[2].breaking_at_n(0.0))


def test_unlike_sizes_and_unlike_materials_weaken_a_knot():
    blood = KNOTS["blood"]
    like = knot_efficiency(blood, NYLON, NYLON, 1.1)
    assert knot_efficiency(blood, NYLON, NYLON, 1.6) < like
    assert knot_efficiency(blood, NYLON, FLUORO, 1.1) < like
    assert knot_efficiency(blood, FLUORO, FLUORO, 1.1) < like
    assert knot_efficiency(blood, NYLON, NYLON, 9.0) >= 0.3


def test_chances_come_from_a_monte_carlo_just_so():
    means, spreads = np.array([20.0, 21.0, 24.0]), np.array([0.05, 0.10, 0.15])
    found = first_break(means, spreads)
    rng = np.random.default_rng(9)
    from nine_knots.core.mechanics.weakest_link import weibull_shape

    shapes = np.array([weibull_shape(s) for s in spreads])
    draws = rng.weibull(shapes, size=(200_000, 3))
    draws *= means / draws.mean(axis=0)
    share = np.bincount(draws.argmin(axis=1), minlength=3) / len(draws)
    assert found.chances == pytest.approx(share, abs=0.005)
    assert found.mean_n == pytest.approx(draws.min(axis=1).mean(), rel=0.003)
    assert found.low_n == pytest.approx(np.quantile(draws.min(axis=1), 0.05), rel=0.01)


def test_a_chain_of_nothing_or_of_no_strength_is_refused():
    for means in (np.array([]), np.array([10.0, 0.0]), np.array([10.0, np.nan])):
        with pytest.raises(CannotCompute):
            first_break(means, np.full(means.shape, 0.05))
    with pytest.raises(CannotCompute):
        first_break(np.array([10.0]), np.array([3.0]))


def test_snags_and_heavy_fish_ask_more():
    open_water = need_of(day())
    snags = need_of(day(water=Water(snags="heavy snags")))
    heavy = need_of(day(quarry=TargetFish(mass_kg=5.0)))
    assert snags.pull_n > open_water.pull_n
    assert heavy.strike_n > open_water.strike_n
    assert heavy.most_n == max(heavy.strike_n, heavy.pull_n)


@pytest.mark.parametrize(
    ("above", "below", "wanted"),
    [(27, 24, (4, 4)), (24, 21, (4, 5)), (21, 18, (5, 6)), (12, 9, (6, 7))],
)
def test_turns_of_a_blood_knot_by_size(above, below, wanted):
    assert turns(KNOTS["blood"], above * THOU_M, below * THOU_M) == wanted


def test_a_practised_hand_uses_less_line():
    usual = line_used_m(KNOTS["blood"], 6, 12 * THOU_M, 9 * THOU_M, 1.0)
    practised = line_used_m(KNOTS["blood"], 6, 12 * THOU_M, 9 * THOU_M, 0.6)
    assert 0.04 < practised < usual < 0.10
