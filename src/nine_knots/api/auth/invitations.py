"""/api/v1/account/invitations: letting another join, by an address that is good once."""

from dataclasses import dataclass

from fastapi import APIRouter, Response
from pymysql.cursors import DictCursor
from starlette.concurrency import run_in_threadpool

from nine_knots.api.auth.account_session import CurrentMine
from nine_knots.api.auth.forms import NewInvitationForm
from nine_knots.api.ids import PathId
from nine_knots.api.jobs.outbound import CurrentOutside
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.core.base.errors import CannotCompute, OutOfRange, TooBusy
from nine_knots.formats.leader_qr import qr_svg
from nine_knots.services.mail import check_address, send
from nine_knots.services.secret import hash_of, new_token
from nine_knots.store.accounts.invitations import (
    Invitation,
    add_invitation,
    drop_invitation,
    list_invitations,
)

router = APIRouter(
    prefix="/api/v1/account/invitations", tags=["account"], responses={**RESPONSES, **MISSING}
)
MOST_OPEN = 10
SUBJECT = "An invitation to Nine Knots"
TEXT = """{name} invites you to Nine Knots, for anglers who build their own leaders.

Open this within a week, and join:
{url}

It is good for one person.
"""


@dataclass(frozen=True, slots=True)
class NewInvitation:
    """Where whoever is invited goes, as text and as a QR picture (SVG): told this once. ``words``
    say whether it was sent."""

    url: str
    qr: str
    words: str


@router.get("", summary="List my invitations")
def get_invitations(mine: CurrentMine) -> tuple[Invitation, ...]:
    """The newest first."""
    return mine.transact(list_invitations)


@router.post("", summary="Invite someone")
async def post_invitation(
    mine: CurrentMine, outside: CurrentOutside, form: NewInvitationForm
) -> NewInvitation:
    """Good for a week and one person; an operator's lets in as an operator, if it says so."""
    if form.as_operator:
        mine.operates()
        mine.proved()
    if form.mail:
        check_address(form.mail)
    token = new_token()

    def invite(cursor: DictCursor, me: str) -> None:
        still = sum(not invitation.taken for invitation in list_invitations(cursor, me))
        if still >= MOST_OPEN and not mine.login.is_operator:
            raise OutOfRange(
                f"{MOST_OPEN} invitations are open.", where="note", hint="Withdraw one first."
            )
        add_invitation(cursor, me, hash_of(token), form.note.strip(), form.as_operator)
        mine.note(cursor, "invited")

    await run_in_threadpool(mine.change, invite)
    url = mine.site.join_url(token)
    words = "Pass it on: it is shown only once."
    if form.mail and mine.site.mail:
        text = TEXT.format(name=mine.login.name, url=url)
        server, sender = mine.site.mail, mine.site.sender
        try:
            await outside.exchange(lambda: send(server, sender, form.mail, SUBJECT, text))
            words = f"It was sent to {form.mail}."
        except (CannotCompute, TooBusy) as trouble:  # the invitation stands, and is shown
            words = f"{trouble.what} Pass it on yourself: it is shown only once."
    return NewInvitation(url, qr_svg(url), words)


@router.delete("/{invitation_id}", status_code=204, summary="Withdraw an invitation")
def remove_invitation(mine: CurrentMine, invitation_id: PathId) -> Response:
    """Nobody joins by it any more."""
    mine.transact(lambda cursor, me: drop_invitation(cursor, me, invitation_id))
    return Response(status_code=204)
