"""The angler's own rules for a water, in words; every list says who has the say."""

from nine_knots.core.assess.water_rules import TIED_BY_RULE, Rule, RuleCheck, rule_checks
from nine_knots.core.base.prose import join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.words.facts import Fact

TITLES: dict[Rule, str] = {
    "flies": "Flies",
    "barbless": "Barbless",
    "lead": "Lead",
    "wire": "Wire",
    "flies apart": "Flies apart",
}
ASK = "From your own notes, and rules change: ask the local authority."


def rule_facts(design: Design, units: Units) -> tuple[Fact, ...]:
    """One line for each rule that the angler entered; nothing where none was."""
    found = [
        Fact(TITLES[check.rule], _check_words(check, units), check.status)
        for check in rule_checks(design)
    ]
    return (*found, Fact("Rules", ASK)) if found else ()


def quick_fixes(design: Design, units: Units) -> tuple[str, ...]:
    """What is done in a moment, so that the rules are kept: a barb pinched, tin for lead."""
    return tuple(
        _check_words(check, units)
        for check in rule_checks(design)
        if check.status != "right" and check.rule not in TIED_BY_RULE
    )


def _check_words(check: RuleCheck, units: Units) -> str:
    kept = check.status == "right"
    if check.rule == "flies":
        return f"{check.found:g} on the rig, {check.asked:g} allowed."
    if check.rule == "barbless":
        if kept:
            return "All are marked barbless."
        return f"Pinch the barb of {join_words(list(check.flies))}."
    if check.rule == "lead":
        return "No lead on the line." if kept else f"{check.found:g} lead shot: use tin instead."
    if check.rule == "wire":
        return "It ends in wire." if kept else "It ends in mono: add a wire piece."
    apart, asked = units.length(check.found).text, units.length(check.asked).text
    return f"The nearest two are {apart} apart, {asked} required."
