"""A planned day as files: one page for an offline phone, a printed card, a calendar entry."""

from fastapi import APIRouter, Request, Response
from pydantic import ValidationError

from nine_knots.api.context import CurrentSession
from nine_knots.api.ids import PathId
from nine_knots.api.jobs.plan_tasks import PackTask
from nine_knots.api.jobs.tasks import adapter_of
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.routes.files import file_answer, file_of
from nine_knots.api.routes.plans import plan_and_place
from nine_knots.core.base.errors import NotFound
from nine_knots.formats.calendar import write_calendar
from nine_knots.formats.one_file import write_one_file
from nine_knots.store.plans import read_pack, read_plan

router = APIRouter(prefix="/api/v1/plans", tags=["plans"], responses=RESPONSES)


@router.get(
    "/{plan_id}/pack.html",
    response_class=Response,
    responses=MISSING,
    summary="Export a packed day as one offline page",
)
def get_one_file(request: Request, session: CurrentSession, plan_id: PathId) -> Response:
    """Everything inside: opened from the phone's files, its log comes home as a file."""
    body, title = session.read(
        lambda cursor, me: (read_pack(cursor, me, plan_id), read_plan(cursor, me, plan_id).title)
    )
    built = request.app.state.built
    if built is None or not (built / "water").is_dir():
        raise NotFound("The phone's view isn't built.", hint="Run ./start.")
    return file_answer(write_one_file(built / "water", body), title, "html")


@router.get(
    "/{plan_id}/card.pdf",
    response_class=Response,
    responses=MISSING,
    summary="Export a packed day as a card to print (A5, two-sided)",
)
def get_card(session: CurrentSession, plan_id: PathId) -> Response:
    """Good enough to fish by if the phone drowns."""
    from nine_knots.formats.day_card import write_day_card  # its packages load slowly

    body = session.read(lambda cursor, me: read_pack(cursor, me, plan_id))
    try:
        pack = adapter_of(PackTask).validate_json(body)
    except ValidationError as error:
        raise NotFound(
            "This day was packed by an earlier version.", hint="Pack it again, then print."
        ) from error
    return file_of(f"{pack.title}, card", "pdf").response(write_day_card(pack))


@router.get(
    "/{plan_id}/calendar.ics",
    response_class=Response,
    responses=MISSING,
    summary="Export a plan for a calendar",
)
def get_calendar(session: CurrentSession, plan_id: PathId) -> Response:
    """An iCalendar file (RFC 5545): each stretch an entry in local time."""
    plan, place = session.read(lambda cursor, me: plan_and_place(cursor, me, plan_id))
    return file_answer(write_calendar(plan_id, plan, place), plan.title, "ics")
