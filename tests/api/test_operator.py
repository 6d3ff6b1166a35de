"""What an operator is told: what is amiss, and nothing of so few calls that they tell nothing."""

from nine_knots.api.auth.operator import PoolRow, alarms
from nine_knots.api.metrics import RouteTime


def crews(*eldest_s):
    return tuple(
        PoolRow(name, busy=0, elsewhere=0, waiting=1, eldest_s=item, done=9, known=0, other=0)
        for name, item in zip(("bench", "search"), eldest_s, strict=True)
    )


def read(count, p95_s):
    return (
        RouteTime("GET", "/api/v1/log", 900, 0.5, 2.5),
        RouteTime("POST", "/api/v1/bench", count, 0.01, p95_s),
    )


def test_a_bench_that_is_read_slowly_is_told_once_enough_were_read():
    assert alarms(crews(0.0, 0.0), read(8, 2.5)) == ("Nothing is waiting for long.",)
    (slow,) = alarms(crews(0.0, 0.0), read(400, 0.25))
    assert "short of processors" in slow
    (well,) = alarms(crews(0.0, 0.0), read(400, 0.025))
    assert "as quickly as they should" in well


def test_who_waits_for_long_is_told_by_where():
    assert [alarm.split(" a job")[0] for alarm in alarms(crews(9.0, 90.0), ())] == [
        "At the bench",
        "At the search",
    ]
    assert alarms(crews(0.0, 9.0), ()) == ("Nothing is waiting for long.",)
