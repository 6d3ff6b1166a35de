"""Ways of fishing, one file each; whatever ``Way`` a file of this folder defines is one."""

from nine_knots.core.base.rooms import found_in
from nine_knots.core.models.water.ask import USUAL_ASK, WaterAsk
from nine_knots.core.models.water.way import Fishing, Way
from nine_knots.core.trade.design import Design

WAYS: tuple[Way, ...] = tuple(sorted(found_in(__name__, Way), key=lambda way: way.place))
"""All ways, in the order in which they are asked whether they fit."""


def way_of(design: Design) -> Way:
    """How this rig is fished on this day."""
    return next(way for way in WAYS if way.fits(design))


def fish(design: Design, ask: WaterAsk = USUAL_ASK) -> Fishing:
    """A design laid on the water in its way; CannotCompute where the model cannot follow it."""
    return way_of(design).fish(design, ask)
