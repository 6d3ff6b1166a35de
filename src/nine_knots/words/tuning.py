"""What to set and hang for a wanted depth, in words."""

from dataclasses import dataclass

from nine_knots.core.base.units import Units
from nine_knots.core.remedies.adjustment import Adjustment, BeadChanged, ShotChanged
from nine_knots.core.remedies.tuning import Tuned, TunedMark, TunedSetting, TunedSpan
from nine_knots.core.water.remedy_kinds import Tunes

RULE = 1.5  # times the depth, from which settings differ by more than a little beyond these
WELL_WEIGHTED, TOO_LIGHT = 1.15, 1.8


@dataclass(frozen=True, slots=True)
class TunedLine:
    """One line: the least and the most of something that work, or the one setting."""

    what: Tunes
    title: str
    text: str


@dataclass(frozen=True, slots=True)
class Tuning:
    """All lines; none for a floating fly."""

    lines: tuple[TunedLine, ...]


def tuning_reading(found: tuple[Tuned, ...], units: Units) -> Tuning:
    """Settings and weights as they are shown."""
    return Tuning(tuple(_line(each, units) for each in found))


def _line(found: Tuned, units: Units) -> TunedLine:
    if isinstance(found, TunedSetting):
        return TunedLine("setting", "Indicator", found.refused or _setting(found, units))
    if isinstance(found, TunedMark):
        return TunedLine("mark", "Sighter", found.refused or _mark(found, units))
    return TunedLine(found.what, found.what.capitalize(), _span(found))


def _setting(found: TunedSetting, units: Units) -> str:
    setting = units.length(units.snap_length(found.setting_m)).text
    beside = ""
    if found.share < WELL_WEIGHTED:
        beside = f", less than the rule of {RULE:g}: well weighted or slow water"
    elif found.share > TOO_LIGHT:
        beside = f", more than the rule of {RULE:g}: too little weight"
    return f"{setting} above the point fly, {found.share:.2f} times the depth{beside}."


def _mark(found: TunedMark, units: Units) -> str:
    return (
        f"its lower end {units.length(units.snap_length(found.mark_m)).text} above the point fly, "
        f"with {units.length(units.snap_length(found.out_m)).text} out beyond the rod's tip: there "
        "it meets the water when the fly is at the wanted depth."
    )


def _span(found: TunedSpan) -> str:
    if found.least is None or found.most is None:
        return f"no {found.what} by itself brings it in."
    least, most = _size(found.least), _size(found.most)
    return f"{least}, and only that." if least == most else f"{least} at least, {most} at most."


def _size(change: Adjustment) -> str:
    if isinstance(change, ShotChanged):
        return f"{change.name} ({change.grams:g} g)"
    assert isinstance(change, BeadChanged)
    return f"{change.new_mm:g} mm" if change.new_mm else "none"
