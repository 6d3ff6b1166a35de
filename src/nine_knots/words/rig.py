"""What hangs on a leader in figures: things along it, droppers, flies in line, the water line."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Attachment, Leader, shot_name
from nine_knots.core.domain.leader.joints import LONGEST_TAG_M, SHORTEST_TAG_M
from nine_knots.core.domain.tackle.fly import floats_up
from nine_knots.core.techniques import technique_of


@dataclass(frozen=True, slots=True)
class ThingReading:
    """One thing along the line; ``at_m`` from the line's tip, ``above`` up from the point fly."""

    index: int
    kind: Literal["shot", "indicator", "mark", "grease"]
    at_m: float
    title: str
    above: Quantity
    size: str
    metal: str
    across_m: float


@dataclass(frozen=True, slots=True)
class BranchReading:
    """A fly above the point, on a dropper or in line; a dropper with its tag."""

    joint: int
    at_m: float
    form: Literal["dropper", "in line"]
    fly: str
    title: str
    length: Quantity
    shortest_m: float
    longest_m: float
    tag: str
    spool_id: str
    material: str
    diameter: str
    changes_left: int
    tied_from: str
    floats: bool


@dataclass(frozen=True, slots=True)
class HungItem:
    """Something on a leader for a small drawing: from where to where, in m from the line's tip."""

    kind: Literal["shot", "indicator", "mark", "grease", "dropper", "in line"]
    at_m: float
    to_m: float


def items_on(leader: Leader) -> tuple[HungItem, ...]:
    """All that hangs on a leader; a dropper reaches as far as its tag is long."""
    found = []
    for number, _ in leader.flies_above:
        at_m, dropper = leader.joints_at_m[number], leader.joints[number].dropper
        if dropper is None:
            found.append(HungItem("in line", at_m, at_m))
        else:
            found.append(HungItem("dropper", at_m, at_m + dropper.length_m))
    places = [(thing.kind, leader.length_m - thing.above_end_m) for thing in leader.attachments]
    return (*found, *(HungItem(kind, at_m, at_m) for kind, at_m in places))


def things_of(leader: Leader, units: Units) -> tuple[ThingReading, ...]:
    """Everything along the line, as it is numbered."""
    return tuple(
        _thing(index, thing, leader, units) for index, thing in enumerate(leader.attachments)
    )


def _thing(index: int, thing: Attachment, leader: Leader, units: Units) -> ThingReading:
    above = units.length(thing.above_end_m)
    size, title = "", "Sighter mark"
    if thing.kind == "shot":
        name = shot_name(thing.mass_kg)
        grams = f"{1e3 * thing.mass_kg:.3g} g"
        size = f"{name} · {grams}" if name else grams
        title = f"Shot {size}, {thing.metal}"
    elif thing.kind == "indicator" and thing.diameter_m is not None:
        size = f"{1e3 * thing.diameter_m:.0f} mm"
        title = f"Indicator {size}"
    elif thing.kind == "grease":
        title = "Greased down to here"
    return ThingReading(
        index=index,
        kind=thing.kind,
        at_m=leader.length_m - thing.above_end_m,
        title=f"{title}, {above.text} above the point fly",
        above=above,
        size=size,
        metal=thing.metal,
        across_m=thing.diameter_m or (thing.shot_m if thing.kind == "shot" else 0.0),
    )


def branches_of(leader: Leader, units: Units) -> tuple[BranchReading, ...]:
    """Flies above the point, from the line down."""
    found = []
    for number, fly in leader.flies_above:
        joint, at_m = leader.joints[number], leader.joints_at_m[number]
        dropper = joint.dropper
        if dropper is None:
            title = f"{fly.title}, in line, tied from its {joint.tied_from}"
            found.append(
                BranchReading(
                    number, at_m, "in line", fly.title, title, units.length(0.0), 0.0,
                    0.0, "", "", "", "", 0, joint.tied_from or "", floats_up(fly),
                )
            )  # fmt: skip
            continue
        long = units.length(dropper.length_m)
        title = (
            f"{fly.title} on a dropper of {long.text}, the {dropper.tag} tag of joint {number}, "
            f"{dropper.changes_left} fly changes left"
        )
        found.append(
            BranchReading(
                joint=number,
                at_m=at_m,
                form="dropper",
                fly=fly.title,
                title=title,
                length=long,
                shortest_m=SHORTEST_TAG_M,
                longest_m=LONGEST_TAG_M,
                tag=dropper.tag,
                spool_id=dropper.strand.spool_id or "",
                material=dropper.strand.material,
                diameter=units.tippet(dropper.strand.diameter_m).text,
                changes_left=dropper.changes_left,
                tied_from="",
                floats=floats_up(fly),
            )
        )
    return tuple(found)


def water_line_m(design: Design) -> float | None:
    """Where the water's surface is along the leader, in m from the line's tip; None where the
    whole leader lies on it or under it."""
    return technique_of(design).water_line_m(design)
