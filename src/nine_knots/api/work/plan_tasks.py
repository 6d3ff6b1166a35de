"""What the searcher is asked of a day: to plan it, and to pack it for the water."""

from nine_knots.api.work.tasks import Task
from nine_knots.core.base.frozen import Several
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.planning.planned import Cast, Planned, Tied, planned
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import STEADY, Gust
from nine_knots.core.tell.plan.pack import day_pack
from nine_knots.core.tell.plan.packed import DayPack
from nine_knots.core.tell.plan.reading import Light, PlanReading, plan_reading
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.knots.table import KnotKey
from nine_knots.core.trade.leader.lower_rig import LowerRig
from nine_knots.core.trade.places import Place
from nine_knots.core.trade.plan import DayPlan


class DayTask(Task):
    """A day, its water, and all that the angler has for it."""

    behind = True
    most_s = 240.0
    when_too_long = (
        "Plan fewer stretches or flies at once, or work it out again: it goes on from there."
    )
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

    @property
    def cast(self) -> Cast:
        """How it is thrown, by whom, in what gusts."""
        return self.stroke, self.angler, self.gust

    def planned(self) -> Planned:
        """The leaders for it."""
        return planned(self.plan, self.place, self.cast, self.own, self.wallet, self.lowers)


class PlanTask(DayTask):
    """The day worked out."""

    answers = PlanReading

    def work(self) -> PlanReading:
        """The plan's reading."""
        found = self.planned()
        return plan_reading(self.plan, self.place, found, self.angler, self.own_s, self.light)


class PackTask(DayTask):
    """The day packed for the water."""

    answers = DayPack
    plan_id: str
    whose: str

    def work(self) -> DayPack:
        """The pack."""
        found = self.planned()
        return day_pack(
            self.plan_id,
            self.whose,
            self.plan,
            self.place,
            found,
            self.cast,
            self.own_s,
            self.light,
        )
