"""The rules that the angler wrote down for a water, checked against the rig.

They are the angler's notes: the local authority has the say, and every line says so.
"""

from itertools import pairwise

from nine_knots.core.base.prose import join_words
from nine_knots.core.base.score import Fact
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design

TIED_BY_RULE = ("Flies", "Wire", "Flies apart")
"""Rules kept by how a leader is tied; a barb is pinched, and a shot changed, at the water."""
ASK = "From your own notes, and rules change: ask the local authority."


def rule_facts(design: Design, units: Units) -> tuple[Fact, ...]:
    """One line for each rule that the angler entered; nothing where none was."""
    rules, leader = design.situation.water.rules, design.leader
    flies = [fly for _, fly in leader.flies_above] + [design.situation.fly]
    found = []
    if rules.most_flies is not None:
        count = len(flies)
        few = count <= rules.most_flies
        said = f"{count} on the rig, {rules.most_flies} allowed."
        found.append(Fact("Flies", said, "right" if few else "too much"))
    if rules.barbless:
        barbed = [fly.title for fly in flies if not fly.barbless]
        said = (
            "All are marked barbless." if not barbed else f"Pinch the barb of {join_words(barbed)}."
        )
        found.append(Fact("Barbless", said, "too much" if barbed else "right"))
    if rules.lead_banned:
        lead = [
            attachment
            for attachment in leader.attachments
            if attachment.kind == "shot" and attachment.metal == "lead"
        ]
        said = "No lead on the line." if not lead else f"{len(lead)} lead shot: use tin instead."
        found.append(Fact("Lead", said, "too much" if lead else "right"))
    if rules.wire_required:
        wired = leader.pieces[-1].strand.substance.family == "wire"
        said = "It ends in wire." if wired else "It ends in mono: add a wire piece."
        found.append(Fact("Wire", said, "right" if wired else "too little"))
    if rules.least_apart_m is not None and len(flies) > 1:
        apart = _least_apart_m(design)
        far = apart >= rules.least_apart_m - 1e-6
        said = (
            f"The nearest two are {units.length(apart).text} apart, "
            f"{units.length(rules.least_apart_m).text} required."
        )
        found.append(Fact("Flies apart", said, "right" if far else "too little"))
    return (*found, Fact("Rules", ASK)) if found else ()


def keeps_rules(design: Design, units: Units) -> bool:
    """Whether the leader, as it is tied, is allowed here."""
    return all(
        fact.status == "right" for fact in rule_facts(design, units) if fact.title in TIED_BY_RULE
    )


def quick_fixes(design: Design, units: Units) -> tuple[str, ...]:
    """What is mended in a moment, that the rules may be kept: a barb pinched, tin for lead."""
    return tuple(
        fact.text
        for fact in rule_facts(design, units)
        if fact.status != "right" and fact.title not in TIED_BY_RULE
    )


def _least_apart_m(design: Design) -> float:
    """The least distance along the line between two flies' places on the leader, in m."""
    places = design.leader.joints_at_m
    at = [places[joint] for joint, _ in design.leader.flies_above] + [places[-1]]
    return min(below - above for above, below in pairwise(at))
