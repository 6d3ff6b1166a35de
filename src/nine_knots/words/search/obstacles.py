"""Where nothing does all that is asked: the nearest, and what would have to give, in words."""

from math import exp

from nine_knots.core.base.prose import count_words, join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.need import mass_held_kg
from nine_knots.core.domain.situation import Situation
from nine_knots.core.search.evaluated import ON_THE_EDGE, SLOWER, Evaluated
from nine_knots.core.search.nearest import Demand, Nearest
from nine_knots.words.scores.reading import score_figure
from nine_knots.words.scores.turnover import share_words
from nine_knots.words.search.comparison import wish_figure


def nearest_words(nearest: Nearest, day: Situation, units: Units) -> tuple[str, ...]:
    """What is missed by the nearest, and with which one demand less it is done."""
    missed = missed_by(nearest, units)
    said = [f"Nothing your spools can make meets everything you ask for. The closest {missed}."]
    for number, give in enumerate(nearest.gives):
        words = _without(give.demand, give.one, day, units)
        said.append(
            f"One demand is in the way: {words}, and it works." if number == 0 else f"Or {words}."
        )
    if not nearest.gives:
        said.append("No single demand is in the way: at least two would have to give.")
    return tuple(said)


def not_yet(nearest: Nearest, units: Units) -> str:
    """The same while the search goes on."""
    return f"None yet meets everything you ask for; the closest so far {missed_by(nearest, units)}."


def missed_by(nearest: Nearest, units: Units) -> str:
    """What the nearest misses: ``has one knot and fishes at 2 ft``."""
    return join_words([_missed(demand, nearest.one, units) for demand in nearest.misses])


def _missed(demand: Demand, evaluated: Evaluated, units: Units) -> str:
    if demand == "opens":
        if evaluated.short["opens"] == ON_THE_EDGE:
            return "opens, but not with a slower cast or a little more wind"
        return wish_figure(evaluated, "turnover", units)
    if demand == "holds":
        return wish_figure(evaluated, "hold", units).replace("breaks", "breaks already")
    if demand == "fishes":
        return f"doesn't fish as it should ({_fishes(evaluated, units)})"
    if demand == "knots":
        return f"has {count_words(evaluated.table.knots, 'knot')}"
    return f"is {units.length(evaluated.table.leader.length_m).text} long"


def _fishes(evaluated: Evaluated, units: Units) -> str:
    """What is wrong with how it fishes: ``free for 0.5 s``."""
    return join_words(
        [
            score_figure(m, units)
            for m in evaluated.measures
            if m.key in ("depth", "drift") and m.status != "right"
        ]
    )


def _without(demand: Demand, evaluated: Evaluated, day: Situation, units: Units) -> str:
    """The demand with as much less of it as would do."""
    if demand == "opens":
        if evaluated.short["opens"] == ON_THE_EDGE:
            return "cast it as well as you can, in no more wind than this"
        if evaluated.margin > 0.0:
            return "throw it softer than this stroke"
        return f"throw it {share_words(exp(-evaluated.margin) / SLOWER - 1.0)} harder"
    if demand == "holds":
        most = units.fish_mass(mass_held_kg(evaluated.table.hold_times, day)).text
        return f"ask it to hold {most} and no more"
    if demand == "fishes":
        return f"let it fish as it does ({_fishes(evaluated, units)})"
    if demand == "knots":
        return f"allow {count_words(evaluated.table.knots, 'knot')}"
    return f"have it {units.length(evaluated.table.leader.length_m).text} long"
