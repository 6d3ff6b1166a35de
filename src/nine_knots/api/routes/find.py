"""/api/v1/find: leaders found for a day, with what is asked of them as a sentence."""

from typing import Annotated

from fastapi import APIRouter, Response
from pydantic import Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import SITUATION
from nine_knots.api.jobs.responses import EVENTS, CurrentAnswering
from nine_knots.api.jobs.tasks import FindTask
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.throw_request import throwing_outfit
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_length, parse_mass
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.situation import Situation
from nine_knots.core.search.demands import (
    MOST_FLIES,
    MOST_KNOTS,
    MOST_WISHES,
    Bought,
    Demands,
    Wish,
)
from nine_knots.core.search.infeasible import infeasible_demands
from nine_knots.core.search.search import MOST_TRIED, Search
from nine_knots.words.search.asked import SearchSentence, search_sentence_of
from nine_knots.words.search.infeasible import infeasible_words
from nine_knots.words.search.reading import FindReading

router = APIRouter(prefix="/api/v1/find", tags=["find"], responses=RESPONSES | WORKED_OUT)


class FindRequest(Form):
    """A day, the stroke that is to open the leader, and what is asked of it as it is typed; what is
    left empty is as the day has it. ``bench`` names who asks."""

    bench: Key = Field(examples=["find-1"])
    situation: Situation = Field(examples=[SITUATION])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    fish: Typed = Field(default="", description="the heaviest fish it must hold")
    most_knots: Annotated[int, Field(ge=0, le=MOST_KNOTS)] | None = None
    flies: Annotated[int, Field(ge=1, le=MOST_FLIES)] | None = None
    shortest: Typed = ""
    longest: Typed = ""
    bought: Bought = "cut"
    wishes: TupleOf[Wish] = Field(default=("easy to throw",), max_length=MOST_WISHES)
    most: Annotated[int, Field(ge=20, le=1000, description="leaders cast at most")] | None = None
    units: System = "imperial"

    def demands(self) -> Demands:
        """The demands in SI, or a refusal that names the field."""
        asked: dict[str, object] = {}
        with field("fish"):
            if self.fish.strip():
                asked["fish_kg"] = Demands(fish_kg=parse_mass(self.fish, self.units)).fish_kg
        for name, typed in (("shortest", self.shortest), ("longest", self.longest)):
            with field(name):
                if typed.strip():
                    one = parse_length(typed, self.units)
                    asked[f"{name}_m"] = Demands(shortest_m=one).shortest_m
        with field("longest"):
            return Demands.model_validate(
                {
                    **asked,
                    "most_knots": self.most_knots,
                    "flies": self.flies,
                    "bought": self.bought,
                    "wishes": self.wishes,
                }
            )


def _infeasible(asked: FindRequest, angler: Angler, demands: Demands) -> tuple[str, ...]:
    day, units = demands.day(asked.situation), Units(asked.units)
    found = infeasible_demands(asked.situation, angler, demands)
    return tuple(infeasible_words(each, day, units) for each in found)


@router.post("/asked", summary="Describe a search and what of it is impossible")
async def post_asked(
    session: CurrentSession, asked: FindRequest, answering: CurrentAnswering
) -> SearchSentence:
    """The sentence, and whatever no search could meet with this shelf."""
    answering.search_soon()
    demands = asked.demands()
    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    angler = thrown["angler"]
    return SearchSentence(
        sentence=search_sentence_of(
            demands, asked.situation, thrown["stroke"], Units(asked.units), angler.cast
        ),
        impossible=_infeasible(asked, angler, demands),
    )


@router.post(
    "",
    summary="Find leaders for a day",
    response_model=FindReading,
    responses={200: {"content": EVENTS}},
)
async def post_find(
    session: CurrentSession, asked: FindRequest, answering: CurrentAnswering
) -> Response:
    """Schools, free tapers and rigs cast and fished; a dozen of them, truly different."""
    demands = asked.demands()
    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    reasons = _infeasible(asked, thrown["angler"], demands)
    if reasons:
        raise CannotCompute(reasons[0], hint="Ask for less, or add to the shelf.")
    most = asked.most or MOST_TRIED
    search = Search(day=asked.situation, demands=demands, most=most, **thrown)
    return await answering.respond(f"{asked.bench}-find", FindTask(asked=search))
