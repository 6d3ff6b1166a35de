"""Which spools: the cheapest chain of all, and none where it must cost less than that."""

from itertools import product
from math import inf

import pytest

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.domain.tackle import line_profile
from nine_knots.core.propose import spools
from nine_knots.core.propose.propose import matched_butt_bend_nm2
from nine_knots.core.propose.spool_index import spool_index_of
from nine_knots.core.propose.spools import Spools, choose_for_less, choose_spools
from nine_knots.core.schools import school_of
from nine_knots.core.schools.school import SchoolBrief
from tests.makers import day, spool

SHELF = tuple(spool(thou) for thou in (20, 17, 15, 12, 10, 8, 7, 6))


def planned(key):
    """What a school wants for a day, by the usual figures."""
    here = day()
    line, tippet_m = line_profile(here.line), 0.18e-3
    return school_of(key).plan(
        SchoolBrief(
            situation=here,
            line=line,
            length_m=school_of(key).span(here).usual_m,
            tippet_m=tippet_m,
            butt_bend_nm2=matched_butt_bend_nm2(line, tippet_m, 0.0),
        )
    )


def cost_of(plan, chain):
    """What a chain of spools costs: each by itself, and every step."""
    cost = sum(
        spools.WantedSection(piece).cost(item)
        for piece, item in zip(plan.pieces, chain, strict=True)
    )
    for number in range(1, len(chain)):
        upper, lower = plan.pieces[number - 1 : number + 1]
        cost += spools._step_cost(chain[number - 1], chain[number], upper, lower, False, False)
    return cost


@pytest.mark.parametrize("key", ["sixty-twenty-twenty", "halving", "two-part", "guide-three-part"])
def test_the_chain_is_the_cheapest_of_all_and_none_is_found_for_less(key):
    plan = planned(key)
    plan = plan.model_copy(update={"pieces": plan.pieces[-4:]})
    shelf = Spools(spool_index_of(SHELF))
    chosen = choose_spools(plan, shelf)
    every = product(spool_index_of(SHELF).held, repeat=len(plan.pieces))
    assert chosen.cost == pytest.approx(min(cost_of(plan, chain) for chain in every))
    assert choose_for_less(plan, shelf, 1.001 * chosen.cost + 1e-9) == chosen
    assert choose_for_less(plan, shelf, 0.999 * chosen.cost) is None


def test_where_there_is_no_chain_that_is_said_unless_a_cheaper_one_was_wanted():
    plan, shelf = planned("halving"), Spools(spool_index_of(()))
    with pytest.raises(CannotCompute):
        choose_for_less(plan, shelf, inf)
    assert choose_for_less(plan, shelf, 1.0) is None
