"""Measures the search for leaders: how near the pooled front it comes, and how soon."""

import time

import numpy as np

from bench.baselines import evolved, hypervolumes, school_variants
from nine_knots.core.assess.angler import Angler
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.diverse_pick import pick_dozen
from nine_knots.core.search.evaluated import SEEN, Evaluated
from nine_knots.core.search.pareto_front import front_of
from nine_knots.core.search.search import Search
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.demo.tackle import FLIES

DAYS = {
    "dry": "Skarn evening sedge",
    "streamer": "Perch lake, two parts",
    "salt": "Estuary wind leader",
    "nymph": "Tag rig for the gorge pool",
}
FEW, MANY = 300, 1000


def searched(day, angler: Angler, most: int) -> tuple[list[Evaluated], float, float]:
    """All that a search casts, seconds until the first answer, and in all."""
    begun, first, last = time.perf_counter(), 0.0, None
    for last in Search(day, Stroke(), angler, Demands(wishes=()), most=most).rounds():
        if not first and front_of(last.tried):
            first = time.perf_counter() - begun
    return list(last.tried), first, time.perf_counter() - begun


def finding() -> None:
    """Hypervolume over the pooled front after 300 and 1,000 casts, beside NSGA-II's; which of the
    schools' best are matched within what one would notice; seconds."""
    stock = demo_stock()
    angler = Angler(stock=stock, flies=tuple(FLIES.values()))
    designs = {design.title: design for design in (*demo_designs(stock), *demo_rigs(stock))}
    print(
        f"\n{'finding a leader':<12}{'300':>7}{'NSGA-II':>9}{'1,000':>8}{'NSGA-II':>9}"
        f"{'schools matched':>18}{'first s':>9}{'300 s':>8}{'of the dozen':>14}"
    )
    for name, title in DAYS.items():
        day = designs[title].situation
        few, first, whole = searched(day, angler, FEW)
        many, _, _ = searched(day, angler, MANY)
        evolved_few, evolved_many = (evolved(day, angler, most) for most in (FEW, MANY))
        schools = school_variants(day, angler)
        shares = hypervolumes(few, evolved_few, many, evolved_many, schools)
        best = front_of(schools)
        matched = [
            any((item.axes >= school.axes - SEEN).all() for item in front_of(many))
            for school in best
        ]
        dozen = len(pick_dozen(few, Demands()))
        print(
            f"{name:<12}{shares[0]:>11.2f}{shares[1]:>9.2f}{shares[2]:>8.2f}{shares[3]:>9.2f}"
            f"{np.mean(matched):>12.0%} of {len(best):<3}{first:>8.1f}{whole:>8.1f}{dozen:>10}",
            flush=True,
        )
