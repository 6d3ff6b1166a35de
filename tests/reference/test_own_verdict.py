"""No school is condemned by its own verdict: common practice, no source, as a property.

Whatever is owned, on the days and lines a school is for, its own proposal neither hinges, kicks nor
runs backwards; where a shelf forces it, what lacks is named.
"""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.domain.situation import Situation, TargetFish, Water
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod
from nine_knots.core.schools import SCHOOLS
from tests.makers import SHELF, day, spool
from tests.rigs import bought, gauged, labelled, tie, tippets

TROUT_SHELF = (
    *(gauged(thou) for thou in (20, 18, 16, 15, 13, 12, 11, 10, 9, 8)),
    *tippets(3, 4, 5, 6, 7),
    *tippets(3, 4, 5, 6, material="fluorocarbon"),
    gauged(11, colour="sighter"),
    bought(9, 4),
    bought(7.5, 2, butt=22.0),
    labelled(20, "wire-soft"),
    labelled(86, "wire-single"),
)
SALT_SHELF = (
    *(labelled(pounds) for pounds in (60, 50, 40, 30, 25, 20, 15, 12, 10, 8)),
    *(labelled(pounds, "fluorocarbon") for pounds in (60, 40, 30, 20, 16, 12, 8)),
    *tippets(0, 2, 4, 5),
    labelled(30, "wire-soft"),
    labelled(86, "wire-single"),
    gauged(11, colour="sighter"),
)
FULL_SHELF = (*SHELF, *SALT_SHELF, *(spool(t) for t in (28, 32)))
SHELVES = {"trout": TROUT_SHELF, "salt": SALT_SHELF, "full": FULL_SHELF}

DRY = Fly(title="dry", kind="dry", hook=14)
SMALL = Fly(title="midge", kind="midge", hook=18)
NYMPH = Fly(title="nymph", kind="nymph", hook=14, bead=Bead(diameter_mm=3.0))
STREAMER = Fly(title="streamer", kind="streamer", hook=6)
BAITFISH = Fly(title="bait", kind="streamer", hook=-1, length_m=0.1, dressing="sheds")
PIKE_FLY = Fly(title="pike", kind="predator", hook=-3)
RUN, SEA = Water(kind="run", depth_m=0.9, pace_m_s=0.8), Water(kind="surf", depth_m=1.2)
TROUT, BASS = TargetFish(kind="trout", mass_kg=0.6), TargetFish(kind="sea-bass", mass_kg=3.0)
FLOATING, SUNK = ("floating",), ("floating", "intermediate", "sink-3", "sink-6")

# school: its shelves, the weights and lines it is for, its usual days
DRY_DAYS = (
    {"water": RUN, "fly": DRY, "quarry": TROUT},
    {"water": Water(kind="glide", depth_m=0.6), "fly": SMALL, "quarry": TROUT},
)
STREAMER_DAYS = ({"water": RUN, "fly": STREAMER, "quarry": TROUT, "wish": "strip"},)
NYMPH_DAYS = ({"water": RUN, "fly": NYMPH, "quarry": TROUT, "wish": "drift deep"},)
SALT_DAYS = ({"water": SEA, "fly": BAITFISH, "quarry": BASS, "wish": "strip"},)
TARPON = {"water": SEA, "fly": BAITFISH, "wish": "strip"}
MADE_FOR = {
    "sixty-twenty-twenty": (("trout", "full"), (3, 4, 5, 6), FLOATING, DRY_DAYS),
    "sixty-twenty-twenty-knotless": (("trout",), (3, 4, 5, 6), FLOATING, DRY_DAYS),
    "long-fine": (("trout", "full"), (3, 4, 5), FLOATING, DRY_DAYS),
    "compound-slack": (("trout", "full"), (3, 4, 5), FLOATING, DRY_DAYS),
    "halving": (("trout", "full"), (5, 6, 7), FLOATING, STREAMER_DAYS),
    "even-step": (("trout", "full"), (5, 6, 7, 8), FLOATING, STREAMER_DAYS + SALT_DAYS),
    "fifty-thirty-twenty": (("salt", "full"), (7, 8, 9), SUNK, SALT_DAYS),
    "two-part": (("salt", "full"), (5, 6, 7, 8), SUNK, SALT_DAYS + STREAMER_DAYS),
    "level-short": (("salt", "full"), (6, 7, 8), SUNK[1:], SALT_DAYS + STREAMER_DAYS),
    "guide-three-part": (("salt", "full"), (6, 7, 8, 9), SUNK, SALT_DAYS),
    "tapered-inshore": (("salt", "full"), (7, 8, 9), SUNK[:2], SALT_DAYS),
    "class-and-bite": (
        ("salt", "full"),
        (10, 11, 12),
        SUNK[:2],
        ({**TARPON, "quarry": TargetFish(kind="tarpon", mass_kg=30)},),
    ),
    "predator-wire": (
        ("trout", "salt", "full"),
        (8, 9, 10),
        SUNK,
        ({**TARPON, "fly": PIKE_FLY, "quarry": TargetFish(kind="pike", mass_kg=5)},),
    ),
    "level-and-wire": (
        ("salt", "full"),
        (12, 13, 14),
        SUNK[:2],
        ({**TARPON, "fly": PIKE_FLY, "quarry": TargetFish(kind="shark", mass_kg=40)},),
    ),
    "heavy-bite": (
        ("salt", "full"),
        (9, 10),
        FLOATING,
        ({**TARPON, "fly": PIKE_FLY, "quarry": TargetFish(kind="pike", mass_kg=5)},),
    ),
    "nymph-under-dry": (("trout", "full"), (3, 4, 5), FLOATING, NYMPH_DAYS),
    "tight-line": (("trout", "salt", "full"), (2, 3, 4), FLOATING, NYMPH_DAYS),
    "thin-mono": (("trout", "full"), (2, 3, 4), FLOATING, NYMPH_DAYS),
    "thin-mono-streamer": (("salt", "full"), (3, 4), FLOATING, STREAMER_DAYS),
    "all-round-mono": (("salt", "full"), (3, 4), FLOATING, NYMPH_DAYS),
    "one-nymph": (("trout", "full"), (4, 5, 6), FLOATING, NYMPH_DAYS),
    "indicator-nymph": (("trout", "full"), (4, 5, 6), FLOATING, NYMPH_DAYS),
    "heaviest-first": (("salt", "full"), (5, 6, 7), FLOATING, NYMPH_DAYS),
    "indicator-nymph-tag": (("trout", "full"), (4, 5, 6), FLOATING, NYMPH_DAYS),
    "heavy-nymph": (
        ("salt", "full"),
        (6, 7, 8),
        FLOATING,
        ({**NYMPH_DAYS[0], "quarry": TargetFish(kind="steelhead", mass_kg=4)},),
    ),
}
CONDEMNED = ("hinges", "kicks", "runs backwards", "flat spot")


def test_every_school_is_tried():
    assert set(MADE_FOR) == set(SCHOOLS)


def _day(school: str, weight: int, sinking: str, parts) -> Situation:
    line = FlyLine(title="line", weight=weight, sinking=sinking)
    rod = Rod(title="rod", length_m=2.74, weight=weight)
    return day(**{"line": line, "rod": rod, **parts})


@pytest.mark.parametrize("school", MADE_FOR)
def test_what_a_school_ties_is_right_by_its_own_verdict(school):
    shelves, weights, lines, days = MADE_FOR[school]
    for name in shelves:
        for weight in weights:
            for sinking in lines:
                for parts in days:
                    at = _day(school, weight, sinking, parts)
                    tied = tie(school, at, SHELVES[name])
                    where = (name, weight, sinking, parts["fly"].title)
                    match = tied.verdict["match"]
                    assert match.figure not in CONDEMNED, (where, match.why)
                    assert tied.verdict["length"].status == "right", where
                    assert tied.verdict["hold"].status != "too little", (
                        where,
                        tied.verdict["hold"].why,
                    )
                    assert tied.faults == (), (where, tied.faults)


@settings(max_examples=60)
@given(
    st.sampled_from(sorted(MADE_FOR)),
    st.sets(st.integers(0, len(FULL_SHELF) - 1), min_size=4, max_size=20),
    st.data(),
)
def test_where_a_shelf_forces_a_fault_what_lacks_is_named(school, owned, data):
    _, weights, lines, days = MADE_FOR[school]
    parts = data.draw(st.sampled_from(days))
    at = _day(school, data.draw(st.sampled_from(weights)), data.draw(st.sampled_from(lines)), parts)
    try:
        tied = tie(school, at, tuple(FULL_SHELF[i] for i in sorted(owned)))
    except CannotCompute:
        return
    if tied.verdict["match"].figure in CONDEMNED or tied.faults:
        assert tied.proposal.shortfalls, (tied.verdict["match"].why, tied.faults)
