"""Casts over HTTP: worked out beside the service, the newest first, refused by name."""

import base64
import csv
import io
from concurrent.futures import ThreadPoolExecutor
from xml.etree import ElementTree

import numpy as np
import pytest


def ask(client, design, **more):
    body = {"bench": "test", "design": design, **more}
    return client.post("/api/v1/casts", json=body)


def test_a_cast_answers_cord_landing_and_movie(client, saved):
    cast = ask(client, saved["design"]).json()
    assert cast["turnover"]["key"] == "turnover"
    assert cast["turnover"]["figure"] == cast["figure"]
    assert cast["slack"]["text"].endswith("in")
    movie = cast["movie"]
    points = np.frombuffer(base64.urlsafe_b64decode(movie["points"]), "<i2")
    points = points.reshape(movie["count"], movie["nodes"], 2) / 1000.0
    assert points[0, 0] == pytest.approx((0.0, 2.4))
    assert points[-1, -1, 1] == pytest.approx(0.0, abs=0.01), "the fly ends on the water"
    assert movie["joints"][-1] == movie["nodes"] - 1
    assert len(movie["points"]) < 60_000
    assert 0.0 < cast["energy"][0]["at_m"] < cast["energy"][-1]["at_m"]


def test_a_cast_from_what_was_good_a_moment_ago_comes_out_alike(client, saved):
    first = ask(client, saved["design"]).json()
    again = ask(client, saved["design"], near=first["near"]).json()
    assert again["near"] == first["near"]
    assert again["turnover"] == first["turnover"]
    assert again["slack"] == first["slack"]
    rough = ask(client, saved["design"], near=first["near"], rough=True).json()
    assert (rough["turnover"]["figure"], rough["movie"]) == (first["figure"], None)


def test_a_dry_fly_that_would_be_driven_is_shown_eased(client, saved):
    driven = ask(client, saved["design"], stroke={"speed": "double haul"}).json()
    assert driven["speed_margin"] > 1.9
    assert driven["eased"].startswith("Shown at ")
    gentle = ask(client, saved["design"], stroke={"speed": "11 m/s"}).json()
    assert gentle["eased"] == ""


def test_stroke_and_wind_change_the_cast(client, saved):
    design = saved["design"]
    normal = ask(client, design).json()
    hard = ask(client, design, stroke={"speed": "hard"}).json()
    assert hard["turnover"]["position"] > normal["turnover"]["position"]
    wind = {"speed_m_s": 7, "bearing": "in the face"}
    windy = {**design, "situation": {**design["situation"], "wind": wind}}
    assert ask(client, windy).json()["turnover"]["position"] < normal["turnover"]["position"]


def test_a_mono_rig_is_weighed_not_filmed(client, saved):
    body = {"school": "thin-mono", "situation": saved["design"]["situation"]}
    leader = client.post("/api/v1/proposals", json=body).json()["leader"]
    cast = ask(client, {**saved["design"], "leader": leader}).json()
    assert cast["movie"] is None
    assert "times the fly" in cast["turnover"]["why"]


def test_what_cannot_be_cast_is_a_problem_with_the_mend(client, saved):
    refused = ask(client, saved["design"], stroke={"kind": "roll"})
    problem = refused.json()
    assert (refused.status_code, problem["code"]) == (422, "cannot-compute")
    assert problem["where"] == "stroke.kind"
    assert problem["hint"]
    for stroke, where in (
        ({"speed": "900 m/s"}, "speed"),
        ({"speed": "2 m/s"}, "speed"),
        ({"line_out": "90 ft"}, "line_out"),
        ({"loop": "wide"}, "loop"),
    ):
        assert ask(client, saved["design"], stroke=stroke).json()["where"] == where


def test_a_newer_cast_of_the_same_bench_takes_the_olders_place(client, saved):
    strokes = [{"speed": f"{12.0 + 0.1 * n:.1f} m/s"} for n in range(12)]
    with ThreadPoolExecutor(12) as pool:
        answers = list(pool.map(lambda s: ask(client, saved["design"], stroke=s), strokes))
    codes = {answer.status_code for answer in answers}
    assert 200 in codes
    assert codes <= {200, 409}
    for answer in answers:
        if answer.status_code == 409:
            assert answer.json()["code"] == "superseded"


def test_other_benches_and_other_calls_are_not_held_up(client, saved):
    def one(number):
        stroke = {"speed": f"{13 + number / 9:.2f} m/s"}
        return ask(client, saved["design"], bench=f"bench-{number}", stroke=stroke)

    with ThreadPoolExecutor(9) as pool:
        casts = [pool.submit(one, n) for n in range(8)]
        assert client.get("/api/v1/angler").status_code == 200
        assert all(cast.result().status_code == 200 for cast in casts)


def test_remedies_are_asked_for_and_can_be_put_on_the_bench(client, saved):
    edit = {"act": "set-length", "piece": 5, "length": "18 ft"}
    long = client.post("/api/v1/bench", json={"design": saved["design"], "edit": edit}).json()[
        "design"
    ]
    remedies = client.post("/api/v1/casts/remedies", json={"bench": "test", "design": long}).json()
    assert remedies
    for remedy in remedies:
        assert remedy["words"]
        if remedy["what"] != "stroke":
            assert ask(client, remedy["design"]).json()["turnover"]["status"] == "right"
    sound = client.post("/api/v1/casts/remedies", json={"bench": "test", "design": saved["design"]})
    assert sound.json() == []


def test_a_cast_goes_out_as_a_table_and_as_a_picture(client, saved):
    body = {"bench": "test", "design": saved["design"]}
    table = client.post("/api/v1/casts/files/csv", json=body)
    rows = list(csv.DictReader(io.StringIO(table.text)))
    movie = client.post("/api/v1/casts", json=body).json()["movie"]
    assert len(rows) == movie["count"] * movie["nodes"]
    assert (rows[0]["x_m"], rows[0]["y_m"], rows[0]["part"]) == ("0.000", "2.400", "line")
    assert rows[-1]["part"] == "leader"
    assert float(rows[-1]["y_m"]) == pytest.approx(0.0, abs=0.01)
    picture = client.post("/api/v1/casts/files/svg", json=body)
    assert 'filename="skarn-evening-sedge-cast.svg"' in picture.headers["content-disposition"]
    paths = ElementTree.fromstring(picture.text).findall("{http://www.w3.org/2000/svg}path")
    assert len(paths) > len(saved["design"]["leader"]["pieces"]) + 5


def test_a_mono_rig_has_no_cast_to_write(client, saved):
    body = {"school": "thin-mono", "situation": saved["design"]["situation"]}
    leader = client.post("/api/v1/proposals", json=body).json()["leader"]
    design = {**saved["design"], "leader": leader}
    refused = client.post("/api/v1/casts/files/svg", json={"bench": "test", "design": design})
    assert (refused.status_code, refused.json()["code"]) == (422, "file-refused")
