"""Where a rig is expected to break, in the places that are told at the water."""

from nine_knots.core.domain.day_brief import ExpectedBreak
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Leader
from nine_knots.core.strength.elements import hold_of


def expected_breaks(leader: Leader, own: tuple[PulledKnot, ...] = ()) -> tuple[ExpectedBreak, ...]:
    """The chance of each place, which come to one: the weakest link's, by where it is."""
    hold, last = hold_of(leader, own=own), len(leader.pieces)
    chances: dict[str, float] = {}
    for element in hold.elements:
        if element.what == "piece":
            place = "in the tippet" if element.index == last - 1 else "higher up"
        elif element.index == last:
            place = "at the fly"
        elif leader.joints[element.index].is_ring:
            place = "at the ring or swivel"
        else:
            place = "at the tippet's knot" if element.index == last - 1 else "higher up"
        chances[place] = chances.get(place, 0.0) + element.chance
    total = sum(chances.values()) or 1.0
    return tuple(
        ExpectedBreak(place=place, chance=min(1.0, chance / total))
        for place, chance in chances.items()
    )
