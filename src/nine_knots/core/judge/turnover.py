"""What a cast means: how the leader opens, how it lands, and whether that is what was wanted.

Arrival is the fly's speed as the leader first passes four fifths straight; it tells leaders apart
where kink angles, touchdown order and landing speed are noise. It is known to a fifth or so.
"""

from dataclasses import dataclass
from math import log

from nine_knots.core.base.measure import Measure, Standing, on_the_cord
from nine_knots.core.base.units import Units
from nine_knots.core.judge.own_cast import PILES_UP, SLAMS, UNKNOWN, OwnCast
from nine_knots.core.models.cast.casting import Flight
from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.schools import built_by
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.tackle import Fly

COLLAPSED = 0.7  # straightness below which a leader did not open
UNSURE = 0.2  # of an arrival
LIGHT_FLY_KG = 15e-6  # a fly lighter than this is flung about by the last inch: no slam in it
LEADS, CANNOT_LEAD = 3.0, 6.0  # mono over fly by mass [P]

# Arrival wanted, in m/s, by what is wanted of the fly [G]: a dry fly wants slack, a streamer a
# straight leader; a school that is built to land soft is judged by its own aim.
WANTED = {
    "drift on top": (2.5, 18.0),
    "hang in the film": (2.5, 18.0),
    "drift deep": (2.5, 25.0),
    "swing": (4.0, 25.0),
    "strip": (4.0, 25.0),
    "lead and drop": (4.0, 20.0),
}


@dataclass(frozen=True, slots=True)
class Opening:
    """A cast in words, with what stands behind them."""

    words: str
    landing: str
    opened: bool


def opening_of(flight: Flight, fly: Fly, units: Units, own: OwnCast = UNKNOWN) -> Opening:
    """How the leader opened and how it lies, in the trade's words."""
    arrival = flight.arrival_m_s
    if arrival is None or flight.straightness < COLLAPSED:
        words = "piles up" if flight.straightness < COLLAPSED else "hardly opens"
        return Opening(words=words, landing=_landing(flight, units), opened=False)
    if arrival < own.piles_up_m_s:
        words = "barely opens"
    elif arrival < own.soft_m_s:
        words = "opens softly"
    elif arrival < own.firm_m_s or fly.mass_kg < LIGHT_FLY_KG:
        words = "opens fully"
    else:
        words = "opens firmly" if arrival < own.slams_m_s else "slams"
    return Opening(words=words, landing=_landing(flight, units), opened=True)


def _landing(flight: Flight, units: Units) -> str:
    slack_m = max(0.0, flight.slack_m)
    if slack_m < 0.12:
        return "lies straight"
    # a hand's breadth is as fine as it is known
    step = 0.1 if units.system == "metric" else 0.1016
    return f"about {units.length(max(step, round(slack_m / step) * step)).text} of slack"


def wanted_m_s(leader: Leader, situation: Situation, own: OwnCast = UNKNOWN) -> tuple[float, float]:
    """The arrival wanted, lowest and highest, in m/s, as the angler's own thresholds shift it."""
    school = built_by(leader)
    own_aim = school.arrival_m_s if school is not None else None
    low, high = own_aim or WANTED[situation.wish]
    return low * own.piles_up_m_s / PILES_UP, high * own.slams_m_s / SLAMS


def turnover_measure(
    flight: Flight,
    leader: Leader,
    situation: Situation,
    units: Units,
    own: OwnCast = UNKNOWN,
) -> Measure:
    """The turnover cord: arrival against what is wanted of the fly, on a scale of its logarithm."""
    low, high = wanted_m_s(leader, situation, own)
    opening = opening_of(flight, situation.fly, units, own)
    middle = (low * high) ** 0.5
    arrival = flight.arrival_m_s if opening.opened else None
    deviation = -2.0
    if arrival is not None:
        if situation.fly.mass_kg < LIGHT_FLY_KG:
            arrival = min(arrival, 0.9 * high)
        deviation = log(arrival / middle) / log(high / middle)
    standing: Standing = "right"
    if deviation < -1.0:
        standing = "too little"
    elif deviation > 1.0:
        standing = "too much"
    edge = log(1.0 + UNSURE) / log(high / middle)
    return Measure(
        key="turnover",
        title="Turnover",
        asks="Does it open, and how hard?",
        standing=standing,
        marginal=standing == "right" and abs(deviation) > 1.0 - edge,
        position=on_the_cord(deviation),
        figure=opening.words,
        why=_why(flight, opening, standing, situation),
    )


def _why(flight: Flight, opening: Opening, standing: Standing, situation: Situation) -> str:
    lies = f"It {opening.landing}" if opening.landing.startswith("lies") else opening.landing
    said = f"{lies[0].upper()}{lies[1:]} on the water."
    if standing == "too little":
        lost = "Less reaches the fly than it needs."
        if situation.wind.bearing == "in the face" and situation.wind.speed_m_s > 2.0:
            lost = "The wind takes what should reach the fly."
        return f"{lost} {said}"
    if standing == "too much":
        return f"More reaches the fly than it needs. {said}"
    return f"{said} At best {flight.straightness:.0%} straight in the air."


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
