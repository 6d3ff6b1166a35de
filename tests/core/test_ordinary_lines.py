"""Lines as people type them: read as what they are, whatever the order of their words."""

import pytest

from nine_knots.parsing.line import parse_owned
from tests.makers import INCHES

LINES = [
    ("size 16 parachute", "fly", ("kind", "dry")),
    ("elk wing sedge 14", "fly", ("kind", "dry")),
    ("CDC size 18", "fly", ("kind", "emerger")),
    ("pheasant tail 16, 2 mm tungsten bead", "fly", ("kind", "nymph")),
    ("#14 hare's ear", "fly", ("kind", "nymph")),
    ("caddis larva size 12", "fly", ("kind", "nymph")),
    ("pink egg size 10", "fly", ("kind", "nymph")),
    ("olive woolly bugger size 8, unweighted", "fly", ("kind", "streamer")),
    ("crab size 4, 0.3 g", "fly", ("hook", 4)),
    ("white half-and-half 1/0", "fly", ("dressing", "sheds")),
    ("deceiver 2/0, 4 in", "fly", ("hook", -1)),
    ("popper size 2", "fly", ("kind", "foam")),
    ("9 ft 5 wt medium-fast 4-piece rod", "rod", ("action", "medium")),
    ("two-handed rod 13 ft 8 wt", "rod", ("weight", 8)),
    ("6 wt sink tip, sink 6", "line", ("sinking", "sink-6")),
    ("weight forward 5 wt floating", "line", ("weight", 5)),
    ("8 wt shooting head, sink 3", "line", ("sinking", "sink-3")),
    ("3 wt level nymph line .022 in", "line", ("level_m", pytest.approx(0.022 * 0.0254))),
    ("3 wt level line", "line", ("title", "3-weight level line")),
    ("8 wt type 7", "line", ("sinking", "sink-7")),
    ("0X bicolour sighter 20 m", "spool", ("remaining_m", 20.0)),
    (".16 mm hi-vis mono 50 m", "spool", ("remaining_m", 50.0)),
    ("20 lb class tippet, nylon", "spool", ("form", "spool")),
    ("9 ft 15 lb tapered, 3 left", "packet", ("count", 3)),
    ("3 left: tapered 15 lb, 9 ft", "packet", ("count", 3)),
]


@pytest.mark.parametrize(("text", "kind", "shown"), LINES)
def test_an_ordinary_line_is_read(text, kind, shown):
    thing = parse_owned(text, INCHES).thing
    made = {"Fly": "fly", "Rod": "rod", "FlyLine": "line", "Spool": "spool", "Packet": "packet"}
    assert made[type(thing).__name__] == kind
    name, value = shown
    assert getattr(thing, name) == value
