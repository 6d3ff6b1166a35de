"""The bench instruments over HTTP and on their wires: read, kept with their spread, in trouble."""

import json
import re
import time

import pytest
import serial

from nine_knots.instruments.reading_stream import InstrumentReading, follow_instrument, read_line
from nine_knots.simulated.bench_instrument import BenchInstrument

FIVE_X = "runa-nylon-soft-006"


@pytest.fixture
def micrometer():
    made = BenchInstrument("mm")
    yield made
    made.unplug()


def until(address, wanted, say=(), most_s=8.0):
    """Sightings up to the first in a state, or the last of them."""
    end, seen = time.monotonic() + most_s, []
    for item in follow_instrument(address, "micrometer", lambda: time.monotonic() < end, say):
        seen.append(item)
        if item.state == wanted:
            break
    return seen


@pytest.mark.parametrize(
    ("line", "state", "value"),
    [
        ("L +0.158 mm", "live", 1.58e-4),
        ("D -0.0062 in", "taken", -0.0062 * 0.0254),
        ("L +0.158 mm U", "moving", 1.58e-4),
    ],
)
def test_lines_are_read(line, state, value):
    assert read_line(line, "micrometer") == InstrumentReading(state, pytest.approx(value))


@pytest.mark.parametrize(
    "line", ["", "L +0.158 g", "L +9999 mm", "L nan mm", "X +1 mm", "L 1 mm x"]
)
def test_what_is_no_reading_is_none(line):
    assert read_line(line, "micrometer") is None


def test_it_is_shown_live_and_taken_by_its_own_button(micrometer):
    seen = until(micrometer.address, "taken", say=("HAS 0.160 0.001", "PRESS"))
    assert seen[-1].value == pytest.approx(1.6e-4, abs=6e-6)
    again = until(micrometer.address, "live", say=("HAS 0.200 0",))[-1]
    assert again == InstrumentReading("live", pytest.approx(2e-4)) or again.value == pytest.approx(
        0.0
    )


@pytest.mark.parametrize("trick", ["silent", "rubbish", "unplugged"])
def test_trouble_is_said_and_it_comes_back_by_itself(micrometer, trick):
    micrometer.trick = trick
    wanted = "gone" if trick == "unplugged" else trick
    assert until(micrometer.address, wanted)[-1].state == wanted
    end, seen = time.monotonic() + 10.0, []
    for item in follow_instrument(micrometer.address, "micrometer", lambda: time.monotonic() < end):
        seen.append(item.state)
        if item.state == wanted:
            micrometer.trick = "none"
        if item.state == "live" and wanted in seen:
            break
    assert seen[-1] == "live"


def test_half_lines_wait_for_their_other_half(micrometer):
    micrometer.trick = "halves"
    seen = until(micrometer.address, "live", say=("HAS 0.160 0",))
    assert {item.state for item in seen} <= {"silent", "live"}


def test_what_is_not_there_is_looked_for_again():
    with serial.serial_for_url("loop://", timeout=0.1) as port:  # the handler tests go by
        port.write(b"L +0.158 mm\r\n")
        assert read_line(port.readline().decode(), "micrometer").value == pytest.approx(1.58e-4)
    gone = until("socket://127.0.0.1:9", "gone", most_s=2.0)
    assert gone[-1] == InstrumentReading("gone")


def test_two_read_the_same_wire_side_by_side(micrometer):
    first = follow_instrument(micrometer.address, "micrometer", lambda: True, ("HAS 0.160 0",))
    second = follow_instrument(micrometer.address, "micrometer", lambda: True, ("HAS 0.250 0",))
    for _ in range(12):
        one, two = next(first), next(second)
    assert (one.value, two.value) == (pytest.approx(1.6e-4), pytest.approx(2.5e-4))


def test_a_strand_is_measured_beside_its_label_and_kept_so(client):
    places = [["0.160 mm", "0.162 mm", "0.161 mm"], ["0.163 mm", ""], []]
    asked = {"of_id": FIVE_X, "places": places, "units": "metric"}
    told = client.post("/api/v1/measure/micrometer", json=asked).json()
    assert told["figure"].startswith("0.162 mm ± 0.00")
    assert "Sold as 5X, measures 4.6X" in told["words"][0]
    assert not told["kept"]
    row = {r["spool_id"]: r for r in client.get("/api/v1/stock").json()}[FIVE_X]
    assert row["item"]["strand"]["across_by"] is None
    headers = {"idempotency-key": "measured once"}
    for _ in range(2):
        kept = client.post(
            "/api/v1/measure/micrometer", json=asked | {"keep": True}, headers=headers
        )
        assert kept.json()["kept"]
    row = {r["spool_id"]: r for r in client.get("/api/v1/stock").json()}[FIVE_X]
    assert row["item"]["strand"]["across_by"]["readings"] == 4
    assert row["known"][0].startswith("Measured, four readings: .0064 in")
    assert len(client.get("/api/v1/measure", params={"of_id": FIVE_X}).json()) == 1
    odd = asked | {"places": [["0.160", "0.161", "0.160"], ["0.161", "0.201", "0.160"]]}
    words = client.post("/api/v1/measure/micrometer", json=odd).json()["words"]
    assert any("Reading 2 at place 2 is far" in word for word in words)
    wrong = client.post("/api/v1/measure/micrometer", json=asked | {"places": [["thick"]]})
    assert (wrong.status_code, wrong.json()["where"]) == (422, "places.0.0")
    # a spool's name and label changed in its form keep what was measured
    form = {
        "spool_id": FIVE_X,
        "material": "nylon-soft",
        "diameter": row["diameter"].split(" ·")[0],
    }
    form |= {"strength": "5 lb", "left": row["left"], "title": "Renamed"}
    renamed = client.post("/api/v1/stock/spools", json=form).json()
    assert renamed["item"]["strand"]["across_by"]["readings"] == 4
    assert renamed["item"]["remaining_m"] == row["item"]["remaining_m"]


def test_a_fly_is_weighed_and_timed_and_a_tip_drooped(client):
    kit = {row["title"]: row for row in client.get("/api/v1/owned/kit").json()}
    nymph = next(
        row for row in kit.values() if row["kind"] == "fly" and "bead" in f"{row['words']}"
    )
    line = next(row for row in kit.values() if row["kind"] == "line")
    fly_id = nymph["tackle_id"]
    scale = {"of_id": fly_id, "dry": ["0.21 g"], "wet": ["0.24 g", "0.25 g"], "keep": True}
    told = client.post("/api/v1/measure/scale", json=scale).json()
    assert told["figure"] in ("240 mg", "250 mg")
    jar = {"of_id": fly_id, "fall": "10 in", "times": ["0.8", "0.82", "0.79"], "keep": True}
    told = client.post("/api/v1/measure/jar", json=jar).json()
    assert "in/s ±" in told["figure"]
    flies = {fly["title"]: fly for fly in client.get("/api/v1/kit").json()["flies"]}
    fly = flies[nymph["title"]]
    assert fly["weighed_kg"] == pytest.approx(2.45e-4)
    assert fly["sink_by"]["readings"] == 3
    droop = {"of_id": line["tackle_id"], "of": "line", "length": "6 in"}
    told = client.post("/api/v1/measure/droop", json=droop | {"drops": ["1 in"], "keep": True})
    assert "for a tip of this thickness" in told.json()["words"][0]
    belly = droop | {"of": "belly", "length": "8 in", "drops": ["1 in"], "keep": True}
    told = client.post("/api/v1/measure/droop", json=belly)
    assert "for a belly of this thickness" in told.json()["words"][0]
    rows = {r["tackle_id"]: r for r in client.get("/api/v1/owned/kit").json()}
    measured = rows[line["tackle_id"]]
    assert re.search("Measured: its tip is .*, its belly is .* stiff", measured["known"])
    row = next(r for r in client.get("/api/v1/owned/kit").json() if r["tackle_id"] == fly_id)
    assert row["known"].startswith("Measured: weighs")
    named = row["text"].replace(row["title"], "Renamed nymph")
    client.post("/api/v1/owned", json={"text": named, "instead": fly_id})
    flies = {fly["title"]: fly for fly in client.get("/api/v1/kit").json()["flies"]}
    assert flies["Renamed nymph"]["sink_by"]["readings"] == 3  # a corrected line keeps it
    other = (
        named.replace("size ", "size 1", 1)
        if "size 1" not in named
        else named.replace("size 1", "size 2", 1)
    )
    client.post("/api/v1/owned", json={"text": other, "instead": fly_id})
    flies = {fly["title"]: fly for fly in client.get("/api/v1/kit").json()["flies"]}
    assert flies["Renamed nymph"]["sink_m_s"] is None  # another fly
    for path, body in (
        ("jar", jar | {"of_id": line["tackle_id"]}),
        ("droop", droop | {"of_id": "nobody", "drops": ["1 in"]}),
    ):
        assert client.post(f"/api/v1/measure/{path}", json=body).status_code == 404
    wrong = client.post("/api/v1/measure/droop", json=droop | {"drops": ["5.9 in"]})
    assert wrong.json()["code"] == "cannot-compute"


def test_an_instrument_is_shown_live_over_http(client):
    assert "simulated" in client.get("/api/v1/instruments").json()["words"]
    asked = {"kind": "micrometer", "of_id": FIVE_X, "units": "metric"}
    with client.stream("GET", "/api/v1/instruments/live", params=asked | {"trick": "none"}) as live:
        rows = (line for line in live.iter_lines() if line.startswith("data: "))
        said = [json.loads(next(rows)[6:]) for _ in range(6)]
    assert said[-1]["state"] == "live"
    assert said[-1]["reading"].endswith(" mm")
    refused = client.get("/api/v1/instruments/live", params=asked | {"address": "/etc/passwd"})
    assert refused.status_code == 422
