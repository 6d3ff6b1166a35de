"""What the bench reads of a leader: it agrees with itself and follows every change."""

import itertools

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import ValidationError

from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.score import position_in_band
from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.domain.situation import Situation, TargetFish, Water, Wind
from nine_knots.core.domain.tackle import OwnFish
from nine_knots.words.evaluation import evaluate
from nine_knots.words.sentence import SentenceEdit, apply_sentence_edit, sentence_words
from tests.makers import INCHES, METRIC, PLAIN, day, design, knotless, level, tied


def measure(made, key):
    return next(m for m in evaluate(made, {}, INCHES).verdict if m.key == key)


def test_spans_and_outline_cover_the_leader_without_gaps():
    leader = tied(knotless(cut_tip_m=0.2), level(7, 2, "tippet"))
    reading = evaluate(design(leader), {}, INCHES)
    for parts in (reading.spans, reading.outline):
        assert parts[0].from_m == 0.0
        assert parts[-1].to_m == pytest.approx(leader.length_m)
        for above, below in itertools.pairwise(parts):
            assert below.from_m == pytest.approx(above.to_m)
    assert len(reading.joints) == len(reading.pieces) + 1


def test_the_weakest_element_is_the_one_with_the_greatest_chance():
    reading = evaluate(design(), {}, INCHES)
    chances = [*(p.chance for p in reading.pieces), *(j.chance for j in reading.joints)]
    assert reading.first_to_go.chance == pytest.approx(max(chances))
    assert sum(chances) == pytest.approx(1.0)


def test_figures_come_in_the_anglers_units():
    inches, metric = (evaluate(design(), {}, units) for units in (INCHES, METRIC))
    assert inches.length.text == "9 ft"
    assert metric.length.text == "2.745 m"
    assert inches.length.si == metric.length.si
    assert inches.ruler[-1].text == "9 ft"
    assert metric.ruler[-1].text == "2.5 m"


def test_a_hinge_hangs_too_low_and_a_reversal_stands_too_high():
    sound = measure(design(tied(level(18, 4), level(15, 3), level(12, 2))), "match")
    hinge = measure(design(tied(level(18, 4), level(9, 3))), "match")
    back = measure(design(tied(level(15, 4), level(19, 3))), "match")
    assert (sound.status, hinge.status, back.status) == ("right", "too little", "too much")
    assert hinge.position < sound.band.low <= sound.position <= sound.band.high < back.position
    assert "joint 1" in hinge.why


def test_a_mono_rig_is_not_judged_by_its_joint_to_the_line():
    rig = tied(level(8, 36, "butt"), level(6, 4, "tippet"))
    said = measure(design(rig), "match")
    assert said.status == "right"
    assert "weight lead" in said.why


def test_hold_moves_with_the_fish():
    light = measure(design(quarry=TargetFish(mass_kg=0.3)), "hold")
    heavy = measure(
        design(quarry=TargetFish(mass_kg=9.0), water=Water(snags="heavy snags")), "hold"
    )
    assert light.position > heavy.position
    assert heavy.status == "too little"
    assert "you lose" in heavy.why


def test_cutting_teeth_want_wire():
    pike = {"quarry": TargetFish(kind="pike", mass_kg=2.0)}
    said = measure(design(tied(level(20, 4), level(15, 2)), **pike), "hold")
    assert said.status == "too little"
    assert "wire" in said.why
    pieces = (level(20, 4), level(17, 2), level(15, 1, "bite", "wire-single"))
    swivel = Connection(kind="swivel", knot="haywire", upper_knot="improved-clinch")
    joints = (PLAIN.joints[0], Connection(knot="blood"), swivel, Connection(knot="haywire"))
    wired = measure(design(Leader(pieces=pieces, joints=joints), **pike), "hold")
    assert "cuts" not in wired.why


def test_length_is_judged_by_the_leaders_own_school():
    short = Leader(pieces=PLAIN.pieces, joints=PLAIN.joints, school="compound-slack")
    said = measure(design(short), "length")
    assert said.why.startswith("Shorter than most use here. Compound slack")
    endless = tied(level(17, 17, "butt"), level(12, 4), level(6, 3, "tippet"))
    said = measure(design(endless), "length")
    assert said.status == "too much"
    assert said.why.startswith("Longer than anyone fishes")


@given(st.floats(-50, 50))
def test_a_knot_never_leaves_its_cord(deviation):
    assert 0.0 < position_in_band(deviation) < 1.0
    assert (0.3 <= position_in_band(deviation) <= 0.7) == (abs(deviation) <= 1.0)


def test_the_sentence_uses_words_where_a_figure_is_near_one():
    parts = sentence_words(day(water=Water(depth_m=0.52, pace_m_s=0.8)), INCHES)
    words = {part.part: part.text for part in parts}
    assert words["water"].startswith("knee-deep")
    assert words["pace"] == "at walking pace"
    odd = sentence_words(day(water=Water(depth_m=0.65), wind=Wind(speed_m_s=12.0)), METRIC)
    words = {part.part: part.text for part in odd}
    assert words["water"].startswith("65 cm deep")
    deep = sentence_words(day(water=Water(kind="lake", depth_m=2.2, pace_m_s=0.0)), METRIC)
    assert deep[0].text == "over-the-head lake"
    assert words["wind"].startswith("wind of 12.0 m/s")


@pytest.mark.parametrize(
    ("part", "text", "value"),
    [
        ("depth", "waist-deep", 1.0),
        ("depth", "2 ft", 0.6096),
        ("pace", "a crawl", 0.15),
        ("pace", "3 ft/s", 0.9144),
        ("wind", "no wind", 0.0),
        ("wind", "10 mph", 4.4704),
        ("wind", "10", 4.4704),
        ("fish mass", "2 lb 8 oz", 1.13398),
    ],
)
def test_words_and_figures_are_heard(part, text, value):
    heard = apply_sentence_edit(day(), SentenceEdit(part=part, text=text), INCHES)
    found = {
        "depth": heard.water.depth_m,
        "pace": heard.water.pace_m_s,
        "wind": heard.wind.speed_m_s,
        "fish mass": heard.quarry.mass_kg,
    }
    assert found[part] == pytest.approx(value, abs=1e-4)


def test_another_fish_comes_at_its_usual_weight():
    heard = apply_sentence_edit(day(), SentenceEdit(part="fish", text="sea trout"), INCHES)
    assert (heard.quarry.kind, heard.quarry.mass_kg) == ("sea-trout", 1.5)


@pytest.mark.parametrize(
    ("part", "text", "error"),
    [
        ("depth", "elbow-deep", Unreadable),
        ("depth", "40 m", OutOfRange),
        ("pace", "9 m/s", OutOfRange),
        ("wind", "strong", Unreadable),
        ("fish", "kraken", Unreadable),
        ("fish mass", "0.001 g", OutOfRange),
    ],
)
def test_what_is_not_heard_names_its_part(part, text, error):
    with pytest.raises(error) as refused:
        apply_sentence_edit(day(), SentenceEdit(part=part, text=text), Units("metric"))
    assert refused.value.where == part
    assert refused.value.hint


def test_a_situation_is_whole():
    assert Situation.model_validate_json(day().model_dump_json()) == day()


def test_another_fish_is_said_by_its_mouth_and_teeth():
    heard = apply_sentence_edit(day(), SentenceEdit(part="fish", text="other"), INCHES).quarry
    assert (heard.fish.title, heard.fish.bites_through) == ("fish", False)
    wolf = heard.model_copy(update={"own": OwnFish(title="wolf fish", teeth="cutting")})
    said = measure(design(quarry=wolf), "hold")
    assert said.status == "too little"
    assert "wolf fish" in said.why
    with pytest.raises(ValidationError, match="mouth and teeth"):
        TargetFish(kind="other")
