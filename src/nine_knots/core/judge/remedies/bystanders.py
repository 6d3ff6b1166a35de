"""What a change does to the measures that it was not made for."""

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.measure import Measure
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.verdict import grounds_of, verdict_of
from nine_knots.core.judge.ways import judgement_of
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.ways import way_of
from nine_knots.core.trade.design import Design


def on_the_table(design: Design, angler: Angler) -> tuple[Measure, ...]:
    """Match, hold and length, with the knots as they hold in the angler's hands."""
    own = angler.tyer.knots
    return verdict_of(design, grounds_of(design, own), angler.units, own)


def breaks_another(before: tuple[Measure, ...], after: tuple[Measure, ...]) -> bool:
    """Whether a change leaves match or hold wrong that was right: no remedy, but another fault."""
    right = {one.key for one in before if one.standing == "right" and one.key in ("match", "hold")}
    return any(one.standing != "right" for one in after if one.key in right)


def other_measures(design: Design, ask: WaterAsk, angler: Angler) -> tuple[Measure, ...]:
    """The measures that need no cast: match, hold and length, and in the water depth and drift."""
    found = on_the_table(design, angler)
    judgement = judgement_of(way_of(design))
    if judgement.by_slack:
        return found
    try:
        return (*found, *reversed(tuple(judgement.measures(design, ask, angler.units))))
    except CannotCompute:
        return found
