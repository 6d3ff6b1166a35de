"""The search for leaders against NSGA-II of pymoo at equal numbers of casts, and against every
school's variants.

NSGA-II: Deb, Pratap, Agarwal and Meyarivan (2002), "A fast and elitist multiobjective genetic
algorithm: NSGA-II", IEEE Transactions on Evolutionary Computation 6(2). Both cast the same sane
leaders of the same shelf; the hypervolume is that of pymoo. Larger runs stand in bench/README.md.
"""

import numpy as np

from bench.rivals import evolved, hypervolumes, school_variants
from nine_knots.core.judge.finding.demands import Demands
from nine_knots.core.judge.finding.front import front_of
from nine_knots.core.judge.finding.search import Search
from nine_knots.core.judge.finding.tried import SEEN
from nine_knots.core.models.cast.stroke import Stroke
from tests.core.test_today import DAYS, RUNA

CASTS = 64


def test_as_many_casts_come_nearer_to_the_front_than_evolution_brings_them():
    day = DAYS["dry"]
    *_, last = Search(day, Stroke(), RUNA, Demands(), most=CASTS).rounds()
    ours, theirs = hypervolumes(last.tried, evolved(day, RUNA, CASTS))
    assert ours > theirs
    assert ours > 0.75


def test_the_schools_best_are_matched_within_what_one_would_notice():
    day = DAYS["dry"]
    *_, last = Search(day, Stroke(), RUNA, Demands(), most=200).rounds()
    found = front_of(last.tried)
    schools = front_of(school_variants(day, RUNA, (0.8, 1.0, 1.25), (1.0, 1.13), (0.0,)))
    matched = [any((one.axes >= school.axes - SEEN).all() for one in found) for school in schools]
    assert np.mean(matched) >= 0.95
