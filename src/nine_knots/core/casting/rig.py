"""A leader on its line with its fly, laid out as a chain of nodes: mass, stretch, bend, drag."""

from dataclasses import dataclass, replace
from functools import lru_cache
from math import pi

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Fly, LineProfile
from nine_knots.core.mechanics.section import area_m2

Array = NDArray[np.float64]

LINE_STRETCH_N = 400.0  # EA of a fly line [M]
LINE_FRICTION_S = 6e-3  # internal friction of a fly line, as the time EI is multiplied by [G]
# of a 2 mm ring, a tiny swivel, a small snap [M ±30 %]
HARDWARE_KG = {"ring": 30e-6, "swivel": 150e-6, "snap": 100e-6}
BALL_DRAG = 0.47  # drag coefficient of a ball in air [S: Hoerner1965]
FEWEST_LINKS = 2  # of a short piece


@dataclass(frozen=True)
class Mesh:
    """Lengths of links in metres, in the line and in the leader."""

    line_m: float
    leader_m: float


FULL = Mesh(line_m=0.05, leader_m=0.06)
FINE = Mesh(line_m=0.04, leader_m=0.04)


@dataclass(frozen=True)
class Rig:
    """The chain from the rod's tip to the fly: n nodes, n - 1 links, SI units.

    ``leader`` is the node at the line's tip, ``joints`` the nodes of the leader's joints. A joint
    is always a node; knots themselves weigh what their strands do.
    """

    rest: Array
    mass: Array
    stretch: Array
    bend: Array
    friction: Array
    thick: Array
    body: Array
    leader: int
    joints: tuple[int, ...]

    @property
    def length_m(self) -> float:
        """Whole length from the rod's tip to the fly, in metres."""
        return float(self.rest.sum())

    def on_other_line(
        self, tip_stiffer: float = 1.0, belly_stiffer: float = 1.0, lossier: float = 1.0
    ) -> "Rig":
        """The same on a line whose tip and belly are so many times as stiff, its taper in between,
        with as much more internal friction."""
        factor = np.ones(self.bend.size)
        line = self.thick[: self.leader]
        if self.leader:
            taper = np.ptp(line) if np.ptp(line) > 0.01 * line[-1] else np.inf
            share = np.clip((line - line[-1]) / taper, 0.0, 1.0)
            factor[: self.leader] = tip_stiffer ** (1.0 - share) * belly_stiffer**share
        return replace(self, bend=factor * self.bend, friction=factor * lossier * self.friction)

    @property
    def leader_m(self) -> float:
        """Length of the leader, in metres."""
        return float(self.rest[self.leader :].sum())


def rig_of(
    leader: Leader, line: LineProfile, fly: Fly, line_out_m: float, mesh: Mesh = FULL
) -> Rig:
    """Lay out a line of ``line_out_m`` beyond the rod's tip, the leader and the fly."""
    parts = [_line_part(line, line_out_m, mesh.line_m)] if line_out_m > 0.0 else []
    lead = sum(part.shape[1] for part in parts)
    joints = [lead]
    for piece in leader.pieces:
        count = max(FEWEST_LINKS, round(piece.length_m / mesh.leader_m))
        step_m = piece.length_m / count
        thick = np.array([piece.diameter_at_m((i + 0.5) * step_m) for i in range(count)])
        rest = np.full(count, step_m)
        strand = piece.strand
        mass = np.array([strand.mass_kg_m(d) for d in thick]) * step_m
        bend = np.array([strand.bend_nm2(d) for d in thick])
        give = step_m / (strand.stiffness_pa * np.array([area_m2(d) for d in thick]))
        parts.append(np.stack([rest, mass, give, bend, thick]))
        joints.append(joints[-1] + count)
    rest, mass_of_links, stretch, bend_of_links, thick = np.concatenate(parts, axis=1)
    mass = np.zeros(rest.size + 1)
    mass[:-1] += 0.5 * mass_of_links
    mass[1:] += 0.5 * mass_of_links
    bend = np.zeros(rest.size + 1)
    # two unlike halves in series turn as the softer one lets them
    bend[1:-1] = 2.0 / (1.0 / bend_of_links[:-1] + 1.0 / bend_of_links[1:])
    in_line = np.arange(rest.size + 1) < lead
    body = np.zeros(rest.size + 1)
    mass[-1] += fly.mass_kg
    body[-1] = fly.air_drag_area_m2
    for joint, node in zip(leader.joints, joints, strict=True):
        mass[node] += HARDWARE_KG.get(joint.kind, 0.0)
        hung = joint.dropper.fly if joint.dropper else joint.fly
        if hung is not None:
            mass[node] += hung.mass_kg
            body[node] += hung.air_drag_area_m2
        if joint.dropper is not None:
            tag = joint.dropper.strand
            mass[node] += tag.mass_kg_m(tag.diameter_m) * joint.dropper.length_m
    _hang(leader, np.concatenate([[0.0], np.cumsum(rest)]) - rest[:lead].sum(), mass, body)
    return Rig(
        rest=rest,
        mass=mass,
        stretch=stretch,
        bend=bend,
        friction=np.where(in_line, LINE_FRICTION_S * bend, 0.0),
        thick=thick,
        body=body,
        leader=lead,
        joints=tuple(joints),
    )


def _hang(leader: Leader, places: Array, mass: Array, body: Array) -> None:
    """Shot and indicator at the nodes nearest to them; ``places`` in metres from the line's tip."""
    for thing in leader.attachments:
        node = int(np.abs(places - (leader.length_m - thing.above_end_m)).argmin())
        mass[node] += thing.own_mass_kg
        across = thing.diameter_m or thing.shot_m
        body[node] += BALL_DRAG * pi * across**2 / 4.0


@lru_cache(maxsize=32)
def _line_part(line: LineProfile, line_out_m: float, step_m: float) -> Array:
    """Links of the fly line from the rod to its tip: rest, mass, stretch, bend, thickness."""
    count = max(FEWEST_LINKS, round(line_out_m / step_m))
    step_m = line_out_m / count
    from_tip = line_out_m - (np.arange(count) + 0.5) * step_m
    thick = np.array([line.diameter_at_m(float(s)) for s in from_tip])
    bend = np.array([line.bend_at_nm2(float(s)) for s in from_tip])
    density = np.array([line.density_at(float(s)) for s in from_tip])
    mass = density * pi / 4.0 * thick**2 * step_m
    return np.stack(
        [np.full(count, step_m), mass, np.full(count, step_m / LINE_STRETCH_N), bend, thick]
    )
