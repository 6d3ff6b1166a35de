"""What an angler always ties, set once: used wherever it holds, the usual knot elsewhere."""

from pydantic import model_validator

from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.knots import KNOTS, KnotKey
from nine_knots.core.domain.leader.connection_advice import advise
from nine_knots.core.domain.leader.connection_titles import with_article
from nine_knots.core.domain.leader.joints import Connection
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.tackle import Fly, FlyLine

PLACES = {"fly": "eye", "ring": "eye", "tippet": "between", "sections": "between"}


class OwnKnots(Frozen):
    """The knot at the fly, at rings and swivels, to the tippet, between other sections; None is the
    usual one."""

    fly: KnotKey | None = None
    ring: KnotKey | None = None
    tippet: KnotKey | None = None
    sections: KnotKey | None = None

    @model_validator(mode="after")
    def _in_place(self) -> "OwnKnots":
        for name, place in PLACES.items():
            key = getattr(self, name)
            if key is not None and KNOTS[key].place != place:
                raise ValueError(f"{with_article(KNOTS[key].title, False)} is not tied there")
        return self


USUAL_KNOTS = OwnKnots()


def with_own_knots(leader: Leader, ties: OwnKnots, line: FlyLine, fly: Fly) -> Leader:
    """The leader with the angler's own knots wherever no fault is found with them.

    Rings, swivels, loops, droppers and what is doubled stay as they are; only knots change.
    """
    for number in range(1, len(leader.joints)):
        tied = _own(leader, number, ties)
        if tied is None or tied == leader.joints[number]:
            continue
        changed = leader.with_joint(number, tied)
        if not advise(changed, number, line, fly).faults:
            leader = changed
    return leader


def _own(leader: Leader, number: int, ties: OwnKnots) -> Connection | None:
    """A joint as the angler ties it; None where nothing of theirs goes there."""
    joint, last = leader.joints[number], len(leader.joints) - 1
    if number == last:
        return joint.evolve(knot=ties.fly) if ties.fly else None
    if joint.is_ring:
        return joint.evolve(knot=ties.ring, upper_knot=ties.ring) if ties.ring else None
    if joint.kind != "knot" or joint.doubled is not None:
        return None
    to_tippet = leader.pieces[number].role == "tippet"
    key = ties.tippet if to_tippet else ties.sections
    return joint.evolve(knot=key) if key else None
