"""/api/v1/knots: the knots to read up, and their drawings."""

from typing import Annotated

from fastapi import APIRouter, Query

from nine_knots.api.problems import RESPONSES
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.knots import KNOTS, KnotKey
from nine_knots.drawing import Drawing, knot_drawing
from nine_knots.words.knot_card import KnotCard, knot_card

router = APIRouter(prefix="/api/v1/knots", tags=["knots"], responses=RESPONSES)


@router.get("", summary="List all knots")
def get_knots(units: Annotated[System, Query()] = "imperial") -> tuple[KnotCard, ...]:
    """Their cards, in the angler's units."""
    in_order = sorted(KNOTS.values(), key=lambda knot: not knot.by_heart)
    return tuple(knot_card(knot.key, Units(units)) for knot in in_order)


@router.get("/{key}/drawing", summary="Draw a knot step by step")
def get_drawing(key: KnotKey) -> Drawing:
    """Strokes in drawing order, each with the step at which it appears."""
    return knot_drawing(key)
