"""What Runa noted in her ledger: leaders tied, tippet renewed, a tangle thrown away."""

from nine_knots.core.domain.ledger import Act, Change
from nine_knots.core.domain.strand import Stock
from nine_knots.demo.designs import demo_designs
from nine_knots.words.ledger import changes_by
from nine_knots.words.tying import takes_of


def demo_acts(stock: tuple[Stock, ...]) -> tuple[Act, ...]:
    """Acts in the order they were noted."""
    by_id = {stock_item.spool_id: stock_item for stock_item in stock}
    sedge, fine, *_ = demo_designs(stock)
    tippet = frozenset({len(sedge.leader.pieces) - 1})
    lost = by_id["runa-nylon-soft-006"]
    return (
        Act(
            why="tied",
            words=f"2 of {sedge.title}, {fine.title}",
            changes=changes_by(takes_of(((sedge, 2), (fine, 1))), by_id),
        ),
        Act(
            why="renewed",
            words=sedge.title,
            changes=changes_by(takes_of(((sedge, 1),), only=tippet), by_id),
        ),
        Act(
            why="lost",
            words="a wind knot, cut out at the bridge",
            changes=(Change(spool_id=lost.spool_id, title=lost.title, change=-0.6),),
        ),
    )
