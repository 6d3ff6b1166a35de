"""An angler's own pull tests, and what they say of the strength that a knot keeps.

ln of the share kept is normal with the knot's own spread. Its mean has a normal prior at the
table's figure, worth ``PRIOR_TESTS`` tests, and the tests update it [S: any text on conjugate
priors, normal with known variance].
"""

from dataclasses import dataclass
from math import exp, log, pi, sqrt
from statistics import median

from pydantic import Field

from nine_knots.core.knots.rules import strength_kept
from nine_knots.core.knots.table import KNOTS, KnotKey
from nine_knots.core.materials import MATERIALS, Family
from nine_knots.core.values import Frozen, StrengthN

PRIOR_TESTS = 5.0
STRAND_SPREAD = 0.05  # of the line itself, from one piece to the next [M]
ODD = 3.0  # standard deviations from what the others say at which a test is questioned
CURVE = 60  # points of a drawn density


class PullTest(Frozen):
    """A knot pulled to breaking: in what line, how strong that is by itself, where it broke."""

    knot: KnotKey
    family: Family
    strand_n: StrengthN
    broke_n: StrengthN
    set_aside: bool = False

    @property
    def kept(self) -> float:
        """Share of the line's strength that held."""
        return self.broke_n / self.strand_n


class OwnKnot(Frozen):
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
    material = next(one for one in MATERIALS.values() if one.family == family)
    return strength_kept(KNOTS[knot], material, None, 1.0)


def spread_of(knot: KnotKey) -> float:
    """Standard deviation of ln share from one test to the next, the line's own included."""
    return sqrt(KNOTS[knot].spread ** 2 + STRAND_SPREAD**2)


def belief(knot: KnotKey, family: Family, tests: tuple[PullTest, ...]) -> Belief:
    """The update by all tests of this knot in this family that are not set aside."""
    counted = [log(one.kept) for one in tests if not one.set_aside]
    prior, spread = usual_share(knot, family), spread_of(knot)
    weight = PRIOR_TESTS + len(counted)
    mean = (PRIOR_TESTS * log(prior) + sum(counted)) / weight
    return Belief(
        knot=knot,
        family=family,
        prior=prior,
        prior_spread=spread / sqrt(PRIOR_TESTS),
        posterior=exp(mean),
        posterior_spread=spread / sqrt(weight),
        tests=len(counted),
    )


def is_odd(number: int, tests: tuple[PullTest, ...]) -> bool:
    """Whether a test lies far from what the prior and the other tests would have it.

    Their middle is a median in which the prior weighs as its tests do, so that one wild reading
    does not make the sound ones look odd.
    """
    one = tests[number]
    others = [t for i, t in enumerate(tests) if i != number and not t.set_aside]
    shares = [log(t.kept) for t in others]
    middle = median([log(usual_share(one.knot, one.family))] * int(PRIOR_TESTS) + shares)
    expected = spread_of(one.knot) * sqrt(1.0 + 1.0 / (PRIOR_TESTS + len(others)))
    return abs(log(one.kept) - middle) > ODD * expected


def own_knots(tests: tuple[PullTest, ...]) -> tuple[OwnKnot, ...]:
    """Every knot and family that was tested, for a leader's hold to go by."""
    found = []
    for knot, family in sorted({(one.knot, one.family) for one in tests if not one.set_aside}):
        mine = tuple(one for one in tests if (one.knot, one.family) == (knot, family))
        now = belief(knot, family, mine)
        found.append(OwnKnot(knot=knot, family=family, factor=now.factor, tests=now.tests))
    return tuple(found)


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
