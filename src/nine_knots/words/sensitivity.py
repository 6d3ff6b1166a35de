"""What matters of a leader in words: how sure it is, where the doubt is, what each piece does."""

from dataclasses import dataclass
from math import log

from nine_knots.core.assess.changed_casts import WIND_OFF_M_S, Source, UncertaintySource
from nine_knots.core.assess.sensitivity import (
    LONGER_M,
    SPOOL_OFF_M,
    STROKE_OFF,
    TIED_OFF_M,
    SectionSensitivity,
    Sensitivity,
)
from nine_knots.core.base.prose import capitalised
from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.words.facts import Fact

SURE, EVEN = 0.95, 0.5  # chances of opening from which one is sure, and from which it is right
NOTHING = 0.02  # of a margin, of what holds: less is nothing noticeably
SOURCES: dict[Source, tuple[str, str]] = {
    "lengths": ("{tied} more or less as you tie it", "record the lengths the pieces came out at"),
    "spools": ("spools off by {off}", "measure {piece}"),
    "stroke": ("variation from cast to cast", "only practice helps"),
    "own speed": ("how fast you throw", "record how a few of your casts landed"),
    "line": ("how stiff your line is", "measure the droop of its {part}, under Spools"),
    "fly": ("this fly's air resistance", "a drop test indoors would settle it"),
    "wind": ("gusts", "check again when the wind blows"),
}
MEASURED_LINE = "its tip and its belly are measured: only more readings would narrow it"


@dataclass(frozen=True, slots=True)
class DoubtReading:
    """A source of doubt: its share of all of it, in words, and what would settle it."""

    title: str
    share: float
    text: str
    settle: str


@dataclass(frozen=True, slots=True)
class PieceEffect:
    """What four inches and a thousandth more do to a piece: shares of the margin and of the hold,
    as drawn and as said."""

    piece: int
    longer_opens: float
    thicker_opens: float
    longer_holds: float
    thicker_holds: float
    longer: str
    thicker: str


@dataclass(frozen=True, slots=True)
class MattersReading:
    """Chances, what they rest on, what each piece does, the one thing to measure, and how far off
    each was supposed to be."""

    facts: tuple[Fact, ...]
    doubts: tuple[DoubtReading, ...]
    settle: str
    pieces: tuple[PieceEffect, ...]
    changes: str
    most: str
    supposed: str


def matters_reading(found: Sensitivity, units: Units) -> MattersReading:
    """The reading of what was found."""
    doubts = _doubts(found.doubts, units)
    return MattersReading(
        facts=(_opens(found), _holds(found), _into(found, units)),
        doubts=doubts,
        settle=_settle(doubts, found),
        pieces=tuple(_piece(section, units) for section in found.pieces),
        changes=f"{_longer(units)} longer (line), {_thicker(units)} thicker (bar)",
        most=_most(found.pieces, units),
        supposed=_supposed(units),
    )


def _of_hundred(chance: float) -> str:
    if chance > 0.995:
        return "practically every time"
    if chance < 0.005:
        return "hardly ever"
    return f"{round(100 * chance)} times in 100"


def _opens(found: Sensitivity) -> Fact:
    status: Status = "right" if found.opens >= EVEN else "too little"
    brink = " It only just does." if found.marginal else ""
    return Fact("Opens", f"{_of_hundred(found.opens)} with this stroke.{brink}", status)


def _holds(found: Sensitivity) -> Fact:
    status: Status = "right" if found.holds >= SURE else "too little"
    said = f"{_of_hundred(found.holds)} for what the day may demand."
    if 1.0 - SURE < found.holds < SURE and found.known.by != "pulls":
        what = f"your {found.weakest}" if found.weakest else f"piece {found.known.piece + 1}"
        by = "its label" if found.known.by == "label" else "what its material usually holds"
        said += f" {capitalised(what)} is known from {by} only. Do a pull test under Knots."
    return Fact("Holds", said, status)


def _into(found: Sensitivity, units: Units) -> Fact:
    if found.into_m_s <= 0.0:
        return Fact("Head wind", "none: it opens well only in still air or downwind.")
    most = units.wind(found.into_m_s).text
    return Fact("Head wind", f"it still opens into {most} with this stroke.")


def _doubts(doubts: tuple[UncertaintySource, ...], units: Units) -> tuple[DoubtReading, ...]:
    whole = sum(doubt.spread**2 for doubt in doubts)
    found = []
    for doubt in doubts:
        title, hint = SOURCES[doubt.source]
        if doubt.source == "line" and doubt.part is None:
            hint = MEASURED_LINE
        piece = f"piece {doubt.piece + 1}" if doubt.piece is not None else ""
        piece = f"your {doubt.spool}" if doubt.spool else piece
        share = doubt.spread**2 / whole
        found.append(
            DoubtReading(
                title=capitalised(title.format(tied=_tied_off(units), off=_spool_off(units))),
                share=share,
                text=f"{share:.0%}" if share >= 0.01 else "< 1%",
                settle=f"{capitalised(hint)}.".format(piece=piece, part=doubt.part),
            )
        )
    return tuple(found)


def _settle(doubts: tuple[DoubtReading, ...], found: Sensitivity) -> str:
    first = doubts[0]
    if found.opens >= SURE or found.opens <= 1.0 - SURE:
        return (
            "It is certain enough. What uncertainty there is comes mostly from "
            f"{first.title.lower()}."
        )
    decides = first.settle
    if found.doubts[0].source == "spools":
        decides = f"{decides.removesuffix('.')}: that decides it."
    return f"Most of the uncertainty, {first.text}, is {first.title.lower()}. {decides}"


def _longer(units: Units) -> str:
    return units.length(units.snap_length(LONGER_M)).text


def _thicker(units: Units) -> str:
    return "a thousandth" if units.system == "imperial" else "0.025 mm"


def _tied_off(units: Units) -> str:
    return "an inch" if units.system == "imperial" else units.length(TIED_OFF_M).text


def _spool_off(units: Units) -> str:
    return "half a thousandth" if units.system == "imperial" else f"{1e3 * SPOOL_OFF_M:.3f} mm"


def _supposed(units: Units) -> str:
    return (
        f"{capitalised(_tied_off(units))} as you tie, {_spool_off(units)} on a spool that was not "
        f"measured, {STROKE_OFF:.0%} of your speed from cast to cast, "
        f"{units.wind(WIND_OFF_M_S).text} of wind. Anything unknown about you or the fly has "
        "its typical spread."
    )


def _piece(section: SectionSensitivity, units: Units) -> PieceEffect:
    longer = _longer(units)
    return PieceEffect(
        piece=section.piece,
        longer_opens=log(section.longer_opens),
        thicker_opens=log(section.thicker_opens),
        longer_holds=log(section.longer_holds),
        thicker_holds=log(section.thicker_holds),
        longer=f"{longer} longer: {_effect(section.longer_opens, section.longer_holds)}",
        thicker=f"{_thicker(units)} thicker: "
        f"{_effect(section.thicker_opens, section.thicker_holds)}",
    )


def _effect(opens: float, holds: float) -> str:
    said = []
    for factor, what in ((opens, "margin"), (holds, "hold")):
        if abs(factor - 1.0) >= NOTHING:
            said.append(f"{what} {_change(factor)}")
    return ", ".join(said) or "nothing noticeably"


def _change(factor: float) -> str:
    return f"{factor - 1.0:+.0%}".replace("-", "−")


def _most(pieces: tuple[SectionSensitivity, ...], units: Units) -> str:
    """What moves opening and hold most, of all lengths and thicknesses."""
    longer, thicker = f"{_longer(units)} longer", f"{_thicker(units)} thicker"
    changes = [
        (abs(log(factor)), what, f"piece {section.piece + 1}, {how},", factor)
        for section in pieces
        for factor, what, how in (
            (section.longer_opens, "opening", longer),
            (section.thicker_opens, "opening", thicker),
            (section.longer_holds, "hold", longer),
            (section.thicker_holds, "hold", thicker),
        )
    ]
    said = []
    for what in ("opening", "hold"):
        size, _, words, factor = max(change for change in changes if change[1] == what)
        if size < NOTHING:
            said.append(f"no length or diameter changes the {what} noticeably")
        else:
            said.append(f"{words} changes the {what} most, {_change(factor)}")
    return f"{capitalised('; '.join(said))}."
