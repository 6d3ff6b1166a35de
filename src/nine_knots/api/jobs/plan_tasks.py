"""What the searcher is asked of a day: to plan it, and to pack it for the water."""

from nine_knots.api.jobs.tasks import Task
from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.values import TupleOf
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.knots.table import KnotKey
from nine_knots.core.domain.leader.lower_rig import LowerRig
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.plan.planned import Cast, TiedLeader, WorkedPlan, work_plan
from nine_knots.words.plan.pack import day_pack
from nine_knots.words.plan.packed import DayPack
from nine_knots.words.plan.reading import LightReading, PlanReading, plan_reading


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
    own: TupleOf[Design] = ()
    wallet: TupleOf[TiedLeader] = ()
    lowers: TupleOf[LowerRig] = ()
    own_s: dict[KnotKey, float]
    light: LightReading = LightReading()

    @property
    def cast(self) -> Cast:
        """How it is thrown, by whom, in what gusts."""
        return self.stroke, self.angler, self.gust

    def work_plan(self) -> WorkedPlan:
        """The leaders for it."""
        return work_plan(self.plan, self.place, self.cast, self.own, self.wallet, self.lowers)


class PlanTask(DayTask):
    """The day worked out."""

    answers = PlanReading

    def work(self) -> PlanReading:
        """The plan's reading."""
        found = self.work_plan()
        return plan_reading(self.plan, self.place, found, self.angler, self.own_s, self.light)


class PackTask(DayTask):
    """The day packed for the water."""

    answers = DayPack
    plan_id: str
    whose: str

    def work(self) -> DayPack:
        """The pack."""
        found = self.work_plan()
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
