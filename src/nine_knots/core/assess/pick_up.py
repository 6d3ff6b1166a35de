"""How the fly comes off the water before the next cast.

A sunk fly holds back the line that is drawn off the water: it moves no faster than its drag lets
the rod's tip draw it. A sunk line comes out only when it has been rolled up [P].
"""

from typing import Literal

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import fly_body
from nine_knots.core.mechanics.bodies import body_resistance_kg_m
from nine_knots.core.water.surroundings import fluid_of

GIVES_M = 0.03  # of the rod's tip as it draws the line off the water, before it is loaded [G]
EASY_M_S, STICKS_M_S = 2.0, 1.0  # at which a fly follows, and below which it holds [G]
TURNS = 4
PickUp = Literal["line is sunk", "fly floats", "easy", "steady draw", "grips"]


def drawn_m_s(design: Design) -> float:
    """Speed in m/s at which the rod's tip draws a sunk fly through the water."""
    day = design.situation
    fluid = fluid_of(day.water)
    body = fly_body(day.fly, fluid)
    pull = max(0.0, GIVES_M * day.rod.tip_stiffness_n_m - body.weight_n)
    speed = EASY_M_S
    for _ in range(TURNS):
        resists = body_resistance_kg_m(max(speed, 0.01), body.diameter_m, body.factor, fluid)
        speed = float((pull / resists) ** 0.5)
    return speed


def pick_up_of(design: Design) -> PickUp:
    """How the fly comes off the water."""
    day = design.situation
    if day.line.sinking != "floating":
        return "line is sunk"
    if day.floats:
        return "fly floats"
    speed = drawn_m_s(design)
    if speed > EASY_M_S:
        return "easy"
    return "steady draw" if speed > STICKS_M_S else "grips"
