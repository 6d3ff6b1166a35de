"""/api/v1/anglers: whose things are here, who is in front, and beginning with one's own."""

from typing import Annotated

from fastapi import APIRouter
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.household import with_code
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.limits import Title
from nine_knots.demo.load import add_demo
from nine_knots.services.secret import sealed
from nine_knots.store.anglers import (
    OWN,
    AnglerAtBench,
    Settings,
    create_angler,
    list_anglers,
    read_here,
    read_settings,
    set_current_angler,
)
from nine_knots.store.codes import write_code

router = APIRouter(prefix="/api/v1/anglers", tags=["angler"], responses=RESPONSES)


SHORTEST = 4
Code = Annotated[str, Field(max_length=40)]


class NewAnglerForm(Form):
    """Who begins."""

    name: Title = OWN


class CurrentAnglerForm(Form):
    """The code of who comes to the front, where one was set."""

    code: Code = ""


class BenchCodeForm(Form):
    """The code from now on, empty for none; and the one that was set, if one was."""

    code: Code
    now: Code = ""


@router.get("", summary="List the anglers of this bench")
def get_anglers(session: CurrentSession) -> tuple[AnglerAtBench, ...]:
    """Who is in front first."""
    return session.read(lambda cursor, _me: list_anglers(cursor, session.account_id))


@router.post("", summary="Create an angler")
def post_angler(session: SavingSession, form: NewAnglerForm) -> AnglerAtBench:
    """An angler who owns nothing yet comes to the front; all else is left as it is."""

    def begin(cursor: DictCursor, me: str) -> str:
        settings = read_settings(cursor, me)
        own = Settings(name=form.name.strip() or OWN, units=settings.units, theme=settings.theme)
        return create_angler(cursor, own, account_id=session.account_id)

    return session.save(
        begin, lambda cursor, _me, made: read_here(cursor, made, session.account_id)
    )


@router.post("/demo", summary="Load the demo")
def post_demo_data(session: CurrentSession) -> AnglerAtBench:
    """The demo's angler comes to the front, made anew where there is none."""

    def look(cursor: DictCursor, _me: str) -> AnglerAtBench:
        here = list_anglers(cursor, session.account_id)
        known = next((angler.angler_id for angler in here if angler.demo), None)
        if known is None:
            known = add_demo(cursor, account_id=session.account_id)
        set_current_angler(cursor, known)
        return read_here(cursor, known, session.account_id)

    return session.write(look)


@router.post("/{angler_id}/front", responses=MISSING, summary="Switch to another angler")
def post_current_angler(
    session: CurrentSession, angler_id: str, form: CurrentAnglerForm | None = None
) -> AnglerAtBench:
    """Their things are what is shown, and used for all that is proposed; where they have set a
    code, it is asked for, and after five wrong ones not before a minute is over."""

    def turn(cursor: DictCursor, whose: str) -> AnglerAtBench:
        set_current_angler(cursor, whose)
        return read_here(cursor, whose, session.account_id)

    session.read(lambda cursor, _me: read_here(cursor, angler_id, session.account_id))
    return with_code(session, angler_id, form.code if form else "", turn)


@router.put("/code", summary="Set a code for the current angler")
def put_code(session: CurrentSession, form: BenchCodeForm) -> AnglerAtBench:
    """It is asked of whoever brings their things to the front; what is kept of it is its Argon2id.
    It keeps honest people of one household apart, not a thief who has the machine."""
    code = form.code.strip()
    if code and len(code) < SHORTEST:
        raise OutOfRange(
            f"A code has at least {SHORTEST} characters.", where="code", hint="Choose a longer one."
        )
    kept = sealed(code) if code else None

    def change(cursor: DictCursor, me: str) -> AnglerAtBench:
        here = read_here(cursor, me, session.account_id)
        if here.demo:
            raise OutOfRange(
                "The demo can't have a code.", where="code", hint="Create your own angler first."
            )
        write_code(cursor, me, kept)
        return read_here(cursor, me, session.account_id)

    return with_code(session, None, form.now, change)
