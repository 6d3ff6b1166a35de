"""Which tippet: by the hook, and not finer than this fish and these snags allow."""

from nine_knots.core.base.frozen import Frozen
from nine_knots.core.base.units.factors import GRAVITY_M_S2, THOU_M
from nine_knots.core.physics.section import area_m2
from nine_knots.core.trade.materials import MATERIALS
from nine_knots.core.trade.need import PULL_OF_WEIGHT
from nine_knots.core.trade.situation import Situation

# Hook size over this is X: dries 3, the rest 3.5, streamers 4 [M: "by 3 or by 4"]; big predator
# flies need .014 in to be thrown at all [P].
HOOK_OVER_X = {"dry": 3.0, "midge": 3.0, "foam": 3.0, "emerger": 3.0, "nymph": 3.5, "wet": 3.5}
KNOTTED = 0.8  # 5 % low value of a knotted tippet over its unknotted strength [M]
FINEST_THOU, STOUTEST_THOU = 3.0, 22.0


class TippetAdvice(Frozen):
    """A diameter in metres and the reason for it."""

    diameter_m: float
    by: str


def diameter_for_strength_m(strength_n: float, material: str) -> float:
    """The thinnest diameter in metres, to .0005 in, whose law gives this strength in N."""
    law = MATERIALS[material].strength
    thou = FINEST_THOU
    while thou < 60.0 and law.stress_pa(thou * THOU_M) * area_m2(thou * THOU_M) < strength_n:
        thou += 0.5
    return thou * THOU_M


def thou_by_hook(situation: Situation) -> float:
    """Tippet in thousandths of an inch by the fly's hook and kind [P, M]."""
    fly = situation.fly
    if fly.kind == "predator":
        return 14.0
    x = max(0, fly.hook) / HOOK_OVER_X.get(fly.kind, 4.0)
    if fly.kind == "streamer":
        x = min(x, 1.0)
    return 11.0 - min(7.0, float(int(x + 0.5)))


def advise_tippet(situation: Situation) -> TippetAdvice:
    """Tippet for the day: by the hook, finer for very wary fish, stouter where strength asks.

    Strength asked: the steady pull this fish needs in these snags, or twice the pull of open
    water, over what a knot keeps.
    """
    thou = thou_by_hook(situation)
    by = "the hook"
    if situation.quarry.temper == "very wary" and situation.water.clarity == "clear":
        thou, by = thou - 1.0, "very wary fish in clear water"
    elif situation.water.clarity == "coloured":
        thou, by = thou + 1.0, "coloured water, which hides it"
    weight_n = situation.quarry.mass_kg * GRAVITY_M_S2
    share = max(PULL_OF_WEIGHT[situation.water.snags], 2 * PULL_OF_WEIGHT["open"])
    floor_m = diameter_for_strength_m(share * weight_n / KNOTTED, "nylon-soft")
    if floor_m > thou * THOU_M:
        thou, by = floor_m / THOU_M, f"a fish of that weight in {situation.water.snags} water"
    return TippetAdvice(diameter_m=min(STOUTEST_THOU, max(FINEST_THOU, thou)) * THOU_M, by=by)
