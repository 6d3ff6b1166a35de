"""The chain above the leader: reel, backing, line, its loop; and the whole chain pulled at once."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.tackle.backing import LOOP_KEEPS, core_n
from nine_knots.core.mechanics.weakest_link import first_break
from nine_knots.core.schools import line_leads
from nine_knots.core.strength.elements import NEW_SPREAD, Hold

Place = Literal["reel", "backing", "backing to line", "line", "line's loop"]


@dataclass(frozen=True, slots=True)
class Link:
    """One link above the leader: mean breaking load in N, spread, chance to go first of all.

    The knot to the reel never goes first: until all the backing is out, no fish loads it.
    """

    place: Place
    mean_n: float
    spread: float
    chance: float


@dataclass(frozen=True, slots=True)
class ReelToLeader:
    """All links from the reel down, and the chance that the leader goes before any of them."""

    links: tuple[Link, ...]
    leader_first: float


def reel_to_leader(design: Design, hold: Hold) -> ReelToLeader:
    """The chain above a design's leader, pulled with it: links of the line where one is cast, and
    of the backing where it is known."""
    line = design.situation.line
    rows: list[tuple[Place, float, float]] = []
    if line.backing is not None:
        rows.append(("backing", line.backing.strength_n, NEW_SPREAD))
        rows.append(("backing to line", *line.backing.at_the_line))
    if line_leads(design.leader):
        core = core_n(line.weight)
        rows.append(("line", core, NEW_SPREAD))
        if line.tip == "loop":
            share, spread = LOOP_KEEPS
            rows.append(("line's loop", share * core, spread))
    means = [mean for _, mean, _ in rows] + [e.mean_n for e in hold.elements]
    spreads = [spread for *_, spread in rows] + [e.spread for e in hold.elements]
    chances = first_break(means, spreads).chances
    links = [
        Link(place, mean, spread, float(chance))
        for (place, mean, spread), chance in zip(rows, chances, strict=False)
    ]
    if line.backing is not None:
        links.insert(0, Link("reel", *line.backing.at_the_reel, chance=0.0))
    return ReelToLeader(links=tuple(links), leader_first=float(chances[len(rows) :].sum()))
