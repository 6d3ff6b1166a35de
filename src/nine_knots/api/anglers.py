"""/api/angler: the angler's settings."""

from fastapi import APIRouter

from nine_knots.api.context import CurrentSession
from nine_knots.api.problems import RESPONSES
from nine_knots.store.anglers import Settings, read_settings, write_settings

router = APIRouter(prefix="/api/angler", tags=["angler"], responses=RESPONSES)


@router.get("", summary="The angler's name, units and theme")
def get_angler(session: CurrentSession) -> Settings:
    """Read the settings."""
    return session.read(read_settings)


@router.put("", summary="Remember the angler's name, units and theme")
def put_angler(session: CurrentSession, settings: Settings) -> Settings:
    """Write the settings."""
    return session.write(lambda cursor, me: write_settings(cursor, me, settings))
