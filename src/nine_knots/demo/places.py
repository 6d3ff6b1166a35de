"""The waters of the demo: the Skarn with its stretches as Runa noted them, lake and estuary."""

from nine_knots.core.domain.places import CastingRoom, Gauge, LevelNote, Place, RiverStretch
from nine_knots.core.domain.situation import Water, WaterRules

# level on the bridge's staff, depth, pace at the surface, when
_ALDER = (
    (0.38, 0.55, 0.55, "2026-08-09"),
    (0.52, 0.7, 0.7, "2026-06-20"),
    (0.66, 0.85, 0.85, "2026-05-23"),
    (0.81, 1.0, 1.0, "2025-10-04"),
)
_POCKETS = ((0.42, 0.4, 0.9, "2026-08-09"), (0.6, 0.55, 1.2, "2026-05-23"))
_GORGE = ((0.5, 1.35, 0.4, "2026-06-20"),)


def _notes(rows: tuple[tuple[float, float, float, str], ...]) -> tuple[LevelNote, ...]:
    return tuple(
        LevelNote(level_m=level, depth_m=depth, pace_m_s=pace, noted_on=day)
        for level, depth, pace, day in rows
    )


def demo_places() -> tuple[Place, ...]:
    """The Skarn valley."""
    skarn = Place(
        title="The Skarn",
        kind="river",
        rules=WaterRules(most_flies=2, barbless=True, lead_banned=True),
        gauge=Gauge(base="demo", datastream="1", title="Skarn bridge: Water level"),
        latitude=63.2,
        longitude=14.6,
        notes="Fly only, from the bridge up. The staff is on the second pier.",
        stretches=(
            RiverStretch(
                stretch_id="pockets",
                title="Pockets above the bridge",
                water=Water(kind="pocket water", depth_m=0.5, pace_m_s=1.0, bed="cobble"),
                levels=_notes(_POCKETS),
                room=CastingRoom(behind="some trees"),
                fish=("grayling", "trout"),
                hazards=("slippery bed",),
            ),
            RiverStretch(
                stretch_id="alder-head",
                title="The alder pool, head",
                water=Water(kind="run", depth_m=0.7, pace_m_s=0.7),
                levels=_notes(_ALDER),
                room=CastingRoom(behind="trees", bank_m=0.6),
                fish=("grayling", "sea-trout"),
                notes="They lie under the third alder from noon on.",
            ),
            RiverStretch(
                stretch_id="mill-glide",
                title="The mill glide",
                water=Water(kind="glide", depth_m=0.9, pace_m_s=0.35),
                fish=("grayling",),
                hazards=("soft bed",),
                own_rules=WaterRules(most_flies=1, barbless=True, lead_banned=True),
                notes="One fly only: the miller's own rule.",
            ),
            RiverStretch(
                stretch_id="gorge",
                title="The gorge pool",
                water=Water(kind="pool", depth_m=1.4, pace_m_s=0.4, bed="boulder"),
                levels=_notes(_GORGE),
                room=CastingRoom(behind="trees", bank_m=2.0),
                fish=("sea-trout",),
                hazards=("deep wading", "steep bank", "rising water"),
            ),
        ),
    )
    lake = Place(
        title="Perch lake",
        kind="lake",
        gauge=Gauge(base="demo", datastream="2", title="Perch lake: Water level", metres=0.01),
        stretches=(
            RiverStretch(
                stretch_id="drop-off",
                title="The drop-off by the boathouse",
                water=Water(kind="lake", depth_m=3.0, pace_m_s=0.0, clarity="tinged"),
                fish=("perch",),
                hazards=("boats",),
            ),
        ),
    )
    sea = Place(
        title="Skarn estuary",
        kind="sea",
        rules=WaterRules(),
        stretches=(
            RiverStretch(
                stretch_id="bar-mouth",
                title="The bar mouth",
                water=Water(
                    kind="estuary", depth_m=1.2, pace_m_s=0.7, bed="sand", clarity="tinged"
                ),
                fish=("sea-bass",),
                hazards=("tide that cuts off", "strong current"),
            ),
        ),
    )
    return (skarn, lake, sea)
