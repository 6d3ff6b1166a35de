"""On the surface or in its film: nothing sinks, slack is what counts."""

from collections.abc import Iterator
from dataclasses import dataclass

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import Finding, Reason, Score
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import fly_body, fly_float
from nine_knots.core.domain.tackle.fly import floats_up
from nine_knots.core.water.dry_fly import Drag, drag_of
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.scores import Found, water_score
from nine_knots.core.water.surroundings import fluid_of
from nine_knots.core.water.technique import RigInStream, Technique

SHORT_S, LONG_S = 0.7, 3.0  # free of drag: less is drag at once, this is a good drift [G]
USUAL_SLACK_M = 0.25  # of a soft cast [G]
IN_ORDER = 0.35  # of a leader, the most slack that lies in order [G]
BARE_M = 0.6  # of tippet before a dry fly that is left free of grease, 2 to 3 ft [P]
JUST_FREE = 1.3  # times the shortest drift that is no drag at once, up to which it only just is


class FreeReason(Reason):
    """How long a floating fly is free of drag."""

    STILL = "nothing moves", "right"
    DRAGS_AT_ONCE = "drags at once", "too little"
    FREE = "free of drag", "right"


@dataclass(frozen=True, slots=True)
class FreeFinding(Finding):
    """Seconds free (None where nothing moves), the slack in metres that keeps it so and whether it
    is that of a cast that was looked at, the difference of the currents in m/s, and whether slack
    along the stream is used up first or across a lane."""

    free_s: float | None
    slack_m: float
    of_cast: bool
    differs_m_s: float
    along: bool


class FloatReason(Reason):
    """Whether a fly floats, and how its tippet lies."""

    SINKS = "sinks by itself", "too much"
    DRAWN_UNDER = "drawn under", "too much"
    TIPPET_FLOATS = "the tippet floats up to the fly", "too much"
    FLOATS = "floats", "right"
    IN_FILM = "in the film", "right"


@dataclass(frozen=True, slots=True)
class FloatFinding(Finding):
    """Whether the tippet sinks, and how much of it is free of grease, in m; None where the leader
    is not greased."""

    tippet_sinks: bool
    bare_m: float | None


class OnTop(Technique):
    """A floating fly, which is not followed: slack is what keeps it free of drag, and a longer or
    finer tippet leaves more of it."""

    key = "on top"
    place = 10
    top = "fly"
    followed = False
    remedies = ("grease", "tippet length", "tippet spool")
    at_the_water = ()
    tuned = ()
    by_slack = True

    def fits(self, design: Design) -> bool:
        """Where the fly is to float."""
        return design.situation.floats

    def fish(self, design: Design, ask: WaterQuestion) -> RigInStream:
        """CannotCompute: ask for its drag."""
        raise CannotCompute(
            "A floating fly is not followed down.", where="wish", hint="Ask for its drift."
        )

    def measures(self, design: Design, ask: WaterQuestion) -> Iterator[Score]:
        """Whether it floats, and for how long it is free."""
        yield self.floats(design)
        yield self.free(design, ask)

    def free(self, design: Design, ask: WaterQuestion) -> Score:
        """The drift score: seconds before it drags."""
        drag = drag_on(design, ask)
        free = drag.free_s
        reason, off = FreeReason.STILL, 0.3
        if free is not None:
            reason = FreeReason.DRAGS_AT_ONCE if free < SHORT_S else FreeReason.FREE
            off = max(-2.0, min(0.9, 2.0 * (free - SHORT_S) / (LONG_S - SHORT_S) - 1.0))
        finding = FreeFinding(
            reason=reason,
            free_s=free,
            slack_m=drag.slack_m,
            of_cast=(ask.slack_m or 0.0) > USUAL_SLACK_M,
            differs_m_s=drag.differs_m_s,
            along=free is not None and drag.along_s is not None and free >= drag.along_s - 1e-9,
        )
        just = free is not None and free < JUST_FREE * SHORT_S
        return water_score("drift", Found(finding, off), just)

    def floats(self, design: Design) -> Score:
        """The depth score: whether it is held up, and how its tippet lies."""
        fly, leader = design.situation.fly, design.leader
        fluid = fluid_of(design.situation.water)
        hangs_n = sum(
            fly_body(other, fluid).weight_n
            for _, other in leader.flies_above
            if other.bead is not None
        )
        sinks = leader.pieces[-1].strand.substance.family == "fluorocarbon"
        bare_m = leader.length_m - leader.greased_m if leader.greased_m else None
        reason = FloatReason.IN_FILM if design.situation.in_the_film else FloatReason.FLOATS
        off = 0.3 if sinks else 0.0
        if not floats_up(fly) and (fly.bead is not None or not design.situation.in_the_film):
            reason, off = FloatReason.SINKS, 1.6
        elif hangs_n > fly_float(fly).carries_n:
            reason, off = FloatReason.DRAWN_UNDER, 1.4
        elif bare_m is not None and bare_m < BARE_M:
            reason, off = FloatReason.TIPPET_FLOATS, min(2.0, 1.5 - 0.5 * bare_m / BARE_M)
        return water_score("depth", Found(FloatFinding(reason, sinks, bare_m), off))


def drag_on(design: Design, ask: WaterQuestion) -> Drag:
    """How long slack keeps the fly free: of the cast that was thrown, but no less than a soft one
    leaves, and no more of the leader than lies in order."""
    most_m = max(USUAL_SLACK_M, IN_ORDER * design.leader.length_m)
    slack_m = min(max(ask.slack_m or 0.0, USUAL_SLACK_M), most_m)
    return drag_of(design.situation.water, slack_m, ask.differs_m_s)


ON_TOP = OnTop()
