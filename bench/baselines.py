"""What the search for leaders is measured against: NSGA-II on the same leaders, and every school's
variants."""

from contextlib import suppress

import numpy as np
from pymoo.algorithms.moo.nsga2 import NSGA2
from pymoo.core.problem import ElementwiseProblem
from pymoo.indicators.hv import HV
from pymoo.operators.crossover.sbx import SBX
from pymoo.operators.mutation.pm import PM
from pymoo.operators.repair.rounding import RoundingRepair
from pymoo.operators.sampling.rnd import IntegerRandomSampling
from pymoo.optimize import minimize
from pymoo.termination import get_termination

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.leader import Leader, LevelSection, TaperedSection
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Packet, Spool
from nine_knots.core.domain.tippet import advise_tippet
from nine_knots.core.propose.fit_to_shelf import usual_joints
from nine_knots.core.propose.propose import propose_to
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.schools.by_water import span_by_water
from nine_knots.core.schools.school import SchoolParameters
from nine_knots.core.search.demands import WISHES, Demands
from nine_knots.core.search.evaluated import Evaluated, evaluate_candidate
from nine_knots.core.search.pareto_front import non_dominated
from nine_knots.core.search.plausible import TIPPETS_M, is_plausible, rounded, step_m
from nine_knots.core.search.standing_leader import assess_uncast

MIDDLES, SHARES = 5, 20
POPULATION = 40
FAR = 10.0  # what a leader that no one would tie is worth: less than any


class Evolved(ElementwiseProblem):
    """Leaders as whole numbers: first a packet or a spool as butt, up to five middle spools, a
    tippet, the butt's share, the tippet's and the whole length. Only sane ones are cast."""

    def __init__(self, day: Situation, angler: Angler, most: int) -> None:
        self.day, self.angler, self.most = day, angler, most
        self.reader, self.demands, self.stroke = Assessor(day, angler), Demands(), Stroke()
        level = [s for s in angler.stock if isinstance(s, Spool) and s.strand.is_plain_mono]
        self.spools = sorted(level, key=lambda s: -s.strand.diameter_m)
        self.packets = [s for s in angler.stock if isinstance(s, Packet) and s.count]
        self.step = step_m(angler.units)
        span = span_by_water(day)
        self.whole = round(span.low_m / self.step), round(span.high_m / self.step)
        self.found: list[Evaluated] = []
        firsts, count = len(self.packets) + len(self.spools), len(self.spools)
        super().__init__(
            n_var=MIDDLES + 5,
            n_obj=len(WISHES),
            n_ieq_constr=1,
            xl=np.zeros(MIDDLES + 5, dtype=int),
            xu=np.array([firsts - 1, *[2 * count] * MIDDLES, count - 1, SHARES, SHARES, SHARES]),
            vtype=int,
        )

    def _evaluate(self, x, out, *args, **kwargs):
        out["F"], out["G"] = np.full(len(WISHES), FAR), [FAR]
        if len(self.found) >= self.most:
            return
        try:
            leader = self.leader_of([int(gene) for gene in x])
            table = assess_uncast(leader, self.reader, self.demands)
        except (NineKnotsError, ValueError):
            return
        if table is None or not is_plausible(leader, self.day):
            return
        try:
            one = evaluate_candidate(table, "", self.reader, self.stroke, None)
        except NineKnotsError:
            return
        self.found.append(one)
        out["F"], out["G"] = -one.axes, [one.falls_short]

    def leader_of(self, genes: list[int]) -> Leader:
        """The leader that genes stand for."""
        first, *middles, tippet, whole, share, long = genes
        thin = sorted({middle for middle in middles if middle < len(self.spools)})
        last = self.spools[tippet]
        total = round(self.whole[0] + whole / SHARES * (self.whole[1] - self.whole[0]))
        low, high = (round(item / self.step) for item in TIPPETS_M)
        of_tippet = round(low + long / SHARES * (high - low))
        if first < len(self.packets):
            taper = TaperedSection(role="butt", strand=self.packets[first].strand)
            pieces = [taper, self.piece("tippet", last, of_tippet)]
        else:
            butt = self.spools[first - len(self.packets)]
            between = [self.spools[item] for item in thin]
            of_butt = round((0.3 + 0.48 * share / SHARES) * total)
            left = max(0, total - of_butt - of_tippet)
            each = [round(left * w) for w in _falling(len(between))]
            pieces = [
                self.piece("butt", butt, of_butt),
                *(self.piece("taper", s, n) for s, n in zip(between, each, strict=True)),
                self.piece("tippet", last, of_tippet),
            ]
        made = Leader(pieces=tuple(pieces), joints=usual_joints(pieces, self.day))
        return rounded(made, self.angler.units)

    def piece(self, role: str, spool: Spool, steps: int) -> LevelSection:
        """A level piece of so many steps."""
        return LevelSection(role=role, strand=spool.strand, length_m=max(1, steps) * self.step)


def _falling(count: int) -> list[float]:
    weights = [1.0 + 0.25 * (count - i) for i in range(count)]
    return [weight / sum(weights) for weight in weights]


def evolved(day: Situation, angler: Angler, most: int, seed: int = 1) -> list[Evaluated]:
    """All that NSGA-II [S: Deb2002] casts, up to so many leaders."""
    problem = Evolved(day, angler, most)
    whole = {"vtype": float, "repair": RoundingRepair()}
    algorithm = NSGA2(
        pop_size=POPULATION,
        sampling=IntegerRandomSampling(),
        crossover=SBX(prob=0.9, eta=3.0, **whole),
        mutation=PM(eta=3.0, **whole),
        eliminate_duplicates=True,
    )
    generations = get_termination("n_gen", 60 * most // POPULATION)
    until = _Until(problem, generations)
    minimize(problem, algorithm, until, seed=seed, verbose=False)
    return problem.found


class _Until(type(get_termination("n_gen", 1))):
    """Ends when as many were cast as may be."""

    def __init__(self, problem: Evolved, generations) -> None:
        super().__init__(generations.n_max_gen)
        self.problem = problem

    def _update(self, algorithm):
        if len(self.problem.found) >= self.problem.most:
            return 1.0
        return super()._update(algorithm)


LENGTHS = (0.7, 0.8, 0.9, 1.0, 1.1, 1.25, 1.4)
TIPPETS = (0.88, 1.0, 1.13)
POWERS = (-0.6, 0.0, 0.6)


def school_variants(
    day: Situation,
    angler: Angler,
    lengths: tuple[float, ...] = LENGTHS,
    tippets: tuple[float, ...] = TIPPETS,
    powers: tuple[float, ...] = POWERS,
) -> list[Evaluated]:
    """Every school for a day at so many times its length and the tippet advised, and powers."""
    reader, stroke, asked = Assessor(day, angler), Stroke(), Demands()
    found, seen = [], set()
    for key, school in SCHOOLS.items():
        if school.suits(day):
            continue
        usual_m, advised_m = school.span(day).usual_m, advise_tippet(day).diameter_m
        for length in lengths:
            for tippet in tippets:
                for power in powers:
                    try:
                        made = propose_to(
                            angler,
                            key,
                            day,
                            SchoolParameters(
                                length_m=length * usual_m,
                                tippet_m=tippet * advised_m,
                                power=power,
                            ),
                        )
                    except (NineKnotsError, ValueError):
                        continue
                    leader = rounded(made.leader, angler.units)
                    if leader in seen:
                        continue
                    seen.add(leader)
                    table = assess_uncast(leader, reader, asked)
                    if table is not None:
                        with suppress(NineKnotsError):
                            found.append(evaluate_candidate(table, key, reader, stroke, None))
    return found


def hypervolumes(*lots: list[Evaluated]) -> list[float]:
    """Of each lot's serving leaders, the hypervolume over that of all lots together, on scales from
    the worst to the best of the pooled front."""
    axes = [np.array([item.axes for item in lot if item.serves]) for lot in lots]
    pool = np.concatenate([axis for axis in axes if len(axis)])
    pool = pool[non_dominated(pool)]
    least, most = pool.min(axis=0), pool.max(axis=0)
    volume = HV(ref_point=np.zeros(pool.shape[1]))

    def of(points: np.ndarray) -> float:
        if not len(points):
            return 0.0
        points = points[non_dominated(points)]
        return float(volume(-np.clip((points - least) / np.maximum(most - least, 1e-9), 0, 1)))

    whole = of(pool)
    return [of(axis) / whole for axis in axes]
