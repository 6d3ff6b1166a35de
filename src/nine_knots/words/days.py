"""What to buy for several days, in words: the least that serves them all, by which leaders."""

from collections.abc import Mapping
from dataclasses import dataclass

from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.situation import Situation
from nine_knots.core.propose.cheapest import USUAL_PRICE, DayChoice, cheapest
from nine_knots.words.schools_today import TodayCard, TodayReading
from nine_knots.words.sentence import sentence_text, sentence_words


@dataclass(frozen=True, slots=True)
class DayServed:
    """A day and the leader for it; without one where no school serves it, and why."""

    sentence: str
    card: TodayCard | None
    words: str


@dataclass(frozen=True, slots=True)
class BuyLine:
    """A thing to buy, for how many of the days, and what it was taken to cost."""

    what: str
    words: str
    price: float


@dataclass(frozen=True, slots=True)
class DaysReading:
    """All days, what to buy for them, and the sum of it in words."""

    days: tuple[DayServed, ...]
    buy: tuple[BuyLine, ...]
    words: str


def days_reading(
    days: tuple[tuple[Situation, TodayReading], ...], prices: Mapping[str, float], units: Units
) -> DaysReading:
    """The least to buy for all days that any school serves."""
    serving = [
        [card for card in today.cards if card.group != "not for this" and card.leader is not None]
        for _, today in days
    ]
    choices = [
        [DayChoice(card.key, card.buys, card.off) for card in cards] for cards in serving if cards
    ]
    taken, buy = cheapest(choices, prices) if choices else ((), ())
    chosen = iter(taken)
    told = []
    for (day, today), cards in zip(days, serving, strict=True):
        sentence = sentence_text(sentence_words(day, units))
        if not cards:
            near = min(today.cards, key=lambda card: card.off)
            told.append(DayServed(sentence, None, f"No school suits it. {near.words}"))
            continue
        key = next(chosen).key
        card = next(card for card in cards if card.key == key)
        told.append(DayServed(sentence, card, f"{card.title}: {card.words}"))
    lines = tuple(_line(what, told, prices) for what in buy)
    return DaysReading(tuple(told), lines, _words(told, lines, prices))


def _line(what: str, told: list[DayServed], prices: Mapping[str, float]) -> BuyLine:
    days = [
        str(number)
        for number, day in enumerate(told, start=1)
        if day.card is not None and what in day.card.buys
    ]
    which = "day" if len(days) == 1 else "days"
    return BuyLine(
        capitalised(what), f"for {which} {join_words(days)}", prices.get(what, USUAL_PRICE)
    )


def _words(told: list[DayServed], lines: tuple[BuyLine, ...], prices: Mapping[str, float]) -> str:
    served = sum(day.card is not None for day in told)
    which = "this day" if len(told) == 1 else f"all {count_words(len(told), 'day')}"
    if served < len(told):
        which = f"{count_words(served, 'day')} of {count_words(len(told), 'day')}"
    if not served:
        return "No school suits any of these days, whatever you buy."
    if not lines:
        return f"Nothing to buy: what you own covers {which}."
    verb = "cover" if len(lines) > 1 else "covers"
    said = f"{capitalised(count_words(len(lines), 'thing'))} to buy {verb}"
    cost = sum(line.price for line in lines)
    if not prices:
        return f"{said} {which}; no smaller set does."
    unpriced = any(line.price == USUAL_PRICE for line in lines)
    more = " Items without a price count as one each." if unpriced else ""
    return f"{said} {which}, for {cost:.2f} together; no cheaper set does.{more}"
