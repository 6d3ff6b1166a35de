"""What the hands do where the rig is not to be changed: for more depth, or for less."""

from nine_knots.core.domain.situation import Wish
from nine_knots.core.water.surroundings import STILL_M_S

# Deeper, and less deep, by how the fly is fished [common practice, no source].
HANDS: dict[Wish, tuple[str, str]] = {
    "strip": (
        "count it down longer before the first strip, and strip slower",
        "begin to strip sooner, and strip faster",
    ),
    "swing": (
        "cast farther upstream and mend, so that it sinks before it swings",
        "cast more across, and let it swing sooner",
    ),
    "lead and drop": (
        "give it slack and let it drop longer between lifts",
        "lift the rod sooner, and lead it faster",
    ),
}
DRIFTED = (
    "cast farther upstream and give it time, or feed line",
    "raise the rod, cast less far upstream, or fish it sooner",
)
STANDING = ("give it more time before you move it", "lift it sooner, and let it sink for less time")


def by_hand(wish: Wish, pace_m_s: float, deeper: bool) -> str:
    """How to fish it deeper, or less deep, with the same rig, at a pace."""
    usual = STANDING if pace_m_s <= STILL_M_S else DRIFTED
    down, up = HANDS.get(wish, usual)
    return down if deeper else up
