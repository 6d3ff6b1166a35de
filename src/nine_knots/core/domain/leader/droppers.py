"""Another fly by one act: on a tag above the flies that are there, or in line behind them."""

from nine_knots.core.base.errors import EditRefused
from nine_knots.core.base.units.factors import INCH_M
from nine_knots.core.domain.leader.connections import eye_knot, fly_in_line
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.leader.resizing import rebuilt, split_at
from nine_knots.core.domain.leader.rig_edits import AddFly, SetDropper
from nine_knots.core.domain.leader.rigging import set_dropper, with_things
from nine_knots.core.domain.leader.sections import LevelSection, TaperedSection
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.strand import Strand

APART_M = 20.0 * INCH_M  # 18 to 22 in on tags, 16 to 24 in in line [P]
NEAR_M = 5.0 * INCH_M  # a joint so near to where the next fly goes is used instead of a new one
ROOM_M = 0.3  # so much of the leader must be left above the highest fly


def add_fly(leader: Leader, edit: AddFly, bench: Workbench) -> Leader:
    """Tie another fly on as the rig's school does; EditRefused where there is no room for it."""
    return _behind(leader, bench) if edit.how == "behind" else _on_a_tag(leader, bench)


def _on_a_tag(leader: Leader, bench: Workbench) -> Leader:
    flies = [joint for joint, _ in leader.flies_above]
    highest_m = min((leader.joints_at_m[joint] for joint in flies), default=leader.length_m)
    place_m = highest_m - APART_M
    if place_m < ROOM_M:
        raise EditRefused(
            "There is no room for another fly above.",
            where="edit",
            hint="Lengthen the tippet, or tie the next fly in line, behind.",
        )
    joint = _joint_near(leader, place_m, flies)
    if joint is None:
        index = max(i for i in range(len(leader.pieces)) if leader.joints_at_m[i] <= place_m)
        leader = split_at(leader, index, place_m - leader.joints_at_m[index], bench)
        joint = index + 1
    return set_dropper(leader, SetDropper(joint=joint), bench)


def _joint_near(leader: Leader, place_m: float, taken: list[int]) -> int | None:
    """The free joint nearest to a place along the leader, if it is near enough."""
    inner = [joint for joint in range(1, len(leader.pieces)) if joint not in taken]
    near = [joint for joint in inner if abs(leader.joints_at_m[joint] - place_m) <= NEAR_M]
    return min(near, key=lambda joint: abs(leader.joints_at_m[joint] - place_m), default=None)


def _behind(leader: Leader, bench: Workbench) -> Leader:
    """The fly at the point gets a lighter trace from its bend, and its like at the end of it; what
    is along the line stays where it is."""
    last = leader.pieces[-1]
    strand = _trace_of(last, bench)
    trace = LevelSection(role="tippet", strand=strand, length_m=bench.units.snap_length(APART_M))
    in_line = fly_in_line(last, bench.fly)
    joints = [*leader.joints[:-1], in_line, eye_knot(trace, bench.fly)]
    longer = rebuilt(leader, [*leader.pieces, trace], joints)
    return with_things(
        longer, [attachment.moved(trace.length_m) for attachment in leader.attachments]
    )


def _trace_of(last: LevelSection | TaperedSection, bench: Workbench) -> Strand:
    """The next thinner spool of its kind, or else its own material, or what comes nearest."""
    thinner = bench.thinner_than(last)
    if thinner is not None:
        return thinner.strand
    if isinstance(last, LevelSection):
        return last.strand
    return bench.nearest(last.lower_diameter_m).strand
