"""A stretch at another level: against closed forms and plain regression; how sure is said."""

from math import log

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nine_knots.core.assess.gauge import read_gauge
from nine_knots.core.assess.gauge_rating import DEPTH_OFF, LEAST_OFF_M, SLOPE_OFF, at_level
from nine_knots.core.base.units import Units
from nine_knots.core.domain.places import LevelNote, Place, RiverStretch
from nine_knots.core.domain.situation import Water, WaterRules
from nine_knots.demo.places import demo_places
from nine_knots.words.places import place_reading

IMPERIAL, METRIC = Units("imperial"), Units("metric")
SKARN = demo_places()[0]


def stretch(*notes: tuple[float, float, float | None]) -> RiverStretch:
    made = tuple(LevelNote(level_m=x, depth_m=y, pace_m_s=v) for x, y, v in notes)
    return RiverStretch(stretch_id="a", title="A", levels=made)


def test_one_note_goes_up_and_down_with_the_water():
    found = at_level(stretch((0.5, 0.8, 0.6)), 0.7)
    assert found.depth_m == pytest.approx(1.0, abs=1e-4)
    noted, slope = max(LEAST_OFF_M, DEPTH_OFF * 0.8), SLOPE_OFF * 0.2
    assert found.depth_off_m == pytest.approx(np.hypot(noted, slope), rel=1e-4)
    assert found.pace_m_s == pytest.approx(0.6 * (1.0 / 0.8) ** (2 / 3), rel=1e-4)
    assert at_level(stretch(), 0.5) is None


def test_many_notes_are_plain_least_squares():
    rng = np.random.default_rng(4)
    levels = rng.uniform(0.2, 1.4, 400)
    depths = 0.31 + 0.8 * levels + rng.normal(0, 0.03, levels.size)
    made = RiverStretch.model_construct(
        stretch_id="a",
        title="A",
        water=Water(),
        levels=tuple(
            LevelNote(level_m=float(x), depth_m=float(y), pace_m_s=float(0.9 * y**0.5))
            for x, y in zip(levels, depths, strict=True)
        ),
    )
    found = at_level(made, 1.0)
    assert found.depth_m == pytest.approx(0.31 + 0.8, abs=0.02)
    assert found.pace_m_s == pytest.approx(0.9 * found.depth_m**0.5, rel=0.02)
    assert found.depth_off_m < 0.01


@given(
    st.lists(st.tuples(st.floats(0.1, 1.5), st.floats(0.2, 2.0)), min_size=1, max_size=6),
    st.floats(-1.0, 3.0),
)
def test_it_is_never_surer_beyond_what_was_seen_than_within(notes, level):
    made = stretch(*[(round(x, 2), round(y, 2), 0.5) for x, y in notes])
    found = at_level(made, level)
    low, high = found.seen_m
    nearest = at_level(made, min(high, max(low, level)))
    assert found.depth_off_m >= nearest.depth_off_m - 1e-9
    assert 0.05 <= found.depth_m <= 30.0
    assert (found.beyond_m > 0.0) == (level < low - 0.05 or level > high + 0.05)


def test_words_say_depth_pace_spread_and_where_nobody_looked():
    here = {item.title: item for item in place_reading("a" * 32, SKARN, 0.6, METRIC).stretches}
    alder = here["The alder pool, head"]
    assert alder.now.startswith("Thigh-deep, 80 cm, ± 10 cm; walking pace, 0.8 m/s")
    assert alder.now.endswith("By four notes.")
    assert alder.beyond == ""
    assert "only. A note at another level" in here["The gorge pool"].now
    assert "no notes" in here["The mill glide"].now
    assert here["The mill glide"].rules.startswith("One fly at most")
    high = place_reading("a" * 32, SKARN, 1.4, METRIC).stretches[1]
    assert "outside what you have seen (0.38 m to 0.81 m)" in high.beyond
    assert any("Don't wade here" in caution for caution in high.cautions)
    usual = place_reading("a" * 32, SKARN, None, IMPERIAL).stretches[1]
    assert (usual.now, usual.water.rules) == ("", SKARN.rules)


def test_depth_and_pace_go_into_the_water_a_leader_is_judged_against():
    low, high = (
        place_reading("a" * 32, SKARN, level, METRIC).stretches[1].water for level in (0.4, 0.8)
    )
    assert high.depth_m - low.depth_m == pytest.approx(0.4, abs=0.12)
    assert log(high.pace_m_s / low.pace_m_s) > 0.3
    own = Place(title="B", rules=WaterRules(most_flies=3), stretches=(stretch(),))
    assert place_reading("b" * 32, own, None, METRIC).stretches[0].water.rules.most_flies == 3


def test_a_gauge_is_gone_by_while_it_is_fresh_and_does_not_leap():
    fresh = read_gauge(((0.62, 600.0), (0.60, 4200.0)))
    assert (fresh.status, fresh.rises_m_h) == ("fresh", pytest.approx(0.02))
    assert read_gauge(((0.62, 90_000.0),)).status == "stale"
    assert read_gauge(((4.0, 600.0), (0.6, 1500.0))).status == "odd"
