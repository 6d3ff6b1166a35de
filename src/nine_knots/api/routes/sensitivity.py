"""/api/v1/sensitivity: what matters of a leader, and how sure its verdict is."""

from fastapi import APIRouter, Response

from nine_knots.api.context import CurrentSession
from nine_knots.api.jobs.responses import EVENTS, CurrentAnswering
from nine_knots.api.jobs.tasks import MattersTask, WhatIfTask
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.routes.casts import without_titles
from nine_knots.api.throw_request import ThrowRequest, throwing_outfit
from nine_knots.words.sensitivity import MattersReading
from nine_knots.words.what_if import Supposition, WhatIf

router = APIRouter(
    prefix="/api/v1/sensitivity", tags=["sensitivity"], responses=RESPONSES | WORKED_OUT
)


class WhatIfRequest(ThrowRequest):
    """A design under a stroke, and what is supposed instead."""

    supposed: Supposition = Supposition()


@router.post(
    "/what-if",
    summary="Show how it opens in another wind, or with another stroke or fly",
    response_model=WhatIf,
)
async def post_what_if(
    session: CurrentSession, asked: WhatIfRequest, answering: CurrentAnswering
) -> Response:
    """The turnover under what is supposed; nothing is stored."""
    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    task = WhatIfTask(design=without_titles(asked.design), supposed=asked.supposed, **thrown)
    content = await answering.worked_out(f"{asked.bench}-what-if", task)
    return Response(content, media_type="application/json")


@router.post(
    "",
    summary="Show what the verdict depends on and how sure it is",
    response_model=MattersReading,
    responses={200: {"content": EVENTS}},
)
async def post_matters(
    session: CurrentSession, asked: ThrowRequest, answering: CurrentAnswering
) -> Response:
    """Each length and thickness changed and cast, doubts and their shares; nothing is stored."""
    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    task = MattersTask(design=asked.design, **thrown)
    return await answering.respond(f"{asked.bench}-matters", task)
