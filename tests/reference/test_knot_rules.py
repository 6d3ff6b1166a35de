"""Knots as the trade ties them: turns, tags, rings, order of break, the record rule."""

import pytest

from nine_knots.core.assess.record_rule import LEAST_CLASS_M, MOST_BITE_M
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.knots import KNOTS, turns
from nine_knots.core.domain.leader import Connection, Leader, joint_between
from nine_knots.core.strength.elements import hold_of
from tests.makers import level, tied


@pytest.mark.parametrize(
    ("above", "below", "wanted"),
    [
        (0.027, 0.024, (4, 4)),
        (0.024, 0.021, (4, 5)),
        (0.021, 0.018, (5, 6)),
        (0.015, 0.012, (6, 7)),
    ],
)
def test_turns_of_a_blood_knot_by_strength_class(above, below, wanted):
    """Common practice, no source: 30/25 lb 4+4, 25/20 4+5, 20/16 5+6, 12 lb and finer 6+7."""
    assert turns(KNOTS["blood"], above * 1000 * THOU_M, below * 1000 * THOU_M) == wanted


def test_tags_and_droppers():
    """Common practice, no source."""
    assert "opposite sides" in KNOTS["blood"].tags
    assert "end of the upper piece" in KNOTS["triple-surgeons"].tags
    assert "never cut" in KNOTS["haywire"].tags


def test_a_ring_joins_what_a_knot_would_not():
    """Common practice, no source: .011 sighter to .005 tippet; heavy fluorocarbon to nylon."""
    assert joint_between(level(11, 2), level(5, 3, "tippet", "nylon-soft")).kind == "ring"
    assert joint_between(level(20, 3), level(17, 2, "tippet", "fluorocarbon")).kind == "ring"
    assert joint_between(level(17, 3), level(13, 1, "bite", "wire-single")).kind == "swivel"
    assert joint_between(level(12, 2), level(10, 2)) == Connection(knot="blood")


def test_below_the_ring_goes_first():
    """Common practice, no source: above a ring nothing should fail."""
    pieces = (level(18, 4, "butt"), level(11, 2), level(5, 4, "tippet", "nylon-soft"))
    plain = tied(*pieces)
    joints = (
        plain.joints[0],
        Connection(knot="blood"),
        joint_between(*pieces[1:]),
        plain.joints[3],
    )
    hold = hold_of(Leader(pieces=pieces, joints=joints))
    above = sum(e.chance for e in hold.elements if e.index < 2)
    assert above < 0.01


def test_knots_keep_what_well_tied_ones_keep():
    """From memory, in nylon of like sizes: each inside the range that is told of it."""
    told = {
        "nail": (0.85, 0.9),
        "perfection-loop": (0.75, 0.85),
        "blood": (0.8, 0.9),
        "double-surgeons": (0.85, 0.95),
        "uni": (0.85, 0.95),
        "clinch": (0.75, 0.85),
        "improved-clinch": (0.85, 0.95),
        "palomar": (0.9, 0.97),
        "non-slip-loop": (0.85, 0.95),
        "bimini": (0.97, 1.0),
    }
    for key, (low, high) in told.items():
        assert low <= KNOTS[key].efficiency <= high, key
    assert KNOTS["haywire"].efficiency >= 0.95


def test_the_record_rules_lengths():
    """IGFA rules for fly fishing, from memory: class 38.1 cm or more, bite 30.48 or less."""
    assert pytest.approx(0.381) == LEAST_CLASS_M
    assert pytest.approx(0.3048) == MOST_BITE_M
