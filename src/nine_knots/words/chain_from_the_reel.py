"""The chain above the leader in words: every link from the reel down, and which goes first."""

from dataclasses import dataclass

from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.strength.elements import Hold
from nine_knots.core.strength.reel_to_leader import Place, ReelToLeader, reel_to_leader
from nine_knots.words.facts import Fact

RARELY = 0.02  # up to this chance nothing above the leader is worth a word
LOST: dict[Place, str] = {
    "reel": "backing, line and leader",
    "backing": "line and leader, and some of the backing",
    "backing to line": "the line and the leader",
    "line": "the leader, and some of the line",
    "line's loop": "the leader",
}


@dataclass(frozen=True, slots=True)
class ChainLink:
    """One link: where, of what, what it holds, how often it goes first, and what is then lost."""

    title: str
    detail: str
    holds: Quantity
    first: str
    status: Status


@dataclass(frozen=True, slots=True)
class ChainReading:
    """Every link from the reel down to the leader, and what the whole chain comes to."""

    links: tuple[ChainLink, ...]
    words: str


def chain_reading(design: Design, hold: Hold, units: Units) -> ChainReading:
    """The chain from the reel to the leader."""
    above = reel_to_leader(design, hold)
    links = tuple(
        ChainLink(
            title=link.place,
            detail=_detail(design, link.place, units),
            holds=units.load(link.mean_n),
            first=f"first in {link.chance:.0%}: you lose {LOST[link.place]}"
            if link.chance > RARELY
            else "hardly ever first",
            status="too much" if link.chance > RARELY else "right",
        )
        for link in above.links
    )
    return ChainReading(links=links, words=_words(above))


def chain_fact(design: Design, hold: Hold, units: Units) -> Fact:
    """Whether anything above the leader may part before it, as one line."""
    above = reel_to_leader(design, hold)
    weak = max(above.links, key=lambda link: link.chance, default=None)
    if weak is None or weak.chance <= RARELY:
        return Fact("Above the leader", _words(above))
    return Fact(
        "Above the leader",
        f"The {weak.place}, {units.load(weak.mean_n).text}, parts before the leader in "
        f"{weak.chance:.0%}: you lose {LOST[weak.place]}.",
        "too much",
    )


def _words(above: ReelToLeader) -> str:
    if not above.links:
        return "Mono on the reel: add the backing behind it to see the whole chain."
    known = "From the reel down" if above.links[0].place == "reel" else "From the line down"
    if above.leader_first >= 1.0 - RARELY:
        return f"{known} the leader goes first."
    return f"{known} the leader goes first in {above.leader_first:.0%}."


def _detail(design: Design, place: Place, units: Units) -> str:
    line = design.situation.line
    if place == "line":
        return f"core of the {line.title}"
    if place == "line's loop":
        return "welded, where the leader is looped on"
    assert line.backing is not None
    if place == "reel":
        return f"{line.backing.to_reel}: loaded only once all the backing is out"
    if place == "backing":
        long = units.on_spool(line.backing.length_m).text
        return f"{long} of {line.backing.material}"
    return line.backing.to_line
