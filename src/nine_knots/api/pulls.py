"""/api/pulls: knots pulled to breaking, typed or read from a scale, and what they teach."""

import random
from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Query, Request, Response
from pydantic import BaseModel, Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession
from nine_knots.api.files import file_answer
from nine_knots.api.problems import RESPONSES
from nine_knots.api.typed import Typed, field
from nine_knots.core.errors import NotFound
from nine_knots.core.knots import KnotKey
from nine_knots.core.knots.own import (
    Belief,
    CurvePoint,
    PullTest,
    belief,
    density,
    is_odd,
    spread_of,
    usual_share,
)
from nine_knots.core.strand import Spool
from nine_knots.core.units import Units, parse_load
from nine_knots.core.values import Key, System, Title
from nine_knots.formats.pulls_csv import PullRow, read_pulls, write_pulls
from nine_knots.instruments.pull_scale import read_peak
from nine_knots.standins.pull_scale import Mischief, PullScale
from nine_knots.store.pulls import KeptTest, Source, add_test, list_tests, set_aside
from nine_knots.store.stock import list_stock

router = APIRouter(prefix="/api/pulls", tags=["pull tests"], responses=RESPONSES)
PATIENCE_S = 20.0
ADDRESS = r"^(|/dev/[\w./-]{1,80}|COM\d{1,3}|socket://127\.0\.0\.1:\d{1,5})$"
AskedUnits = Annotated[System, Query()]


class PullForm(BaseModel):
    """A knot pulled to breaking; ``wet`` or dry says how the line was."""

    knot: KnotKey
    spool_id: Key
    wet: bool = True
    broke: Typed = Field(examples=["4.2 lb"])
    units: System = "imperial"


class ScaleForm(BaseModel):
    """A pull to be read from a scale; an empty address is the simulated one, which is started."""

    knot: KnotKey
    spool_id: Key
    wet: bool = True
    address: str = Field(default="", pattern=ADDRESS, examples=["/dev/ttyUSB0"])
    mischief: Mischief = "none"
    units: System = "imperial"


class AsideForm(BaseModel):
    """Whether a test is set aside."""

    set_aside: bool
    units: System = "imperial"


class CsvForm(BaseModel):
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
    """All tests, oldest first, and what they come to."""

    tests: tuple[PullLine, ...]
    beliefs: tuple[BeliefLine, ...]
    read: str


@router.get("", summary="All pull tests and what they say")
def get_pulls(session: CurrentSession, units: AskedUnits = "imperial") -> PullsAnswer:
    """The tests and the beliefs behind the designs' hold."""
    return session.run(lambda cursor, me: _answer(cursor, me, Units(units)))


@router.post("", summary="Note where a knot broke")
def post_pull(session: CurrentSession, form: PullForm) -> PullsAnswer:
    """Keep a reading as typed."""
    with field("broke"):
        broke_n = parse_load(form.broke, form.units)

    def keep(cursor: DictCursor, me: str) -> PullsAnswer:
        _keep(cursor, me, form, broke_n, "typed")
        return _answer(cursor, me, Units(form.units))

    return session.run(keep)


@router.post("/scale", summary="Read a pull from the scale")
def post_scale(request: Request, session: CurrentSession, form: ScaleForm) -> PullsAnswer:
    """Wait for the scale's peak and keep it; what ails the scale is said, and nothing kept."""
    spool = session.run(lambda cursor, me: _spool(cursor, me, form.spool_id))
    if form.address:
        peak_n = read_peak(form.address, PATIENCE_S)
    else:
        scale = _simulated(request, form.mischief)
        usual = usual_share(form.knot, spool.strand.substance.family)
        share = min(1.0, random.lognormvariate(0.0, spread_of(form.knot)) * usual)
        load_n = share * _strand_n(spool, form.wet)
        peak_n = read_peak(scale.address, PATIENCE_S, say=f"PULL {load_n:.2f}")

    def keep(cursor: DictCursor, me: str) -> PullsAnswer:
        _keep(cursor, me, form, peak_n, "scale")
        return _answer(cursor, me, Units(form.units), peak_n)

    return session.run(keep)


@router.put("/{test_id}", summary="Set a test aside, or count it again")
def put_aside(session: CurrentSession, test_id: str, form: AsideForm) -> PullsAnswer:
    """It stays on the list either way."""

    def change(cursor: DictCursor, me: str) -> PullsAnswer:
        set_aside(cursor, me, test_id, form.set_aside)
        return _answer(cursor, me, Units(form.units))

    return session.run(change)


@router.get("/csv", response_class=Response, summary="Write all pull tests as CSV")
def get_csv(session: CurrentSession) -> Response:
    """The file, in newtons."""
    kept = session.run(list_tests)
    return file_answer(write_pulls(tuple(PullRow(k.test, k.line) for k in kept)), "pulls", "csv")


@router.post("/csv", summary="Take pull tests from a CSV")
def post_csv(session: CurrentSession, form: CsvForm) -> PullsAnswer:
    """All of its rows, or none where one is no pull test."""
    rows = read_pulls(form.text)

    def keep(cursor: DictCursor, me: str) -> PullsAnswer:
        for row in rows:
            add_test(cursor, me, row.test, row.line, "file")
        return _answer(cursor, me, Units(form.units))

    return session.run(keep)


def _simulated(request: Request, mischief: Mischief) -> PullScale:
    """The simulated scale, plugged in once and used again."""
    state = request.app.state
    if state.pull_scale is None:
        state.pull_scale = PullScale()
    scale: PullScale = state.pull_scale
    scale.mischief = mischief
    return scale


def _spool(cursor: DictCursor, me: str, spool_id: str) -> Spool:
    for item in list_stock(cursor, me):
        if item.spool_id == spool_id and isinstance(item, Spool):
            return item
    raise NotFound(f"There is no spool “{spool_id}” on the shelf.", where="spool_id")


def _strand_n(spool: Spool, wet: bool) -> float:
    strand = spool.strand
    return strand.breaking_n if wet else strand.breaking_n / strand.substance.wet_keeps


def _keep(
    cursor: DictCursor, me: str, form: PullForm | ScaleForm, broke_n: float, source: Source
) -> None:
    spool = _spool(cursor, me, form.spool_id)
    with field("broke"):
        test = PullTest(
            knot=form.knot,
            family=spool.strand.substance.family,
            strand_n=_strand_n(spool, form.wet),
            broke_n=broke_n,
        )
    title: Title = spool.title
    add_test(cursor, me, test, title, source)


def _answer(cursor: DictCursor, me: str, units: Units, read_n: float | None = None) -> PullsAnswer:
    kept = list_tests(cursor, me)
    groups = sorted({(one.test.knot, one.test.family) for one in kept})
    lines: dict[str, PullLine] = {}
    beliefs = []
    for knot, family in groups:
        mine = tuple(one for one in kept if (one.test.knot, one.test.family) == (knot, family))
        tests = tuple(one.test for one in mine)
        for number, one in enumerate(mine):
            lines[one.test_id] = _line(one, is_odd(number, tests), units)
        beliefs.append(_belief_line(belief(knot, family, tests), tests))
    return PullsAnswer(
        tests=tuple(lines[one.test_id] for one in kept),
        beliefs=tuple(beliefs),
        read="" if read_n is None else units.load(read_n).text,
    )


def _line(one: KeptTest, odd: bool, units: Units) -> PullLine:
    test = one.test
    return PullLine(
        test_id=one.test_id,
        knot=test.knot,
        family=test.family,
        line=one.line,
        broke=units.load(test.broke_n).text,
        kept=f"{test.kept:.0%}",
        share=test.kept,
        source=one.source,
        day=f"{one.tested_at:%Y-%m-%d}",
        set_aside=test.set_aside,
        odd=odd,
    )


def _belief_line(now: Belief, tests: tuple[PullTest, ...]) -> BeliefLine:
    shares = [test.kept for test in tests]
    low = max(0.2, min(0.9 * now.prior, *shares) - 0.08)
    high = min(1.6, max(1.1 * now.prior, *shares) + 0.08)
    count = "one pull" if now.tests == 1 else f"{now.tests} pulls"
    likely = now.posterior * now.posterior_spread
    return BeliefLine(
        knot=now.knot,
        family=now.family,
        words=f"From memory {now.prior:.0%}; after {count} of yours {now.posterior:.0%}, give or "
        f"take {likely:.0%}. Every leader with it is reckoned so.",
        low=low,
        high=high,
        prior=density(now.prior, now.prior_spread, low, high),
        posterior=density(now.posterior, now.posterior_spread, low, high),
    )
