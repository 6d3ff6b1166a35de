"""Every type of value that is stored, with its version and the upgrades to today's."""

from math import log
from typing import Any

from pydantic import TypeAdapter

from nine_knots.core.assess.landings import ObservedLanding
from nine_knots.core.assess.own_cast import Estimate
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.event import Event
from nine_knots.core.domain.knots.own import PullTest
from nine_knots.core.domain.leader.lower_rig import LowerRig
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.domain.strand import Stock
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.core.domain.wallet import WalletRig
from nine_knots.core.measuring.measurement import Measurement
from nine_knots.stored_types.stored_type import StoredType, added_fields_only

DESIGN = StoredType("leader", TypeAdapter(Design), (added_fields_only,) * 3)

STOCK: StoredType[Stock] = StoredType("spool", TypeAdapter(Stock), (added_fields_only,) * 3)
ROD = StoredType("rod", TypeAdapter(Rod))
LINE = StoredType("line", TypeAdapter(FlyLine), (added_fields_only,) * 3)
FLY = StoredType("fly", TypeAdapter(Fly), (added_fields_only, added_fields_only))

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


SEEN = StoredType("landing", TypeAdapter(ObservedLanding), (added_fields_only,) * 3)
ESTIMATE: StoredType[Estimate] = StoredType(
    "own cast", TypeAdapter(Estimate), (_own_by_reserve, _own_by_margin)
)
PULL_TEST = StoredType("pull test", TypeAdapter(PullTest), (added_fields_only,))

PLAN = StoredType("plan", TypeAdapter(DayPlan), (added_fields_only,))
WALLET_RIG = StoredType("wallet rig", TypeAdapter(WalletRig), (added_fields_only,))
EVENT = StoredType("event", TypeAdapter(Event))

PLACE = StoredType("place", TypeAdapter(Place))

MEASUREMENT = StoredType("measurement", TypeAdapter(Measurement), (added_fields_only,))

LOWER_RIG = StoredType("lower rig", TypeAdapter(LowerRig), (added_fields_only,))

STORED_TYPES: dict[str, StoredType[Any]] = {
    stored.name: stored
    for stored in (
        DESIGN,
        STOCK,
        ROD,
        LINE,
        FLY,
        SEEN,
        ESTIMATE,
        PULL_TEST,
        PLAN,
        WALLET_RIG,
        EVENT,
        PLACE,
        MEASUREMENT,
        LOWER_RIG,
    )
}
