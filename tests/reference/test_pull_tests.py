"""Own pull tests against the posterior worked out by brute force, and the textbook's case."""

from math import exp, log, sqrt

import numpy as np
import pytest
from scipy.integrate import trapezoid
from scipy.stats import norm

from nine_knots.core.domain.knots.own import (
    PRIOR_TESTS,
    PullTest,
    belief,
    spread_of,
    sum_tests,
    usual_share,
)

SHARES = (0.78, 0.84, 0.9, 0.71)


def pulls(shares):
    return tuple(
        PullTest(knot="blood", family="nylon", strand_n=40.0, broke_n=40.0 * s) for s in shares
    )


def test_the_update_is_the_posterior_by_brute_force():
    """Prior times likelihood on a grid, with scipy.stats.norm, normalised numerically."""
    found = belief(sum_tests("blood", "nylon", pulls(SHARES)))
    sigma = spread_of("blood")
    grid = np.linspace(log(0.4), log(1.3), 40_001)
    weight = norm.pdf(grid, log(usual_share("blood", "nylon")), sigma / sqrt(PRIOR_TESTS))
    for share in SHARES:
        weight *= norm.pdf(log(share), grid, sigma)
    weight /= trapezoid(weight, grid)
    mean = trapezoid(grid * weight, grid)
    spread = sqrt(trapezoid((grid - mean) ** 2 * weight, grid))
    assert found.posterior == pytest.approx(exp(mean), rel=1e-5)
    assert found.posterior_spread == pytest.approx(spread, rel=1e-4)


def test_a_prior_worth_five_tests_weighs_as_five():
    """Textbook: normal mean, known variance; n0 = 5 pseudo-observations (Gelman et al., BDA)."""
    low = belief(sum_tests("blood", "nylon", pulls((0.7,) * 5)))
    prior = usual_share("blood", "nylon")
    assert log(low.posterior) == pytest.approx(0.5 * (log(prior) + log(0.7)))
    assert low.posterior_spread == pytest.approx(low.prior_spread / sqrt(2.0))
