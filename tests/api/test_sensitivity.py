"""What matters, over HTTP: a reading of the bench's leader, refusals by name."""


def test_what_matters_of_a_saved_leader(client, saved):
    body = {"bench": "test", "design": saved["design"]}
    reading = client.post("/api/v1/sensitivity", json=body).json()
    assert [fact["title"] for fact in reading["facts"]] == ["Opens", "Holds", "Head wind"]
    assert len(reading["pieces"]) == len(saved["design"]["leader"]["pieces"])
    assert abs(sum(doubt["share"] for doubt in reading["doubts"]) - 1.0) < 1e-6
    refused = client.post("/api/v1/sensitivity", json={**body, "stroke": {"speed": "mighty"}})
    assert (refused.status_code, refused.json()["where"]) == (422, "speed")


def test_what_if_is_answered_in_words_and_nonsense_refused(client, saved):
    body = {"bench": "test", "design": saved["design"]}
    calm = client.post(
        "/api/v1/sensitivity/what-if", json={**body, "supposed": {"head_wind_m_s": 0}}
    )
    assert calm.json()["wind"] == "No wind along the cast"
    gale = client.post(
        "/api/v1/sensitivity/what-if", json={**body, "supposed": {"head_wind_m_s": 14}}
    )
    assert gale.json()["turnover"]["position"] < calm.json()["turnover"]["position"]
    refused = client.post("/api/v1/sensitivity/what-if", json={**body, "supposed": {"times": 9}})
    assert refused.status_code == 422
