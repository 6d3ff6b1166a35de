"""What a search has come to, as it is shown: first while it goes on, then with the chances."""

from collections.abc import Iterator
from dataclasses import dataclass, replace

from nine_knots.core.assess.sensitivity import chance_of_opening
from nine_knots.core.base.cancellation import report_progress
from nine_knots.core.base.errors import CannotCompute, TimedOut
from nine_knots.core.base.prose import count_words
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import Situation
from nine_knots.core.search.diverse_pick import Pick, pick_dozen
from nine_knots.core.search.nearest import nearest_of
from nine_knots.core.search.nearest_school import SchoolNeighbours
from nine_knots.core.search.pareto_front import front_of
from nine_knots.core.search.search import Search, SearchProgress
from nine_knots.core.search.to_buy import to_buy
from nine_knots.words.search.buying import buy_words
from nine_knots.words.search.cards import FoundCard, card_of, chance_words, nearest_card
from nine_knots.words.search.obstacles import missed_by, nearest_words, not_yet
from nine_knots.words.search.picture import FoundPicture, picture_of

SEARCHED, CHANCES = 0.65, 0.25  # shares of the work; the rest is what to buy


@dataclass(frozen=True, slots=True)
class FindReading:
    """The dozen as cards, the picture, what is in the way where nothing serves, and how it stands.

    ``situation`` is the day that it was found for, ``to_buy`` the one spool that would better it.
    Where nothing serves the one card is the nearest. ``cut_short`` says what is missing where time
    ran out; asked again, the search goes on from there.
    """

    cards: tuple[FoundCard, ...]
    picture: FoundPicture | None
    in_the_way: tuple[str, ...]
    to_buy: str
    so_far: str
    situation: Situation
    cut_short: str = ""


def found_so_far(asked: Search) -> Iterator[FindReading]:
    """The reading after each round, and then with one chance after another; the last is whole.

    CannotCompute where nothing on the shelf makes a leader that can be cast; TimedOut where time
    runs out before any was cast.
    """
    so_far: SearchProgress | None = None
    found: FindReading | None = None
    dozen: tuple[Pick, ...] = ()
    try:
        for so_far in asked.rounds():
            report_progress(int(1000 * SEARCHED * min(1.0, len(so_far.tried) / so_far.most)), 1000)
            if so_far.settled or found is None:  # what is shown is what the bench will show
                dozen = pick_dozen(so_far.tried, asked.demands)
                found = _reading(so_far, dozen, asked, ended=False)
            found = replace(found, so_far=_words(so_far))
            yield found
    except TimedOut:
        if so_far is None or found is None or not so_far.tried:
            raise
        cut = f"Time ran out after {len(so_far.tried)} of {so_far.most} leaders."
        yield replace(found, cut_short=cut)
        return
    assert so_far is not None
    found = _reading(so_far, dozen, asked)
    try:
        for reading in _with_chances(found, dozen, asked):
            found = reading
            yield found
        bought = to_buy(asked, so_far, dozen)
        yield replace(found, to_buy=buy_words(bought, dozen, asked.angler.units))
    except TimedOut:
        cut = "All leaders were cast; time ran out while working out how often they open."
        yield replace(found, cut_short=cut)


def _with_chances(
    found: FindReading, dozen: tuple[Pick, ...], asked: Search
) -> Iterator[FindReading]:
    """The reading with one chance after another."""
    if not dozen:
        yield found
    cards = list(found.cards)
    for number, chosen in enumerate(dozen):
        cards[number] = replace(cards[number], chance=_chance(chosen, asked))
        found = replace(found, cards=tuple(cards))
        report_progress(int(1000 * (SEARCHED + CHANCES * (number + 1) / len(dozen))), 1000)
        yield found


def _chance(chosen: Pick, asked: Search) -> str:
    """How often it opens, in words; nothing where that is not known."""
    day, leader = asked.held_day, chosen.one.table.leader
    design = Design(title="Found", situation=day, leader=leader)
    try:
        opens = chance_of_opening(design, asked.stroke, asked.angler, asked.gust)
    except CannotCompute:
        return ""
    return chance_words(opens)


def _reading(
    so_far: SearchProgress,
    dozen: tuple[Pick, ...],
    asked: Search,
    *,
    ended: bool = True,
) -> FindReading:
    units, day, demands = asked.angler.units, asked.held_day, asked.demands
    neighbours = SchoolNeighbours(so_far.tried)
    in_the_way: tuple[str, ...] = ()
    cards = tuple(card_of(chosen, dozen, demands, neighbours, units, day) for chosen in dozen)
    nearest = nearest_of(so_far.tried) if not dozen else None
    if nearest is not None:
        in_the_way = nearest_words(nearest, day, units) if ended else (not_yet(nearest, units),)
        cards = (nearest_card(nearest.one, missed_by(nearest, units), neighbours, units),)
    return FindReading(
        cards=cards,
        picture=picture_of(front_of(so_far.tried), dozen, demands, units),
        in_the_way=in_the_way,
        to_buy="",
        so_far=_words(so_far),
        situation=day,
    )


def _words(so_far: SearchProgress) -> str:
    serve = sum(evaluated.serves for evaluated in so_far.tried)
    return (
        f"{count_words(len(so_far.tried), 'leader')} cast, {serve} of them meet everything you "
        "ask for."
    )
