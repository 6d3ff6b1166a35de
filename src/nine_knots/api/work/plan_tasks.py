"""What the searcher is asked of a day: to plan it, and to pack it for the water."""

from nine_knots.api.work.tasks import Task
from nine_knots.core.base.frozen import Several
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.planning.planned import Tied, planned
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import STEADY, Gust
from nine_knots.core.tell.plan.reading import Light, PlanReading, plan_reading
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.knots.table import KnotKey
from nine_knots.core.trade.leader.lower_rig import LowerRig
from nine_knots.core.trade.places import Place
from nine_knots.core.trade.plan import DayPlan


class PlanTask(Task):
    """A day, its water, and all that the angler has for it."""

    behind = True
    most_s = 240.0
    answers = PlanReading
    plan: DayPlan
    place: Place
    angler: Angler
    stroke: Stroke
    gust: Gust = STEADY
    own: Several[Design] = ()
    wallet: Several[Tied] = ()
    lowers: Several[LowerRig] = ()
    own_s: dict[KnotKey, float]
    light: Light = Light()

    def work(self) -> PlanReading:
        """The plan worked out."""
        cast = (self.stroke, self.angler, self.gust)
        found = planned(self.plan, self.place, cast, self.own, self.wallet, self.lowers)
        return plan_reading(self.plan, self.place, found, self.angler, self.own_s, self.light)
