"""Lines, rods and flies of the demo's two anglers."""

from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod

LINES = {
    "river": FlyLine(title="5-weight floating line", weight=5),
    "brook": FlyLine(title="3-weight fine floating line", weight=3, front_taper="long", tip="bare"),
    "tide": FlyLine(
        title="8-weight intermediate line", weight=8, half_sizes_heavy=1, sinking="intermediate"
    ),
    "lake": FlyLine(title="7-weight line, sinks 3 in/s", weight=7, sinking="sink-3"),
}
RODS = {
    "river": Rod(title="9 ft 5-weight", length_m=2.745, weight=5, action="medium"),
    "brook": Rod(title="10 ft 3-weight, soft", length_m=3.05, weight=3, action="soft"),
    "tide": Rod(title="9 ft 8-weight, fast", length_m=2.745, weight=8, action="fast"),
}
FLIES = {
    "skarn-sedge": Fly(title="Skarn sedge 14", kind="dry", hook=14, bulk="bushy"),
    "pale-upright": Fly(title="Pale upright 16", kind="dry", hook=16),
    "grey-speck": Fly(title="Grey speck 20", kind="midge", hook=20, bulk="slim"),
    "pine-beetle": Fly(title="Foam pine beetle 8", kind="foam", hook=8),
    "half-hatched": Fly(title="Half-hatched 14", kind="emerger", hook=14),
    "copper-bug": Fly(
        title="Copper bug 14, 3 mm bead",
        kind="nymph",
        hook=14,
        bead=Bead(diameter_mm=3.0),
        barbless=True,
    ),
    "slim-olive": Fly(
        title="Slim olive 16, 2.5 mm bead",
        kind="nymph",
        hook=16,
        bulk="slim",
        bead=Bead(diameter_mm=2.5),
        barbless=True,
    ),
    "slate-point": Fly(
        title="Slate point 12, 3.8 mm bead",
        kind="nymph",
        hook=12,
        bead=Bead(diameter_mm=3.8),
        barbless=True,
    ),
    "partridge-spider": Fly(title="Soft spider 12", kind="wet", hook=12, bulk="slim"),
    "night-runner": Fly(title="Night runner 6", kind="streamer", hook=6, bulk="slim"),
    "perch-minnow": Fly(title="Perch minnow 8", kind="streamer", hook=8, bulk="slim"),
    "sand-dancer": Fly(title="Sand dancer 2", kind="streamer", hook=2, bulk="slim"),
    "pool-leech": Fly(
        title="Pool leech 10, 3.8 mm bead",
        kind="streamer",
        hook=10,
        bulk="slim",
        bead=Bead(diameter_mm=3.8),
    ),
    "bar-shrimp": Fly(
        title="Bar shrimp 8, 3.8 mm bead",
        kind="streamer",
        hook=8,
        bulk="slim",
        bead=Bead(diameter_mm=3.8),
    ),
    "reed-pike": Fly(title="Reed bunny 2/0", kind="predator", hook=-1),
}
