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
        price.of(-one.change)
        for one in changes
        if one.spool_id in stock and (price := stock[one.spool_id].price) is not None
    ]
    return money(sum(costs)) if costs else ""


def cost_words(spent: Iterable[SpoolUse], stock: Mapping[str, Stock]) -> str:
    """What all that came off the spools cost, by why; how much of it has no price."""
    taken = [one for one in spent if one.amount > 0.0 and one.spool_id in stock]
    if not taken:
        return ""
    priced: dict[Why, float] = {}
    without = {one.spool_id for one in taken if stock[one.spool_id].price is None}
    for one in taken:
        price = stock[one.spool_id].price
        if price is not None:
            priced[one.why] = priced.get(one.why, 0.0) + price.of(one.amount)
    if not priced:
        return "Give a spool its price, and what comes off it is told as money too."
    parts = [f"{money(sum_)} {SAID[why]}" for why, sum_ in priced.items()]
    total = f" {money(sum(priced.values()))} in all." if len(parts) > 1 else ""
    words = f"At what you paid: {join_words(parts)}.{total}"
    if without:
        said = count_words(len(without), "spool or packet used has", "spools or packets used have")
        words += f" {capitalised(said)} no price."
    return words
