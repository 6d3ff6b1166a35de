"""What came off the spools is told as money by what was paid, and never of what has no price."""

import pytest

from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.units import parse_price
from nine_knots.core.domain.ledger import Change, SpoolUse
from nine_knots.core.domain.strand import Price
from nine_knots.words.costs import cost_text, cost_words, money
from tests.makers import SHELF

DEAR = SHELF[0].evolve(price=Price(paid=6.0, amount=30.0))
PLAIN = SHELF[1].evolve(price=None)
STOCK = {item.spool_id: item for item in (DEAR, PLAIN)}


def change(spool, by):
    return Change(spool_id=spool.spool_id, title=spool.title, change=by)


@pytest.mark.parametrize(
    ("why", "changes", "said"),
    [
        ("tied", [(DEAR, -5.0)], "1.00"),
        ("tied", [(DEAR, -5.0), (PLAIN, -50.0)], "1.00"),
        ("lost", [(DEAR, -0.02)], "under .01"),
        ("tied", [(PLAIN, -5.0)], ""),
        ("counted", [(DEAR, -5.0)], ""),
        ("on the shelf", [(DEAR, 30.0)], ""),
    ],
)
def test_an_act_costs_what_its_priced_spools_gave(why, changes, said):
    assert cost_text(why, [change(*item) for item in changes], STOCK) == said


def test_all_acts_are_summed_by_why_and_what_has_no_price_is_said():
    gone = [
        SpoolUse("tied", DEAR.spool_id, 10.0),
        SpoolUse("lost", DEAR.spool_id, 2.5),
        SpoolUse("tied", PLAIN.spool_id, 10.0),
        SpoolUse("tied", "a spool that is gone", 10.0),
    ]
    assert cost_words(gone, STOCK) == (
        "At what you paid: 2.00 tied and 0.50 lost or thrown away. 2.50 in all. "
        "One spool or packet used has no price."
    )
    assert cost_words(gone[:1], STOCK) == "At what you paid: 2.00 tied."
    assert cost_words(gone[2:3], STOCK).startswith("Give a spool its price")
    assert cost_words(gone[3:], STOCK) == cost_words([], STOCK) == ""


def test_a_price_is_read_with_point_or_comma_and_nothing_else():
    assert [parse_price(text) for text in ("6.50", " 6,5 ", "12")] == [6.5, 6.5, 12.0]
    assert money(6.5) == "6.50"
    for text in ("", "six", "-1", "6.505", "1e3", "6 50"):
        with pytest.raises(Unreadable, match="is not a price"):
            parse_price(text)
    with pytest.raises(OutOfRange):
        parse_price("0.00")
