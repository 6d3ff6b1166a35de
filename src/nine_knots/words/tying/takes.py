"""What leaders take from the shelf: metres of spools, tapers of packets, by the angler's hand."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

from nine_knots.core.domain.builder import USUAL_BUILDER, Builder
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.words.tying.cutting import cut_length_m


@dataclass(frozen=True, slots=True)
class SpoolTake:
    """So much of one spool (metres) or packet (leaders); ``spool_id`` is None where a piece is of
    no spool, and ``stuff`` says of what."""

    form: Literal["spool", "packet"]
    spool_id: str | None
    stuff: str
    amount: float


def takes_of(
    wanted: Iterable[tuple[Design, int]],
    tyer: Builder = USUAL_BUILDER,
    only: frozenset[int] | None = None,
) -> tuple[SpoolTake, ...]:
    """What designs take, each so many times; ``only`` these pieces of them where some are renewed.

    A tag of the same strand as the piece it is the end of is cut with that piece.
    """
    sums: dict[tuple[Literal["spool", "packet"], str | None, str], float] = {}
    for design, count in wanted:
        for form, spool_id, stuff, amount in _of_leader(design.leader, tyer, only):
            key = (form, spool_id, stuff)
            sums[key] = sums.get(key, 0.0) + count * amount
    return tuple(SpoolTake(*key, amount) for key, amount in sums.items())


def takes_together(several: Iterable[tuple[SpoolTake, ...]]) -> tuple[SpoolTake, ...]:
    """Takes of one thing put together."""
    sums: dict[tuple[Literal["spool", "packet"], str | None, str], float] = {}
    for takes in several:
        for take in takes:
            key = (take.form, take.spool_id, take.stuff)
            sums[key] = sums.get(key, 0.0) + take.amount
    return tuple(SpoolTake(*key, amount) for key, amount in sums.items())


def _of_leader(
    leader: Leader, tyer: Builder, only: frozenset[int] | None
) -> Iterable[tuple[Literal["spool", "packet"], str | None, str, float]]:
    for number, piece in enumerate(leader.pieces):
        if only is not None and number not in only:
            continue
        strand = piece.strand
        if piece.form == "tapered":
            yield "packet", strand.spool_id, strand.substance.title, 1.0
        else:
            cut_m = cut_length_m(leader, number, tyer.handiness)
            yield "spool", strand.spool_id, strand.substance.title, cut_m
