"""A design's rig below a place on it, laid out as a tree in the water."""

from dataclasses import dataclass
from itertools import pairwise
from math import pi

from nine_knots.core.domain.in_water import fly_body, shot_body
from nine_knots.core.domain.leader import Leader, LevelSection, Section
from nine_knots.core.domain.tackle import Fly, LineProfile
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.section import area_m2
from nine_knots.core.mechanics.tree import SEGMENT_M, Tree, TreeBuilder, TreeSegmentGroup

LINE_SEGMENT_M = 0.4
LINE_STRETCH_N = 400.0  # EA of a fly line [M]
NEAR_M = 1e-3
TAPER_CUTS = 5
LINE = -1
"""The piece to which the fly line's parts belong."""


@dataclass(frozen=True, slots=True)
class FlyOnRig:
    """A fly of the rig and its node; ``joint`` is where it leaves, None for the point."""

    fly: Fly
    node: int
    joint: int | None

    @property
    def title(self) -> str:
        """The fly's name with its place."""
        return self.fly.title


@dataclass(frozen=True, slots=True)
class PartNodes:
    """Nodes of one piece (``LINE`` the fly line's), from the top down, to draw it by."""

    piece: int
    nodes: tuple[int, ...]
    dropper: bool = False
    sighter: bool = False


@dataclass(frozen=True)
class RigInWater:
    """A tree with its names. ``flies`` from the top down, the point last; ``things`` are nodes of
    attachments by their number; ``tip`` is the node of the line's tip where the line is in it."""

    tree: Tree
    flies: tuple[FlyOnRig, ...]
    things: dict[int, int]
    parts: tuple[PartNodes, ...]
    length_m: float
    tip: int | None

    @property
    def lowest(self) -> FlyOnRig:
        """The fly at the point."""
        return self.flies[-1]


def rig_below(
    leader: Leader,
    fly: Fly,
    fluid: Fluid,
    top_m: float = 0.0,
    line: LineProfile | None = None,
    line_m: float = 0.0,
    skip_joint: int | None = None,
    segment_m: float = SEGMENT_M,
) -> RigInWater:
    """The rig from ``top_m`` below the line's tip on; with ``line_m`` of the line above it.

    ``skip_joint`` is a joint whose fly is the float itself and hangs no more.
    """
    builder = TreeBuilder(fluid.rho, segment_m)
    node, tip = 0, None
    parts: list[PartNodes] = []
    flies: list[FlyOnRig] = []
    things: dict[int, int] = {}
    if line is not None and line_m > 0.0:
        node, parts = _lay_line(builder, line, line_m)
        tip = node
    droppers = []
    greased_m = leader.greased_m
    for number, (piece, start_m) in enumerate(zip(leader.pieces, leader.joints_at_m, strict=False)):
        end_m = start_m + piece.length_m
        if end_m <= top_m + 1e-6:
            continue
        joint = leader.joints[number]
        if number > 0 and start_m > top_m - 1e-6 and number != skip_joint:
            if joint.fly is not None:
                builder.hang(fly_body(joint.fly, fluid), node)
                flies.append(FlyOnRig(joint.fly, node, number))
            if joint.dropper is not None:
                droppers.append((number, node))
        nodes = [node]
        edges = _edges(leader, number, max(start_m, top_m), end_m)
        for low, high, hung in edges:
            stretch = _stretch(piece, low - start_m, high - start_m, high <= greased_m, fluid.rho)
            first = builder.next_node
            node = builder.lay(stretch, node)
            nodes += range(first, node + 1)
            for thing in hung:
                things[thing] = node
                if leader.attachments[thing].kind == "shot":
                    builder.hang(shot_body(leader.attachments[thing], fluid.rho), node)
        parts.append(PartNodes(number, tuple(nodes), sighter=piece.role == "sighter"))
    end = node
    for number, at in droppers:
        dropper = leader.joints[number].dropper
        assert dropper is not None
        piece = LevelSection(role="tippet", strand=dropper.strand, length_m=dropper.length_m)
        first = builder.next_node
        hung_at = builder.lay(_stretch(piece, 0.0, dropper.length_m, False, fluid.rho), at)
        builder.hang(fly_body(dropper.fly, fluid), hung_at)
        flies.append(FlyOnRig(dropper.fly, hung_at, number))
        own = (at, *range(first, hung_at + 1))
        parts.append(PartNodes(number, own, dropper=True))
    builder.hang(fly_body(fly, fluid), end)
    flies.append(FlyOnRig(fly, end, None))
    flies.sort(
        key=lambda fly_on_rig: len(leader.pieces) if fly_on_rig.joint is None else fly_on_rig.joint
    )
    tree = builder.tree()
    return RigInWater(
        tree=tree,
        flies=tuple(flies),
        things=things,
        parts=tuple(parts),
        length_m=float(tree.reach[end]),
        tip=tip,
    )


def _lay_line(
    builder: TreeBuilder, line: LineProfile, line_m: float
) -> tuple[int, list[PartNodes]]:
    count = max(4, round(line_m / LINE_SEGMENT_M))
    step_m, node = line_m / count, 0
    for i in range(count):
        from_tip = line_m - (i + 0.5) * step_m
        thick, density = line.diameter_at_m(from_tip), line.density_at(from_tip)
        node = builder.lay(
            TreeSegmentGroup(step_m, thick, density, stretch_n=LINE_STRETCH_N), node, count=1
        )
    return node, [PartNodes(LINE, tuple(range(node + 1)))]


def _edges(
    leader: Leader, number: int, from_m: float, to_m: float
) -> list[tuple[float, float, tuple[int, ...]]]:
    """Stretches of a piece between what hangs on it, each with the things at its lower end.

    The sloping part of a knotless taper is cut into so many that each is nearly level.
    """
    hung: dict[float, tuple[int, ...]] = {}
    for thing, attachment in enumerate(leader.attachments):
        at_m = leader.length_m - attachment.above_end_m
        if from_m + NEAR_M < at_m <= to_m + NEAR_M:
            place = round(min(at_m, to_m), 6)
            hung[place] = (*hung.get(place, ()), thing)
    piece, start_m = leader.pieces[number], leader.joints_at_m[number]
    places = {to_m, *hung}
    for low, high in pairwise(piece.breaks_m):
        if abs(piece.diameter_at_m(low) - piece.diameter_at_m(high)) > 1e-6:
            places |= {start_m + low + (high - low) * i / TAPER_CUTS for i in range(TAPER_CUTS + 1)}
    edges: list[tuple[float, float, tuple[int, ...]]] = []
    low = from_m
    for place in sorted(p for p in places if from_m + NEAR_M < p <= to_m):
        if place - low < NEAR_M and edges and place not in hung and place < to_m:
            continue
        edges.append((low, place, hung.get(round(place, 6), ())))
        low = place
    return edges


def _stretch(
    piece: Section, low_m: float, high_m: float, greased: bool, rho: float
) -> TreeSegmentGroup:
    """A stretch of a piece, as thick as in its middle; greased, it neither sinks nor rises."""
    thick = piece.diameter_at_m(0.5 * (low_m + high_m))
    strand = piece.strand
    density = rho if greased else strand.mass_kg_m(thick) / (pi * thick**2 / 4.0)
    return TreeSegmentGroup(
        high_m - low_m, thick, density, stretch_n=strand.stiffness_pa * area_m2(thick)
    )
