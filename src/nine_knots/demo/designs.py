"""Six leaders of the demo, each worked out by its school from the demo's shelf."""

from functools import cache

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import Situation, TargetFish, Water, Wind, Wish
from nine_knots.core.domain.strand import Stock
from nine_knots.core.propose.propose import propose
from nine_knots.core.schools.school import SchoolParameters
from nine_knots.demo.tackle import FLIES, LINES, RODS


def _day(
    outfit: str, fly: str, wish: Wish, water: Water, quarry: TargetFish, wind: Wind
) -> Situation:
    return Situation(
        water=water,
        wind=wind,
        quarry=quarry,
        fly=FLIES[fly],
        rod=RODS[outfit],
        line=LINES[outfit],
        wish=wish,
    )


SKARN_EVENING = _day(
    "river",
    "skarn-sedge",
    "drift on top",
    Water(kind="pocket water", depth_m=0.5, pace_m_s=0.8, bed="cobble"),
    TargetFish(kind="grayling", mass_kg=0.6, temper="wary"),
    Wind(speed_m_s=2.5, bearing="upstream"),
)
_FLAT_GLIDE = _day(
    "brook",
    "grey-speck",
    "drift on top",
    Water(kind="glide", depth_m=0.8, pace_m_s=0.4, bed="gravel"),
    TargetFish(kind="grayling", mass_kg=0.8, temper="very wary"),
    Wind(),
)
_NIGHT_POOL = _day(
    "river",
    "night-runner",
    "swing",
    Water(kind="pool", depth_m=1.3, pace_m_s=0.4, bed="boulder", snags="some snags"),
    TargetFish(kind="sea-trout", mass_kg=1.8, temper="wary"),
    Wind(speed_m_s=0.9, bearing="across"),
)
_ESTUARY = _day(
    "tide",
    "sand-dancer",
    "strip",
    Water(kind="estuary", depth_m=1.3, pace_m_s=0.8, bed="sand", clarity="tinged"),
    TargetFish(kind="sea-bass", mass_kg=2.0, temper="easy"),
    Wind(speed_m_s=6.7, bearing="in the face"),
)
_PERCH_LAKE = _day(
    "river",
    "perch-minnow",
    "strip",
    Water(kind="lake", depth_m=2.2, pace_m_s=0.0, bed="sand", clarity="tinged"),
    TargetFish(kind="perch", mass_kg=0.5, temper="easy"),
    Wind(speed_m_s=4.4, bearing="across"),
)

_PLANS: tuple[tuple[str, str, Situation, SchoolParameters, str], ...] = (
    (
        "Skarn evening sedge",
        "sixty-twenty-twenty",
        SKARN_EVENING,
        SchoolParameters(),
        "Runa's everyday leader for the pockets above the bridge.",
    ),
    (
        "Long fine for the mill glide",
        "compound-slack",
        _FLAT_GLIDE,
        SchoolParameters(length_m=3.6),
        "Drive it, stop high, and let it fall in curves. Not in wind.",
    ),
    (
        "Knotless for the weedy side",
        "sixty-twenty-twenty-knotless",
        SKARN_EVENING,
        SchoolParameters(),
        "No knots to gather weed; the tippet is changed, the taper stays.",
    ),
    (
        "Night pool",
        "halving",
        _NIGHT_POOL,
        SchoolParameters(power=0.5),
        "Few knots: to be mended with cold fingers and no light.",
    ),
    (
        "Estuary wind leader",
        "even-step",
        _ESTUARY,
        SchoolParameters(power=0.6),
        "Eskil ties it stout; it lies straight across the tide.",
    ),
    (
        "Perch lake, two parts",
        "two-part",
        _PERCH_LAKE,
        SchoolParameters(),
        "Five minutes' work and good enough off the jetty.",
    ),
)


@cache
def demo_designs(stock: tuple[Stock, ...]) -> tuple[Design, ...]:
    """The six saved leaders, computed from the shelf."""
    units = Units("imperial")
    return tuple(
        Design(
            title=title,
            notes=notes,
            situation=situation,
            leader=propose(school, situation, parameters, stock, units).leader,
        )
        for title, school, situation, parameters, notes in _PLANS
    )
