"""What a cast means: how much of the stroke is to spare, how the leader lands, and whether that is
what was wanted.

The reserve is the stroke's launch speed over the least that opens the leader forward, in this wind,
with this fly (``models.cast.reserve``). Its thresholds come from rigs whose outcome the trade knows
(docs/model.md lists them, those fitted and those only tested) and then from the angler's landings.
"""

from dataclasses import dataclass
from math import log

from nine_knots.core.base.measure import Measure, Standing, on_the_cord
from nine_knots.core.base.units import Units
from nine_knots.core.judge.own_cast import PILES_UP, SLAMS, UNKNOWN, OwnCast
from nine_knots.core.models.cast.reserve import Least
from nine_knots.core.models.cast.stroke import FASTEST_M_S, SPEEDS, Stroke
from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.schools import built_by
from nine_knots.core.trade.situation import Situation

LEADS, CANNOT_LEAD = 3.0, 6.0  # mono over fly by mass [P]
COLLAPSES = 0.89  # of the threshold of opening, below which a leader piles up [P, by the rigs]
WITH_EASE = 1.22  # of it, from which no brisk stroke is called for [P, by the rigs]
JUST_OPENS = 1.0  # of a reserve, below which the stroke as it is does not quite open it
KNOWN_TO = 0.04  # of a reserve: nearer to an edge it is on the brink
# Reserves from which, and to which, one eases off for a dry fly [G].
EASED_ABOVE, EASED_TO = 1.9, 1.6
LIES_STRAIGHT_M, HEAP_M = 0.12, 1.0  # of slack on the water

# The reserve wanted, lowest and highest, by what is wanted of the fly: a dry fly that is thrown
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
class Thrown:
    """A leader's least speed, the stroke it is thrown with, and how it then lies, in words, where
    that was looked at."""

    least: Least
    stroke: Stroke
    lies: str = ""

    @property
    def reserve(self) -> float:
        """The stroke's speed over the least."""
        return self.least.reserve(self.stroke)


def landing_words(slack_m: float, units: Units) -> str:
    """How a leader lies: straight, with so much slack, or in a heap."""
    if slack_m < LIES_STRAIGHT_M:
        return "lies straight"
    told = units.roughly(slack_m)
    if slack_m > HEAP_M:
        return f"lies in a heap, {told} short"
    return f"lies with about {told} of slack"


def opening_words(reserve: float, own: OwnCast = UNKNOWN) -> str:
    """How a leader opens, in a few words."""
    if reserve < COLLAPSES * own.piles_up:
        return "piles up"
    if reserve < own.piles_up:
        return "barely opens"
    if reserve < WITH_EASE * own.piles_up:
        return "opens on a brisk stroke"
    if reserve > own.slams:
        return "opens dead straight"
    return f"opens, {share_words(reserve - 1.0)} to spare"


def share_words(share: float) -> str:
    """A share of a stroke as one says it: a third, half, as much again."""
    if share > BEYOND:
        return MORE_AGAIN
    return SHARES[min(SHARES, key=lambda one: abs(log(max(share, 0.05) / one)))]


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


def wanted(leader: Leader, situation: Situation, own: OwnCast = UNKNOWN) -> tuple[float, float]:
    """The reserve wanted, lowest and highest, as the angler's own thresholds shift it."""
    school = built_by(leader)
    low, high = (school.reserve if school else None) or WANTED[situation.wish]
    return low * own.piles_up / PILES_UP, high * own.slams / SLAMS


def eased(least: Least, stroke: Stroke, situation: Situation) -> Stroke:
    """The stroke as a caster would give it: softer, where a floating fly has much to spare."""
    if not situation.floats or least.reserve(stroke) <= EASED_ABOVE or least.speed_m_s is None:
        return stroke
    return stroke.model_copy(update={"speed_m_s": EASED_TO * least.speed_m_s})


def turnover_measure(
    thrown: Thrown,
    leader: Leader,
    situation: Situation,
    units: Units,
    own: OwnCast = UNKNOWN,
) -> Measure:
    """The turnover cord: the reserve against what is wanted, on a scale of its logarithm."""
    low, high = wanted(leader, situation, own)
    reserve = thrown.reserve
    middle = (low * high) ** 0.5
    deviation = log(reserve / middle) / log(high / middle)
    standing: Standing = "right"
    if deviation < -1.0:
        standing = "too little"
    elif deviation > 1.0:
        standing = "too much"
    edge = log(1.0 + KNOWN_TO) / log(high / middle)
    return Measure(
        key="turnover",
        title="Turnover",
        asks="Does it open with your stroke, and with how much to spare?",
        standing=standing,
        marginal=standing == "right" and (abs(deviation) > 1.0 - edge or reserve < JUST_OPENS),
        position=on_the_cord(deviation),
        figure=opening_words(reserve, own),
        why=_why(thrown, standing, situation, units, own),
    )


def _why(
    thrown: Thrown, standing: Standing, situation: Situation, units: Units, own: OwnCast
) -> str:
    least, yours = thrown.least.speed_m_s, units.about_speed(thrown.stroke.speed_m_s)
    against = situation.wind.bearing == "in the face" and situation.wind.speed_m_s > 2.0
    if least is None:
        most = units.about_speed(FASTEST_M_S)
        return f"No stroke opens it{' against this wind' if against else ''}, not at {most} either."
    at = f"at {units.about_speed(least)}, {stroke_words(least, own)}"
    if standing == "too little":
        needs = share_words(1.0 / thrown.reserve - 1.0)
        harder = {
            "as much again": "twice as hard as",
            MORE_AGAIN: "more than twice as hard as",
        }.get(needs, f"{needs} harder than")
        wind = " against this wind" if against else ""
        return f"It needs a stroke {harder} yours{wind}: it opens {at}; yours leaves at {yours}."
    if thrown.reserve < JUST_OPENS:
        lies = f", and {thrown.lies}" if thrown.lies else ""
        return f"Give it a little more: it opens {at}; yours leaves at {yours}{lies}."
    lies = f" It {thrown.lies}." if thrown.lies else ""
    said = f"It just opens {at}; yours leaves at {yours}.{lies}"
    if standing == "too much":
        return f"Ease off, or lengthen or refine the leader. {said}"
    return said


def mono_measure(ratio: float) -> Measure:
    """The turnover cord of a mono rig: what is thrown is the fly, and the mono follows."""
    deviation = log(CANNOT_LEAD / ratio) / log(CANNOT_LEAD / LEADS) - 1.0
    standing: Standing = "too little" if ratio > CANNOT_LEAD else "right"
    figure = "casts well" if ratio < LEADS else "casts with care"
    if ratio > CANNOT_LEAD:
        figure = "the fly cannot lead"
    return Measure(
        key="turnover",
        title="Turnover",
        asks="Can the fly pull the mono?",
        standing=standing,
        marginal=standing == "right" and ratio > LEADS,
        position=on_the_cord(max(-2.0, min(0.6, deviation))),
        figure=figure,
        why=f"Eight metres of it weigh {ratio:.1f} times the fly; up to {LEADS:g} casts well, "
        f"beyond {CANNOT_LEAD:g} the fly cannot pull it.",
    )
