"""What to pack for a planned day, each with its why: flies, small things, what keeps one safe."""

from collections.abc import Iterable
from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import shot_name
from nine_knots.core.domain.places import Hazard, RiverStretch
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.domain.situation import Snags
from nine_knots.core.plan.planned import PlannedStop

LOST: dict[Snags, int] = {"open": 1, "some snags": 2, "heavy snags": 4}
"""Flies that a stretch may cost, besides the one that is fished [G]."""
STAFF: tuple[Hazard, ...] = ("deep wading", "strong current", "slippery bed", "soft bed")


@dataclass(frozen=True, slots=True)
class PackLine:
    """Something to pack, and why."""

    what: str
    why: str


def pack_lines(
    plan: DayPlan, stops: Iterable[tuple[PlannedStop, RiverStretch]], angler: Angler, dark: bool
) -> tuple[PackLine, ...]:
    """All of it; ``dark`` where it is fished beyond last light."""
    served = [(stop.fit.design, stretch) for stop, stretch in stops if stop.fit is not None]
    designs = [design for design, _ in served]
    return (
        *_flies(plan, served),
        *_clipped(designs),
        *_spools(designs, angler),
        *_care(designs),
        *_safe([stretch for _, stretch in served], designs, dark),
    )


def _flies(plan: DayPlan, served: list[tuple[Design, RiverStretch]]) -> Iterable[PackLine]:
    wanted: dict[str, int] = {}
    barbed: set[str] = set()
    where: dict[str, list[str]] = {}
    for design, stretch in served:
        for fly in (design.situation.fly, *(fly for _, fly in design.leader.flies_above)):
            wanted[fly.title] = wanted.get(fly.title, 1) + LOST[stretch.water.snags]
            where.setdefault(fly.title, []).append(stretch.title)
            if design.situation.water.rules.barbless and not fly.barbless:
                barbed.add(fly.title)
    for title, count in wanted.items():
        pinch = "; pinch their barbs, by your rules" if title in barbed else ""
        yield PackLine(f"{count} of {title}", f"fished at {join_words(where[title])}{pinch}")
    for fly_for in plan.flies:
        if fly_for.fly.title not in wanted:
            yield PackLine(f"2 of {fly_for.fly.title}", "packed as an alternative")


def _clipped(designs: list[Design]) -> Iterable[PackLine]:
    shots: dict[str, int] = {}
    floats: dict[str, int] = {}
    rings: dict[str, int] = {}
    for design in designs:
        for attachment in design.leader.attachments:
            if attachment.kind == "shot":
                name = shot_name(attachment.mass_kg) or f"{1e3 * attachment.mass_kg:.2g} g"
                shots[f"{name}, of {attachment.metal}"] = (
                    shots.get(f"{name}, of {attachment.metal}", 0) + 1
                )
            elif attachment.kind == "indicator" and attachment.diameter_m is not None:
                floats[f"{1e3 * attachment.diameter_m:.0f} mm"] = 1
        for joint in design.leader.joints:
            if joint.is_ring:
                rings[joint.kind] = 1
    for name in shots:
        yield PackLine(f"Split shot {name}", "pinched on, and the next sizes either side of it")
    for size in floats:
        yield PackLine(f"Two indicators of {size}", "one to fish with, one to lose")
    for kind in rings:
        yield PackLine(f"Spare {kind}s", "to retie a lost leader at the line")


def _spools(designs: list[Design], angler: Angler) -> Iterable[PackLine]:
    last: dict[str, str] = {}
    for design in designs:
        piece = design.leader.pieces[-1]
        across = angler.units.tippet(piece.lower_diameter_m).text
        spool_id = piece.strand.spool_id or ""
        stuff = f"{across} {piece.strand.substance.title}"
        last[spool_id or stuff] = angler.titles.get(spool_id, stuff)
    if last:
        many = capitalised(count_words(len(last), "tippet spool"))
        yield PackLine(f"{many}: {join_words(list(last.values()))}", "to renew a short tippet")


def _care(designs: list[Design]) -> Iterable[PackLine]:
    if any(design.situation.floats for design in designs):
        yield PackLine("Floatant, and grease for the leader's butt", "a fly is to float")
    if any(not design.situation.floats for design in designs):
        yield PackLine("Clay or mud to degrease the tippet", "a fly is to sink")
    quarry = [design.situation.quarry.fish for design in designs]
    if any(fish.bites_through for fish in quarry):
        yield PackLine("Long forceps, wire cutters and an unhooking mat", "its teeth cut")
    else:
        yield PackLine("Forceps and a wet net", "to let a fish go quickly")
    families = {
        piece.strand.substance.family
        for other_design in designs
        for piece in other_design.leader.pieces
    }
    if "wire" in families:
        yield PackLine("Pliers and cutters for wire", "a leader ends in wire")
    else:
        yield PackLine("Cutters", "to trim knots")


def _safe(stretches: list[RiverStretch], designs: list[Design], dark: bool) -> Iterable[PackLine]:
    hazards = {hazard for stretch in stretches for hazard in stretch.hazards}
    wading = [hazard for hazard in STAFF if hazard in hazards]
    if wading:
        yield PackLine("Wading staff and belt", join_words([*wading]))
    if "boats" in hazards:
        yield PackLine("Life jacket", "boats")
    yield PackLine("Glasses and a hat", "a hook in flight")
    if dark:
        yield PackLine("A lamp, and a spare", "you fish the last stretch after last light")
    if any(design.situation.water.temperature_c < 8.0 for design in designs):
        yield PackLine("Something hot to drink, dry gloves", "cold water, cold hands")
