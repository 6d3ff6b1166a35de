"""What is known of a leader before it is cast: whether it may be tied at all, and how it stands
against the demands and wishes that need no cast."""

from dataclasses import dataclass
from math import log

from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.verdict import PLENTY, assessment_inputs, verdict_of
from nine_knots.core.assess.water_rules import keeps_rules
from nine_knots.core.base.score import Score
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.strand import spools_of
from nine_knots.core.propose.spools import needed_m
from nine_knots.core.search.demands import Demands, knots_in

# What an angler would notice, as logarithms but for knots: of the reserve, of what holds, of the
# length; half a knot; and of the fishing, a third of the way from the edge of a band to its middle.
SEEN_EASE, SEEN_HOLD, SEEN_LENGTH, SEEN_KNOTS, SEEN_FISHING = 0.08, 0.175, 0.06, 0.5, 0.3
METRES_AS_A_KNOT = 10.0  # of material used


@dataclass(frozen=True, slots=True)
class UncastLeader:
    """A leader that may be tied: its measures, how far it falls short of each demand (in steps that
    one would notice), and what it is by the wishes that need no cast."""

    leader: Leader
    measures: tuple[Score, ...]
    hold_times: float
    knots: int
    short: dict[str, float]

    @property
    def strong(self) -> float:
        """The logarithm of hold over need; more than plenty is no stronger."""
        return min(log(self.hold_times), log(PLENTY))

    @property
    def stealthy(self) -> float:
        """Long and fine: the logarithms of length and of thinness together."""
        return log(self.leader.length_m) - log(self.leader.tippet_diameter_m)

    @property
    def few(self) -> float:
        """Few knots and little material: the less, the more."""
        return -(self.knots + self.leader.length_m / METRES_AS_A_KNOT)


def assess_uncast(leader: Leader, reader: Assessor, demands: Demands) -> UncastLeader | None:
    """The leader against what needs no cast; None where a joint of it folds, kicks or goes flat,
    teeth would cut it, the spools have not enough, or the water's rules forbid it."""
    if not _spools_last(leader, reader):
        return None
    design, own = reader.design(leader), reader.angler.tyer.knots
    inputs = assessment_inputs(design, own)
    measures = verdict_of(design, inputs, own)
    match, hold, length = measures
    if match.status != "right":
        return None
    if not keeps_rules(design):
        return None
    times = inputs.hold.low_n / inputs.need.most_n
    if hold.status == "too little" and times >= 1.0:
        return None  # it would hold, but for teeth
    knots, long_m = knots_in(leader), leader.length_m
    short = {
        "holds": max(0.0, -log(times)) / SEEN_HOLD,
        "knots": max(0, knots - (demands.most_knots or 0)) / SEEN_KNOTS
        if demands.most_knots is not None
        else 0.0,
        "length": _too_far(long_m, demands) / SEEN_LENGTH,
    }
    if not demands.asks_length and length.status != "right":
        return None
    return UncastLeader(leader, measures, times, knots, short)


def _too_far(length_m: float, demands: Demands) -> float:
    """The logarithm by which it is too short or too long of what was asked for."""
    low, high = demands.shortest_m, demands.longest_m
    if low is not None and length_m < low - 1e-3:
        return log(low / length_m)
    if high is not None and length_m > high + 1e-3:
        return log(length_m / high)
    return 0.0


def _spools_last(leader: Leader, reader: Assessor) -> bool:
    left = {spool.spool_id: spool.remaining_m for spool in spools_of(reader.angler.stock)}
    pieces = [(section.strand.spool_id, section.length_m) for section in leader.pieces]
    need = needed_m((spool_id, long) for spool_id, long in pieces if spool_id in left)
    return all(need[spool_id] <= left[spool_id] for spool_id in need)
