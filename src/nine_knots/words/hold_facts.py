"""What a leader's hold means on the day: strike, drag, stretch, rod, line, and the order of break.

A stretch is the linear part only. A rod's safe pull is a guess by weight.
"""

from dataclasses import dataclass

from nine_knots.core.assess.strength_known import strength_known
from nine_knots.core.assess.verdict import is_guarded
from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.lower_rig import parting_joint
from nine_knots.core.domain.need import need_of
from nine_knots.core.domain.situation import Snags
from nine_knots.core.domain.tackle import Fish
from nine_knots.core.domain.tackle.fish import Mouth, Teeth
from nine_knots.core.strength.elements import Hold, hold_of_dropper
from nine_knots.core.strength.stretch import at_the_hook_n_m, compliance_m_n, energy_j
from nine_knots.words.chain_from_the_reel import chain_fact
from nine_knots.words.facts import Fact

DRAG_SHARES = (0.25, 1.0 / 3.0)  # of the low value [P]
# A fish that a rod of weight 1 plays out, and how that grows with the weight [G].
ROD_FISH_KG, ROD_FISH_GROWS = 0.3, 1.9
ROD_N = 5.0  # safe pull on a rod for each line weight [G]
WATER: dict[Snags, str] = {
    "open": "open water",
    "some snags": "water with some snags",
    "heavy snags": "heavy snags",
}
MOUTHS: dict[Mouth, str] = {
    "soft": "Soft: it tears, so lift into the fish rather than strike.",
    "firm": "Firm: a usual strike sets the hook.",
    "bony": "Bony: draw the hook home by the line, low and hard; stretch costs you the set.",
}
TEETH: dict[Teeth, str] = {
    "none": "No teeth that wear the tippet.",
    "fine": "Fine teeth: feel the last foot of tippet after every fish.",
    "rasping": "A rasping mouth wears through plain tippet. Check it after every fish, or "
    "end in a short stout bite piece, the other school.",
    "cutting": "Teeth that cut: wire or a heavy bite piece, and long forceps.",
}
GUARDED = "The bite piece takes the teeth: look it over after every fish, and renew it when frayed."
LINE_OUT_M = 9.0  # at the strike
WEAK_ABOVE = 0.1  # chance of a break above the ring from which the order is wrong [G]


@dataclass(frozen=True, slots=True)
class HoldFacts:
    """All lines, and what the day may ask at most."""

    need: Quantity
    lines: tuple[Fact, ...]


def facts(design: Design, hold: Hold, units: Units, own: tuple[PulledKnot, ...] = ()) -> HoldFacts:
    """The hold of a design's leader against fish, snags, rod and line."""
    leader, situation = design.leader, design.situation
    need = need_of(situation)
    low = units.load(hold.low_n).text
    enough: Status = "right" if hold.low_n >= need.most_n else "too little"
    water = WATER[situation.water.snags]
    lines = (
        Fact(
            "Breaks at",
            f"{units.load(hold.mean_n).text} as a rule; one in twenty below {low}.",
        ),
        _known(leader, hold, own),
        Fact(
            "The day asks",
            f"{units.load(need.strike_n).text} on a usual strike with this rod, "
            f"{units.load(need.pull_n).text} to steer such a fish in {water}: "
            f"{'held' if enough == 'right' else 'not held'}.",
            enough,
        ),
        _drag(hold, units),
        _stretch(design, hold, units),
        _order(leader, hold),
        *_flies(leader, hold, units, own),
        _mouth(situation.quarry.fish, leader),
        _rod(design, hold, units),
        chain_fact(design, hold, units),
    )
    return HoldFacts(need=units.load(need.most_n), lines=lines)


def _known(leader: Leader, hold: Hold, own: tuple[PulledKnot, ...]) -> Fact:
    """How far off these figures themselves may be, and what would say it better."""
    known = strength_known(leader, hold, own)
    within = f"within {2.0 * known.off:.0%}, 19 times in 20"
    if known.by == "pulls":
        return Fact("How sure", f"By your own pulls of this knot, {within}.")
    by = "the label" if known.by == "label" else "what its material usually holds"
    text = (
        f"By {by} of piece {known.piece + 1}, {within}. Pull tests of its knot would narrow this."
    )
    return Fact("How sure", text)


def _drag(hold: Hold, units: Units) -> Fact:
    least, most = (units.load(share * hold.low_n).text for share in DRAG_SHARES)
    text = f"{least} to {most} off the reel: a quarter to a third of the low value."
    return Fact("Set the drag to", text)


def _stretch(design: Design, hold: Hold, units: Units) -> Fact:
    leader = design.leader
    give_m_n = compliance_m_n(leader)
    give = units.length(hold.mean_n * give_m_n).text
    foot = at_the_hook_n_m(leader, design.situation.rod, LINE_OUT_M) * FOOT_M
    raised = "a foot" if units.system == "imperial" else "30 cm"
    strike = need_of(design.situation).strike_n
    at_set = units.length(strike * give_m_n).text
    return Fact(
        "Gives",
        f"{at_set} at the strike, {give} and {energy_j(leader, hold.mean_n):.1f} J before it "
        f"breaks. Rod, line and leader together, {raised} of strike pulls the hook with "
        f"{units.load(foot).text}.",
    )


def _order(leader: Leader, hold: Hold) -> Fact:
    """Nothing above the ring; without one, nothing above the last piece's knot."""
    ring = parting_joint(leader)
    guard = ring if ring is not None else len(leader.pieces) - 1
    above = sum(e.chance for e in hold.elements if e.index < guard)
    if guard == 0:
        return Fact("Order of break", "One piece: it breaks where its knots are.")
    place = f"the {leader.joints[guard].kind}" if ring is not None else "the tippet"
    if above <= WEAK_ABOVE:
        return Fact("Order of break", f"Nothing above {place} should go ({above:.0%} does).")
    return Fact(
        "Order of break",
        f"{above:.0%} break above {place}, and you lose more than you need to: use "
        f"{'' if is_guarded(leader) else 'a finer tippet, or '}a better knot above.",
        "too much",
    )


def _flies(
    leader: Leader, hold: Hold, units: Units, own: tuple[PulledKnot, ...]
) -> tuple[Fact, ...]:
    """Along the tree: what a snag on the point costs, what a fish on each dropper breaks."""
    above = leader.flies_above
    if not above:
        return ()
    lowest = above[-1][0]
    saved = sum(e.chance for e in hold.elements if e.index >= lowest)
    text = f"In snags on the point fly you lose only that fly in {saved:.0%}: "
    found = [
        Fact("Point fly", f"{text}you keep the flies above.")
        if saved >= 1.0 - WEAK_ABOVE
        else Fact(
            "Point fly",
            f"{text}finer tippet below the upper fly saves the others.",
            "too much",
        )
    ]
    for joint, dropper in leader.branches:
        branch = hold_of_dropper(leader, joint, own)
        itself = sum(e.chance for e in branch.elements if e.index >= joint)
        found.append(
            Fact(
                f"Dropper {joint}",
                f"A fish on the {dropper.fly.title} breaks it at {units.load(branch.mean_n).text}, "
                f"the dropper itself in {itself:.0%}; {dropper.changes_left} fly changes left.",
                "right" if itself >= 1.0 - WEAK_ABOVE else "too much",
            )
        )
    return tuple(found)


def _mouth(fish: Fish, leader: Leader) -> Fact:
    """What its mouth and teeth ask of the hand and of the last piece."""
    guarded = is_guarded(leader) and fish.teeth in ("rasping", "cutting")
    teeth = GUARDED if guarded else TEETH[fish.teeth]
    return Fact("Mouth and teeth", f"{MOUTHS[fish.mouth]} {teeth}")


def _rod(design: Design, hold: Hold, units: Units) -> Fact:
    rod, fish_kg = design.situation.rod, design.situation.quarry.mass_kg
    safe_n = ROD_N * rod.weight
    most_kg = ROD_FISH_KG * rod.weight**ROD_FISH_GROWS
    if fish_kg > most_kg:
        return Fact(
            "The rod",
            f"is light for a fish of {units.fish_mass(fish_kg).text}: played on it for more than "
            f"{units.fish_mass(most_kg).text} it may not recover. Use a stouter rod, or a "
            "finer leader.",
            "too little",
        )
    if hold.mean_n <= safe_n:
        return Fact("The rod", "breaks this leader before the rod is strained.")
    return Fact(
        "The rod",
        f"takes some {units.load(safe_n).text}, less than the leader: never break off a snag "
        "with the rod bent. Point the rod and pull by hand.",
        "too much",
    )
