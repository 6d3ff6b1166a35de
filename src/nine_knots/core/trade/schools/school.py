"""What a school of taper is: a rule that plans pieces, with its reason and its opponents."""

from collections.abc import Callable
from dataclasses import dataclass

from pydantic import Field

from nine_knots.core.base.frozen import Frozen
from nine_knots.core.base.limits import DiameterM, Key, LengthM
from nine_knots.core.base.units import Units
from nine_knots.core.physics.section import diameter_of_bend_stiffness_m
from nine_knots.core.trade.leader import Attachment, Role
from nine_knots.core.trade.materials import MATERIALS, MaterialKey
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.tackle import Fly, LineProfile


class SchoolParameters(Frozen):
    """What the angler may set: length, tippet, and power (+1) against softness (-1)."""

    length_m: LengthM | None = None
    tippet_m: DiameterM | None = None
    power: float = Field(default=0.0, ge=-1.0, le=1.0)


class Span(Frozen):
    """The lengths in metres that a school ties for a situation, and the usual one."""

    low_m: float
    usual_m: float
    high_m: float


@dataclass(frozen=True)
class Brief:
    """A school's task with nothing left open: situation, line tip, length, tippet, butt."""

    situation: Situation
    line: LineProfile
    length_m: float
    tippet_m: float
    butt_bend_nm2: float
    flies: tuple[Fly, ...] = ()

    def butt_m(self, material: MaterialKey = "nylon-stiff", share: float = 1.0) -> float:
        """Diameter in metres of a butt of this material with a share of the matched stiffness."""
        return matched_butt_m(self.butt_bend_nm2 * share, material)


class PlannedPiece(Frozen):
    """A piece as the rule wants it, before any spool is chosen.

    ``bend_nm2`` is given where bending matters more than diameter (a butt). ``prefer`` lists
    materials, best first.
    """

    role: Role
    length_m: LengthM
    diameter_m: DiameterM
    bend_nm2: float | None = None
    prefer: tuple[MaterialKey, ...]


class PlannedFly(Frozen):
    """A fly above the point at a joint: on a tag of ``length_m``, or in line where that is None."""

    joint: int
    fly: Fly
    length_m: LengthM | None = None


class Plan(Frozen):
    """What a school wants: pieces from the line down, or one knotless taper and a tippet.

    Joints are numbered from the line; ``rings`` and ``swivels`` lie between pieces.
    """

    pieces: tuple[PlannedPiece, ...]
    knotless: bool = False
    rings: tuple[int, ...] = ()
    swivels: tuple[int, ...] = ()
    flies: tuple[PlannedFly, ...] = ()
    things: tuple[Attachment, ...] = ()


class Disagreement(Frozen):
    """Another school's objection."""

    school: Key
    says: str


@dataclass(frozen=True)
class School:
    """One school of taper: its rule in two sentences, its use, who disagrees, how it plans.

    ``place`` is where it stands among the others. ``line_leads`` where a fly line casts it, else
    its fly pulls it out; ``reserve`` is the reserve in the cast that it is built
    for, where the wish does not say.
    """

    place: int
    key: str
    title: str
    rule: str
    used_for: str
    disagrees: Disagreement
    span: Callable[[Situation], Span]
    plan: Callable[[Brief], Plan]
    tippet_m: Callable[[Situation], float] | None = None
    line_leads: bool = True
    says: Callable[[Brief, Units], list[str]] | None = None
    reserve: tuple[float, float] | None = None


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
