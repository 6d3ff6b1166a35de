"""The weakest link against Weibull's own closed form, and the strike against the trade."""

from math import gamma

import numpy as np
import pytest
from scipy.stats import weibull_min

from nine_knots.core.domain.need import strike_peak_n
from nine_knots.core.domain.tackle import Rod
from nine_knots.core.mechanics.weakest_link import first_break, weibull_shape
from nine_knots.core.strength.elements import hold_of
from tests.makers import level, tied


@pytest.mark.parametrize("count", [1, 2, 5, 20])
@pytest.mark.parametrize("spread", [0.03, 0.05, 0.12])
def test_equal_links_follow_weibulls_weakest_link(count, spread):
    """Weibull (1951): the weakest of n equal links is Weibull(k, lambda n^(-1/k))."""
    shape, mean = weibull_shape(spread), 40.0
    scale = mean / gamma(1 + 1 / shape) * count ** (-1 / shape)
    found = first_break(np.full(count, mean), np.full(count, spread))
    assert found.mean_n == pytest.approx(scale * gamma(1 + 1 / shape), rel=1e-4)
    assert found.low_n == pytest.approx(scale * (-np.log(0.95)) ** (1 / shape), rel=1e-3)
    assert found.chances == pytest.approx(np.full(count, 1 / count), abs=1e-9)


@pytest.mark.parametrize("spread", [0.02, 0.05, 0.2, 0.6])
def test_the_shape_has_the_spread_asked_for(spread):
    """Against scipy.stats.weibull_min."""
    law = weibull_min(weibull_shape(spread))
    assert law.std() / law.mean() == pytest.approx(spread, rel=1e-6)


def test_a_much_weaker_link_always_goes_first():
    found = first_break(np.array([10.0, 40.0]), np.array([0.05, 0.05]))
    assert found.chances[0] == pytest.approx(1.0, abs=1e-6)


def test_fine_tippet_breaks_on_the_strike_of_a_fast_rod_and_holds_under_a_soft_one():
    """Common practice, no source: 7X under a fast 6- or 7-weight, a .8 kg fish."""
    soft_pieces = [level(thou, 1.5, "taper", "nylon-soft") for thou in (7, 5.5, 4.5, 4)]
    low_n = hold_of(tied(level(14, 4), level(10, 1.5), *soft_pieces)).low_n
    for weight in (6, 7):
        fast = Rod(title="r", length_m=2.75, weight=weight, action="fast")
        assert strike_peak_n(fast, 0.8) > low_n
    soft = Rod(title="r", length_m=2.75, weight=3, action="soft")
    assert strike_peak_n(soft, 0.8) < low_n


def test_rods_are_as_stiff_as_said():
    """Guess of the models: soft light rods 20 to 30 N/m, fast 6- and 7-weights 70 to 95."""
    light = Rod(title="r", length_m=2.75, weight=3, action="soft").tip_stiffness_n_m
    fast = [
        Rod(title="r", length_m=2.75, weight=w, action="fast").tip_stiffness_n_m for w in (6, 7)
    ]
    assert 20 <= light <= 30
    assert 70 <= fast[0] < fast[1] <= 98
    assert Rod(title="r", length_m=2.75, weight=5, tip_n_m=44.0).tip_stiffness_n_m == 44.0
