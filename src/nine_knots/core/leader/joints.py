"""Joints: a knot, two loops, a ring or a swivel, and the dropper that may leave there."""

from typing import Literal

from pydantic import model_validator

from nine_knots.core.knots import KNOTS, KnotKey
from nine_knots.core.strand import Strand
from nine_knots.core.tackle import Fly
from nine_knots.core.values import Frozen, LengthM

JointKind = Literal["knot", "loops", "ring", "swivel"]


class Dropper(Frozen):
    """A side branch: a fly on a tag that leaves the leader at a joint."""

    strand: Strand
    length_m: LengthM
    knot: KnotKey
    fly: Fly


class Joint(Frozen):
    """How two pieces meet, or a piece meets the line or the fly.

    ``knot`` is the knot itself, or at loops, a ring or a swivel the knot in the piece below;
    ``upper_knot`` is then the knot in the piece above (None at the line, whose loop is its own).
    """

    kind: JointKind = "knot"
    knot: KnotKey
    upper_knot: KnotKey | None = None
    dropper: Dropper | None = None

    @model_validator(mode="after")
    def _knots_fit_the_kind(self) -> "Joint":
        if self.kind == "knot" and self.upper_knot is not None:
            raise ValueError("a joint tied as one knot has no upper_knot")
        place = {"loops": "loop", "ring": "eye", "swivel": "eye"}.get(self.kind)
        for key in (self.knot, self.upper_knot):
            if place and key and KNOTS[key].place != place:
                raise ValueError(f"a {KNOTS[key].title} is no knot for {self.kind}")
        return self
