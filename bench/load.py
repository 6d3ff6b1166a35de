"""Times what strains the service: bodies that are none, many pulls, a full shelf, searches."""

import json

import httpx

from bench.timing import laps, row

PULLS, LEADERS = 5_000, 700
DEPTHS = "Tag rig for the gorge pool", "Two under the float, bridge run"
LOST = "Skarn evening sedge"


def strain(url: str) -> None:
    """Against a running program of our own: it is left with many leaders and pulls."""
    print(f"\n{'under strain, over HTTP, ms':<34}{'p50':>9}{'p95':>9}")
    with httpx.Client(base_url=url, timeout=300.0) as client:
        design = _design(client, LOST)
        bodies = {
            "100,000 numbers in a list": f'{{"design": [{",".join(["1"] * 100_000)}]}}',
            "100,000 objects in a list": f'{{"design": [{",".join(["{}"] * 100_000)}]}}',
            "2,000 bad pieces": json.dumps({"design": _with_pieces(design, [{}] * 2000)}),
            "nested 5,000 deep": '{"design": ' + "[" * 5000 + "]" * 5000 + "}",
        }
        for name, body in bodies.items():
            row(f"refused: {name}", laps(lambda b=body: _post(client, b), 20))
        for title in DEPTHS:
            _searches(client, title)
        _many_pulls(client, design)
        for number in range(LEADERS):
            client.post("/api/v1/leaders", json={**design, "title": f"Strain {number}"})
        page = laps(lambda: client.get("/api/v1/leaders"), 20)
        row("a page of the shelf", page, f"of {LEADERS} more leaders")


def _searches(client: httpx.Client, title: str) -> None:
    made = _design(client, title)
    water = made["situation"]["water"]

    def ask(path: str, lap: int, deeper: float) -> None:
        changed = {**water, "depth_m": deeper * water["depth_m"] + 0.001 * lap}
        day = {**made["situation"], "water": changed}
        body = {"bench": "strain", "design": {**made, "situation": day}, "units": "metric"}
        client.post(path, json=body).raise_for_status()

    for name, path, deeper in (
        ("depth table", "/api/v1/water/depth-table", 1.0),
        ("remedies, too deep for it", "/api/v1/water/remedies", 1.6),
    ):
        turns = iter(range(1000))
        times = laps(lambda p=path, d=deeper, t=turns: ask(p, next(t), d), 5)
        row(name, times, title)


def _many_pulls(client: httpx.Client, design: dict) -> None:
    before = laps(lambda: client.post("/api/v1/bench", json={"design": design}), 40)
    row("the bench read, no pulls", before)
    text = "knot,family,line,strand_n,broke_n,set_aside\n"
    for _ in range(PULLS // 1000):
        rows = "".join(f"blood,nylon,Mist,40.0,{30 + n % 8}.0,no\n" for n in range(1000))
        client.post("/api/v1/pulls/csv", json={"text": text + rows}).raise_for_status()
    after = laps(lambda: client.post("/api/v1/bench", json={"design": design}), 40)
    row(f"the bench read, {PULLS:,} pulls", after)
    row("a page of the pulls", laps(lambda: client.get("/api/v1/pulls?knot=blood"), 20))


def _design(client: httpx.Client, title: str) -> dict:
    cards = client.get("/api/v1/leaders").json()
    leader_id = next(card["leader_id"] for card in cards if card["title"] == title)
    return client.get(f"/api/v1/leaders/{leader_id}").json()["design"]


def _with_pieces(design: dict, pieces: list) -> dict:
    return {**design, "leader": {**design["leader"], "pieces": pieces}}


def _post(client: httpx.Client, body: str) -> None:
    kind = {"content-type": "application/json"}
    assert client.post("/api/v1/bench", content=body, headers=kind).status_code >= 400
