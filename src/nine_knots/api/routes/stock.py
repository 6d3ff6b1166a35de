"""/api/v1/stock: spools and packets on the shelf."""

import re
from dataclasses import dataclass
from datetime import UTC, date, datetime, timedelta
from typing import Annotated, Any

from fastapi import APIRouter, Query, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession, Session
from nine_knots.api.prices import PaidForm, leaders_paid, metres_paid, price_in
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.limits import Day
from nine_knots.core.base.prose import count_words, join_words
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import (
    Units,
    parse_as_sold,
    parse_diameter,
    parse_length,
    parse_load,
    parse_size,
)
from nine_knots.core.domain.as_sold import bought_profile, labelled_diameter_m
from nine_knots.core.domain.materials import MATERIALS, MaterialKey
from nine_knots.core.domain.strand import (
    MOST_IN_PACKET,
    MOST_LEFT_M,
    Colour,
    Packet,
    Spool,
    Stock,
    Strand,
    TaperedStrand,
    TaperProfile,
)
from nine_knots.store.leaders import leaders_with
from nine_knots.store.ledger import merge_stock, overdrawn, put_stock, usual_takes
from nine_knots.store.stock import (
    find_stock,
    fresh_id,
    list_stock,
    read_stock,
    restore_stock,
    retire_stock,
)
from nine_knots.words.stock_row import ShelfContext, StockRow, stock_row

router = APIRouter(prefix="/api/v1/stock", tags=["stock"], responses=RESPONSES)
MOST_NAMED = 4
Bought = Annotated[str, Field(pattern=r"^(\d{4}-\d\d-\d\d)?$", description="a date, or empty")]
LINKS: dict[int | str, dict[str, Any]] = {
    200: {
        "links": {
            "take off": {
                "operationId": "remove_stock",
                "parameters": {"spool_id": "$response.body#/spool_id"},
            }
        }
    }
}


class SpoolForm(PaidForm):
    """A spool as typed; an empty strength is taken from the material's law, an empty diameter from
    the label."""

    spool_id: Typed = ""
    title: Typed = ""
    material: MaterialKey
    diameter: Typed = Field(default="", examples=[".018", "5X", "30 lb"])
    strength: Typed = ""
    left: Typed
    bought: Bought = ""
    colour: Colour = "plain"
    units: System = "imperial"


class PacketForm(PaidForm):
    """Knotless tapered leaders of one kind: as they are sold, or as measured, which goes before."""

    spool_id: Typed = ""
    title: Typed = ""
    material: MaterialKey = "nylon-medium"
    sold_as: Typed = Field(default="", examples=["9 ft 5X"])
    butt: Typed = ""
    butt_length: Typed = ""
    taper_length: Typed = ""
    tip_length: Typed = ""
    tip: Typed = ""
    strength: Typed = ""
    count: int = Field(ge=0, le=MOST_IN_PACKET)
    bought: Bought = ""
    units: System = "imperial"


class OtherEnd(Form):
    """The spool or packet that is put together with another, and is retired then."""

    other: str = Field(max_length=40)
    units: System = "imperial"


def _lying(cursor: DictCursor, me: str) -> ShelfContext:
    return ShelfContext(
        usual_takes(cursor, me), overdrawn(cursor, me), datetime.now(UTC).date().isoformat()
    )


def _load(text: str, system: System) -> float | None:
    with field("strength"):
        return parse_load(text, system) if text.strip() else None


@router.get("", summary="List spools and packets")
def get_stock(
    session: CurrentSession,
    units: System = "imperial",
    retired: Annotated[bool, Query(description="list the removed ones instead")] = False,
) -> list[StockRow]:
    """The shelf, by material and thickness."""
    stock, lying = session.read(
        lambda cursor, me: (list_stock(cursor, me, retired), _lying(cursor, me))
    )
    return [stock_row(stock_item, Units(units), lying) for stock_item in stock]


@router.post("/spools", responses=LINKS, summary="Add or change a spool")
def post_spool(session: SavingSession, form: SpoolForm) -> StockRow:
    """Read the typed figures and keep the spool."""
    shown = Units(form.units)
    before = session.read(lambda cursor, me: find_stock(cursor, me, form.spool_id))
    diameter_m, strength_n, estimated = _size(form)
    left_m = _left_m(form, before, shown)
    title = form.title.strip()
    label = shown.label(strength_n).text if strength_n else ""
    size = label if estimated else shown.tippet(diameter_m).text
    title = title or f"{MATERIALS[form.material].title} {size}"
    spool_id = form.spool_id or fresh_id(title)
    strand = Strand(
        material=form.material,
        diameter_m=diameter_m,
        strength_n=strength_n,
        colour=form.colour,
        estimated=estimated,
        spool_id=spool_id,
    )
    if isinstance(before, Spool):
        strand = _as_measured(strand, before.strand, shown)
    spool = Spool(
        spool_id=spool_id,
        title=title,
        strand=strand,
        remaining_m=left_m,
        bought_on=_day(form.bought),
        price=price_in(form.paid, metres_paid(form, form.units, before, left_m, shown)),
    )
    return _put(session, spool, shown)


@router.post("/packets", summary="Add or change a packet of knotless leaders")
def post_packet(session: SavingSession, form: PacketForm) -> StockRow:
    """Read the typed figures and keep the packet."""
    shown = Units(form.units)
    estimated, title = bool(form.sold_as.strip()) and not form.butt.strip(), form.title.strip()
    if estimated:
        with field("sold_as"):
            profile = bought_profile(*parse_as_sold(form.sold_as, form.units))
        title = title or f"Knotless {form.sold_as.strip()}"
    else:
        profile = _profile(form)
        title = title or f"Knotless {shown.length(profile.length_m).text}"
    spool_id = form.spool_id or fresh_id(title)
    strand = TaperedStrand(
        material=form.material,
        profile=profile,
        strength_n=_load(form.strength, form.units),
        estimated=estimated,
        spool_id=spool_id,
    )
    packet = Packet(
        spool_id=spool_id,
        title=title,
        strand=strand,
        count=form.count,
        bought_on=_day(form.bought),
        price=price_in(form.paid, leaders_paid(form, form.count)),
    )
    return _put(session, packet, shown)


def _left_m(form: SpoolForm, before: Stock | None, units: Units) -> float:
    """What is left as typed; where it is what was shown, as exactly as it was known."""
    if isinstance(before, Spool) and form.left.strip() == units.on_spool(before.remaining_m).text:
        return before.remaining_m
    with field("left"):
        if re.fullmatch(r"0(\.0*)?\s*\D*", form.left.strip()):
            return 0.0
        return parse_length(form.left, form.units, most_m=MOST_LEFT_M)


def _as_measured(strand: Strand, before: Strand, units: Units) -> Strand:
    """The strand with what the instruments told of it, where its size and stuff were not changed:
    as exactly as it was measured."""
    if strand.material != before.material:
        return strand
    changes: dict[str, object] = {
        "modulus_pa": before.modulus_pa,
        "modulus_by": before.modulus_by,
    }
    same = units.diameter(strand.diameter_m).text == units.diameter(before.diameter_m).text
    if same and strand.estimated == before.estimated:
        changes |= {"diameter_m": before.diameter_m, "across_by": before.across_by}
    return strand.model_copy(update=changes)


def _day(text: str) -> Day | None:
    with field("bought"):
        if not text:
            return None
        try:
            day = date.fromisoformat(text)
        except ValueError as error:
            raise Unreadable(f"“{text}” is not a date.", hint="Write it as 2024-05-17.") from error
        if not date(1950, 1, 1) <= day <= datetime.now(UTC).date() + timedelta(days=1):
            raise OutOfRange(
                f"That date is in the future: {text}.", hint="Enter today or an earlier date."
            )
        return text


def _size(form: SpoolForm) -> tuple[float, float | None, bool]:
    """Diameter in metres, label in N if it is known, and whether the first is by the second."""
    across_m, label_n = None, _load(form.strength, form.units)
    if form.diameter.strip():
        with field("diameter"):
            across_m, by_label_n = parse_size(form.diameter, form.units)
            label_n = label_n or by_label_n
    if across_m is not None:
        return across_m, label_n, False
    with field("diameter"):
        if label_n is None:
            raise Unreadable("Enter a diameter or a label.", hint="Write .018, 5X or 30 lb.")
        return labelled_diameter_m(label_n, form.material), label_n, True


def _profile(form: PacketForm) -> TaperProfile:
    """A taper as it was measured."""
    lengths: dict[str, float] = {}
    for name in ("butt_length", "taper_length", "tip_length"):
        with field(name):
            lengths[f"{name}_m"] = parse_length(getattr(form, name), form.units)
    with field("butt"):
        butt_m = parse_diameter(form.butt, form.units)
    with field("tip"):
        tip_m = parse_diameter(form.tip, form.units)
        return TaperProfile(butt_diameter_m=butt_m, tip_diameter_m=tip_m, **lengths)


def _put(session: Session, stock_item: Stock, units: Units) -> StockRow:
    return session.save(
        lambda cursor, me: put_stock(cursor, me, stock_item).spool_id,
        lambda cursor, me, spool_id: stock_row(
            read_stock(cursor, me, spool_id), units, _lying(cursor, me)
        ),
    )


@dataclass(frozen=True, slots=True)
class SpoolUseAnswer:
    """In which saved leaders a spool or packet is, in words."""

    leaders: tuple[str, ...]
    words: str


@router.get("/{spool_id}/use", summary="List the saved leaders that use a spool")
def get_use(session: CurrentSession, spool_id: str) -> SpoolUseAnswer:
    """As they stand; what is changed of the spool changes none of them."""
    titles = session.read(lambda cursor, me: leaders_with(cursor, me, spool_id))
    if not titles:
        return SpoolUseAnswer((), "No saved leader uses it.")
    shown = list(titles[:MOST_NAMED])
    more = len(titles) - len(shown)
    names = join_words([*shown, f"{count_words(more, 'other')}"] if more else shown)
    count = count_words(len(titles), "saved leader")
    return SpoolUseAnswer(
        titles, f"In {count}: {names}. They keep the figures they were saved with."
    )


@router.post(
    "/{spool_id}/ends", responses=MISSING, summary="Combine two spools of the same material"
)
def post_ends(session: SavingSession, spool_id: str, form: OtherEnd) -> StockRow:
    """What the other holds goes on this one; the other is taken off the shelf. Undone in the
    ledger."""

    def merge(cursor: DictCursor, me: str) -> str:
        merge_stock(cursor, me, spool_id, form.other)
        return spool_id

    return session.save(
        merge,
        lambda cursor, me, made: stock_row(
            read_stock(cursor, me, made), Units(form.units), _lying(cursor, me)
        ),
    )


@router.delete(
    "/{spool_id}", status_code=204, responses=MISSING, summary="Take a spool off the shelf"
)
def remove_stock(session: CurrentSession, spool_id: str) -> Response:
    """Leaders made from it keep their own figures and its name; it can be put back."""
    session.write(lambda cursor, me: retire_stock(cursor, me, spool_id))
    return Response(status_code=204)


@router.post(
    "/{spool_id}/restore",
    status_code=204,
    responses=MISSING,
    summary="Put a spool back on the shelf",
)
def put_back_stock(session: CurrentSession, spool_id: str) -> Response:
    """A spool that was taken off is there again, with what it held."""
    session.write(lambda cursor, me: restore_stock(cursor, me, spool_id))
    return Response(status_code=204)
