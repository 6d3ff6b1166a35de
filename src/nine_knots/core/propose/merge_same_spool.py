"""One spool is never knotted to itself: two planned pieces of it become one."""

from nine_knots.core.domain.label_sizes import sold_label_n
from nine_knots.core.domain.materials import MATERIALS
from nine_knots.core.propose.shortages import (
    Nearest,
    Shortage,
    WantedSighter,
    WantedStrand,
    WantedTwo,
    far_shortage,
)
from nine_knots.core.propose.spool_index import IndexedSpool
from nine_knots.core.schools.school import Plan, PlannedSection


def merge_same_spool(
    plan: Plan, spools: tuple[IndexedSpool, ...]
) -> tuple[Plan, tuple[IndexedSpool, ...], list[Shortage]]:
    """The plan and its spools with neighbours of one spool made one piece, and what lacks for it.

    Where a ring, a swivel or a fly parts them they stay two.
    """
    kept_joints = {*plan.rings, *plan.swivels, *(fly.joint for fly in plan.flies)}
    pieces: list[PlannedSection] = []
    left: list[IndexedSpool] = []
    joined: list[tuple[PlannedSection, ...]] = []
    gone: list[int] = []
    merged: list[Shortage] = []
    for number, (planned, taken) in enumerate(zip(plan.pieces, spools, strict=True)):
        joint = number + plan.above
        if left and left[-1].spool.spool_id == taken.spool.spool_id and joint not in kept_joints:
            before = pieces[-1]
            longer = before.length_m + planned.length_m
            pieces[-1] = _of_both(before, planned, longer)
            joined[-1] += (planned,)
            gone.append(joint)
            merged.append(
                Shortage(
                    piece=len(pieces) - 1 + plan.above,
                    wanted=WantedTwo(first=_size(before), second=_size(planned)),
                    nearest=Nearest(title=taken.spool.title),
                    merged=True,
                )
            )
            continue
        pieces.append(planned)
        left.append(taken)
        joined.append((planned,))

    def moved(joint: int) -> int | None:
        return None if joint in gone else joint - sum(1 for item in gone if item < joint)

    alone = len(left) == 1 and plan.taper is None
    for number, (sections, taken) in enumerate(zip(joined, left, strict=True)):
        far = far_shortage(number + plan.above, sections, taken, alone)
        if far is not None:
            merged = [miss for miss in merged if miss.piece != far.piece] + [far]
    return plan.renumbered(moved, pieces=tuple(pieces)), tuple(left), merged


def _of_both(before: PlannedSection, planned: PlannedSection, length_m: float) -> PlannedSection:
    """One piece for two: what is fished is the lower, so it stands for both."""
    return before.model_copy(
        update={
            "role": before.role if before.role == "butt" else planned.role,
            "length_m": length_m,
            "prefer": planned.prefer,
            "strength_n": planned.strength_n,
            "diameter_m": planned.diameter_m,
            "bend_nm2": None,
        }
    )


def _size(planned: PlannedSection) -> WantedStrand | WantedSighter:
    if planned.role == "sighter":
        return WantedSighter(across_m=planned.diameter_m)
    material = MATERIALS[planned.prefer[0]].title
    if planned.strength_n is not None:
        return WantedStrand(material=material, strength_n=sold_label_n(planned.strength_n))
    return WantedStrand(material=material, across_m=planned.diameter_m)
