"""Somebody who saves all the while, so that it shows what is lost when things end."""

import threading
import time
import uuid
from itertools import pairwise

import httpx

PATIENCE_S = 30.0


class Saver(threading.Thread):
    """Saves one leader after another, each under one key until it is acknowledged; ``at`` holds
    when each was."""

    def __init__(self, http: httpx.Client, name: str = "Save") -> None:
        super().__init__(daemon=True)
        self.http, self.whose = http, name
        self.acknowledged: list[str] = []
        self.at: list[float] = []
        self.statuses: set[int] = set()
        self._stopping = threading.Event()
        first = http.get("/api/v1/leaders").json()[0]["leader_id"]
        self.design = http.get(f"/api/v1/leaders/{first}").json()["design"]

    def run(self) -> None:
        number = 0
        while not self._stopping.is_set():
            number += 1
            self._save(f"{self.whose} {number}")

    def _save(self, title: str) -> None:
        headers = {"idempotency-key": uuid.uuid4().hex}
        body = {**self.design, "title": title}
        while not self._stopping.is_set():
            try:
                answer = self.http.post(
                    "/api/v1/leaders", json=body, headers=headers, timeout=PATIENCE_S
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

    def stop(self) -> None:
        """Stop, after the save under way."""
        self._stopping.set()
        self.join(60.0)

    def gap_s(self, since: float) -> float:
        """For how long nothing was acknowledged, at the longest, since a moment."""
        later = [since, *(item for item in self.at if item > since), time.monotonic()]
        return max(after - before for before, after in pairwise(later))

    def titles(self) -> list[str]:
        """Those of all leaders that were saved under this name."""
        found: list[str] = []
        path = "/api/v1/leaders?limit=200"
        while path:
            answer = self.http.get(path, timeout=PATIENCE_S)
            assert answer.is_success, (answer.status_code, answer.text[:300])
            found += [card["title"] for card in answer.json()]
            path = answer.links.get("next", {}).get("url", "")
        return [title for title in found if title.startswith(f"{self.whose} ")]

    def lost_and_twice(self) -> tuple[int, int]:
        """How many of what was acknowledged are not there, and how many are there twice."""
        titles = self.titles()
        return len(set(self.acknowledged) - set(titles)), len(titles) - len(set(titles))

    def check(self) -> None:
        """Everything acknowledged is there once; nothing is there twice; no fault was answered."""
        lost, twice = self.lost_and_twice()
        assert twice == 0, "a save was done twice"
        assert lost == 0, "an acknowledged save is lost"
        assert {status for status in self.statuses if status >= 500} <= {503, 507}
