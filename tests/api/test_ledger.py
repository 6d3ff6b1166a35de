"""What is tied comes off the spools over HTTP, is undone, and makes the list of what to buy."""

import pytest

FIVE_X = "runa-nylon-soft-006"


def left(client, spool_id):
    rows = {row["spool_id"]: row for row in client.get("/api/v1/stock").json()}
    return rows[spool_id]["item"]["remaining_m"]


def test_a_leader_tied_comes_off_its_spools_and_back(client, saved):
    design = saved["design"]
    spools = {piece["strand"]["spool_id"] for piece in design["leader"]["pieces"]}
    before = {spool: left(client, spool) for spool in spools}
    cut = client.post(
        "/api/v1/tying/batch", json={"wanted": [{"design": design, "count": 2}]}
    ).json()
    asked = {"wanted": [{"design": design, "count": 2}]}
    for _ in range(2):  # sent again, it is not taken twice
        headers = {"idempotency-key": "two sedge leaders"}
        noted = client.post("/api/v1/ledger/tied", json=asked, headers=headers).json()
    assert (
        f"off {['no', 'one', 'two', 'three', 'four', 'five', 'six'][len(spools)]} spools."
        in (noted["words"])
    )
    assert all(left(client, spool) < before[spool] for spool in spools)
    page = client.get("/api/v1/ledger").json()
    assert page["lines"][0]["title"] == f"Tied: 2 of {design['title']}"
    assert {item["change"][1:] for item in page["lines"][0]["changes"]} == {
        row["takes"] for row in cut["rows"]
    }
    assert page["lines"][0]["can_undo"]
    for _ in range(2):
        undone = client.post(f"/api/v1/ledger/{noted['act_id']}/undo").json()
        assert undone["words"].startswith("Undone: Tied")
    assert {spool: left(client, spool) for spool in spools} == pytest.approx(before)
    line = client.get("/api/v1/ledger", params={"spool_id": next(iter(spools)), "skip": 1}).json()
    assert line["lines"][0]["undone"]


def test_a_tippet_is_renewed_and_a_tangle_thrown_away(client, saved):
    design = saved["design"]
    last = len(design["leader"]["pieces"]) - 1
    tippet = design["leader"]["pieces"][last]["strand"]["spool_id"]
    butt = design["leader"]["pieces"][0]["strand"]["spool_id"]
    before = left(client, tippet), left(client, butt)
    asked = {"wanted": [{"design": design}], "pieces": [last]}
    client.post("/api/v1/ledger/tied", json=asked)
    assert left(client, butt) == before[1]
    renewed = before[0] - left(client, tippet)
    assert renewed > design["leader"]["pieces"][last]["length_m"]
    taken = {"spool_id": tippet, "amount": "200 yd", "words": "a tangle"}
    noted = client.post("/api/v1/ledger/taken", json=taken).json()
    assert "More was used than there was" in noted["words"]
    row = next(r for r in client.get("/api/v1/stock").json() if r["spool_id"] == tippet)
    assert (row["item"]["remaining_m"], row["low"]) == (0.0, True)
    assert "check what is left on" in row["note"]
    buy = client.post("/api/v1/ledger/shopping", json={}).json()
    assert {"what": row["title"], "why": "nothing left"} in buy["rows"]
    form = {"spool_id": tippet, "material": row["material"], "diameter": "5X", "left": "12 m"}
    client.post("/api/v1/stock/spools", json=form)
    newest = client.get("/api/v1/ledger").json()["lines"][0]
    assert newest["title"] == "Counted"
    assert left(client, tippet) == 12.0
    for wrong, where in (({"amount": "much"}, "amount"), ({"spool_id": "nobody"}, "spool_id")):
        refused = client.post("/api/v1/ledger/taken", json=taken | wrong)
        assert (refused.status_code >= 400, refused.json()["where"]) == (True, where)
    beyond = client.post("/api/v1/ledger/tied", json=asked | {"pieces": [20]})
    assert (beyond.status_code, beyond.json()["where"]) == (422, "pieces")


def test_what_is_to_be_tied_next_makes_the_shopping_list(client, saved):
    none = client.post("/api/v1/ledger/shopping", json={"wanted": []}).json()
    many = {"wanted": [{"design": saved["design"], "count": 20}]}
    more = client.post("/api/v1/ledger/shopping", json=many).json()
    lacking = [row for row in more["rows"] if "for the leaders to be tied" in row["why"]]
    assert lacking
    assert len(more["rows"]) > len(none["rows"])
    old = [row for row in none["rows"] if "years old" in row["why"]]
    assert all("pull-test it or renew" in row["why"] for row in old)
    text = client.post("/api/v1/ledger/shopping/csv", json=many).text
    assert text.splitlines()[0] == "buy,why"
    assert lacking[0]["what"] in text


def test_a_spool_is_put_away_and_back_and_two_ends_become_one(client, saved):
    used = saved["design"]["leader"]["pieces"][0]["strand"]["spool_id"]
    title = next(r["title"] for r in client.get("/api/v1/stock").json() if r["spool_id"] == used)
    assert client.delete(f"/api/v1/stock/{used}").status_code == 204
    retired = client.get("/api/v1/stock", params={"retired": True}).json()
    assert [row["spool_id"] for row in retired] == [used]
    told = client.post("/api/v1/bench", json={"design": saved["design"]}).json()["evaluation"]
    assert told["pieces"][0]["stock"] == f"{title} (off the shelf)"
    assert client.post(f"/api/v1/stock/{used}/restore").status_code == 204
    assert client.post(f"/api/v1/stock/{used}/restore").status_code == 404
    made = client.post(
        "/api/v1/stock/spools",
        json={"material": "nylon-soft", "diameter": "5X", "left": "3 m", "bought": "2021-05-01"},
    ).json()
    assert "five years old" in made["note"]
    before = left(client, FIVE_X)
    merged = client.post(f"/api/v1/stock/{FIVE_X}/ends", json={"other": made["spool_id"]}).json()
    assert merged["item"]["remaining_m"] == pytest.approx(before + 3.0)
    assert client.post(f"/api/v1/stock/{FIVE_X}/ends", json={"other": used}).status_code == 422
    act = client.get("/api/v1/ledger").json()["lines"][0]
    client.post(f"/api/v1/ledger/{act['act_id']}/undo")
    assert left(client, FIVE_X) == pytest.approx(before)
    assert left(client, made["spool_id"]) == pytest.approx(3.0)


def test_kit_taken_out_can_be_put_back(client):
    fly = next(row for row in client.get("/api/v1/owned/kit").json() if row["kind"] == "fly")
    client.delete(f"/api/v1/owned/kit/{fly['tackle_id']}")
    out = client.get("/api/v1/owned/kit", params={"retired": True}).json()
    assert [row["title"] for row in out] == [fly["title"]]
    assert client.post(f"/api/v1/owned/kit/{fly['tackle_id']}/restore").status_code == 204
    assert fly["title"] in {f["title"] for f in client.get("/api/v1/kit").json()["flies"]}


def test_what_comes_off_a_priced_spool_is_told_as_money(client):
    form = {"material": "nylon-soft", "diameter": "5X", "left": "30 m", "units": "metric"}
    wrong = client.post("/api/v1/stock/spools", json=form | {"paid": "dear"})
    assert (wrong.status_code, wrong.json()["where"]) == (422, "paid")
    empty = client.post("/api/v1/stock/spools", json=form | {"left": "0 m", "paid": "6"})
    assert (empty.status_code, empty.json()["where"]) == (422, "paid_for")
    row = client.post("/api/v1/stock/spools", json=form | {"paid": "6,00"}).json()
    assert (row["paid"], row["item"]["price"]) == ("6.00", {"paid": 6.0, "amount": 30.0})
    taken = {"spool_id": row["spool_id"], "amount": "10 m", "units": "metric"}
    client.post("/api/v1/ledger/taken", json=taken)
    again = form | {"spool_id": row["spool_id"], "left": "12 m", "paid": "6.00"}
    client.post("/api/v1/stock/spools", json=again | {"paid_for": row["paid_for"]})
    page = client.get("/api/v1/ledger", params={"spool_id": row["spool_id"]}).json()
    costs = {line["title"].split(":")[0]: line["cost"] for line in page["lines"]}
    assert sorted(costs.values()) == ["", "", "2.00"]  # counting and putting up cost nothing
    assert page["cost"] == "At what you paid: 2.00 lost or thrown away."
    packet = {"material": "nylon-medium", "sold_as": "9 ft 5X", "count": 3, "paid": "12.60"}
    assert client.post("/api/v1/stock/packets", json=packet).json()["paid_for"] == "3"
    many = client.post("/api/v1/stock/packets", json=packet | {"paid_for": "a few"})
    assert (many.status_code, many.json()["where"]) == (422, "paid_for")
