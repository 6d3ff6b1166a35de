"""/api/stock: spools and packets on the shelf."""

import re
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import UTC, date, datetime, timedelta
from typing import Annotated, Any

from fastapi import APIRouter, Query, Response
from pydantic import BaseModel, Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession, Session
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed import Form, Typed, field
from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.limits import Day
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import (
    Units,
    parse_as_sold,
    parse_diameter,
    parse_length,
    parse_load,
    parse_size,
)
from nine_knots.core.base.words import counted, listed
from nine_knots.core.judge.ageing import age_words
from nine_knots.core.tell.known import known_words
from nine_knots.core.tell.taken import is_low, left_words, short_words
from nine_knots.core.trade.as_sold import bought_profile, labelled_diameter_m
from nine_knots.core.trade.ledger import held_by
from nine_knots.core.trade.materials import MATERIALS, MaterialKey
from nine_knots.core.trade.strand import (
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

router = APIRouter(prefix="/api/stock", tags=["stock"], responses=RESPONSES)
MOST_NAMED = 4
Bought = Annotated[str, Field(pattern=r"^(\d{4}-\d\d-\d\d)?$", description="a day, or nothing")]
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


class PacketTexts(BaseModel):
    """A packet's figures as they can be typed again: as it is sold, or as measured."""

    sold_as: str = ""
    butt: str
    butt_length: str
    taper_length: str
    tip_length: str
    tip: str
    count: int


class StockRow(BaseModel):
    """One spool or packet as the shelf shows it, in the angler's units."""

    spool_id: str
    form: str
    title: str
    material: str
    material_title: str
    family: str
    sighter: bool
    diameter: str
    strength: str
    labelled: bool
    estimated: bool
    left: str
    bought: str = Field(description="a day, as YYYY-MM-DD; empty where it is not known")
    low: bool = Field(description="little is left, beside what is usually taken of it")
    note: str = Field(description="what is to be done about it, if anything")
    known: tuple[str, ...] = Field(description="where its figures come from, and how sure")
    packet: PacketTexts | None = None
    item: Stock


class SpoolForm(Form):
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


class PacketForm(Form):
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
    count: int = Field(ge=0, le=500)
    bought: Bought = ""
    units: System = "imperial"


class OtherEnd(Form):
    """The spool or packet that is put together with another, and is retired then."""

    other: str = Field(max_length=40)
    units: System = "imperial"


@dataclass(frozen=True, slots=True)
class Lying:
    """What is known of the shelf beside its spools: largest takes, what was taken beyond what was
    there, and the day."""

    usual: Mapping[str, float]
    over: Mapping[str, float]
    today: Day


def _packet_texts(item: Packet, units: Units) -> PacketTexts:
    profile = item.strand.profile
    if item.strand.estimated:
        whole = units.length(profile.length_m).text
        tip = units.tippet(profile.tip_diameter_m).text.split(" · ")
        empty = dict.fromkeys(("butt", "butt_length", "taper_length", "tip_length", "tip"), "")
        return PacketTexts(sold_as=f"{whole} {tip[-1]}", count=item.count, **empty)
    return PacketTexts(
        butt=units.diameter(profile.butt_diameter_m).text,
        butt_length=units.length(profile.butt_length_m).text,
        taper_length=units.length(profile.taper_length_m).text,
        tip_length=units.length(profile.tip_length_m).text,
        tip=units.diameter(profile.tip_diameter_m).text,
        count=item.count,
    )


def _row(item: Stock, units: Units, lying: Lying) -> StockRow:
    material = item.strand.substance
    if isinstance(item, Spool):
        diameter = units.across(item.strand.diameter_m, item.strand.estimated)
        strength = units.load(item.strand.breaking_n).text
        left = units.on_spool(item.remaining_m).text
    else:
        profile = item.strand.profile
        tip_m = profile.tip_diameter_m
        diameter = f"{units.diameter(profile.butt_diameter_m).text} to {units.tippet(tip_m).text}"
        strength = units.load(item.strand.breaking_at_n(tip_m)).text
        left = f"{item.count} of {units.length(profile.length_m).text}"
    return StockRow(
        spool_id=item.spool_id,
        form=item.form,
        title=item.title,
        material=material.key,
        material_title=material.title,
        family=material.family,
        sighter=item.strand.colour == "sighter",
        diameter=diameter,
        strength=strength,
        labelled=item.strand.strength_n is not None,
        estimated=item.strand.estimated,
        left=left,
        bought=item.bought_on or "",
        low=is_low(item, lying.usual.get(item.spool_id)),
        note=_note(item, units, lying),
        known=known_words(item, units),
        packet=_packet_texts(item, units) if isinstance(item, Packet) else None,
        item=item,
    )


def _note(item: Stock, units: Units, lying: Lying) -> str:
    over = {key: more for key, more in lying.over.items() if key == item.spool_id}
    why = [age_words(item, lying.today)]
    if held_by(item) > 0.0 and is_low(item, lying.usual.get(item.spool_id)):
        why.append(f"{left_words(item, units)} left")
    said = "; ".join(filter(None, why))
    renew = f"Time to renew: {said}." if said else ""
    return f"{short_words(over, {item.spool_id: item}, units).strip()} {renew}".strip()


def _lying(cursor: DictCursor, me: str) -> Lying:
    return Lying(
        usual_takes(cursor, me), overdrawn(cursor, me), datetime.now(UTC).date().isoformat()
    )


def _load(text: str, system: System) -> float | None:
    with field("strength"):
        return parse_load(text, system) if text.strip() else None


@router.get("", summary="All spools and packets owned")
def get_stock(
    session: CurrentSession,
    units: System = "imperial",
    retired: Annotated[bool, Query(description="those taken off the shelf instead")] = False,
) -> list[StockRow]:
    """The shelf, by material and thickness."""
    stock, lying = session.read(
        lambda cursor, me: (list_stock(cursor, me, retired), _lying(cursor, me))
    )
    return [_row(item, Units(units), lying) for item in stock]


@router.post("/spools", responses=LINKS, summary="Add a spool, or write one anew")
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
    )
    return _put(session, spool, shown)


@router.post("/packets", summary="Add a packet of knotless leaders, or write one anew")
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
            raise Unreadable(f"“{text}” is no day.", mend="Write it as 2024-05-17.") from error
        if not date(1950, 1, 1) <= day <= datetime.now(UTC).date() + timedelta(days=1):
            raise OutOfRange(f"Nothing was bought on {text}.", mend="Give a day that has been.")
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
            raise Unreadable(
                "Neither diameter nor label was given.", mend="Write .018, 5X or 30 lb."
            )
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


def _put(session: Session, item: Stock, units: Units) -> StockRow:
    return session.save(
        lambda cursor, me: put_stock(cursor, me, item).spool_id,
        lambda cursor, me, spool_id: _row(
            read_stock(cursor, me, spool_id), units, _lying(cursor, me)
        ),
    )


@dataclass(frozen=True, slots=True)
class SpoolUse:
    """In which saved leaders a spool or packet is, in words."""

    leaders: tuple[str, ...]
    words: str


@router.get("/{spool_id}/use", summary="Ask which saved leaders a spool is in")
def get_use(session: CurrentSession, spool_id: str) -> SpoolUse:
    """As they stand; what is changed of the spool changes none of them."""
    titles = session.read(lambda cursor, me: leaders_with(cursor, me, spool_id))
    if not titles:
        return SpoolUse((), "No saved leader is tied of it.")
    shown = list(titles[:MOST_NAMED])
    more = len(titles) - len(shown)
    names = listed([*shown, f"{counted(more, 'other')}"] if more else shown)
    count = counted(len(titles), "saved leader")
    return SpoolUse(titles, f"In {count}: {names}. They keep the figures they were saved with.")


@router.post("/{spool_id}/ends", responses=MISSING, summary="Put two ends of the same together")
def post_ends(session: SavingSession, spool_id: str, form: OtherEnd) -> StockRow:
    """What the other holds goes on this one; the other is taken off the shelf. Undone in the
    ledger."""

    def merge(cursor: DictCursor, me: str) -> str:
        merge_stock(cursor, me, spool_id, form.other)
        return spool_id

    return session.save(
        merge,
        lambda cursor, me, made: _row(
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
    "/{spool_id}/restore", status_code=204, responses=MISSING, summary="Put it back on the shelf"
)
def put_back_stock(session: CurrentSession, spool_id: str) -> Response:
    """A spool that was taken off is there again, with what it held."""
    session.write(lambda cursor, me: restore_stock(cursor, me, spool_id))
    return Response(status_code=204)
