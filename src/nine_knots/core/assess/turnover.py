"""What a cast means: how much of the stroke is to spare, how the leader lands, and whether that is
what was wanted.

The margin is the stroke's launch speed over the minimum that opens the leader forward, in this
wind, with this fly (``casting.minimum_speed``). Its thresholds come from rigs whose outcome
the trade knows (docs/model.md lists them, those fitted and those only tested) and then from the
angler's landings. The margin is read first and the landing by it, so that neither can contradict
the other: what piles up does not lie in any way, and what opens does not lie in a heap.
"""

from dataclasses import dataclass
from math import log, radians, tan

from nine_knots.core.assess.own_cast import PILES_UP, SLAMS, UNKNOWN, OwnCast
from nine_knots.core.base.score import Score, Status, position_in_band
from nine_knots.core.base.units import Units
from nine_knots.core.casting.landing import CastLanding
from nine_knots.core.casting.minimum_speed import MinimumLaunchSpeed
from nine_knots.core.casting.opening import CALM_M_S
from nine_knots.core.casting.stroke import FASTEST_M_S, ROD_TIP_M, SPEEDS, Stroke
from nine_knots.core.casting.wind import air_of
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation, Wind
from nine_knots.core.schools import built_by

LEADS, CANNOT_LEAD = 3.0, 6.0  # mono over fly by mass [P]
MOST_TOLD = 1000.0  # times, beyond which it is only said to be more
COLLAPSES = 0.9  # of the threshold of opening, below which a leader piles up [P, by the rigs]
WITH_EASE = 1.1  # of it, from which no brisk stroke is called for [P, by the rigs]
KNOWN_TO, KNOWN_TO_IN_WIND = 0.04, 0.06  # of a margin: nearer to an edge it is on the brink
EASED_TO = 1.4  # margin to which one eases off for a floating fly [G]
A_TOUCH = 0.06  # of a stroke, up to which it is only to be a touch harder
LEVEL = 1.1  # times the tippet, a butt up to which a leader is level
LONG_M = 2.0  # from which a level leader is long enough to tell
LEVEL_SAID = "Most builders find that a level leader turns over worse than computed here."
STRAIGHT, IN_ORDER = 0.93, 0.70  # of its length along the cast, as a leader lies [G]
EASES_FROM = 1.25  # of the threshold of opening, from which a softer stroke still opens it
HEAP = 0.4  # of it, below which one that barely opens is a heap [G]
AIMED_LOW_M = 0.3  # above the water at the fly, below which one aims at the water

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
SHARES = {
    0.1: "a tenth",
    0.167: "a sixth",
    0.25: "a quarter",
    0.333: "a third",
    0.5: "half",
    0.667: "two thirds",
    0.75: "three quarters",
    1.0: "as much again",
}
MORE_AGAIN = "more than as much again"
BEYOND = 1.3  # times over or under, beyond which a share is told as more than twice
A_STROKE = {"easy": "an easy", "normal": "a normal", "hard": "a hard"}


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


def landing_words(
    result: CastResult, wind: Wind, floats: bool, units: Units, own: OwnCast = UNKNOWN
) -> str:
    """How a leader lies, in a few words; nothing where it piles up, or was not looked at. Into a
    wind the model knows no more than how, not how far."""
    landing = result.landing
    if landing is None or result.margin < COLLAPSES * own.piles_up:
        return ""
    short = units.roughly(landing.slack_m)
    if result.margin < own.piles_up and _windy(wind):
        return "falls short, blown back"
    if result.margin < own.piles_up:
        lies = min(landing.straight, landing.opening)
        return f"lies in a heap, {short} short" if lies < HEAP else f"lies {short} short"
    if landing.straight >= STRAIGHT:
        return "lies straight"
    if landing.straight >= IN_ORDER:
        return "lies with some slack" if _windy(wind) else f"lies with about {short} of slack"
    if _windy(wind):
        return "is blown back as it falls"
    if not floats:
        return f"drops back about {short} as it lands"
    if result.margin < EASES_FROM * own.piles_up:
        return f"straightens only in part, about {short} short"
    return f"springs back about {short}: ease off"


def aim_words(result: CastResult, wind: Wind, units: Units, own: OwnCast = UNKNOWN) -> str:
    """How low a caster aims what opens into a wind, in a sentence; nothing in other air."""
    landing = result.landing
    if landing is None or not _windy(wind) or result.margin < own.piles_up:
        return ""
    height_m = ROD_TIP_M + landing.rig.length_m * tan(radians(landing.aim_deg + 1.0))
    if height_m < AIMED_LOW_M:
        return "Aim it at the water."
    return f"Aim no higher than about {units.roughly(height_m)} above where the fly should land."


def trade_words(leader: Leader) -> str:
    """Where builders know better than the model, in a sentence; nothing where they agree."""
    level = leader.pieces[0].upper_diameter_m <= LEVEL * leader.tippet_diameter_m
    return LEVEL_SAID if level and leader.length_m >= LONG_M else ""


def _windy(wind: Wind) -> bool:
    return air_of(wind).wind_m_s <= -CALM_M_S


def opening_words(margin: float, own: OwnCast = UNKNOWN, about: bool = False) -> str:
    """How a leader opens, in a few words; ``about`` where wind makes the margin less sure."""
    if margin < COLLAPSES * own.piles_up:
        return "piles up"
    if margin < own.piles_up:
        return "barely opens"
    if margin < WITH_EASE * own.piles_up:
        return "opens on a brisk stroke"
    return f"opens, {'about ' if about else ''}{share_words(margin - 1.0)} to spare"


def share_words(share: float) -> str:
    """A share of a stroke as one says it: a third, half, as much again."""
    if share > BEYOND:
        return MORE_AGAIN
    return SHARES[min(SHARES, key=lambda value: abs(log(max(share, 0.05) / value)))]


def stroke_words(speed_m_s: float, own: OwnCast = UNKNOWN) -> str:
    """A launch speed as a stroke of the angler's."""
    by_word = {word: speed * own.speed_factor for word, speed in SPEEDS.items()}
    if speed_m_s < 0.95 * by_word["easy"]:
        return "less than an easy stroke"
    before = ""
    for word, named in A_STROKE.items():
        if speed_m_s < 0.95 * by_word[word]:
            return f"between {before} and {named} stroke"
        if speed_m_s <= 1.05 * by_word[word]:
            return f"{named} stroke"
        before = named
    return (
        "a double haul" if speed_m_s <= 1.05 * by_word["double haul"] else "more than a double haul"
    )


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
    result: CastResult,
    leader: Leader,
    situation: Situation,
    units: Units,
    own: OwnCast = UNKNOWN,
) -> Score:
    """The turnover cord: the margin against what is wanted, on a scale of its logarithm."""
    low, high = wanted_margin_band(leader, situation, own)
    margin, windy = result.margin, _windy(situation.wind)
    middle = (low * high) ** 0.5
    deviation = log(margin / middle) / log(high / middle)
    status: Status = "right"
    if deviation < -1.0:
        status = "too little"
    elif deviation > 1.0:
        status = "too much"
    edge = log(1.0 + (KNOWN_TO_IN_WIND if windy else KNOWN_TO)) / log(high / middle)
    return Score(
        key="turnover",
        title="Turnover",
        question="Does it open with your stroke, and with how much to spare?",
        status=status,
        marginal=status == "right" and abs(deviation) > 1.0 - edge,
        position=position_in_band(deviation),
        figure=opening_words(margin, own, windy),
        why=_why(result, status, situation, units, own),
    )


def _why(
    result: CastResult, status: Status, situation: Situation, units: Units, own: OwnCast
) -> str:
    minimum, yours = result.minimum.speed_m_s, units.about_speed(result.stroke.speed_m_s)
    wind = " against this wind" if _windy(situation.wind) else ""
    if minimum is None:
        most = units.about_speed(FASTEST_M_S)
        return f"No stroke opens it{wind}, not even one of {most}."
    at = f"at {units.about_speed(minimum)}, {stroke_words(minimum, own)}"
    lies = landing_words(result, situation.wind, situation.floats, units, own)
    if status == "too little":
        more = 1.0 / result.margin - 1.0
        needs = share_words(more)
        harder = {
            "as much again": "twice as hard as",
            MORE_AGAIN: "more than twice as hard as",
        }.get(needs, f"{needs if more > A_TOUCH else 'a touch'} harder than")
        told = f" It {lies}." if lies else ""
        return (
            f"It needs a stroke {harder} yours{wind}: it opens {at}; yours launches at "
            f"{yours}.{told}"
        )
    said = f"It just opens {at}; yours launches at {yours}." + (f" It {lies}." if lies else "")
    if status == "too much":
        return f"Ease off, or use a longer or finer leader. {said}"
    return said


def mono_score(ratio: float) -> Score:
    """The turnover cord of a mono rig: what is thrown is the fly, and the mono follows."""
    deviation = log(CANNOT_LEAD / min(ratio, MOST_TOLD)) / log(CANNOT_LEAD / LEADS) - 1.0
    status: Status = "too little" if ratio > CANNOT_LEAD else "right"
    figure = "casts well" if ratio < LEADS else "casts with care"
    times = f"{ratio:.1f}" if ratio < MOST_TOLD else f"more than {MOST_TOLD:g}"
    if ratio > CANNOT_LEAD:
        figure = "the fly can't pull it"
    return Score(
        key="turnover",
        title="Turnover",
        question="Can the fly pull the mono?",
        status=status,
        marginal=status == "right" and ratio > LEADS,
        position=position_in_band(max(-2.0, min(0.6, deviation))),
        figure=figure,
        why=f"Eight metres of it weigh {times} times the fly. Up to {LEADS:g} it casts well; "
        f"above {CANNOT_LEAD:g} the fly can't pull it.",
    )
