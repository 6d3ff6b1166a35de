"""What the hands do for depth goes by how the fly is fished, and by whether the water moves."""

import pytest

from nine_knots.words.plan.by_hand import by_hand


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
    assert by_hand(wish, pace_m_s, True).startswith(deeper)
    assert by_hand(wish, pace_m_s, False).startswith(shallower)
