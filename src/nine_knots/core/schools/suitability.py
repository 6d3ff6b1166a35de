"""Why a day is not for a school, in a sentence; nothing where it is."""

from collections.abc import Callable

from nine_knots.core.domain.situation import Situation, Wish
from nine_knots.core.domain.tackle.fly import floats_up

Suits = Callable[[Situation], str]

DEEPEST_UNDER_DRY_M = 1.2  # where a dry fly still carries a nymph down [P]
SMALL_KG, HEAVY_KG = 3.0, 2.0  # of shy fish on flats; of steelhead
HUGE_KG = 25.0  # for level mono and long wire
DRIVEN: tuple[Wish, ...] = ("strip", "swing", "lead and drop")


def all_of(*each: Suits) -> Suits:
    """The first reason that any of them gives."""
    return lambda day: next((said for said in (suits(day) for suits in each) if said), "")


def for_a_dry(day: Situation) -> str:
    """Where a fly is to float."""
    if day.floats and floats_up(day.fly):
        return ""
    return f"It lays a dry fly down softly; this fly is to {day.wish}."


def for_a_small_dry(day: Situation) -> str:
    """Where a small fly is to float, or one that hardly weighs is fished in calm water."""
    if day.fly.kind in ("foam", "predator") or day.fly.is_long:
        return "It is for small flies: it would not turn over one this bulky."
    return for_a_dry(day)


def for_a_streamer(day: Situation) -> str:
    """Where a fly is driven: stripped, swung, led."""
    if day.wish in DRIVEN and not floats_up(day.fly):
        return ""
    return f"It drives a streamer; this fly is to {day.wish}."


def for_a_sunk_line(day: Situation) -> str:
    """Where line or tip sinks."""
    if day.line.sinking != "floating":
        return for_a_streamer(day)
    return "It is for a sinking line or sink tip, and this line floats."


def for_a_nymph(day: Situation) -> str:
    """Where a sunk fly drifts deep."""
    if day.wish == "drift deep" and not floats_up(day.fly):
        return ""
    if floats_up(day.fly):
        return "It needs a sunk nymph, and this fly floats."
    return f"It lets a nymph drift deep; this fly is to {day.wish}."


def for_a_tight_line(day: Situation) -> str:
    """Where a sunk fly is led through moving water, up close."""
    if not day.water.moves:
        return "A tight line is led with the current, and this water is still."
    return for_a_nymph(day)


def for_a_jig(day: Situation) -> str:
    """Where a fly heavy enough to pull thin mono is stripped, for fish that such mono holds."""
    if day.wish != "strip":
        return f"It jigs a streamer on thin mono; this fly is to {day.wish}."
    if day.line.sinking != "floating":
        return "It is cast by the fly's weight on mono, without this line."
    if floats_up(day.fly):
        return "It needs a sunk fly, and this one floats."
    if day.quarry.mass_kg > HEAVY_KG:
        return "Mono so thin is for trout and fish of their size."
    if not (day.fly.head_kg or day.fly.weighed_kg):
        return "It is cast by the fly's weight, and this streamer carries no bead, cone or eyes."
    return without_wire(day)


def under_a_dry(day: Situation) -> str:
    """Where a dry fly carries a nymph."""
    if day.water.depth_m > DEEPEST_UNDER_DRY_M:
        return "Too deep for a nymph under a dry: use an indicator or a tight line."
    return for_a_nymph(day)


def for_heavy_fish(day: Situation) -> str:
    """Where a fish of some weight takes a nymph."""
    if day.quarry.mass_kg < HEAVY_KG:
        return "It is built for fish of steelhead size."
    return for_a_nymph(day)


def without_wire(day: Situation) -> str:
    """Where no teeth cut."""
    return "Teeth that cut need wire at the fly." if day.quarry.fish.bites_through else ""


def with_wire(day: Situation) -> str:
    """Where teeth cut, of fish that a cast leader holds."""
    if not day.quarry.fish.bites_through:
        return "It ends in wire, for teeth that cut."
    return "It is too fine for a fish of that weight." if day.quarry.mass_kg > HUGE_KG else ""


def with_long_wire(day: Situation) -> str:
    """Where teeth cut and the fish is huge."""
    if day.quarry.fish.bites_through and day.quarry.mass_kg > HUGE_KG:
        return ""
    return "It is for sharks and their like, with trained crew."


def for_huge_fish(day: Situation) -> str:
    """Where a huge fish wants a bite piece and no wire."""
    if day.quarry.mass_kg >= 0.3 * HUGE_KG:
        return for_a_streamer(day)
    return "It is for big fish in the salt, with a bite piece at the end."


def without_a_line(day: Situation) -> bool:
    """Whether the outfit has no fly line to speak of, so that mono is cast: a thin level line."""
    return day.line.level_m is not None


def off_shy_flats(day: Situation) -> bool:
    """Whether it is no flat with small shy fish, for which most tie longer and evener [P]."""
    shy = day.quarry.fish.shyness == "shy" or day.quarry.temper != "easy"
    return not (day.water.kind == "flats" and shy and day.quarry.mass_kg < SMALL_KG)


def for_cutting_teeth(day: Situation) -> str:
    """Where a streamer is driven for fish whose teeth cut, and a heavy bite piece still serves."""
    if not day.quarry.fish.bites_through:
        return "It ends in a heavy bite piece, for fish whose teeth cut."
    if day.quarry.mass_kg > HUGE_KG:
        return "A fish this size needs wire at the fly."
    return for_a_streamer(day)
