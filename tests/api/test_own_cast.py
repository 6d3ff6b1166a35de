"""Landings over HTTP: kept, listed, forgotten, and every cast after judged by them."""

import pytest


def tell(client, design, landed="piled up", **stroke):
    body = {"bench": "test", "design": design, "landed": landed, "stroke": stroke}
    return client.post("/api/v1/own-cast/landings", json={**body, "units": "metric"})


def cast(client, design, **stroke):
    body = {"bench": "test", "design": design, "stroke": stroke}
    return client.post("/api/v1/casts", json={**body, "units": "metric"}).json()


def test_landings_teach_the_service_the_anglers_cast(client, saved):
    design = saved["design"]
    before = client.get("/api/v1/own-cast", params={"units": "metric"}).json()
    assert before["landings"] == []
    assert before["speeds"]["normal"] == "15.0 m/s"
    usual = cast(client, design)
    for _ in range(3):
        after = tell(client, design).json()
    assert [item["landed"] for item in after["landings"]] == ["piled up"] * 3
    assert after["landings"][0]["leader"] == design["title"]
    assert "normal, " in after["landings"][0]["stroke"]
    assert float(after["speeds"]["normal"].split()[0]) < 15.0
    slower = cast(client, design)
    assert slower["speed"]["si"] < usual["speed"]["si"]
    assert slower["turnover"]["position"] < usual["turnover"]["position"]
    # a speed told as a figure is what it is
    assert cast(client, design, speed="15 m/s")["speed"]["si"] == pytest.approx(15.0)

    for item in after["landings"]:
        path = f"/api/v1/own-cast/landings/{item['landing_id']}"
        client.delete(path).raise_for_status()
    assert client.get("/api/v1/own-cast", params={"units": "metric"}).json() == before
    assert cast(client, design)["turnover"] == usual["turnover"]


def test_landings_that_cannot_be_are_refused(client, saved):
    design = saved["design"]
    refused = tell(client, design, speed="quick as can be")
    assert refused.status_code == 422
    assert refused.json()["where"] == "speed"
    assert tell(client, design, landed="vanished").status_code == 422
    gone = client.delete("/api/v1/own-cast/landings/none")
    assert (gone.status_code, gone.json()["code"]) == (404, "not-found")


def test_a_gust_is_asked_for(client, saved):
    design = saved["design"]
    calm = cast(client, design)
    gusty = cast(client, design, gust="8 m/s", gust_from="in the face")
    assert (calm["gust"], gusty["gust"]["text"]) == (None, "8.0 m/s")
    assert gusty["turnover"]["position"] < calm["turnover"]["position"]
    body = {"bench": "test", "design": design, "units": "metric"}
    assert "m/s, less than an easy stroke; yours" in calm["turnover"]["why"]
    refused = client.post("/api/v1/casts", json={**body, "stroke": {"gust": "99 m/s"}})
    assert refused.json()["where"] == "gust"
