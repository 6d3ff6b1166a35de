"""/api/v1/pulls: knots pulled to breaking, typed or read from a scale, and what they teach."""

from dataclasses import dataclass
from math import exp
from typing import Annotated

from fastapi import APIRouter, Query, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.ids import Id
from nine_knots.api.paging import MOST, USUAL, PageSize
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.routes.files import file_answer
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_load
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.knots import KnotKey
from nine_knots.core.domain.knots.own import CurvePoint, PullTest, TestSums, belief, density, is_odd
from nine_knots.core.domain.strand import Spool
from nine_knots.formats.pulls_csv import PullRow, read_pulls, write_pulls
from nine_knots.store.pulls import (
    KeptTest,
    Source,
    add_tests,
    count_tests,
    counted_shares,
    delete_tests,
    list_tests,
    set_aside,
    summed_tests,
)
from nine_knots.store.stock import read_spool

router = APIRouter(prefix="/api/v1/pulls", tags=["pull tests"], responses=RESPONSES)
AskedUnits = Annotated[System, Query()]


class PullSubject(Form):
    """A knot that is pulled; ``wet`` or dry says how the line was."""

    knot: KnotKey
    spool_id: Key
    wet: bool = True
    units: System = "imperial"


class PullForm(PullSubject):
    """A knot pulled to breaking, and where it broke."""

    broke: Typed = Field(examples=["4.2 lb"])


class ChosenForm(Form):
    """Tests chosen on the list."""

    test_ids: TupleOf[Id] = Field(min_length=1, max_length=MOST)
    units: System = "imperial"


class AsideForm(ChosenForm):
    """Whether the chosen tests are set aside."""

    set_aside: bool


class CsvForm(Form):
    """The text of a CSV file of pull tests."""

    text: str = Field(max_length=300_000)
    units: System = "imperial"


@dataclass(frozen=True, slots=True)
class PullLine:
    """One test as it is listed."""

    test_id: str
    knot: KnotKey
    family: str
    line: str
    broke: str
    kept: str
    share: float
    source: Source
    day: str
    set_aside: bool
    odd: bool


@dataclass(frozen=True, slots=True)
class BeliefLine:
    """What is believed of one knot in one family of materials, with its curves."""

    knot: KnotKey
    family: str
    words: str
    low: float
    high: float
    prior: tuple[CurvePoint, ...]
    posterior: tuple[CurvePoint, ...]


@dataclass(frozen=True, slots=True)
class PullsAnswer:
    """A page of tests, newest first, of so many in all, and what all of them come to."""

    tests: tuple[PullLine, ...]
    total: int
    beliefs: tuple[BeliefLine, ...]
    read: str


@router.get("", summary="List pull tests and what they show")
def get_pulls(
    session: CurrentSession,
    units: AskedUnits = "imperial",
    limit: PageSize = USUAL,
    skip: Annotated[int, Query(ge=0, le=1_000_000, description="newer ones left out")] = 0,
    knot: Annotated[KnotKey | None, Query(description="of one knot only")] = None,
) -> PullsAnswer:
    """A page of tests, and the beliefs behind the designs' hold, which go by all of them."""
    return session.read(
        lambda cursor, me: pulls_answer(cursor, me, Units(units), knot, limit, skip)
    )


@router.post("", summary="Record a pull test", responses=MISSING)
def post_pull(session: SavingSession, form: PullForm) -> PullsAnswer:
    """Keep a reading as typed."""
    with field("broke"):
        broke_n = parse_load(form.broke, form.units)

    return session.save(
        lambda cursor, me: store_pull(cursor, me, form, broke_n, "typed"),
        lambda cursor, me, _: pulls_answer(cursor, me, Units(form.units)),
    )


@router.post("/aside", summary="Exclude or include pull tests", responses=MISSING)
def post_aside(session: CurrentSession, form: AsideForm) -> PullsAnswer:
    """They stay on the list either way."""

    def change(cursor: DictCursor, me: str) -> PullsAnswer:
        set_aside(cursor, me, form.test_ids, form.set_aside)
        return pulls_answer(cursor, me, Units(form.units))

    return session.write(change)


@router.post("/deletion", summary="Delete pull tests", responses=MISSING)
def post_deletion(session: CurrentSession, form: ChosenForm) -> PullsAnswer:
    """For readings that were none: a slip of the key, a wrong file. They are gone for good."""

    def forget(cursor: DictCursor, me: str) -> PullsAnswer:
        delete_tests(cursor, me, form.test_ids)
        return pulls_answer(cursor, me, Units(form.units))

    return session.write(forget)


@router.get("/csv", response_class=Response, summary="Export pull tests as CSV")
def get_csv(session: CurrentSession) -> Response:
    """The file, in newtons."""
    kept = reversed(session.read(list_tests))
    return file_answer(write_pulls(tuple(PullRow(k.test, k.line) for k in kept)), "pulls", "csv")


@router.post("/csv", summary="Import pull tests from CSV")
def post_csv(session: SavingSession, form: CsvForm) -> PullsAnswer:
    """All of its rows, or none where one is no pull test."""
    rows = read_pulls(form.text)

    def keep(cursor: DictCursor, me: str) -> str:
        add_tests(cursor, me, ((row.test, row.line) for row in rows), "file")
        return f"{len(rows)} tests"

    return session.save(keep, lambda cursor, me, _: pulls_answer(cursor, me, Units(form.units)))


def line_strength_n(spool: Spool, wet: bool) -> float:
    """What the line itself holds, in N."""
    strand = spool.strand
    return strand.breaking_n if wet else strand.breaking_n / strand.substance.wet_keeps


def store_pull(
    cursor: DictCursor, me: str, form: PullSubject, broke_n: float, source: Source
) -> str:
    """Keep a pull; answers its knot."""
    spool = read_spool(cursor, me, form.spool_id)
    with field("broke"):
        test = PullTest(
            knot=form.knot,
            family=spool.strand.substance.family,
            strand_n=line_strength_n(spool, form.wet),
            broke_n=broke_n,
        )
    add_tests(cursor, me, ((test, spool.title),), source)
    return form.knot


def pulls_answer(
    cursor: DictCursor,
    me: str,
    units: Units,
    knot: KnotKey | None = None,
    limit: int = USUAL,
    skip: int = 0,
    read: str = "",
) -> PullsAnswer:
    """A page of tests, and what all of them come to."""
    shown = list_tests(cursor, me, limit, skip, knot)
    shares = {
        (knot, family): counted_shares(cursor, me, knot, family)
        for knot, family in {(item.test.knot, item.test.family) for item in shown}
    }
    lines = (
        _line(item, is_odd(item.test, shares[item.test.knot, item.test.family]), units)
        for item in shown
    )
    return PullsAnswer(
        tests=tuple(lines),
        total=count_tests(cursor, me, knot),
        beliefs=tuple(
            _belief_line(told)
            for told in summed_tests(cursor, me)
            if knot is None or told.knot == knot
        ),
        read=read,
    )


def _line(kept_test: KeptTest, odd: bool, units: Units) -> PullLine:
    test = kept_test.test
    return PullLine(
        test_id=kept_test.test_id,
        knot=test.knot,
        family=test.family,
        line=kept_test.line,
        broke=units.load(test.broke_n).text,
        kept=f"{test.efficiency:.0%}",
        share=test.efficiency,
        source=kept_test.source,
        day=f"{kept_test.tested_at:%Y-%m-%d}",
        set_aside=test.set_aside,
        odd=odd,
    )


def _belief_line(told: TestSums) -> BeliefLine:
    now = belief(told)
    low = max(0.2, min(0.9 * now.prior, exp(told.least)) - 0.08)
    high = min(1.6, max(1.1 * now.prior, exp(told.most)) + 0.08)
    count = "one pull test" if now.tests == 1 else f"{now.tests} pull tests"
    likely = now.posterior * now.posterior_spread
    return BeliefLine(
        knot=now.knot,
        family=now.family,
        words=f"Typically {now.prior:.0%}; after {count} of yours {now.posterior:.0%}, give or "
        f"take {likely:.0%}. Every leader with this knot uses it.",
        low=low,
        high=high,
        prior=density(now.prior, now.prior_spread, low, high),
        posterior=density(now.posterior, now.posterior_spread, low, high),
    )
