"""An angler's own pull tests, and what they say of the strength that a knot keeps.

ln of the share kept is normal with the knot's own spread. Its mean has a normal prior at the
table's figure, worth ``PRIOR_TESTS`` tests, and the tests update it [S: Gelman2013,
normal with known variance].
"""

from bisect import bisect_left, insort
from dataclasses import dataclass
from math import exp, log, pi, sqrt
from statistics import median

from pydantic import Field

from nine_knots.core.base.limits import StrengthN
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.knots.rules import knot_efficiency
from nine_knots.core.domain.knots.table import KNOTS, KnotKey
from nine_knots.core.domain.materials import MATERIALS, Family

PRIOR_TESTS = 5.0
STRAND_SPREAD = 0.05  # of the line itself, from one piece to the next [M]
ODD = 3.0  # standard deviations from what the others say at which a test is questioned
SAME = 1e-9  # by which ln shares of the same test may differ, told and reckoned
CURVE = 60  # points of a drawn density


class PullTest(Frozen):
    """A knot pulled to breaking: in what line, how strong that is by itself, where it broke."""

    knot: KnotKey
    family: Family
    strand_n: StrengthN
    broke_n: StrengthN
    set_aside: bool = False

    @property
    def efficiency(self) -> float:
        """Share of the line's strength that held."""
        return self.broke_n / self.strand_n


class TestSums(Frozen):
    """All tests of a knot in a family: how many count, the sum of their ln share kept, and the
    least and the greatest ln share of all."""

    knot: KnotKey
    family: Family
    tests: int = Field(ge=0)
    ln_kept: float
    least: float
    most: float


class PulledKnot(Frozen):
    """What a knot keeps in this angler's hands, over the table's figure, from so many tests."""

    knot: KnotKey
    family: Family
    factor: float = Field(gt=0.0, lt=5.0)
    tests: int = Field(ge=1)


@dataclass(frozen=True, slots=True)
class Belief:
    """What is believed of the mean share kept: medians and spreads of its logarithm."""

    knot: KnotKey
    family: Family
    prior: float
    prior_spread: float
    posterior: float
    posterior_spread: float
    tests: int

    @property
    def factor(self) -> float:
        """The posterior over the prior."""
        return self.posterior / self.prior


def usual_share(knot: KnotKey, family: Family) -> float:
    """The table's share kept in a material of this family."""
    material = next(item for item in MATERIALS.values() if item.family == family)
    return knot_efficiency(KNOTS[knot], material, None, 1.0)


def spread_of(knot: KnotKey) -> float:
    """Standard deviation of ln share from one test to the next, the line's own included."""
    return sqrt(KNOTS[knot].spread ** 2 + STRAND_SPREAD**2)


def sum_tests(knot: KnotKey, family: Family, tests: tuple[PullTest, ...]) -> TestSums:
    """Tests of one knot in one family, summed up."""
    shares = [log(test.efficiency) for test in tests]
    counted = [log(test.efficiency) for test in tests if not test.set_aside]
    return TestSums(
        knot=knot,
        family=family,
        tests=len(counted),
        ln_kept=sum(counted),
        least=min(shares, default=0.0),
        most=max(shares, default=0.0),
    )


def belief(told: TestSums) -> Belief:
    """The update by all tests of this knot in this family that are not set aside."""
    prior, spread = usual_share(told.knot, told.family), spread_of(told.knot)
    weight = PRIOR_TESTS + told.tests
    mean = (PRIOR_TESTS * log(prior) + told.ln_kept) / weight
    return Belief(
        knot=told.knot,
        family=told.family,
        prior=prior,
        prior_spread=spread / sqrt(PRIOR_TESTS),
        posterior=exp(mean),
        posterior_spread=spread / sqrt(weight),
        tests=told.tests,
    )


def is_odd(pull_test: PullTest, shares: list[float]) -> bool:
    """Whether a test lies far from what the prior and the other tests would have it.

    ``shares`` are the ln shares kept by all tests of this knot and family that count, from small
    to great, this one's among them where it counts. Their middle is a median in which the prior
    weighs as its tests do, so that one wild reading does not make the sound ones look odd.
    """
    mine = log(pull_test.efficiency)
    others = list(shares)
    at = min(bisect_left(others, mine - SAME), len(others) - 1)
    if not pull_test.set_aside and at >= 0 and abs(others[at] - mine) < 2.0 * SAME:
        del others[at]
    expected = spread_of(pull_test.knot) * sqrt(1.0 + 1.0 / (PRIOR_TESTS + len(others)))
    usual = log(usual_share(pull_test.knot, pull_test.family))
    for _ in range(int(PRIOR_TESTS)):
        insort(others, usual)
    return abs(mine - median(others)) > ODD * expected


def pulled_knots(told: tuple[TestSums, ...]) -> tuple[PulledKnot, ...]:
    """Every knot and family that was tested, for a leader's hold to go by."""
    return tuple(
        PulledKnot(
            knot=test_sums.knot,
            family=test_sums.family,
            factor=belief(test_sums).factor,
            tests=test_sums.tests,
        )
        for test_sums in told
        if test_sums.tests
    )


@dataclass(frozen=True, slots=True)
class CurvePoint:
    """A point of a drawn density."""

    share: float
    height: float


def density(middle: float, spread: float, low: float, high: float) -> tuple[CurvePoint, ...]:
    """A lognormal of the share kept from ``low`` to ``high``, to draw."""
    points = []
    for i in range(CURVE + 1):
        share = low + (high - low) * i / CURVE
        z = log(share / middle) / spread
        height = exp(-0.5 * z * z) / (share * spread * sqrt(2.0 * pi))
        points.append(CurvePoint(share, height))
    return tuple(points)
