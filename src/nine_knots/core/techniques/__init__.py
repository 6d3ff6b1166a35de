"""Ways of fishing, one file each; whatever ``Technique`` a file of this folder defines is one."""

from nine_knots.core.base.discovery import discover
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import USUAL_QUESTION, WaterQuestion
from nine_knots.core.water.technique import RigInStream, Technique

TECHNIQUES: tuple[Technique, ...] = tuple(
    sorted(discover(__name__, Technique), key=lambda technique: technique.place)
)
"""All ways, in the order in which they are asked whether they fit."""


def technique_of(design: Design) -> Technique:
    """How this rig is fished on this day."""
    return next(technique for technique in TECHNIQUES if technique.fits(design))


def fish(design: Design, ask: WaterQuestion = USUAL_QUESTION) -> RigInStream:
    """A design laid on the water in its way; CannotCompute where the model cannot follow it."""
    return technique_of(design).fish(design, ask)
