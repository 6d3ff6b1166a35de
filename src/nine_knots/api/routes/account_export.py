"""/api/v1/account-data: all that the angler has, as one open file, and back."""

from dataclasses import dataclass
from typing import Annotated, Any

from fastapi import APIRouter, Query, Request, Response
from pymysql.cursors import DictCursor
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession, Session
from nine_knots.api.jobs.isolated_process import CurrentIsolated, IsolatedCall
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.routes.files import file_answer
from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.formats.errors import FileRefused
from nine_knots.services.errors import WrongCode
from nine_knots.store.account_export import read_account_export, write_account_export
from nine_knots.store.account_export_types import ExportPieces, export_text, parse_export_in_pieces
from nine_knots.store.anglers import (
    OWN,
    Settings,
    create_angler,
    current_angler,
    previous_angler,
    read_settings,
    set_current_angler,
)
from nine_knots.store.codes import read_code
from nine_knots.store.erasure import forget_angler
from nine_knots.stored_types.errors import Damaged

router = APIRouter(prefix="/api/v1/account-data", tags=["account data"], responses=RESPONSES)
Name = Annotated[str, Query(max_length=80, description="of the angler, to confirm it")]
FILE: dict[str, Any] = {
    "requestBody": {
        "required": True,
        "description": "a file of format nine-knots-everything, version 1",
        "content": {"application/json": {"schema": {"type": "object"}}},
    }
}


@dataclass(frozen=True, slots=True)
class CurrentOwner:
    """Whose things are in front now, in words, and whether others lie behind them."""

    name: str
    words: str
    others: bool


@router.get("", response_class=Response, summary="Export everything of an angler as one file")
def get_account_data(session: CurrentSession) -> Response:
    """Spools, tackle, leaders with all revisions, landings, practice, pulls: JSON, SI units."""
    found = session.read(read_account_export)
    return file_answer(export_text(found), f"{found.settings.name}, all", "json")


@router.get("/whose", summary="Show whose things are shown")
def get_current_owner(session: CurrentSession) -> CurrentOwner:
    """The angler at the bench, and whether another's things are kept behind."""
    return session.read(lambda cursor, me: _whose(session, cursor, me, ""))


@router.post("", summary="Import such a file", openapi_extra=FILE)
async def post_account_data(
    request: Request, session: CurrentSession, isolated: CurrentIsolated
) -> CurrentOwner:
    """What is in the file comes to the front; what was there is kept behind it, untouched."""
    pieces = await _read(await request.body(), isolated)

    def lay(cursor: DictCursor, me: str) -> CurrentOwner:
        found = pieces.value()
        before = read_settings(cursor, me).name
        angler_id = write_account_export(cursor, found, session.account_id)
        leaders = sum(not leader.removed for leader in found.leaders)
        stock = len(found.stock)
        words = (
            f"You now see {leaders} leaders and {stock} spools and packets of "
            f"{found.settings.name}. What {before} had is kept."
        )
        if found.damaged:
            words += f" {len(found.damaged)} damaged rows stay in the file only."
        return _whose(session, cursor, angler_id, words)

    return await run_in_threadpool(session.write, lay)


@router.post("/back", summary="Go back to what was shown before", responses=MISSING)
def post_previous_owner(session: CurrentSession) -> CurrentOwner:
    """The two change places; neither is changed."""

    def turn(cursor: DictCursor, _me: str) -> CurrentOwner:
        other = previous_angler(cursor, session.account_id)
        if other is None:
            raise NotFound("There is nothing to go back to.")
        if read_code(cursor, other).sealed is not None:
            raise WrongCode(
                "What was shown before is protected by a code.",
                where="code",
                hint="Choose them by name and enter the code.",
            )
        set_current_angler(cursor, other)
        name = read_settings(cursor, other).name
        return _whose(session, cursor, other, f"What {name} has is shown again.")

    return session.write(turn)


@router.delete("", summary="Delete everything of an angler")
def delete_account_data(session: CurrentSession, name: Name) -> CurrentOwner:
    """At once and for good, where the angler's name is given to confirm it; who sat there before
    comes to the front, or a new angler who owns nothing. Backups keep it for two weeks more."""

    def forget(cursor: DictCursor, me: str) -> CurrentOwner:
        mine = read_settings(cursor, me)
        if name.strip() != mine.name:
            raise OutOfRange(
                f"That isn't the name of the angler shown: {mine.name}.",
                where="name",
                hint="Type the name exactly as shown. Nothing was deleted.",
            )
        forget_angler(cursor, me)
        after = current_angler(cursor, session.account_id) or create_angler(
            cursor,
            Settings(name=OWN, units=mine.units, theme=mine.theme),
            account_id=session.account_id,
        )
        words = (
            f"All that {mine.name} had is deleted. Backups keep it for two weeks more, then it is "
            "gone from them too."
        )
        return _whose(session, cursor, after, words)

    return session.write(forget)


def _whose(session: Session, cursor: DictCursor, me: str, words: str) -> CurrentOwner:
    others = previous_angler(cursor, session.account_id) is not None
    return CurrentOwner(read_settings(cursor, me).name, words, others)


async def _read(body: bytes, isolated: IsolatedCall) -> ExportPieces:
    try:
        return await isolated.run(parse_export_in_pieces, body)
    except Damaged as damage:
        raise FileRefused(
            f"This is not a complete export of an angler's things: {damage.what}",
            where=damage.where,
            hint="Choose a file written by “Keep everything as a file”. Nothing changed.",
        ) from damage
