"""A line of text from which what is understood is taken away, bit by bit."""

import re
from collections.abc import Mapping
from typing import TypeVar

from nine_knots.core.base.errors import Unreadable

LONGEST = 160
NUMBER = r"\d*[.,]?\d+(?:\s*[¼½¾⅓⅔]|\s\d/\d)?|[¼½¾]|\d/\d"
_IDLE_TEXT = """
a an the of on in with and at about spool spools piece tippet material left for my it is to fly
line rod leader leaders wt class bite shock
"""
IDLE = frozenset(_IDLE_TEXT.split())
"""Words that say nothing more of a thing whose kind is known."""

Value = TypeVar("Value")


class Scan:
    """What is left to be understood of a line; ``title`` is what stood in quotes."""

    def __init__(self, text: str) -> None:
        self.text = " ".join(text.split())
        if len(self.text) > LONGEST:
            raise Unreadable("That line is too long for one item.", hint="Enter one item per line.")
        quoted = re.search(r"[“\"]([^”\"]{2,80})[”\"]", self.text)
        self.title = quoted.group(1).strip() if quoted else ""
        rest = self.text.replace(quoted.group(0), " ") if quoted else self.text
        rest = re.sub(r";|,(?!\d)|(?<!\d),", " ", rest)  # a comma within a figure stays
        self._left = f" {rest.lower()} "
        self._as_typed = rest

    def take(self, pattern: str) -> str | None:
        """The first group of the first place that matches between words, taken away."""
        found = re.search(rf"(?<![\w.,/])(?:{pattern})(?![\w/])", self._left)
        if found is None:
            return None
        self._left = f"{self._left[: found.start()]} {self._left[found.end() :]}"
        return next(group for group in (*found.groups(), found.group(0)) if group is not None)

    def has(self, pattern: str) -> bool:
        """Whether it could be taken."""
        return re.search(rf"(?<![\w.,/])(?:{pattern})(?![\w/])", self._left) is not None

    def word(self, words: Mapping[str, Value]) -> Value | None:
        """What the longest of the words that stand here means, taken away; None where none does."""
        for name in sorted(words, key=len, reverse=True):
            if self.take(re.escape(name).replace(r"\ ", r"[\s-]+")) is not None:
                return words[name]
        return None

    @property
    def left(self) -> list[str]:
        """Words that were not understood, but for idle ones, as they were typed."""
        words = [word.strip(",.:()") for word in self._left.split()]
        odd = [word for word in words if word and word not in IDLE]
        typed = {
            word.strip(",.:()").lower(): word.strip(",.:()") for word in self._as_typed.split()
        }
        return [typed.get(word, word) for word in odd]

    def ends(self, kind: str, example: str) -> None:
        """Unreadable where something was not understood."""
        if self.left:
            raise Unreadable(
                f"“{' '.join(self.left)}” doesn't describe {kind}.",
                hint=f"Write it as {example}, or leave it out.",
            )
