"""Names that accounts go by: others know somebody by them, so none may be taken for another's."""

import unicodedata

from nine_knots.core.base.errors import OutOfRange

TOGETHER = ({"CJK", "HIRAGANA", "KATAKANA"}, {"CJK", "HANGUL"}, {"CJK", "BOPOMOFO"})
"""Scripts that are written in one name."""


def folded_name(typed: str) -> str:
    """A name as it is kept, however it was typed."""
    return unicodedata.normalize("NFC", " ".join(typed.split()))


def typed_name(typed: str) -> str:
    """A new name as it is kept. OutOfRange where it has no letters, has what cannot be seen or
    turns round what is read, or mixes alphabets, whose letters look alike [S: Unicode2024]."""
    name = folded_name(typed)
    letters = [letter for letter in name if letter.isalpha()]
    if not letters:
        raise OutOfRange("A name needs at least one letter.", where="name", hint="Type one.")
    if any(unicodedata.category(letter).startswith("C") for letter in name):
        raise OutOfRange(
            "This name contains an invisible character.",
            where="name",
            hint="Type it again, letter by letter.",
        )
    scripts = {unicodedata.name(letter, "UNNAMED").split()[0] for letter in letters}
    if len(scripts) > 1 and not any(scripts <= item for item in TOGETHER):
        raise OutOfRange(
            "This name mixes letters from several alphabets that look alike.",
            where="name",
            hint="Use one alphabet.",
        )
    return name
