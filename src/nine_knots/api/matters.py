"""/api/matters: what matters of a leader, and how sure its verdict is."""

from fastapi import APIRouter, Response

from nine_knots.api.casts import unnamed
from nine_knots.api.context import CurrentSession
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.thrown import ThrownRequest, thrower
from nine_knots.api.work.answering import EVENTS, CurrentAnswering
from nine_knots.api.work.tasks import MattersTask, WhatIfTask
from nine_knots.core.tell.matters import MattersReading
from nine_knots.core.tell.what_if import Supposed, WhatIf

router = APIRouter(prefix="/api/matters", tags=["matters"], responses=RESPONSES | WORKED_OUT)


class WhatIfRequest(ThrownRequest):
    """A design under a stroke, and what is supposed instead."""

    supposed: Supposed = Supposed()


@router.post(
    "/what-if",
    summary="Ask how it opens in another wind, by another stroke or fly",
    response_model=WhatIf,
)
async def post_what_if(
    session: CurrentSession, asked: WhatIfRequest, answering: CurrentAnswering
) -> Response:
    """The turnover under what is supposed; nothing is stored."""
    thrown = await thrower(session, asked.stroke, asked.units)
    task = WhatIfTask(design=unnamed(asked.design), supposed=asked.supposed, **thrown)
    content = await answering.worked_out(f"{asked.bench}-what-if", task)
    return Response(content, media_type="application/json")


@router.post(
    "",
    summary="Ask what matters and how sure it is",
    response_model=MattersReading,
    responses={200: {"content": EVENTS}},
)
async def post_matters(
    session: CurrentSession, asked: ThrownRequest, answering: CurrentAnswering
) -> Response:
    """Each length and thickness changed and cast, doubts and their shares; nothing is stored."""
    thrown = await thrower(session, asked.stroke, asked.units)
    task = MattersTask(design=asked.design, **thrown)
    return await answering.respond(f"{asked.bench}-matters", task)
