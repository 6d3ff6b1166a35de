"""The days that one ties a new leader for, filled in from what is owned; what a fly can do."""

from collections.abc import Callable
from typing import Literal

from nine_knots.core.domain.situation import (
    FLOATING_WISHES,
    Situation,
    TargetFish,
    Water,
    Wind,
    Wish,
)
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod
from nine_knots.core.domain.tackle.fly import floats_up

DayKind = Literal["dry", "nymph", "streamer", "salt", "teeth", "tight line"]

RUN = Water(kind="run", depth_m=0.8, pace_m_s=0.6)
TROUT = TargetFish(kind="trout", mass_kg=0.5)
# Water, fish, what the fly is to do, the weight of line that most take, and a fly where the box has
# none such [P].
USUAL: dict[DayKind, tuple[Water, TargetFish, Wish, int, Fly]] = {
    "dry": (RUN, TROUT, "drift on top", 5, Fly(title="Dry fly 14", kind="dry", hook=14)),
    "nymph": (
        RUN,
        TROUT,
        "drift deep",
        5,
        Fly(title="Nymph 14, 2.5 mm bead", kind="nymph", hook=14, bead=Bead(diameter_mm=2.5)),
    ),
    "streamer": (RUN, TROUT, "strip", 6, Fly(title="Streamer 6", kind="streamer", hook=6)),
    "salt": (
        Water(kind="flats", depth_m=0.8, pace_m_s=0.1, bed="sand"),
        TargetFish(kind="sea-bass", mass_kg=2.0),
        "strip",
        8,
        Fly(title="Baitfish 1/0", kind="streamer", hook=0, dressing="sheds"),
    ),
    "teeth": (
        Water(kind="lake", depth_m=2.0, pace_m_s=0.0),
        TargetFish(kind="pike", mass_kg=4.0),
        "strip",
        9,
        Fly(title="Pike fly 4/0", kind="predator", hook=-3),
    ),
    "tight line": (
        RUN,
        TROUT,
        "drift deep",
        3,
        Fly(title="Nymph 14, 3.3 mm bead", kind="nymph", hook=14, bead=Bead(diameter_mm=3.3)),
    ),
}
FLIES: dict[DayKind, Callable[[Fly], bool]] = {
    "dry": floats_up,
    "nymph": lambda fly: fly.kind == "nymph",
    "streamer": lambda fly: fly.kind == "streamer",
    "salt": lambda fly: fly.kind == "streamer",
    "teeth": lambda fly: fly.kind == "predator",
    "tight line": lambda fly: fly.kind == "nymph" and fly.bead is not None,
}
HEAVY_SALT_KG = 0.6e-3  # of a streamer for the salt rather than for a trout [G]


def usual_day(
    kind: DayKind, rods: tuple[Rod, ...], lines: tuple[FlyLine, ...], flies: tuple[Fly, ...]
) -> Situation:
    """A usual day of its kind with the rod, line and fly owned that suit it best, or common ones
    where none is owned."""
    water, quarry, wish, weight, common = USUAL[kind]
    fit = [fly for fly in flies if FLIES[kind](fly)]
    if kind == "salt":
        fit.sort(key=lambda fly: fly.mass_kg < HEAVY_SALT_KG)
    fly = fit[0] if fit else common
    line = _line(kind, weight, lines)
    return Situation(
        water=water,
        wind=Wind(),
        quarry=quarry,
        fly=fly,
        rod=_rod(line.weight, rods),
        line=line,
        wish=wish if kind == "dry" else suited_wish(fly, wish, water),
    )


def day_kind_of(flies: tuple[Fly, ...]) -> DayKind:
    """The kind of day that the first fly of a box is for: a dry-fly day where it is empty."""
    if not flies:
        return "dry"
    first = flies[0]
    if first.kind == "predator":
        return "teeth"
    if first.kind == "streamer":
        return "salt" if first.mass_kg >= HEAVY_SALT_KG else "streamer"
    return "dry" if floats_up(first) else "nymph"


def _line(kind: DayKind, weight: int, lines: tuple[FlyLine, ...]) -> FlyLine:
    """A level line for the tight line where one is owned; else the floating one nearest in weight,
    or what there is."""

    def far(line: FlyLine) -> tuple[bool, bool, int]:
        level = line.level_m is not None
        return (
            level != (kind == "tight line"),
            line.sinking != "floating",
            abs(line.weight - weight),
        )

    common = FlyLine(title=f"{weight}-weight floating line", weight=weight)
    return min(lines, key=far, default=common)


def _rod(weight: int, rods: tuple[Rod, ...]) -> Rod:
    common = Rod(title=f"9 ft {weight}-weight", length_m=2.745, weight=weight)
    return min(rods, key=lambda rod: (abs(rod.weight - weight), -rod.length_m), default=common)


def suited_wish(fly: Fly, wish: Wish, water: Water) -> Wish:
    """What a fly can be fished to do: what was wished where it can, else what is usual for it."""
    can: tuple[Wish, ...] = ("strip", "swing")
    if fly.kind == "emerger":
        can = ("hang in the film", "drift on top")
    elif floats_up(fly):
        can = FLOATING_WISHES
    elif fly.kind == "nymph":
        can = ("drift deep", "lead and drop", "swing", "strip")
    elif fly.kind == "wet":
        can = ("swing", "drift deep", "strip", "hang in the film")
    elif fly.is_long:
        can = (*can, "lead and drop")
    usable = can if water.moves else tuple(each for each in can if each != "swing")
    return wish if wish in usable else usable[0]
