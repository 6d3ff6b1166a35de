"""Applying changes to what hangs on a leader: things along the line, droppers, flies in line."""

from collections.abc import Callable
from typing import Any

from nine_knots.core.base.errors import EditRefused, Refused
from nine_knots.core.base.units import parse_bead, parse_length, parse_mass
from nine_knots.core.domain.leader.attachments import (
    FLOATS_M,
    SHOT_ALSO,
    SHOT_G,
    Attachment,
    AttachmentKind,
)
from nine_knots.core.domain.leader.connections import (
    dropper_of,
    eye_knot,
    joint_between,
    with_a_tag,
)
from nine_knots.core.domain.leader.joints import (
    SHORTEST_TAG_M,
    USED_BY_A_CHANGE_M,
    Connection,
    Dropper,
)
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.leader.rig_edits import (
    ChangeFly,
    HangOn,
    MoveThing,
    NudgeDropper,
    NudgeThing,
    RemoveDropper,
    RemoveFlyInLine,
    SetDropper,
    SetFlyInLine,
    SetThing,
    StepThing,
    TakeOff,
)
from nine_knots.core.domain.leader.sections import LevelSection
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.strand import Spool

USUAL_TAG_M = 0.3  # 10 to 14 in [P]
SHOT_ABOVE_M = {"streamer": 0.13, "predator": 0.13}  # 4 to 6 in; a nymph has 12 to 18 [P]
SHOT_ABOVE_NYMPH_M = 0.38
USUAL_SHOT_KG, USUAL_FLOAT_M = 1e-3 * SHOT_G["BB"], 0.016
SIGHTER_SHARE, FLOAT_SHARE, GREASE_ABOVE_M = 0.45, 0.6, 0.9  # of the leader; off the fly [P]


def with_things(leader: Leader, things: list[Attachment]) -> Leader:
    """The leader with other things along it."""
    return leader.evolve(attachments=tuple(things))


def _usual_place_m(leader: Leader, kind: AttachmentKind, bench: Workbench) -> float:
    """Where it usually goes: shot above the last joint, an indicator well up the leader."""
    if kind == "shot":
        usual = SHOT_ABOVE_M.get(bench.fly.kind, SHOT_ABOVE_NYMPH_M)
        taken = [t.above_end_m for t in leader.attachments if t.kind == "shot"]
        usual = max([usual, *(place + 0.03 for place in taken)])
    elif kind == "indicator":
        usual = FLOAT_SHARE * leader.length_m
    else:
        usual = GREASE_ABOVE_M if kind == "grease" else SIGHTER_SHARE * leader.length_m
    return bench.units.snap_length(min(usual, 0.9 * leader.length_m))


def _hang_on(leader: Leader, edit: HangOn, bench: Workbench) -> Leader:
    above = _usual_place_m(leader, edit.kind, bench)
    if edit.above is not None:
        above = bench.length_m(edit.above)
    thing = Attachment(
        kind=edit.kind,
        above_end_m=above,
        mass_kg=USUAL_SHOT_KG if edit.kind == "shot" else 0.0,
        diameter_m=USUAL_FLOAT_M if edit.kind == "indicator" else None,
    )
    return with_things(leader, [*leader.attachments, thing])


def _with_thing(leader: Leader, number: int, **changes: Any) -> Leader:
    things = list(leader.attachments)
    things[number] = things[number].evolve(**changes)
    return with_things(leader, things)


def _move_thing(leader: Leader, edit: MoveThing, bench: Workbench) -> Leader:
    step = bench.units.length_step_m
    place = bench.units.snap_length(min(max(edit.above_m, step), leader.length_m - step))
    return _with_thing(leader, edit.thing, above_end_m=place)


def _nudge_thing(leader: Leader, edit: NudgeThing, bench: Workbench) -> Leader:
    above = leader.attachments[edit.thing].above_end_m + edit.steps * bench.units.length_step_m
    return _move_thing(leader, MoveThing(thing=edit.thing, above_m=above), bench)


def shot_kg(text: str) -> float:
    """A shot's mass in kg from its name (BB, no. 4) or its weight (0.4 g); Unreadable else."""
    text = SHOT_ALSO.get(text.strip().upper(), text)
    plain = text.lower().replace(".", "").replace(" ", "").removeprefix("no")
    for name, grams in SHOT_G.items():
        if plain == name.lower().replace(".", "").replace(" ", "").removeprefix("no"):
            return 1e-3 * grams
    try:
        return parse_mass(text, bare="g")
    except Refused as error:
        error.hint = f"Write a size ({', '.join(SHOT_G)}) or a weight such as 0.4 g."
        raise


def _set_thing(leader: Leader, edit: SetThing, bench: Workbench) -> Leader:
    thing = leader.attachments[edit.thing]
    changes: dict[str, Any] = {}
    if edit.above is not None:
        changes["above_end_m"] = bench.length_m(edit.above)
    if edit.size is not None and thing.kind == "shot":
        changes["mass_kg"] = shot_kg(edit.size)
    elif edit.size is not None and thing.kind == "indicator":
        changes["diameter_m"] = _float_m(edit.size)
    if edit.metal is not None:
        changes["metal"] = edit.metal
    return _with_thing(leader, edit.thing, **changes)


def _float_m(text: str) -> float:
    """An indicator's diameter in metres; sizes beyond a bead's are read as lengths."""
    try:
        return parse_bead(text)
    except Refused:
        bare = text.strip()
        return parse_length(f"{bare} mm" if bare.replace(".", "").isdigit() else bare)


def _step_thing(leader: Leader, edit: StepThing, bench: Workbench) -> Leader:  # noqa: ARG001
    thing = leader.attachments[edit.thing]
    if thing.kind == "shot":
        sizes, now, field = sorted(1e-3 * g for g in SHOT_G.values()), thing.mass_kg, "mass_kg"
    elif thing.kind == "indicator":
        sizes, now, field = list(FLOATS_M), thing.diameter_m or 0.0, "diameter_m"
    else:
        raise EditRefused("A mark has no size.", where="edit.thing", hint="Move it instead.")
    onward = [size for size in sizes if (size - now) * edit.by > 0.01 * now]
    if not onward:
        which = "bigger" if edit.by > 0 else "smaller"
        raise EditRefused(
            f"There is no {which} size.", where="edit.thing", hint="Enter the one you have."
        )
    return _with_thing(leader, edit.thing, **{field: min(onward, key=lambda s: abs(s - now))})


def _take_off(leader: Leader, edit: TakeOff, bench: Workbench) -> Leader:  # noqa: ARG001
    things = list(leader.attachments)
    del things[edit.thing]
    return with_things(leader, things)


def _inner(leader: Leader, joint: int) -> None:
    if not 0 < joint < len(leader.pieces):
        raise EditRefused(
            "A fly hangs between two pieces of the leader.",
            where="edit.joint",
            hint="Split the piece first, then choose the joint.",
        )


def set_dropper(leader: Leader, edit: SetDropper, bench: Workbench) -> Leader:
    """Tie a fly on a tag at a joint, or change the tag or the fly that is there."""
    _inner(leader, edit.joint)
    joint, below = leader.joints[edit.joint], leader.pieces[edit.joint]
    above = leader.pieces[edit.joint - 1]
    old = joint.dropper
    fly = edit.fly or (old.fly if old else bench.fly)
    tag = edit.tag or (old.tag if old else "upper")
    strand = old.strand if old else None
    if edit.spool_id is not None:
        item = bench.find(edit.spool_id)
        if not isinstance(item, Spool):
            raise EditRefused(
                "A dropper is made of level material.",
                where="edit.spool_id",
                hint="Choose a spool.",
            )
        strand = item.strand
    elif strand is None or (edit.tag is not None and edit.tag != (old.tag if old else None)):
        # the tag is the end of the piece that it belongs to
        own = above if tag == "upper" else below
        if not isinstance(own, LevelSection):
            own = below if isinstance(below, LevelSection) else above
        strand = own.strand if isinstance(own, LevelSection) else bench.nearest(2e-4).strand
    length = old.length_m if old else bench.units.snap_length(USUAL_TAG_M)
    if edit.length is not None:
        length = bench.length_m(edit.length)
    dropper = dropper_of(strand, length, fly, tag)
    if joint.kind == "fly" or (joint.kind == "knot" and not joint.leaves_a_tag):
        joint = with_a_tag(joint_between(above, below))
    return leader.with_joint(edit.joint, joint.evolve(dropper=dropper))


def _dropper(leader: Leader, joint: int) -> Dropper:
    found = leader.joints[joint].dropper
    if found is None:
        raise EditRefused("There is no dropper here.", where="edit.joint", hint="Tie one first.")
    return found


def _nudge_dropper(leader: Leader, edit: NudgeDropper, bench: Workbench) -> Leader:
    old = _dropper(leader, edit.joint)
    step_m = 2.0 * bench.units.length_step_m
    length = bench.units.snap_length(max(step_m, old.length_m + edit.steps * step_m))
    return set_dropper(leader, SetDropper(joint=edit.joint, length=length), bench)


def _change_fly(leader: Leader, edit: ChangeFly, bench: Workbench) -> Leader:  # noqa: ARG001
    old = _dropper(leader, edit.joint)
    left = old.length_m - USED_BY_A_CHANGE_M
    if left < SHORTEST_TAG_M:
        raise EditRefused(
            "The tag is too short for another knot.",
            where="edit.joint",
            hint="Retie the joint with a longer tag, or set the dropper's length.",
        )
    new = old.evolve(length_m=left)
    return leader.with_joint(edit.joint, leader.joints[edit.joint].evolve(dropper=new))


def _remove_dropper(leader: Leader, edit: RemoveDropper, bench: Workbench) -> Leader:  # noqa: ARG001
    _dropper(leader, edit.joint)
    return leader.with_joint(edit.joint, leader.joints[edit.joint].evolve(dropper=None))


def _set_fly_in_line(leader: Leader, edit: SetFlyInLine, bench: Workbench) -> Leader:  # noqa: ARG001
    _inner(leader, edit.joint)
    above, below = leader.pieces[edit.joint - 1], leader.pieces[edit.joint]
    upper, lower = eye_knot(above, edit.fly).knot, eye_knot(below, edit.fly).knot
    if edit.tied_from == "bend" and lower == "non-slip-loop":
        lower = "improved-clinch"  # on a bend a loop slides about
    joint = Connection(
        kind="fly", knot=lower, upper_knot=upper, fly=edit.fly, tied_from=edit.tied_from
    )
    return leader.with_joint(edit.joint, joint)


def _remove_fly_in_line(leader: Leader, edit: RemoveFlyInLine, bench: Workbench) -> Leader:  # noqa: ARG001
    if leader.joints[edit.joint].fly is None:
        raise EditRefused("There is no fly in line here.", where="edit.joint", hint="Choose it.")
    usual = joint_between(leader.pieces[edit.joint - 1], leader.pieces[edit.joint])
    return leader.with_joint(edit.joint, usual)


RIG_ACTS: dict[str, Callable[[Leader, Any, Workbench], Leader]] = {
    "hang-on": _hang_on,
    "move-thing": _move_thing,
    "nudge-thing": _nudge_thing,
    "set-thing": _set_thing,
    "step-thing": _step_thing,
    "take-off": _take_off,
    "set-dropper": set_dropper,
    "nudge-dropper": _nudge_dropper,
    "change-fly": _change_fly,
    "remove-dropper": _remove_dropper,
    "set-fly-in-line": _set_fly_in_line,
    "remove-fly-in-line": _remove_fly_in_line,
}
