"""A score as it is shown: title, question, figure and why, from what was found."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from nine_knots.core.assess.turnover import MonoFinding, TurnoverFinding
from nine_knots.core.assess.verdict import HoldFinding, LengthFinding, MatchFinding
from nine_knots.core.base.score import Band, Finding, Score, ScoreKey, Status
from nine_knots.core.base.units import Units
from nine_knots.core.techniques.let_drop import DropFinding
from nine_knots.core.techniques.on_top import FloatFinding, FreeFinding
from nine_knots.core.techniques.stripped import StripFinding
from nine_knots.core.techniques.swung import SwingFinding
from nine_knots.core.techniques.tight_line import TightLineFinding
from nine_knots.core.water.floated import FloatedFinding
from nine_knots.core.water.scores import DepthFinding
from nine_knots.words.scores import depth, drift, turnover, verdict

BAND = Band()


@dataclass(frozen=True, slots=True)
class ScoreReading:
    """One measure: its ``position`` from 0 to 1 on the scale and the wanted ``band`` there, a
    figure of a few words, and why."""

    key: ScoreKey
    title: str
    question: str
    status: Status
    marginal: bool
    position: float
    figure: str
    why: str
    band: Band = BAND


Told = Callable[[Any, Units], str]


@dataclass(frozen=True, slots=True)
class FindingWords:
    """What a kind of finding answers, and how it is told."""

    question: str
    figure: Told
    why: Told


WORDS: dict[type[Finding], FindingWords] = {
    TurnoverFinding: FindingWords(
        "Does it open with your stroke, and with how much to spare?",
        lambda found, _units: turnover.turnover_figure(found),
        turnover.turnover_why,
    ),
    MonoFinding: FindingWords(
        "Can the fly pull the mono?",
        lambda found, _units: turnover.MONO[found.reason],
        lambda found, _units: turnover.mono_why(found),
    ),
    MatchFinding: FindingWords(
        "Does the loop run on, or fold at a joint?",
        lambda found, _units: verdict.MATCH_FIGURES[found.reason],
        verdict.match_why,
    ),
    HoldFinding: FindingWords(
        "Does it hold this fish in this water?", verdict.hold_figure, verdict.hold_why
    ),
    LengthFinding: FindingWords(
        "Is it a usual length here?", verdict.length_figure, verdict.length_why
    ),
    DepthFinding: FindingWords(
        "Does it fish where the fish are?", depth.depth_figure, depth.depth_why
    ),
    FloatFinding: FindingWords(
        "Does it float, and how does the tippet lie?",
        lambda found, _units: depth.FLOATS[found.reason],
        depth.float_why,
    ),
    FreeFinding: FindingWords("How long is it free of drag?", drift.free_figure, drift.free_why),
    FloatedFinding: FindingWords(
        "Does it drift freely?",
        lambda found, _units: drift.floated_figure(found),
        drift.floated_why,
    ),
    SwingFinding: FindingWords("How fast does it swim?", drift.swing_figure, drift.swing_why),
    StripFinding: FindingWords(
        "Does it jig, or track the line?",
        lambda found, _units: drift.STRIPPED[found.reason],
        drift.strip_why,
    ),
    TightLineFinding: FindingWords(
        "Is it down, and long enough?", drift.tight_line_figure, drift.tight_line_why
    ),
    DropFinding: FindingWords("How soon is it down?", drift.drop_figure, drift.drop_why),
}


def score_title(score: Score) -> str:
    """``Turnover``."""
    return score.key.capitalize()


def score_figure(score: Score, units: Units) -> str:
    """How it stands, in a few words."""
    return WORDS[type(score.finding)].figure(score.finding, units)


def score_why(score: Score, units: Units) -> str:
    """Why it stands so, in a sentence or two."""
    return WORDS[type(score.finding)].why(score.finding, units)


def score_reading(score: Score, units: Units, *more: str) -> ScoreReading:
    """The whole of it, with what ``more`` there is to say of it; empty sentences are left out."""
    return ScoreReading(
        key=score.key,
        title=score_title(score),
        question=WORDS[type(score.finding)].question,
        status=score.status,
        marginal=score.marginal,
        position=score.position,
        figure=score_figure(score, units),
        why=" ".join(sentence for sentence in (score_why(score, units), *more) if sentence),
    )


def score_readings(scores: tuple[Score, ...], units: Units) -> tuple[ScoreReading, ...]:
    """Scores as they are shown, in their order."""
    return tuple(score_reading(score, units) for score in scores)
