"""Knot drawings: over and under by turns as described, every end accounted for, nothing cut off."""

import itertools
import re

import numpy as np
import pytest

from nine_knots.core.domain.knots import KNOTS
from nine_knots.drawing import RECIPES, drawing_of, knot_drawing
from nine_knots.drawing.crossings import crossings
from nine_knots.drawing.figure import since
from nine_knots.drawing.overhand import overhand
from nine_knots.drawing.path import Path, offset, smooth

EVERY = sorted(RECIPES)
EDGE = 60.0  # standing parts leave the drawing beyond this


def curves(key, k=0.0):
    return tuple(item.curve for item in RECIPES[key].build(k).strands)


def overs(found, first, second, low=0.0, high=1e9):
    """Along the first strand, whether it lies over the second at each crossing, in order."""
    along = []
    for found_item in found:
        for mine, other, over in (
            (found_item.over, found_item.under, True),
            (found_item.under, found_item.over, False),
        ):
            if mine[0] == first and other[0] == second and low <= mine[1] <= high:
                along.append((mine[1], over))
    return [over for _, over in sorted(along)]


def by_turns(flags):
    return all(a != b for a, b in itertools.pairwise(flags))


def test_every_knot_is_drawn():
    assert set(RECIPES) == set(KNOTS)


@pytest.mark.parametrize("key", EVERY)
@pytest.mark.parametrize("k", [0.0, 0.6, 1.0])
def test_strands_are_whole_and_inside_the_drawing(key, k):
    left, top, width, height = knot_drawing(key).box
    for curve in curves(key, k):
        gaps = np.hypot(*np.diff(curve.points[:, :2], axis=0).T)
        assert gaps.max() < 6.0
        assert curve.points[:, 0].min() > left
        assert curve.points[:, 0].max() < left + width
        assert (-curve.points[:, 1]).min() > top
        assert (-curve.points[:, 1]).max() < top + height


@pytest.mark.parametrize("key", EVERY)
def test_both_ends_of_every_strand_are_accounted_for(key):
    """A standing part leaves at the edge, a tag ends inside, an eye and a doubled line close."""
    ends = []
    for item in RECIPES[key].build(0.0).strands:
        if item.part == "eye":
            assert item.curve.points[0] == pytest.approx(item.curve.points[-1])
            continue
        ends += [abs(float(item.curve.points[i, 0])) > EDGE for i in (0, -1)]
    status = {"between": 2, "line": 2}.get(KNOTS[key].place, 1)
    assert sum(ends) == status
    assert len(ends) - sum(ends) >= 1


@pytest.mark.parametrize("key", EVERY)
def test_the_work_shows_step_by_step_and_all_of_it_at_the_end(key):
    recipe, drawing = RECIPES[key], knot_drawing(key)
    steps = len(recipe.captions) - 1
    shown = [sum(s.since <= step for s in drawing.work) for step in range(steps)]
    assert shown == sorted(shown)
    assert len(set(shown)) >= steps - 1, "nearly every step adds something"
    assert shown[-1] == len(drawing.work)
    assert any(stroke.tag for stroke in drawing.work)
    assert any(not stroke.tag for stroke in drawing.work)
    assert all(re.fullmatch(r"M[-\d. L]+", stroke.path) for stroke in drawing.work)
    assert len(drawing.drawn_up) >= 4
    assert all(caption.endswith(".") for caption in drawing.captions)
    for item in recipe.build(0.0).strands:
        assert (np.diff(since(item, steps)) >= 0).all()
    assert drawing_of(recipe) == drawing


@pytest.mark.parametrize("count", [3, 5, 7])
def test_an_overhand_goes_over_and_under_by_turns(count):
    """Three crossings by turns is the overhand, five and seven its double and triple."""
    found = crossings((smooth(overhand(count, 0.0, -66.0, 42.0)),))
    assert len(found) == count
    assert by_turns(overs(found, 0, 0))


@pytest.mark.parametrize(
    ("key", "winds", "round_", "mark", "at_least"),
    [
        ("blood", 0, 1, (0, 1), 9),
        ("blood", 1, 0, (0, 3), 9),
        ("nail", 1, 0, (0, 1), 9),
        ("albright", 1, 0, (1, 2), 12),
        ("double-uni", 0, 1, (1, 2), 7),
    ],
)
def test_a_wrap_goes_over_and_under_what_it_is_wound_round(key, winds, round_, mark, at_least):
    made = curves(key)
    low, high = (made[winds].marks[i] for i in mark)
    flags = overs(crossings(made), winds, round_, low + 3, high - 3)
    assert len(flags) >= at_least
    if key == "albright":  # two legs: over both, then under both
        flags = flags[::2]
    assert sum(a != b for a, b in itertools.pairwise(flags)) >= len(flags) - 2


def test_the_blood_knots_tags_leave_through_the_middle_on_opposite_sides():
    upper, lower = curves("blood")
    assert upper.points[-1, 1] < -5 < 5 < lower.points[-1, 1]
    assert abs(upper.points[-1, 0]) < 3 > abs(lower.points[-1, 0])


def test_the_clinchs_tag_passes_between_eye_and_coils():
    _, strand = curves("clinch")
    flags = overs(crossings(curves("clinch")), 1, 1, strand.marks[1] + 1)
    assert set(flags) == {True, False}, "over the one strand, under the other"


@pytest.mark.parametrize("key", EVERY)
def test_drawn_up_it_is_smaller(key):
    def knot_height(k):
        points = np.concatenate([c.points for c in curves(key, k)])
        return np.ptp(points[np.abs(points[:, 0]) < 40, 1])

    assert knot_height(1.0) < knot_height(0.0)


def test_a_strand_beside_another_keeps_its_distance():
    one = smooth(Path(0.0, 0.0).to((10.0, 0.0, 1.0), (20.0, 4.0, 2.0)))
    other = offset(one, 2.0)
    apart = np.hypot(*(other.points - one.points)[:, :2].T)
    assert apart == pytest.approx(np.full(len(apart), 2.0), abs=0.05)
    assert (other.points[:, 2] == one.points[:, 2]).all()
