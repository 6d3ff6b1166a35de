"""What is changed of a rig or of how it is fished, in words."""

from nine_knots.core.base.units import Units
from nine_knots.core.casting.stroke import SpeedWord
from nine_knots.core.domain.leader.connection_titles import choice_title
from nine_knots.core.remedies.adjustment import (
    Adjustment,
    BeadChanged,
    Both,
    CountedDown,
    Degreased,
    FlyRemoved,
    FlySwapped,
    IndicatorMoved,
    Led,
    Lengthened,
    LineOut,
    OtherConnection,
    OtherSchool,
    OtherStroke,
    Part,
    Respooled,
    SchoolLength,
    SchoolTippet,
    ShotChanged,
    ShotRemoved,
    SinkTipAdded,
    StifferButt,
    StopAndDrop,
)

STROKES: dict[SpeedWord, str] = {
    "easy": "an easy stroke",
    "normal": "a normal stroke",
    "a fifth harder": "a stroke a fifth harder",
    "hard": "a hard stroke",
    "double haul": "a double haul",
}


def adjustment_words(change: Adjustment, units: Units) -> str:
    """``tippet 3 ft → 2 ft``, ``a hard stroke instead``."""
    match change:
        case Lengthened():
            return f"{_part(change.part)} {_lengths(change, units)}"
        case Respooled():
            old, new = units.diameter(change.old_m).text, units.diameter(change.new_m).text
            return f"{_part(change.part)} {old} → {new}"
        case IndicatorMoved():
            return f"indicator set at {_lengths(change, units)}"
        case ShotChanged():
            was = "no shot" if change.old_kg is None else f"shot {1e3 * change.old_kg:.2g} g"
            return f"{was} → {change.name} ({change.grams:g} g)"
        case ShotRemoved():
            return "without the shot"
        case BeadChanged():
            was = f"{change.old_mm:g} mm bead" if change.old_mm else "no bead"
            return f"{was} → {f'{change.new_mm:g} mm' if change.new_mm else 'no bead'}"
        case FlyRemoved():
            return f"without the {change.title}"
        case Degreased():
            return f"degrease the last {units.length(change.bare_m).text}"
        case CountedDown():
            return f"count {units.seconds(change.old_s)} → {units.seconds(change.new_s)}"
        case LineOut():
            return f"{_lengths(change, units)} out beyond the rod's tip"
        case Led():
            return f"led at {change.old:.0%} → {change.new:.0%} of the surface speed"
        case OtherSchool(rebuilt_m=None):
            return f"{change.title} instead"
        case OtherSchool():
            whole = units.length(change.rebuilt_m or 0.0).text
            return f"{change.title}: rebuilt for this day and line, {whole}"
        case FlySwapped():
            return f"the {change.title} instead"
        case SinkTipAdded():
            article = "an" if change.sinking == "intermediate" else "a"
            tip = f"{article} {change.sinking} tip"
            return f"{tip} of {units.length(change.length_m).text} on the line"
        case OtherStroke():
            return f"{STROKES[change.word]} instead"
        case OtherConnection():
            return f"{choice_title(change.connection)} at joint {change.joint}"
        case Both():
            return _both(change, units)
    return _of_a_school(change, units)


def done_words(change: Adjustment, units: Units) -> str:
    """How a leader does with the change: ``with a hard stroke``, ``at 8 ft``."""
    if isinstance(change, OtherStroke):
        return f"with {STROKES[change.word]}"
    if isinstance(change, Both) and isinstance(change.second, OtherStroke):
        return f"{done_words(change.first, units)}, and {done_words(change.second, units)}"
    if isinstance(change, SchoolTippet | SchoolLength | StifferButt | StopAndDrop):
        return _of_a_school(change, units)
    return f"with {adjustment_words(change, units)}"


def _of_a_school(
    change: SchoolTippet | SchoolLength | StifferButt | StopAndDrop, units: Units
) -> str:
    if isinstance(change, SchoolTippet):
        which = "stouter" if change.stouter else "finer"
        return f"with a {which} tippet, {units.tippet(change.across_m).text}"
    if isinstance(change, SchoolLength):
        return f"at {units.length(change.length_m).text}"
    return (
        "with a stiffer butt" if isinstance(change, StifferButt) else "thrown with a stop and drop"
    )


def _both(change: Both, units: Units) -> str:
    first, second = change.first, change.second
    if isinstance(first, Respooled) and isinstance(second, Lengthened):  # of one part
        return f"{adjustment_words(first, units)} and {_lengths(second, units)}"
    return f"{adjustment_words(first, units)}, {adjustment_words(second, units)}"


def _part(part: Part) -> str:
    return f"piece {part + 1}" if isinstance(part, int) else part


def _lengths(change: Lengthened | IndicatorMoved | LineOut, units: Units) -> str:
    return f"{units.length(change.old_m).text} → {units.length(change.new_m).text}"
