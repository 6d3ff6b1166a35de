"""/api/v1/angler: the angler's settings."""

from fastapi import APIRouter

from nine_knots.api.context import CurrentSession
from nine_knots.api.problems import RESPONSES
from nine_knots.core.domain.leader.own_knots import OwnKnots
from nine_knots.store.anglers import Settings, read_settings, write_settings
from nine_knots.store.tying import read_ties, write_ties

router = APIRouter(prefix="/api/v1/angler", tags=["angler"], responses=RESPONSES)


@router.get("", summary="Show the angler's name, units and theme")
def get_angler(session: CurrentSession) -> Settings:
    """Read the settings."""
    return session.read(read_settings)


@router.get("/knots", summary="Show the knots the angler always ties")
def get_ties(session: CurrentSession) -> OwnKnots:
    """By place; nothing where the usual knot is tied."""
    return session.read(read_ties)


@router.put("/knots", summary="Set the knots the angler always ties")
def put_ties(session: CurrentSession, ties: OwnKnots) -> OwnKnots:
    """Every school ties so from now on, wherever the knot holds."""
    return session.write(lambda cursor, me: write_ties(cursor, me, ties))


@router.put("", summary="Set the angler's name, units and theme")
def put_angler(session: CurrentSession, settings: Settings) -> Settings:
    """Write the settings."""
    return session.write(lambda cursor, me: write_settings(cursor, me, settings))
