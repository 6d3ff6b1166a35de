"""Long work ends where nobody waits, tells how far it is, and no simulation is endless."""

from functools import partial

import pytest

from nine_knots.core.base.beside import side_by_side
from nine_knots.core.base.errors import CannotCompute, TooLong
from nine_knots.core.base.patience import still_wanted, tell, waited_for_by
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.remedies.depth_table import depth_table
from nine_knots.core.judge.remedies.turnover import remedies_for
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.ways import fish
from nine_knots.core.physics.stepper import Leg, history
from tests.core.test_remedies import LONG
from tests.makers import DRY, SHELF, design

ANGLER = Angler(stock=SHELF, flies=(DRY,))


class Somebody:
    """Waits for so many simulations, and hears how far it is."""

    def __init__(self, simulations: int) -> None:
        self.left = simulations
        self.heard: list[float] = []

    def check(self) -> None:
        self.left -= 1
        if self.left < 0:
            raise TooLong("Enough.")

    def told(self, share: float) -> None:
        self.heard.append(share)


def test_a_table_that_is_not_waited_for_ends_before_its_next_simulation():
    sunk = design(wish="strip")
    patient, hasty = Somebody(10_000), Somebody(3)
    with waited_for_by(patient):
        depth_table(sunk, Angler(stock=SHELF, system="metric"))
    assert patient.heard == sorted(patient.heard)
    assert patient.heard[0] == 0.0
    assert 0.8 < patient.heard[-1] < 1.0
    with waited_for_by(hasty), pytest.raises(TooLong):
        depth_table(sunk, Angler(stock=SHELF, system="metric"))
    assert hasty.left < 0  # cells under way beside each other end each before its next
    tell(1, 2)  # nobody waits: nothing is told


def test_remedies_found_till_time_runs_out_are_offered():
    every = remedies_for(LONG, Stroke(), ANGLER)
    counting = Somebody(10_000)
    with waited_for_by(counting):
        remedies_for(LONG, Stroke(), ANGLER)
    taken = 10_000 - counting.left
    with waited_for_by(Somebody(taken // 2)):
        some = remedies_for(LONG, Stroke(), ANGLER)
    assert some == every[: len(some)]
    assert len(some) <= len(every)


def test_a_drift_without_end_is_refused_by_name():
    run = fish(design(wish="strip"), WaterAsk(line_m=30.0))
    legs = (Leg(0.5, 0.0), Leg(5000.0, -0.05))
    with pytest.raises(CannotCompute, match="Fished so long") as refused:
        history(
            run.rig.tree,
            run.history.places[0],
            run.stream,
            legs,
            run.fluid,
            step_s=0.02,
        )
    assert "shorter pauses" in refused.value.mend


def test_work_side_by_side_keeps_its_order_and_its_errors_and_is_given_up_together():
    assert side_by_side([partial(pow, 2, n) for n in range(9)]) == [2**n for n in range(9)]
    inside = [partial(side_by_side, [partial(pow, n, 2)] * 3) for n in range(5)]
    assert side_by_side(inside) == [[n**2] * 3 for n in range(5)]  # of one inside another, too
    with pytest.raises(ZeroDivisionError):
        side_by_side([partial(pow, 2, 3), partial(divmod, 1, 0), partial(pow, 2, 4)])
    with waited_for_by(Somebody(2)), pytest.raises(TooLong, match="Enough"):
        side_by_side([still_wanted] * 50)
