"""What is asked of a leader to be found, as a sentence whose parts can be changed."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.assess.own_cast import UNKNOWN, OwnCast
from nine_knots.core.base.prose import count_words
from nine_knots.core.base.units import Units
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.situation import Situation
from nine_knots.core.search.demands import Bought, Demands
from nine_knots.words.scores.turnover import stroke_words

Part = Literal["stroke", "fish", "knots", "flies", "length", "bought", "wishes"]
FROM: dict[Bought, str] = {
    "cut": "from my spools and bought tapers, cut as needed",
    "whole": "from my spools and bought tapers, used whole",
    "none": "from my spools alone",
}


@dataclass(frozen=True, slots=True)
class AskedPhrase:
    """One part of the sentence: plain words before it, the words that are a control."""

    part: Part
    before: str
    text: str


@dataclass(frozen=True, slots=True)
class SearchSentence:
    """The sentence, and what of it cannot be met by any search."""

    sentence: tuple[AskedPhrase, ...]
    impossible: tuple[str, ...]


def search_sentence_of(
    demands: Demands, day: Situation, stroke: Stroke, units: Units, own: OwnCast = UNKNOWN
) -> tuple[AskedPhrase, ...]:
    """``Find me a leader that opens into this wind with a normal stroke, holds …``"""
    fish = demands.day(day).quarry
    wind = "in this air" if day.wind.speed_m_s < 0.5 else "in this wind"
    return (
        AskedPhrase(
            "stroke", f"Find me a leader that turns over {wind} with", _stroke(stroke, own)
        ),
        AskedPhrase(
            "fish", ", holds", f"a {fish.fish.title} of {units.fish_mass(fish.mass_kg).text}"
        ),
        AskedPhrase("knots", ", has", _knots(demands)),
        AskedPhrase("flies", ", carries", _flies(demands)),
        AskedPhrase("length", "and", _length(demands, units)),
        AskedPhrase("bought", ",", FROM[demands.bought]),
        AskedPhrase("wishes", "; rather", _wishes(demands)),
    )


def _stroke(stroke: Stroke, own: OwnCast) -> str:
    return stroke_words(stroke.speed_m_s, own)


def _knots(demands: Demands) -> str:
    most = demands.most_knots
    if most is None:
        return "as many knots as it needs"
    return count_words(0, "knot") if most == 0 else f"no more than {count_words(most, 'knot')}"


def _flies(demands: Demands) -> str:
    if demands.flies is None:
        return "as many flies as its school rigs"
    return count_words(demands.flies, "fly", "flies")


def _length(demands: Demands, units: Units) -> str:
    low, high = demands.shortest_m, demands.longest_m
    if low is None and high is None:
        return "has its school's length"
    if low is None:
        assert high is not None
        return f"is at most {units.length(high).text} long"
    if high is None:
        return f"is at least {units.length(low).text} long"
    return f"is {units.length(low).text} to {units.length(high).text} long"


def _wishes(demands: Demands) -> str:
    return " than ".join(demands.wishes) if demands.wishes else "nothing in particular"
