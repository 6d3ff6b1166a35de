"""What an operator watches: counted as it happens, about nobody, and at the machine only."""

import pymysql
from fastapi.testclient import TestClient
from prometheus_client.parser import text_string_to_metric_families

from tests.api.test_phones import OUTSIDE, bench, house  # noqa: F401, fixtures


def measures(client) -> dict[str, float]:
    """Samples by their names and labels."""
    text = client.get("/metrics").text
    return {
        " ".join((sample.name, *sample.labels.values())): sample.value
        for family in text_string_to_metric_families(text)
        for sample in family.samples
    }


def test_calls_tasks_and_conflicts_are_counted(client, saved, database):
    before = measures(client)
    client.get(f"/api/v1/leaders/{saved['leader_id']}")
    client.get("/api/v1/leaders/none")
    client.get("/api/v1/made/up/path")
    body = {"bench": "watched", "design": saved["design"], "near": {"aim_deg": 7}}  # as none
    for _ in range(2):
        assert client.post("/api/v1/casts", json=body).status_code == 200
    after = measures(client)

    def more(name: str) -> float:
        return after[name] - before.get(name, 0.0)

    seconds = "nine_knots_request_seconds_count"
    assert more(f"{seconds} GET /api/v1/leaders/{{leader_id}} 2xx") == 1
    assert more(f"{seconds} GET /api/v1/leaders/{{leader_id}} 4xx") == 1
    assert more(f"{seconds} GET none 4xx") == 1
    assert more("nine_knots_tasks_total bench worked out") == 1
    assert more("nine_knots_tasks_total bench known") == 1
    assert more("nine_knots_task_seconds_total bench") > 0.0
    assert after["nine_knots_waiting bench"] == after["nine_knots_waiting_age_seconds bench"] == 0
    assert not any(saved["leader_id"] in name for name in after)

    tries = []

    def conflicts(cursor) -> None:
        tries.append(cursor)
        if len(tries) < 3:
            raise pymysql.err.OperationalError(1213, "Deadlock found")

    database.transact(conflicts)
    last = measures(client)["nine_knots_database_conflicts_total"]
    assert last - after["nine_knots_database_conflicts_total"] == 2


def test_it_says_whether_it_is_well(client, monkeypatch):
    assert client.get("/health").json() == {"well": True}
    database = client.app.state.database
    trouble = pymysql.err.OperationalError(2003, "no server")

    def none(*_):
        raise trouble

    monkeypatch.setattr(database._pool, "connection", none)
    ill = client.get("/health")
    assert (ill.status_code, ill.json()["well"]) == (503, False)
    database._lost_until = 0.0  # else it is not asked for a second


def test_none_of_it_is_told_by_the_door(house, bench):  # noqa: F811
    outside = TestClient(house, base_url=OUTSIDE)
    for path in ("/metrics", "/health"):
        assert outside.get(path).status_code == 403
        assert bench.get(path).status_code == 200
