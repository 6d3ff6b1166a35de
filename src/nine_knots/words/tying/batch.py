"""Several leaders at one sitting: all that is to be cut, against what is left on the spools."""

from collections.abc import Iterable
from dataclasses import dataclass

from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.units import Units
from nine_knots.core.domain.builder import USUAL_BUILDER, Builder
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.strand import Packet, Spool, Stock
from nine_knots.words.tying.takes import SpoolTake, takes_of


@dataclass(frozen=True, slots=True)
class BatchRow:
    """What one spool or packet gives for the batch; ``short`` where it runs out."""

    stock: str
    takes: str
    left: str
    after: str
    short: bool


@dataclass(frozen=True, slots=True)
class Batch:
    """The total cut list, and whether the shelf has it all."""

    rows: tuple[BatchRow, ...]
    words: str


def batch_of(
    wanted: tuple[tuple[Design, int], ...],
    stock: tuple[Stock, ...],
    units: Units,
    tyer: Builder = USUAL_BUILDER,
) -> Batch:
    """The stock that ``wanted`` designs, each so many times, take from the shelf."""
    return batch_of_takes(takes_of(wanted, tyer), stock, units)


def batch_of_takes(takes: Iterable[SpoolTake], stock: tuple[Stock, ...], units: Units) -> Batch:
    """The same of what is taken, whatever it is taken for."""
    owned_by_id = {stock_item.spool_id: stock_item for stock_item in stock}
    rows = []
    for take in takes:
        if take.form == "packet":
            key = take.spool_id or take.stuff
            rows.append(_packet_row(key, round(take.amount), owned_by_id))
        elif take.spool_id is not None:
            rows.append(_spool_row(take.spool_id, take.amount, owned_by_id, units))
        else:
            of = f"{take.stuff}, no spool of yours"
            rows.append(BatchRow(of, units.on_spool(take.amount).text, "none", "none", True))
    lacking = [row.stock for row in rows if row.short]
    words = f"Runs out: {', '.join(lacking)}." if lacking else "The shelf has everything."
    return Batch(rows=tuple(rows), words=words)


def _spool_row(key: str, taken_m: float, owned: dict[str, Stock], units: Units) -> BatchRow:
    item = owned.get(key)
    left_m = item.remaining_m if isinstance(item, Spool) else 0.0
    left: Quantity = units.on_spool(left_m)
    return BatchRow(
        stock=item.title if item else f"{key}, no longer on the shelf",
        takes=units.on_spool(taken_m).text,
        left=left.text,
        after=units.on_spool(max(0.0, left_m - taken_m)).text,
        short=taken_m > left_m,
    )


def _packet_row(key: str, count: int, owned: dict[str, Stock]) -> BatchRow:
    item = owned.get(key)
    left = item.count if isinstance(item, Packet) else 0
    return BatchRow(
        stock=item.title if item else f"{key}, no longer on the shelf",
        takes=f"{count} of them",
        left=str(left),
        after=str(max(0, left - count)),
        short=count > left,
    )
