"""What the log says: counts that add up in any order, hours where it was fished, honest doubt."""

import random

import pytest
from scipy.stats import binom

from nine_knots.core.base.units import Units
from nine_knots.core.domain.day_brief import BriefRig, BriefStop, DayBrief, ExpectedBreak
from nine_knots.core.domain.event import Event, EventDetail
from nine_knots.core.log.counts import ENOUGH, between, rate_of, share_of
from nine_knots.core.log.day import events_in_context, renewals
from nine_knots.core.log.expected import expected_breaks
from nine_knots.core.log.tables import LoggedDay, breaks, by_rig, by_stretch, season_cost, table
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.season import demo_season
from nine_knots.demo.shelf import demo_stock
from nine_knots.words.log.season import FEW, season_of

HOUR = 3_600_000
METRIC = Units("metric")
BRIEF = DayBrief(
    stops=(
        BriefStop(
            stretch_id="pockets", title="Pockets", rig="one", fly="sedge", begins_min=540,
            ends_min=660, depth_m=0.5,
        ),
        BriefStop(
            stretch_id="gorge", title="Gorge", rig="two", fly="leech", begins_min=700,
            ends_min=800, depth_m=1.4,
        ),
    ),
    rigs=(
        BriefRig(
            key="one",
            title="Sedge leader",
            breaks=(
                ExpectedBreak(place="at the fly", chance=0.75),
                ExpectedBreak(place="in the tippet", chance=0.25),
            ),
        ),
        BriefRig(key="two", title="Night leader"),
    ),
)  # fmt: skip


def made(number, kind, hours, **detail):
    return Event(
        event_id=f"{number:032x}",
        plan_id="a" * 32,
        at=int(hours * HOUR),
        kind=kind,
        detail=EventDetail(**detail),
    )


EVENTS = (
    made(1, "missed", 9.0),
    made(2, "fish", 9.5, fish="grayling"),
    made(3, "broke", 9.75, place="at the fly"),
    made(4, "new-tippet", 10.0),
    made(5, "came-to", 13.0, stretch="gorge"),
    made(6, "changed-rig", 13.1, rig="two", fly="leech"),
    made(7, "fish", 13.6),
    made(8, "new-tippet", 14.0),
    made(9, "taken-back", 14.1, undoes=f"{8:032x}"),
)
DAY = LoggedDay("a" * 32, BRIEF, events_in_context(BRIEF, 0.5, EVENTS))


def test_each_event_stands_where_it_happened_and_time_is_counted_where_it_was_fished():
    rows = {row.name: row for row in table([DAY], by_stretch)}
    assert (rows["Pockets"].fish, rows["Pockets"].takes) == (1, 3)
    assert rows["Pockets"].rate.hours == pytest.approx(1.0)  # not the walk, nor lunch
    assert rows["Gorge"].rate.hours == pytest.approx(0.6)
    assert {row.name for row in table([DAY], by_rig)} == {"Sedge leader", "Night leader"}
    assert season_cost([DAY]).tippets == 1
    assert renewals(BRIEF, EVENTS) == ((f"{4:032x}", "one"),)


def test_any_order_of_the_same_events_gives_the_same_log():
    mixed = [*EVENTS, *EVENTS[:4]]
    random.Random(3).shuffle(mixed)
    assert events_in_context(BRIEF, 0.5, mixed) == DAY.around


def test_hours_too_short_to_tell_are_left_out():
    def words(*events):
        day = LoggedDay(
            plan_id="a" * 32, brief=BRIEF, around=events_in_context(BRIEF, None, events)
        )
        return season_of((day,), METRIC).words

    tap = words(made(1, "fish", 9.0), made(2, "new-tippet", 9.01))
    assert "0 h" not in tap
    assert "one every" not in tap
    assert tap.startswith("One day: one fish")
    assert "one every" in words(*EVENTS, made(20, "new-tippet", 9.1), made(21, "fish", 10.9))


def test_a_share_of_few_is_not_said():
    season = season_of((DAY,), METRIC)
    row = season.tables[0].rows[0]
    assert row.share == FEW
    assert row.low is None
    assert share_of(ENOUGH, ENOUGH).enough
    wide, narrow = share_of(2, 4), share_of(50, 100)
    assert wide.high - wide.low > 4 * (narrow.high - narrow.low) * 0.7
    assert rate_of(3, 0.4) is None
    assert rate_of(0, 5.0).low < 0.01


@pytest.mark.parametrize(("chance", "many"), [(0.5, 10), (0.1, 30), (0.9, 7)])
def test_the_sum_of_like_coins_is_the_binomial(chance, many):
    expected, low, high = between([chance] * many)
    assert expected == pytest.approx(chance * many)
    assert low == binom.ppf(0.1, many, chance)
    assert high == binom.ppf(0.9, many, chance)


def test_breaks_are_set_against_what_hold_expected_of_the_rig_that_broke():
    found = {row.place: row for row in breaks([DAY])}
    assert found["at the fly"].seen == 1
    assert found["at the fly"].expected == pytest.approx(0.75)
    chances = expected_breaks(demo_designs(demo_stock())[0].leader)
    assert sum(item.chance for item in chances) == pytest.approx(1.0)


def test_a_knot_that_breaks_too_often_is_named():
    events = [made(1, "missed", 8.0)] + [
        made(number, "broke", 9.0 + number / 100, place="in the tippet") for number in range(2, 10)
    ]
    season = season_of(
        (LoggedDay("a" * 32, BRIEF, events_in_context(BRIEF, None, events)),), METRIC
    )
    assert season.break_words.startswith("More broke in the tippet than Hold expected")
    assert next(line for line in season.breaks if line.place == "in the tippet").odd


def test_the_season_of_the_demo_has_something_to_say_in_every_picture():
    days = tuple(
        LoggedDay(
            item.plan_id, item.brief, events_in_context(item.brief, item.plan.level_m, item.events)
        )
        for item in demo_season(demo_stock())
    )
    season = season_of(days, METRIC)
    assert len(season.tables) == 5
    assert all(table.rows for table in season.tables)
    assert len(season.breaks) >= 3
    assert "tippets renewed" in season.words
