"""The cheapest set for several days, against trying every combination."""

from itertools import product

import pytest
from hypothesis import given
from hypothesis import strategies as st

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.propose.cheapest import DayChoice, cheapest

THINGS = ("butt", "taper", "5X", "wire", "6X")
CHOICES = st.builds(
    DayChoice,
    key=st.sampled_from(["one", "two", "three"]),
    buys=st.lists(st.sampled_from(THINGS), max_size=3, unique=True).map(tuple),
    off=st.floats(0.0, 9.0),
)
DAYS = st.lists(st.lists(CHOICES, min_size=1, max_size=4), min_size=1, max_size=4)
PRICES = st.dictionaries(st.sampled_from(THINGS), st.integers(0, 20).map(float))


@given(DAYS, PRICES)
def test_no_combination_is_cheaper(days, prices):
    def cost(things):
        return sum(prices.get(thing, 1.0) for thing in things)

    taken, buy = cheapest(days, prices)
    assert all(choice in choices for choice, choices in zip(taken, days, strict=True))
    assert set(buy) == {thing for choice in taken for thing in choice.buys}
    least = min(cost({thing for item in mix for thing in item.buys}) for mix in product(*days))
    assert cost(buy) == pytest.approx(least, abs=5e-4 * len(days))


def test_what_serves_two_days_is_bought_once_and_the_better_leader_wins():
    near, far = DayChoice("near", ("5X",), 0.1), DayChoice("far", ("5X",), 5.0)
    other = DayChoice("other", ("wire",), 0.0)
    taken, buy = cheapest([[far, near, other], [near]], {})
    assert ([choice.key for choice in taken], buy) == (["near", "near"], ("5X",))
    dear, buy = cheapest([[near, other]], {"5X": 9.0, "wire": 2.0})
    assert (dear[0].key, buy) == ("other", ("wire",))
    with pytest.raises(CannotCompute):
        cheapest([[near], []], {})
