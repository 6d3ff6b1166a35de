"""Somebody else's leader on one's own bench: of the nearest spools that are owned here."""

from dataclasses import dataclass
from math import log
from typing import TypeVar

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader, LevelSection
from nine_knots.core.domain.strand import Packet, Spool, Stock, Strand, TaperedStrand, spools_of

NEAR_M = 1.0 * THOU_M  # a spool that is further off in thickness is no other of the same
SAME_M = 0.3 * THOU_M
STIFFNESS_WEIGHS = 0.5  # of a logarithm of stiffness beside one of thickness


@dataclass(frozen=True, slots=True)
class Swapped:
    """A piece and the spool or packet that it is of here; None where none is like it."""

    piece: int
    was: Strand | TaperedStrand
    now: Stock | None
    same: bool


def refitted(design: Design, stock: tuple[Stock, ...]) -> tuple[Design, tuple[Swapped, ...]]:
    """The design with its level pieces and tapers of what is owned, as near as can be; lengths,
    knots and all else as they were. A strand that nothing owned is like stays what it was."""
    leader = design.leader
    swaps: list[Swapped] = []
    for number, piece in enumerate(leader.pieces):
        found = _nearest(piece.strand, stock)
        swaps.append(Swapped(number, piece.strand, found, _is_same(piece.strand, found)))
        pieces = list(leader.pieces)
        if isinstance(piece, LevelSection):
            own = found.strand if isinstance(found, Spool) else _nobodys(piece.strand)
            pieces[number] = piece.evolve(strand=own)
        else:
            taper = found.strand if isinstance(found, Packet) else _nobodys(piece.strand)
            pieces[number] = piece.evolve(strand=taper)
        leader = leader.evolve(pieces=tuple(pieces))
    made = design.model_copy(update={"leader": _with_tags(leader, stock)})
    return made, tuple(swaps)


AnyStrand = TypeVar("AnyStrand", Strand, TaperedStrand)


def _nobodys(strand: AnyStrand) -> AnyStrand:
    return strand.model_copy(update={"spool_id": None})


def _with_tags(leader: Leader, stock: tuple[Stock, ...]) -> Leader:
    for number, joint in enumerate(leader.joints):
        if joint.dropper is None:
            continue
        found = _nearest(joint.dropper.strand, stock)
        own = found.strand if isinstance(found, Spool) else _nobodys(joint.dropper.strand)
        leader = leader.with_joint(number, joint.evolve(dropper=joint.dropper.evolve(strand=own)))
    return leader


def _nearest(strand: Strand | TaperedStrand, stock: tuple[Stock, ...]) -> Stock | None:
    if isinstance(strand, TaperedStrand):
        return _nearest_packet(strand, stock)
    spools = [
        spool
        for spool in spools_of(stock)
        if spool.strand.substance.family == strand.substance.family
        and spool.strand.colour == strand.colour
        and abs(spool.strand.diameter_m - strand.diameter_m) <= NEAR_M
    ]
    return min(spools, key=lambda spool: _unlike(strand, spool.strand), default=None)


def _nearest_packet(strand: TaperedStrand, stock: tuple[Stock, ...]) -> Packet | None:
    """A packet of the same length and tip: what was cut off it must still be there to cut."""
    mine = strand.profile
    packets = [
        packet
        for packet in stock
        if isinstance(packet, Packet)
        and abs(packet.strand.profile.tip_diameter_m - mine.tip_diameter_m) <= NEAR_M
        and abs(packet.strand.profile.length_m - mine.length_m) <= 0.05 * mine.length_m
    ]
    return min(
        packets,
        key=lambda packet: abs(packet.strand.profile.butt_diameter_m - mine.butt_diameter_m),
        default=None,
    )


def _unlike(entry: Strand, other: Strand) -> float:
    thicker = abs(log(other.diameter_m / entry.diameter_m))
    return thicker + STIFFNESS_WEIGHS * abs(log(other.stiffness_pa / entry.stiffness_pa))


def _is_same(strand: Strand | TaperedStrand, found: Stock | None) -> bool:
    if isinstance(found, Packet) and isinstance(strand, TaperedStrand):
        return found.strand.profile == strand.profile and found.strand.material == strand.material
    if not isinstance(found, Spool) or not isinstance(strand, Strand):
        return False
    near = abs(found.strand.diameter_m - strand.diameter_m) <= SAME_M
    return near and found.strand.material == strand.material
