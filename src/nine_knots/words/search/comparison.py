"""How one found leader is beside another, wish by wish, in an angler's units."""

from collections.abc import Callable

from nine_knots.core.base.prose import count_words
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.search.demands import WISHES, Wish
from nine_knots.core.search.evaluated import SEEN, Evaluated
from nine_knots.words.scores.reading import score_figure
from nine_knots.words.scores.turnover import share_words

SAME_LENGTH_M, SAME_ACROSS_M = 0.01, 0.1 * THOU_M  # which no angler tells apart
Said = Callable[[Evaluated, Evaluated, Units], str]


def compare(evaluated: Evaluated, other: Evaluated, units: Units, *, better: bool) -> list[str]:
    """Where one is noticeably better (or worse) than another, a clause for each wish."""
    steps = (evaluated.axes - other.axes) / SEEN
    return [
        SAID[wish](evaluated, other, units)
        for wish, step in zip(WISHES, steps, strict=True)
        if (step >= 1.0 if better else step <= -1.0)
    ]


def wish_figure(evaluated: Evaluated, key: str, units: Units) -> str:
    """What one of its measures says, in a few words; nothing where the models do not follow it."""
    return next(
        (score_figure(score, units) for score in evaluated.measures if score.key == key), ""
    )


def to_tippet(evaluated: Evaluated, units: Units) -> str:
    """``9 ft to .006 in · 5X``."""
    leader = evaluated.table.leader
    tippet = units.tippet(leader.tippet_diameter_m).text
    return f"{units.length(leader.length_m).text} to {tippet}"


def _easy(evaluated: Evaluated, other: Evaluated, units: Units) -> str:
    if evaluated.speed_margin is None or other.speed_margin is None:  # one is thrown by its fly
        return _not(
            wish_figure(evaluated, "turnover", units), wish_figure(other, "turnover", units)
        )
    times = evaluated.speed_margin / other.speed_margin
    if times > 1.0:
        return f"opens on a stroke {share_words(1.0 - 1.0 / times)} softer"
    return f"needs a stroke {share_words(1.0 / times - 1.0)} harder"


def _fishing(evaluated: Evaluated, other: Evaluated, units: Units) -> str:
    for key in ("drift", "depth"):
        mine, its = wish_figure(evaluated, key, units), wish_figure(other, key, units)
        if mine and its and mine != its:
            return f"is {_not(mine, its)}" if mine.startswith("free") else _not(mine, its)
    return (
        "fishes nearer the middle of its band"
        if evaluated.by("fishing well") > other.by("fishing well")
        else "fishes nearer the edge of its band"
    )


def _not(mine: str, its: str) -> str:
    """``fishes at 18 in, not 3 ft``: words that both begin with are said once."""
    words, others = mine.split(), its.split()
    same = 0
    while same < min(len(words), len(others)) - 1 and words[same] == others[same]:
        same += 1
    return f"{mine}, not {' '.join(others[same:])}" if same else f"{mine} (the other {its})"


def _strong(evaluated: Evaluated, other: Evaluated, units: Units) -> str:
    return _not(wish_figure(evaluated, "hold", units), wish_figure(other, "hold", units))


def _fine(evaluated: Evaluated, other: Evaluated, units: Units) -> str:
    """``is longer and finer``; what differs in a direction the wish does not count is not named."""
    mine, its = evaluated.table.leader, other.table.leader
    sign = 1.0 if evaluated.by("long and fine") > other.by("long and fine") else -1.0
    longer = sign * (mine.length_m - its.length_m) > SAME_LENGTH_M
    finer = sign * (its.tippet_diameter_m - mine.tippet_diameter_m) > SAME_ACROSS_M
    named = (("longer", "finer") if sign > 0.0 else ("shorter", "stouter"), (longer, finer))
    words = " and ".join(word for word, is_so in zip(*named, strict=True) if is_so)
    return f"is {words}: {to_tippet(evaluated, units)}, not {to_tippet(other, units)}"


def _knots(evaluated: Evaluated, other: Evaluated, _units: Units) -> str:
    more = evaluated.table.knots - other.table.knots
    if more:
        which = "more" if more > 0 else "fewer"
        return f"has {count_words(abs(more), 'knot')} {which}"
    return "takes more material" if evaluated.table.few < other.table.few else "takes less material"


SAID: dict[Wish, Said] = {
    "easy to throw": _easy,
    "fishing well": _fishing,
    "strong": _strong,
    "long and fine": _fine,
    "few knots": _knots,
}
