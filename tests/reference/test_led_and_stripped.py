"""A tight line and a strip against what must hold whatever the model: lengths and what is dry."""

import numpy as np
import pytest

from nine_knots.core.domain.in_water import MOST_FACTOR, fly_body
from nine_knots.core.domain.situation import Water
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.techniques import fish, technique_of
from nine_knots.core.water.question import WaterQuestion
from tests.makers import day
from tests.reference.test_own_verdict import TROUT_SHELF
from tests.rigs import tie

NYMPH = Fly(title="n", kind="nymph", hook=14, bulk="slim", bead=Bead(diameter_mm=3.0))
COLD = Fluid(999.7, 1.306e-3)


def led(lead: float, **ask):
    at = day(
        water=Water(kind="run", depth_m=1.0, pace_m_s=0.8),
        fly=NYMPH,
        line=FlyLine(title="l", weight=3),
        wish="drift deep",
    )
    rig = tie("tight-line", at, TROUT_SHELF)
    assert technique_of(rig.design).key == "on a tight line"
    return fish(rig.design, WaterQuestion(lead=lead, **ask))


def test_a_tight_line_is_drawn_out_of_the_water_and_hangs_straight_above_it():
    """What is dry above a led rig is nearly straight from the rod's tip down: nothing pins it where
    it crosses the surface."""
    run = led(0.5)
    places = run.history.places[-1]
    chain = [0]
    parent = run.rig.tree.parent
    node = run.rig.lowest.node
    while node:
        chain.append(node)
        node = parent[node]
    path = places[[0, *reversed(chain[1:])]]
    dry = path[path[:, 1] > 1.0]
    assert len(dry) >= 4
    along = np.hypot(*np.diff(dry, axis=0).T).sum()
    assert np.hypot(*(dry[-1] - dry[0])) > 0.985 * along


def test_where_a_led_rig_lands_is_the_anglers_to_say():
    near, far = (led(0.8, lands=share) for share in (0.3, 0.9))
    down = [
        int(np.argmax(run.history.places[:, run.rig.lowest.node, 1] < 0.15)) for run in (near, far)
    ]
    assert 0 < down[0] < down[1]


def test_a_strip_takes_line_in_at_the_rods_tip_and_loses_none_of_it():
    at = day(
        water=Water(kind="lake", depth_m=3.0, pace_m_s=0.0),
        fly=Fly(title="s", kind="streamer", hook=6),
        line=FlyLine(title="l", weight=7, sinking="sink-3"),
        wish="strip",
    )
    rig = tie("halving", at, TROUT_SHELF)
    run = fish(rig.design, WaterQuestion(line_m=10.0, count_s=5.0, pull_m=0.3))
    places, tree = run.history.places, run.rig.tree
    node, whole = run.rig.lowest.node, float(tree.reach[run.rig.lowest.node])
    chain = [node]
    while chain[-1]:
        chain.append(int(tree.parent[chain[-1]]))
    path = places[:, chain[::-1]]
    lengths = np.hypot(*np.moveaxis(np.diff(path, axis=1), 2, 0)).sum(axis=1)
    assert lengths[0] == pytest.approx(whole, rel=0.02)
    assert (places[:, 0] == places[0, 0]).all()  # the rod's tip stays where it is
    assert lengths[-1] <= whole - 8 * 0.3 + 0.15
    assert lengths[-1] >= whole - 8 * 0.3 - 0.6


def test_a_fall_slower_than_any_drag_explains_is_borne_by_what_it_traps():
    plain = fly_body(NYMPH, COLD)
    slow = fly_body(NYMPH.model_copy(update={"sink_m_s": 0.03}), COLD)
    assert slow.factor == MOST_FACTOR
    assert slow.weight_n < 0.2 * plain.weight_n
    assert slow.sink_m_s(COLD) == pytest.approx(0.03, rel=0.02)
    usual = fly_body(NYMPH.model_copy(update={"sink_m_s": 0.4}), COLD)
    assert usual.weight_n == plain.weight_n
