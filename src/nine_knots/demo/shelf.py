"""The shelf in the demo: Runa's spools in thousandths and Eskil's in millimetres, no brands."""

from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_diameter, parse_length, parse_load
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.domain.strand import (
    Packet,
    Price,
    Spool,
    Stock,
    Strand,
    TaperedStrand,
    TaperProfile,
)

# material, colour in words, diameter as written, metres left, label strength if it has one
_RUNA: tuple[tuple[MaterialKey, str, str, float, str | None], ...] = (
    ("nylon-stiff", "Amber stiff", ".0235", 14.0, None),
    ("nylon-stiff", "Amber stiff", ".021", 18.0, None),
    ("nylon-stiff", "Amber stiff", ".019", 22.0, None),
    ("nylon-stiff", "Amber stiff", ".017", 25.0, "17 lb"),
    ("nylon-stiff", "Amber stiff", ".0145", 25.0, "14 lb"),
    ("nylon-stiff", "Amber stiff", ".0125", 21.0, "11.5 lb"),
    ("nylon-stiff", "Amber stiff", ".0105", 16.0, "9.2 lb"),
    ("nylon-stiff", "Amber stiff", ".0085", 12.0, "7 lb"),
    ("nylon-soft", "Mist soft", ".0095", 27.0, "12 lb"),
    ("nylon-soft", "Mist soft", ".008", 30.0, "8.6 lb"),
    ("nylon-soft", "Mist soft", ".007", 30.0, "6.6 lb"),
    ("nylon-soft", "Mist soft", ".006", 24.0, "4.9 lb"),
    ("nylon-soft", "Mist soft", ".005", 28.0, "3.4 lb"),
    ("nylon-soft", "Mist soft", ".004", 19.0, "2.3 lb"),
    ("wire-soft", "Brown plaited wire", ".0185", 4.0, "22 lb"),
)
_ESKIL: tuple[tuple[MaterialKey, str, str, float, str | None], ...] = (
    ("nylon-medium", "Smoke medium", "0.52 mm", 40.0, None),
    ("nylon-medium", "Smoke medium", "0.46 mm", 45.0, "9.4 kg"),
    ("nylon-medium", "Smoke medium", "0.38 mm", 45.0, "7.1 kg"),
    ("nylon-medium", "Smoke medium", "0.31 mm", 50.0, "5.9 kg"),
    ("copolymer", "Grey copolymer", "0.22 mm", 90.0, "4.2 kg"),
    ("copolymer", "Grey copolymer", "0.16 mm", 90.0, "2.3 kg"),
    ("fluorocarbon", "Glass fluorocarbon", "0.43 mm", 30.0, "11.8 kg"),
    ("fluorocarbon", "Glass fluorocarbon", "0.34 mm", 30.0, "8.7 kg"),
    ("fluorocarbon", "Glass fluorocarbon", "0.28 mm", 35.0, "6.4 kg"),
    ("fluorocarbon", "Glass fluorocarbon", "0.235 mm", 40.0, "4.7 kg"),
    ("fluorocarbon", "Glass fluorocarbon", "0.19 mm", 45.0, "3.1 kg"),
    ("fluorocarbon", "Glass fluorocarbon", "0.15 mm", 45.0, "2.0 kg"),
    ("fluorocarbon", "Glass fluorocarbon", "0.13 mm", 38.0, "1.5 kg"),
    ("wire-single", "Bare single wire", "0.33 mm", 6.0, "21 kg"),
)
# Runa put her micrometer on the stuff of her butts and tapers; tippets go by their labels.
_MEASURED = ("nylon-stiff",)
MEASURED = MeasuredSpread(off=0.007, readings=9)
_BOUGHT = {"runa-nylon-soft-004": "2022-04-02", "runa-nylon-soft-0095": "2026-05-16"}
# In Runa's money, whatever that is, for a full spool.
_PRICES: dict[MaterialKey, Price] = {
    "nylon-stiff": Price(paid=5.50, amount=25.0),
    "nylon-soft": Price(paid=4.90, amount=30.0),
    "fluorocarbon": Price(paid=14.50, amount=50.0),
}
# title, butt, level butt, taper, level tip, tip, tip's label strength, how many
_PACKETS = (
    ("Knotless, long", ".021", "4 ft 3 in", "4 ft", "2 ft 9 in", ".0065", "5.4 lb", 3),
    ("Knotless, standard", ".0205", "3 ft 2 in", "3 ft 5 in", "2 ft 5 in", ".0075", "7.2 lb", 5),
    ("Knotless, short and stout", ".0225", "2 ft 9 in", "2 ft 8 in", "2 ft", ".0105", "13 lb", 4),
)


def _spool(
    owner: str,
    system: System,
    row: tuple[MaterialKey, str, str, float, str | None],
) -> Spool:
    material, name, written, left_m, label = row
    digits = "".join(c for c in written if c.isdigit())
    spool_id = f"{owner}-{material}-{digits}"
    diameter_m = parse_diameter(written, system)
    size = Units(system).tippet(diameter_m).text
    return Spool(
        spool_id=spool_id,
        title=f"{name} {size}",
        remaining_m=left_m,
        strand=Strand(
            material=material,
            diameter_m=diameter_m,
            strength_n=parse_load(label) if label else None,
            across_by=MEASURED if material in _MEASURED and label else None,
            spool_id=spool_id,
        ),
        bought_on=_BOUGHT.get(spool_id, "2025-03-08"),
        price=_PRICES.get(material),
    )


def _packet(number: int, row: tuple[str, str, str, str, str, str, str, int]) -> Packet:
    title, butt, level, taper, tip_level, tip, label, count = row
    spool_id = f"runa-knotless-{number}"
    return Packet(
        spool_id=spool_id,
        title=title,
        count=count,
        price=Price(paid=4.20, amount=1.0),
        strand=TaperedStrand(
            material="nylon-medium",
            spool_id=spool_id,
            strength_n=parse_load(label),
            profile=TaperProfile(
                butt_length_m=parse_length(level),
                butt_diameter_m=parse_diameter(butt),
                taper_length_m=parse_length(taper),
                tip_length_m=parse_length(tip_level),
                tip_diameter_m=parse_diameter(tip),
            ),
        ),
    )


def _sighter() -> Spool:
    strand = Strand(
        material="nylon-medium",
        diameter_m=parse_diameter("0.26 mm"),
        strength_n=parse_load("4.4 kg"),
        colour="sighter",
        spool_id="eskil-sighter-026",
    )
    return Spool(
        spool_id="eskil-sighter-026",
        title="Two-colour sighter 0.26 mm",
        remaining_m=9,
        strand=strand,
    )


def demo_stock() -> tuple[Stock, ...]:
    """Both kits' spools and the packets, thickest first within each kind."""
    runa = [_spool("runa", "imperial", row) for row in _RUNA]
    eskil = [_spool("eskil", "metric", row) for row in _ESKIL]
    packets = [_packet(i + 1, row) for i, row in enumerate(_PACKETS)]
    return (*runa, *eskil, _sighter(), *packets)
