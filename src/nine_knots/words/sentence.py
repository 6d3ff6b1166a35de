"""The situation as a sentence, and words or figures typed back into it."""

from dataclasses import dataclass
from typing import Literal

from pydantic import Field

from nine_knots.core.base.errors import OutOfRange, Refused, Unreadable
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import (
    Units,
    parse_current,
    parse_length,
    parse_load,
    parse_mass,
    parse_temperature,
    parse_wind,
)
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.situation import (
    DEPTH_WORDS,
    PACE_WORDS,
    WIND_WORDS,
    Situation,
    TargetFish,
    Wish,
)
from nine_knots.core.domain.tackle import FISH, Backing, Fly, OwnFish

NEAR = 0.12  # a figure within 12 % of a word is called by the word

SayPart = Literal[
    "depth", "pace", "wind", "fish", "fish mass", "temperature", "flies apart", "backing"
]


class SentenceEdit(Frozen):
    """Something typed or chosen for one part of the sentence: a word or a figure."""

    part: SayPart
    text: str = Field(max_length=60)


@dataclass(frozen=True, slots=True)
class TypedFigure:
    """A figure of the day as it can be typed, and the word for it where there is one."""

    word: str | None
    figure: str


@dataclass(frozen=True, slots=True)
class SentenceWord:
    """One part of the sentence: plain words before it, the words that are a control."""

    part: Literal["water", "pace", "wind", "fly", "wish", "fish", "outfit"]
    before: str
    text: str


def sentence_text(said: tuple[SentenceWord, ...]) -> str:
    """The whole sentence of the day as text."""
    words = "".join(
        f"{'' if phrase.before.startswith(',') else ' '}{phrase.before} {phrase.text}"
        for phrase in said
    )
    return f"{words.strip()}."


def _said(value: float, words: dict[str, float], figure: str) -> TypedFigure:
    for word, meant in words.items():
        if abs(value - meant) <= NEAR * max(meant, 1e-9) or (meant == 0.0 and value < 0.05):
            return TypedFigure(word=word, figure=figure)
    return TypedFigure(word=None, figure=figure)


def typed_figures(situation: Situation, units: Units) -> dict[SayPart, TypedFigure]:
    """What can be said of the day in a word or a figure, as it stands."""
    water, wind, quarry = situation.water, situation.wind, situation.quarry
    return {
        "depth": _said(water.depth_m, DEPTH_WORDS, units.length(water.depth_m).text),
        "pace": _said(water.pace_m_s, PACE_WORDS, units.speed(water.pace_m_s).text),
        "wind": _said(wind.speed_m_s, WIND_WORDS, units.wind(wind.speed_m_s).text),
        "fish": TypedFigure(word=quarry.kind, figure=quarry.fish.title),
        "temperature": TypedFigure(word=None, figure=units.temperature(water.temperature_c).text),
        "flies apart": TypedFigure(word=None, figure=_apart(water.rules.least_apart_m, units)),
        "backing": TypedFigure(word=None, figure=_backing(situation, units)),
        "fish mass": TypedFigure(word=None, figure=units.fish_mass(quarry.mass_kg).text),
    }


def _backing(situation: Situation, units: Units) -> str:
    """The backing as it can be typed: strength and length."""
    backing = situation.line.backing
    if backing is None:
        return ""
    return f"{units.load(backing.strength_n).text}, {units.on_spool(backing.length_m).text}"


def _apart(least_m: float | None, units: Units) -> str:
    return units.length(least_m).text if least_m is not None else ""


def sentence_words(situation: Situation, units: Units) -> tuple[SentenceWord, ...]:
    """The sentence in parts, each a control; figures in the angler's units."""
    return sentence_words_of(situation, typed_figures(situation, units))


def sentence_words_of(
    situation: Situation, said: dict[SayPart, TypedFigure]
) -> tuple[SentenceWord, ...]:
    """The same from what ``typed_figures`` makes of the day."""
    water, wind, quarry = situation.water, situation.wind, situation.quarry
    word = said["depth"].word
    depth = word.replace(" ", "-") if word else f"{said['depth'].figure} deep"
    tint = "" if water.clarity == "clear" else f"{water.clarity} "
    snags = "" if water.snags == "open" else f" with {water.snags}"
    pace = said["pace"].word or said["pace"].figure
    moving = "still" if pace == "still" else f"at {pace}"
    blow = said["wind"].word or f"wind of {said['wind'].figure}"
    bearing = "" if blow == "no wind" else f" {wind.bearing}"
    fish = said["fish"].figure
    outfit = f"the {situation.rod.title} and the {situation.line.title}"
    return (
        SentenceWord(part="water", before="On", text=f"{depth} {tint}{water.kind}{snags}"),
        SentenceWord(part="pace", before=",", text=moving),
        SentenceWord(part="wind", before=", in", text=f"{blow}{bearing}"),
        SentenceWord(part="fly", before=", I cast", text=f"the {situation.fly.title}"),
        SentenceWord(part="wish", before="to", text=situation.wish),
        SentenceWord(
            part="fish", before="for", text=f"{quarry.temper} {fish} of {said['fish mass'].figure}"
        ),
        SentenceWord(part="outfit", before="with", text=outfit),
    )


def changed_wish_words(fly: Fly, before: Wish, after: Wish) -> str:
    """What changed with the fly; nothing where it is fished as before."""
    if before == after:
        return ""
    return f"The {fly.title} can't {before}, so it is set to {after}."


def apply_sentence_edit(situation: Situation, say: SentenceEdit, units: Units) -> Situation:
    """The situation after something was said; Unreadable or OutOfRange name the part."""
    try:
        return _heard(situation, say, units)
    except Refused as error:
        error.where = say.part
        raise


def parse_depth(text: str, system: System) -> float:
    """A depth in metres from a word or a figure; Unreadable or OutOfRange else."""
    depth_m = _meant(text, DEPTH_WORDS)
    depth_m = parse_length(text, system) if depth_m is None else depth_m
    _between(depth_m, 0.05, 30.0, "A depth", "5 cm to 30 m")
    return depth_m


def parse_pace(text: str, system: System) -> float:
    """A pace in m/s from a word, a speed or a stick over so many steps; Unreadable or OutOfRange
    else."""
    pace_m_s = _meant(text, PACE_WORDS)
    pace_m_s = parse_current(text, system) if pace_m_s is None else pace_m_s
    _between(pace_m_s, 0.0, 4.0, "A current", "0 to 4 m/s (13 ft/s)")
    return pace_m_s


def parse_wind_word(text: str, system: System) -> float:
    """A wind in m/s from a word or a speed; Unreadable or OutOfRange else."""
    wind = _meant(text, WIND_WORDS)
    wind = parse_wind(text, system) if wind is None else wind
    _between(wind, 0.0, 30.0, "A wind", "0 to 30 m/s (67 mph)")
    return wind


def parse_fish_mass(text: str, system: System) -> float:
    """A fish's mass in kg; Unreadable or OutOfRange else."""
    mass = parse_mass(text, system)
    _between(mass, 0.01, 500.0, "A fish", "10 g to 500 kg (1100 lb)")
    return mass


def _heard(situation: Situation, say: SentenceEdit, units: Units) -> Situation:
    text = say.text.strip()
    if say.part == "depth":
        return _with(situation, "water", "depth_m", parse_depth(text, units.system))
    if say.part == "pace":
        return _with(situation, "water", "pace_m_s", parse_pace(text, units.system))
    if say.part == "temperature":
        celsius = parse_temperature(text, units.system)
        return _with(situation, "water", "temperature_c", celsius)
    if say.part == "flies apart":
        apart = parse_length(text, units.system, most_m=5.0) if text else None
        rules = situation.water.rules.model_copy(update={"least_apart_m": apart})
        water = situation.water.model_copy(update={"rules": rules})
        return situation.model_copy(update={"water": water})
    if say.part == "backing":
        line = situation.line.model_copy(update={"backing": _backed(text, situation, units)})
        return situation.model_copy(update={"line": line})
    if say.part == "wind":
        return _with(situation, "wind", "speed_m_s", parse_wind_word(text, units.system))
    if say.part == "fish":
        return situation.model_copy(update={"quarry": _usual(text, situation.quarry)})
    return _with(situation, "quarry", "mass_kg", parse_fish_mass(text, units.system))


def _backed(text: str, situation: Situation, units: Units) -> Backing | None:
    """A backing from its strength and length, `20 lb, 100 yd`; none from nothing."""
    if not text:
        return None
    strong, comma, long = text.partition(",")
    if not comma:
        raise Unreadable(
            f"“{text}” has no length of backing.",
            hint="Write strength and length: 20 lb, 100 yd.",
        )
    length_m = parse_length(long, units.system, most_m=1000.0)
    known = situation.line.backing or Backing()
    return known.evolve(strength_n=parse_load(strong, units.system), length_m=length_m)


def _usual(text: str, quarry: TargetFish) -> TargetFish:
    """Another kind of fish, as heavy as it usually is."""
    for kind, fish in FISH.items():
        if text.lower() in (kind, fish.title):
            return TargetFish(kind=fish.key, mass_kg=fish.usual_kg, temper=quarry.temper)
    if text.lower() == "other":
        return TargetFish(kind="other", mass_kg=quarry.mass_kg, temper=quarry.temper, own=OwnFish())
    raise Unreadable(
        f"“{text}” is not a fish known here.",
        hint=f"Use one of {', '.join(f.title for f in FISH.values())}, or describe another by "
        "mouth and teeth.",
    )


def _meant(text: str, words: dict[str, float]) -> float | None:
    value = words.get(text.lower())
    if value is None and not any(c.isdigit() for c in text):
        raise Unreadable(
            f"“{text}” isn't recognised.",
            hint=f"Use one of {', '.join(words)}, or a figure.",
        )
    return value


def _between(value: float, low: float, high: float, what: str, span: str) -> None:
    if not low <= value <= high:
        raise OutOfRange(f"{what} must be within {span}.", hint=f"Enter a value within {span}.")


def _with(situation: Situation, part: str, field: str, value: float) -> Situation:
    inner = getattr(situation, part)
    return situation.model_copy(update={part: inner.model_copy(update={field: value})})
