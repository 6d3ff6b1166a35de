"""Examples for the OpenAPI document, made from the core's own values."""

from typing import Any

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Connection, Leader, LevelSection
from nine_knots.core.domain.situation import Situation, TargetFish, Water, Wind
from nine_knots.core.domain.strand import Strand
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod

_SITUATION = Situation(
    water=Water(kind="glide", depth_m=0.8, pace_m_s=0.4),
    wind=Wind(),
    quarry=TargetFish(kind="grayling", mass_kg=0.5),
    fly=Fly(title="Dry fly 16", kind="dry", hook=16),
    rod=Rod(title="9 ft 5-weight", length_m=2.745, weight=5),
    line=FlyLine(title="5-weight floating line", weight=5),
    wish="drift on top",
)
_LEADER = Leader(
    pieces=(
        LevelSection(
            role="butt", strand=Strand(material="nylon-stiff", diameter_m=0.43e-3), length_m=1.5
        ),
        LevelSection(
            role="tippet", strand=Strand(material="nylon-medium", diameter_m=0.36e-3), length_m=0.9
        ),
    ),
    joints=(
        Connection(kind="loops", knot="perfection-loop"),
        Connection(knot="blood"),
        Connection(knot="improved-clinch"),
    ),
)
SITUATION: dict[str, Any] = _SITUATION.model_dump(mode="json")
DESIGN: dict[str, Any] = Design(
    title="Two pieces for the glide", situation=_SITUATION, leader=_LEADER
).model_dump(mode="json")
