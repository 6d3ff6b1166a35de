"""How each way of fishing is told: one file beside the way's own, found by being there."""

from nine_knots.core.base.rooms import found_in
from nine_knots.core.models.water.way import Way
from nine_knots.core.tell.water_stage.telling import Telling

TELLINGS: dict[str, Telling] = {one.way.key: one for one in found_in(__name__, Telling)}


def telling_of(way: Way) -> Telling:
    """How a way is told."""
    return TELLINGS[way.key]
