"""Times a proposal of every school for every day of the demo, from the demo's shelf."""

from contextlib import suppress

from bench.timing import laps, row
from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.domain.situation import Situation
from nine_knots.core.propose.propose import propose_to
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.schools.school import SchoolParameters
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock

RUNS = 3


def proposals() -> None:
    """The quickest of a few runs of each, and the school that takes longest."""
    print(f"\n{'a proposal, ms':<34}{'median':>9}{'p95':>9}")
    stock = demo_stock()
    angler = Angler(stock=stock)
    days = [made.situation for made in (*demo_designs(stock), *demo_rigs(stock))]

    def propose(key: str, day: Situation) -> None:
        with suppress(CannotCompute):  # a refusal takes its time as well
            propose_to(angler, key, day, SchoolParameters())

    taken = sorted(
        (laps(lambda key=key, day=day: propose(key, day), RUNS)[0], key)
        for key in SCHOOLS
        for day in days
    )
    slowest, by = taken[-1]
    row(
        f"{len(SCHOOLS)} schools on {len(days)} days",
        [each for each, _ in taken],
        f"slowest {slowest:.1f}, {by}",
    )
