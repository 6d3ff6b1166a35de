"""/api/anglers: whose things are here, who is in front, and beginning with one's own."""

from fastapi import APIRouter
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed import Form
from nine_knots.core.base.limits import Title
from nine_knots.demo.load import add_demo
from nine_knots.store.anglers import (
    OWN,
    Here,
    Settings,
    create_angler,
    list_anglers,
    put_in_front,
    read_here,
    read_settings,
)

router = APIRouter(prefix="/api/anglers", tags=["angler"], responses=RESPONSES)


class BeginForm(Form):
    """Who begins."""

    name: Title = OWN


@router.get("", summary="Whose things are here")
def get_anglers(session: CurrentSession) -> tuple[Here, ...]:
    """Who is in front first."""
    return session.read(lambda cursor, _me: list_anglers(cursor))


@router.post("", summary="Begin with one's own things")
def post_angler(session: SavingSession, form: BeginForm) -> Here:
    """An angler who owns nothing yet comes to the front; all else is left as it is."""

    def begin(cursor: DictCursor, me: str) -> str:
        settings = read_settings(cursor, me)
        own = Settings(name=form.name.strip() or OWN, units=settings.units, theme=settings.theme)
        return create_angler(cursor, own)

    return session.save(begin, lambda cursor, _me, made: read_here(cursor, made))


@router.post("/demo", summary="Look round in the demo")
def post_demo(session: CurrentSession) -> Here:
    """The demo's angler comes to the front, made anew where there is none."""

    def look(cursor: DictCursor, _me: str) -> Here:
        known = next((one.angler_id for one in list_anglers(cursor) if one.demo), None)
        if known is None:
            known = add_demo(cursor)
        put_in_front(cursor, known)
        return read_here(cursor, known)

    return session.write(look)


@router.post("/{angler_id}/front", responses=MISSING, summary="Let another come to the front")
def post_front(session: CurrentSession, angler_id: str) -> Here:
    """Their things are what is shown, and used for all that is proposed."""

    def turn(cursor: DictCursor, _me: str) -> Here:
        read_here(cursor, angler_id)
        put_in_front(cursor, angler_id)
        return read_here(cursor, angler_id)

    return session.write(turn)
