"""What the hands do for depth goes by how the fly is fished, and by whether the water moves."""

import pytest

from nine_knots.core.plan.by_hand import by_hand
from tests.makers import design


def fished(wish, pace_m_s):
    day = design(wish=wish).situation
    return day.model_copy(update={"water": day.water.model_copy(update={"pace_m_s": pace_m_s})})


@pytest.mark.parametrize(
    ("wish", "pace_m_s", "deeper", "shallower"),
    [
        ("strip", 0.5, "count it down longer", "begin to strip sooner"),
        ("strip", 0.0, "count it down longer", "begin to strip sooner"),
        ("swing", 0.5, "cast farther upstream and mend", "cast more across"),
        ("lead and drop", 0.5, "give it slack", "lift the rod sooner"),
        (
            "drift deep",
            0.5,
            "cast farther upstream and give it time",
            "raise the rod, cast less far upstream",
        ),
        ("drift deep", 0.0, "give it more time", "lift it sooner"),
    ],
)
def test_each_way_has_its_own_hands(wish, pace_m_s, deeper, shallower):
    day = fished(wish, pace_m_s)
    assert by_hand(day, True).startswith(deeper)
    assert by_hand(day, False).startswith(shallower)
