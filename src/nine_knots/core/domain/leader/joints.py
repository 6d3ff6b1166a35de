"""Joints: a knot, two loops, a ring or a swivel, and the dropper that may leave there."""

from typing import Literal

from pydantic import model_validator

from nine_knots.core.base.limits import LengthM
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.knots import KNOTS, KnotKey
from nine_knots.core.domain.strand import Strand
from nine_knots.core.domain.tackle import Fly

JointKind = Literal["knot", "loops", "ring", "swivel", "fly", "snap"]

LONGEST_TAG_M = 1.5
SHORTEST_TAG_M = 0.08  # on which a fly still swings clear [P: 10 to 14 in is usual]
USED_BY_A_CHANGE_M = 0.025  # of a tag, by tying on another fly [P]


class Dropper(Frozen):
    """A side branch: a fly on a tag that leaves the leader at a joint.

    ``tag`` says which end of the joint's knot was left long: of the piece above or below.
    """

    strand: Strand
    length_m: LengthM
    knot: KnotKey
    fly: Fly
    tag: Literal["upper", "lower"] = "lower"

    @model_validator(mode="after")
    def _tied_at_the_eye(self) -> "Dropper":
        if KNOTS[self.knot].place != "eye":
            raise ValueError(f"a {KNOTS[self.knot].title} ties no fly to a dropper")
        if self.length_m > LONGEST_TAG_M:
            raise ValueError(f"a dropper is at most {LONGEST_TAG_M:g} m long")
        return self

    @property
    def changes_left(self) -> int:
        """How many more flies can be tied on before the tag is too short."""
        return max(0, int((self.length_m - SHORTEST_TAG_M) / USED_BY_A_CHANGE_M + 1e-9))


class Connection(Frozen):
    """How two pieces meet, or a piece meets the line or the fly.

    ``knot`` is the knot itself, or at loops, a ring or a swivel the knot in the piece below;
    ``upper_knot`` is then the knot in the piece above (None at the line, whose loop is its own).
    A joint of kind ``fly`` is a fly in line: the piece above is tied to its eye, the piece below
    to its bend or its eye, as ``tied_from`` says. A ``snap`` is tied to the leader's end and holds
    the fly. ``doubled`` says which piece's end is doubled
    by a bimini twist before the knot is tied.
    """

    kind: JointKind = "knot"
    knot: KnotKey
    upper_knot: KnotKey | None = None
    dropper: Dropper | None = None
    fly: Fly | None = None
    tied_from: Literal["bend", "eye"] | None = None
    doubled: Literal["upper", "lower"] | None = None

    @property
    def is_ring(self) -> bool:
        """Whether it is a ring or a swivel, which parts two sizes."""
        return self.kind in ("ring", "swivel")

    @property
    def leaves_a_tag(self) -> bool:
        """Whether its knot has a tag that may carry a dropper."""
        return bool(KNOTS[self.knot].dropper)

    @model_validator(mode="after")
    def _knots_fit_the_kind(self) -> "Connection":
        if self.kind in ("knot", "snap") and self.upper_knot is not None:
            raise ValueError("a joint tied as one knot has no upper_knot")
        place = {"loops": "loop", "ring": "eye", "swivel": "eye", "fly": "eye", "snap": "eye"}.get(
            self.kind
        )
        for key in (self.knot, self.upper_knot):
            if place and key and KNOTS[key].place != place:
                raise ValueError(f"a {KNOTS[key].title} is not a knot for {self.kind}")
        if len({self.kind == "fly", self.fly is not None, self.tied_from is not None}) > 1:
            raise ValueError("a fly in line and where it is tied from go with the kind fly")
        if self.doubled is not None and self.kind != "knot":
            raise ValueError("an end is doubled before a knot, not before a ring or loops")
        if self.dropper is not None and self.kind in ("fly", "snap"):
            raise ValueError("a fly in line or a snap carries no dropper")
        return self
