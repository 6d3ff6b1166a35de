"""What was seen and learnt of an angler: landings, the own cast, pull tests."""

from math import log
from typing import Any

from pydantic import TypeAdapter

from nine_knots.core.judge.landings import Seen
from nine_knots.core.judge.own_cast import Estimate
from nine_knots.core.trade.knots.own import PullTest
from nine_knots.kept.envelope import Kind, as_it_was

# Figures as they were when version 2 was made: an upgrade never uses today's.
PILED_UP_M_S, SOFT_M_S, SLAMMED_M_S = 2.5, 5.0, 25.0  # of arrival, in version 1
PILES_UP, SOFT, SLAMS = 0.90, 1.35, 2.4  # reserves, in version 2
ARRIVAL_SLOPE = 1.8  # of the logarithm of arrival with that of launch speed, on a usual leader
FARTHEST = 2.0  # of the logarithm of a reserve


def usual_reserve(at_usual: float, slope: float) -> float:
    """ln of a stroke's reserve from ln of the arrival that it gave, and how that went with speed:
    where arrival was what leaders piled up at, the reserve is."""
    found = (at_usual - log(PILED_UP_M_S)) / slope + log(PILES_UP)
    return max(-FARTHEST, min(FARTHEST, found))


def _own_by_reserve(body: Any) -> Any:
    """Version 2 has thresholds on the reserve; those on arrival are carried over."""
    own, by = body["own"], 1.0 / ARRIVAL_SLOPE
    return {
        "own": {
            "speed_factor": own["speed_factor"],
            "piles_up": PILES_UP * (own["piles_up_m_s"] / PILED_UP_M_S) ** by,
            "soft": SOFT * (own["soft_m_s"] / SOFT_M_S) ** by,
            "slams": SLAMS * (own["slams_m_s"] / SLAMMED_M_S) ** by,
        },
        "speed": body["speed"],
        **{key: by * body[key] for key in ("piles_up", "soft", "slams")},
    }


NOW_PILES_UP, NOW_SOFT, NOW_SLAMS = 1.0, 1.4, 2.4  # margins, in version 3


def _own_by_margin(body: Any) -> Any:
    """Version 3 has thresholds on margins that do not depend on the mesh; those before are carried
    over, until the landings behind them are cast anew."""
    own = body["own"]
    return {
        **body,
        "own": {
            "speed_factor": own["speed_factor"],
            "piles_up": NOW_PILES_UP / PILES_UP * own["piles_up"],
            "soft": NOW_SOFT / SOFT * own["soft"],
            "slams": NOW_SLAMS / SLAMS * own["slams"],
        },
    }


SEEN = Kind("landing", TypeAdapter(Seen), (as_it_was, as_it_was))
ESTIMATE: Kind[Estimate] = Kind(
    "own cast", TypeAdapter(Estimate), (_own_by_reserve, _own_by_margin)
)
PULL_TEST = Kind("pull test", TypeAdapter(PullTest), (as_it_was,))
