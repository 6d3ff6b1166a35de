"""What a change does to the measures that it was not made for."""

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.measure import Measure
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.verdict import grounds_of, verdict_of
from nine_knots.core.judge.ways import judgement_of
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.ways import way_of
from nine_knots.core.trade.design import Design


def other_measures(design: Design, ask: WaterAsk, angler: Angler) -> tuple[Measure, ...]:
    """The measures that need no cast: match, hold and length, and in the water depth and drift."""
    own, units = angler.tyer.knots, angler.units
    found = verdict_of(design, grounds_of(design, own), units, own)
    judgement = judgement_of(way_of(design))
    if judgement.by_slack:
        return found
    try:
        return (*found, *reversed(tuple(judgement.measures(design, ask, units))))
    except CannotCompute:
        return found
