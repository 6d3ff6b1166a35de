"""Light against an almanac, the tide against the rule of twelfths."""

from datetime import UTC, date, datetime, timedelta, timezone

import pytest
from hypothesis import given
from hypothesis import strategies as st

from nine_knots.core.assess.tide import HALF_MIN, tide_at
from nine_knots.services.sunlight import light_of

GREENWICH = (51.478, 0.0)


@pytest.mark.parametrize(
    ("day", "hours_east", "up", "down"),
    [
        (date(2023, 6, 21), 1, "04:43", "21:21"),
        (date(2023, 12, 22), 0, "08:04", "15:53"),
    ],
)
def test_the_sun_at_greenwich_is_the_almanacs(day, hours_east, up, down):
    """HM Nautical Almanac Office, sunrise and sunset at London; from memory, to the minute."""
    zone = timezone(timedelta(hours=hours_east))
    found = light_of(*GREENWICH, day, zone)

    def minutes_off(time: datetime, said: str) -> float:
        hours, minutes = map(int, said.split(":"))
        return abs(time.hour * 60 + time.minute + time.second / 60 - hours * 60 - minutes)

    assert minutes_off(found.sunrise, up) <= 1.0
    assert minutes_off(found.sunset, down) <= 1.0
    assert found.dawn < found.sunrise < found.sunset < found.dusk


def test_beyond_the_circle_it_is_said_and_nothing_is_made_up():
    summer = light_of(69.65, 18.96, date(2023, 6, 21), UTC)
    winter = light_of(69.65, 18.96, date(2023, 12, 21), UTC)
    assert (summer.sunset, summer.dusk, summer.up) == (None, None, True)
    assert (winter.sunrise, winter.up) == (None, False)


def test_height_goes_by_the_rule_of_twelfths():
    """1, 2, 3, 3, 2, 1 twelfths in the six hours of a tide: common practice, no source."""
    fall = [tide_at(0.0, HALF_MIN, HALF_MIN * hour / 6).height for hour in range(7)]
    # the last is the turn itself, where the next tide begins
    twelfths = [12 * (a - b) for a, b in zip(fall[:-1], [*fall[1:-1], 0.0], strict=True)]
    assert twelfths == pytest.approx([1, 2, 3, 3, 2, 1], abs=0.25)


@given(st.floats(0, 1439), st.floats(0, 1439))
def test_the_tide_turns_where_it_should_and_is_never_beyond_its_range(high, now):
    tide = tide_at(high, high + HALF_MIN, now)
    assert 0.0 <= tide.height <= 1.0
    assert 0.0 <= tide.strength <= 1.0
    assert tide.since_min + tide.to_min == pytest.approx(HALF_MIN, abs=1.0)
    later = tide_at(high, high + HALF_MIN, now + 1.0)
    if tide.state == later.state == "flood":
        assert later.height >= tide.height
    if tide.state == later.state == "ebb":
        assert later.height <= tide.height
