"""On the surface or in its film: nothing sinks, slack is what counts."""

from collections.abc import Iterator

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import Score, Status
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import fly_body, fly_float
from nine_knots.core.water.dry_fly import Drag, drag_of
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.scores import WaterScore, depth_score, drift_score
from nine_knots.core.water.surroundings import fluid_of
from nine_knots.core.water.technique import RigInStream, Technique

SHORT_S, LONG_S = 0.7, 3.0  # free of drag: less is drag at once, this is a good drift [G]
USUAL_SLACK_M = 0.25  # of a soft cast [G]
IN_ORDER = 0.35  # of a leader, the most slack that lies in order [G]
BARE_M = 0.6  # of tippet before a dry fly that is left free of grease, 2 to 3 ft [P]
FLOATS_ASKS = "Does it float, and how does the tippet lie?"


class OnTop(Technique):
    """A floating fly, which is not followed: slack is what keeps it free of drag, and a longer or
    finer tippet leaves more of it."""

    key = "on top"
    place = 10
    top = "fly"
    followed = False
    question = "How long is it free of drag?"
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

    def measures(self, design: Design, ask: WaterQuestion, units: Units) -> Iterator[Score]:
        """Whether it floats, and for how long it is free."""
        yield self.floats(design, units)
        yield self.free(drag_on(design, ask), told_by_cast(ask), units)

    def free(self, drag: Drag, landed: bool, units: Units) -> Score:
        """The drift cord: seconds before it drags, with the slack in which its cast ``landed``."""
        free = drag.free_s
        slack = units.roughly(drag.slack_m)
        if free is None:
            still = WaterScore("right", 0.3, "no drag", "Nothing moves: it stays where it landed.")
            return drift_score(self.question, still)
        along = drag.along_s is not None and free >= drag.along_s - 1e-9
        limit = "along the stream" if along else "across a faster lane"
        from_cast = "of this cast" if landed else "as a soft cast leaves"
        why = (
            f"About {slack} of slack {from_cast}; currents that differ by "
            f"{units.speed(drag.differs_m_s).text} use it up {limit} first."
        )
        off = min(0.9, 2.0 * (free - SHORT_S) / (LONG_S - SHORT_S) - 1.0)
        status: Status = "too little" if free < SHORT_S else "right"
        found = WaterScore(status, max(-2.0, off), f"free for {units.seconds(free)}", why)
        return drift_score(self.question, found, free < 1.3 * SHORT_S)

    def floats(self, design: Design, units: Units) -> Score:
        """The depth cord: whether it is held up, and how its tippet lies."""
        fly, tippet = design.situation.fly, design.leader.pieces[-1]
        fluid = fluid_of(design.situation.water)
        hangs_n = sum(
            fly_body(other, fluid).weight_n
            for _, other in design.leader.flies_above
            if other.bead is not None
        )
        if hangs_n > fly_float(fly).carries_n:
            why = "What hangs below it weighs more than its hackle can carry."
            return depth_score(WaterScore("too much", 1.4, "is drawn under", why), FLOATS_ASKS)
        sinks = tippet.strand.substance.family == "fluorocarbon"
        last = "60 cm" if units.system == "metric" else "two feet"
        leader = design.leader
        bare_m = leader.length_m - leader.greased_m
        if leader.greased_m and bare_m < BARE_M:
            near = units.length(bare_m).text
            why = (
                f"Greased to {near} of the fly: the tippet lies on the film, shines, and is "
                f"pulled by every current. Degrease the last {last}."
            )
            off = min(2.0, 1.0 + 0.5 * (1.0 - bare_m / BARE_M))
            return depth_score(WaterScore("too much", off, "tippet floats", why), FLOATS_ASKS)
        why = (
            "Fluorocarbon sinks just under the film: less glare, but it draws a small fly down in "
            "time."
            if sinks
            else f"Nylon floats on the film: keep the last {last} free of grease, to cut the glare."
        )
        if leader.greased_m:
            why = f"Greased to {units.length(bare_m).text} of the fly: what is above floats. {why}"
        figure = "in the film" if design.situation.in_the_film else "floats"
        return depth_score(WaterScore("right", 0.3 if sinks else 0.0, figure, why), FLOATS_ASKS)


def drag_on(design: Design, ask: WaterQuestion) -> Drag:
    """How long slack keeps the fly free: of the cast that was thrown, but no less than a soft one
    leaves, and no more of the leader than lies in order."""
    most_m = max(USUAL_SLACK_M, IN_ORDER * design.leader.length_m)
    slack_m = min(max(ask.slack_m or 0.0, USUAL_SLACK_M), most_m)
    return drag_of(design.situation.water, slack_m, ask.differs_m_s)


def told_by_cast(ask: WaterQuestion) -> bool:
    """Whether the slack is that of the cast that was thrown, not what any soft one leaves."""
    return (ask.slack_m or 0.0) > USUAL_SLACK_M


ON_TOP = OnTop()
