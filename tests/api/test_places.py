"""Waters over HTTP: stretches, notes at levels, the gauge by SensorThings and its troubles."""

import json
import socketserver
import threading
import time
from contextlib import ExitStack
from functools import partial
from http.server import BaseHTTPRequestHandler

import pytest

from nine_knots.core.base.errors import TooBusy
from nine_knots.services import outbound, sensor_things
from nine_knots.services.sensor_things import LevelTrouble, list_datastreams, read_levels
from nine_knots.simulated.level_service import LevelService


@pytest.fixture
def skarn(client):
    found = {card["title"]: card for card in client.get("/api/v1/places").json()}
    assert found["The Skarn"]["words"] == "river, four stretches"
    return f"/api/v1/places/{found['The Skarn']['place_id']}"


@pytest.fixture
def service():
    made = LevelService()
    yield made
    made.end()


def test_the_level_is_read_by_the_standard(service):
    level, lake, other = list_datastreams(service.base)
    assert {level.title, lake.title} == {"Skarn bridge: Water level", "Perch lake: Water level"}
    assert (other.unit, other.metres) == ("°C", None)
    levels = read_levels(service.base, "1", 1.0, 5)
    assert len(levels) == 5
    assert all(0.4 < item.level_m < 0.7 for item in levels)
    assert levels[0].at > levels[1].at
    in_cm = read_levels(service.base, "2", 0.01)
    assert in_cm[0].level_m == pytest.approx(1.41, abs=0.05)


class Examples(BaseHTTPRequestHandler):
    """Answers as in the standard's own examples (OGC 18-088, annex; from memory)."""

    def do_GET(self):
        if "Observations" in self.path:
            rows = [
                {
                    "@iot.id": 1,
                    "phenomenonTime": "2017-02-07T18:02:00.000Z",
                    "result": 21.6,
                    "resultTime": None,
                },
                {"@iot.id": 2, "phenomenonTime": "2014-03-01T13:00:00Z/2015-05-11T15:30:00Z"},
                {"@iot.id": 3, "phenomenonTime": "2017-02-07T18:15:00+01:00", "result": 20.9},
                {"@iot.id": 4, "phenomenonTime": "yesterday", "result": 1.0},
                {"@iot.id": 5, "phenomenonTime": "2017-02-07T18:20:00Z", "result": True},
            ]
        else:
            rows = [
                {
                    "@iot.id": "ds/1",
                    "name": "oven temperature",
                    "unitOfMeasurement": {"name": "degree", "symbol": "deg", "definition": ""},
                }
            ]
        body = json.dumps({"@iot.count": len(rows), "value": rows}).encode()
        self.send_response(200)
        self.send_header("content-length", str(len(body)))
        self.end_headers()
        self.wfile.write(body)

    def log_message(self, *args):
        pass


def test_answers_as_the_standard_has_them_are_read():
    with socketserver.ThreadingTCPServer(("127.0.0.1", 0), Examples) as server:
        threading.Thread(target=server.serve_forever, daemon=True).start()
        base = f"http://127.0.0.1:{server.server_address[1]}/v1.1/"
        assert [datastream.key for datastream in list_datastreams(base)] == ["ds/1"]
        found = read_levels(base, "ds/1", 1.0, 9)
        server.shutdown()
    assert [found_item.level_m for found_item in found] == [
        21.6,
        20.9,
    ]  # the newest first, in one zone


@pytest.mark.parametrize("trick", ["absurd", "nothing", "no json", "huge", "redirect", "error"])
def test_what_a_service_answers_badly_is_one_trouble(service, trick):
    service.trick = trick
    with pytest.raises(LevelTrouble) as trouble:
        read_levels(service.base, "1", 1.0)
    assert trouble.value.hint


@pytest.mark.parametrize("base", ["http://127.0.0.1:9", "http://[", "http://no such host/v1.1"])
def test_what_is_not_there_is_said(base):
    with pytest.raises(LevelTrouble, match="can't be reached"):
        list_datastreams(base)


def test_the_gauge_is_read_and_its_troubles_change_nothing(client, skarn):
    told = client.get(f"{skarn}/level", params={"units": "metric"}).json()
    assert (told["status"], told["level"][-2:]) == ("fresh", " m")
    assert "just now" in told["words"]
    stale = client.get(f"{skarn}/level", params={"trick": "stale"}).json()
    assert stale["status"] == "stale"
    assert "too old to rely on" in stale["words"]
    for trick in ("absurd", "no json", "error"):
        refused = client.get(f"{skarn}/level", params={"trick": trick})
        assert (refused.status_code, refused.json()["where"]) == (422, "gauge")
    choices = client.get("/api/v1/places/gauges", params={"base": "demo"}).json()
    put = {"base": "demo", "datastream": choices[0]["datastream"], "title": choices[0]["title"]}
    assert client.put(f"{skarn}/gauge", json=put).json()["place"]["gauge"]["title"]
    assert client.put(f"{skarn}/gauge", json={"base": ""}).json()["place"]["gauge"] is None
    assert client.get(f"{skarn}/level").status_code == 404
    assert client.put(f"{skarn}/gauge", json={"base": "file:///etc/passwd"}).status_code == 422


def test_stretches_and_notes_are_kept_and_depth_follows_the_level(client, skarn):
    form = {"title": "Below the weir", "depth": "waist-deep", "pace": "8 s for 10 steps"}
    made = client.post(f"{skarn}/stretches", json=form | {"units": "metric"}).json()
    weir = made["stretches"][-1]
    path = f"{skarn}/stretches/{weir['stretch_id']}"
    for level, depth, pace in (("0.4 m", "80 cm", "0.5 m/s"), ("0,7", "1.1 m", "")):
        note = {"level": level, "depth": depth, "pace": pace, "units": "metric"}
        assert client.post(f"{path}/levels", json=note).status_code == 200
    asked = {"level": "0.55", "units": "metric"}
    weir = client.get(skarn, params=asked).json()["stretches"][-1]
    assert weir["now"].startswith("Waist-deep, 95 cm")
    assert weir["water"]["depth_m"] == pytest.approx(0.95, abs=0.03)
    assert [note["words"] for note in weir["notes"]][1] == "At 0.70 m: waist-deep, 110 cm"
    left = client.delete(f"{path}/levels/1").json()
    assert len(left["stretches"][-1]["notes"]) == 1
    again = form | {"stretch_id": weir["stretch_id"], "title": "Weir pool"}
    weir = client.post(f"{skarn}/stretches", json=again).json()["stretches"][-1]
    assert (weir["title"], len(weir["notes"])) == ("Weir pool", 1)
    for wrong, where in (
        ({"depth": "deep enough"}, "depth"),
        ({"pace": "quick"}, "pace"),
        ({"stretch_id": "nobody"}, "stretch_id"),
    ):
        refused = client.post(f"{skarn}/stretches", json=form | wrong)
        assert refused.json()["where"] == where
    assert client.post(f"{path}/levels", json={"level": "high", "depth": "1 m"}).status_code == 422
    assert client.delete(path).status_code == 200
    assert client.delete(path).status_code == 404


def test_waters_are_added_renamed_forgotten_and_are_each_anglers_own(client, skarn):
    made = client.post("/api/v1/places", json={"title": "Tarn", "kind": "lake"}).json()
    path = f"/api/v1/places/{made['place_id']}"
    assert client.post("/api/v1/places", json={"title": "Tarn"}).status_code == 422
    put = {"title": "High tarn", "kind": "lake", "rules": {"most_flies": 2}}
    assert client.put(path, json=put).json()["rules"].startswith("Two flies at most")
    client.post("/api/v1/anglers", json={"name": "Eira"})
    assert client.get("/api/v1/places").json() == []
    assert client.get(path).status_code == 404
    client.post("/api/v1/anglers/demo")
    assert client.delete(path).status_code == 204
    assert client.delete(path).status_code == 404


def test_light_is_told_where_its_place_on_the_map_is_known(client, skarn):
    told = client.get(f"{skarn}/light", params={"day": "2026-09-22"}).json()
    assert told["words"].startswith("First light ")
    assert told["dawn"] < told["sunrise"] < told["sunset"] < told["dusk"]
    assert client.get(f"{skarn}/light", params={"day": "2026-02-31"}).status_code == 422
    put = {"title": "The Skarn", "latitude": "69,7", "longitude": "19"}
    client.put(skarn, json=put)
    winter = client.get(f"{skarn}/light", params={"day": "2026-12-21"}).json()
    assert winter["words"] == "The sun does not rise."
    for wrong, where in (
        ({"latitude": "north"}, "latitude"),
        ({"latitude": "99"}, "latitude"),
        ({"longitude": ""}, "longitude"),
    ):
        refused = client.put(skarn, json=put | wrong)
        assert (refused.status_code, refused.json()["where"]) == (422, where)
    client.put(skarn, json={"title": "The Skarn"})
    assert client.get(f"{skarn}/light").status_code == 404


def test_the_tide_makes_the_current_by_the_sea(client):
    cards = {card["title"]: card["place_id"] for card in client.get("/api/v1/places").json()}
    path = f"/api/v1/places/{cards['Skarn estuary']}"
    usual = client.get(path).json()["stretches"][0]["water"]["pace_m_s"]
    half = {"high": "06:10", "low": "12:22", "at": "09:16", "units": "metric"}
    told = client.get(path, params=half).json()
    assert told["tide"].startswith("Ebbing, 3 h 6 min after the turn, at 100% of its strongest")
    assert told["stretches"][0]["water"]["pace_m_s"] == pytest.approx(usual, rel=1e-3)
    slack = client.get(path, params=half | {"at": "12:20"}).json()
    assert slack["tide"] == "Low water slack: hardly a current."
    assert slack["stretches"][0]["water"]["pace_m_s"] < 0.1
    refused = client.get(path, params=half | {"high": "noon"})
    assert (refused.status_code, refused.json()["where"]) == (422, "high")


class Dripping(socketserver.BaseRequestHandler):
    """Answers a byte at a time: from the first on, or after the head."""

    def handle(self) -> None:
        head = b"HTTP/1.1 200 OK\r\ncontent-type: application/json\r\n\r\n"
        if self.server.after_the_head:
            self.request.sendall(head)
            head = b""
        for sign in head + b" " * 400:
            try:
                self.request.sendall(bytes([sign]))
            except OSError:
                return
            time.sleep(0.1)


@pytest.mark.parametrize("after_the_head", [True, False])
def test_a_gauge_that_drips_is_given_up_in_time(monkeypatch, after_the_head):
    with socketserver.ThreadingTCPServer(("127.0.0.1", 0), Dripping) as server:
        server.daemon_threads, server.after_the_head = True, after_the_head
        threading.Thread(target=server.serve_forever, daemon=True).start()
        monkeypatch.setattr(
            sensor_things, "outbound_client", partial(outbound.outbound_client, within_s=0.8)
        )
        begun = time.monotonic()
        with pytest.raises(LevelTrouble, match="can't be reached"):
            list_datastreams(f"http://127.0.0.1:{server.server_address[1]}/v1.1")
        assert 0.7 < time.monotonic() - begun < 2.0
        server.shutdown()


def test_only_so_many_ask_outward_at_once_and_fewer_of_one():
    with ExitStack() as held:
        for _ in range(outbound.OF_ONE_CALLER):
            held.enter_context(outbound.outbound_slot("runa"))
        with pytest.raises(TooBusy), outbound.outbound_slot("runa"):
            pass
        for number in range(outbound.AT_ONCE - outbound.OF_ONE_CALLER):
            held.enter_context(outbound.outbound_slot(f"other {number}"))
        with pytest.raises(TooBusy), outbound.outbound_slot("eira"):
            pass
    with outbound.outbound_slot("runa"):
        pass


def test_another_page_cannot_have_the_bench_ask_an_address(client):
    asked = {"base": "http://127.0.0.1:9/v1.1"}
    for site, status in (("cross-site", 403), ("same-site", 403), ("same-origin", 422)):
        answer = client.get("/api/v1/places/gauges", params=asked, headers={"sec-fetch-site": site})
        assert answer.status_code == status
