"""What is seen at the water, and the one next change for it, worked out beforehand."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import islice

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.side_effects import scores_without_cast
from nine_knots.core.base.cancellation import check_cancelled
from nine_knots.core.base.errors import Refused
from nine_knots.core.base.prose import capitalised
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import fly_float
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.plan import FlyFor
from nine_knots.core.domain.situation import Wish
from nine_knots.core.plan.what_if import AS_PLANNED, WhatIfQuestion, WhatIfRig
from nine_knots.core.remedies.search import Trial, other_spools
from nine_knots.core.remedies.turnover import remedies_for
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.words.adjustments import adjustment_words
from nine_knots.words.plan.by_hand import by_hand
from nine_knots.words.plan.what_if_rig import rig_change
from nine_knots.words.scores.reading import score_figure

SLOWER = (0.9, 0.8, 0.7)  # of the planned stroke, at which it is mended where it piles up
MOVED: tuple[Wish, ...] = ("swing", "strip")
TANGLED = (
    "Stop and check: a wind knot or a hitch halves the strength. Cut it out before you cast again."
)


@dataclass(frozen=True, slots=True)
class WaterAdvice:
    """Something seen, and what to do."""

    sees: str
    do: str


def water_advice_of(
    before: WhatIfQuestion,
    grid: tuple[tuple[WhatIfRig, ...], ...],
    flies: tuple[FlyFor, ...],
    wind: str,
) -> Iterator[WaterAdvice]:
    """The next change for each thing that is seen of a rig like this one; ``wind`` says how much of
    it the rig bears."""
    design = before.design
    if design.situation.floats:
        yield WaterAdvice(
            "It drags", "Mend upstream as it lands, or throw it with a stop and drop."
        )
        yield WaterAdvice("The fly sinks", _drier(design, flies))
        yield WaterAdvice("They look and turn away", _finer(design, before.angler))
    else:
        high, low = ("It does not touch", "It drags on the bed")
        if design.situation.wish in MOVED:
            high, low = ("It fishes too high", "It fishes too deep, or hangs up")
        yield WaterAdvice(high, _next(before, grid, 1))
        yield WaterAdvice(low, _next(before, grid, -1))
        yield WaterAdvice("They follow and turn away", _finer(design, before.angler))
    yield WaterAdvice("It piles up", _straighter(design, before.stroke, before.angler, before.gust))
    yield WaterAdvice(
        "It slams down", "Ease the stroke and aim higher, so that it opens above the water."
    )
    yield WaterAdvice("The wind gets up", wind)
    yield WaterAdvice("A tangle, a curl", TANGLED)


def _next(before: WhatIfQuestion, grid: tuple[tuple[WhatIfRig, ...], ...], step: int) -> str:
    """What the table says of water so much deeper (1) or shallower (-1) that the rig is wrong in
    it; where it is right in all of them, that it is not the rig."""
    day, units = before.design.situation, before.angler.units
    rows = grid[AS_PLANNED + 1 :] if step > 0 else grid[:AS_PLANNED][::-1]
    for row in rows:
        cell = row[min(AS_PLANNED, len(row) - 1)]
        change = rig_change(cell, day, before.stroke.drop, units)
        if change:
            return f"{capitalised(change).rstrip('.')}."
    times = "half as deep again" if step > 0 else "two thirds as deep"
    return f"The rig is right in water {times}: {by_hand(day.wish, day.water.pace_m_s, step > 0)}."


def _drier(design: Design, flies: tuple[FlyFor, ...]) -> str:
    """Dry it; then the one of the packed flies that carries more."""
    now = fly_float(design.situation.fly).carries_n
    more = [
        fly_for.fly
        for fly_for in flies
        if fly_for.wish == design.situation.wish and fly_float(fly_for.fly).carries_n > 1.05 * now
    ]
    said = "Dry it: false casts, a cloth, floatant."
    if not more:
        return f"{said} You have packed nothing that floats better."
    best = max(more, key=lambda fly: fly_float(fly).carries_n)
    return f"{said} If it still sinks: the {best.title}, which carries more."


def _finer(design: Design, angler: Angler) -> str:
    """The next finer tippet owned, and whether it still holds; or rest them."""
    bench = Workbench(stock=angler.stock, fly=design.situation.fly, units=angler.units)
    now = Trial(design, Stroke(), USUAL_QUESTION)
    last = len(design.leader.pieces) - 1
    for finer in islice(other_spools(now, bench, last, False, "tippet"), 3):
        hold = next(
            score for score in scores_without_cast(finer.design, angler) if score.key == "hold"
        )
        across = angler.units.tippet(finer.design.leader.tippet_diameter_m).text
        breaks = score_figure(hold, angler.units)
        if hold.status == "too little":
            return (
                f"Rest them, then try a smaller fly. Don't go finer: {across} {breaks}, "
                "too little for such a fish here."
            )
        return f"Rest them, then go finer: {across}; it {breaks}."
    return "Rest them, then try a smaller fly. You carry no finer tippet."


def _straighter(design: Design, stroke: Stroke, angler: Angler, gust: Gust) -> str:
    """The first change that opens it with a stroke so much slower that it piles up."""
    for slower in SLOWER:
        check_cancelled()
        tired = stroke.model_copy(update={"speed_m_s": slower * stroke.speed_m_s})
        try:
            found = remedies_for(design, tired, angler, gust)
        except Refused:
            continue
        if found:
            slow = f"{1.0 - slower:.0%}"
            words = capitalised(adjustment_words(found[0].change, angler.units))
            return f"{words}: then it opens with a stroke {slow} slower, too."
    return (
        "It opens with a stroke a third slower, so it's the timing: let the back cast "
        "straighten, and stop high."
    )
