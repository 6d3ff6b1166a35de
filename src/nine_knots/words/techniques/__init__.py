"""How each way of fishing is told: one file beside the way's own, found by being there."""

from nine_knots.core.base.discovery import discover
from nine_knots.core.water.technique import Technique
from nine_knots.words.water.telling import TechniqueWords

TECHNIQUE_WORDS: dict[str, TechniqueWords] = {
    technique_words.technique.key: technique_words
    for technique_words in discover(__name__, TechniqueWords)
}


def technique_words_of(technique: Technique) -> TechniqueWords:
    """How a way is told."""
    return TECHNIQUE_WORDS[technique.key]
