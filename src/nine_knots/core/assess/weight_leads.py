"""Where a rig's own weight leads the leader, so that no loop of line has to turn it over.

A nymph or a shot flies on by itself: the air takes long to slow it. Below the point from which what
hangs there outweighs the leader that is left, the leader only follows, and no step in its stiffness
makes a difference [P]. A dry fly or a bulky streamer stops in a few metres of air: those the loop
has to pull.
"""

from itertools import takewhile

from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.mechanics.air import AIR_KG_M3

FLIES_ON_M = 10.0  # in which air slows a fly to a third, from which it flies on by itself [G]


def flies_on_m(fly: Fly) -> float:
    """The distance in m in which a fly's drag slows it to 1 / e of its speed: m / (½ρ C_d A)."""
    return float(fly.mass_kg / (0.5 * AIR_KG_M3 * fly.air_drag_area_m2))


def hung_kg(leader: Leader, fly: Fly) -> list[tuple[float, float]]:
    """What flies on by itself: metres above the end of the leader, and kg."""
    places = leader.joints_at_m
    flies = [(leader.length_m - places[joint], other) for joint, other in leader.flies_above]
    found = [(at, other.mass_kg) for at, other in (*flies, (0.0, fly)) if is_dense(other)]
    shots = (thing for thing in leader.attachments if thing.kind == "shot")
    return [*found, *((thing.above_end_m, thing.mass_kg) for thing in shots)]


def is_dense(fly: Fly) -> bool:
    """Whether a fly flies on by itself."""
    return flies_on_m(fly) >= FLIES_ON_M


def weight_leads_from(leader: Leader, fly: Fly) -> int:
    """The first joint from which on the weight leads, 0 for the one to the line; the point fly's
    where it never does."""
    hung, last = hung_kg(leader, fly), len(leader.pieces)
    strand_kg, leads = 0.0, []
    for number in range(last - 1, -1, -1):
        piece = leader.pieces[number]
        middle_m = 0.5 * (piece.upper_diameter_m + piece.lower_diameter_m)
        strand_kg += piece.length_m * piece.strand.mass_kg_m(middle_m)
        above_m = leader.length_m - leader.joints_at_m[number] + 1e-6
        leads.append(sum(kg for at_m, kg in hung if at_m <= above_m) >= strand_kg)
    return last - sum(1 for _ in takewhile(bool, leads))


def is_lobbed(leader: Leader, fly: Fly) -> bool:
    """Whether a rig is swung over open and slow: its weight leads all of it, or several heavy
    things hang on it that would meet in a tight loop [P]."""
    return weight_leads_from(leader, fly) == 0 or len(hung_kg(leader, fly)) > 1
