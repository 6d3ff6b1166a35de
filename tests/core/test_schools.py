"""Schools of taper: each keeps its own rule with whatever is on the shelf, or says what lacks."""

import itertools

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nine_knots.core.assess.joint_match import match_joints
from nine_knots.core.base.errors import CannotCompute, NotFound
from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.domain.situation import TargetFish, Water, WaterRules
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, line_profile
from nine_knots.core.propose.bare import bare_leader
from nine_knots.core.propose.propose import propose
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.schools.school import SchoolParameters
from nine_knots.words.proposal import proposal_reasons
from nine_knots.words.shortages import wanted_words
from tests.makers import DRY, INCHES, SHELF, day, packet, spool

STREAMER = Fly(title="Streamer 6", kind="streamer", hook=6, bulk="slim")
NYMPH = Fly(title="Nymph 14", kind="nymph", hook=14, bead=Bead(diameter_mm=3.0))


def leader_of(key, situation=None, stock=SHELF, **parameters):
    made = propose(key, situation or day(), SchoolParameters(**parameters), stock, INCHES)
    return made.leader


def feet(leader) -> list[float]:
    return [piece.length_m / FOOT_M for piece in leader.pieces]


@pytest.mark.parametrize("key", SCHOOLS)
def test_every_school_explains_itself_and_names_an_opponent(key):
    school = SCHOOLS[key]
    assert school.rule.rstrip(".").count(". ") == 1, "two sentences"
    assert school.disagrees.school in SCHOOLS
    assert school.disagrees.school != key
    assert school.disagrees.says


@pytest.mark.parametrize("key", SCHOOLS)
def test_every_school_ties_its_usual_length_from_the_shelf(key):
    situation = day(fly=NYMPH) if key == "thin-mono" else day()
    made = propose(key, situation, SchoolParameters(), SHELF, INCHES)
    assert made.leader.school == key
    whole = 0.2 if any(piece.form == "tapered" for piece in made.leader.pieces) else 0.02
    usual_m = SCHOOLS[key].span(situation).usual_m
    assert made.leader.length_m == pytest.approx(usual_m, rel=whole)
    owned = {item.spool_id for item in SHELF}
    assert all(piece.strand.spool_id in owned for piece in made.leader.pieces)
    assert proposal_reasons(made, INCHES)


SALT = {
    "fly": Fly(title="Big streamer", kind="streamer", hook=1, bulk="slim"),
    "wish": "strip",
    "quarry": TargetFish(kind="sea-bass", mass_kg=3.0),
}
STOUT = dict.fromkeys(
    ("fifty-thirty-twenty", "tapered-inshore", "predator-wire", "level-and-wire"), SALT
)
# mono rigs are not led by the line
TAPERED = [key for key, entry in SCHOOLS.items() if entry.line_leads]


@pytest.mark.parametrize("key", TAPERED)
def test_on_a_full_shelf_no_tapered_leader_hinges_or_runs_backwards(key):
    for weight in (7, 8) if key in STOUT else (4, 7):
        line = FlyLine(title="Line", weight=weight)
        leader = leader_of(key, day(line=line, **STOUT.get(key, {})))
        flags = {m.flag for m in match_joints(leader, line_profile(line), DRY)}
        assert not flags & {"hinge", "kick", "reversal"}


def test_sixty_twenty_twenty():
    leader = leader_of("sixty-twenty-twenty", length_m=10 * FOOT_M)
    share = {"butt": 0.0, "taper": 0.0, "tippet": 0.0}
    for piece in leader.pieces:
        share[piece.role] += piece.length_m / leader.length_m
    assert share == pytest.approx({"butt": 0.6, "taper": 0.2, "tippet": 0.2}, abs=0.01)
    longer = leader_of("sixty-twenty-twenty", length_m=12 * FOOT_M)
    assert longer.pieces[0].length_m - leader.pieces[0].length_m > 0.35 * 2 * FOOT_M


def test_a_knotless_one_never_ties_thicker_tippet_to_a_thinner_tip():
    for tippet in (4, 5, 6, 7):
        leader = leader_of("sixty-twenty-twenty-knotless", tippet_m=tippet * THOU_M)
        taper, last = leader.pieces[0], leader.pieces[-1]
        assert taper.form == "tapered"
        assert last.lower_diameter_m <= taper.lower_diameter_m + 0.6 * THOU_M


def test_halving_halves():
    lengths = feet(leader_of("halving", day(fly=STREAMER, wish="strip")))
    first, second, third, tippet = lengths
    assert second == pytest.approx(first / 2, abs=0.05)
    assert third == pytest.approx(second / 2, abs=0.05)
    assert 1.0 <= tippet <= 2.0


def test_even_step_is_even():
    leader = leader_of("even-step", length_m=12 * FOOT_M, tippet_m=8 * THOU_M)
    lengths = feet(leader)
    assert max(lengths) - min(lengths) < 0.15
    thou = [piece.upper_diameter_m / THOU_M for piece in leader.pieces]
    steps = [a - b for a, b in itertools.pairwise(thou)]
    assert max(steps) - min(steps) < 2.1
    assert len(leader.pieces) >= 4


def test_compound_slack_shrinks_then_grows_to_a_long_soft_tippet():
    leader = leader_of("compound-slack")
    lengths = feet(leader)
    shortest = lengths.index(min(lengths))
    assert lengths[: shortest + 1] == sorted(lengths[: shortest + 1], reverse=True)
    assert lengths[shortest:] == sorted(lengths[shortest:])
    assert lengths[-1] >= 2.45
    assert leader.pieces[-1].strand.material == "nylon-soft"


def test_two_parts_get_shorter_as_the_line_sinks():
    wholes = [
        leader_of("two-part", day(fly=STREAMER, line=FlyLine(title="l", weight=7, sinking=s)))
        for s in ("floating", "intermediate", "sink-6")
    ]
    assert [round(leader.length_m / FOOT_M, 1) for leader in wholes] == [8.0, 6.0, 4.0]
    assert all(leader.pieces[-1].length_m == pytest.approx(2 * FOOT_M) for leader in wholes)


def test_thin_mono_follows_the_flys_weight():
    light = day(fly=Fly(title="n", kind="nymph", hook=18, bead=Bead(diameter_mm=2.0)))
    heavy = day(fly=Fly(title="n", kind="nymph", hook=10, bead=Bead(diameter_mm=4.6)))
    shelf = (*SHELF, spool(6.3, "copolymer", 80.0), spool(9, "copolymer", 80.0))
    thin, thick = (leader_of("thin-mono", fished, stock=shelf) for fished in (light, heavy))
    assert thin.pieces[0].upper_diameter_m < thick.pieces[0].upper_diameter_m
    assert len(thin.pieces) == 2


RIGGED = day(fly=NYMPH, wish="drift deep", water=Water(kind="run", depth_m=0.9))


def test_a_nymph_hangs_under_a_dry_on_a_tag_below_the_ring():
    leader = leader_of("nymph-under-dry", RIGGED)
    (joint, fly), ring = leader.flies_above[0], [j.kind for j in leader.joints].index("ring")
    assert fly.kind == "dry"
    assert leader.joints[joint].dropper
    assert ring == joint - 1
    assert leader.pieces[-1].length_m == pytest.approx(0.6, abs=0.02)


def test_the_indicator_pair_is_in_line_or_on_a_tag_and_steps_down():
    in_line, on_tag = (leader_of(f"indicator-nymph{form}", RIGGED) for form in ("", "-tag"))
    assert [joint.kind for joint in in_line.joints][3:5] == ["swivel", "fly"]
    assert on_tag.joints[4].dropper
    for leader in (in_line, on_tag):
        assert leader.indicator.above_end_m == pytest.approx(1.37 * 0.9, abs=0.01)
        first, second = leader.pieces[-2:]
        assert second.upper_diameter_m < first.upper_diameter_m


def test_shot_sits_just_above_the_joining_knot_and_is_tin_where_lead_is_banned():
    banned = Water(kind="run", depth_m=0.9, rules=WaterRules(lead_banned=True))
    leader = leader_of("heavy-nymph", day(fly=NYMPH, wish="drift deep", water=banned))
    shot = next(attachment for attachment in leader.attachments if attachment.kind == "shot")
    below_m = sum(piece.length_m for piece in leader.pieces[-2:])
    assert 0.0 < shot.above_end_m - below_m < 0.05
    assert shot.metal == "tin"


def test_the_tight_line_has_its_sighter_above_a_ring_and_tippet_for_the_depth():
    leader = leader_of("tight-line", RIGGED)
    assert [piece.role for piece in leader.pieces] == ["butt", "sighter", "tippet", "tippet"]
    assert leader.joints[2].kind == "ring"
    below = sum(piece.length_m for piece in leader.pieces[2:])
    assert below >= 1.15 * RIGGED.water.depth_m
    assert leader.joints[3].dropper.fly.mass_kg < NYMPH.mass_kg


def test_wire_ends_the_predators_leader_and_the_bite_is_within_the_record_rule():
    pike = day(**{**SALT, "quarry": TargetFish(kind="pike", mass_kg=5.0)})
    assert leader_of("predator-wire", pike).pieces[-1].strand.substance.family == "wire"
    assert leader_of("level-and-wire", pike).joints[1].kind == "ring"
    bite, tippet = (leader_of("class-and-bite", pike).pieces[i].length_m for i in (-1, -2))
    assert bite < 0.3048
    assert tippet > 0.381


def test_power_makes_the_butt_stouter_and_softness_thinner():
    soft, plain, driving = (
        leader_of("sixty-twenty-twenty", power=p).pieces[0].upper_diameter_m for p in (-1, 0, 1)
    )
    assert soft < plain < driving


def test_what_the_shelf_lacks_is_named_with_what_comes_nearest():
    poor = (spool(18), spool(15), spool(12), spool(10), spool(8, "nylon-soft"))
    made = propose(
        "sixty-twenty-twenty", day(), SchoolParameters(tippet_m=4 * THOU_M), poor, INCHES
    )
    last = made.shortfalls[-1]
    assert "soft nylon of about .004 in" in wanted_words(last.wanted, INCHES)
    assert last.nearest.title == "nylon-soft-80"


def test_a_spool_that_is_nearly_empty_is_not_counted_on():
    full, empty = spool(18), spool(17.5, left_m=0.5)
    assert leader_of("halving", stock=(*SHELF, full, empty)).pieces[0].strand.spool_id != (
        empty.spool_id
    )


def test_an_empty_shelf_is_a_refusal_with_the_mend():
    for key, stock in (
        ("halving", ()),
        ("sixty-twenty-twenty-knotless", (spool(6, "nylon-soft"),)),
    ):
        with pytest.raises(CannotCompute) as refused:
            leader_of(key, stock=stock)
        assert refused.value.hint
    with pytest.raises(CannotCompute):
        leader_of("sixty-twenty-twenty-knotless", stock=(*SHELF[:-1], packet(count=0)))


@pytest.mark.parametrize("key", ["compound-slack", "thin-mono"])
def test_a_length_that_a_school_cannot_have_is_refused_with_its_own(key):
    with pytest.raises(CannotCompute, match="can't be tied") as refused:
        leader_of(key, length_m=0.4)
    assert "which suits it here" in refused.value.hint


def test_an_unknown_school_is_not_found():
    with pytest.raises(NotFound, match="no school"):
        leader_of("seventy-thirty")


def test_a_bare_start_is_one_matched_butt():
    leader = bare_leader(day(), SHELF, INCHES)
    assert len(leader.pieces) == 1
    assert [m.flag for m in match_joints(leader, line_profile(day().line), DRY)] == ["fits"]


@settings(max_examples=60)
@given(
    st.sampled_from(list(SCHOOLS)),
    st.floats(1.2, 12.0),
    st.floats(4, 12),
    st.floats(-1, 1),
    st.integers(1, 14),
    st.floats(0.1, 6.0),
)
def test_whatever_is_asked_the_answer_is_a_leader_or_a_refusal(
    key, length, thou, power, weight, kg
):
    situation = day(
        line=FlyLine(title="l", weight=weight),
        quarry=TargetFish(mass_kg=kg),
        water=Water(kind="pool", depth_m=1.5),
    )
    parameters = {"length_m": length, "tippet_m": thou * THOU_M, "power": power}
    try:
        leader = leader_of(key, situation, **parameters)
    except CannotCompute:
        return
    assert all(
        above.lower_diameter_m >= below.upper_diameter_m - 0.6 * THOU_M
        for (above, below), joint in zip(
            itertools.pairwise(leader.pieces), leader.joints[1:], strict=False
        )
        if below.role != "bite" and joint.kind not in ("ring", "swivel")
    )
