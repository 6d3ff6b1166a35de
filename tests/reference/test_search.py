"""The search for leaders against NSGA-II of pymoo at equal numbers of casts, and against every
school's variants.

NSGA-II: Deb, Pratap, Agarwal and Meyarivan (2002), "A fast and elitist multiobjective genetic
algorithm: NSGA-II", IEEE Transactions on Evolutionary Computation 6(2). Both cast the same sane
leaders of the same shelf; the hypervolume is that of pymoo. Larger runs stand in bench/README.md.
"""

import numpy as np
import pytest

from bench.baselines import evolved, hypervolumes, school_variants
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.evaluated import SEEN
from nine_knots.core.search.pareto_front import front_of
from nine_knots.core.search.search import Search
from tests.core.test_schools_today import DAYS, RUNA

DAY = DAYS["dry"]
SOON, CASTS = 64, 200


@pytest.fixture(scope="module")
def rounds():
    return list(Search(DAY, Stroke(), RUNA, Demands(), most=CASTS).rounds())


def test_as_many_casts_come_nearer_to_the_front_than_evolution_brings_them(rounds):
    soon = next(item.tried for item in rounds if len(item.tried) >= SOON)
    ours, theirs = hypervolumes(soon, evolved(DAY, RUNA, len(soon)))
    assert ours > theirs
    assert ours > 0.75


def test_the_schools_best_are_matched_within_what_one_would_notice(rounds):
    found = front_of(rounds[-1].tried)
    schools = front_of(school_variants(DAY, RUNA, (0.8, 1.0, 1.25), (1.0, 1.13), (0.0,)))
    matched = [
        any((found_item.axes >= school.axes - SEEN).all() for found_item in found)
        for school in schools
    ]
    assert np.mean(matched) >= 0.95
