"""A leader: pieces and joints in order, with what hangs along it."""

from itertools import accumulate
from typing import Literal

from pydantic import Field, model_validator

from nine_knots.core.base.limits import LONGEST_LEADER_M, MOST_PIECES, Key
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.knots import KNOTS
from nine_knots.core.domain.leader.attachments import Attachment
from nine_knots.core.domain.leader.joints import Connection, Dropper
from nine_knots.core.domain.leader.sections import Section, TaperedSection
from nine_knots.core.domain.tackle import Fly

HangsFrom = Literal["line", "ring", "swivel"]


class Leader(Frozen):
    """Pieces from the line's tip to the fly, one joint more than pieces, things along it.

    Joint 0 ties the leader to the line, the last joint ties on the fly. ``school`` names the
    school of taper that it follows, by which it is judged. A lower rig, tied by itself, hangs from
    a ring or a swivel.
    """

    pieces: TupleOf[Section] = Field(min_length=1, max_length=MOST_PIECES)
    joints: TupleOf[Connection] = Field(min_length=2, max_length=MOST_PIECES + 1)
    attachments: TupleOf[Attachment] = Field(default=(), max_length=40)
    school: Key | None = None
    hangs_from: HangsFrom = Field(default="line", description="what its upper end is tied to")

    @model_validator(mode="after")
    def _hangs_together(self) -> "Leader":
        if len(self.joints) != len(self.pieces) + 1:
            raise ValueError(
                f"{len(self.pieces)} pieces need {len(self.pieces) + 1} joints, "
                f"not {len(self.joints)}"
            )
        if self.length_m > LONGEST_LEADER_M:
            raise ValueError(f"the leader is {self.length_m:.1f} m long; 40 m is the most")
        for number, attachment in enumerate(self.attachments):
            if attachment.above_end_m >= self.length_m:
                raise ValueError(f"attachment {number} lies beyond the leader's upper end")
        for once in ("indicator", "grease"):
            if sum(attachment.kind == once for attachment in self.attachments) > 1:
                raise ValueError(f"a leader carries one {once}, not several")
        self._knots_in_place()
        return self

    def _knots_in_place(self) -> None:
        last = len(self.joints) - 1
        for number, joint in enumerate(self.joints):
            if joint.kind in ("ring", "swivel", "fly") and number in (0, last):
                raise ValueError(f"joint {number}: a {joint.kind} joins two pieces of the leader")
            if joint.kind == "snap" and number != last:
                raise ValueError(f"joint {number}: a snap holds the fly at the leader's end")
            if joint.dropper and number in (0, last):
                raise ValueError(f"joint {number}: a dropper leaves between two pieces")
            if joint.kind == "loops":
                if number == last or (joint.upper_knot is None) != (number == 0):
                    raise ValueError(f"joint {number}: loops need a loop knot on each own piece")
            elif joint.kind == "knot":
                wanted = ("line", "eye") if number == 0 else ("between",)
                wanted = ("eye",) if number == last else wanted  # to the line's loop, or the fly
                if KNOTS[joint.knot].place not in wanted:
                    raise ValueError(
                        f"joint {number}: a {KNOTS[joint.knot].title} does not go there"
                    )
            elif joint.upper_knot is None and joint.kind != "snap":
                raise ValueError(f"joint {number}: a {joint.kind} needs a knot on either side")

    def with_joint(self, number: int, joint: Connection) -> "Leader":
        """The leader with one joint tied otherwise."""
        return self.evolve(joints=(*self.joints[:number], joint, *self.joints[number + 1 :]))

    @property
    def length_m(self) -> float:
        """Whole length in metres, from the line's tip to the fly."""
        return sum(piece.length_m for piece in self.pieces)

    @property
    def joints_at_m(self) -> tuple[float, ...]:
        """Place of every joint in metres from the line's tip; the last is the length."""
        return tuple(accumulate((piece.length_m for piece in self.pieces), initial=0.0))

    @property
    def comes_looped(self) -> bool:
        """Whether its upper end is a bought taper's own loop, so that nothing is tied there."""
        first = self.pieces[0]
        uncut = isinstance(first, TaperedSection) and first.cut_butt_m == 0.0
        return uncut and self.joints[0].kind == "loops" and self.hangs_from == "line"

    @property
    def branches(self) -> tuple[tuple[int, Dropper], ...]:
        """Droppers with the joints that they leave at, from the line down."""
        return tuple((i, joint.dropper) for i, joint in enumerate(self.joints) if joint.dropper)

    @property
    def flies_above(self) -> tuple[tuple[int, Fly], ...]:
        """Flies above the point with their joints, on droppers or in line, from the line down."""
        found = []
        for number, joint in enumerate(self.joints):
            fly = joint.dropper.fly if joint.dropper else joint.fly
            if fly is not None:
                found.append((number, fly))
        return tuple(found)

    @property
    def indicator(self) -> Attachment | None:
        """The indicator, where there is one."""
        return next((item for item in self.attachments if item.kind == "indicator"), None)

    @property
    def greased_m(self) -> float:
        """How far from the line's tip it is greased, in metres; nothing where it is not."""
        marks = (item.above_end_m for item in self.attachments if item.kind == "grease")
        return max((self.length_m - above for above in marks), default=0.0)

    @property
    def tippet_diameter_m(self) -> float:
        """Diameter in metres where the fly is tied on."""
        return self.pieces[-1].lower_diameter_m
