"""Which tippet: by the hook, and not finer than this fish and these snags allow."""

from nine_knots.core.base.units.factors import GRAVITY_M_S2, POUND_N, THOU_M
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.label_sizes import labelled_thickness_m, usual_label_n
from nine_knots.core.domain.need import PULL_OF_WEIGHT
from nine_knots.core.domain.situation import Situation

# Hook size over this is X: dries 3, the rest 3.5, streamers 4 [M: "by 3 or by 4"]; big predator
# flies need .014 in to be thrown at all [P].
HOOK_OVER_X = {"dry": 3.0, "midge": 3.0, "foam": 3.0, "emerger": 3.0, "nymph": 3.5, "wet": 3.5}
KNOTTED = 0.8  # 5 % low value of a knotted tippet over its unknotted strength [M]
FINEST_THOU, STOUTEST_THOU = 3.0, 22.0

# Lightest and heaviest usual label in pounds by fish, where builders go by it [P]; thinnest and
# thickest tippet in thousandths where a method or a fish has its own [P].
LABELS_LB: dict[str, tuple[float, float]] = {
    "black-bass": (12.0, 20.0),
    "sea-bass": (12.0, 20.0),
    "striped-bass": (12.0, 20.0),
    "red-drum": (12.0, 20.0),
    "tarpon": (16.0, 20.0),
}
STREAMER_THOU = 10.0
STEELHEAD = ("steelhead", "salmon")
STEELHEAD_THOU = (9.0, 11.0)
LED_THOU = (5.0, 6.0)  # under a tight line: 6X to 5X
STOUT_LB = (10.0, 14.0)  # of what is tied by strength, at least [P]
LABEL_ABOUT = 0.3  # either way of a tippet's label, where nothing names it


class TippetAdvice(Frozen):
    """A diameter in metres and the reason for it."""

    diameter_m: float
    by: str


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
    low, high, why = _by_method(situation)
    if not low <= thou <= high:
        thou, by = min(high, max(low, thou)), why
    elif situation.quarry.temper == "very wary" and situation.water.clarity == "clear":
        finer = max(low, thou - 1.0)
        thou, by = (finer, "very wary fish in clear water") if finer < thou else (thou, why)
    elif situation.water.clarity == "coloured":
        thou, by = thou + 1.0, "coloured water, which hides it"
    floor_m = labelled_thickness_m(_floor_n(situation), "nylon-soft")
    if floor_m > thou * THOU_M:
        thou, by = floor_m / THOU_M, f"a fish of that weight in {situation.water.snags} water"
    return TippetAdvice(diameter_m=min(STOUTEST_THOU, max(FINEST_THOU, thou)) * THOU_M, by=by)


def _floor_n(situation: Situation) -> float:
    weight_n = situation.quarry.mass_kg * GRAVITY_M_S2
    share = max(PULL_OF_WEIGHT[situation.water.snags], 2 * PULL_OF_WEIGHT["open"])
    return share * weight_n / KNOTTED


def _by_method(situation: Situation) -> tuple[float, float, str]:
    """Thinnest and thickest tippet in thousandths for how it is fished and for what, and why."""
    labels = LABELS_LB.get(situation.quarry.kind)
    if labels is not None and not situation.floats:
        low, high = (
            labelled_thickness_m(label * POUND_N, "nylon-medium") / THOU_M for label in labels
        )
        return low, high, f"what is usual for {situation.quarry.fish.title}"
    if situation.fly.kind in ("streamer", "predator"):
        return STREAMER_THOU, STOUTEST_THOU, "streamers, which finer tippet does not turn over"
    if situation.quarry.kind in STEELHEAD:
        return *STEELHEAD_THOU, f"{situation.quarry.kind}, by the usual"
    return FINEST_THOU, STOUTEST_THOU, "the hook"


def led_tippet_m(situation: Situation) -> float:
    """Diameter in metres of a tippet led on a tight line: by the hook, 6X to 5X."""
    low, high = LED_THOU
    return min(high, max(low, thou_by_hook(situation))) * THOU_M


def labels_n(situation: Situation) -> tuple[float, float]:
    """Lightest and heaviest label in N for a tippet chosen by strength: by the fish, or about what
    the hook and the fish's weight ask."""
    usual = LABELS_LB.get(situation.quarry.kind)
    if usual is not None:
        return usual[0] * POUND_N, usual[1] * POUND_N
    across = advise_tippet(situation).diameter_m
    label = usual_label_n(across)
    low, high = ((1.0 + off) * label for off in (-LABEL_ABOUT, LABEL_ABOUT))
    return max(STOUT_LB[0] * POUND_N, low), max(STOUT_LB[1] * POUND_N, high)
