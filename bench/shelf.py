"""Times an old hand's shelf: 500 spools, 2,000 leaders, a year of the ledger, searched and read."""

import json

import httpx

from bench.timing import laps, row

SPOOLS, LEADERS, ACTS = 500, 2_000, 400
STUFF = ("stiff nylon", "medium nylon", "soft nylon", "fluorocarbon", "copolymer")
SEARCHES = ("sedge", "grayling 5X", "estuary fluorocarbon blood", "nothing like it")


def shelf(url: str) -> None:
    """Against a running program of our own: it is left with a full shelf."""
    print(f"\n{f'{SPOOLS} spools, {LEADERS:,} leaders, over HTTP, ms':<34}{'p50':>9}{'p95':>9}")
    with httpx.Client(base_url=url, timeout=300.0) as client:
        design = _fill(client)
        for words in SEARCHES:
            asked = {"q": words, "limit": 24}
            row(f"leaders sought: {words}", laps(lambda a=asked: _get(client, "leaders", a), 30))
        label = {"label": "spring", "limit": 24}
        row("leaders of a label", laps(lambda: _get(client, "leaders", label), 30))
        row("all spools", laps(lambda: _get(client, "stock", {}), 30))
        body = {"design": design}
        row("the bench read", laps(lambda: client.post("/api/v1/bench", json=body), 40))
        row("the ledger, a page", laps(lambda: _get(client, "ledger", {}), 30))
        tied = {"wanted": [{"design": design}]}
        row("a leader taken off", laps(lambda: client.post("/api/v1/ledger/tied", json=tied), 20))


def _fill(client: httpx.Client) -> dict:
    cards = client.get("/api/v1/leaders").json()
    designs = [
        client.get(f"/api/v1/leaders/{card['leader_id']}").json()["design"] for card in cards
    ]
    lines = [
        f"“Spool {n}” .{6 + n % 16:03d} {STUFF[n % len(STUFF)]} {20 + n % 60} m"
        for n in range(SPOOLS)
    ]
    for start in range(0, SPOOLS, 100):
        text = {"text": "\n".join(lines[start : start + 100])}
        client.post("/api/v1/owned", json=text).raise_for_status()
    per_file = 100
    for start in range(0, LEADERS, per_file):
        rows = [
            {
                "design": {**designs[n % len(designs)], "title": f"Season leader {n}"},
                "labels": ["spring"] if n % 7 == 0 else [],
            }
            for n in range(start, start + per_file)
        ]
        file = {"format": "nine-knots-leaders", "version": 3, "leaders": rows}
        text = {"text": json.dumps(file)}
        client.post("/api/v1/sharing/leaders", json=text).raise_for_status()
    for _ in range(ACTS):
        wanted = {"wanted": [{"design": designs[0]}]}
        client.post("/api/v1/ledger/tied", json=wanted).raise_for_status()
    return designs[0]


def _get(client: httpx.Client, what: str, asked: dict) -> None:
    client.get(f"/api/v1/{what}", params=asked).raise_for_status()
