"""A row of the knot table carries all that any part of the program needs of a knot."""

from typing import get_args

import pytest

from nine_knots.core.assess.tying_time import PIECE_S, tying_time
from nine_knots.core.base.units import Units
from nine_knots.core.domain.knots import table
from nine_knots.core.domain.knots.table import KNOTS, KnotKey
from nine_knots.core.domain.leader import Connection
from nine_knots.drawing import RECIPES, knot_drawing
from nine_knots.words.knot_card import PLACES, knot_card
from tests.makers import level, tied


def test_every_key_has_a_row_and_a_drawing_and_none_is_left_over():
    assert set(KNOTS) == set(get_args(KnotKey)) == set(RECIPES)


@pytest.mark.parametrize("key", KNOTS)
def test_every_knot_is_read_up_drawn_and_timed(key):
    card = knot_card(key, Units("imperial"))
    assert card.place in PLACES.values()
    assert all(line.text for line in card.lines)
    assert knot_drawing(key)
    leader = tied(level(15, 3), level(12, 2), level(9, 2))
    joints = [*leader.joints]
    joints[1] = Connection.model_construct(**{**joints[1].model_dump(), "knot": key})
    timed = tying_time(leader.model_copy(update={"joints": tuple(joints)}), {})
    known = [KNOTS[joint.knot].usual_s for joint in joints[:-1]]
    assert timed.seconds == pytest.approx(3 * PIECE_S + sum(known))


def test_a_knot_that_is_added_needs_no_other_table(monkeypatch):
    new = KNOTS["blood"].model_copy(update={"key": "new-knot", "usual_s": 70.0})
    monkeypatch.setitem(table.KNOTS, "new-knot", new)
    leader = tied(level(15, 3), level(9, 2))
    joints = [*leader.joints]
    joints[1] = Connection.model_construct(**{**joints[1].model_dump(), "knot": "new-knot"})
    with_it = tying_time(leader.model_copy(update={"joints": tuple(joints)}), {}).seconds
    assert with_it - tying_time(leader, {}).seconds == pytest.approx(70.0 - KNOTS["blood"].usual_s)
