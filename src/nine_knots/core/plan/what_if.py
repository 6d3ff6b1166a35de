"""What is worked out beforehand of a stretch, so that the water needs no computer: the rig in water
deeper or shallower, faster or slower than planned, in more wind, with the other flies."""

from collections.abc import Iterator
from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.caster import Caster
from nine_knots.core.base.cancellation import check_cancelled
from nine_knots.core.base.errors import CannotCompute, Refused
from nine_knots.core.base.score import Score, Status
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.plan import FlyFor
from nine_knots.core.domain.situation import Wind
from nine_knots.core.remedies.adjustment import Adjustment
from nine_knots.core.remedies.at_the_water import first_remedy_at_the_water
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.core.water.surroundings import STILL_M_S

DEEPER = (0.6, 0.8, 1.0, 1.25, 1.5)
FASTER = (0.5, 0.75, 1.0, 1.35, 1.75)
"""Of the depth and the pace that were planned."""
AS_PLANNED = 2  # of either row
SHALLOWEST_M, DEEPEST_M, FASTEST_M_S = 0.1, 30.0, 4.0
WINDS = 6  # steps in which the wind is raised
WIND_STEP_M_S = 2.0


@dataclass(frozen=True, slots=True)
class WhatIfRig:
    """The rig in one water: depth in m, pace in m/s, and how it fishes there, the first that is
    wrong of it where anything is; None where a model refuses, which is then said in ``refused``.

    ``change`` is the one thing to change on the rig, if that serves; a fly on top is mended for.
    """

    depth_m: float
    pace_m_s: float
    score: Score | None
    change: Adjustment | None = None
    refused: str = ""

    @property
    def status(self) -> Status:
        """How it stands; what a model refuses counts as too much."""
        return self.score.status if self.score is not None else "too much"


@dataclass(frozen=True, slots=True)
class PackedFlyTried:
    """Another fly that is packed, on the rig as it is: what is most wrong then, if anything is, or
    why a model refuses it."""

    title: str
    wrong: Score | None = None
    refused: str = ""


class WhatIfQuestion:
    """A rig on its stretch, asked about what may come."""

    def __init__(self, design: Design, stroke: Stroke, angler: Angler, gust: Gust) -> None:
        self.design, self.stroke, self.angler, self.gust = design, stroke, angler, gust
        technique = technique_of(design)
        self._ask = USUAL_QUESTION
        if technique.by_slack:
            caster = Caster(angler, gust)
            slack_m = caster.slack(design, stroke, caster.minimum(design, stroke)).slack_m
            self._ask = USUAL_QUESTION.model_copy(update={"slack_m": slack_m})

    def grid(self) -> Iterator[tuple[WhatIfRig, ...]]:
        """A row for each depth, in it a cell for each pace: in still water one, on the surface,
        where depth does not matter, one row."""
        water = self.design.situation.water
        floats = technique_of(self.design).by_slack
        still = water.pace_m_s <= STILL_M_S
        for deeper in (1.0,) if floats else DEEPER:
            depth_m = min(DEEPEST_M, max(SHALLOWEST_M, deeper * water.depth_m))
            yield tuple(
                self._at(depth_m, min(FASTEST_M_S, faster * water.pace_m_s))
                for faster in ((1.0,) if still else FASTER)
            )

    def most_wind_m_s(self) -> tuple[float, bool]:
        """The strongest wind in the face, in steps, in which it still opens; and whether it opened
        in all that was tried."""
        for step in range(1, WINDS + 1):
            check_cancelled()
            if not self._opens(Wind(speed_m_s=step * WIND_STEP_M_S, bearing="in the face")):
                return (step - 1) * WIND_STEP_M_S, False
        return WINDS * WIND_STEP_M_S, True

    def other_flies(self, flies: tuple[FlyFor, ...]) -> Iterator[PackedFlyTried]:
        """The other flies of the plan that are meant for the same."""
        day = self.design.situation
        for fly_for in flies:
            if fly_for.wish != day.wish or fly_for.fly.title == day.fly.title:
                continue
            check_cancelled()
            reader = Assessor(day.model_copy(update={"fly": fly_for.fly}), self.angler, self.gust)
            try:
                wrong = _worst(reader.measures(self.design.leader, self.stroke))
            except Refused as refused:
                words = f"{refused.what} {refused.hint}".strip()
                yield PackedFlyTried(fly_for.fly.title, refused=words)
                continue
            yield PackedFlyTried(fly_for.fly.title, wrong)

    def _opens(self, wind: Wind) -> bool:
        day = self.design.situation.model_copy(update={"wind": wind})
        try:
            turnover = Assessor(day, self.angler, self.gust).turnover(
                self.design.leader, self.stroke
            )
        except CannotCompute:
            return False
        return turnover.status != "too little"

    def _at(self, depth_m: float, pace_m_s: float) -> WhatIfRig:
        check_cancelled()
        day = self.design.situation
        water = day.water.model_copy(update={"depth_m": depth_m, "pace_m_s": pace_m_s})
        moved = self.design.model_copy(
            update={"situation": day.model_copy(update={"water": water})}
        )
        technique = technique_of(moved)
        try:
            measures = tuple(technique.measures(moved, self._ask))
        except CannotCompute as refused:
            return WhatIfRig(depth_m, pace_m_s, None, refused=refused.hint or refused.what)
        wrong = next((score for score in measures if score.status != "right"), None)
        if wrong is None:
            shown = measures[-1] if technique.by_slack else measures[0]
            return WhatIfRig(depth_m, pace_m_s, shown)
        served = None
        if not technique.by_slack:
            served = first_remedy_at_the_water(moved, self.stroke, self.angler, wrong)
        return WhatIfRig(depth_m, pace_m_s, wrong, served[0] if served else None)


def _worst(measures: tuple[Score, ...]) -> Score | None:
    wrong = [score for score in measures if score.status != "right" and score.key != "length"]
    return max(wrong, key=lambda other_score: abs(other_score.position - 0.5), default=None)
