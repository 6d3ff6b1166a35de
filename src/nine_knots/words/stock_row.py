"""A spool or packet as the shelf shows it: its figures, how they are known, what is to be done."""

from collections.abc import Mapping
from dataclasses import dataclass

from pydantic import Field

from nine_knots.core.base.limits import Day
from nine_knots.core.base.units import Units
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.ledger import amount_of
from nine_knots.core.domain.strand import Packet, Spool, Stock
from nine_knots.words.figure_sources import source_words
from nine_knots.words.ledger import is_low, left_words, short_words
from nine_knots.words.line_age import age_words


class PacketTexts(Frozen):
    """A packet's figures as they can be typed again: as it is sold, or as measured."""

    sold_as: str = ""
    butt: str
    butt_length: str
    taper_length: str
    tip_length: str
    tip: str
    count: int


class StockRow(Frozen):
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
    bought: str = Field(description="date as YYYY-MM-DD; empty if unknown")
    paid: str = Field(description="price paid; empty if unknown")
    paid_for: str = Field(description="the amount the price was for")
    low: bool = Field(description="little is left, compared with what is usually used")
    note: str = Field(description="what to do about it, if anything")
    known: tuple[str, ...] = Field(
        description="where its figures come from, and how certain they are"
    )
    packet: PacketTexts | None = None
    item: Stock


@dataclass(frozen=True, slots=True)
class ShelfContext:
    """What is known of the shelf beside its spools: largest takes, what was taken beyond what was
    there, and the day."""

    usual: Mapping[str, float]
    over: Mapping[str, float]
    today: Day


def stock_row(stock_item: Stock, units: Units, lying: ShelfContext) -> StockRow:
    """The row of a spool or packet."""
    material = stock_item.strand.substance
    if isinstance(stock_item, Spool):
        diameter = units.across(stock_item.strand.diameter_m, stock_item.strand.estimated)
        strength = units.load(stock_item.strand.breaking_n).text
        left = units.on_spool(stock_item.remaining_m).text
    else:
        profile = stock_item.strand.profile
        tip_m = profile.tip_diameter_m
        diameter = f"{units.diameter(profile.butt_diameter_m).text} to {units.tippet(tip_m).text}"
        strength = units.load(stock_item.strand.breaking_at_n(tip_m)).text
        left = f"{stock_item.count} of {units.length(profile.length_m).text}"
    return StockRow(
        spool_id=stock_item.spool_id,
        form=stock_item.form,
        title=stock_item.title,
        material=material.key,
        material_title=material.title,
        family=material.family,
        sighter=stock_item.strand.colour == "sighter",
        diameter=diameter,
        strength=strength,
        labelled=stock_item.strand.strength_n is not None,
        estimated=stock_item.strand.estimated,
        left=left,
        bought=stock_item.bought_on or "",
        paid=f"{stock_item.price.paid:.2f}" if stock_item.price else "",
        paid_for=_paid_for(stock_item, units),
        low=is_low(stock_item, lying.usual.get(stock_item.spool_id)),
        note=_note(stock_item, units, lying),
        known=source_words(stock_item, units),
        packet=_packet_texts(stock_item, units) if isinstance(stock_item, Packet) else None,
        item=stock_item,
    )


def _paid_for(stock_item: Stock, units: Units) -> str:
    if stock_item.price is None:
        return ""
    amount = stock_item.price.amount
    return units.on_spool(amount).text if isinstance(stock_item, Spool) else f"{amount:.0f}"


def _note(stock_item: Stock, units: Units, lying: ShelfContext) -> str:
    over = {key: more for key, more in lying.over.items() if key == stock_item.spool_id}
    why = [age_words(stock_item, lying.today)]
    if amount_of(stock_item) > 0.0 and is_low(stock_item, lying.usual.get(stock_item.spool_id)):
        why.append(f"{left_words(stock_item, units)} left")
    said = "; ".join(filter(None, why))
    renew = f"Time to renew: {said}." if said else ""
    return f"{short_words(over, {stock_item.spool_id: stock_item}, units).strip()} {renew}".strip()


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
