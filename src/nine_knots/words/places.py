"""A water and its stretches in words: as they usually are, and at today's level."""

from dataclasses import dataclass

from nine_knots.core.assess.gauge_rating import AtLevel, at_level, water_at
from nine_knots.core.assess.tide import Tide
from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.places import Hazard, Place, RiverStretch
from nine_knots.core.domain.situation import DEPTH_WORDS, PACE_WORDS, Water, WaterRules
from nine_knots.core.domain.tackle import fish_of

NEAR = 0.15  # of a figure: as near, it is called by the word
WADES = 10.0  # depth times pace, feet and feet a second: beyond, it is not waded [M: rule of ten]
TWICE = 2.0
BEHIND = {"open": "open behind", "some trees": "some trees behind", "trees": "trees close behind"}
CAUTIONS: dict[Hazard, str] = {
    "deep wading": "Deep wading: belt tight, a staff, and never alone.",
    "strong current": "Strong current: wade across and down, and turn back early.",
    "slippery bed": "Slippery bed: studs and a staff.",
    "soft bed": "Soft bed: try each step before you stand on it.",
    "steep bank": "Steep bank: know where you will get out before you get in.",
    "power lines": "Power lines: keep rod and line well away, they conduct.",
    "rising water": "The water rises without warning: ask who controls it, and watch a stone.",
    "tide that cuts off": "The tide cuts off the way back: know its time, and leave before.",
    "boats": "Boats: be seen, and wear a life jacket.",
    "ice": "Ice: keep off it.",
}


@dataclass(frozen=True, slots=True)
class NoteLine:
    """What was noted of a stretch at a level."""

    words: str


@dataclass(frozen=True, slots=True)
class StretchTexts:
    """A stretch's usual figures as they can be typed again."""

    depth: str
    pace: str
    bank: str


@dataclass(frozen=True, slots=True)
class StretchReading:
    """A stretch: as it usually is, as it is at the level, what applies there (its rules where they
    are its own), and its water to judge a leader against."""

    stretch_id: str
    title: str
    usual: str
    now: str
    beyond: str
    facts: tuple[str, ...]
    cautions: tuple[str, ...]
    rules: str
    notes: tuple[NoteLine, ...]
    typed: StretchTexts
    water: Water
    stretch: RiverStretch


@dataclass(frozen=True, slots=True)
class PlaceReading:
    """A water: its stretches in order, at a level where one is known."""

    place_id: str
    title: str
    kind: str
    rules: str
    level: str
    tide: str
    stretches: tuple[StretchReading, ...]
    place: Place


def place_reading(
    place_id: str,
    place: Place,
    level_m: float | None,
    units: Units,
    tide: Tide | None = None,
) -> PlaceReading:
    """The reading at a level in metres, or as it usually is; by the sea at a tide, where the
    usual pace is that of the strongest current."""
    return PlaceReading(
        place_id=place_id,
        title=place.title,
        kind=place.kind,
        rules=rules_words(place.rules, units),
        level=level_text(level_m, units) if level_m is not None else "",
        tide=tide_words(tide) if tide is not None else "",
        stretches=tuple(_stretch(place, item, level_m, units, tide) for item in place.stretches),
        place=place,
    )


def stretch_texts(river_stretch: RiverStretch, units: Units) -> StretchTexts:
    """Its usual depth, pace and bank as they can be typed again."""
    bank = units.length(river_stretch.room.bank_m).text if river_stretch.room.bank_m > 0.0 else ""
    return StretchTexts(
        depth=units.length(river_stretch.water.depth_m).text,
        pace=units.speed(river_stretch.water.pace_m_s).text,
        bank=bank,
    )


def level_text(level_m: float, units: Units) -> str:
    """A level as a gauge gives it: ``0.62 m`` or ``2.03 ft``."""
    if units.system == "metric":
        return f"{level_m:.2f} m"
    return f"{level_m / FOOT_M:.2f} ft"


def tide_words(tide: Tide) -> str:
    """Which way it runs, how hard, and when it turns."""
    turns = "low" if tide.state == "ebb" else "high"
    if tide.state.endswith("slack"):
        return f"{capitalised(tide.state.split(' ')[0])} water slack: hardly a current."
    way = "Ebbing" if tide.state == "ebb" else "Flooding"
    return (
        f"{way}, {_hours(tide.since_min)} after the turn, at {tide.strength:.0%} of its strongest; "
        f"{turns} water in {_hours(tide.to_min)}."
    )


def _hours(minutes: float) -> str:
    hours, rest = divmod(round(minutes), 60)
    return f"{hours} h {rest} min" if hours else f"{rest} min"


def _stretch(
    place: Place,
    river_stretch: RiverStretch,
    level_m: float | None,
    units: Units,
    tide: Tide | None,
) -> StretchReading:
    found = at_level(river_stretch, level_m) if level_m is not None else None
    water = water_at(place, river_stretch, level_m, tide)
    return StretchReading(
        stretch_id=river_stretch.stretch_id,
        title=river_stretch.title,
        usual=f"Usually {_deep_andfast_words(river_stretch.water, units)}.",
        now=f"{_now(found, level_m, units)} {_runs(tide, water.pace_m_s, units)}".strip(),
        beyond=beyond_words(river_stretch, level_m, units),
        facts=_facts(river_stretch),
        cautions=stretch_cautions(river_stretch, water),
        rules=rules_words(water.rules, units) if river_stretch.own_rules is not None else "",
        notes=tuple(
            _note(note.level_m, note.depth_m, note.pace_m_s, units) for note in river_stretch.levels
        ),
        typed=stretch_texts(river_stretch, units),
        water=water,
        stretch=river_stretch,
    )


def _now(found: AtLevel | None, level_m: float | None, units: Units) -> str:
    if level_m is None:
        return ""
    if found is None:
        return "Typical values: there are no notes about it at any level."
    off = units.roughly(TWICE * found.depth_off_m)
    said = (
        f"{capitalised(deep_words(found.depth_m, units))}, ± {off}; "
        f"{fast_words(found.pace_m_s, units)}"
    )
    said += f", ± {TWICE * found.pace_off:.0%}. By {count_words(found.depth_notes, 'note')}"
    if found.depth_notes == 1:
        return f"{said} only. A note at another level makes it more certain."
    if not found.pace_notes:
        return f"{said}, none of its pace."
    return f"{said}."


def _runs(tide: Tide | None, pace_m_s: float, units: Units) -> str:
    return f"Runs at {fast_words(pace_m_s, units)} by the tide." if tide is not None else ""


def water_words(water: Water, units: Units) -> str:
    """A water in a line: ``Run, knee-deep, 20 in, walking pace, 2.6 ft/s, over gravel.``"""
    tint = "" if water.clarity == "clear" else f", {water.clarity}"
    return (
        f"{capitalised(water.kind)}, {_deep_andfast_words(water, units)}, over {water.bed}{tint}."
    )


def _deep_andfast_words(water: Water, units: Units) -> str:
    return f"{deep_words(water.depth_m, units)}, {fast_words(water.pace_m_s, units)}"


def beyond_words(river_stretch: RiverStretch, level_m: float | None, units: Units) -> str:
    """That a level is beyond those at which the stretch was seen; empty where it is not."""
    found = at_level(river_stretch, level_m) if level_m is not None else None
    if found is None or found.beyond_m <= 0.0:
        return ""
    low, high = (level_text(level, units) for level in found.seen_m)
    seen = low if low == high else f"{low} to {high}"
    return f"That is outside what you have seen ({seen}): check before you rely on it."


def _facts(river_stretch: RiverStretch) -> tuple[str, ...]:
    water = river_stretch.water
    said = [f"{capitalised(water.kind)} over {water.bed}, {water.clarity}, {water.snags}"]
    room = BEHIND[river_stretch.room.behind]
    if river_stretch.room.bank_m > 0.0:
        room += ", from a bank above the water"
    said.append(capitalised(room))
    if river_stretch.fish:
        said.append(capitalised(join_words([fish_of(kind).title for kind in river_stretch.fish])))
    if river_stretch.notes:
        said.append(river_stretch.notes.rstrip(". "))
    return tuple(said)


def stretch_cautions(river_stretch: RiverStretch, water: Water) -> tuple[str, ...]:
    """What to mind on a stretch: its hazards, and depth against pace as they are."""
    said = [CAUTIONS[hazard] for hazard in river_stretch.hazards]
    if water.depth_m * water.pace_m_s / FOOT_M**2 > WADES:
        said.insert(
            0,
            "Don't wade here: by the usual rule depth times speed, in feet, is over ten. Fish "
            "it from the bank.",
        )
    return tuple(said)


def rules_words(rules: WaterRules, units: Units) -> str:
    """The angler's own notes of the rules, in a line."""
    said = []
    if rules.most_flies is not None:
        said.append(f"{count_words(rules.most_flies, 'fly', 'flies')} at most")
    if rules.barbless:
        said.append("barbless hooks")
    if rules.lead_banned:
        said.append("no lead")
    if rules.wire_required:
        said.append("wire for teeth")
    if rules.least_apart_m is not None:
        said.append(f"flies {units.length(rules.least_apart_m).text} apart")
    if not said:
        return "No rules recorded. Ask the local authority."
    return f"{capitalised(', '.join(said))}. The local authority decides."


def _note(level_m: float, depth_m: float, pace: float | None, units: Units) -> NoteLine:
    fast = f", {fast_words(pace, units)}" if pace else ""
    return NoteLine(f"At {level_text(level_m, units)}: {deep_words(depth_m, units)}{fast}")


def deep_words(depth_m: float, units: Units) -> str:
    """``knee-deep, 20 in``, or the figure alone."""
    text = units.depth(depth_m).text
    word = _word(depth_m, DEPTH_WORDS)
    return f"{word}, {text}" if word else f"{text} deep"


def fast_words(pace_m_s: float, units: Units) -> str:
    """``walking pace, 2.6 ft/s``, or the figure alone."""
    if pace_m_s <= 0.02:
        return "still"
    text = units.speed(pace_m_s).text
    word = _word(pace_m_s, PACE_WORDS)
    return f"{word}, {text}" if word else text


def _word(value: float, words: dict[str, float]) -> str:
    word, usual = min(words.items(), key=lambda row: abs(row[1] - value))
    return word if usual > 0.0 and abs(value / usual - 1.0) <= NEAR else ""
