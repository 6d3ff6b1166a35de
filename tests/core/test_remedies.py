"""Remedies: each one really brings the leader in when it is cast again, changing one thing."""

import pytest

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.turnover import CastResult, turnover_score
from nine_knots.core.casting.minimum_speed import minimum_launch_speed
from nine_knots.core.casting.rig import rig_of
from nine_knots.core.casting.stroke import SPEEDS, Stroke
from nine_knots.core.casting.wind import air_of
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import UseStock
from nine_knots.core.domain.tackle import Fly, line_profile
from nine_knots.core.remedies.turnover import remedies_for
from nine_knots.words.remedies import remedy_readings
from tests.makers import DRY, INCHES, SHELF, design, level, tied, workbench

SMALL = Fly(title="Small dry 18", kind="dry", hook=18)
STROKE = Stroke()


def owned(leader: Leader) -> Leader:
    """The leader made of spools on the test's shelf, so that it can be stepped through them."""
    for number, spool_id in enumerate(["nylon-stiff-170", "nylon-stiff-120", "nylon-soft-80"]):
        leader = apply_edit(leader, UseStock(piece=number, spool_id=spool_id), workbench())
    return apply_edit(leader, UseStock(piece=3, spool_id="nylon-soft-50"), workbench())


def three_and(last_ft: float, third_ft: float) -> Leader:
    pieces = (level(17, 3, "butt"), level(12, 2), level(8, third_ft))
    return owned(tied(*pieces, level(5, last_ft, "tippet", "nylon-soft")))


PLUMP = Fly(title="Plump", kind="dry", hook=16, weighed_kg=5e-5, drag_area_m2=4e-5)
LONG, SHORT = design(three_and(9, 2)), design(three_and(1.8, 1), fly=PLUMP)


def cast_again(made, stroke=STROKE):
    situation = made.situation
    rig = rig_of(made.leader, line_profile(situation.line), situation.fly, stroke.line_out_m)
    minimum = minimum_launch_speed(rig, stroke, air_of(situation.wind))
    return turnover_score(CastResult(minimum, stroke), made.leader, situation)


def offered(made, stroke=STROKE):
    found = remedies_for(made, stroke, Angler(stock=SHELF, flies=(DRY, SMALL)))
    return remedy_readings(found, INCHES)


def test_a_leader_that_does_not_open_is_offered_what_opens_it():
    assert cast_again(LONG).status == "too little"
    found = {remedy.what: remedy for remedy in offered(LONG)}
    assert {"tippet length", "fly"} <= set(found)
    for what, remedy in found.items():
        stroke = STROKE
        if what == "stroke":
            assert remedy.design == LONG
            stroke = Stroke(speed_m_s=SPEEDS[remedy.stroke["speed"]])
        assert cast_again(remedy.design, stroke).status == "right"
        assert "→" in remedy.words or "instead" in remedy.words
    shorter = found["tippet length"].design.leader.pieces
    assert shorter[-1].length_m < LONG.leader.pieces[-1].length_m
    assert shorter[:-1] == LONG.leader.pieces[:-1]


def test_a_dry_fly_thrown_far_too_hard_is_offered_a_softer_stroke():
    driven = Stroke(speed_m_s=SPEEDS["double haul"])
    assert cast_again(SHORT, driven).status == "too much"
    found = {remedy.what: remedy for remedy in offered(SHORT, driven)}
    stroke = found["stroke"]
    assert stroke.design == SHORT
    assert cast_again(SHORT, Stroke(speed_m_s=SPEEDS[stroke.stroke["speed"]])).status == "right"


def test_a_leader_that_barely_fails_is_offered_a_harder_stroke_by_name():
    found = {remedy.what: remedy for remedy in offered(LONG)}
    assert found["stroke"].stroke["speed"] in found["stroke"].words
    assert found["stroke"].words.endswith("instead")


def test_a_leader_that_is_right_needs_none():
    sound = tied(
        level(18, 3, "butt"), level(15, 2), level(12, 1), level(9, 1), level(7, 2, "tippet")
    )
    assert cast_again(design(sound)).status == "right"
    assert offered(design(sound)) == ()


@pytest.mark.parametrize("school", ["thin-mono"])
def test_a_mono_rig_gets_none(school):
    rig = tied(level(8, 36, "butt"), level(6, 4, "tippet"))
    made = design(Leader(pieces=rig.pieces, joints=rig.joints, school=school))
    assert offered(made) == ()
