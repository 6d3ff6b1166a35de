"""What a cast means: how the leader opens, how it lands, and whether that is what was wanted.

Arrival is the fly's speed as the leader first passes four fifths straight; it tells leaders apart
where kink angles, touchdown order and landing speed are noise. It is known to a fifth or so.
"""

from dataclasses import dataclass
from math import log

from pydantic import Field

from nine_knots.core.cast.own_cast import PILES_UP, SLAMS, UNKNOWN, OwnCast
from nine_knots.core.cast.throw import Air, Flight
from nine_knots.core.cords import Measure, Standing, squash
from nine_knots.core.leader import Leader
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.situation import Situation, Wind
from nine_knots.core.tackle import Fly
from nine_knots.core.units import Units
from nine_knots.core.values import Frozen

COLLAPSED = 0.7  # straightness below which a leader did not open
UNSURE = 0.2  # of an arrival
LIGHT_FLY_KG = 15e-6  # a fly lighter than this is flung about by the last inch: no slam in it
CAST_M = 8.0  # of mono in the air on a usual cast
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
WANTED_BY_SCHOOL = {"compound-slack": (2.0, 8.0)}
# The part of a wind that blows along the cast, from behind positive: a caster faces upstream more
# often than down, and a wind across counts for nothing in a vertical plane [G].
GUST_AT_S = 0.3  # after the stop of the rod: the loop is on its way
ALONG = {"behind": 1.0, "in the face": -1.0, "upstream": 0.5, "downstream": -0.5, "across": 0.0}


class Gust(Frozen):
    """A gust along the cast, from behind positive, that comes in while the line unrolls."""

    speed_m_s: float = Field(default=0.0, ge=-20.0, le=20.0)


STEADY = Gust()


def air_of(wind: Wind, gust: Gust = STEADY) -> Air:
    """The wind of the day along the cast, and a gust on top of it."""
    return Air(
        wind_m_s=ALONG[wind.bearing] * wind.speed_m_s,
        gust_m_s=gust.speed_m_s,
        gust_at_s=GUST_AT_S,
    )


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


def mass_ratio(leader: Leader, fly: Fly) -> float | None:
    """Mono in the air over flies and shot, by mass, where no fly line is cast; None elsewhere."""
    school = SCHOOLS.get(leader.school or "")
    if school is None or school.line_leads:
        return None
    left, mass = CAST_M, 0.0
    for piece in reversed(leader.pieces):
        used = min(left, piece.length_m)
        mass += used * piece.strand.mass_kg_m(piece.lower_diameter_m)
        left -= used
    flies_kg = fly.mass_kg + sum(other.mass_kg for _, other in leader.flies_above)
    shot_kg = sum(thing.mass_kg for thing in leader.attachments)
    return mass / (flies_kg + shot_kg)


def wanted_m_s(leader: Leader, situation: Situation, own: OwnCast = UNKNOWN) -> tuple[float, float]:
    """The arrival wanted, lowest and highest, in m/s, as the angler's own thresholds shift it."""
    low, high = WANTED_BY_SCHOOL.get(leader.school or "", WANTED[situation.wish])
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
        position=squash(deviation),
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
        position=squash(max(-2.0, min(0.6, deviation))),
        figure=figure,
        why=f"Eight metres of it weigh {ratio:.1f} times the fly; up to {LEADS:g} casts well, "
        f"beyond {CANNOT_LEAD:g} the fly cannot pull it.",
    )
