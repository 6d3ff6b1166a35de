"""Remedies beyond one change: two together, the school rebuilt, another method; never silence."""

import pytest

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.turnover import TurnoverReason
from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import TargetFish, Water
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine
from nine_knots.core.remedies.turnover import remedies_for
from nine_knots.core.remedies.verdict import verdict_remedies_for
from nine_knots.core.remedies.water import water_remedies_for
from nine_knots.words.adjustments import adjustment_words
from tests.makers import INCHES, SHELF, day, level, tied
from tests.reference.test_own_verdict import SALT_SHELF, TROUT_SHELF
from tests.rigs import judged, tie

NYMPH = Fly(title="Nymph 16", kind="nymph", hook=16, bulk="slim", bead=Bead(diameter_mm=2.0))
DRY = Fly(title="Bushy 12", kind="dry", hook=12, bulk="bushy")


def test_too_deep_and_fast_for_a_dry_another_method_is_one_click():
    water = Water(kind="run", depth_m=1.4, pace_m_s=1.2)
    heavy = Fly(title="Nymph 12", kind="nymph", hook=12, bulk="slim", bead=Bead(diameter_mm=3.8))
    at = day(water=water, fly=heavy, wish="drift deep", line=FlyLine(title="l", weight=4))
    rig = tie("nymph-under-dry", at, TROUT_SHELF, flies=(DRY,))
    angler = Angler(stock=TROUT_SHELF, flies=(DRY, NYMPH))
    found = water_remedies_for(rig.design, Stroke(), angler)
    (other,) = [found_item for found_item in found if found_item.what == "school"]
    words = adjustment_words(other.change, INCHES)
    assert words in ("Tight line with sighter instead", "Indicator nymph, on a tag instead")
    assert other.design.leader.school in ("tight-line", "indicator-nymph-tag")


def test_a_leader_for_a_floating_line_is_built_anew_for_the_sinking_one():
    salt = {
        "fly": Fly(title="bait", kind="streamer", hook=-1),
        "wish": "strip",
        "quarry": TargetFish(kind="sea-bass", mass_kg=2.0),
    }
    floating = tie("two-part", day(**salt, line=FlyLine(title="f", weight=7)), SALT_SHELF)
    sunk = day(**salt, line=FlyLine(title="s", weight=7, sinking="sink-3"))
    design = Design(title="r", situation=sunk, leader=floating.leader)
    assert verdict_remedies_for(design, Angler(stock=SALT_SHELF)) == (), "long, and no fault"
    longer = [piece.evolve(length_m=1.7 * piece.length_m) for piece in floating.leader.pieces]
    endless = design.evolve(leader=floating.leader.evolve(pieces=tuple(longer)))
    found = verdict_remedies_for(endless, Angler(stock=SALT_SHELF))
    (rebuilt,) = [found_item for found_item in found if found_item.what == "school"]
    words = adjustment_words(rebuilt.change, INCHES)
    assert words == "Two parts by line: rebuilt for this day and line, 4 ft"
    assert rebuilt.design.leader.length_m == pytest.approx(4 * FOOT_M, rel=0.01)


def test_too_weak_a_tippet_is_mended_by_the_next_that_holds():
    strong = day(quarry=TargetFish(kind="trout", mass_kg=2.0), water=Water(snags="some snags"))
    weak = tied(
        *(level(18, 4, "butt"), level(13, 2), level(9, 1)),
        level(5, 2, "tippet", "nylon-soft"),
    )
    found = verdict_remedies_for(
        Design(title="w", situation=strong, leader=weak), Angler(stock=SHELF)
    )
    spool = next(found_item for found_item in found if found_item.what == "tippet spool")
    mended = judged(spool.design.leader, strong)
    assert mended.verdict["hold"].status == "right"
    assert spool.design.leader.tippet_diameter_m > 5 * THOU_M


def test_a_leader_in_its_band_gets_none_and_teeth_get_wire():
    sound = tied(level(18, 4, "butt"), level(13, 2), level(9, 2, "tippet"))
    assert verdict_remedies_for(Design(title="s", situation=day(), leader=sound), Angler()) == ()
    pike = day(
        quarry=TargetFish(kind="pike", mass_kg=4.0),
        fly=Fly(title="p", kind="predator", hook=-2),
        line=FlyLine(title="l", weight=8),
        wish="strip",
    )
    bare = tied(level(24, 4, "butt"), level(19, 2), level(16, 2, "tippet"))
    found = verdict_remedies_for(
        Design(title="b", situation=pike, leader=bare), Angler(stock=SALT_SHELF)
    )
    wired = next(found_item for found_item in found if found_item.what == "school")
    assert wired.design.leader.pieces[-1].role == "bite"


def test_two_changes_together_where_neither_serves_alone():
    foam = Fly(title="foam", kind="foam", hook=8, weighed_kg=8e-5, drag_area_m2=2.05e-4)
    fine = tied(level(17, 5, "butt"), level(11, 2), level(3, 8, "tippet"))
    design = Design(title="f", situation=day(fly=foam), leader=fine)
    (pair,) = remedies_for(design, Stroke(), Angler(stock=SHELF))
    assert pair.what == "tippet spool and length"
    thicker, shorter = adjustment_words(pair.change, INCHES).split(" and ")
    assert thicker.startswith("tippet .003 in →")
    assert shorter.startswith("8 ft →")
    assert [score.finding.reason for score in pair.gives] == [
        TurnoverReason.OPENS_ON_A_BRISK_STROKE
    ]
