"""The order of work: a short list for paper, and one step a screen for the hands."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.base.units import Units
from nine_knots.core.models.hold.elements import hold_of
from nine_knots.core.tell.tying.cutting import CutRow, cut_row, knot_turns
from nine_knots.core.trade.knots import HEAVY_M, KNOTS, Knot, KnotKey
from nine_knots.core.trade.knots.own import OwnKnot
from nine_knots.core.trade.leader import Joint, Leader, shot_name
from nine_knots.core.trade.tackle import Fly
from nine_knots.core.trade.tyer import USUAL_TYER, Tyer

TUG_SHARE = 1.0 / 3.0  # of what a joint should hold: seats it without harm [G]


@dataclass(frozen=True, slots=True)
class Step:
    """One line of the printed order; ``kind`` lets a page choose its mark."""

    kind: str
    title: str
    detail: str


@dataclass(frozen=True, slots=True)
class WorkOrder:
    """The cut list and the order of work for one leader."""

    rows: tuple[CutRow, ...]
    steps: tuple[Step, ...]
    cautions: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Screen:
    """One step as the companion shows it: what to do, how, and the knot to draw beside it."""

    kind: Literal["cut", "straighten", "tie", "draw", "check", "hang", "measure"]
    title: str
    detail: str
    caution: str
    knot: KnotKey | None
    joint: int | None
    piece: int | None


def _turns_text(knot: Knot, leader: Leader, joint: int) -> str:
    above, below = knot_turns(knot, leader, joint)
    if knot.place == "between" and knot.key != "albright" and above != below:
        return f"{above} turns above, {below} below"
    if knot.key in ("double-surgeons", "triple-surgeons", "surgeons-loop"):
        return f"{above} times through"
    return f"{above} turns" if above > 1 else ""


def joint_title(leader: Leader, joint: int) -> str:
    """A joint in words: ``blood knot, 5 turns above, 6 below``."""
    tied = leader.joints[joint]
    knot = KNOTS[tied.knot]
    count = _turns_text(knot, leader, joint)
    said = f"{knot.title}, {count}" if count else knot.title
    if tied.kind == "loops":
        return f"loop to loop, {said}"
    if tied.kind in ("ring", "swivel") and tied.upper_knot is not None:
        upper = KNOTS[tied.upper_knot].title
        return f"{tied.kind}: {upper} above, {said} below"
    if tied.fly is not None and tied.upper_knot is not None:
        upper = KNOTS[tied.upper_knot].title
        return f"{tied.fly.title} in line: {upper} to its eye, {said} to its {tied.tied_from}"
    return said


def _join_step(leader: Leader, joint: int, fly: Fly, units: Units) -> Step:
    tied: Joint = leader.joints[joint]
    title = joint_title(leader, joint)
    note = KNOTS[tied.knot].note
    if joint == 0 and tied.kind == "loops":
        lead = "Tie a loop in the butt's upper end; it goes through the line's loop, seated square."
        return Step(kind="loop", title=f"Upper end: {title}", detail=f"{lead} {note}")
    if joint == 0:
        return Step(kind="line", title=f"Upper end: {title}", detail=f"At the line's tip. {note}")
    if joint == len(leader.pieces):
        return Step(kind="fly", title=f"Fly: {title}", detail=f"Tie on {fly.title}. {note}")
    where = f"Piece {joint} to piece {joint + 1}"
    wet = "Wet it, draw up smoothly, seat it fully, tug, trim."
    if tied.dropper is not None:
        wet = f"{_tag_words(tied, units)} {wet}"
        title += f"; {tied.dropper.tag} tag long for the {tied.dropper.fly.title}"
    return Step(kind="join", title=f"{where}: {title}", detail=f"{wet} {note}")


def _tag_words(tied: Joint, units: Units) -> str:
    """What is left long for a dropper."""
    dropper = tied.dropper
    assert dropper is not None
    long = units.length(dropper.length_m).text
    knot = KNOTS[dropper.knot].title
    return (
        f"Leave the {dropper.tag} tag long: {long} when the {dropper.fly.title} is on it, by "
        f"{knot}."
    )


def _hang_steps(leader: Leader, units: Units) -> list[Step]:
    """Shot, indicator, marks and grease, from the point fly up."""
    steps = []
    for thing in sorted(leader.attachments, key=lambda one: one.above_end_m):
        place = f"{units.length(thing.above_end_m).text} above the point fly"
        if thing.kind == "shot":
            name = shot_name(thing.mass_kg)
            size = (
                f"{name}, {1e3 * thing.mass_kg:.2g} g" if name else f"{1e3 * thing.mass_kg:.2g} g"
            )
            title, detail = f"Pinch on shot {size}", f"Of {thing.metal}, {place}."
        elif thing.kind == "indicator" and thing.diameter_m is not None:
            title = f"Put on the indicator, {1e3 * thing.diameter_m:.0f} mm"
            detail = f"Set {place}."
        elif thing.kind == "mark":
            title, detail = "Mark the sighter", f"Its lower end {place}."
        else:
            title, detail = "Grease the leader", f"From the line down to {place}, no further."
        steps.append(Step(kind="hang", title=title, detail=detail))
    return steps


def cautions_for(leader: Leader) -> tuple[str, ...]:
    """The usual cautions that apply to the materials of this leader."""
    said = ["Eye protection when tying and casting; mind the hook's point and the cutters."]
    families = {piece.strand.substance.family for piece in leader.pieces}
    if any(
        piece.upper_diameter_m >= HEAVY_M and piece.strand.substance.family != "wire"
        for piece in leader.pieces
    ):
        said.append("Draw heavy knots with gloves or pliers, never bare hands or teeth.")
        said.append("Heavy material that breaks under load recoils: keep your face out of line.")
    if "wire" in families:
        said.append("Wire ends cut: bend tags off short and handle with pliers.")
    return tuple(said)


def work_order(
    leader: Leader, fly: Fly, titles: dict[str, str], units: Units, tyer: Tyer = USUAL_TYER
) -> WorkOrder:
    """The cut list and steps, line end first; ``titles`` names spools by their id."""
    rows = tuple(cut_row(leader, i, titles, units, tyer) for i in range(len(leader.pieces)))
    cuts = [
        Step(
            kind="cut",
            title=f"Cut {row.cut.text} of {row.diameter}",
            detail=f"Piece {row.piece + 1}, {row.role}, from {row.stock}. {row.note}".strip(),
        )
        for row in rows
    ]
    straighten = Step(
        kind="straighten",
        title="Straighten every piece",
        detail="Draw each through the fingers until it warms and hangs without curls.",
    )
    joins = [_join_step(leader, joint, fly, units) for joint in range(1, len(leader.pieces))]
    ends = [_join_step(leader, 0, fly, units)]
    whole = units.length(leader.length_m).text
    measure = Step(
        kind="check",
        title=f"Measure: {whole} from loop to fly",
        detail="Tags leave on opposite sides, loops seat square; pull the whole leader straight.",
    )
    last = _join_step(leader, len(leader.pieces), fly, units)
    return WorkOrder(
        rows=rows,
        steps=(*cuts, straighten, *joins, *ends, last, *_hang_steps(leader, units), measure),
        cautions=cautions_for(leader),
    )


def screens(
    leader: Leader, fly: Fly, titles: dict[str, str], units: Units, tyer: Tyer = USUAL_TYER
) -> tuple[Screen, ...]:
    """The whole work, one step a screen: cut, straighten, each joint in turn, measure."""
    order = work_order(leader, fly, titles, units, tyer)
    cuts = []
    for row, step in zip(order.rows, order.steps, strict=False):
        spans = f" By arm: {row.spans}." if row.spans else ""
        cuts.append(_screen("cut", step.title, f"{step.detail}{spans}", piece=row.piece))
    straight = next(step for step in order.steps if step.kind == "straighten")
    shown = [*cuts, _screen("straighten", straight.title, straight.detail)]
    for joint in (*range(1, len(leader.pieces)), 0, len(leader.pieces)):
        shown += _joint_screens(leader, joint, fly, units, tyer.knots)
        shown += _dropper_screens(leader, joint, units)
    for step in _hang_steps(leader, units):
        caution = (
            "Lead shot is banned on some waters: ask the local authority."
            if ("lead" in step.detail)
            else ""
        )
        shown.append(_screen("hang", step.title, step.detail, caution))
    shown += [
        _screen(
            "measure",
            f"Piece {row.piece + 1}: what did it come out at?",
            f"Between its knots it was to be {row.wanted.text}. The true length goes back to the "
            "design, and teaches how much line your knots take.",
            piece=row.piece,
        )
        for row in order.rows
    ]
    return tuple(shown)


def _screen(
    kind: Literal["cut", "straighten", "tie", "draw", "check", "hang", "measure"],
    title: str,
    detail: str,
    caution: str = "",
    knot: KnotKey | None = None,
    joint: int | None = None,
    piece: int | None = None,
) -> Screen:
    return Screen(kind, title, detail, caution, knot, joint, piece)


def _dropper_screens(leader: Leader, joint: int, units: Units) -> list[Screen]:
    dropper = leader.joints[joint].dropper
    if dropper is None:
        return []
    knot = KNOTS[dropper.knot]
    title = f"Dropper: tie on {dropper.fly.title}, {knot.title}"
    detail = f"{_tag_words(leader.joints[joint], units)} Trim the other tag close. {knot.note}"
    return [_screen("tie", title, detail, "Mind the hook's point.", dropper.knot, joint)]


def _joint_screens(
    leader: Leader, joint: int, fly: Fly, units: Units, own: tuple[OwnKnot, ...]
) -> list[Screen]:
    step = _join_step(leader, joint, fly, units)
    tied = leader.joints[joint]
    near = leader.pieces[max(0, joint - 1) : joint + 1]
    thick_m = max(max(piece.upper_diameter_m, piece.lower_diameter_m) for piece in near)
    wire = any(piece.strand.substance.family == "wire" for piece in near)
    caution = ""
    if wire:
        caution = "Wire ends cut: pliers, and eyes away."
    elif thick_m >= HEAVY_M:
        caution = "Heavy stuff: gloves or pliers, never bare hands or teeth."
    elif joint == len(leader.pieces):
        caution = "Mind the hook's point."
    holds_n = min(
        e.mean_n for e in hold_of(leader, own=own).elements if (e.what, e.index) == ("joint", joint)
    )
    tug = units.load(TUG_SHARE * holds_n).text
    knot = KNOTS[tied.knot]
    seat = (
        "Draw the loops together until they seat square, never girth-hitched over one another. "
        if tied.kind == "loops"
        else ""
    )
    draw = (
        "Draw the wraps tight with pliers, each beside the last."
        if knot.key == "haywire"
        else "Wet it. Pull smoothly, without a jerk, until the coils lie close and even."
    )
    return [
        _screen("tie", step.title, knot.note, caution, tied.knot, joint),
        _screen("draw", "Wet, and draw up", f"{seat}{draw}", caution, tied.knot, joint),
        _screen(
            "check",
            f"Check, tug to {tug}, trim",
            f"{knot.tags} A third of what it should hold seats it without harm. Trim close; never "
            "scorch a tag near the knot.",
            caution,
            tied.knot,
            joint,
        ),
    ]
