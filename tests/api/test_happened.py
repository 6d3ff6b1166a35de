"""What happened is sent in any order, twice if need be, from two phones, with the same result."""

import random

import pytest

PLAN, OTHER = "a" * 32, "b" * 32


def event(number, kind, plan_id=PLAN, **detail):
    return {
        "event_id": f"{number:032x}",
        "plan_id": plan_id,
        "at": 1_781_946_000_000 + 60_000 * number,
        "kind": kind,
        "detail": detail,
    }


DAY = [
    event(1, "came-to", stretch="pockets"),
    event(2, "fish", fish="grayling", mass=0.5),
    event(3, "changed-fly", fly="Pale upright 16"),
    event(4, "broke", place="in the tippet"),
    event(5, "new-tippet"),
    event(6, "taken-back", undoes=f"{2:032x}"),
]


def sent(client, *events):
    return client.post("/api/happened", json={"events": list(events)}).json()


def test_two_phones_in_any_order_and_twice_come_to_the_same(client):
    mixed = [*DAY, *DAY[:3]]
    random.Random(1).shuffle(mixed)
    first = sent(client, *mixed[:4])
    second = sent(client, *mixed[4:])
    assert first["new"] + second["new"] == len(DAY)
    kept = client.get("/api/happened", params={"plan_id": PLAN}).json()
    assert [one["event_id"] for one in kept] == [one["event_id"] for one in DAY]
    assert second["events"] == kept
    assert sent(client, *DAY)["new"] == 0
    assert sent(client, event(1, "note", OTHER, words="elsewhere"))["new"] == 0  # the id is taken


@pytest.mark.parametrize(
    "odd",
    [
        event(1, "swam"),
        event(1, "fish", setting=1.0),
        event(1, "broke", place="somewhere"),
        event(1, "taken-back"),
        event(1, "note", photo="../../etc/passwd"),
        {**event(1, "fish"), "at": -1},
        {**event(1, "fish"), "event_id": "x"},
    ],
)
def test_what_cannot_have_happened_is_refused_and_nothing_kept(client, odd):
    refused = client.post("/api/happened", json={"events": [event(2, "fish"), odd]})
    assert refused.status_code == 422
    assert client.get("/api/happened", params={"plan_id": PLAN}).json() == []
