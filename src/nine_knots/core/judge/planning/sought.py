"""Where nothing built or owned serves a stretch, a leader is sought: the search, kept short."""

from itertools import islice

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.whole_cache import cached_whole
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.finding.chosen import dozen_of
from nine_knots.core.judge.finding.demands import Demands
from nine_knots.core.judge.finding.impossible import impossible
from nine_knots.core.judge.finding.sane import is_sane
from nine_knots.core.judge.finding.search import Search
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import Gust
from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.situation import Situation

MOST_SOUGHT = 96  # leaders cast for a stretch: five seconds or so
TAKEN = 2  # of what is found, the balanced ones
KEPT = 64  # stretches that are remembered from one plan to the next
ASKED = Demands()


@cached_whole(KEPT)
def sought(day: Situation, stroke: Stroke, angler: Angler, gust: Gust) -> tuple[Leader, ...]:
    """Leaders of the angler's own spools that serve the day, the balanced one first; none where
    none is found soon."""
    if impossible(day, angler, ASKED):
        return ()
    asked = Search(day, stroke, angler, ASKED, gust, most=MOST_SOUGHT)
    try:
        *_, last = asked.rounds()
    except CannotCompute:
        return ()
    found = (chosen.one.table.leader for chosen in dozen_of(last.tried, ASKED))
    return tuple(islice((one for one in found if is_sane(one, day)), TAKEN))
