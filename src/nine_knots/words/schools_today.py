"""A school on a day, as a card: its leader drawn, its cords, why it fits or what it wants."""

from dataclasses import dataclass

from nine_knots.core.base.prose import capitalised, join_words
from nine_knots.core.base.score import Score
from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader import Leader
from nine_knots.core.schools import school_of
from nine_knots.core.search.schools_today import GROUPS, Group, SchoolToday
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.rig import HungItem, items_on


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
    measures: tuple[Score, ...]
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
        words=capitalised(found.words).rstrip(".") + ".",
        facts=leader_facts(leader, units) if leader else "",
        leader=leader,
        outline=outline(leader) if leader else (),
        hung=items_on(leader) if leader else (),
        measures=found.measures,
        off=found.off,
        lacks=found.lacks,
        buys=found.buys,
    )


def today_reading(cards: list[TodayCard]) -> TodayReading:
    """By group, the nearest to the middle of all bands first; and what to buy."""
    order = sorted(cards, key=lambda card: (GROUPS.index(card.group), card.off, card.title))
    return TodayReading(cards=tuple(order), buy=_to_buy(order))


def _to_buy(cards: list[TodayCard]) -> str:
    """The one spool that the most schools lack, of those that are for this day; where none of them
    can be built of what is owned, the least that makes one."""
    built = [card for card in cards if card.leader is not None]
    if built and all(card.buys for card in built):
        least = min(built, key=lambda card: (card.group, len(card.buys), card.off))
        if least.group == "would do":
            what = join_words(list(least.buys))
            return f"The least to buy for a day like this: {what}, for {least.title}."
    lacking: dict[str, list[str]] = {}
    for card in cards:
        if card.group != "not for this":
            for wanted in card.lacks:
                lacking.setdefault(wanted, []).append(card.title)
    if not lacking:
        return ""
    wanted, titles = max(lacking.items(), key=lambda row: len(row[1]))
    return f"One spool to buy for a day like this: {wanted}, for {join_words(titles)}."


def leader_facts(leader: Leader, units: Units) -> str:
    """Length, pieces and tippet: ``9 ft, 6 pieces, to .006 in · 5X``."""
    pieces = "one piece" if len(leader.pieces) == 1 else f"{len(leader.pieces)} pieces"
    tippet = units.tippet(leader.tippet_diameter_m).text
    return f"{units.length(leader.length_m).text}, {pieces}, to {tippet}"
