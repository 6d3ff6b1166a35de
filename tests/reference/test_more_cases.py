"""Rows 20 to 60 of what practitioners tie: from just these spools, on that day, what must come out.

Common practice, no source; fly masses and drag areas are from memory. A card is what an angler sees
first, so that the first cards, their leaders and all their measures are looked at; each leader is
also read as the bench reads it.
"""

from dataclasses import dataclass
from itertools import pairwise

import pytest

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.side_effects import scores_without_cast
from nine_knots.core.assess.turnover import MonoReason, TurnoverReason, mono_score
from nine_knots.core.assess.verdict import HoldReason
from nine_knots.core.base.units.factors import FOOT_M, INCH_M, THOU_M
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.stroke import SPEEDS, Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Attachment, Leader, TaperedSection
from nine_knots.core.domain.leader.connections import eye_knot, joint_between, line_joint
from nine_knots.core.domain.situation import Situation, TargetFish, Water, Wind
from nine_knots.core.domain.strand import Stock
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod
from nine_knots.core.domain.tackle.backing import Backing
from nine_knots.core.schools import SCHOOLS, line_leads
from nine_knots.core.search.schools_today import SchoolToday, school_today
from nine_knots.core.strength.elements import hold_of
from nine_knots.core.strength.reel_to_leader import reel_to_leader
from nine_knots.core.techniques import technique_of
from nine_knots.words.schools_today import card_of, outcome_words, today_reading
from nine_knots.words.scores.reading import score_reading
from tests.makers import INCHES, day, level
from tests.rigs import bought, gauged, labelled, tippets

RUN = Water(kind="run", depth_m=0.8, pace_m_s=0.6)
TROUT = TargetFish(kind="trout", mass_kg=0.4)


def rod(feet: float, weight: int) -> Rod:
    return Rod(title=f"{feet:g} ft {weight}-weight", length_m=feet * FOOT_M, weight=weight)


def outfit(weight: int, **line) -> dict:
    made = FlyLine(title=f"{weight}-weight", weight=weight, **line)
    return {"rod": rod(9, weight), "line": made}


def fly(kind: str, hook: int, **more) -> Fly:
    return Fly(title=f"{kind} {hook}", kind=kind, hook=hook, **more)


def bait(grams: float) -> Fly:
    return fly("streamer", -1, weighed_kg=1e-3 * grams, drag_area_m2=4e-4)


@dataclass
class Cards:
    """All schools on a day, in the order in which they are shown."""

    found: list[SchoolToday]
    day: Situation
    stroke: Stroke

    @property
    def fitting(self) -> list[SchoolToday]:
        return [card for card in self.found if card.group == "fits this day"]

    @property
    def first(self) -> SchoolToday:
        return self.found[0]

    def of(self, key: str) -> SchoolToday:
        return next(card for card in self.found if card.key == key)

    def keys(self, *groups: str) -> list[str]:
        return [card.key for card in self.found if card.group in groups]


def cards(
    situation: Situation, *stock: Stock, flies: tuple[Fly, ...] = (), stroke: str = "normal"
) -> Cards:
    """What is seen with just these spools. Nothing under “fits” is wrong, there or on the bench."""
    thrown = Stroke(speed_m_s=SPEEDS[stroke])
    angler = Angler(stock=stock, flies=flies)
    found = {key: school_today(key, situation, thrown, angler) for key in SCHOOLS}
    order = today_reading([card_of(card, INCHES) for card in found.values()]).cards
    made = Cards([found[card.key] for card in order], situation, thrown)
    for card in made.fitting:
        again = Assessor(situation, angler).measures(card.design.leader, thrown)
        assert {score.status for score in again} == {"right"}, (
            card.key,
            outcome_words(card, INCHES),
        )
    return made


def thous(leader: Leader) -> list[float]:
    return [round(piece.upper_diameter_m / THOU_M, 1) for piece in leader.pieces]


def by_hand(situation: Situation, *pieces, things: tuple[Attachment, ...] = ()) -> Leader:
    """A leader tied by hand, with the usual joints."""
    joints = (
        line_joint(situation.line, pieces[0]),
        *(joint_between(above, below) for above, below in pairwise(pieces)),
        eye_knot(pieces[-1], situation.fly),
    )
    return Leader(pieces=pieces, joints=joints, attachments=things)


def judged(situation: Situation, leader: Leader) -> dict:
    """Match, hold and length of a leader on a day, as the bench reads them."""
    design = Design(title="by hand", situation=situation, leader=leader)
    return {score.key: score for score in scores_without_cast(design, Angler())}


def test_20_tied_tapers_never_leap_from_thirteen_thousandths_to_six():
    stock = (gauged(20), gauged(17), gauged(13), *tippets(2, 3, 4, 5))
    stock += tippets(5, 6, material="fluorocarbon")
    at = day(water=RUN, fly=fly("dry", 14), quarry=TROUT, **outfit(4))
    found = cards(at, *stock)
    assert found.first.group == "fits this day"
    assert "sixty-twenty-twenty" in found.keys("fits this day")
    for card in found.fitting:
        leader = card.design.leader
        for above, below in pairwise(leader.pieces):
            assert below.upper_diameter_m > 0.6 * above.lower_diameter_m, (card.key, thous(leader))
    leap = by_hand(at, level(20, 4, "butt"), level(13, 2), level(6, 3, "tippet", "fluorocarbon"))
    ringed = leap.with_joint(2, leap.joints[2].evolve(kind="ring", knot="uni", upper_knot="uni"))
    assert judged(at, ringed)["match"].status == "too little"


def test_21_a_bought_taper_comes_first_for_those_who_own_one():
    stock = (*(gauged(thou) for thou in (20, 17, 15.5, 13)), *tippets(3, 4))
    stock += (*tippets(5, 6, material="fluorocarbon"), bought(9, 5))
    found = cards(day(water=RUN, fly=fly("dry", 16), quarry=TROUT, **outfit(5)), *stock)
    first = found.first.design.leader
    assert first.pieces[0].form == "tapered"
    assert first.pieces[0].cut_butt_m == first.pieces[0].cut_tip_m == 0.0


TARPON = {
    "quarry": TargetFish(kind="tarpon", mass_kg=40.0),
    "fly": fly("streamer", -1),
    "water": Water(kind="flats", depth_m=1.2, pace_m_s=0.2),
    "wish": "strip",
}


@pytest.mark.parametrize(
    ("weight", "stock", "bite_lb"),
    [
        (
            10,
            (*(labelled(lb, "nylon-stiff") for lb in (60, 50, 20)), labelled(60, "fluorocarbon")),
            60,
        ),
        (11, (labelled(80), labelled(60), labelled(20), labelled(80, "fluorocarbon")), 80),
    ],
)
def test_22_and_23_class_and_bite_is_first_and_plain_tippet_is_not_for_a_rasping_mouth(
    weight, stock, bite_lb
):
    found = cards(day(**TARPON, **outfit(weight)), *stock, stroke="double haul")
    assert [card.key for card in found.fitting] == ["class-and-bite"]
    leader = found.first.design.leader
    assert leader.pieces[-1].strand.spool_id == f"{bite_lb}-lb-fluorocarbon"
    assert leader.pieces[-1].length_m < 12 * INCH_M
    assert leader.length_m == pytest.approx(9.5 * FOOT_M, rel=0.1)
    assert [joint.doubled for joint in leader.joints[2:4]] == ["lower", "upper"]
    plain = found.of("guide-three-part")
    assert any(score.finding.reason is HoldReason.WORN_BY_MOUTH for score in plain.measures)


def test_24_without_a_bite_piece_one_is_to_be_bought_and_is_named_in_pounds():
    stock = [labelled(lb) for lb in (50, 40, 30, 20)]
    found = cards(day(**TARPON, **outfit(10)), *stock, stroke="double haul")
    assert not found.fitting
    assert found.keys("would do") == ["class-and-bite"]
    assert "60 lb" in outcome_words(found.first, INCHES)


def test_25_a_spool_of_tippet_is_no_casting_line():
    nymph = fly("nymph", 16, bead=Bead(diameter_mm=2.0))
    at = day(
        water=Water(kind="run", depth_m=0.5, pace_m_s=0.6),
        fly=nymph,
        wish="drift deep",
        quarry=TROUT,
        **outfit(4),
    )
    tippet = gauged(5, left_m=30.0)
    found = cards(at, bought(9, 5), tippet, flies=(fly("dry", 14), nymph))
    assert found.fitting
    for card in found.fitting:
        assert line_leads(card.design.leader), card.key
        assert card.design.leader.pieces[0].form == "tapered"


def test_26_a_tight_line_comes_first_with_a_level_line_and_a_sighter():
    jigs = tuple(
        fly("nymph", hook, bead=Bead(diameter_mm=mm)) for hook, mm in ((14, 3.3), (16, 2.5))
    )
    at = day(
        water=Water(kind="run", depth_m=0.9, pace_m_s=0.7),
        fly=jigs[0],
        wish="drift deep",
        quarry=TROUT,
        rod=rod(10, 3),
        line=FlyLine(title="level nymph line", weight=3, level_m=0.55e-3),
    )
    stock = (gauged(14, left_m=18.3), gauged(11, colour="sighter", left_m=10.0))
    found = cards(at, *stock, *tippets(5, 6, material="fluorocarbon"), flies=jigs)
    assert found.first.key == "tight-line"
    leader = found.first.design.leader
    assert thous(leader)[:3] == [14.0, 11.0, 6.0]
    assert leader.joints[2].kind == "ring"
    assert leader.pieces[0].length_m == pytest.approx(9 * FOOT_M, rel=0.1)
    assert all(len(card.design.leader.pieces) > 1 for card in found.fitting)


def test_27_the_packet_for_the_fish_is_used_whole_and_no_trout_packet_is_cut():
    fifteen = bought(9, -3.5, butt=24)
    at = day(
        quarry=TargetFish(kind="red-drum", mass_kg=4.0),
        fly=fly("streamer", -1),
        water=Water(kind="surf", depth_m=1.2, pace_m_s=0.3),
        wish="strip",
        **outfit(8),
    )
    found = cards(at, fifteen, bought(12, 5), bought(9, 4), gauged(11, "nylon-soft"))
    first = found.first.design.leader.pieces[0]
    assert first.strand.spool_id == fifteen.spool_id
    assert first.cut_butt_m == first.cut_tip_m == 0.0


def test_28_even_step_is_among_the_first_three_on_a_flat():
    at = day(
        quarry=TargetFish(kind="bonefish", mass_kg=2.0, temper="wary"),
        fly=fly("streamer", 4, weighed_kg=3e-4),
        water=Water(kind="flats", depth_m=0.6, pace_m_s=0.1),
        wind=Wind(speed_m_s=5.4, bearing="across"),
        wish="lead and drop",
        **outfit(8),
    )
    stock = [labelled(lb, "nylon-stiff") for lb in (30, 25, 20, 16, 12)]
    found = cards(at, *stock, gauged(12.2, "fluorocarbon"))
    assert "even-step" in [card.key for card in found.found[:3]]
    even = found.of("even-step").design.leader
    assert len(even.pieces) == 6
    assert {round(piece.length_m / INCH_M) for piece in even.pieces} == {24}
    assert not any(
        thing.kind == "shot" for card in found.fitting for thing in card.design.leader.attachments
    )


@pytest.mark.parametrize("wind", [Wind(), Wind(speed_m_s=5.4, bearing="in the face")])
@pytest.mark.parametrize("feet", [7.5, 9.0])
def test_29_a_usual_taper_is_right_in_length_with_a_small_dry(feet, wind):
    at = day(water=RUN, fly=fly("dry", 18), quarry=TROUT, wind=wind, **outfit(5))
    found = cards(at, bought(feet, 5))
    assert found.first.group == "fits this day"
    assert found.first.design.leader.length_m == pytest.approx(feet * FOOT_M)


def test_30_long_and_fine_is_right_on_a_glide_and_longer_still_is_information():
    at = day(
        water=Water(kind="glide", depth_m=0.6, pace_m_s=0.3),
        quarry=TargetFish(kind="trout", mass_kg=0.5, temper="very wary"),
        fly=fly("dry", 18),
        rod=Rod(title="soft", length_m=9 * FOOT_M, weight=4, action="soft"),
        line=FlyLine(title="l", weight=4),
    )
    stock = (bought(12, 5), bought(14, 5), *tippets(6, 7, material="fluorocarbon"))
    long_fine = cards(at, *stock).of("long-fine")
    assert long_fine.group == "fits this day"
    assert 15 * FOOT_M <= long_fine.design.leader.length_m <= 18 * FOOT_M
    tail = level(4, 8, "tippet", "fluorocarbon")
    twenty = by_hand(at, *long_fine.design.leader.pieces[:1], tail)
    said = score_reading(judged(at, twenty)["length"], INCHES)
    assert said.status == "right"
    assert said.why.startswith("Longer than most")


def test_31_heavy_fluorocarbon_and_wire_are_both_right_for_musky():
    pike = fly("predator", -4, weighed_kg=3e-3, drag_area_m2=8e-4)
    at = day(
        quarry=TargetFish(kind="musky", mass_kg=8.0),
        fly=pike,
        water=Water(kind="lake", depth_m=2.0, pace_m_s=0.0),
        wish="strip",
        **outfit(10),
    )
    stock = (labelled(60, "nylon-stiff"), labelled(40, "nylon-stiff"), labelled(80, "fluorocarbon"))
    found = cards(at, *stock, labelled(40, "wire-soft"), stroke="hard")
    assert {"heavy-bite", "predator-wire"} <= set(found.keys("fits this day"))
    bite = found.of("heavy-bite").design.leader
    assert bite.pieces[-1].strand.spool_id == "80-lb-fluorocarbon"
    assert 12 * INCH_M <= bite.pieces[-1].length_m <= 18 * INCH_M
    assert 4 * FOOT_M <= bite.length_m <= 6 * FOOT_M


@pytest.mark.parametrize("feet", [2.0, 4.0])
@pytest.mark.parametrize("stuff", [gauged(9), labelled(20)])
def test_32_short_and_level_is_right_by_hand_and_by_school_on_a_sinking_line(stuff, feet):
    sinking = outfit(6, sinking="sink-3")
    at = day(fly=fly("streamer", 6), water=RUN, wish="swing", quarry=TROUT, **sinking)
    assert "level-short" in cards(at, stuff).keys("fits this day")
    piece = level(stuff.strand.diameter_m / THOU_M, feet, "tippet", "nylon-medium")
    leader = by_hand(at, piece)
    assert {score.status for score in judged(at, leader).values()} == {"right"}


def test_34_a_hopper_in_a_breeze_is_never_said_to_be_impossible():
    hopper = fly("foam", 8, drag_area_m2=3e-4, weighed_kg=1.2e-4)
    breeze = Wind(speed_m_s=3.6, bearing="in the face")
    at = day(fly=hopper, water=RUN, wind=breeze, quarry=TROUT, **outfit(6))
    for feet in (7.5, 9.0):
        card = cards(at, bought(feet, 2), stroke="hard").of("sixty-twenty-twenty-knotless")
        words = outcome_words(card, INCHES)
        assert "haul, or cast it across the wind" in words or card.group != "not for this"
        assert "not even" not in words


@pytest.mark.parametrize(
    ("pattern", "wish", "named"),
    [(fly("foam", 10), "drift on top", "3X"), (fly("streamer", 8), "strip", "1X")],
)
def test_35_so_fine_a_tippet_spins_and_snaps_off_a_bulky_fly(pattern, wish, named):
    at = day(fly=pattern, water=RUN, wish=wish, quarry=TROUT, **outfit(5))
    for x in (6, 7):
        card = cards(at, bought(9, x)).of("sixty-twenty-twenty-knotless")
        assert card.group == "would do"
        hold = card.outcome.else_wrong
        assert hold.finding.reason is HoldReason.TOO_FINE_FOR_FLY
        assert named in score_reading(hold, INCHES).why
        assert named in outcome_words(card, INCHES).split(" bought")[0] or wish == "strip"


@pytest.mark.parametrize(
    ("weight", "grams", "right"), [(6, 1.8, False), (3, 2.0, False), (8, 1.8, True)]
)
def test_36_a_heavy_fly_is_too_much_for_a_light_line(weight, grams, right):
    fish = TargetFish(kind="black-bass", mass_kg=1.5)
    at = day(fly=bait(grams), water=RUN, wish="strip", quarry=fish, **outfit(weight))
    card = cards(at, bought(9, 0)).of("sixty-twenty-twenty-knotless")
    assert (card.group == "fits this day") is right
    if not right:
        assert card.group == "not for this"


def test_39_a_longer_tippet_on_a_calm_flat_is_right_in_length_too():
    at = day(
        quarry=TargetFish(kind="red-drum", mass_kg=4.0, temper="wary"),
        fly=bait(1.0),
        water=Water(kind="flats", depth_m=0.6, pace_m_s=0.05),
        wish="strip",
        **outfit(8),
    )
    medium = [
        level(labelled(lb).strand.diameter_m / THOU_M, feet, role, "nylon-medium")
        for lb, feet, role in ((60, 3, "butt"), (40, 3, "taper"), (20, 4, "tippet"))
    ]
    found = judged(at, by_hand(at, *medium))
    assert {score.status for score in found.values()} == {"right"}
    twelve = level(labelled(12).strand.diameter_m / THOU_M, 2, "tippet", "nylon-medium")
    added = judged(at, by_hand(at, *medium[:2], replace_length(medium[2], 2), twelve))
    assert {score.status for score in added.values()} == {"right"}


def replace_length(piece, feet):
    return piece.evolve(length_m=feet * FOOT_M)


STEELHEAD = day(
    quarry=TargetFish(kind="steelhead", mass_kg=4.0),
    fly=fly("nymph", 6, bead=Bead(diameter_mm=3.8)),
    water=Water(kind="run", depth_m=1.2, pace_m_s=0.8),
    wish="drift deep",
    **outfit(7),
)


@pytest.mark.parametrize("set_at_ft", [8.0, 5.0])
def test_40_no_step_is_a_hinge_where_weight_leads_wherever_the_indicator_sits(set_at_ft):
    shot = Attachment(kind="shot", above_end_m=16.5 * INCH_M, mass_kg=0.8e-3)
    floats = Attachment(kind="indicator", above_end_m=set_at_ft * FOOT_M, diameter_m=0.025)
    pieces = (
        level(22, 40 / 12, "butt", "nylon-medium"),
        level(11, 6, "tippet", "nylon-soft"),
        level(10, 16 / 12, "tippet", "nylon-soft"),
    )
    leader = by_hand(STEELHEAD, *pieces, things=(shot, floats))
    assert judged(STEELHEAD, leader)["match"].status == "right"
    turnover = Assessor(STEELHEAD, Angler()).turnover(leader, Stroke())
    assert turnover.status == "right"


def test_41_a_tight_line_rig_built_from_nothing_is_judged_as_one():
    jig = fly("nymph", 14, bead=Bead(diameter_mm=3.3))
    at = day(
        fly=jig,
        water=Water(kind="run", depth_m=0.9, pace_m_s=0.7),
        wish="drift deep",
        quarry=TROUT,
        rod=rod(10, 3),
    )
    pieces = (
        level(12, 9, "butt", "nylon-medium"),
        level(11, 1.75, "sighter", "nylon-medium"),
        level(6, 5, "tippet", "fluorocarbon"),
        level(5, 20 / 12, "tippet", "fluorocarbon"),
    )
    leader = by_hand(at, *pieces)
    design = Design(title="by hand", situation=at, leader=leader)
    assert technique_of(design).key == "on a tight line"
    found = judged(at, leader)
    assert found["match"].status == "right"
    assert found["length"].status == "right"
    deep = at.evolve(water=at.water.evolve(depth_m=1.8))
    _, drift = Assessor(deep, Angler()).fished(leader, Stroke()).measures[1:]
    assert drift.finding.sighter_drowned
    assert drift.status != "right" or drift.marginal
    assert "more tippet below it" in score_reading(drift, INCHES).why


def test_42_three_nymphs_in_line_are_lobbed_and_never_pile_up():
    heavy = fly("nymph", 6, bead=Bead(diameter_mm=4.6))
    light = fly("nymph", 12, bead=Bead(diameter_mm=2.8))
    at = day(
        fly=light,
        quarry=TargetFish(kind="trout", mass_kg=1.0),
        water=Water(kind="run", depth_m=1.2, pace_m_s=0.9),
        wish="drift deep",
        **outfit(6),
    )
    stock = (bought(7.5, 2), *(labelled(lb, "fluorocarbon") for lb in (12, 10, 8)))
    card = cards(at, *stock, flies=(heavy, light)).of("heaviest-first")
    turnover = next(score for score in card.measures if score.key == "turnover")
    assert turnover.status == "right"
    if turnover.finding.reason is TurnoverReason.LOBBED:
        assert "swing it over" in score_reading(turnover, INCHES).why


def test_45_a_tungsten_nymph_left_to_drift_dry_sinks():
    nymph = fly("nymph", 16, bead=Bead(diameter_mm=2.5))
    at = day(fly=nymph, water=RUN, wish="drift on top", quarry=TROUT, **outfit(5))
    found = cards(at, bought(9, 5))
    assert not found.fitting
    card = found.of("sixty-twenty-twenty-knotless")
    assert "it sinks" in outcome_words(card, INCHES)


def test_46_an_unweighted_streamer_cast_across_swings():
    at = day(fly=fly("streamer", 6), water=RUN.evolve(pace_m_s=0.8), wish="swing", quarry=TROUT)
    design = Design(title="s", situation=at, leader=by_hand(at, bought_piece(9, 3)))
    assert technique_of(design).key == "swung"
    _, drift = Assessor(at, Angler()).fished(design.leader, Stroke()).measures[1:]
    assert score_reading(drift, INCHES).figure.startswith("swims at ")


def bought_piece(feet, x):
    return TaperedSection(role="butt", strand=bought(feet, x).strand)


def test_54_the_arbor_knot_behind_the_backing_is_no_link_that_a_fish_loads():
    line = FlyLine(title="l", weight=8, backing=Backing(length_m=180.0))
    at = day(line=line, rod=rod(9, 8), fly=bait(1.0), wish="strip")
    design = Design(title="s", situation=at, leader=by_hand(at, level(26, 5, "butt"), level(18, 3)))
    chain = reel_to_leader(design, hold_of(design.leader))
    assert (chain.links[0].place, chain.links[0].chance) == ("reel", 0.0)


def test_55_finer_tippet_is_not_said_of_class_tippet_or_wire():
    class_and_bite = cards(
        day(**TARPON, **outfit(10)),
        *(labelled(lb, "nylon-stiff") for lb in (60, 50, 20)),
        labelled(60, "fluorocarbon"),
        stroke="double haul",
    ).first
    hold = next(score for score in class_and_bite.measures if score.key == "hold")
    assert "iner tippet" not in score_reading(hold, INCHES).why


@pytest.mark.parametrize(
    ("thou", "hook", "bead_mm", "reasons"),
    [
        (14.5, 18, 2.3, {MonoReason.TOO_LIGHT}),
        # with care, the trade says: so heavy a jig is swung over; the model only weighs the mono
        (9, 10, 4.5, {MonoReason.CASTS_WITH_CARE, MonoReason.CASTS_WELL}),
        (5.5, 20, 2.0, {MonoReason.CASTS_WELL}),
    ],
)
def test_44_what_a_bead_pulls_of_mono(thou, hook, bead_mm, reasons):
    jig = fly("nymph", hook, bead=Bead(diameter_mm=bead_mm))
    at = day(water=RUN, fly=jig, quarry=TROUT, wish="drift deep", **outfit(3))
    mono = level(thou, 37, "butt", "nylon-medium")
    leader = by_hand(at, mono, level(min(6, thou), 4, "tippet", "fluorocarbon"))
    ratio = mass_ratio(leader, jig)
    assert ratio is not None
    assert mono_score(ratio).finding.reason in reasons


def test_60_twist_is_met_by_a_smaller_fly_or_a_swivel():
    at = day(fly=fly("foam", 8, bulk="bushy"), water=RUN, quarry=TROUT, **outfit(5))
    fine = by_hand(at, level(20, 5, "butt"), level(13, 2), level(5, 2, "tippet"))
    why = score_reading(judged(at, fine)["hold"], INCHES).why
    assert "a smaller fly" in why
    assert "a small swivel" in why
