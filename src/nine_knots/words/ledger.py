"""The ledger in words: what an act took or gave, what is low, what is to be bought."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from nine_knots.core.base.limits import Day
from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.ledger import Act, Change, Why, amount_of
from nine_knots.core.domain.strand import Packet, Spool, Stock
from nine_knots.words.line_age import age_words
from nine_knots.words.tying.takes import SpoolTake

LOW_M, LOW_COUNT = 3.0, 1  # of what was never used [G]
LOW_TIMES = 3.0  # takes of the largest kind: with fewer left, it is low [G]
WORDS: dict[Why, str] = {
    "on the shelf": "Put on the shelf",
    "tied": "Tied",
    "renewed": "Renewed",
    "lost": "Lost or thrown away",
    "given": "Given away",
    "counted": "Counted",
    "merged": "Put together",
    "undone": "Undone",
}


@dataclass(frozen=True, slots=True)
class ShoppingRow:
    """A thing to buy, and why."""

    what: str
    why: str


def changes_by(takes: Iterable[SpoolTake], stock: Mapping[str, Stock]) -> tuple[Change, ...]:
    """What is taken off the shelf by takes; what is of no spool, or none that is known, is not."""
    return tuple(
        Change(spool_id=take.spool_id, title=stock[take.spool_id].title, change=-take.amount)
        for take in takes
        if take.spool_id is not None and take.spool_id in stock
    )


def unknown_words(takes: Iterable[SpoolTake], stock: Mapping[str, Stock]) -> str:
    """What could not be taken off, in a sentence; empty where all was."""
    odd = [take for take in takes if take.spool_id is None or take.spool_id not in stock]
    if not odd:
        return ""
    stuff = join_words(sorted({take.stuff for take in odd}))
    return f" Material from no spool on your shelf ({stuff}) is not counted."


def change_text(change: Change, packet: bool, units: Units) -> str:
    """``−3½ ft``, ``+1 taper``."""
    sign = "−" if change.change < 0.0 else "+"
    size = abs(change.change)
    if packet:
        return f"{sign}{round(size)} {'taper' if round(size) == 1 else 'tapers'}"
    return f"{sign}{units.on_spool(size).text}"


def act_title(act: Act) -> str:
    """What was done, as a line of the ledger begins."""
    said = WORDS[act.why]
    return f"{said}: {act.words}" if act.words else said


def act_words(changes: tuple[Change, ...], packets: frozenset[str], units: Units) -> str:
    """What an act took off, in a sentence."""
    metres = sum(-entry.change for entry in changes if entry.spool_id not in packets)
    tapers = sum(-entry.change for entry in changes if entry.spool_id in packets)
    spools = sum(entry.spool_id not in packets for entry in changes)
    said = []
    if spools:
        from_what = changes[0].title if len(changes) == 1 else count_words(spools, "spool")
        said.append(f"{units.on_spool(metres).text} off {from_what}")
    if tapers:
        said.append(f"{count_words(round(tapers), 'knotless taper')} out of the packet")
    return f"{capitalised(' and '.join(said))}." if said else "Nothing was taken off a spool."


def short_words(over: Mapping[str, float], stock: Mapping[str, Stock], units: Units) -> str:
    """Spools that by the ledger gave more than they had; empty where none did."""
    names = [
        f"{stock[key].title} (by {_amount(stock[key], more, units)})"
        for key, more in over.items()
        if key in stock
    ]
    if not names:
        return ""
    what = "it" if len(names) == 1 else "them"
    return f" More was used than there was of {join_words(names)}: check what is left on {what}."


def is_low(stock_item: Stock, most: float | None) -> bool:
    """Whether little is left: less than three of the largest takes of it, or than is usual."""
    held = amount_of(stock_item)
    if most is not None:
        return held < LOW_TIMES * most
    return held <= (LOW_COUNT if isinstance(stock_item, Packet) else LOW_M)


def shopping(
    stock: tuple[Stock, ...],
    takes: tuple[SpoolTake, ...],
    usual: Mapping[str, float],
    today: Day,
    units: Units,
) -> tuple[ShoppingRow, ...]:
    """What is to be bought: what the next leaders lack, what is low, what is old, in this order."""
    by_id = {stock_item.spool_id: stock_item for stock_item in stock}
    lacking, named = [], set()
    for take in takes:
        item = by_id.get(take.spool_id or "")
        if item is None:
            amount = count_words(round(take.amount), "taper")
            if take.form == "spool":
                amount = units.on_spool(take.amount).text
            lacking.append(
                ShoppingRow(capitalised(take.stuff), f"{amount} for the leaders to be tied")
            )
        elif take.amount > amount_of(item):
            more = _amount(item, take.amount - amount_of(item), units)
            lacking.append(ShoppingRow(item.title, f"{more} more for the leaders to be tied"))
            named.add(item.spool_id)
    low = [
        ShoppingRow(stock_item.title, f"{left_words(stock_item, units)} left")
        for stock_item in stock
        if stock_item.spool_id not in named and is_low(stock_item, usual.get(stock_item.spool_id))
    ]
    named |= {
        stock_item.spool_id
        for stock_item in stock
        if is_low(stock_item, usual.get(stock_item.spool_id))
    }
    old = [
        ShoppingRow(stock_item.title, words)
        for stock_item in stock
        if stock_item.spool_id not in named and (words := age_words(stock_item, today))
    ]
    return (*lacking, *low, *old)


def left_words(stock_item: Stock, units: Units) -> str:
    """``7 ft``, ``two tapers`` or ``nothing``: what is left of a spool or packet."""
    held = amount_of(stock_item)
    if held <= 0.0:
        return "nothing"
    return _amount(stock_item, held, units)


def _amount(stock_item: Stock, amount: float, units: Units) -> str:
    if isinstance(stock_item, Spool):
        return units.on_spool(amount).text
    return count_words(max(1, round(amount)), "taper")
