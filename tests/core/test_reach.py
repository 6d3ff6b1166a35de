"""How surely a rig reaches the zone: what is known is no doubt, and what is told adds up."""

from math import exp

import numpy as np
import pytest

from nine_knots.core.assess.reach import FALLS_OFF, GUESSED_OFF, reach_of
from nine_knots.core.domain.in_water import fly_body
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import USUAL_QUESTION, WaterQuestion
from nine_knots.core.water.surroundings import fluid_of
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.words.reach import reach_reading
from tests.makers import INCHES

DESIGNS = {
    design.title: design for design in (*demo_designs(demo_stock()), *demo_rigs(demo_stock()))
}
FLOAT, TIGHT = DESIGNS["Two under the float, bridge run"], DESIGNS["Tight line for the pockets"]


def test_tries_add_up_and_are_the_same_every_time():
    found = reach_of(FLOAT, USUAL_QUESTION)
    assert found.right + found.high + found.deep == found.tries
    assert 0 < found.high < found.right
    assert sum(share for _, share in found.shares) == pytest.approx(1.0)
    assert reach_of(FLOAT, USUAL_QUESTION) == found
    told = reach_reading(found, INCHES)
    assert told.fact.text.startswith(f"{found.right} of 32 tries fish in the zone, {found.high} ")
    assert told.settle.endswith("is how deep it is. Sound it with a weight on the line.")


def test_a_fly_timed_in_a_jar_is_less_of_a_doubt():
    fly = TIGHT.situation.fly
    fluid = fluid_of(TIGHT.situation.water)
    timed = fly.evolve(sink_m_s=fly_body(fly, fluid).sink_m_s(fluid))
    made = TIGHT.evolve(situation=TIGHT.situation.evolve(fly=timed))
    before, after = (dict(reach_of(item, USUAL_QUESTION).shares) for item in (TIGHT, made))
    assert after["fly"] < 0.5 * before["fly"]


def test_what_no_knowing_mends_a_fly_on_top_and_any_depth_are_told_as_they_are():
    shallow = reach_of(FLOAT, WaterQuestion(wanted_m=0.3))
    assert (shallow.right, shallow.deep) == (0, 32)
    told = reach_reading(shallow, INCHES)
    assert told.fact.status == "too much"
    assert "isn't a question of certainty" in told.settle
    dry = DESIGNS["Skarn evening sedge"]
    assert reach_of(dry, USUAL_QUESTION) is None
    assert "stays on top" in reach_reading(None, INCHES).fact.text
    swung = reach_reading(reach_of(DESIGNS["Night pool"], USUAL_QUESTION), INCHES)
    assert "keep clear of the bed" in swung.fact.text


def test_as_many_reach_it_as_of_plain_draws():
    """Against a few hundred independent draws of pace, depth and fall, made without its code."""
    chance, technique = np.random.default_rng(7), technique_of(FLOAT)
    day = FLOAT.situation
    fluid, right, tries = fluid_of(day.water), 0, 150

    def falling(fly, by):
        return fly.evolve(sink_m_s=by * fly_body(fly, fluid).sink_m_s(fluid))

    for _ in range(tries):
        pace, depth, falls = chance.normal(size=3)
        by = exp(FALLS_OFF * falls)
        water = day.water.evolve(
            pace_m_s=day.water.pace_m_s * exp(GUESSED_OFF * pace),
            depth_m=day.water.depth_m * exp(GUESSED_OFF * depth),
        )
        leader = FLOAT.leader
        for number, fly in leader.flies_above:
            joint = leader.joints[number]
            dropper = joint.dropper.evolve(fly=falling(fly, by)) if joint.dropper else None
            fly_in_line = None if joint.dropper else falling(fly, by)
            leader = leader.with_joint(number, joint.evolve(dropper=dropper, fly=fly_in_line))
        situation = day.evolve(water=water, fly=falling(day.fly, by))
        made = FLOAT.evolve(situation=situation, leader=leader)
        depth_cord = next(technique.measures(made, USUAL_QUESTION))
        right += depth_cord.status == "right"
    found = reach_of(FLOAT, USUAL_QUESTION)
    share, expected = found.right / found.tries, right / tries
    assert share == pytest.approx(expected, abs=2.5 * (expected * (1 - expected) / 32) ** 0.5)
