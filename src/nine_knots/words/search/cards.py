"""One found leader as a card: its drawing and scores, why this one, what it gives up, its nearest
school."""

from dataclasses import dataclass

from nine_knots.core.assess.usual_length import unusual_length
from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools import school_of
from nine_knots.core.search.demands import WISHES, Demands, Wish
from nine_knots.core.search.diverse_pick import Pick
from nine_knots.core.search.evaluated import Evaluated
from nine_knots.core.search.nearest_school import SchoolNeighbours
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.rig import HungItem, items_on
from nine_knots.words.schools_today import leader_facts
from nine_knots.words.scores.reading import ScoreReading, score_readings
from nine_knots.words.search.comparison import compare, to_tippet, wish_figure
from nine_knots.words.usual_length import unusual_length_words

BEST: dict[Wish, str] = {
    "easy to throw": "is as easy to throw as any",
    "fishing well": "fishes as well as any",
    "strong": "is as strong as any",
    "long and fine": "is as long and fine as any",
    "few knots": "has as few knots as any",
}
SURE = 0.995


@dataclass(frozen=True, slots=True)
class FoundCard:
    """A leader with what is said of it; ``chance`` is empty until it is worked out."""

    title: str
    facts: str
    leader: Leader
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    measures: tuple[ScoreReading, ...]
    why: str
    gives_up: str
    nearest_school: str
    chance: str = ""


def card_of(
    chosen: Pick,
    dozen: tuple[Pick, ...],
    demands: Demands,
    neighbours: SchoolNeighbours,
    units: Units,
    day: Situation,
) -> FoundCard:
    """The card of one of the dozen, the balanced one being the first of them."""
    why, gives_up = _why(chosen, dozen, demands, units), _gives_up(chosen, dozen, demands, units)
    if not demands.asks_length:
        how_long = unusual_length_words(
            unusual_length(chosen.one.table.leader.length_m, day), units
        )
        gives_up = f"{gives_up} {how_long}".rstrip()
    return _card(chosen.one, neighbours, units, why, gives_up)


def nearest_card(
    evaluated: Evaluated, missed: str, neighbours: SchoolNeighbours, units: Units
) -> FoundCard:
    """The card of what comes nearest, where nothing does all that is asked."""
    return _card(
        evaluated, neighbours, units, "It comes closest to what you ask for.", f"It {missed}."
    )


def _card(
    evaluated: Evaluated, neighbours: SchoolNeighbours, units: Units, why: str, gives_up: str
) -> FoundCard:
    leader = evaluated.table.leader
    return FoundCard(
        title=f"{_title(evaluated)}, {units.length(leader.length_m).text}",
        facts=f"{leader_facts(leader, units)}, {count_words(evaluated.table.knots, 'knot')}",
        leader=leader,
        outline=outline(leader),
        hung=items_on(leader),
        measures=score_readings(evaluated.measures, units),
        why=why,
        gives_up=gives_up,
        nearest_school=_nearest_school(evaluated, neighbours),
    )


def _title(evaluated: Evaluated) -> str:
    """By its school, or by what it is made of."""
    pieces = evaluated.table.leader.pieces
    school = evaluated.table.leader.school
    if school:
        return school_of(school).title + ("" if evaluated.origin else ", altered")
    if pieces[0].form == "tapered":
        return "Bought taper" if len(pieces) == 1 else "Bought taper, added to"
    return capitalised(
        f"{count_words(len(pieces), 'piece')}".replace("pieces", "pieces, own taper")
    )


def chance_words(chance: float) -> str:
    """``Opens 93 times in 100.``"""
    if chance > SURE:
        return "Opens practically every time."
    return f"Opens {round(100 * chance)} times in 100."


def _why(chosen: Pick, dozen: tuple[Pick, ...], demands: Demands, units: Units) -> str:
    first = ", ".join(demands.wishes) if demands.wishes else "all alike"
    if chosen is dozen[0]:
        best = [BEST[wish] for wish in chosen.best_at if wish in demands.wishes]
        more = f" It {join_words(best)}." if best else ""
        return f"The balanced one, weighted by what you prefer ({first}).{more}"
    best = [_best(chosen.one, wish, units) for wish in WISHES if wish in chosen.best_at]
    if best:
        return f"It {join_words(best)}."
    gains = compare(chosen.one, dozen[0].one, units, better=True)
    if gains:
        return f"Compared with the balanced one, it {'; '.join(gains)}."
    return "Much like the balanced one, tied differently."


def _best(evaluated: Evaluated, wish: Wish, units: Units) -> str:
    of_it = {
        "easy to throw": wish_figure(evaluated, "turnover", units),
        "fishing well": wish_figure(evaluated, "drift", units)
        or wish_figure(evaluated, "depth", units),
        "strong": wish_figure(evaluated, "hold", units),
        "long and fine": to_tippet(evaluated, units),
        "few knots": count_words(evaluated.table.knots, "knot"),
    }[wish]
    return f"{BEST[wish]} ({of_it})"


def _gives_up(chosen: Pick, dozen: tuple[Pick, ...], demands: Demands, units: Units) -> str:
    if chosen is not dozen[0]:
        losses = compare(chosen.one, dozen[0].one, units, better=False)
        if not losses:
            return "Nothing noticeable compared with the balanced one."
        return f"Compared with the balanced one, it {'; '.join(losses)}."
    said = []
    for wish in demands.wishes or WISHES[:1]:
        most = max(dozen, key=lambda other: other.one.by(wish))
        losses = compare(chosen.one, most.one, units, better=False)
        if wish not in chosen.best_at and losses:
            said.append(f"compared with number {dozen.index(most) + 1} it {'; '.join(losses)}")
    if not said:
        return "It gives up nothing you asked for."
    return " ".join(f"{capitalised(sentence)}." for sentence in said)


def _nearest_school(evaluated: Evaluated, neighbours: SchoolNeighbours) -> str:
    leader = evaluated.table.leader
    if leader.school:
        title = school_of(leader.school).title
        return f"Built by {title}." if evaluated.origin else f"{title}, modified."
    key, alike = neighbours.of(leader)
    if key is None:
        return "No school builds one like it today."
    how = "Much like" if alike else "Nearest to"
    return f"{how} {school_of(key).title}."
