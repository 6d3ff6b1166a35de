"""/api/v1/tying: the companion's screens, what came out, batches, cards and labels as PDF."""

import uuid
from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Query, Response
from pydantic import BaseModel, Field
from pymysql.cursors import DictCursor
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.jobs.responses import EVENTS, CurrentAnswering
from nine_knots.api.jobs.tasks import CardsTask
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.routes.files import file_of
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.limits import MOST_PIECES
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_length
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.design import Design
from nine_knots.formats.card import Paper
from nine_knots.store.tying import (
    add_tied,
    read_hand,
    read_height_m,
    read_tyer,
    write_height_m,
)
from nine_knots.words.tying.as_tied import as_tied
from nine_knots.words.tying.batch import Batch, batch_of
from nine_knots.words.tying.companion import Order, Screen, screens
from nine_knots.words.tying.cutting import cut_length_m
from nine_knots.words.tying.hand import Handiness, shown_handiness

router = APIRouter(prefix="/api/v1/tying", tags=["tying"], responses=RESPONSES)
MOST_COPIES, MOST_CARDS = 50, 240
HEIGHTS_M = (1.0, 2.5)
NEAR = 0.04  # of a usual hand: as good as usual


@dataclass(frozen=True, slots=True)
class TyerAnswer:
    """Whose cut list it is: how tall, and how much line their knots take."""

    height: str
    hand: str


class ScreensRequest(Form):
    """A design to tie, all cut first or spool by spool."""

    design: Design = Field(examples=[DESIGN])
    order: Order = "cut first"
    units: System = "imperial"


class TiedRequest(Form):
    """What each piece came out at, as typed; empty where it was not measured."""

    design: Design = Field(examples=[DESIGN])
    came_out: TupleOf[Typed] = Field(max_length=MOST_PIECES, examples=[["59 in", ""]])
    keep: bool = Field(default=False, description="learn the angler's line use from it")
    units: System = "imperial"


class TiedAnswer(BaseModel):
    """The design with its true lengths, and what they taught of the angler's hand."""

    design: Design
    hand: str


class HeightForm(Form):
    """The angler's height as typed; empty forgets it."""

    height: Typed = Field(examples=["5 ft 9 in"])
    units: System = "imperial"


class BatchItem(Form):
    """A design and how many of it."""

    design: Design = Field(examples=[DESIGN])
    count: int = Field(default=1, ge=1, le=MOST_COPIES)


class BatchRequest(Form):
    """Designs to tie at one sitting."""

    wanted: TupleOf[BatchItem] = Field(min_length=1, max_length=40)
    units: System = "imperial"


class CardsRequest(BatchRequest):
    """Designs to print; on sheets and labels each as often as it is wanted."""

    paper: Paper = "a6"
    depth_table: bool = Field(
        default=False, description="depth table on the cards of rigs that sink"
    )
    chain: bool = Field(default=False, description="chain from the reel to the leader on the cards")
    code: bool = Field(default=False, description="an extra side with a QR code")


@router.get("", summary="Show the builder's figures")
def get_tyer(session: CurrentSession, units: Annotated[System, Query()] = "imperial") -> TyerAnswer:
    """Height and hand in words."""
    return session.read(lambda cursor, me: _tyer(cursor, me, Units(units)))


@router.put("/height", summary="Set the angler's height, for lengths without a tape")
def put_height(session: CurrentSession, form: HeightForm) -> TyerAnswer:
    """Remember it, or forget it where nothing is typed."""
    height_m = None
    if form.height.strip():
        with field("height"):
            height_m = parse_length(form.height, form.units)
            if not HEIGHTS_M[0] <= height_m <= HEIGHTS_M[1]:
                raise Unreadable(
                    f"“{form.height}” is not a possible height.", hint="Write 5 ft 9 in, or 175 cm."
                )

    def keep(cursor: DictCursor, me: str) -> TyerAnswer:
        write_height_m(cursor, me, height_m)
        return _tyer(cursor, me, Units(form.units))

    return session.write(keep)


@router.post("/screens", summary="Show the tying steps")
def post_screens(session: CurrentSession, asked: ScreensRequest) -> tuple[Screen, ...]:
    """Cuts by the angler's own hand; nothing is stored."""
    angler, fly = session.angler(asked.units), asked.design.situation.fly
    return screens(asked.design.leader, fly, angler.titles, angler.units, angler.tyer, asked.order)


@router.post("/tied", summary="Record the lengths the pieces came out at")
def post_tied(session: SavingSession, asked: TiedRequest) -> TiedAnswer:
    """The design as tied; with ``keep``, what it shows of the angler's hand is learnt."""
    leader, units = asked.design.leader, Units(asked.units)
    if len(asked.came_out) != len(leader.pieces):
        raise Unreadable(
            f"{len(leader.pieces)} pieces were tied, {len(asked.came_out)} lengths came.",
            where="came_out",
            hint="Enter a length, or leave it empty, for every piece.",
        )
    lengths: list[float | None] = []
    for number, text in enumerate(asked.came_out):
        with field(f"came_out.{number}"):
            lengths.append(parse_length(text, asked.units) if text.strip() else None)
    tied = as_tied(leader, tuple(lengths), units)

    def learn(cursor: DictCursor, me: str) -> str:
        tyer = read_tyer(cursor, me)
        shown = {
            number: shown_handiness(
                leader, number, cut_length_m(leader, number, tyer.handiness), length
            )
            for number, length in enumerate(lengths)
            if length is not None and leader.pieces[number].form == "level"
        }
        if shown and asked.keep:
            add_tied(cursor, me, shown)
        return "tied"

    hand = session.save(learn, lambda cursor, me, _: _hand_words(read_hand(cursor, me)))
    return TiedAnswer(design=asked.design.model_copy(update={"leader": tied}), hand=hand)


@router.post("/batch", summary="Show what a batch takes from the shelf")
def post_batch(session: CurrentSession, asked: BatchRequest) -> Batch:
    """The total cut list against what is left; nothing is stored."""
    wanted = tuple((batch_item.design, batch_item.count) for batch_item in asked.wanted)
    angler = session.angler(asked.units)
    return batch_of(wanted, angler.stock, angler.units, angler.tyer)


@router.post(
    "/cards",
    response_class=Response,
    responses=WORKED_OUT | {200: {"content": EVENTS | {"application/pdf": {}}}},
    summary="Export tying cards or labels as PDF",
)
async def post_cards(
    session: CurrentSession, asked: CardsRequest, answering: CurrentAnswering
) -> Response:
    """The PDF, named after its first design."""
    count = sum(batch_item.count for batch_item in asked.wanted)
    if count > MOST_CARDS:
        raise OutOfRange(
            f"{count} cards are too many at once.",
            where="wanted",
            hint=f"Print {MOST_CARDS} at most, then the others.",
        )
    angler = await run_in_threadpool(session.angler, asked.units)
    task = CardsTask(
        wanted=tuple((batch_item.design, batch_item.count) for batch_item in asked.wanted),
        paper=asked.paper,
        depth_table=asked.depth_table,
        chain=asked.chain,
        code=asked.code,
        angler=angler,
    )
    kind = "labels" if asked.paper.endswith("labels") else "tying card"
    file = file_of(f"{asked.wanted[0].design.title}, {kind}", "pdf")
    return await answering.respond(f"cards {uuid.uuid4().hex}", task, file)


def _tyer(cursor: DictCursor, me: str, units: Units) -> TyerAnswer:
    height_m = read_height_m(cursor, me)
    height = units.length(height_m).text if height_m else ""
    return TyerAnswer(height=height, hand=_hand_words(read_hand(cursor, me)))


def _hand_words(hand: Handiness) -> str:
    if hand.pieces == 0:
        return "Your knots are assumed to use the usual amount of line."
    pieces = "one piece" if hand.pieces == 1 else f"{hand.pieces} pieces"
    change = hand.mean - 1.0
    if abs(change) < NEAR:
        return f"From {pieces}: your knots use the usual amount of line."
    word = "more" if change > 0 else "less"
    return f"From {pieces}: your knots use about {abs(change):.0%} {word} line than a usual hand's."
