"""/api/v1/sharing: leaders handed on, as QR codes or several as one file, and taken from others."""

from dataclasses import dataclass

from fastapi import APIRouter, Response
from pydantic import Field
from pymysql.cursors import DictCursor
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.ids import Id
from nine_knots.api.jobs.isolated_process import CurrentIsolated
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.routes.files import file_answer
from nine_knots.api.typed_fields import Form
from nine_knots.core.assess.refit import refitted
from nine_knots.core.base.prose import capitalised, count_words
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.design import Design
from nine_knots.formats.leader_qr import qr_svg, qr_text, read_qr
from nine_knots.formats.leaders_json import (
    MOST_LEADERS,
    LabelledDesign,
    read_leaders,
    write_leaders,
)
from nine_knots.store.leaders import create_leader, labels_of, read_revision, write_labels
from nine_knots.store.stock import list_stock
from nine_knots.words.differences import swap_words

router = APIRouter(prefix="/api/v1/sharing", tags=["sharing"], responses=RESPONSES)


class DesignForm(Form):
    """A design, and the units that words about it are in."""

    design: Design = Field(examples=[DESIGN])
    units: System = "imperial"


class ScanForm(Form):
    """The text of a QR code."""

    text: str = Field(max_length=5000, examples=["NK1:"])
    units: System = "imperial"


class ChosenLeaders(Form):
    """Leaders chosen on the shelf."""

    leader_ids: TupleOf[Id] = Field(min_length=1, max_length=MOST_LEADERS)


class FileForm(Form):
    """The text of a file of several leaders."""

    text: str = Field(max_length=4_000_000)


@dataclass(frozen=True, slots=True)
class FittedDesign:
    """A design of one's own spools, and which pieces are of others than it was made of."""

    design: Design
    differs: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class ImportResult:
    """What was put on the shelf, in words."""

    words: str


@router.post("/qr", response_class=Response, summary="Show a leader as a QR code")
def post_qr(form: DesignForm) -> Response:
    """An SVG picture; the leader's notes go with it, the angler's name does not."""
    return Response(qr_svg(qr_text(form.design)), media_type="image/svg+xml")


@router.post("/scan", summary="Read a leader from a QR code's text")
def post_scan(session: CurrentSession, form: ScanForm) -> FittedDesign:
    """The leader of one's own spools; nothing is stored."""
    return _fitted(session, read_qr(form.text), Units(form.units))


@router.post("/fit", summary="Rebuild a leader from the angler's own spools")
def post_fit(session: CurrentSession, form: DesignForm) -> FittedDesign:
    """Of the nearest that are owned, with what differs; nothing is stored."""
    return _fitted(session, form.design, Units(form.units))


@router.post(
    "/file",
    response_class=Response,
    responses=MISSING,
    summary="Export several leaders as one file",
)
def post_file(session: CurrentSession, form: ChosenLeaders) -> Response:
    """Their newest revisions with their labels, as JSON."""

    def read(cursor: DictCursor, me: str) -> tuple[LabelledDesign, ...]:
        return tuple(
            LabelledDesign(
                design=read_revision(cursor, me, leader_id).design,
                labels=labels_of(cursor, me, leader_id),
            )
            for leader_id in dict.fromkeys(form.leader_ids)
        )

    leaders = session.read(read)
    name = leaders[0].design.title if len(leaders) == 1 else f"{len(leaders)} leaders"
    return file_answer(write_leaders(leaders), name, "json")


@router.post("/leaders", summary="Import leaders to the shelf")
async def post_shared_leaders(
    session: SavingSession, isolated: CurrentIsolated, form: FileForm
) -> ImportResult:
    """All of them, each as a leader of its own, or none where one cannot be read. They keep the
    figures they come with: opened, each can be made of one's own spools."""
    leaders = await isolated.run(read_leaders, form.text)

    def keep(cursor: DictCursor, me: str) -> str:
        for leader in reversed(leaders):
            made = create_leader(cursor, me, leader.design)
            write_labels(cursor, me, made.leader_id, tuple(leader.labels))
        return f"{len(leaders)} leaders"

    words = f"{capitalised(count_words(len(leaders), 'leader'))} on the shelf."
    return await run_in_threadpool(
        session.save, keep, lambda _cursor, _me, _made: ImportResult(words)
    )


def _fitted(session: CurrentSession, design: Design, units: Units) -> FittedDesign:
    made, swaps = refitted(design, session.read(list_stock))
    return FittedDesign(made, swap_words(swaps, units))
