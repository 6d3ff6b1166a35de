"""The companion at the table: one step a screen, all cut first or spool by spool."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.base.units import Units
from nine_knots.core.domain.builder import USUAL_BUILDER, Builder
from nine_knots.core.domain.knots import HEAVY_M, KNOTS, KnotKey
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.strength.elements import hold_of
from nine_knots.words.tying.cutting import CutRow
from nine_knots.words.tying.steps import (
    doubled_words,
    hang_steps,
    join_step,
    tag_words,
    work_order,
)

TUG_SHARE = 1.0 / 3.0  # of what a joint should hold: seats it without harm [G]
TUBE_FIRST = (
    "Slide it on before the knot; afterwards it can't go on. The hook is tied on behind it."
)
Kind = Literal["cut", "straighten", "tie", "draw", "check", "hang", "measure"]
Order = Literal["cut first", "spool by spool"]


@dataclass(frozen=True, slots=True)
class Screen:
    """One step as the companion shows it: what to do, how, and the knot to draw beside it."""

    kind: Kind
    title: str
    detail: str
    caution: str
    knot: KnotKey | None
    joint: int | None
    piece: int | None


def screens(
    leader: Leader,
    fly: Fly,
    titles: dict[str, str],
    units: Units,
    tyer: Builder = USUAL_BUILDER,
    order: Order = "cut first",
) -> tuple[Screen, ...]:
    """The whole work, one step a screen.

    All pieces cut, straightened, and then joined; or, spool by spool, each cut and straightened
    where it is joined, the upper end tied first, and each knot drawn up and checked on one screen.
    """
    work = work_order(leader, fly, titles, units, tyer)
    cuts = []
    for row, step in zip(work.rows, work.steps, strict=False):
        spans = f" By arm: {row.spans}." if row.spans else ""
        cuts.append(_screen("cut", step.title, f"{step.detail}{spans}", piece=row.piece))
    straight = next(step for step in work.steps if step.kind == "straighten")
    if order == "cut first":
        shown = [*cuts, _screen("straighten", straight.title, straight.detail)]
        joints = (*range(1, len(leader.pieces)), 0, len(leader.pieces))
    else:
        shown, joints = [], tuple(range(len(leader.pieces) + 1))
    for joint in joints:
        if order == "spool by spool" and joint < len(leader.pieces):
            cut = cuts[joint]
            wire = leader.pieces[joint].strand.substance.family == "wire"
            how = "" if wire else " Straighten it through the fingers."
            shown.append(_screen("cut", cut.title, f"{cut.detail}{how}", piece=joint))
        tied = _joint_screens(leader, joint, fly, units, tyer.knots)
        shown += tied if order == "cut first" else _drawn_and_checked(tied)
        shown += _dropper_screens(leader, joint, units)
        if leader.joints[joint].kind == "snap":
            does = f"Hang {fly.title} in it, and check that it clicks shut."
            shown.append(_screen("tie", "Hang the fly in the snap", does, "Mind the hook's point."))
    for step in hang_steps(leader, units):
        lead = "lead" in step.detail
        caution = "Lead shot is banned on some waters: ask the local authority." if lead else ""
        shown.append(_screen("hang", step.title, step.detail, caution))
    return (*shown, *_measured(work.rows))


def _drawn_and_checked(tied: list[Screen]) -> list[Screen]:
    """The last two screens of a joint as one: nothing is lost by it."""
    *before, draw, check = tied
    both = f"{draw.title}; {check.title[0].lower()}{check.title[1:]}"
    detail = f"{draw.detail} {check.detail}"
    return [*before, _screen("check", both, detail, check.caution, check.knot, check.joint)]


def _measured(rows: tuple[CutRow, ...]) -> list[Screen]:
    return [
        _screen(
            "measure",
            f"Piece {row.piece + 1}: how long did it come out?",
            f"Between its knots it was planned at {row.wanted.text}. The true length goes "
            "into the design and shows how much line your knots use.",
            piece=row.piece,
        )
        for row in rows
    ]


def _screen(
    kind: Kind,
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
    detail = f"{tag_words(leader.joints[joint], units)} Trim the other tag close. {knot.note}"
    return [_screen("tie", title, detail, "Mind the hook's point.", dropper.knot, joint)]


def _trim_words(tied: Connection) -> str:
    """What becomes of the tags: trimmed, but for the one that carries a fly."""
    if not KNOTS[tied.knot].mono:
        return "Bend a handle and rock it until the end breaks off flush."
    if tied.dropper is not None:
        return f"Trim one tag; the {tied.dropper.tag} one is left for the {tied.dropper.fly.title}."
    return "Trim close; never scorch a tag near the knot."


def _joint_screens(
    leader: Leader, joint: int, fly: Fly, units: Units, own: tuple[PulledKnot, ...]
) -> list[Screen]:
    step = join_step(leader, joint, fly, units)
    tied = leader.joints[joint]
    near = leader.pieces[max(0, joint - 1) : joint + 1]
    thick_m = max(max(piece.upper_diameter_m, piece.lower_diameter_m) for piece in near)
    wire = any(piece.strand.substance.family == "wire" for piece in near)
    caution = ""
    if wire:
        caution = "Wire ends cut: pliers, and eyes away."
    elif thick_m >= HEAVY_M:
        caution = "Heavy mono: use gloves or pliers, never bare hands or teeth."
    elif joint == len(leader.pieces):
        caution = "Mind the hook's point."
    holds_n = min(
        e.mean_n for e in hold_of(leader, own=own).elements if (e.what, e.index) == ("joint", joint)
    )
    tug = units.load(TUG_SHARE * holds_n).text
    knot = KNOTS[tied.knot]
    first = []
    if joint == len(leader.pieces) and fly.tube:
        first = [_screen("tie", "Slide the tube on, in at its head", TUBE_FIRST, caution)]
    if tied.doubled is not None:
        first = [_screen("tie", "Double the end", doubled_words(tied), caution, "bimini", joint)]
    if tied.is_ring and tied.upper_knot is not None:
        upper = KNOTS[tied.upper_knot]  # its two knots are two things to do
        title = f"Piece {joint} to the {tied.kind}: {upper.title}"
        first = [_screen("tie", title, upper.note, caution, tied.upper_knot, joint)]
    seat = (
        "Draw the loops together until they seat square, never girth-hitched. "
        if tied.kind == "loops"
        else ""
    )
    drawn = "Dip in water, and draw up" if knot.mono else "Draw up"
    draw = "Dip it in water. Pull smoothly, without a jerk, until the coils lie close and even."
    if not knot.mono:
        draw = "Eight X-wraps, both wires crossing alike, then tight turns square to the wire. Dry."
    return [
        *first,
        _screen("tie", step.title, knot.note, caution, tied.knot, joint),
        _screen("draw", drawn, f"{seat}{draw}", caution, tied.knot, joint),
        _screen(
            "check",
            f"Check, tug to {tug}, {'break the tag off' if knot.key == 'haywire' else 'trim'}",
            f"{knot.tags} A third of its strength seats it without harm. " + _trim_words(tied),
            caution,
            tied.knot,
            joint,
        ),
    ]
