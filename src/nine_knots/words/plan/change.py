"""How a rig is changed from one stretch to the next, as one would say it on the bank."""

from collections import Counter

from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Attachment, Leader, shot_name
from nine_knots.core.domain.leader.lower_rig import parting_joint
from nine_knots.core.plan.parts import part_names


def change_words(before: Design | None, after: Design, title: str, units: Units) -> str:
    """What the hands do before the first cast on a stretch; ``before`` is what was fished last,
    ``title`` names the leader that is fished now."""
    now = after.situation
    fly = f"Tie on the {now.fly.title}."
    afresh = f"{fly} {set_words(after.leader, units)}".strip()
    if before is None:
        return f"Begin with {title}. {afresh}"
    then = before.situation
    if (then.rod, then.line) != (now.rod, now.line):
        return f"Pick up the {now.rod.title} with the {now.line.title}, and {title}. {afresh}"
    upper_then, lower_then = part_names(before.leader)
    upper_now, lower_now = part_names(after.leader)
    if upper_then != upper_now:
        return f"Change the leader: {title}. {afresh}"
    if lower_then != lower_now:
        swap = f"At the {_ring(after.leader)}, put on {lower_words(after.leader, units)}."
        return " ".join(said for said in (swap, _off(before.leader, after.leader), afresh) if said)
    said = [] if then.fly == now.fly else [fly.rstrip(".")]
    said += _moved(before.leader, after.leader, units)
    return f"{'; '.join(_small(said))}." if said else "Fish it as it is."


def set_words(leader: Leader, units: Units) -> str:
    """How what is clipped and pinched on is set, in a line; nothing where there is none."""
    said = [
        f"{_name(attachment)} {units.length(attachment.above_end_m).text} above the point fly"
        for attachment in sorted(leader.attachments, key=lambda attachment: -attachment.above_end_m)
        if attachment.kind in ("indicator", "shot")
    ]
    said += [
        f"grease from the line down to {units.length(attachment.above_end_m).text} above the "
        "point fly"
        for attachment in leader.attachments
        if attachment.kind == "grease"
    ]
    return f"{capitalised('; '.join(said))}." if said else ""


def lower_words(leader: Leader, units: Units) -> str:
    """What hangs below the ring or swivel: ``22 in of .007 in · 4X`` and so on; of a leader
    without one, its last piece."""
    at = parting_joint(leader)
    first = at if at is not None else len(leader.pieces) - 1
    rows = [
        f"{units.length(piece.length_m).text} of {units.tippet(piece.lower_diameter_m).text}"
        for piece in leader.pieces[first:]
    ]
    above = len([number for number, _ in leader.flies_above if number >= first])
    flies = f", with {count_words(above, 'fly', 'flies')} above the point" if above else ""
    return f"{', then '.join(rows)}{flies}"


def upper_words(leader: Leader, units: Units) -> str:
    """What is above the ring or swivel, or the whole of a leader without one."""
    at = parting_joint(leader)
    if at is None:
        pieces = count_words(len(leader.pieces), "piece")
        tippet = units.tippet(leader.tippet_diameter_m).text
        return f"{units.length(leader.length_m).text} in {pieces}, to {tippet}"
    length_m = leader.joints_at_m[at]
    end = units.tippet(leader.pieces[at - 1].lower_diameter_m).text
    return (
        f"{units.length(length_m).text} in {count_words(at, 'piece')}, to {end} and a "
        f"{_ring(leader)}"
    )


def _ring(leader: Leader) -> str:
    at = parting_joint(leader)
    return leader.joints[at].kind if at is not None else "ring"


def _off(before: Leader, after: Leader) -> str:
    """What no longer belongs on the part that stays."""
    at = parting_joint(before)
    below_m = before.length_m - before.joints_at_m[at] if at is not None else 0.0
    above = (thing.kind for thing in before.attachments if thing.above_end_m > below_m)
    gone = {*above} - {thing.kind for thing in after.attachments}
    named: list[str] = [kind for kind in ("indicator", "shot") if kind in gone]
    return f"Take the {join_words(named)} off." if named else ""


def _small(said: list[str]) -> list[str]:
    return [text if not number else text[:1].lower() + text[1:] for number, text in enumerate(said)]


def _moved(before: Leader, after: Leader, units: Units) -> list[str]:
    said = []
    for kind in ("indicator", "grease"):
        then = next(
            (attachment for attachment in before.attachments if attachment.kind == kind), None
        )
        now = next(
            (attachment for attachment in after.attachments if attachment.kind == kind), None
        )
        said += _slid(then, now, units)
    shots = [
        {
            place: _name(attachment)
            for attachment in leader.attachments
            if attachment.kind == "shot"
            for place in [round(attachment.above_end_m, 3)]
        }
        for leader in (before, after)
    ]
    then_count, now_count = Counter(shots[0].values()), Counter(shots[1].values())
    added, taken = now_count - then_count, then_count - now_count
    said += [f"Take off {count_words(many, name)}" for name, many in taken.items()]
    for name, many in added.items():
        places = [place for place, here in shots[1].items() if here == name]
        at = units.length(min(places)).text
        said.append(f"Add {count_words(many, name)}, {at} above the point fly")
    if not added and not taken and shots[0] != shots[1]:
        at = units.length(min(shots[1])).text
        said.append(f"Move the shot to {at} above the point fly")
    return said


def _slid(then: Attachment | None, now: Attachment | None, units: Units) -> list[str]:
    if then == now:
        return []
    if now is None:
        assert then is not None
        what = "the indicator off" if then.kind == "indicator" else "the grease off the leader"
        return [f"Take {what}"]
    at = units.length(now.above_end_m).text
    if then is None:
        if now.kind == "grease":
            return [f"Grease from the line down to {at} above the point fly"]
        return [f"Put on the {_name(now)}, {at} above the point fly"]
    by_m = now.above_end_m - then.above_end_m
    if abs(by_m) < units.length_step_m:
        return [f"Change to the {_name(now)}"]
    way = "up" if by_m > 0 else "down"
    what = "the indicator" if now.kind == "indicator" else "the end of the grease"
    return [f"Slide {what} {way} {units.length(abs(by_m)).text}, to {at} above the point fly"]


def _name(attachment: Attachment) -> str:
    if attachment.kind == "shot":
        grams = f"shot of {1e3 * attachment.mass_kg:.2g} g"
        name = shot_name(attachment.mass_kg)
        return f"{name} shot" if name else grams
    if attachment.kind == "indicator" and attachment.diameter_m is not None:
        return f"indicator of {1e3 * attachment.diameter_m:.0f} mm"
    return "grease"
