"""What a cast means: how much of the stroke is to spare, how the leader lands, and whether that is
what was wanted.

The margin is the stroke's launch speed over the minimum that opens the leader forward, in this
wind, with this fly (``casting.minimum_speed``). Its thresholds come from rigs whose outcome
the trade knows (docs/model.md lists them, those fitted and those only tested) and then from the
angler's landings. The margin is read first and the landing by it, so that neither can contradict
the other: what piles up does not lie in any way, and what opens does not lie in a heap.
"""

from dataclasses import dataclass
from enum import Enum
from math import log, radians, tan

from nine_knots.core.assess.own_cast import PILES_UP, SLAMS, UNKNOWN, OwnCast
from nine_knots.core.assess.weight_leads import is_lobbed
from nine_knots.core.base.score import Finding, Reason, Score, position_in_band
from nine_knots.core.base.units.factors import GRAIN_KG
from nine_knots.core.casting.landing import CastLanding
from nine_knots.core.casting.minimum_speed import MinimumLaunchSpeed
from nine_knots.core.casting.opening import CALM_M_S
from nine_knots.core.casting.stroke import ROD_TIP_M, Stroke
from nine_knots.core.casting.wind import air_of
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation, Wind
from nine_knots.core.domain.tackle.line import GRAINS
from nine_knots.core.schools import built_by

LEADS, CANNOT_LEAD = 3.0, 6.0  # mono over fly by mass [P]
MOST_RATIO = 1000.0  # times, beyond which no difference is made
COLLAPSES = 0.9  # of the threshold of opening, below which a leader piles up [P, by the rigs]
WITH_EASE = 1.1  # of it, from which no brisk stroke is called for [P, by the rigs]
KNOWN_TO, KNOWN_TO_IN_WIND = 0.04, 0.06  # of a margin: nearer to an edge it is on the brink
EASED_TO = 1.4  # margin to which one eases off for a floating fly [G]
# Of the line's head, the heaviest fly on a 3-weight and on an 11-weight [P, by the rigs].
MOST_SHARE = (0.12, 0.24)
LOB = -0.6  # of the way to the edge, where a lob that the model does not follow is put [G]
LEVEL = 1.1  # times the tippet, a butt up to which a leader is level
LONG_M = 2.0  # from which a level leader is long enough to tell
STRAIGHT, IN_ORDER = 0.93, 0.70  # of its length along the cast, as a leader lies [G]
EASES_FROM = 1.25  # of the threshold of opening, from which a softer stroke still opens it
HEAP = 0.4  # of it, below which one that barely opens is a heap [G]

# The margin wanted, lowest and highest, by what is wanted of the fly: a dry fly that is thrown
# much too hard lies dead straight and drags at once, a streamer is none the worse for it.
WANTED = {
    "drift on top": (PILES_UP, SLAMS),
    "hang in the film": (PILES_UP, SLAMS),
    "drift deep": (PILES_UP, 3.2),
    "swing": (PILES_UP, 5.0),
    "strip": (PILES_UP, 5.0),
    "lead and drop": (PILES_UP, 5.0),
}


class TurnoverReason(Reason):
    """How a leader opens by the stroke chosen, against what is wanted here."""

    NEVER_OPENS = "never opens", "too little"
    PILES_UP = "piles up", "too little"
    BARELY_OPENS = "barely opens", "too little"
    TOO_MUCH_FLY = "too much fly for this line", "too little"
    LOBBED = "swung over as a lob", "right"
    TOO_LITTLE_TO_SPARE = "opens with too little to spare", "too little"
    OPENS_ON_A_BRISK_STROKE = "opens on a brisk stroke", "right"
    OPENS = "opens with some to spare", "right"
    TOO_MUCH_TO_SPARE = "opens with too much to spare", "too much"


class MonoReason(Reason):
    """Whether a fly pulls the mono that it is thrown on."""

    CASTS_WELL = "casts well", "right"
    CASTS_WITH_CARE = "casts with care", "right"
    TOO_LIGHT = "the fly cannot pull it", "too little"


class Lies(Enum):
    """How a leader lies as its fly touches down."""

    IN_A_HEAP = "in a heap"
    SHORT = "short"
    BLOWN_SHORT = "short, blown back"
    STRAIGHT = "straight"
    WITH_SLACK = "with slack"
    BLOWN_BACK = "blown back as it falls"
    DROPPED_BACK = "dropped back"
    STRAIGHT_IN_PART = "straight only in part"
    SPRUNG_BACK = "sprung back"


@dataclass(frozen=True, slots=True)
class LandingFinding:
    """How a leader lies, and by how much it is short or slack in metres; into a wind the model
    knows no more than how (``windy``)."""

    lies: Lies
    slack_m: float
    windy: bool


@dataclass(frozen=True, slots=True)
class TurnoverFinding(Finding):
    """The margin, the launch speeds in m/s (``minimum_m_s`` None where no stroke opens it), the
    caster's own ``speed_factor``, and how it lands, where that was looked at. ``windy`` where a
    wind in the face makes the margin less sure, ``brisk`` where it opens only on such a stroke;
    ``most_kg`` is the heaviest fly that a line of this weight still casts.
    """

    margin: float
    minimum_m_s: float | None
    stroke_m_s: float
    own: OwnCast
    windy: bool
    brisk: bool
    fly_kg: float
    line_weight: int
    most_kg: float
    landing: LandingFinding | None


@dataclass(frozen=True, slots=True)
class MonoFinding(Finding):
    """What eight metres of the mono weigh, times the fly."""

    ratio: float


@dataclass(frozen=True, slots=True)
class CastResult:
    """A leader's minimum launch speed, the stroke it is thrown with, and how it then lands, where
    that was looked at."""

    minimum: MinimumLaunchSpeed
    stroke: Stroke
    landing: CastLanding | None = None

    @property
    def margin(self) -> float:
        """The stroke's speed over the minimum."""
        return self.minimum.margin(self.stroke)


def landing_finding(
    result: CastResult, wind: Wind, floats: bool, own: OwnCast = UNKNOWN
) -> LandingFinding | None:
    """How a leader lies; None where it piles up, or was not looked at."""
    landing, windy = result.landing, is_windy(wind)
    if landing is None or result.margin < COLLAPSES * own.piles_up:
        return None
    return LandingFinding(_lies(landing, result.margin, windy, floats, own), landing.slack_m, windy)


def _lies(landing: CastLanding, margin: float, windy: bool, floats: bool, own: OwnCast) -> Lies:
    if margin < own.piles_up and windy:
        return Lies.BLOWN_SHORT
    if margin < own.piles_up:
        heap = min(landing.straight, landing.opening) < HEAP
        return Lies.IN_A_HEAP if heap else Lies.SHORT
    if landing.straight >= STRAIGHT:
        return Lies.STRAIGHT
    if landing.straight >= IN_ORDER:
        return Lies.WITH_SLACK
    if windy:
        return Lies.BLOWN_BACK
    if not floats:
        return Lies.DROPPED_BACK
    if margin < EASES_FROM * own.piles_up:
        return Lies.STRAIGHT_IN_PART
    return Lies.SPRUNG_BACK


def highest_aim_m(result: CastResult, wind: Wind, own: OwnCast = UNKNOWN) -> float | None:
    """How high above the place where the fly should land a caster aims at most, in m, what opens
    into a wind; None in other air, and where it does not open."""
    landing = result.landing
    if landing is None or not is_windy(wind) or result.margin < own.piles_up:
        return None
    return ROD_TIP_M + landing.rig.length_m * tan(radians(landing.aim_deg + 1.0))


def opens_worse_than_computed(leader: Leader) -> bool:
    """Whether builders know better than the model: of a long level leader they find that it turns
    over worse."""
    level = leader.pieces[0].upper_diameter_m <= LEVEL * leader.tippet_diameter_m
    return level and leader.length_m >= LONG_M


def is_windy(wind: Wind) -> bool:
    """Whether a wind in the face makes throws unlike."""
    return air_of(wind).wind_m_s <= -CALM_M_S


def wanted_margin_band(
    leader: Leader, situation: Situation, own: OwnCast = UNKNOWN
) -> tuple[float, float]:
    """The margin wanted, lowest and highest, as the angler's own thresholds shift it."""
    school = built_by(leader)
    low, high = (school.margin if school else None) or WANTED[situation.wish]
    return low * own.piles_up / PILES_UP, high * own.slams / SLAMS


def eased_stroke(minimum: MinimumLaunchSpeed, stroke: Stroke, situation: Situation) -> Stroke:
    """The stroke as a caster would give it: softer, where a floating fly has much to spare."""
    if not situation.floats or minimum.margin(stroke) <= EASED_TO or minimum.speed_m_s is None:
        return stroke
    return stroke.model_copy(update={"speed_m_s": EASED_TO * minimum.speed_m_s})


def turnover_score(
    result: CastResult, leader: Leader, situation: Situation, own: OwnCast = UNKNOWN
) -> Score:
    """The turnover score: the margin against what is wanted, on a scale of its logarithm."""
    low, high = wanted_margin_band(leader, situation, own)
    margin, windy = result.margin, is_windy(situation.wind)
    middle = (low * high) ** 0.5
    deviation = log(margin / middle) / log(high / middle)
    edge = log(1.0 + (KNOWN_TO_IN_WIND if windy else KNOWN_TO)) / log(high / middle)
    brisk = margin < WITH_EASE * own.piles_up
    reason = _reason(result, deviation, own, brisk=brisk)
    heavy = _heaviness(leader, situation)
    if heavy > 1.0 and reason.status != "too little":
        reason, deviation = TurnoverReason.TOO_MUCH_FLY, -1.0 - log(heavy)
    lobbed = is_lobbed(leader, situation.fly) and not situation.floats
    if reason.status == "too little" and lobbed:
        reason, deviation = TurnoverReason.LOBBED, LOB
    finding = TurnoverFinding(
        reason=reason,
        margin=margin,
        minimum_m_s=result.minimum.speed_m_s,
        stroke_m_s=result.stroke.speed_m_s,
        own=own,
        windy=windy,
        brisk=brisk,
        fly_kg=situation.fly.mass_kg,
        line_weight=situation.line.weight,
        most_kg=situation.fly.mass_kg / heavy,
        landing=None
        if reason is TurnoverReason.LOBBED
        else landing_finding(result, situation.wind, situation.floats, own),
    )
    marginal = reason.status == "right" and abs(deviation) > 1.0 - edge
    return Score("turnover", finding, position_in_band(deviation), marginal)


def _heaviness(leader: Leader, situation: Situation) -> float:
    """The fly's mass over the heaviest that leaves the cast to the line: a share of the standard
    mass of its head that grows with the outfit [P]. What is short or lobbed is held against the
    most that the heaviest line casts."""
    fly, line = situation.fly, situation.line
    if not fly.is_long or is_lobbed(leader, fly):
        return fly.mass_kg / (MOST_SHARE[1] * GRAINS[14] * GRAIN_KG)
    slope = (MOST_SHARE[1] - MOST_SHARE[0]) / 8.0
    share = MOST_SHARE[0] + slope * (line.weight - 3)
    return fly.mass_kg / (share * (line.head_kg or GRAINS[line.weight] * GRAIN_KG))


def _reason(result: CastResult, deviation: float, own: OwnCast, *, brisk: bool) -> TurnoverReason:
    margin = result.margin
    if result.minimum.speed_m_s is None:
        return TurnoverReason.NEVER_OPENS
    if margin < COLLAPSES * own.piles_up:
        return TurnoverReason.PILES_UP
    if margin < own.piles_up:
        return TurnoverReason.BARELY_OPENS
    if deviation < -1.0:
        return TurnoverReason.TOO_LITTLE_TO_SPARE
    if deviation > 1.0:
        return TurnoverReason.TOO_MUCH_TO_SPARE
    return TurnoverReason.OPENS_ON_A_BRISK_STROKE if brisk else TurnoverReason.OPENS


def mono_score(ratio: float) -> Score:
    """The turnover score of a mono rig: what is thrown is the fly, and the mono follows."""
    deviation = log(CANNOT_LEAD / min(ratio, MOST_RATIO)) / log(CANNOT_LEAD / LEADS) - 1.0
    reason = MonoReason.CASTS_WELL if ratio < LEADS else MonoReason.CASTS_WITH_CARE
    if ratio > CANNOT_LEAD:
        reason = MonoReason.TOO_LIGHT
    position = position_in_band(max(-2.0, min(0.6, deviation)))
    marginal = reason.status == "right" and ratio > LEADS
    return Score("turnover", MonoFinding(reason, ratio), position, marginal)
