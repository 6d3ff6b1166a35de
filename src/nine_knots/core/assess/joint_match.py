"""How well neighbours match: what a joint lets through, and where the loop will fold.

For a wave or an unrolling loop that crosses a joint under the same tension the impedance is
sqrt(T mu): reflected amplitude R = (sqrt(mu1) - sqrt(mu2)) / (sqrt(mu1) + sqrt(mu2)), energy
passed 1 - R² [S: Graff1975]. The bend step EI_below / EI_above says where
the loop folds.
"""

from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

import numpy as np

from nine_knots.core.assess.weight_leads import weight_leads_from
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Fly, LineProfile
from nine_knots.core.schools import built_by, line_leads

Flag = Literal[
    "fits", "soft", "hinge", "firm", "kick", "flat spot", "reversal", "trace", "parted", "led"
]
TROUBLE: tuple[Flag, ...] = ("soft", "hinge", "firm", "kick", "flat spot", "reversal")
"""Flags to be looked at; the others fit, are a trace against teeth, or do not ask for a match: a
lower rig by itself hangs from a ring, and what hangs below an indicator or behind its own weight is
not rolled out by a line."""

# Bend steps between pieces of the leader. A blood knot's step of .003 in, to somewhat softer stuff,
# is about the most that builders tie, and .013 in to soft .009 a bend step of .18: less is called a
# hinge, a third more soft [P]. Stout mono is tied by strength: 40 lb to 20, or 50 to a class tippet
# of 20, a bend step of .15 and .08, and lays out [P].
BLOOD_STEP_M, SOFTER_STUFF = 3.1 * THOU_M, 0.75
FINE_M, STOUT_M = 18.0 * THOU_M, 20.0 * THOU_M
HINGE_STEP, STOUT_HINGE_STEP = 0.17, 0.06
SOFTER = 1.3  # of the step that hinges: nearer than that is soft
REVERSAL_STEP = 1.6
# At the line the butt may be softer or stiffer than the tip. Butts from .015 in soft nylon (slack
# casts) to .026 in stiff nylon on a 10-weight lie between .6 and 4; .026 in on a 5-weight is 9
# and "far too stiff" [P], but for schools that choose their butts by strength.
LINE_HINGE, LINE_SOFT, LINE_FIRM, LINE_KICK = 0.35, 0.55, 4.5, 6.5
# What is tied by strength, to a tippet of 12 lb or more, has butts of 60 lb on 8- to 12-weights
# [P].
BY_STRENGTH_M, STOUT_STEPS = 12.5 * THOU_M, (0.15, 20.0)
SHORT_M = 1.4  # up to which a leader is drawn after the line and not rolled over [P]
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


@lru_cache(maxsize=1024)
def hinge_below(above_m: float) -> float:
    """The bend step below which the loop folds, under a piece of this diameter in metres."""
    steps = (HINGE_STEP, STOUT_HINGE_STEP)
    by_strength = float(np.interp(above_m, (FINE_M, STOUT_M), steps))
    blood = SOFTER_STUFF * max(0.05, 1.0 - BLOOD_STEP_M / above_m) ** 4
    return min(by_strength, blood)


def soft_below(above_m: float) -> float:
    """The bend step below which a joint is near to folding."""
    return SOFTER * hinge_below(above_m)


def _flag_at_line(step: float, limpest: float, stoutest: float) -> Flag:
    if step < limpest:
        return "hinge"
    if step < limpest * LINE_SOFT / LINE_HINGE:
        return "soft"
    if step > stoutest:
        return "kick"
    return "firm" if step > stoutest * LINE_FIRM / LINE_KICK else "fits"


def _flag_inside(step: float, above_m: float, thinner: bool, flat_before: bool, flat: bool) -> Flag:
    if step > REVERSAL_STEP:
        return "kick" if thinner else "reversal"
    if step < hinge_below(above_m):
        return "hinge"
    if step < soft_below(above_m):
        return "soft"
    return "flat spot" if flat and flat_before else "fits"


def _first_led(leader: Leader, fly: Fly) -> int:
    """The first joint that no loop of line has to roll over: under a sighter or an indicator, where
    weight leads, or all of them where no line is cast."""
    if not line_leads(leader):
        return 0
    first = weight_leads_from(leader, fly)
    if leader.indicator is not None:
        at_m = leader.length_m - leader.indicator.above_end_m
        below = [number for number, s_m in enumerate(leader.joints_at_m) if s_m > at_m]
        first = min((first, *below))
    return first


def match_joints(leader: Leader, line: LineProfile, fly: Fly) -> tuple[JointMatch, ...]:
    """Match at every joint from the line's tip to the last between pieces; the fly has none.

    A ring or swivel hides no step: the loop folds there as at any knot, unless weight leads. A wire
    or bite piece is thick or stiff for teeth, not for the cast: its joint is a ``trace``.
    """
    found = []
    flat_before = False
    led_from, school = _first_led(leader, fly), built_by(leader)
    own = school.line_steps if school is not None else None
    by_strength = leader.tippet_diameter_m >= BY_STRENGTH_M
    limpest, stoutest = own or (STOUT_STEPS if by_strength else (LINE_HINGE, LINE_KICK))
    for number, below in enumerate(leader.pieces):
        mass_below = below.strand.mass_kg_m(below.upper_diameter_m)
        bend_below = below.strand.bend_nm2(below.upper_diameter_m)
        joint = leader.joints[number]
        if number == 0:
            passed = energy_passed(line.tip_mass_kg_m, mass_below)
            step = bend_below / line.match_bend_nm2
            flag, flat = _flag_at_line(step, limpest, stoutest), False
            if leader.hangs_from != "line":
                flag = "parted"
            elif led_from == 0 or (flag in ("hinge", "soft") and leader.length_m < SHORT_M):
                flag = "led"
        else:
            above = leader.pieces[number - 1]
            end_m = above.lower_diameter_m
            passed = energy_passed(above.strand.mass_kg_m(end_m), mass_below)
            step = bend_below / above.strand.bend_nm2(end_m)
            ratio = below.upper_diameter_m / end_m
            plain = joint.dropper is None and joint.fly is None and not joint.is_ring
            flat = plain and abs(ratio - 1.0) < NO_STEP
            flag = _flag_inside(step, end_m, ratio < 1.0 - NO_STEP, flat_before, flat)
            if number >= led_from:
                flag = "led"
            if below.role == "bite" or "wire" in below.strand.material:
                flag = "trace"
        flat_before = flat
        found.append(JointMatch(joint=number, passed=passed, bend_step=step, flag=flag))
    return tuple(found)
