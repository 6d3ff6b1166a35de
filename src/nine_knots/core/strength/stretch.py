"""How far a leader gives under a pull, and how hard a hook is set through rod, line and leader."""

from itertools import pairwise
from math import sqrt

from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Rod
from nine_knots.core.mechanics.section import area_m2

LINE_STRETCH_N = 400.0  # EA of a fly line [M]


def compliance_m_n(leader: Leader) -> float:
    """Stretch in metres for a newton, the integral of 1 / EA; the linear part only. Of a cone it is
    L / EA with the area between its ends' (of the diameter √(d₁d₂)), exactly."""
    total = 0.0
    for piece in leader.pieces:
        for upper, lower in pairwise(piece.breaks_m):
            between = sqrt(piece.diameter_at_m(upper) * piece.diameter_at_m(lower))
            total += (lower - upper) / (piece.strand.stiffness_pa * area_m2(between))
    return total


def energy_j(leader: Leader, load_n: float) -> float:
    """Energy in joules that a leader has taken up at a load, ½F² ΣL/EA."""
    return 0.5 * load_n**2 * compliance_m_n(leader)


def at_the_hook_n_m(leader: Leader, rod: Rod, line_out_m: float) -> float:
    """Stiffness in N/m between hand and hook: rod's tip, line and leader in series."""
    line = line_out_m / LINE_STRETCH_N
    return 1.0 / (1.0 / rod.tip_stiffness_n_m + line + compliance_m_n(leader))
