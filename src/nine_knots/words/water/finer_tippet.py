"""What a finer tippet would do under a float: the trade thinks it more than it is."""

from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import LevelSection
from nine_knots.core.techniques import fish
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.time_in_zone import FishedRig, fish_rig
from nine_knots.words.facts import Fact

FINER_M, FINEST_M = 2.0 * THOU_M, 3.0 * THOU_M  # two X, and 8X
NOTABLE_M = 0.01


def finer_tippet(
    design: Design, fished: FishedRig, ask: WaterQuestion, units: Units
) -> tuple[Fact, ...]:
    """How much deeper a tippet of two X less fishes: the trade thinks it more than it is."""
    leader = design.leader
    tippet = leader.pieces[-1]
    if not isinstance(tippet, LevelSection):
        return ()
    finer_m = tippet.strand.diameter_m - FINER_M
    if finer_m < FINEST_M:
        return ()
    finer = tippet.strand.model_copy(update={"diameter_m": finer_m, "strength_n": None})
    pieces = (*leader.pieces[:-1], tippet.evolve(strand=finer))
    other = design.model_copy(update={"leader": leader.model_copy(update={"pieces": pieces})})
    deeper = fished.lowest.height_m - fish_rig(fish(other, ask)).lowest.height_m
    more = "no deeper noticeably"
    if deeper > NOTABLE_M:
        more = f"{units.length(deeper).text} deeper"
    return (
        Fact(
            "Finer tippet",
            f"Thin tippet is thought to sink better: two X finer would fish {more} here. It "
            "drifts better because it is softer.",
        ),
    )
