"""What a school of taper is: a rule that plans pieces, with its reason and its opponents."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, Literal

from pydantic import Field

from nine_knots.core.base.limits import DiameterM, Key, LengthM, StrengthN
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.leader import Attachment, Role
from nine_knots.core.domain.materials import MATERIALS, MaterialKey
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle import Fly, LineProfile
from nine_knots.core.mechanics.section import diameter_of_bend_stiffness_m
from nine_knots.core.schools.suitability import Suits


class SchoolParameters(Frozen):
    """What the angler may set: length, tippet by thickness or by label, power (+1) against
    softness (-1), and whether a bought taper may be cut."""

    length_m: LengthM | None = None
    tippet_m: DiameterM | None = None
    tippet_n: StrengthN | None = None
    power: float = Field(default=0.0, ge=-1.0, le=1.0)
    whole: bool = Field(default=False, description="use bought tapers whole, cut nothing off")


class Span(Frozen):
    """The lengths in metres that a school ties for a situation, and the usual one."""

    low_m: float
    usual_m: float
    high_m: float


@dataclass(frozen=True)
class SchoolBrief:
    """A school's task with nothing left open: situation, line tip, length, tippet, butt.

    ``tippet_n`` is the tippet's label, for schools that go by strength; ``asked_m`` the length
    that the angler asked for, if he did.
    """

    situation: Situation
    line: LineProfile
    length_m: float
    tippet_m: float
    butt_bend_nm2: float
    tippet_n: float = 50.0
    asked_m: float | None = None
    flies: tuple[Fly, ...] = ()

    def butt_m(self, material: MaterialKey = "nylon-stiff", share: float = 1.0) -> float:
        """Diameter in metres of a butt of this material with a share of the matched stiffness."""
        return matched_butt_m(self.butt_bend_nm2 * share, material)


class PlannedSection(Frozen):
    """A piece as the rule wants it, before any spool is chosen.

    ``bend_nm2`` is given where bending matters more than diameter (a butt), ``strength_n`` where
    the label does; ``floor`` says that it may be more and not less. ``prefer`` lists materials,
    best first; ``bound`` says that no other will do. A ``base`` is mono that is cast as a line: of
    a spool kept for it, and no tippet.
    """

    role: Role
    length_m: LengthM
    diameter_m: DiameterM
    bend_nm2: float | None = None
    strength_n: StrengthN | None = None
    floor: bool = False
    bound: bool = False
    base: bool = False
    prefer: tuple[MaterialKey, ...]


class PlannedFly(Frozen):
    """A fly above the point at a joint: on a tag of ``length_m``, or in line where that is None."""

    joint: int
    fly: Fly
    length_m: LengthM | None = None


class PlannedTaper(Frozen):
    """A bought taper as the rule wants it: length, butt, tip, and how it is shortened.

    ``most_m`` is as much of it as is used; ``parted`` where a ring or swivel ends it, so that its
    tip need not fit what follows; ``whole`` where nothing may be cut off.
    """

    length_m: LengthM
    butt_m: DiameterM
    tip_m: DiameterM
    most_m: LengthM | None = None
    cut: Literal["butt", "tip"] = "tip"
    parted: bool = False
    whole: bool = False


class Plan(Frozen):
    """What a school wants: pieces from the line down, below a bought taper where it has one.

    Joints are numbered from the line, the taper being the first piece; ``rings`` and ``swivels``
    lie between pieces; at ``doubled`` the weaker end is doubled by a bimini. Of
    what runs through the guides, all is knotted that is not ringed by design.
    """

    pieces: tuple[PlannedSection, ...]
    taper: PlannedTaper | None = None
    rings: tuple[int, ...] = ()
    swivels: tuple[int, ...] = ()
    doubled: tuple[int, ...] = ()
    flies: tuple[PlannedFly, ...] = ()
    things: tuple[Attachment, ...] = ()
    through_guides: bool = False

    @property
    def weight_leads(self) -> bool:
        """Whether nymphs, shot or the mono's own fly lead what is below its rings, by what hangs on
        it; not the line's loop."""
        shot = any(thing.kind == "shot" for thing in self.things)
        sighted = any(piece.role == "sighter" for piece in self.pieces)
        return shot or sighted or self.through_guides or bool(self.flies)

    @property
    def above(self) -> int:
        """How many pieces of the leader lie above the planned ones: the bought taper, or none."""
        return 1 if self.taper is not None else 0

    def with_taper_whole(self) -> "Plan":
        """The same with nothing cut off its bought taper."""
        if self.taper is None:
            return self
        return self.model_copy(update={"taper": self.taper.model_copy(update={"whole": True})})

    def renumbered(self, moved: Callable[[int], int | None], **changed: Any) -> "Plan":
        """The plan with its joints renumbered (None: gone), and with what else changed."""

        def of(joints: tuple[int, ...]) -> tuple[int, ...]:
            return tuple(new for new in map(moved, joints) if new is not None)

        flies = tuple(fly.model_copy(update={"joint": moved(fly.joint)}) for fly in self.flies)
        joints = {name: of(getattr(self, name)) for name in ("rings", "swivels", "doubled")}
        return self.model_copy(update={**joints, "flies": flies, **changed})


class SchoolNote(Frozen):
    """What a school says of a leader that it builds; ``{length}`` in it is ``length_m``."""

    text: str
    length_m: float | None = None


class Disagreement(Frozen):
    """Another school's objection."""

    school: Key
    says: str


@dataclass(frozen=True)
class School:
    """One school of taper: its rule in two sentences, its use, who disagrees, how it plans.

    ``place`` is where it stands among the others; ``suits`` says why a day is not for it.
    ``line_leads`` where a fly line casts it, else its fly pulls it out; ``margin`` is that in
    the cast that it is built for, where the wish does not say. ``bought`` plans it from a bought
    taper, given what ``plan`` makes of it. ``labels`` gives the lightest and heaviest tippet, in N,
    where it goes by strength. ``usual`` says on which of the days that suit it most anglers would
    tie it. ``line_steps`` are how many times as stiff as the line's tip its
    butts may be, where it chooses them otherwise.
    """

    place: int
    key: str
    title: str
    rule: str
    used_for: str
    disagrees: Disagreement
    suits: Suits
    span: Callable[[Situation], Span]
    plan: Callable[[SchoolBrief], Plan]
    tippet_m: Callable[[Situation], float] | None = None
    line_leads: bool = True
    notes: Callable[[SchoolBrief], tuple["SchoolNote", ...]] | None = None
    margin: tuple[float, float] | None = None
    bought: Callable[[SchoolBrief, Plan], tuple[Plan, ...]] | None = None
    labels: Callable[[Situation], tuple[float, float]] | None = None
    line_steps: tuple[float, float] | None = None
    usual: Callable[[Situation], bool] = lambda _situation: True


STIFF: tuple[MaterialKey, ...] = ("nylon-stiff", "nylon-medium")
MIDDLE: tuple[MaterialKey, ...] = ("nylon-medium", "nylon-stiff", "nylon-soft", "copolymer")
SOFT: tuple[MaterialKey, ...] = ("nylon-soft", "copolymer", "nylon-medium", "fluorocarbon")
SUNK: tuple[MaterialKey, ...] = ("fluorocarbon", "copolymer", "nylon-soft", "nylon-medium")


def tippet_materials(situation: Situation) -> tuple[MaterialKey, ...]:
    """Soft nylon for what floats, fluorocarbon for what sinks [P]."""
    return SOFT if situation.floats else SUNK


def matched_butt_m(bend_nm2: float, material: MaterialKey) -> float:
    """Diameter in metres of a butt of a material that has this bending stiffness."""
    return diameter_of_bend_stiffness_m(bend_nm2, MATERIALS[material].wet_modulus_pa)


def stepped(first_m: float, last_m: float, count: int) -> list[float]:
    """``count`` diameters in metres from first to last, each the same share of the one before."""
    if count == 1:
        return [last_m]
    ratio = (last_m / first_m) ** (1.0 / (count - 1))
    return [first_m * ratio**i for i in range(count)]
