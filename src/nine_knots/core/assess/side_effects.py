"""What a change does to the measures that it was not made for."""

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.verdict import assessment_inputs, verdict_of
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import Score
from nine_knots.core.domain.design import Design
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import WaterQuestion


def scores_without_cast(design: Design, angler: Angler) -> tuple[Score, ...]:
    """Match, hold and length, with the knots as they hold in the angler's hands."""
    own = angler.tyer.knots
    return verdict_of(design, assessment_inputs(design, own), own)


def worsens_another(before: tuple[Score, ...], after: tuple[Score, ...]) -> bool:
    """Whether a change leaves match or hold wrong that was right: no remedy, but another fault."""
    right = {
        score.key for score in before if score.status == "right" and score.key in ("match", "hold")
    }
    return any(score.status != "right" for score in after if score.key in right)


def other_measures(design: Design, ask: WaterQuestion, angler: Angler) -> tuple[Score, ...]:
    """The measures that need no cast: match, hold and length, and in the water depth and drift."""
    found = scores_without_cast(design, angler)
    technique = technique_of(design)
    if technique.by_slack:
        return found
    try:
        return (*found, *reversed(tuple(technique.measures(design, ask))))
    except CannotCompute:
        return found
