"""Somebody who saves one leader after another while things are killed, and counts what was
acknowledged."""

import threading
import time
import uuid
from itertools import pairwise

import httpx


class Writer(threading.Thread):
    """Saves, each under one key until it is acknowledged; ``at`` holds when each was."""

    def __init__(self, client: httpx.Client, name: str) -> None:
        super().__init__(daemon=True)
        self.client, self.whose = client, name
        self.acknowledged: list[str] = []
        self.at: list[float] = []
        self.statuses: set[int] = set()
        self._ending = threading.Event()
        client.post("/api/anglers/demo").raise_for_status()
        first = client.get("/api/leaders").json()[0]["leader_id"]
        self._design = client.get(f"/api/leaders/{first}").json()["design"]

    def run(self) -> None:
        number = 0
        while not self._ending.is_set():
            number += 1
            self._save(f"{self.whose} {number}")

    def _save(self, title: str) -> None:
        headers = {"idempotency-key": uuid.uuid4().hex}
        while not self._ending.is_set():
            try:
                answer = self.client.post(
                    "/api/leaders",
                    json={**self._design, "title": title},
                    headers=headers,
                    timeout=20.0,
                )
            except httpx.HTTPError:
                time.sleep(0.1)
                continue
            self.statuses.add(answer.status_code)
            if answer.status_code == 201:
                self.acknowledged.append(title)
                self.at.append(time.monotonic())
                return
            time.sleep(0.1)

    def gap_s(self, since: float) -> float:
        """For how long nothing was acknowledged, at the longest, since a moment."""
        later = [since, *(one for one in self.at if one > since), time.monotonic()]
        return max(after - before for before, after in pairwise(later))

    def end(self) -> None:
        """After the save under way."""
        self._ending.set()
        self.join(60.0)

    def lost_and_twice(self) -> tuple[int, int]:
        """How many of what was acknowledged are not there, and how many are there twice."""
        titles: list[str] = []
        path = "/api/leaders?limit=200"
        while path:
            answer = self.client.get(path)
            assert answer.is_success, (answer.status_code, answer.text[:300])
            titles += [card["title"] for card in answer.json()]
            path = answer.links.get("next", {}).get("url", "")
        mine = [title for title in titles if title.startswith(f"{self.whose} ")]
        return len(set(self.acknowledged) - set(mine)), len(mine) - len(set(mine))
