"""Where nothing built or owned serves a stretch, a leader is sought: the search, kept short."""

from itertools import islice

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.result_cache import cached_result
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import Gust
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.diverse_pick import pick_dozen
from nine_knots.core.search.infeasible import infeasible_demands
from nine_knots.core.search.plausible import is_plausible
from nine_knots.core.search.search import Search

MOST_SOUGHT = 96  # leaders cast for a stretch: five seconds or so
TAKEN = 2  # of what is found, the balanced ones
KEPT = 64  # stretches that are remembered from one plan to the next
ASKED = Demands()


@cached_result(KEPT)
def search_leaders(
    day: Situation, stroke: Stroke, angler: Angler, gust: Gust
) -> tuple[Leader, ...]:
    """Leaders of the angler's own spools that serve the day, the balanced one first; none where
    none is found soon."""
    if infeasible_demands(day, angler, ASKED):
        return ()
    asked = Search(day, stroke, angler, ASKED, gust, most=MOST_SOUGHT)
    try:
        *_, last = asked.rounds()
    except CannotCompute:
        return ()
    found = (chosen.one.table.leader for chosen in pick_dozen(last.tried, ASKED))
    return tuple(islice((leader for leader in found if is_plausible(leader, day)), TAKEN))
