"""A knot as it is read up: what for, how strong, how many turns, its limits and cautions."""

from dataclasses import dataclass

from nine_knots.core.base.units import Units
from nine_knots.core.domain.knots.rules import FLUOROCARBON_LOSS
from nine_knots.core.domain.knots.table import KNOTS, Knot, KnotKey
from nine_knots.core.domain.materials import MATERIALS

PLACES = {
    "line": "butt to the line's bare tip",
    "loop": "a loop at the end of a piece",
    "between": "piece to piece",
    "eye": "fly, ring or swivel",
}


@dataclass(frozen=True, slots=True)
class Line:
    """One line of a card."""

    title: str
    text: str


@dataclass(frozen=True, slots=True)
class KnotCard:
    """One knot to read up."""

    key: KnotKey
    title: str
    by_heart: bool
    place: str
    note: str
    lines: tuple[Line, ...]
    caution: str


def knot_card(key: KnotKey, units: Units) -> KnotCard:
    """The card of a knot, in the angler's units."""
    knot = KNOTS[key]
    return KnotCard(
        key=key,
        title=knot.title,
        by_heart=knot.by_heart,
        place=PLACES[knot.place],
        note=knot.note,
        lines=(
            Line("Turns", _turns(knot)),
            Line("Keeps", _keeps(knot)),
            Line(
                "Uses", f"about {units.length(knot.tag_allowance_m).text} a piece besides its wraps"
            ),
            Line("Tags", knot.tags),
            *_limits(knot, units),
        ),
        caution=_caution(knot),
    )


def _turns(knot: Knot) -> str:
    if knot.turns_fine == knot.turns_heavy:
        return {1: "once", 2: "twice through", 3: "three times through"}.get(
            knot.turns_fine, f"{knot.turns_fine} turns"
        )
    return f"{knot.turns_heavy} in heavy stuff, {knot.turns_fine} in fine"


def _keeps(knot: Knot) -> str:
    text = f"{knot.efficiency:.0%} of the line's strength typically, give or take {knot.spread:.0%}"
    if knot.mono:
        text += f"; {knot.efficiency - FLUOROCARBON_LOSS:.0%} in fluorocarbon"
    return f"{text} (typical value; your own pull tests are better)"


def _limits(knot: Knot, units: Units) -> list[Line]:
    limits = []
    if knot.most_m:
        limits.append(f"not in mono of {units.diameter(knot.most_m).text} or more")
    if knot.most_step_m:
        limits.append(f"not across a step of more than {units.diameter(knot.most_step_m).text}")
    if not knot.mono:
        limits.append("not in mono at all")
    if knot.wires:
        limits.append(f"holds in {' and '.join(MATERIALS[wire].title for wire in knot.wires)}")
    lines = [Line("Limits", "; ".join(limits))] if limits else []
    if knot.dropper:
        lines.append(Line("Dropper", knot.dropper))
    return lines


def _caution(knot: Knot) -> str:
    if not knot.mono:
        return "Wire ends cut. Pliers, eye protection, and no sharp end left on the leader."
    if knot.place == "eye":
        return "Mind the hook point, and keep cutters away from fingers and eyes."
    return "Draw heavy mono with gloves or pliers, never with bare hands or teeth."
