"""A school on a day, as a card: its leader drawn, its cords, why it fits or what it wants."""

from dataclasses import dataclass

from nine_knots.core.base.prose import capitalised, join_words
from nine_knots.core.base.score import Score
from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader import Leader
from nine_knots.core.propose.shortages import Wanted
from nine_knots.core.schools import school_of
from nine_knots.core.search.schools_today import (
    GROUPS,
    Fails,
    Fits,
    Group,
    NotJudged,
    SchoolToday,
    WouldDo,
)
from nine_knots.words.adjustments import done_words
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.rig import HungItem, items_on
from nine_knots.words.scores.reading import (
    ScoreReading,
    score_figure,
    score_readings,
    score_title,
    score_why,
)
from nine_knots.words.shortages import nearest_words, wanted_words
from nine_knots.words.usual_length import unusual_length_words


@dataclass(frozen=True, slots=True)
class TodayCard:
    """One school; without a leader where it was not built. ``facts`` are length, pieces, tippet."""

    key: str
    title: str
    group: Group
    words: str
    facts: str
    leader: Leader | None
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    measures: tuple[ScoreReading, ...]
    off: float
    lacks: tuple[str, ...]
    buys: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class TodayReading:
    """All schools in their order, and the one spool that most of them lack, or the least to buy."""

    cards: tuple[TodayCard, ...]
    buy: str


def card_of(found: SchoolToday, units: Units) -> TodayCard:
    """The card of a school that was tried."""
    leader = found.design.leader if found.design else None
    return TodayCard(
        key=found.key,
        title=school_of(found.key).title,
        group=found.group,
        words=outcome_words(found, units),
        facts=leader_facts(leader, units) if leader else "",
        leader=leader,
        outline=outline(leader) if leader else (),
        hung=items_on(leader) if leader else (),
        measures=score_readings(found.measures, units),
        off=found.off,
        lacks=tuple(wanted_words(wanted, units) for wanted in found.lacks),
        buys=tuple(wanted_words(wanted, units) for wanted in found.buys),
    )


def outcome_words(found: SchoolToday, units: Units) -> str:
    """Why a school fits, with what it would do, or why it is not for this day, in sentences."""
    match found.outcome:
        case Fits():
            said = _fits(found.outcome, found.measures, units)
        case WouldDo():
            said = _would_do(found.outcome, units)
        case Fails():
            said = _fails(found.outcome, units)
        case NotJudged():
            said = found.outcome.text
    return capitalised(said).rstrip(".") + "."


def _fits(fits: Fits, measures: tuple[Score, ...], units: Units) -> str:
    """How it opens, what of it is only just right, and what stands in for a spool."""
    said = f"{capitalised(score_figure(measures[0], units))}."
    edge = next((score for score in measures[1:] if score.marginal), None)
    if edge is not None:
        said += f" Only just: {score_title(edge).lower()}, {score_figure(edge, units)}."
    miss = fits.shortage
    if miss is not None:
        wanted, nearest = wanted_words(miss.wanted, units), nearest_words(miss, units)
        if miss.merged:
            said += f" Of {wanted} it has only {nearest}."
        else:
            said += f" The shelf lacks {wanted}; {nearest} stands in."
    rare = "" if fits.usual else "Most anglers would tie another one here."
    length = unusual_length_words(fits.length, units)
    return " ".join(sentence for sentence in (said, length, rare) if sentence)


def _would_do(would: WouldDo, units: Units) -> str:
    if would.missing is not None:
        wanted = wanted_words(would.missing.wanted, units)
        nearest = nearest_words(would.missing, units)
        return f"with {wanted}, which the shelf lacks; {nearest} is too different"
    said = [_bought(would.bought, units)] if would.bought else []
    said += [done_words(would.change, units)] if would.change is not None else []
    with_it = ", ".join(said)
    wrong = would.else_wrong
    if wrong is None:
        return with_it
    return (
        f"{with_it}. From your shelf alone: {score_figure(wrong, units)}. {score_why(wrong, units)}"
    )


def _fails(fails: Fails, units: Units) -> str:
    worst = fails.worst
    if worst is None:
        assert fails.lacks is not None
        return f"the shelf lacks {wanted_words(fails.lacks, units)}"
    said = f"{score_title(worst)}: {score_figure(worst, units)}. {score_why(worst, units)}"
    if fails.bought:
        said = f"Even {_bought(fails.bought, units)}. {said}"
    if fails.lacks is not None:
        said = f"The shelf lacks {wanted_words(fails.lacks, units)}. {said}"
    return said


def _bought(bought: tuple[Wanted, ...], units: Units) -> str:
    return f"with {join_words([wanted_words(wanted, units) for wanted in bought])} bought"


def today_reading(cards: list[TodayCard]) -> TodayReading:
    """By group, the nearest to the middle of all bands first; and what to buy."""
    order = sorted(cards, key=lambda card: (GROUPS.index(card.group), card.off, card.title))
    return TodayReading(cards=tuple(order), buy=_to_buy(order))


def _to_buy(cards: list[TodayCard]) -> str:
    """Where nothing owned makes a leader for the day: the one thing with which the most schools
    would do, or the least that makes one."""
    for_this = [card for card in cards if card.group != "not for this"]
    would = [card for card in for_this if card.buys]
    if not would or len(would) < len(for_this):
        return ""
    schools: dict[tuple[str, ...], list[str]] = {}
    for card in would:
        schools.setdefault(card.buys, []).append(card.title)
    what, titles = min(schools.items(), key=lambda row: (len(row[0]), -len(row[1])))
    return (
        f"The least to buy for a day like this: {join_words(list(what))}, for {join_words(titles)}."
    )


def leader_facts(leader: Leader, units: Units) -> str:
    """Length, pieces and tippet: ``9 ft, 6 pieces, to .006 in · 5X``."""
    pieces = "one piece" if len(leader.pieces) == 1 else f"{len(leader.pieces)} pieces"
    tippet = units.tippet(leader.tippet_diameter_m).text
    return f"{units.length(leader.length_m).text}, {pieces}, to {tippet}"
