"""What was understood of a line: the thing, what was said of it, what is presumed."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.domain.strand import Packet, Spool
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod

Thing = Spool | Packet | Rod | FlyLine | Fly
KindHeard = Literal["spool", "packet", "rod", "line", "fly"]
_KINDS: dict[type[Thing], KindHeard] = {
    Spool: "spool",
    Packet: "packet",
    Rod: "rod",
    FlyLine: "line",
    Fly: "fly",
}
NEW = "new"
"""The id of a spool or packet that is not on the shelf yet."""


def kind_of(thing: Thing) -> KindHeard:
    """What a thing is."""
    return _KINDS[type(thing)]


@dataclass(frozen=True, slots=True)
class Parsed:
    """A thing, and in words what was said of it and what was not said and is presumed."""

    thing: Thing
    said: tuple[str, ...]
    presumed: tuple[str, ...]

    @property
    def kind(self) -> KindHeard:
        """What it is."""
        return kind_of(self.thing)


class Words:
    """Gathers what was said and what is presumed."""

    def __init__(self) -> None:
        self._said: list[str] = []
        self._presumed: list[str] = []

    def tell(self, words: str, said: bool) -> None:
        """Note one or the other."""
        (self._said if said else self._presumed).append(words)

    def of(self, thing: Thing) -> Parsed:
        """All of it."""
        return Parsed(thing, tuple(self._said), tuple(self._presumed))
