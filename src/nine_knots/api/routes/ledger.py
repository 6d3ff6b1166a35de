"""The ledger: what was taken from and put on the spools, undo, and the shopping list."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Annotated, Literal

from fastapi import APIRouter, Query, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.paging import USUAL, PageSize
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.routes.files import file_answer
from nine_knots.api.routes.wallet import today
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.limits import MOST_PIECES, Key
from nine_knots.core.base.prose import count_words
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_length
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.ledger import Act, Change
from nine_knots.core.domain.strand import MOST_LEFT_M, Packet, Stock
from nine_knots.core.domain.wallet import WalletRig
from nine_knots.formats.shopping_csv import write_shopping
from nine_knots.store.ledger import (
    KeptAct,
    count_acts,
    list_acts,
    note_act,
    overdrawn,
    read_act,
    spent,
    undo_act,
    usual_takes,
)
from nine_knots.store.stock import list_stock, read_stock
from nine_knots.store.tying import read_tyer
from nine_knots.store.wallet import put_rigs, take_out_tied_by
from nine_knots.words.costs import cost_text, cost_words
from nine_knots.words.ledger import (
    ShoppingRow,
    act_title,
    act_words,
    change_text,
    changes_by,
    shopping,
    short_words,
    unknown_words,
)
from nine_knots.words.tying import takes_of

router = APIRouter(prefix="/api/v1/ledger", tags=["ledger"], responses=RESPONSES)
MOST_COPIES = 20
LIES_READY = ("It is in the wallet.", "They are in the wallet.")


class DesignCount(Form):
    """A design, and how many of it."""

    design: Design = Field(examples=[DESIGN])
    count: int = Field(default=1, ge=1, le=MOST_COPIES)
    came_out: Design | None = Field(
        default=None, description="as it came out, for the wallet; empty: as planned"
    )


class TiedForm(Form):
    """Leaders that were tied; or, where ``pieces`` are named, of which these were renewed."""

    wanted: TupleOf[DesignCount] = Field(min_length=1, max_length=40)
    pieces: list[Annotated[int, Field(ge=0, lt=MOST_PIECES)]] | None = None
    units: System = "imperial"


class TakenForm(Form):
    """So much off one spool, or so many out of a packet, and why."""

    spool_id: Key
    amount: Typed = Field(examples=["3 ft"])
    why: Literal["renewed", "lost", "given"] = "lost"
    words: str = Field(default="", max_length=120)
    units: System = "imperial"


class ShoppingRequest(Form):
    """Leaders that are to be tied next, for the list of what to buy."""

    wanted: TupleOf[DesignCount] = Field(default=(), max_length=40)
    units: System = "imperial"


@dataclass(frozen=True, slots=True)
class RecordedAct:
    """An act, by which it can be undone, and what it did in words."""

    act_id: str
    words: str


@dataclass(frozen=True, slots=True)
class LedgerChange:
    """What an act did to one spool."""

    spool_id: str
    title: str
    change: str


@dataclass(frozen=True, slots=True)
class LedgerLine:
    """An act: when, what, what it did to the spools, and what that cost where it has a price."""

    act_id: str
    at: str
    title: str
    changes: tuple[LedgerChange, ...]
    cost: str
    undone: bool
    can_undo: bool


@dataclass(frozen=True, slots=True)
class LedgerPage:
    """A page of acts, the newest first, of so many in all; ``cost`` says what all of them cost."""

    lines: tuple[LedgerLine, ...]
    total: int
    cost: str


@dataclass(frozen=True, slots=True)
class ShoppingList:
    """What is to be bought; ``words`` say it where that is nothing."""

    rows: tuple[ShoppingRow, ...]
    words: str


@router.get("", summary="List what came on and off the spools")
def get_ledger(
    session: CurrentSession,
    units: System = "imperial",
    limit: PageSize = USUAL,
    skip: Annotated[int, Query(ge=0, le=1_000_000, description="newer ones left out")] = 0,
    spool_id: Annotated[str | None, Query(max_length=40, description="of one spool only")] = None,
) -> LedgerPage:
    """A page of acts, the newest first."""
    kept, total, owned, gone = session.read(
        lambda cursor, me: (
            list_acts(cursor, me, limit, skip, spool_id),
            count_acts(cursor, me, spool_id),
            _by_id(_owned(cursor, me)),
            spent(cursor, me),
        )
    )
    of_it = [use for use in gone if spool_id in (None, use.spool_id)]
    lines = tuple(_line(kept_act, owned, Units(units)) for kept_act in kept)
    return LedgerPage(lines, total, cost_words(of_it, owned))


@router.post("/tied", summary="Record a tied or renewed leader")
def post_tied_off(session: SavingSession, form: TiedForm) -> RecordedAct:
    """By the angler's own hand, knots and all; answers what to undo it by."""
    only = frozenset(form.pieces) if form.pieces is not None else None
    titles = [
        design_count.design.title
        if design_count.count == 1
        else f"{design_count.count} of {design_count.design.title}"
        for design_count in form.wanted
    ]
    if only is not None and any(
        piece >= len(design_count.design.leader.pieces)
        for design_count in form.wanted
        for piece in only
    ):
        raise OutOfRange("The leader has no such piece.", where="pieces", hint="Count from 0.")

    wanted = _counted(form.wanted)
    rigs = [
        WalletRig(design=design_count.came_out or design_count.design, tied_on=today())
        for design_count in form.wanted
        for _ in range(design_count.count)
    ]

    def take(cursor: DictCursor, me: str) -> str:
        takes = takes_of(wanted, read_tyer(cursor, me), only)
        act_id = note_act(
            cursor,
            me,
            Act(
                why="tied" if only is None else "renewed",
                words=", ".join(titles)[:160],
                changes=changes_by(takes, _by_id(list_stock(cursor, me))),
            ),
        )
        if only is None:
            put_rigs(cursor, me, rigs, act_id)
        return act_id

    def told(cursor: DictCursor, me: str, act_id: str) -> RecordedAct:
        takes = takes_of(wanted, read_tyer(cursor, me), only)
        words = _words_of(cursor, me, act_id, Units(form.units))
        words += unknown_words(takes, _by_id(list_stock(cursor, me)))
        return RecordedAct(
            act_id, f"{words} {LIES_READY[len(rigs) > 1]}" if only is None else words
        )

    return session.save(take, told)


@router.post("/taken", responses=MISSING, summary="Record what was taken off a spool")
def post_taken(session: SavingSession, form: TakenForm) -> RecordedAct:
    """Lost, thrown away, given away, or a tippet renewed by the water."""

    def take(cursor: DictCursor, me: str) -> str:
        item = read_stock(cursor, me, form.spool_id)
        change = Change(spool_id=item.spool_id, title=item.title, change=-_amount(item, form))
        return note_act(cursor, me, Act(why=form.why, words=form.words.strip(), changes=(change,)))

    def told(cursor: DictCursor, me: str, act_id: str) -> RecordedAct:
        return RecordedAct(act_id, _words_of(cursor, me, act_id, Units(form.units)))

    return session.save(take, told)


@router.post("/{act_id}/undo", responses=MISSING, summary="Undo an act")
def post_undo(session: CurrentSession, act_id: str) -> RecordedAct:
    """What it took is on the spools again; asked twice, it is done once."""

    def undo(cursor: DictCursor, me: str) -> RecordedAct:
        before = read_act(cursor, me, act_id).act
        by = undo_act(cursor, me, act_id)
        take_out_tied_by(cursor, me, act_id)
        return RecordedAct(by, f"Undone: {act_title(before)}.")

    return session.write(undo)


@router.post("/shopping", summary="List what to buy")
def post_shopping(session: CurrentSession, form: ShoppingRequest) -> ShoppingList:
    """What the next leaders lack, what is low, what is old; nothing is stored."""
    rows = _shopping(session, form)
    said = count_words(len(rows), "thing")
    words = f"To buy: {said}." if rows else "Nothing to buy: the shelf has enough."
    return ShoppingList(rows, words)


@router.post("/shopping/csv", response_class=Response, summary="Export the shopping list as CSV")
def post_shopping_csv(session: CurrentSession, form: ShoppingRequest) -> Response:
    """What, and why."""
    return file_answer(write_shopping(_shopping(session, form)), "to buy", "csv")


def _shopping(session: CurrentSession, form: ShoppingRequest) -> tuple[ShoppingRow, ...]:
    stock, tyer, usual = session.read(
        lambda cursor, me: (
            list_stock(cursor, me),
            read_tyer(cursor, me),
            usual_takes(cursor, me),
        )
    )
    today = datetime.now(UTC).date().isoformat()
    return shopping(stock, takes_of(_counted(form.wanted), tyer), usual, today, Units(form.units))


def _amount(stock_item: Stock, form: TakenForm) -> float:
    with field("amount"):
        if not isinstance(stock_item, Packet):
            return parse_length(form.amount, form.units, most_m=MOST_LEFT_M)
        if not form.amount.strip().isdigit() or not 1 <= int(form.amount) <= 500:
            raise Unreadable(f"“{form.amount}” is not a number of tapers.", hint="Write 1, or 2.")
        return float(form.amount)


def _line(kept: KeptAct, owned: Mapping[str, Stock], units: Units) -> LedgerLine:
    return LedgerLine(
        act_id=kept.act_id,
        at=kept.noted_at.isoformat(),
        title=act_title(kept.act),
        changes=tuple(
            LedgerChange(
                entry.spool_id,
                entry.title,
                change_text(entry, isinstance(owned.get(entry.spool_id), Packet), units),
            )
            for entry in kept.act.changes
        ),
        cost=cost_text(kept.act.why, kept.act.changes, owned),
        undone=kept.undone,
        can_undo=not kept.undone and kept.act.why not in ("on the shelf", "undone"),
    )


def _counted(wanted: tuple[DesignCount, ...]) -> tuple[tuple[Design, int], ...]:
    return tuple((design_count.design, design_count.count) for design_count in wanted)


def _words_of(cursor: DictCursor, me: str, act_id: str, units: Units) -> str:
    """What an act took, and what was not there to take."""
    changes = read_act(cursor, me, act_id).act.changes
    owned = _owned(cursor, me)
    drawn = overdrawn(cursor, me)
    over = {entry.spool_id: drawn[entry.spool_id] for entry in changes if entry.spool_id in drawn}
    took = act_words(changes, _packets(owned), units)
    return f"{took}{short_words(over, _by_id(owned), units)}"


def _by_id(stock: tuple[Stock, ...]) -> dict[str, Stock]:
    return {stock_item.spool_id: stock_item for stock_item in stock}


def _owned(cursor: DictCursor, me: str) -> tuple[Stock, ...]:
    """All on the shelf, and what was taken off it."""
    return (*list_stock(cursor, me), *list_stock(cursor, me, retired=True))


def _packets(stock: tuple[Stock, ...]) -> frozenset[str]:
    return frozenset(packet.spool_id for packet in stock if isinstance(packet, Packet))
