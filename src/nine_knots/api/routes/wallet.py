"""/api/v1/wallet: leaders that are tied and lie ready."""

from dataclasses import dataclass
from datetime import UTC, datetime

from fastapi import APIRouter, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.ids import PathId
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.wallet import RigWear, WalletRig
from nine_knots.store.wallet import list_wallet, put_rigs, read_rig, take_out, write_rig
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.rig import HungItem, items_on
from nine_knots.words.schools_today import leader_facts

router = APIRouter(prefix="/api/v1/wallet", tags=["wallet"], responses=RESPONSES)


class RigForm(Form):
    """A leader that is tied, and where it lies."""

    design: Design = Field(examples=[DESIGN])
    lies: str = Field(default="", max_length=80, examples=["wallet, sleeve 3"])


class WalletPlaceForm(Form):
    """Where a rig lies, and how worn it is."""

    lies: str = Field(default="", max_length=80)
    state: RigWear = "new"


@dataclass(frozen=True, slots=True)
class WalletCard:
    """A rig in a line, drawn; ``design`` to open or print it."""

    rig_id: str
    title: str
    facts: str
    fly: str
    lies: str
    state: RigWear
    tied_on: str
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    design: Design


@router.get("", summary="List the wallet")
def get_wallet(session: CurrentSession, units: System = "imperial") -> tuple[WalletCard, ...]:
    """The last tied first."""
    found = session.read(list_wallet)
    return tuple(_card(rig_id, rig, Units(units)) for rig_id, rig in found)


@router.post("", summary="Add a tied leader to the wallet")
def post_rig(session: SavingSession, form: RigForm) -> WalletCard:
    """One that was tied without the companion, or bought tied."""
    rig = WalletRig(design=form.design, lies=form.lies.strip(), tied_on=today())
    return session.save(
        lambda cursor, me: put_rigs(cursor, me, [rig])[0],
        lambda cursor, me, rig_id: _card(rig_id, read_rig(cursor, me, rig_id), Units("imperial")),
    )


@router.put("/{rig_id}", responses=MISSING, summary="Set where a rig is and how worn it is")
def put_rig(
    session: CurrentSession, rig_id: PathId, form: WalletPlaceForm, units: System = "imperial"
) -> WalletCard:
    """Its leader stays as it is."""

    def write(cursor: DictCursor, me: str) -> WalletCard:
        old = read_rig(cursor, me, rig_id)
        rig = old.evolve(lies=form.lies.strip(), state=form.state)
        write_rig(cursor, me, rig_id, rig)
        return _card(rig_id, rig, Units(units))

    return session.write(write)


@router.delete("/{rig_id}", status_code=204, responses=MISSING, summary="Take a rig out")
def remove_rig(session: CurrentSession, rig_id: PathId) -> Response:
    """Lost, cut up or given away."""
    session.write(lambda cursor, me: take_out(cursor, me, rig_id))
    return Response(status_code=204)


def today() -> str:
    """The day by this machine's clock."""
    return datetime.now(UTC).astimezone().date().isoformat()


def _card(rig_id: str, rig: WalletRig, units: Units) -> WalletCard:
    leader = rig.design.leader
    return WalletCard(
        rig_id=rig_id,
        title=rig.design.title,
        facts=leader_facts(leader, units),
        fly=rig.design.situation.fly.title,
        lies=rig.lies,
        state=rig.state,
        tied_on=rig.tied_on,
        outline=outline(leader),
        hung=items_on(leader),
        design=rig.design,
    )
