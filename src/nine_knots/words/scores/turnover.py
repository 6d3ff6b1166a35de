"""How a leader opens and lies, in words: the margin first, then the landing by it."""

from math import log

from nine_knots.core.assess.own_cast import UNKNOWN, OwnCast
from nine_knots.core.assess.turnover import (
    CANNOT_LEAD,
    LEADS,
    MOST_RATIO,
    LandingFinding,
    Lies,
    MonoFinding,
    MonoReason,
    TurnoverFinding,
    TurnoverReason,
)
from nine_knots.core.base.units import Units
from nine_knots.core.casting.stroke import SPEEDS, SpeedWord

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
A_TOUCH = 0.06  # of a stroke, up to which it is only to be a touch harder
AIMED_LOW_M = 0.3  # above the water at the fly, below which one aims at the water
A_STROKE: dict[SpeedWord, str] = {"easy": "an easy", "normal": "a normal", "hard": "a hard"}
NEVER = "As it is computed here, no stroke opens it"
AGAINST = "Anglers drive such a fly low and hard, on a haul, or cast it across the wind."
SMALLER = "Use a smaller fly, or a shorter, stouter leader."
LOBBED = (
    "So much weight is not cast as a tight loop: let the water draw it tight and swing it over, "
    "open and slow. A lob is not computed here."
)
LEVEL = "Most builders find that a level leader turns over worse than computed here."
MONO = {
    MonoReason.CASTS_WELL: "casts well",
    MonoReason.CASTS_WITH_CARE: "casts with care",
    MonoReason.TOO_LIGHT: "the fly can't pull it",
}


def turnover_figure(found: TurnoverFinding) -> str:
    """How a leader opens, in a few words."""
    if found.reason in (TurnoverReason.NEVER_OPENS, TurnoverReason.PILES_UP):
        return "piles up"
    if found.reason is TurnoverReason.BARELY_OPENS:
        return "barely opens"
    if found.reason is TurnoverReason.LOBBED:
        return "lobs over"
    if found.reason is TurnoverReason.TOO_MUCH_FLY:
        return "too much fly for this line"
    if found.brisk:
        return "opens on a brisk stroke"
    return f"opens, {'about ' if found.windy else ''}{share_words(found.margin - 1.0)} to spare"


def turnover_why(found: TurnoverFinding, units: Units) -> str:
    """At what speed it opens, what the stroke launches at, and how it then lies."""
    if found.reason is TurnoverReason.LOBBED:
        return LOBBED
    if found.reason is TurnoverReason.TOO_MUCH_FLY:
        fly, most = units.fly_mass(found.fly_kg).text, units.fly_mass(found.most_kg).text
        return (
            f"{fly} leads a {found.line_weight}-weight line: the cast collapses or the fly drops "
            f"on you. Use a heavier outfit, or a fly of up to {most}."
        )
    minimum, yours = found.minimum_m_s, units.about_speed(found.stroke_m_s)
    wind = " against this wind" if found.windy else ""
    if minimum is None:
        return f"{NEVER}{wind}. {AGAINST if found.windy else SMALLER}"
    alike = units.about_speed(minimum) == yours  # as they are rounded
    at = f"at {units.about_speed(minimum)}, {stroke_words(minimum, found.own)}"
    lies = landing_words(found.landing, units)
    lies = f" It {lies}." if lies else ""
    if found.windy and minimum > SPEEDS["double haul"] * found.own.speed_factor:
        return f"It opens{wind} only {at}. {AGAINST}"
    if found.reason.status == "too little":
        more = 1.0 / found.margin - 1.0
        needs = share_words(more)
        harder = {
            "as much again": "twice as hard as",
            MORE_AGAIN: "more than twice as hard as",
        }.get(needs, f"{needs if more > A_TOUCH else 'a touch'} harder than")
        launches = "a little above yours" if alike else f"yours launches at {yours}"
        return f"It needs a stroke {harder} yours{wind}: it opens {at}; {launches}.{lies}"
    launches = "that is yours, with nothing to spare" if alike else f"yours launches at {yours}"
    said = f"It just opens {at}; {launches}.{lies}"
    if found.reason.status == "too much":
        return f"Ease off, or use a longer or finer leader. {said}"
    return said


def mono_why(found: MonoFinding) -> str:
    """The mono's weight beside the fly's."""
    times = f"{found.ratio:.1f}" if found.ratio < MOST_RATIO else f"more than {MOST_RATIO:g}"
    return (
        f"Eight metres of it weigh {times} times the fly. Up to {LEADS:g} it casts well; "
        f"above {CANNOT_LEAD:g} the fly can't pull it."
    )


def landing_words(found: LandingFinding | None, units: Units) -> str:
    """How a leader lies, in a few words; nothing where it piles up, or was not looked at."""
    if found is None:
        return ""
    short = units.roughly(found.slack_m)
    slack = "lies with some slack" if found.windy else f"lies with about {short} of slack"
    return {
        Lies.IN_A_HEAP: f"lies in a heap, {short} short",
        Lies.SHORT: f"lies {short} short",
        Lies.BLOWN_SHORT: "falls short, blown back",
        Lies.STRAIGHT: "lies straight",
        Lies.WITH_SLACK: slack,
        Lies.BLOWN_BACK: "is blown back as it falls",
        Lies.DROPPED_BACK: f"drops back about {short} as it lands",
        Lies.STRAIGHT_IN_PART: f"straightens only in part, about {short} short",
        Lies.SPRUNG_BACK: f"springs back about {short}: ease off",
    }[found.lies]


def aim_words(highest_m: float | None, units: Units) -> str:
    """How low a caster aims what opens into a wind, in a sentence; nothing in other air."""
    if highest_m is None:
        return ""
    if highest_m < AIMED_LOW_M:
        return "Aim it at the water."
    return f"Aim no higher than about {units.roughly(highest_m)} above where the fly should land."


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
