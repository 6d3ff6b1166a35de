"""What differs between two leaders, or between one and what it became of other spools, in words."""

from nine_knots.core.assess.refit import Swapped
from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader, Section
from nine_knots.core.domain.strand import Strand, TaperedStrand
from nine_knots.words.sentence import sentence_words
from nine_knots.words.tying import joint_title


def swap_words(swaps: tuple[Swapped, ...], units: Units) -> tuple[str, ...]:
    """Which pieces are of another spool than they were made of, a sentence each."""
    said = []
    for swap in swaps:
        if swap.same:
            continue
        was = _strand_text(swap.was, units)
        if swap.now is None:
            said.append(f"Piece {swap.piece + 1}: no spool of yours is like {was}; it is kept so.")
        else:
            said.append(f"Piece {swap.piece + 1}: {swap.now.title}, for {was}.")
    return tuple(said) or ("All of it is of spools that you own.",)


def differences(before: Design, after: Design, units: Units) -> tuple[str, ...]:
    """What was changed from one design to another, a short sentence each."""
    said = []
    if before.title != after.title:
        said.append(f"Its name: {after.title}, was {before.title}.")
    said += _day(before, after, units)
    said += _leader(before.leader, after.leader, units)
    if before.notes != after.notes:
        said.append("The notes changed.")
    return tuple(said) or ("No differences.",)


def _day(before: Design, after: Design, units: Units) -> list[str]:
    then, now = (
        {phrase.part: phrase.text for phrase in sentence_words(design.situation, units)}
        for design in (before, after)
    )
    parts = [
        f"{text}, was {then[part]}"
        for part, text in now.items()
        if part in then and then[part] != text
    ]
    return [f"The day: {'; '.join(parts)}."] if parts else []


def _leader(before: Leader, after: Leader, units: Units) -> list[str]:
    said = []
    then, now = units.length(before.length_m).text, units.length(after.length_m).text
    if then != now:
        said.append(f"Whole length: {now}, was {then}.")
    if len(before.pieces) != len(after.pieces):
        more = len(after.pieces) - len(before.pieces)
        word = "more" if more > 0 else "fewer"
        said.append(f"{capitalised(count_words(abs(more), 'piece'))} {word}: {_row(after, units)}.")
    else:
        said += [
            f"Piece {number + 1}: {_piece_text(new, units)}, was {_piece_text(old, units)}."
            for number, (old, new) in enumerate(zip(before.pieces, after.pieces, strict=True))
            if _piece_text(old, units) != _piece_text(new, units)
        ]
        said += [
            f"Joint {joint}: {joint_title(after, joint)}, was {joint_title(before, joint)}."
            for joint in range(len(after.joints))
            if joint_title(before, joint) != joint_title(after, joint)
        ]
    old_flies, new_flies = (
        [fly.title for _, fly in leader.flies_above] for leader in (before, after)
    )
    if old_flies != new_flies:
        said.append(f"Flies above: {_names(new_flies)}, was {_names(old_flies)}.")
    if before.attachments != after.attachments:
        said.append("What is attached to it.")
    return said


def _names(names: list[str]) -> str:
    return join_words(names) if names else "none"


def _row(leader: Leader, units: Units) -> str:
    return ", ".join(_piece_text(piece, units) for piece in leader.pieces)


def _piece_text(piece: Section, units: Units) -> str:
    across = units.diameter(piece.lower_diameter_m).text
    return f"{units.length(piece.length_m).text} of {across} {piece.strand.substance.title}"


def _strand_text(strand: Strand | TaperedStrand, units: Units) -> str:
    if isinstance(strand, TaperedStrand):
        tip = units.tippet(strand.profile.tip_diameter_m).text
        return f"a knotless {units.length(strand.profile.length_m).text} taper to {tip}"
    sighter = ", a sighter" if strand.colour == "sighter" else ""
    return f"{units.tippet(strand.diameter_m).text} {strand.substance.title}{sighter}"
