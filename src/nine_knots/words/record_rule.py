"""The record rule for class and bite tippets, in words."""

from dataclasses import dataclass

from nine_knots.core.assess.record_rule import RecordCheck, record_checks
from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader import Leader


@dataclass(frozen=True, slots=True)
class RuleLine:
    """One length against the rule."""

    text: str
    passes: bool


def record_lines(leader: Leader, units: Units) -> tuple[RuleLine, ...]:
    """What the record rule says of this leader."""
    return tuple(
        RuleLine(_check_words(check, units), check.passes) for check in record_checks(leader)
    )


def _check_words(check: RecordCheck, units: Units) -> str:
    if check.length_m is None:
        return "No piece is marked as tippet; the rule requires a class tippet."
    length, limit = units.length(check.length_m).text, units.length(check.limit_m).text
    if check.piece == "class":
        return f"Class tippet {length} between knots; at least {limit}."
    return f"Bite tippet {length} with its knots; at most {limit}."
