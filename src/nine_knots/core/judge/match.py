"""How well neighbours match: what a joint lets through, and where the loop will fold.

For a wave or an unrolling loop that crosses a joint under the same tension the impedance is
sqrt(T mu): reflected amplitude R = (sqrt(mu1) - sqrt(mu2)) / (sqrt(mu1) + sqrt(mu2)), energy
passed 1 - R² [S: Graff1975]. The bend step EI_below / EI_above says where
the loop folds.
"""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.tackle import LineProfile

Flag = Literal["fits", "soft", "hinge", "firm", "kick", "flat spot", "reversal", "trace"]
TROUBLE: tuple[Flag, ...] = ("soft", "hinge", "firm", "kick", "flat spot", "reversal")
"""Flags to be looked at; the others fit, or are a trace against teeth."""

# Bend steps between pieces of the leader. A blood knot's step of .003 in at .009 in, about the
# most that builders tie, is .20: less is called a hinge, less than .28 soft [P, until the cast
# model calibrates them].
HINGE_STEP, SOFT_STEP = 0.20, 0.28
REVERSAL_STEP = 1.6
# At the line the butt may be softer or stiffer than the tip. Butts from .015 in soft nylon (slack
# casts) to .026 in stiff nylon on a 10-weight lie between .6 and 4; .026 in on a 5-weight is 9
# and "far too stiff" [P].
LINE_HINGE, LINE_SOFT, LINE_FIRM, LINE_KICK = 0.35, 0.55, 4.5, 6.5
NO_STEP = 0.04  # two ends within 4 % of one thickness have no step between them


@dataclass(frozen=True, slots=True)
class JointMatch:
    """One joint: share of energy passed, bend step, and what they mean."""

    joint: int
    passed: float
    bend_step: float
    flag: Flag


def energy_passed(above_kg_m: float, below_kg_m: float) -> float:
    """Share of a wave's energy that crosses from one mass per length (kg/m) to another.

    >>> round(energy_passed(5.4e-4, 1.87e-4), 2)
    0.93
    """
    root_above, root_below = above_kg_m**0.5, below_kg_m**0.5
    reflected = (root_above - root_below) / (root_above + root_below)
    return float(1.0 - reflected**2)


def _flag_at_line(step: float) -> Flag:
    if step < LINE_HINGE:
        return "hinge"
    if step < LINE_SOFT:
        return "soft"
    if step > LINE_KICK:
        return "kick"
    return "firm" if step > LINE_FIRM else "fits"


def _flag_inside(step: float, thinner: bool, flat_before: bool, flat: bool) -> Flag:
    if step > REVERSAL_STEP:
        return "kick" if thinner else "reversal"
    if step < HINGE_STEP:
        return "hinge"
    if step < SOFT_STEP:
        return "soft"
    return "flat spot" if flat and flat_before else "fits"


def match_joints(leader: Leader, line: LineProfile) -> tuple[JointMatch, ...]:
    """Match at every joint from the line's tip to the last between pieces; the fly has none.

    A wire or bite piece is thick or stiff for teeth, not for the cast: its joint is a ``trace``.
    """
    found = []
    flat_before = False
    for number, below in enumerate(leader.pieces):
        mass_below = below.strand.mass_kg_m(below.upper_diameter_m)
        bend_below = below.strand.bend_nm2(below.upper_diameter_m)
        if number == 0:
            passed = energy_passed(line.tip_mass_kg_m, mass_below)
            step = bend_below / line.tip_bend_nm2
            flag, flat = _flag_at_line(step), False
        else:
            above = leader.pieces[number - 1]
            end_m = above.lower_diameter_m
            passed = energy_passed(above.strand.mass_kg_m(end_m), mass_below)
            step = bend_below / above.strand.bend_nm2(end_m)
            ratio = below.upper_diameter_m / end_m
            flat = abs(ratio - 1.0) < NO_STEP
            flag = _flag_inside(step, ratio < 1.0 - NO_STEP, flat_before, flat)
            if below.role == "bite" or "wire" in below.strand.material:
                flag = "trace"
        flat_before = flat
        found.append(JointMatch(joint=number, passed=passed, bend_step=step, flag=flag))
    return tuple(found)
