"""By which words a saved leader is found: all that an angler may remember of it."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.schools import SCHOOLS
from nine_knots.words.sentence import sentence_text, sentence_words
from nine_knots.words.tying import joint_title

BOTH = (Units("imperial"), Units("metric"))


def search_words_of(design: Design) -> str:
    """Small words in a row: title, notes, school, lengths and sizes in both systems, materials,
    knots, flies, and the day as it is said."""
    leader, said = design.leader, [design.title, design.notes]
    school = SCHOOLS.get(leader.school or "")
    said.append(school.title if school else "own taper")
    for units in BOTH:
        said.append(units.length(leader.length_m).text)
        said += [units.tippet(piece.lower_diameter_m).text for piece in leader.pieces]
        said.append(sentence_text(sentence_words(design.situation, units)))
    said += [piece.strand.substance.title for piece in leader.pieces]
    said += [joint_title(leader, joint) for joint in range(len(leader.joints))]
    said += [fly.title for _, fly in leader.flies_above]
    said += [thing.kind for thing in leader.attachments]
    words = " ".join(" ".join(said).lower().split())
    return " ".join(dict.fromkeys(words.split(" ")))[:8000] or " "
