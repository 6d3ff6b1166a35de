"""What the ledger's acts cost, by the prices of their spools, in the angler's own money."""

from collections.abc import Iterable, Mapping

from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.domain.ledger import SPENT, Change, SpoolUse, Why
from nine_knots.core.domain.strand import Stock

SAID: dict[Why, str] = {
    "tied": "tied",
    "renewed": "renewed",
    "lost": "lost or thrown away",
    "given": "given away",
}


def money(sum_: float) -> str:
    """``6.50``; what is less than a hundredth is said so."""
    return "under .01" if 0.0 < sum_ < 0.005 else f"{sum_:.2f}"


def cost_text(why: Why, changes: Iterable[Change], stock: Mapping[str, Stock]) -> str:
    """What an act cost, of what has a price; empty where nothing of it has one, or it is none that
    spends."""
    if why not in SPENT:
        return ""
    costs = [
        price.of(-change.change)
        for change in changes
        if change.spool_id in stock and (price := stock[change.spool_id].price) is not None
    ]
    return money(sum(costs)) if costs else ""


def cost_words(spent: Iterable[SpoolUse], stock: Mapping[str, Stock]) -> str:
    """What all that came off the spools cost, by why; how much of it has no price."""
    taken = [use for use in spent if use.amount > 0.0 and use.spool_id in stock]
    if not taken:
        return ""
    priced: dict[Why, float] = {}
    without = {use.spool_id for use in taken if stock[use.spool_id].price is None}
    for use in taken:
        price = stock[use.spool_id].price
        if price is not None:
            priced[use.why] = priced.get(use.why, 0.0) + price.of(use.amount)
    if not priced:
        return "Give a spool its price to see costs as well."
    parts = [f"{money(sum_)} {SAID[why]}" for why, sum_ in priced.items()]
    total = f" {money(sum(priced.values()))} in all." if len(parts) > 1 else ""
    words = f"At what you paid: {join_words(parts)}.{total}"
    if without:
        said = count_words(len(without), "spool or packet used has", "spools or packets used have")
        words += f" {capitalised(said)} no price."
    return words
