"""What an angler always ties is tied wherever it holds, and nowhere else."""

import pytest
from pydantic import ValidationError

from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.domain.leader.own_knots import OwnKnots, with_own_knots
from tests.makers import DRY, FIVE, PLAIN, level, tied

UNI = OwnKnots(fly="uni", ring="uni", tippet="double-uni", sections="double-uni")


def mine(leader: Leader, ties: OwnKnots = UNI) -> Leader:
    return with_own_knots(leader, ties, FIVE, DRY)


def test_uni_for_everything_is_set_once():
    assert [joint.knot for joint in mine(PLAIN).joints] == [
        *("perfection-loop", "double-uni", "double-uni", "double-uni", "uni")
    ]
    assert mine(PLAIN, OwnKnots()) == PLAIN
    assert mine(mine(PLAIN)) == mine(PLAIN)


def test_where_it_does_not_hold_the_usual_knot_stays():
    steep = tied(level(24, 3, "butt"), level(10, 2), level(8, 2, "tippet"))
    assert mine(steep).joints[1] == steep.joints[1]
    assert mine(steep).joints[2].knot == "double-uni"
    wired = Leader(
        pieces=(level(17, 3), level(13, 1, "bite", "wire-single")),
        joints=(
            PLAIN.joints[0],
            Connection(kind="swivel", knot="haywire", upper_knot="improved-clinch"),
            Connection(knot="haywire"),
        ),
    )
    assert mine(wired).joints[1:] == wired.joints[1:]


def test_a_knot_has_its_place():
    with pytest.raises(ValidationError, match="is not tied there"):
        OwnKnots(fly="blood")
