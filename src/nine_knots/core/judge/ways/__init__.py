"""How each way of fishing is judged: one file beside the way's own, found by being there."""

from nine_knots.core.base.rooms import found_in
from nine_knots.core.judge.water.judgement import Judgement
from nine_knots.core.models.water.way import Way

JUDGEMENTS: dict[str, Judgement] = {one.way.key: one for one in found_in(__name__, Judgement)}


def judgement_of(way: Way) -> Judgement:
    """How a way is judged."""
    return JUDGEMENTS[way.key]
