"""/api/v1/phones: phones paired with the bench by a code, and revoked; the authority they trust."""

from dataclasses import dataclass
from datetime import UTC, datetime, timedelta

from fastapi import APIRouter, Request, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.auth.account_session import require_recent_login
from nine_knots.api.auth.login_flow import count_tries, forget_tries_of
from nine_knots.api.client_info import CurrentCalling
from nine_knots.api.context import CurrentSession
from nine_knots.api.ids import PathId
from nine_knots.api.lan_access import COOKIE, LanAccess
from nine_knots.api.principal import principal_of
from nine_knots.api.problems import MISSING, RESPONSES, TRIED
from nine_knots.api.site import Site
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.errors import CannotCompute, NotFound
from nine_knots.core.base.prose import capitalised
from nine_knots.formats.leader_qr import qr_svg
from nine_knots.services.errors import WrongCode
from nine_knots.services.secret import code_hash, hash_of, new_code, new_token
from nine_knots.store import Database
from nine_knots.store.anglers import read_settings
from nine_knots.store.pairing import GOOD_FOR, GUEST_GOOD_FOR, add_pairing, take_pairing
from nine_knots.store.phones import add_phone, list_phones, revoke_phone
from nine_knots.store.plans import read_pack, read_plan

router = APIRouter(prefix="/api/v1/phones", tags=["phones"], responses=RESPONSES)
A_YEAR_S = 365 * 24 * 3600
CODE_LENGTH = 10
GUESTS_DAY = timedelta(days=1, hours=12)
"""From the midnight before a planned day, or from now where it is later, till its guest's phone
comes in no more: the evening after it still does."""


@dataclass(frozen=True, slots=True)
class PhoneRow:
    """A phone in a line; times as ISO 8601; of a guest's the title of the day that it is for."""

    phone_id: str
    name: str
    paired_at: str
    seen_at: str
    revoked: bool
    day: str


@dataclass(frozen=True, slots=True)
class PhonesAnswer:
    """Paired phones; ``address`` by which they find the bench, empty where it is on this machine
    only, and then ``words`` say how to open it."""

    phones: tuple[PhoneRow, ...]
    address: str
    words: str


@dataclass(frozen=True, slots=True)
class PairingCode:
    """A code for one phone, for so many minutes; where to, as text and as QR pictures (SVG). The
    authority is empty where browsers trust the address by themselves."""

    code: str
    minutes: int
    url: str
    qr: str
    authority_url: str
    authority_qr: str


@dataclass(frozen=True, slots=True)
class PairedPhone:
    """That the phone is paired, and as what; ``day`` is the only one that a guest sees."""

    words: str
    day: str


class PairingForm(Form):
    """Of a guest's phone: the only day that it is to see."""

    plan_id: str = Field(default="", pattern=r"^([0-9a-f]{32})?$")


class PairForm(Form):
    """The code, and what the phone is called."""

    code: str = Field(max_length=40, examples=["K7TQWMP3XA"])
    name: str = Field(default="phone", min_length=1, max_length=80)


@router.get("", summary="List paired phones")
def get_phones(request: Request, session: CurrentSession) -> PhonesAnswer:
    """The last paired first, the revoked among them."""
    address = _address(request)
    rows = tuple(
        PhoneRow(
            phone.phone_id,
            phone.name,
            phone.paired_at.isoformat(),
            phone.seen_at.isoformat(),
            phone.revoked,
            phone.day,
        )
        for phone in session.read(list_phones)
    )
    words = (
        ""
        if address
        else "The bench is available on this machine only. Start it with ./start --lan."
    )
    return PhonesAnswer(rows, address, words)


@router.post("/code", responses=MISSING, summary="Create a pairing code for a phone")
def post_code(
    request: Request, session: CurrentSession, form: PairingForm | None = None
) -> PairingCode:
    """Good for one phone and ten minutes; for a guest's, which sees the one day only, two days."""
    login = principal_of(request).login
    if login is not None:
        require_recent_login(login)  # a phone comes in for a year
    address, day = _address(request), (form.plan_id if form else "") or None
    if not address:
        raise CannotCompute(
            "The bench is available on this machine only.",
            where="code",
            hint="Start it with ./start --lan, and a phone at home can be paired.",
        )
    code = new_code(CODE_LENGTH)

    def add(cursor: DictCursor, me: str) -> None:
        if day is not None:
            read_pack(cursor, me, day)
        add_pairing(cursor, me, code_hash(code), day)

    session.write(add)
    url = pairing_url(address, code)
    authority = f"{address}/api/v1/phones/authority.crt" if request.app.state.door else ""
    good_for = GUEST_GOOD_FOR if day else GOOD_FOR
    minutes = round(good_for.total_seconds() / 60.0)
    qr = qr_svg(authority) if authority else ""
    return PairingCode(code, minutes, url, qr_svg(url), authority, qr)


def pairing_url(address: str, code: str) -> str:
    """Where a phone goes with a code; what follows the hash never leaves the phone by itself."""
    return f"{address}/water/pair#{code}"


@router.post("/pair", responses=TRIED, summary="Pair a phone")
def post_pair(
    request: Request, response: Response, calling: CurrentCalling, form: PairForm
) -> PairedPhone:
    """The code is spent; the phone is given a token that it shows from then on."""
    database: Database = request.app.state.database
    token, name = new_token(), form.name.strip()
    count_tries(database, calling, "pairing", calling.address)

    def add(cursor: DictCursor) -> PairedPhone | None:
        found = take_pairing(cursor, code_hash(form.code))
        if found is None:
            return None
        plan_id, ends_at = found.plan_id, None
        words = f"{capitalised(name)} is paired. It fetches packed days automatically."
        if plan_id is not None:
            plan = read_plan(cursor, found.angler_id, plan_id)
            whose = read_settings(cursor, found.angler_id).name
            on = datetime.fromisoformat(plan.on).replace(tzinfo=UTC)
            ends_at = max(on, datetime.now(UTC)) + GUESTS_DAY
            words = f"{capitalised(name)} is for “{plan.title}” with {whose}only."
        add_phone(cursor, found.angler_id, name, hash_of(token), plan_id, ends_at)
        forget_tries_of(cursor, calling, "pairing", calling.address)
        return PairedPhone(words, plan_id or "")

    paired = database.transact(add)
    if paired is None:
        raise WrongCode(
            "This code is wrong or has expired.",
            where="code",
            hint="Create another at the bench, under My things. It is valid for ten minutes.",
        )
    response.set_cookie(
        COOKIE,
        token,
        max_age=A_YEAR_S,
        path="/",
        secure=request.app.state.site is None or request.app.state.site.secure,
        httponly=True,
        samesite="strict",
    )
    return paired


@router.get(
    "/authority.crt",
    response_class=Response,
    responses=MISSING,
    summary="Download this bench's certificate authority",
)
def get_authority(request: Request) -> Response:
    """To be installed on the phone once, so that it trusts the bench: a certificate (PEM)."""
    door: LanAccess | None = request.app.state.door
    if door is None:
        raise NotFound("The bench is available on this machine only.", hint="Start it with --lan.")
    disposition = 'attachment; filename="nine-knots-bench.crt"'
    return Response(
        door.authority,
        media_type="application/x-x509-ca-cert",
        headers={"content-disposition": disposition},
    )


@router.delete("/{phone_id}", status_code=204, responses=MISSING, summary="Remove a phone")
def remove_phone(session: CurrentSession, phone_id: PathId) -> Response:
    """It comes in no more; what it sent stays."""
    session.write(lambda cursor, me: revoke_phone(cursor, me, phone_id))
    return Response(status_code=204)


def _address(request: Request) -> str:
    """By which phones find the service; empty where they do not."""
    door: LanAccess | None = request.app.state.door
    site: Site | None = request.app.state.site
    return site.origin if site else door.url if door else ""
