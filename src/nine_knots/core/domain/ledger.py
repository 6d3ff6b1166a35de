"""List what came on and off the spools, and why; what is left of them follows from it."""

from collections.abc import Iterable
from dataclasses import dataclass
from math import fsum
from typing import Literal

from pydantic import Field

from nine_knots.core.base.limits import Key, Title
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.strand import Packet, Spool, Stock

Why = Literal["on the shelf", "tied", "renewed", "lost", "given", "counted", "merged", "undone"]
SPENT: tuple[Why, ...] = ("tied", "renewed", "lost", "given")
"""Acts by which line goes for good."""
DIGITS = 6  # of a metre, or of a leader: finer is no difference


class Change(Frozen):
    """So much more or less of one spool or packet: metres, of a packet leaders."""

    spool_id: Key
    title: Title
    change: float = Field(ge=-1e5, le=1e5)


class Act(Frozen):
    """Something done to spools at once; ``undoes`` names the act that it takes back."""

    why: Why
    words: str = Field(default="", max_length=160)
    changes: TupleOf[Change] = ()
    undoes: str | None = Field(default=None, max_length=32)


@dataclass(frozen=True, slots=True)
class SpoolUse:
    """So many metres or leaders off one spool, and why."""

    why: Why
    spool_id: str
    amount: float


def amount_left(changes: Iterable[float]) -> float:
    """What is left after all of them: their sum, in whatever order, and never less than nothing.

    >>> amount_left([30.0, -2.5, -28.0])
    0.0
    """
    return max(0.0, round(fsum(changes), DIGITS))


def amount_of(stock_item: Stock) -> float:
    """What is left of a spool in metres, or how many in a packet."""
    return stock_item.remaining_m if isinstance(stock_item, Spool) else float(stock_item.count)


def with_amount(stock_item: Stock, left: float) -> Stock:
    """The spool or packet with so much left."""
    if isinstance(stock_item, Packet):
        return stock_item.model_copy(update={"count": min(500, round(left))})
    return stock_item.model_copy(update={"remaining_m": left})


def undoing(act: Act, act_id: str) -> Act:
    """What takes an act back."""
    back = tuple(entry.model_copy(update={"change": -entry.change}) for entry in act.changes)
    return Act(why="undone", words=act.words, changes=back, undoes=act_id)
