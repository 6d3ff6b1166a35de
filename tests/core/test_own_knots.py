"""Own pull tests: odd ones questioned, none dropped, the design's hold by the posterior."""

from math import log

import pytest

from nine_knots.core.domain.builder import Builder
from nine_knots.core.domain.knots.own import (
    PullTest,
    belief,
    density,
    is_odd,
    pulled_knots,
    sum_tests,
)
from nine_knots.core.strength.elements import hold_of
from nine_knots.words.evaluation import evaluate
from tests.makers import INCHES, PLAIN, design


def pulls(*shares, knot="blood"):
    return tuple(
        PullTest(knot=knot, family="nylon", strand_n=30.0, broke_n=30.0 * s) for s in shares
    )


def told(tests, knot="blood"):
    return sum_tests(knot, "nylon", tests)


def test_a_test_far_from_the_others_is_questioned_and_still_counts_until_set_aside():
    tests = pulls(0.85, 0.86, 0.84, 0.4)
    shares = sorted(log(test.efficiency) for test in tests)
    assert [is_odd(test, shares) for test in tests] == [False, False, False, True]
    aside = tests[3].model_copy(update={"set_aside": True})
    assert is_odd(aside, shares[1:]), "one set aside is not among those it is held against"
    assert not is_odd(tests[0], [log(tests[0].efficiency)]), "alone, against the prior"
    with_it = belief(told(tests))
    assert with_it.tests == 4
    without = belief(told((*tests[:3], aside)))
    assert without.tests == 3
    assert without.posterior > with_it.posterior


def test_the_design_goes_by_the_posterior_and_says_so():
    own = pulled_knots((told(pulls(0.6, 0.62, 0.58, 0.6, 0.61, 0.6, 0.59, 0.6)),))
    assert [(item.knot, item.family, item.tests) for item in own] == [("blood", "nylon", 8)]
    assert hold_of(PLAIN, own=own).mean_n < hold_of(PLAIN).mean_n
    hold = evaluate(design(), {}, INCHES, Builder(knots=own)).verdict[1]
    assert "Its knot strength is by 8 pull tests of yours." in hold.why
    joint = evaluate(design(), {}, INCHES, Builder(knots=own)).joints[3]
    assert joint.kept.endswith(", by 8 pull tests of yours")
    assert "pull tests of yours" not in evaluate(design(), {}, INCHES).verdict[1].why


def test_a_knot_never_keeps_more_than_the_line_has():
    own = pulled_knots((told(pulls(*(1.3,) * 30)),))
    sides = [e for e in hold_of(PLAIN, own=own).elements if e.what == "joint" and e.index == 1]
    assert all(side.efficiency <= 1.0 for side in sides)


def test_all_set_aside_is_as_none():
    aside = tuple(pull.model_copy(update={"set_aside": True}) for pull in pulls(0.5, 0.5))
    assert pulled_knots((told(aside),)) == ()
    assert belief(told(aside)).posterior == pytest.approx(belief(told(())).prior)


def test_a_drawn_density_holds_all_its_weight():
    points = density(0.86, 0.03, 0.6, 1.2)
    step = points[1].share - points[0].share
    assert sum(point.height for point in points) * step == pytest.approx(1.0, abs=0.01)
