"""A rig in the water as a tree of nodes: straight segments, bodies at their ends, side branches.

Nodes are numbered from the top, a parent always before its children, so that one pass downwards
through the numbers goes from the leaves to the root.
"""

from dataclasses import dataclass, field
from math import pi
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.mechanics.bodies import Body

Array = NDArray[np.float64]
Index = NDArray[np.int64]

SEGMENT_M = 0.06  # of what hangs in the water, or a tenth of its depth
FEWEST = 2  # segments between two places that matter
ADDED_SPHERE = 0.5  # of the water's mass that a body moves with it [S: Batchelor1967, a sphere]


@dataclass(frozen=True, slots=True)
class TreeSegmentGroup:
    """Level line: length and diameter in metres, density in kg/m³, and what hangs at its end."""

    length_m: float
    diameter_m: float
    density_kg_m3: float
    body: Body | None = None
    stretch_n: float = 40.0


class Tree(NamedTuple):
    """n nodes; ``length`` (m), ``thick`` (m), ``weight`` (N/m in water), ``mass`` (kg/m with the
    water moved), ``stretch`` (EA in N) are of the segment above a node, nothing at the top.

    ``body`` (n, 3) holds weight in water (N), diameter (m) and drag factor of what hangs at a
    node, ``body_kg`` (n,) its mass with the water moved.
    """

    parent: Index
    length: Array
    thick: Array
    weight: Array
    mass: Array
    stretch: Array
    body: Array
    body_kg: Array

    @property
    def reach(self) -> Array:
        """Length of line from the top to every node, in metres."""
        along = np.zeros(self.length.size)
        for node in range(1, self.length.size):
            along[node] = along[self.parent[node]] + self.length[node]
        return along

    @property
    def body_weight_n(self) -> float:
        """Weight in water of all that hangs on it, in N."""
        return float(self.body[:, 0].sum())


@dataclass
class TreeBuilder:
    """Lays stretches one after another, from the top or from any node laid before.

    ``ends`` are the nodes at which the stretches end, in the order in which they were laid.
    """

    rho: float
    segment_m: float = SEGMENT_M
    fewest: int = FEWEST
    _parent: list[int] = field(default_factory=lambda: [-1])
    _rows: list[tuple[float, ...]] = field(default_factory=lambda: [(0.0,) * 5])
    _body: list[tuple[float, float, float]] = field(default_factory=lambda: [(0.0, 0.0, 0.0)])
    _body_kg: list[float] = field(default_factory=lambda: [0.0])
    ends: list[int] = field(default_factory=list)

    @property
    def next_node(self) -> int:
        """The number of the node that is laid next."""
        return len(self._parent)

    def lay(self, stretch: TreeSegmentGroup, after: int, count: int | None = None) -> int:
        """Lay a stretch below node ``after``, in ``count`` segments if given; its end's node."""
        usual = round(stretch.length_m / self.segment_m)
        count = count or max(self.fewest if stretch.length_m > self.segment_m else 1, usual)
        step_m = stretch.length_m / count
        area = pi * stretch.diameter_m**2 / 4.0
        row = (
            step_m,
            stretch.diameter_m,
            (stretch.density_kg_m3 - self.rho) * GRAVITY_M_S2 * area,
            (stretch.density_kg_m3 + self.rho) * area,
            stretch.stretch_n,
        )
        node = after
        for _ in range(count):
            self._parent.append(node)
            node = len(self._parent) - 1
            self._rows.append(row)
            self._body.append((0.0, 0.0, 0.0))
            self._body_kg.append(0.0)
        if stretch.body is not None:
            self.hang(stretch.body, node)
        self.ends.append(node)
        return node

    def hang(self, body: Body, node: int) -> None:
        """Hang a body at a node; two at one node weigh and drag together."""
        weight, thick, factor = self._body[node]
        area = factor * thick**2 + body.factor * body.diameter_m**2
        whole = max(thick, body.diameter_m)
        self._body[node] = (weight + body.weight_n, whole, area / whole**2)
        moved = ADDED_SPHERE * self.rho * pi * body.diameter_m**3 / 6.0
        self._body_kg[node] += body.mass_kg + moved

    def tree(self) -> Tree:
        """The whole tree."""
        length, thick, weight, mass, stretch = np.array(self._rows).T.copy()
        return Tree(
            parent=np.array(self._parent, dtype=np.int64),
            length=length,
            thick=thick,
            weight=weight,
            mass=mass,
            stretch=stretch,
            body=np.array(self._body),
            body_kg=np.array(self._body_kg),
        )
