"""Things as lines of text that are read to the same again."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.strand import Packet, Spool
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.parsing.parsed import Thing


def owned_text(thing: Thing, units: Units) -> str | None:
    """A thing as it would be said; None for one of which more is known than a line says."""
    if isinstance(thing, Spool):
        said: str | None = _spool(thing, units)
    elif isinstance(thing, Packet):
        said = _packet(thing, units) if thing.strand.estimated else None
    elif isinstance(thing, Rod):
        said = _rod(thing, units) if thing.tip_n_m is None else None
    elif isinstance(thing, FlyLine):
        measured = (thing.tip_bend_nm2, thing.belly_bend_nm2)
        more = (*measured, thing.level_m, thing.backing, thing.head_kg)
        said = _line(thing, units) if all(each is None for each in more) else None
    else:
        said = _fly(thing, units) if thing.drag_area_m2 is thing.sink_m_s is None else None
    return said and f"“{thing.title.replace('”', chr(39)).replace(chr(34), chr(39))}” {said}"


def _spool(spool: Spool, units: Units) -> str:
    strand = spool.strand
    size = "" if strand.estimated else units.diameter(strand.diameter_m).text
    colour = "sighter" if strand.colour == "sighter" else ""
    label = units.label(strand.strength_n).text if strand.strength_n else ""
    left = f"{units.on_spool(spool.remaining_m).text} left"
    return " ".join(part for part in (size, strand.substance.title, colour, label, left) if part)


def _packet(packet: Packet, units: Units) -> str:
    strand = packet.strand
    long, tip = units.length(strand.profile.length_m).text, strand.profile.tip_diameter_m
    label = f" {units.label(strand.strength_n).text}" if strand.strength_n else ""
    across = units.diameter(tip).text
    return f"{long} {across} knotless, {strand.substance.title}{label}, {packet.count} left"


def _rod(rod: Rod, units: Units) -> str:
    return f"{units.length(rod.length_m).text} {rod.weight} wt, {rod.action}"


def _line(line: FlyLine, units: Units) -> str:
    heavy = ("", "half a size heavy", "a size heavy")[line.half_sizes_heavy]
    tip = f"{units.length(line.sink_tip_m).text} sink-tip" if line.sink_tip_m else ""
    sinks = line.sinking.replace("-", " ")
    parts = (f"{line.weight} wt", tip, sinks, heavy, f"{line.front_taper} taper", line.tip)
    return " ".join(part for part in parts if part)


def _fly(fly: Fly, units: Units) -> str:
    bead = f"{fly.bead.diameter_mm:g} mm {fly.bead.metal} bead" if fly.bead else ""
    long = f"{units.length(fly.length_m).text}" if fly.length_m else ""
    mass = f"{units.fly_mass(fly.weighed_kg).text}" if fly.weighed_kg else ""
    marks = (
        (fly.barbless, "barbless"),
        (fly.tube, "tube"),
        (fly.trailing_hook, "trailing hook"),
        (fly.dressing == "sheds", "sheds"),
        (fly.dressing == "soaks", "soaks"),
    )
    parts = [f"size {units.hook(fly.hook)}", fly.bulk, fly.kind, long, bead, fly.head or "", mass]
    return " ".join(part for part in (*parts, *(word for is_so, word in marks if is_so)) if part)
