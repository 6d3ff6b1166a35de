"""Why a proposed leader is tied as it is, in words."""

from nine_knots.core.base.units import Units
from nine_knots.core.propose.fit_to_shelf import (
    ButtUse,
    Proposal,
    TaperUse,
    TippetReason,
    TippetUse,
)

ESTIMATED = "Diameters known only from labels are marked ≈. Measure them and type them in."


def proposal_reasons(made: Proposal, units: Units) -> tuple[str, ...]:
    """Tippet, what the school says, taper, butt."""
    said = [_tippet(made.tippet, units)]
    for note in made.notes:
        length = units.length(note.length_m).text if note.length_m is not None else ""
        said.append(note.text.format(length=length))
    if made.taper is not None and not made.taper.cuts:
        said.append(f"The whole {made.taper.title}, as it is sold.")
    if made.butt is not None:
        said.append(_butt(made.butt, units))
    return (*said, ESTIMATED) if made.estimated else tuple(said)


def cut_words(taper: TaperUse | None, units: Units) -> str:
    """``Of the taper, 3 ft off its butt``; nothing where it is used whole."""
    if taper is None or not taper.cuts:
        return ""
    cuts = (f"{units.length(cut_m).text} off its {end}" for end, cut_m in taper.cuts)
    return f"Of the {taper.title}, {' and '.join(cuts)}"


def _tippet(use: TippetUse, units: Units) -> str:
    by = _reason(use.reason, units)
    if use.strength_n is not None:
        has = units.label(use.strength_n).text
        if use.wanted_n is not None:
            return f"Tippet {has}, for {units.label(use.wanted_n).text}."
        return f"Tippet {has}, {by}."
    has = units.tippet(use.across_m).text
    if use.wanted_m is not None:
        return f"Tippet {has}, for {units.tippet(use.wanted_m).text}, {by}."
    return f"Tippet {has}, {by}."


def _reason(reason: TippetReason, units: Units) -> str:
    usual = f"of the {units.label(reason.low_n).text} to {units.label(reason.high_n).text}"
    by = {
        "asked": "as you asked",
        "labels": f"{usual} usual here",
        "school": "by the school's own rule",
        "advice": f"set by {reason.advice}",
    }[reason.by]
    if reason.nearest_to_m is None:
        return by
    return f"the nearest owned to {units.tippet(reason.nearest_to_m).text}, {by}"


def _butt(butt: ButtUse, units: Units) -> str:
    return (
        f"Butt of {butt.material}, {units.diameter(butt.across_m).text}: "
        f"{butt.times:.1f} times as stiff as the line's tip."
    )
