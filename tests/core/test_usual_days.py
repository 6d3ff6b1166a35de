"""A new leader's day is filled in from what is owned; a fly is fished as it can be."""

import pytest

from nine_knots.core.domain.situation import Water
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.core.domain.usual_days import USUAL, day_kind_of, suited_wish, usual_day
from nine_knots.demo.tackle import FLIES, LINES, RODS

STILL, RUN = Water(kind="lake", pace_m_s=0.0), Water(kind="run", pace_m_s=0.6)


@pytest.mark.parametrize("kind", USUAL)
def test_each_day_can_be_fished_with_what_it_names(kind):
    mine = (RODS.values(), LINES.values(), FLIES.values())
    for kit in (tuple(map(tuple, mine)), ((), (), ())):
        day = usual_day(kind, *kit)
        assert suited_wish(day.fly, day.wish, day.water) == day.wish
        assert not kit[0] or (day.line in LINES.values() and day.rod in RODS.values())
        assert day.fly in FLIES.values() or day.fly == USUAL[kind][-1]


def test_the_outfit_that_suits_best_is_taken():
    lines = tuple(FlyLine(title=f"{weight}", weight=weight) for weight in (4, 8, 10))
    thin = FlyLine(title="thin", weight=3, level_m=0.55e-3)
    rods = tuple(Rod(title=f"{w}", length_m=2.7, weight=w) for w in (3, 5, 9))
    assert usual_day("salt", rods, lines, ()).line.weight == 8
    assert usual_day("salt", rods, lines, ()).rod.weight == 9
    assert usual_day("tight line", rods, (*lines, thin), ()).line == thin
    assert usual_day("dry", rods, (thin, *lines), ()).line.weight == 4


@pytest.mark.parametrize(
    ("fly", "wish", "water", "fished"),
    [
        (Fly(title="n", kind="nymph", hook=14), "drift on top", RUN, "drift deep"),
        (Fly(title="s", kind="streamer", hook=6), "drift on top", RUN, "strip"),
        (Fly(title="s", kind="streamer", hook=6), "swing", STILL, "strip"),
        (Fly(title="d", kind="dry", hook=14), "swing", RUN, "drift on top"),
        (Fly(title="p", kind="foam", hook=2), "drift deep", STILL, "drift on top"),
        (Fly(title="w", kind="wet", hook=12), "drift deep", RUN, "drift deep"),
        (Fly(title="e", kind="emerger", hook=16), "strip", RUN, "hang in the film"),
    ],
)
def test_the_presentation_follows_the_fly(fly, wish, water, fished):
    assert suited_wish(fly, wish, water) == fished


def test_an_untouched_bench_begins_with_the_first_fly():
    assert day_kind_of(()) == "dry"
    assert day_kind_of((Fly(title="b", kind="streamer", hook=0, weighed_kg=2e-3),)) == "salt"
    assert day_kind_of((Fly(title="p", kind="predator", hook=-3),)) == "teeth"
