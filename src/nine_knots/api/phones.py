"""/api/phones: phones paired with the bench by a code, and revoked; the authority they trust."""

from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Path, Request, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession
from nine_knots.api.door import COOKIE, GOOD_S, Door, Pairing, hash_of, new_token
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed import Form
from nine_knots.core.base.errors import CannotCompute, NotFound
from nine_knots.formats.leader_qr import qr_svg
from nine_knots.store.phones import add_phone, list_phones, revoke_phone

router = APIRouter(prefix="/api/phones", tags=["phones"], responses=RESPONSES)
PhoneId = Annotated[str, Path(pattern=r"^[0-9a-f]{32}$")]
A_YEAR_S = 365 * 24 * 3600


@dataclass(frozen=True, slots=True)
class PhoneRow:
    """A phone in a line; times as ISO 8601."""

    phone_id: str
    name: str
    paired_at: str
    seen_at: str
    revoked: bool


@dataclass(frozen=True, slots=True)
class PhonesAnswer:
    """Paired phones; ``address`` by which they find the bench, empty where it is on this machine
    only, and then ``words`` say how to open it."""

    phones: tuple[PhoneRow, ...]
    address: str
    words: str


@dataclass(frozen=True, slots=True)
class PairingCode:
    """A code for one phone, for so many minutes; where to, as text and as QR pictures (SVG)."""

    code: str
    minutes: int
    url: str
    qr: str
    authority_url: str
    authority_qr: str


@dataclass(frozen=True, slots=True)
class Paired:
    """That the phone is paired, and as what."""

    words: str


class PairForm(Form):
    """The code, and what the phone is called."""

    code: str = Field(max_length=40, examples=["K7TQWMP3XA"])
    name: str = Field(default="phone", min_length=1, max_length=80)


@router.get("", summary="Phones that are paired")
def get_phones(request: Request, session: CurrentSession) -> PhonesAnswer:
    """The last paired first, the revoked among them."""
    door: Door | None = request.app.state.door
    rows = tuple(
        PhoneRow(
            one.phone_id,
            one.name,
            one.paired_at.isoformat(),
            one.seen_at.isoformat(),
            one.revoked,
        )
        for one in session.read(list_phones)
    )
    words = "" if door else "The bench is open to this machine only: start it with ./start --lan."
    return PhonesAnswer(rows, door.url if door else "", words)


@router.post("/code", summary="Ask for a code by which one phone is paired")
def post_code(request: Request, session: CurrentSession) -> PairingCode:
    """At the bench only; good for ten minutes and one phone."""
    door: Door | None = request.app.state.door
    if door is None:
        raise CannotCompute(
            "The bench is open to this machine only.",
            where="code",
            mend="Start it with ./start --lan, and a phone at home can be paired.",
        )
    pairing: Pairing = request.app.state.pairing
    code = session.read(lambda _, me: pairing.new_code(me))
    url, authority = pairing_url(door, code), f"{door.url}/api/phones/authority.crt"
    minutes = round(GOOD_S / 60.0)
    return PairingCode(code, minutes, url, qr_svg(url), authority, qr_svg(authority))


def pairing_url(door: Door, code: str) -> str:
    """Where a phone goes with a code; what follows the hash never leaves the phone by itself."""
    return f"{door.url}/water/pair#{code}"


@router.post("/pair", summary="Pair a phone by its code")
def post_pair(request: Request, response: Response, form: PairForm) -> Paired:
    """The code is spent; the phone is given a token that it shows from then on."""
    pairing: Pairing = request.app.state.pairing
    angler_id = pairing.take(form.code)
    token = new_token()

    def add(cursor: DictCursor) -> None:
        add_phone(cursor, angler_id, form.name.strip(), hash_of(token))

    request.app.state.database.transact(add)
    response.set_cookie(
        COOKIE, token, max_age=A_YEAR_S, path="/", secure=True, httponly=True, samesite="strict"
    )
    return Paired(f"{form.name.strip()} is paired: packed days come to it by themselves.")


@router.get(
    "/authority.crt",
    response_class=Response,
    responses=MISSING,
    summary="The authority that vouches for this bench at home",
)
def get_authority(request: Request) -> Response:
    """To be installed on the phone once, so that it trusts the bench: a certificate (PEM)."""
    door: Door | None = request.app.state.door
    if door is None:
        raise NotFound("The bench is open to this machine only.", mend="Start it with --lan.")
    disposition = 'attachment; filename="nine-knots-bench.crt"'
    return Response(
        door.authority,
        media_type="application/x-x509-ca-cert",
        headers={"content-disposition": disposition},
    )


@router.delete("/{phone_id}", status_code=204, responses=MISSING, summary="Revoke a phone")
def remove_phone(session: CurrentSession, phone_id: PhoneId) -> Response:
    """It comes in no more; what it sent stays."""
    session.write(lambda cursor, me: revoke_phone(cursor, me, phone_id))
    return Response(status_code=204)
