"""How each way of fishing is judged: one file beside the way's own, found by being there."""

from nine_knots.core.assess.water.technique_assessment import TechniqueAssessment
from nine_knots.core.base.discovery import discover
from nine_knots.core.water.technique import Technique

ASSESSMENTS: dict[str, TechniqueAssessment] = {
    technique_assessment.way.key: technique_assessment
    for technique_assessment in discover(__name__, TechniqueAssessment)
}


def assessment_of(way: Technique) -> TechniqueAssessment:
    """How a way is judged."""
    return ASSESSMENTS[way.key]
