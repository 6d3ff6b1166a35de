"""What another angler has given, as its receiver reads it."""

from dataclasses import dataclass

from nine_knots.core.base.prose import join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.lower_rig import LowerRig
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.places import StretchReading, place_reading
from nine_knots.words.plan.reading import hours_text
from nine_knots.words.recipe import Recipe, recipe
from nine_knots.words.rig import HungItem, items_on


@dataclass(frozen=True, slots=True)
class GiftDrawing:
    """A leader or rig to scale, with how it is tied."""

    length_m: float
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    recipe: Recipe


@dataclass(frozen=True, slots=True)
class GiftSection:
    """A part of what was given, such as a stretch: its title and what is said of it."""

    title: str
    lines: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class GiftReading:
    """What was given in words, drawn where it is tied; ``design`` is what the bench can take up."""

    title: str
    parts: tuple[GiftSection, ...]
    drawn: GiftDrawing | None = None
    design: Design | None = None


def gift_leader(design: Design, titles: dict[str, str], units: Units) -> GiftReading:
    """A leader with the day it was made for."""
    day, leader = design.situation, design.leader
    words = (
        f"{units.length(leader.length_m).text} to "
        f"{units.tippet(leader.tippet_diameter_m).text}, for {day.fly.title} on "
        f"{day.rod.title} with {day.line.title}."
    )
    notes = (design.notes,) if design.notes else ()
    return GiftReading(
        design.title,
        (GiftSection("", (words, *notes)),),
        _drawn(leader, titles, units),
        design,
    )


def gift_rig(rig: LowerRig, titles: dict[str, str], units: Units) -> GiftReading:
    """A lower rig with its flies."""
    flies = [fly.title for _, fly in rig.leader.flies_above] + [rig.fly.title]
    words = f"{units.length(rig.leader.length_m).text} below the ring, with {join_words(flies)}."
    return GiftReading(rig.title, (GiftSection("", (words,)),), _drawn(rig.leader, titles, units))


def gift_place(place: Place, units: Units) -> GiftReading:
    """A water with its stretches as they usually are, their cautions and the rules there."""
    reading = place_reading("", place, None, units)
    whole = tuple(text for text in (reading.rules, place.notes) if text)
    parts = tuple(
        GiftSection(
            item.title, tuple(w for w in (item.usual, facts(item), item.rules, *item.cautions) if w)
        )
        for item in reading.stretches
    )
    return GiftReading(place.title, (*((GiftSection("", whole),) if whole else ()), *parts))


def facts(stretch_reading: StretchReading) -> str:
    """What is known of a stretch, in a line."""
    return f"{'; '.join(stretch_reading.facts)}." if stretch_reading.facts else ""


def gift_day(plan: DayPlan, place: Place, units: Units) -> GiftReading:
    """A planned day: when which stretch is fished, with which flies, and what is carried."""
    stretches = {item.stretch_id: item for item in place_reading("", place, None, units).stretches}
    flies = [fly_for.fly.title for fly_for in plan.flies]
    carried = [f"{outfit.rod.title} with {outfit.line.title}" for outfit in plan.outfits]
    first = (f"{plan.on}, {place.title}.", f"Carried: {join_words(carried)}; {join_words(flies)}.")
    parts = []
    for stop in plan.stops:
        stretch = stretches.get(stop.stretch_id)
        fly = f" With {flies[stop.fly]}." if stop.fly is not None else ""
        usual = (stretch.usual + fly, *stretch.cautions) if stretch else (fly.strip(),)
        title = stretch.title if stretch else "a deleted stretch"
        when = hours_text(stop.begins_min, stop.ends_min)
        parts.append(GiftSection(f"{when}, {title}", tuple(text for text in usual if text)))
    notes = (plan.notes,) if plan.notes else ()
    return GiftReading(plan.title, (GiftSection("", (*first, *notes)), *parts))


def _drawn(leader: Leader, titles: dict[str, str], units: Units) -> GiftDrawing:
    return GiftDrawing(
        leader.length_m, outline(leader), items_on(leader), recipe(leader, titles, units)
    )
