"""/api/v1/bench: a design, perhaps a change to it, and everything there is to read of it."""

from fastapi import APIRouter
from pydantic import BaseModel, Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import DESIGN, SITUATION
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.quantity import Quantity, System
from nine_knots.core.base.units import Units, parse_length, parse_size
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import Edit
from nine_knots.core.domain.leader.own_knots import with_own_knots
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.domain.usual_days import DayKind, day_kind_of, suited_wish, usual_day
from nine_knots.core.propose.bare import bare_leader
from nine_knots.core.propose.shop import propose_or_buy
from nine_knots.core.remedies.verdict import verdict_remedies_for
from nine_knots.core.schools.school import SchoolParameters
from nine_knots.store.tackle import read_kit
from nine_knots.words.evaluation import Evaluation, evaluate
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.proposal import cut_words, proposal_reasons
from nine_knots.words.recipe import Recipe, recipe
from nine_knots.words.remedies import RemedyReading, remedy_readings
from nine_knots.words.rig import HungItem, items_on
from nine_knots.words.sentence import (
    SayPart,
    SentenceEdit,
    SentenceWord,
    TypedFigure,
    apply_sentence_edit,
    changed_wish_words,
    sentence_words_of,
    typed_figures,
)
from nine_knots.words.shortages import ShortageReading, shortage_reading, wanted_words

router = APIRouter(prefix="/api/v1", tags=["bench"], responses=RESPONSES)


class DayChange(Form):
    """Something of the day said otherwise, or another fly, which is then fished as it can be."""

    say: SentenceEdit | None = Field(
        default=None, examples=[{"part": "depth", "text": "waist-deep"}]
    )
    fly: Fly | None = Field(default=None, description="tied on instead")
    units: System = "imperial"


class BenchRequest(DayChange):
    """A design to read, after at most one change to the leader and one to the day."""

    design: Design = Field(examples=[DESIGN])
    edit: Edit | None = Field(default=None, examples=[{"act": "split", "piece": 0}])


class DayRequest(DayChange):
    """A day to read, after at most one change."""

    situation: Situation = Field(examples=[SITUATION])


class DayAnswer(BaseModel):
    """The day after the change, as a sentence, with its figures as they can be typed."""

    situation: Situation
    sentence: tuple[SentenceWord, ...]
    said: dict[SayPart, TypedFigure]
    note: str = ""


class BenchAnswer(BaseModel):
    """The design after the change, its evaluation, and what changed with the fly."""

    design: Design
    evaluation: Evaluation
    note: str = ""


class ProposalRequest(Form):
    """A school asked for a leader; length and tippet as typed, empty for the school's own."""

    school: str = Field(max_length=40, examples=["sixty-twenty-twenty"])
    situation: Situation = Field(examples=[SITUATION])
    length: Typed = Field(default="", examples=["9 ft"])
    tippet: Typed = Field(default="", examples=["5X", "20 lb"])
    power: float = Field(default=0.0, ge=-1.0, le=1.0)
    whole: bool = Field(default=False, description="cut nothing off a bought taper")
    units: System = "imperial"


class BareLeaderRequest(Form):
    """The day for which a leader is to be built from nothing."""

    situation: Situation = Field(examples=[SITUATION])
    units: System = "imperial"


class ProposalAnswer(BaseModel):
    """The leader proposed, how it is tied, why, and which spools the shelf lacks."""

    leader: Leader
    length: Quantity
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    recipe: Recipe
    reasons: tuple[str, ...]
    shortfalls: tuple[ShortageReading, ...]
    cut: str = Field(description="what is cut off a bought taper; empty if it is used whole")
    buys: tuple[str, ...] = Field(description="what is missing where the shelf makes no leader")


@router.post("/bench", summary="Edit a design and evaluate it")
def post_bench(session: CurrentSession, asked: BenchRequest) -> BenchAnswer:
    """Apply the change, evaluate the result; nothing is stored."""
    angler = session.angler(asked.units)
    units = angler.units
    situation, note = _changed(asked.design.situation, asked, units)
    design = asked.design.model_copy(update={"situation": situation})
    if asked.edit is not None:
        workbench = Workbench(stock=angler.stock, fly=design.situation.fly, units=units)
        design = design.model_copy(
            update={"leader": apply_edit(design.leader, asked.edit, workbench)}
        )
    evaluation = evaluate(design, angler.titles, units, angler.tyer)
    return BenchAnswer(design=design, evaluation=evaluation, note=note)


class BenchRemedyRequest(Form):
    """A design whose match, hold or length is to be mended."""

    design: Design = Field(examples=[DESIGN])
    units: System = "imperial"


@router.post("/bench/my-knots", summary="Use my own knots throughout a design")
def post_my_knots(session: CurrentSession, asked: BenchRemedyRequest) -> Leader:
    """The leader with the angler's own knots wherever they hold; nothing is stored."""
    day = asked.design.situation
    ties = session.angler().ties
    return with_own_knots(asked.design.leader, ties, day.line, day.fly)


@router.post("/bench/remedies", summary="Find remedies for match, hold and length")
def post_bench_remedies(
    session: CurrentSession, asked: BenchRemedyRequest
) -> tuple[RemedyReading, ...]:
    """Each is one change, made and judged anew; nothing is stored."""
    angler = session.angler(asked.units)
    return remedy_readings(verdict_remedies_for(asked.design, angler), angler.units)


@router.post("/proposals", summary="Build a school's leader from the shelf", responses=MISSING)
def post_proposal(session: CurrentSession, asked: ProposalRequest) -> ProposalAnswer:
    """Build a leader by the school's rule from the spools owned; nothing is stored."""
    system = asked.units
    with field("length"):
        length_m = parse_length(asked.length, system) if asked.length.strip() else None
    tippet_m = tippet_n = None
    if asked.tippet.strip():
        with field("tippet"):
            tippet_m, tippet_n = parse_size(asked.tippet, system)
    parameters = SchoolParameters(
        length_m=length_m,
        tippet_m=tippet_m,
        tippet_n=tippet_n,
        power=asked.power,
        whole=asked.whole,
    )
    angler = session.angler(system)
    units, day = angler.units, asked.situation
    proposal = propose_or_buy(angler, asked.school, day, parameters)
    leader = proposal.leader
    return ProposalAnswer(
        leader=leader,
        length=units.length(leader.length_m),
        outline=outline(leader),
        hung=items_on(leader),
        recipe=recipe(leader, angler.titles, units),
        reasons=proposal_reasons(proposal, units),
        shortfalls=tuple(shortage_reading(miss, units) for miss in proposal.shortfalls),
        cut=cut_words(proposal.taper, units),
        buys=tuple(wanted_words(wanted, units) for wanted in proposal.buys),
    )


@router.post("/proposals/bare", summary="Start by hand with one piece of butt")
def post_bare_leader(session: CurrentSession, asked: BareLeaderRequest) -> Leader:
    """A butt matched to the line from the spools owned; nothing is stored."""
    angler = session.angler(asked.units)
    return bare_leader(asked.situation, angler.stock, angler.units)


@router.post("/day", summary="Edit a day")
def post_day(session: CurrentSession, asked: DayRequest) -> DayAnswer:
    """Apply the change; nothing is stored."""
    units = session.angler(asked.units).units
    day, note = _changed(asked.situation, asked, units)
    said = typed_figures(day, units)
    return DayAnswer(situation=day, sentence=sentence_words_of(day, said), said=said, note=note)


def _changed(day: Situation, asked: DayChange, units: Units) -> tuple[Situation, str]:
    """The day as it is said now, its fly fished as it can be; and what changed with the fly."""
    if asked.say is not None:
        day = apply_sentence_edit(day, asked.say, units)
    if asked.fly is None:
        return day, ""
    wish = suited_wish(asked.fly, day.wish, day.water)
    return day.evolve(fly=asked.fly, wish=wish), changed_wish_words(asked.fly, day.wish, wish)


@router.get("/day/{kind}", summary="Show a typical day of a kind")
def get_usual_day(session: CurrentSession, kind: DayKind) -> Situation:
    """Filled in with the rod, line and fly of the kit that suit it, or with common ones."""
    kit = session.read(read_kit)
    return usual_day(kind, kit.rods, kit.lines, kit.flies)


@router.get("/day", summary="Show the default day")
def get_day(session: CurrentSession) -> Situation:
    """A usual day with the first fly of the kit, and the rod and line that go with it, or with
    common ones."""
    kit = session.read(read_kit)
    return usual_day(day_kind_of(kit.flies), kit.rods, kit.lines, kit.flies)
