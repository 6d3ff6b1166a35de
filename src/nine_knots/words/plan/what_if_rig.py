"""A rig in other water than planned, in words: how it fishes there, and the one thing to change."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.situation import Situation
from nine_knots.core.plan.what_if import PackedFlyTried, WhatIfRig
from nine_knots.words.adjustments import adjustment_words
from nine_knots.words.plan.by_hand import by_hand
from nine_knots.words.scores.reading import score_figure, score_title, score_why

MEND = "mend as it lands, or fish it in a slower lane"


def rig_figure(rig: WhatIfRig, units: Units) -> str:
    """``fishes at 2 ft``."""
    return score_figure(rig.score, units) if rig.score is not None else "–"


def rig_change(rig: WhatIfRig, day: Situation, drop: bool, units: Units) -> str:
    """The one thing to change; nothing where it is right. ``drop`` where it is thrown with a stop
    and drop already."""
    if rig.score is None:
        return rig.refused
    if rig.status == "right":
        return ""
    if day.floats:
        return MEND if drop else f"throw it with a stop and drop; {MEND}"
    if rig.change is not None:
        return adjustment_words(rig.change, units)
    why = score_why(rig.score, units)
    if rig.score.key == "depth":
        deeper = rig.status == "too little"
        hands = by_hand(day.wish, rig.pace_m_s, deeper)
        return f"{hands}; else a {'heavier' if deeper else 'lighter'} fly. {why}"
    return f"no setting here fixes it. {why}"


def fly_words(tried: PackedFlyTried, units: Units) -> str:
    """Whether another fly serves on the rig as it is."""
    if tried.refused:
        return f"{tried.title}: not like this. {tried.refused}"
    if tried.wrong is None:
        return f"{tried.title}: as it is."
    wrong = f"{score_title(tried.wrong)}: {score_figure(tried.wrong, units)}."
    return f"{tried.title}: not like this. {wrong}"
