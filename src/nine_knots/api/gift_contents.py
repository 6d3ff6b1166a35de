"""The things that anglers give: found among the giver's, without where they are fished unless that
was said, read and copied."""

from collections.abc import Iterable
from dataclasses import dataclass
from itertools import count

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader.lower_rig import LowerRig
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.domain.privacy import (
    design_without_location,
    place_without_location,
    plan_without_location,
)
from nine_knots.core.domain.strand import titles_of
from nine_knots.store.gifts import Gift, GivenKind
from nine_knots.store.leaders import create_leader, read_revision
from nine_knots.store.lower_rigs import list_lower_rigs, put_lower_rig, read_lower_rig
from nine_knots.store.places import add_place, list_places, read_place
from nine_knots.store.plans import put_plan, read_plan
from nine_knots.store.stock import list_stock
from nine_knots.words.given import (
    GiftReading,
    gift_day,
    gift_leader,
    gift_place,
    gift_rig,
)

LONGEST_TITLE = 80
COPIED: dict[GivenKind, str] = {
    "leader": "is on your shelf: opened, it can be made of your own spools.",
    "rig": "is among your lower rigs.",
    "water": "is among your waters.",
    "day": "is among your days, and its water among your waters.",
}
"""Where a copy is, behind its name."""


@dataclass(frozen=True, slots=True)
class GiftedDay:
    """A planned day with its water."""

    plan: DayPlan
    place: Place


Thing = Design | LowerRig | Place | GiftedDay


def find_item(cursor: DictCursor, giver_id: str, kind: GivenKind, thing_id: str) -> Thing:
    """A thing of the giver's as it stands; NotFound where it is gone."""
    if kind == "leader":
        return read_revision(cursor, giver_id, thing_id).design
    if kind == "rig":
        return read_lower_rig(cursor, giver_id, thing_id)
    if kind == "water":
        return read_place(cursor, giver_id, thing_id)
    plan = read_plan(cursor, giver_id, thing_id)
    return GiftedDay(plan, read_place(cursor, giver_id, plan.place_id))


def without_location(thing: Thing) -> Thing:
    """A thing without where it is fished."""
    if isinstance(thing, Design):
        return design_without_location(thing)
    if isinstance(thing, Place):
        return place_without_location(thing)
    if isinstance(thing, GiftedDay):
        plan = plan_without_location(thing.plan, thing.place)
        return GiftedDay(plan.evolve(notes=""), place_without_location(thing.place))
    return thing


def gift_versions(cursor: DictCursor, given: Gift) -> Thing:
    """What was given, as it stands and as it was given; NotFound where the giver has it no more."""
    try:
        found = find_item(cursor, given.giver_id, given.kind, given.thing_id)
    except NotFound as gone:
        raise NotFound(
            f"{given.giver} no longer has this.", where="given_id", hint=f"Ask {given.giver}."
        ) from gone
    return found if given.places else without_location(found)


def title_of(thing: Thing) -> str:
    """As what it is known."""
    return thing.plan.title if isinstance(thing, GiftedDay) else thing.title


def gift_reading(cursor: DictCursor, giver_id: str, thing: Thing, units: Units) -> GiftReading:
    """What was given in words."""
    if isinstance(thing, Place):
        return gift_place(thing, units)
    if isinstance(thing, GiftedDay):
        return gift_day(thing.plan, thing.place, units)
    titles = titles_of(list_stock(cursor, giver_id))
    if isinstance(thing, LowerRig):
        return gift_rig(thing, titles, units)
    return gift_leader(thing, titles, units)


def copy_item(cursor: DictCursor, me: str, thing: Thing, giver: str) -> str:
    """Make it one's own, under a name that nothing of one's own bears; answers the name."""
    if isinstance(thing, Design):
        create_leader(cursor, me, thing)
        return thing.title
    if isinstance(thing, LowerRig):
        taken = (rig.title for _, rig in list_lower_rigs(cursor, me))
        rig = thing.evolve(title=_free_title(thing.title, giver, taken))
        put_lower_rig(cursor, me, rig)
        return rig.title
    taken = (place.title for _, place in list_places(cursor, me))
    if isinstance(thing, Place):
        place = thing.evolve(title=_free_title(thing.title, giver, taken))
        add_place(cursor, me, place)
        return place.title
    place = thing.place.evolve(title=_free_title(thing.place.title, giver, taken))
    place_id = add_place(cursor, me, place)
    put_plan(cursor, me, thing.plan.evolve(place_id=place_id))
    return thing.plan.title


def _free_title(title: str, giver: str, taken: Iterable[str]) -> str:
    """The title, with the giver's name and a number behind it where it is taken."""
    known = {text.casefold() for text in taken}
    if title.casefold() not in known:
        return title
    for number in count(1):
        behind = f" ({giver})" if number == 1 else f" ({giver}, {number})"
        found = title[: LONGEST_TITLE - len(behind)] + behind
        if found.casefold() not in known:
            return found
    raise AssertionError
