"""Eight rigs of the demo, six in the Skarn valley and two at sea, each by its school."""

from functools import cache

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.rig_edits import SetThing
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.situation import Situation, TargetFish, Water, WaterRules, Wind, Wish
from nine_knots.core.domain.strand import Stock
from nine_knots.core.propose.propose import propose
from nine_knots.core.remedies.tuning import setting_for_m
from nine_knots.core.schools.school import SchoolParameters
from nine_knots.demo.tackle import FLIES, LINES, RODS


def _day(outfit: str, fly: str, wish: Wish, water: Water, quarry: TargetFish) -> Situation:
    return Situation(
        water=water,
        wind=Wind(speed_m_s=0.9),
        quarry=quarry,
        fly=FLIES[fly],
        rod=RODS["tide" if outfit in ("tide", "lake") else outfit],
        line=LINES[outfit],
        wish=wish,
    )


_VALLEY = WaterRules(most_flies=2, barbless=True, lead_banned=True)
_GRAYLING = TargetFish(kind="grayling", mass_kg=0.7, temper="wary")
_SEA_TROUT = TargetFish(kind="sea-trout", mass_kg=2.2, temper="wary")
_BASS = TargetFish(kind="sea-bass", mass_kg=2.0, temper="easy")

_PLANS: tuple[tuple[str, str, Situation, str], ...] = (
    (
        "Sedge and olive",
        "nymph-under-dry",
        _day(
            "river",
            "slim-olive",
            "drift deep",
            Water(kind="run", depth_m=0.6, pace_m_s=0.6, bed="gravel", rules=_VALLEY),
            _GRAYLING,
        ),
        "The sedge floats it; when it dips, lift.",
    ),
    (
        "Two under the float, bridge run",
        "indicator-nymph",
        _day(
            "river",
            "slate-point",
            "drift deep",
            Water(kind="run", depth_m=1.1, pace_m_s=0.9, bed="cobble", rules=_VALLEY),
            _GRAYLING,
        ),
        "In line, so that it does not tangle from the high bank.",
    ),
    (
        "Tag rig for the gorge pool",
        "indicator-nymph-tag",
        _day(
            "river",
            "copper-bug",
            "drift deep",
            Water(kind="pool", depth_m=1.5, pace_m_s=0.5, bed="boulder", rules=_VALLEY),
            _GRAYLING,
        ),
        "Set long here; bring the float down for the tail.",
    ),
    (
        "Tight line for the pockets",
        "tight-line",
        _day(
            "brook",
            "copper-bug",
            "drift deep",
            Water(kind="pocket water", depth_m=0.6, pace_m_s=0.8, bed="boulder", rules=_VALLEY),
            _GRAYLING,
        ),
        "Runa leads it a little slower than the foam.",
    ),
    (
        "Spring water, heavy nymphs",
        "heavy-nymph",
        _day(
            "river",
            "slate-point",
            "drift deep",
            Water(
                kind="run",
                depth_m=1.2,
                pace_m_s=0.9,
                bed="cobble",
                clarity="tinged",
                temperature_c=5.0,
                rules=_VALLEY,
            ),
            _SEA_TROUT,
        ),
        "Tin shot: no lead in the valley.",
    ),
    (
        "Down the drop-off, perch lake",
        "two-part",
        _day(
            "lake",
            "pool-leech",
            "strip",
            Water(kind="lake", depth_m=3.5, pace_m_s=0.0, bed="sand", clarity="tinged"),
            TargetFish(kind="perch", mass_kg=0.8, temper="easy"),
        ),
        "Count it down, then short pulls.",
    ),
    (
        "Bar mouth on the ebb",
        "fifty-thirty-twenty",
        _day(
            "tide",
            "perch-minnow",
            "swing",
            Water(kind="estuary", depth_m=1.8, pace_m_s=0.6, bed="sand", clarity="tinged"),
            _BASS,
        ),
        "Eskil lets it swing over the bar's edge.",
    ),
    (
        "Crab on the outer flat",
        "tapered-inshore",
        _day(
            "tide",
            "bar-shrimp",
            "lead and drop",
            Water(kind="flats", depth_m=0.7, pace_m_s=0.0, bed="sand", temperature_c=14.0),
            _BASS,
        ),
        "Put it a yard before the fish and let it fall.",
    ),
)


@cache
def demo_rigs(stock: tuple[Stock, ...]) -> tuple[Design, ...]:
    """The eight rigs, computed from the shelf; indicators are set for their water."""
    units, flies = Units("imperial"), tuple(FLIES.values())
    made = []
    for title, school, situation, notes in _PLANS:
        leader = propose(school, situation, SchoolParameters(), stock, units, flies).leader
        design = Design(title=title, notes=notes, situation=situation, leader=leader)
        made.append(_set_for_its_water(design, stock, units))
    return tuple(made)


def _set_for_its_water(design: Design, stock: tuple[Stock, ...], units: Units) -> Design:
    things = design.leader.attachments
    floats = [number for number, thing in enumerate(things) if thing.kind == "indicator"]
    if not floats:
        return design
    bench = Workbench(stock=stock, fly=design.situation.fly, units=units)
    above = units.snap_length(setting_for_m(design))
    leader = apply_edit(design.leader, SetThing(thing=floats[0], above=above), bench)
    return design.model_copy(update={"leader": leader})
