"""Long work ends where nobody waits, tells how far it is, and no simulation is endless."""

import ast
from functools import partial
from pathlib import Path

import pytest

import nine_knots.core
from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.cancellation import cancellable, check_cancelled, report_progress
from nine_knots.core.base.concurrency import run_parallel
from nine_knots.core.base.errors import CannotCompute, TimedOut
from nine_knots.core.base.result_cache import cached_result
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.mechanics.stepper import Leg, history
from nine_knots.core.plan.planned import work_plan
from nine_knots.core.remedies.depth_table import depth_table
from nine_knots.core.remedies.turnover import remedies_for
from nine_knots.core.search import search
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.search import Search
from nine_knots.core.techniques import fish
from nine_knots.core.water.question import WaterQuestion
from nine_knots.words.depth_table import depth_table_reading
from nine_knots.words.search import reading
from nine_knots.words.search.reading import found_so_far
from tests.core.test_planning import CAST, SKARN, a_plan
from tests.core.test_remedies import LONG
from tests.makers import DRY, METRIC, SHELF, day, design

ANGLER = Angler(stock=SHELF, flies=(DRY,))
MOST = 20  # leaders that a search casts


class Somebody:
    """Waits for so many simulations, and hears how far it is."""

    def __init__(self, simulations: int) -> None:
        self.left = simulations
        self.heard: list[float] = []

    def check(self) -> None:
        self.left -= 1
        if self.left < 0:
            raise TimedOut("Enough.")

    def told(self, share: float) -> None:
        self.heard.append(share)


def test_a_table_that_is_not_waited_for_ends_before_its_next_simulation():
    sunk = design(wish="strip")
    patient, hasty = Somebody(10_000), Somebody(3)
    with cancellable(patient):
        depth_table(sunk, Angler(stock=SHELF, system="metric"))
    assert patient.heard == sorted(patient.heard)
    assert patient.heard[0] == 0.0
    assert 0.8 < patient.heard[-1] < 1.0
    with cancellable(hasty), pytest.raises(TimedOut):
        depth_table(sunk, Angler(stock=SHELF, system="imperial"))
    assert hasty.left < 0  # cells under way beside each other end each before its next
    report_progress(1, 2)  # nobody waits: nothing is told


def test_remedies_found_till_time_runs_out_are_offered():
    every = remedies_for(LONG, Stroke(), ANGLER)
    counting = Somebody(10_000)
    with cancellable(counting):
        remedies_for(LONG, Stroke(), ANGLER)
    taken = 10_000 - counting.left
    with cancellable(Somebody(taken // 2)):
        some = remedies_for(LONG, Stroke(), ANGLER)
    assert some == every[: len(some)]
    assert 0 < len(some) < len(every)
    # none found in time is not “nothing mends it”
    with cancellable(Somebody(1)), pytest.raises(TimedOut):
        remedies_for(LONG, Stroke(), ANGLER)


CATCH_ALL = {"NineKnotsError", "Interrupted", "TimedOut", "Exception", "BaseException"}
MAY_CATCH = {
    "remedies/search.py",
    "remedies/depth_table.py",
    "search/search.py",
    "search/reading.py",
}


def test_a_deadline_passes_through_whatever_tries_one_thing_after_another():
    root = Path(nine_knots.core.__file__).parents[1]
    caught = set()
    for file in [*(root / "core").rglob("*.py"), *(root / "words").rglob("*.py")]:
        for node in ast.walk(ast.parse(file.read_text())):
            kinds = node.type if isinstance(node, ast.ExceptHandler) else None
            if isinstance(node, ast.Call) and getattr(node.func, "id", "") == "suppress":
                kinds = ast.Tuple(node.args)
            names = {item.id for item in ast.walk(kinds or node) if isinstance(item, ast.Name)}
            is_bare = isinstance(node, ast.ExceptHandler) and kinds is None
            if is_bare or (kinds is not None and CATCH_ALL & names):
                caught.add(f"{file.parent.name}/{file.name}")
    assert caught == MAY_CATCH  # those tell what was found in the time


def test_what_was_cut_short_is_not_remembered():
    left = Somebody(1)

    @cached_result(4)
    def work(number: int) -> int:
        left.left -= number
        return number

    with cancellable(left), pytest.raises(TimedOut):
        work(3)
    assert work(3) == 3


def test_a_plan_that_ran_out_of_time_is_worked_out_whole_the_next_time():
    plan = a_plan(("pockets", 0), flies=(("pale-upright", "drift on top"),))
    counting = Somebody(1_000_000)
    for steps in (40, 150):  # among the schools, and further on
        with cancellable(Somebody(steps)), pytest.raises(TimedOut):
            work_plan(plan, SKARN, CAST)
    with cancellable(counting):
        after = work_plan(plan, SKARN, CAST)
    for stop in after.stops:
        assert stop.fit is not None
        assert stop.fit.design.situation.fly.title == "Pale upright 16"


def test_a_depth_table_cut_short_says_what_is_missing_and_goes_on():
    sunk, angler = design(wish="strip"), Angler(stock=SHELF, system="metric", flies=(DRY, DRY))
    some = None
    for steps in (4, 8, 16, 32, 64):
        try:
            with cancellable(Somebody(steps)):
                some = depth_table(sunk, angler, partial_too=True)
            break
        except TimedOut:
            continue
    assert some is not None
    said = depth_table_reading(some, METRIC).cut_short
    assert said.startswith("Time ran out with ")
    cells = [cell for row in some.rows for cell in row.cells]
    missing = [cell for cell in cells if cell.status is None]
    assert 0 < len(missing) < len(cells)
    assert str(len(missing)) in said
    with cancellable(Somebody(4)), pytest.raises(TimedOut):
        depth_table(sunk, angler)  # a printed card has the whole table or none
    whole = depth_table(sunk, angler, partial_too=True)
    assert not whole.missing
    for row, other in zip(whole.rows, some.rows, strict=True):
        for cell, before in zip(row.cells, other.cells, strict=True):
            assert before in (cell, before if before.status is None else cell)


def test_a_search_cut_short_shows_what_it_found_and_goes_on(monkeypatch):
    cast = []
    real = search.evaluate_candidate

    def noted(table, origin, *more, rough=False):
        cast.append((origin, table.leader, rough))
        return real(table, origin, *more, rough=rough)

    monkeypatch.setattr(search, "evaluate_candidate", noted)
    monkeypatch.setattr(reading, "chance_of_opening", lambda *_: 0.9)  # it is not what is cut
    asked = Search(day(), Stroke(), ANGLER, Demands(), most=MOST, seed=7)
    hasty = Somebody(60)
    with cancellable(hasty):
        *_, some = found_so_far(asked)
    cut = cast.pop()  # the one under way
    before = len(cast)
    first = sum(rough for _, _, rough in cast)
    assert 0 < first < MOST
    assert some.cards
    assert some.cut_short == f"Time ran out after {first} of {MOST} leaders."
    *_, whole = found_so_far(asked)
    assert not whole.cut_short
    assert cast[before] == cut
    assert not set(cast[before:]) & set(cast[:before])


def test_a_drift_without_end_is_refused_by_name():
    run = fish(design(wish="strip"), WaterQuestion(line_m=30.0))
    legs = (Leg(0.5, 0.0), Leg(5000.0, -0.05))
    with pytest.raises(CannotCompute, match="too long for the water model") as refused:
        history(
            run.rig.tree,
            run.history.places[0],
            run.stream,
            legs,
            run.fluid,
            step_s=0.02,
        )
    assert "shorter pauses" in refused.value.hint


def test_work_side_by_side_keeps_its_order_and_its_errors_and_is_given_up_together():
    assert run_parallel([partial(pow, 2, n) for n in range(9)]) == [2**n for n in range(9)]
    inside = [partial(run_parallel, [partial(pow, n, 2)] * 3) for n in range(5)]
    assert run_parallel(inside) == [[n**2] * 3 for n in range(5)]  # of one inside another, too
    with pytest.raises(ZeroDivisionError):
        run_parallel([partial(pow, 2, 3), partial(divmod, 1, 0), partial(pow, 2, 4)])
    with cancellable(Somebody(2)), pytest.raises(TimedOut, match="Enough"):
        run_parallel([check_cancelled] * 50)
