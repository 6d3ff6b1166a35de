"""The jobs of practitioners as they are done over HTTP: one's own shelf typed in, then asked."""

from dataclasses import dataclass
from typing import Any

from fastapi.testclient import TestClient

RUN = {"kind": "run", "depth_m": 0.8, "pace_m_s": 0.6}
FLAT = {"kind": "flats", "depth_m": 1.0, "pace_m_s": 0.1}
LAKE = {"kind": "lake", "depth_m": 2.0, "pace_m_s": 0.0}
TROUT = {"kind": "trout", "mass_kg": 0.4}
TARPON = {"kind": "tarpon", "mass_kg": 40.0, "temper": "wary"}
SINK_TIP = {"title": "sink tip", "weight": 6, "sinking": "sink-6", "sink_tip_m": 4.5}
NYMPH_LINE = {"title": "level nymph line", "weight": 3, "level_m": 0.55e-3}
CRAB = {
    "title": "Crab 4",
    "kind": "streamer",
    "hook": 4,
    "weighed_kg": 3e-4,
    "drag_area_m2": 2e-4,
}


@dataclass(frozen=True)
class Job:
    """What one owns and what the day is like; line and fly typed, or as they are given."""

    shelf: tuple[str, ...]
    weight: int
    fly: str | dict[str, Any]
    wish: str = "drift on top"
    line: dict[str, Any] | None = None
    water: dict[str, Any] | None = None
    fish: dict[str, Any] | None = None
    wind: tuple[float, str] = (0.0, "in the face")
    stroke: str = "normal"
    flies: tuple[str, ...] = ()


class AtBench:
    """A new angler with just these things, on that day."""

    def __init__(self, client: TestClient, job: Job) -> None:
        self.client, self.stroke = client, {"speed": job.stroke}
        self.post("/anglers", name="Hanne")
        typed = [f"9 ft {job.weight} wt", f"{job.weight} wt floating line", *job.shelf, *job.flies]
        self.post("/owned", text="\n".join(typed))
        kit = client.get("/api/v1/kit").json()
        self.day = {
            "water": job.water or RUN,
            "wind": {"speed_m_s": job.wind[0], "bearing": job.wind[1]},
            "quarry": job.fish or TROUT,
            "fly": self._tied_on(job.fly) if isinstance(job.fly, str) else job.fly,
            "rod": kit["rods"][0],
            "line": job.line or kit["lines"][0],
            "wish": job.wish,
        }

    def _tied_on(self, typed: str) -> dict[str, Any]:
        """A fly that is typed in, as the kit has it."""
        (row,) = self.post("/owned/read", text=typed)
        self.post("/owned", text=typed)
        flies = self.client.get("/api/v1/kit").json()["flies"]
        return next(fly for fly in flies if fly["title"] == row["title"])

    def post(self, path: str, **body: Any) -> Any:
        """The answer; what is refused fails the test with what it says."""
        answer = self.client.post(f"/api/v1{path}", json=body)
        assert answer.status_code < 300, answer.text
        return answer.json()

    def cards(self) -> list[dict[str, Any]]:
        """Which school today, in the order shown."""
        asked = {"situation": self.day, "stroke": self.stroke}
        return self.post("/today", bench="trade", **asked)["cards"]

    def design(self, leader: dict[str, Any]) -> dict[str, Any]:
        """A leader on the day."""
        return {"title": "rig", "notes": "", "situation": self.day, "leader": leader}

    def bench(self, leader: dict[str, Any]) -> dict[str, dict[str, Any]]:
        """Every measure of a leader as the bench shows it."""
        design = self.design(leader)
        scores = self.post("/bench", design=design)["evaluation"]["verdict"]
        cast = self.post("/casts", bench="trade", design=design, stroke=self.stroke)
        slack = (
            cast["slack"]["si"] if cast["movie"] and self.day["wish"] == "drift on top" else None
        )
        water = self.post("/water", bench="trade", design=design, slack_m=slack)
        scores += [cast["turnover"], water["drift"], water["depth_cord"]]
        return {score["key"]: score for score in scores}
