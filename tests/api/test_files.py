"""Export and import over HTTP."""

import json

import pytest


def test_json_and_csv_come_back_as_they_went(client, saved):
    design = saved["design"]
    for kind in ("json", "csv"):
        file = client.post(f"/api/v1/exports/{kind}", json={"design": design})
        assert f'filename="skarn-evening-sedge.{kind}"' in file.headers["content-disposition"]
        body = {"kind": kind, "text": file.text, "onto": {**design, "notes": "kept"}}
        back = client.post("/api/v1/imports", json=body).json()
        assert back["leader"] == design["leader"]
        assert back["notes"] == (design["notes"] if kind == "json" else "kept")


def test_the_strip_is_an_svg_in_the_anglers_units(client, saved):
    body = {"design": saved["design"], "units": "metric"}
    file = client.post("/api/v1/exports/svg", json=body)
    assert file.headers["content-type"].startswith("image/svg+xml")
    assert "cm" in file.text
    assert "<script" not in file.text


@pytest.mark.parametrize("text", ["{", "[]", '{"format":"nine-knots-leader","version":99}'])
def test_a_bad_file_is_refused_and_changes_nothing(client, saved, text):
    before = client.get("/api/v1/leaders").json()
    body = {"kind": "json", "text": text, "onto": saved["design"]}
    refused = client.post("/api/v1/imports", json=body)
    assert (refused.status_code, refused.json()["code"]) == (422, "file-refused")
    assert refused.json()["where"]
    assert client.get("/api/v1/leaders").json() == before


def test_the_schema_is_published(client, saved):
    schema = client.get("/api/v1/formats/leader.schema.json").json()
    assert schema["$id"] == "urn:nine-knots:leader:4"
    assert (
        json.loads(client.post("/api/v1/exports/json", json={"design": saved["design"]}).text)[
            "version"
        ]
        == schema["properties"]["version"]["const"]
    )
