"""Rigs that builders tie, from just those spools: common practice, no source.

Masses of flies and depths are from memory; diameters of labels follow from the material's law. Each
row asks that the school comes back with its leader and its very spools, that its own verdict does
not condemn it, and that the words go the way builders say.
"""

from dataclasses import replace

import pytest

from nine_knots.core.base.units.factors import FOOT_M, INCH_M, POUND_N, THOU_M
from nine_knots.core.domain.situation import TargetFish, Water, Wind
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod
from nine_knots.core.propose.propose import propose
from nine_knots.core.schools.school import SchoolParameters
from nine_knots.words.proposal import cut_words, proposal_reasons
from nine_knots.words.shortages import shortage_reading, wanted_words
from tests.makers import INCHES, day
from tests.rigs import bought, fished, gauged, judged, labelled, thrown, tie, tippets

MPH = 0.44704


def lacking(tied) -> str:
    """What the shelf lacks for it, in words."""
    return "; ".join(wanted_words(miss.wanted, INCHES) for miss in tied.proposal.shortfalls)


def line(weight: int, **more) -> FlyLine:
    return FlyLine(title=f"{weight}-weight", weight=weight, **more)


def rod(feet: float, weight: int, action="medium") -> Rod:
    return Rod(title="Rod", length_m=feet * FOOT_M, weight=weight, action=action)


def fly(kind: str, hook: int, grams: float | None = None, cm2: float | None = None, **more) -> Fly:
    return Fly(
        title=f"{kind} {hook}",
        kind=kind,
        hook=hook,
        weighed_kg=grams and grams * 1e-3,
        drag_area_m2=cm2 and cm2 * 1e-4,
        **more,
    )


def nymph(hook: int, bead: float) -> Fly:
    return Fly(
        title=f"nymph {hook}, {bead:g} mm",
        kind="nymph",
        hook=hook,
        bulk="slim",
        bead=Bead(diameter_mm=bead),
    )


def nylon(*pounds: float):
    return tuple(labelled(pound) for pound in pounds)


def sound(tied) -> None:
    """Its own verdict and its knots do not condemn it."""
    standings = {key: measure.status for key, measure in tied.verdict.items()}
    assert standings["match"] == "right", tied.verdict["match"].why
    assert standings["hold"] != "too little", tied.verdict["hold"].why
    assert standings["length"] == "right", tied.verdict["length"].why
    assert tied.faults == ()


def near(found, wanted, share=0.1) -> None:
    assert found == pytest.approx(wanted, rel=share)


RUN = Water(kind="run", depth_m=0.9, pace_m_s=0.8)
STREAMER = fly("streamer", 8, 0.8, 3.0)


def test_1_halving_for_a_small_streamer_and_never_under_ten_thousandths():
    shelf = tuple(gauged(thou) for thou in (18, 13, 12, 10))
    for temper in ("easy", "wary", "very wary"):
        trout = TargetFish(kind="trout", mass_kg=0.8, temper=temper)
        usual = tie("halving", day(water=RUN, wish="strip", fly=STREAMER, quarry=trout), shelf)
        sound(usual)
        assert [piece.upper_diameter_m / THOU_M for piece in usual.leader.pieces] == (
            pytest.approx([18, 13, 12, 10])
        )
        assert usual.proposal.shortfalls == ()
        cast = thrown(usual)
        assert cast.turnover.status == "right"
        assert 1.0 <= cast.speed_margin < 1.5
    longer = tie(
        "halving", day(water=RUN, wish="strip", fly=STREAMER, quarry=trout), shelf, feet=9.5
    )
    sound(longer)
    first, middle, last, tippet = longer.feet
    near((first, middle), (4.5, 2.25))
    assert 0.9 <= last <= 1.5
    assert 1.0 <= tippet <= 2.0


def test_2_bought_tapers_as_sold_and_with_finer_tippet():
    shelf = (bought(9, 5), bought(9, 4), bought(9, 3), *tippets(3, 4, 5, 6, 7))
    fish = TargetFish(kind="trout", mass_kg=0.4)
    for hook, weight in ((12, 5), (14, 5), (16, 4), (18, 4)):
        at = day(fly=fly("dry", hook), line=line(weight), rod=rod(9, weight), quarry=fish)
        tied = tie("sixty-twenty-twenty-knotless", at, shelf)
        sound(tied)
        whole = tied.leader.pieces[0]
        near(whole.length_m, 9 * FOOT_M, 0.01)
        assert all(1.0 <= feet <= 3.05 for feet in tied.feet[1:])
        cast = thrown(tied)
        assert cast.turnover.status == "right"
        assert cast.speed_margin > 1.5
        assert "straight" not in cast.turnover.figure
        assert cast.agreement == ""
    short = tie(
        "sixty-twenty-twenty-knotless", day(fly=fly("dry", 16)), (bought(7.5, 5),), feet=7.5
    )
    nine = tie("sixty-twenty-twenty-knotless", day(fly=fly("dry", 16)), (bought(9, 5),))
    assert thrown(short).speed_margin > thrown(nine).speed_margin


def test_3_compound_slack_lands_with_slack_and_fails_a_bushy_fly():
    stiff = tuple(gauged(thou, "nylon-stiff") for thou in (15, 13, 11, 9))
    soft = tuple(gauged(thou, "nylon-soft") for thou in (9, 8, 7, 6))
    pocket = Water(kind="pocket water", depth_m=0.5)
    tied = tie("compound-slack", day(water=pocket, fly=fly("dry", 14)), stiff + soft)
    sound(tied)
    near(tied.leader.length_m, 11 * FOOT_M)
    assert 30 <= tied.inches[-1] <= 36
    near(tied.leader.tippet_diameter_m, 6 * THOU_M, 0.01)
    cast = thrown(tied)
    assert cast.turnover.status == "right"
    assert 0.2 < cast.slack.si < 0.7
    stouter = tie(
        "compound-slack",
        day(water=pocket, fly=fly("dry", 14)),
        stiff + soft,
        tippet_m=7 * THOU_M,
    )
    near(stouter.leader.tippet_diameter_m, 7 * THOU_M, 0.01)
    assert thrown(stouter).slack.si < cast.slack.si
    bushy = fly("dry", 10, bulk="bushy")
    at = day(water=pocket, fly=bushy)
    fails = tie("compound-slack", at, stiff + soft, tippet_m=6 * THOU_M)
    assert thrown(fails).turnover.status == "too little"


def test_4_long_fine_opens_in_calm_and_not_in_a_stiff_head_wind():
    shelf = (*(gauged(thou) for thou in (14.5, 13, 12, 11, 10, 9, 8)), *tippets(4, 5, 6, 7))
    glide = {
        "water": Water(kind="glide", depth_m=0.6, pace_m_s=0.4),
        "fly": fly("emerger", 18),
        "line": line(4),
        "rod": rod(9, 4, "soft"),
        "quarry": TargetFish(kind="trout", mass_kg=0.5, temper="very wary"),
    }
    tied = tie("long-fine", day(**glide), shelf)
    sound(tied)
    near(tied.leader.length_m, 15 * FOOT_M)
    near(tied.leader.pieces[0].upper_diameter_m, 14.5 * THOU_M, 0.01)
    assert tied.proposal.shortfalls == ()
    assert thrown(tied).turnover.status == "right"
    gale = day(**glide, wind=Wind(speed_m_s=8.0, bearing="in the face"))
    cast = thrown(tie("long-fine", gale, shelf))
    assert cast.turnover.status == "too little"
    assert "against this wind" in cast.turnover.why


BAITFISH = Fly(title="baitfish", kind="streamer", hook=-1, weighed_kg=1.2e-3, drag_area_m2=4e-4)
BASS = TargetFish(kind="striped-bass", mass_kg=3.0)
SALT = {
    "water": Water(kind="surf", depth_m=1.2, pace_m_s=0.3),
    "fly": BAITFISH,
    "line": line(8),
    "rod": rod(9, 8),
    "quarry": BASS,
    "wish": "strip",
}


def labels(tied) -> list[int]:
    return [round(piece.breaking_at_n(0.0) / POUND_N) for piece in tied.leader.pieces]


def test_5_fifty_thirty_twenty_of_just_these_three():
    tied = tie("fifty-thirty-twenty", day(**SALT), nylon(40, 30, 20))
    sound(tied)
    assert labels(tied) == [40, 30, 20]
    near(tied.inches, (48, 29, 19))
    assert tied.joints[1].knot == "blood"
    double = judged(
        tied.leader.model_copy(
            update={
                "joints": tuple(
                    joint.evolve(knot="double-surgeons") if 0 < number < 3 else joint
                    for number, joint in enumerate(tied.joints)
                )
            }
        ),
        day(**SALT),
    )
    sound(double)
    assert thrown(tied).turnover.status == "right"


@pytest.mark.parametrize("weight", [6, 7, 8, 9])
def test_6_guide_three_part_by_its_labels(weight):
    at = day(**{**SALT, "line": line(weight), "rod": rod(9, weight)})
    tied = tie("guide-three-part", at, nylon(60, 50, 40, 35, 25, 20, 16, 12))
    sound(tied)
    assert labels(tied) in ([60, 40, 20], [50, 35, 20])
    near(tied.feet, (3, 3, 2))
    assert [joint.knot for joint in tied.joints[1:3]] == ["blood", "double-surgeons"]
    assert thrown(tied).turnover.status == "right"


def test_7_tapered_inshore_never_knots_one_spool_to_itself():
    tied = tie("tapered-inshore", day(**SALT), nylon(50, 30, 20, 15))
    sound(tied)
    assert labels(tied) == [50, 30, 20, 15]
    near(tied.inches, (54, 25, 13, 18))
    assert thrown(tied).turnover.status == "right"


@pytest.mark.parametrize(("sinking", "feet"), [("floating", 8), ("intermediate", 6), ("sink-3", 4)])
def test_8_two_parts_by_line_with_a_swivel(sinking, feet):
    tied = tie("two-part", day(**{**SALT, "line": line(7, sinking=sinking)}), nylon(20, 12))
    sound(tied)
    assert labels(tied) == [20, 12]
    near(tied.leader.length_m, feet * FOOT_M)
    near(tied.feet[-1], 2)
    assert tied.joints[1].kind == "swivel"
    assert tied.joints[-1].knot == "non-slip-loop"
    assert any("changes of fly" in said for said in proposal_reasons(tied.proposal, INCHES))
    assert thrown(tied).turnover.status == "right"


@pytest.mark.parametrize("weight", [6, 7, 8])
@pytest.mark.parametrize("sunk", [{"sinking": "sink-3"}, {"sinking": "sink-6", "sink_tip_m": 3.0}])
def test_9_two_feet_level_is_a_school_of_its_own(weight, sunk):
    at = day(**{**SALT, "line": line(weight, **sunk), "fly": STREAMER})
    tied = tie("level-short", at, nylon(22))
    sound(tied)
    near(tied.feet, (2,))
    assert thrown(tied).turnover.status == "right"


def test_two_feet_of_ten_pounds_swing_a_fly_for_steelhead_too():
    tip = line(8, sinking="sink-6", sink_tip_m=3.0)
    steelhead = TargetFish(kind="steelhead", mass_kg=4.0)
    at = day(water=RUN, line=tip, rod=rod(9.5, 8), fly=STREAMER, quarry=steelhead, wish="swing")
    tied = tie("level-short", at, nylon(12, 10, 25))
    sound(tied)
    assert labels(tied) in ([10], [12])


def test_10_class_and_bite_from_the_spools_owned_and_the_class_goes_first():
    shelf = (*nylon(60, 50, 20), labelled(60, "fluorocarbon"))
    at = day(
        water=Water(kind="flats", depth_m=1.5, pace_m_s=0.2),
        fly=fly("streamer", -1),
        line=line(11),
        rod=rod(9, 11, "fast"),
        quarry=TargetFish(kind="tarpon", mass_kg=35),
        wish="strip",
    )
    tied = tie("class-and-bite", at, shelf)
    sound(tied)
    assert labels(tied) == [60, 50, 20, 60]
    assert tied.leader.pieces[-1].strand.material == "fluorocarbon"
    assert tied.inches[-1] < 12
    near(tied.leader.length_m, 10 * FOOT_M)
    assert (tied.joints[2].doubled, tied.joints[3].doubled) == ("lower", "upper")
    why = tied.verdict["hold"].why
    assert any(said in why for said in ("piece 3", "joint 2", "joint 3")), why
    assert thrown(tied).turnover.status == "right"


def even_step(wind: Wind):
    shelf = tuple(gauged(thou, "nylon-stiff") for thou in (27, 24, 21, 18, 15))
    tippet = gauged(12, "fluorocarbon")
    known = tippet.strand.model_copy(update={"strength_n": 18 * POUND_N})
    crab = Fly(title="crab", kind="streamer", hook=6, weighed_kg=3.5e-4, drag_area_m2=1e-4)
    at = day(
        water=Water(kind="flats", depth_m=0.5, pace_m_s=0.1),
        fly=crab,
        line=line(8),
        rod=rod(9, 8, "fast"),
        quarry=TargetFish(kind="bonefish", mass_kg=2),
        wish="strip",
        wind=wind,
    )
    return tie("even-step", at, (*shelf, tippet.model_copy(update={"strand": known})))


def test_11_even_step_of_six_lies_straight_across_and_into_it_only_on_a_hard_stroke():
    calm = even_step(Wind())
    sound(calm)
    assert [round(piece.upper_diameter_m / THOU_M) for piece in calm.leader.pieces] == [
        *(27, 24, 21, 18, 15, 12)
    ]
    assert max(calm.inches) - min(calm.inches) < 1.0
    near(calm.leader.length_m, 12.5 * FOOT_M)
    across = thrown(even_step(Wind(speed_m_s=20 * MPH, bearing="across")))
    assert across.turnover.status == "right"
    into = even_step(Wind(speed_m_s=20 * MPH, bearing="in the face"))
    assert thrown(into).turnover.status == "too little"
    assert thrown(into, "hard").turnover.status == "right"


def test_12_a_salmon_taper_cut_to_the_arm_span_and_soft_wire_only():
    taper = bought(9, -6.5, butt=26.0)  # to .0175 in, about 20 lb
    shelf = (
        taper,
        labelled(20, "wire-soft"),
        labelled(30, "wire-soft"),
        labelled(22, "wire-single"),
        labelled(20),
    )
    at = day(
        water=Water(kind="lake", depth_m=2.0, pace_m_s=0.0),
        fly=fly("predator", -3, 3.0, 8.0),
        line=line(9).evolve(head_kg=0.0195, head_m=9.1),
        rod=rod(9, 9, "fast"),
        quarry=TargetFish(kind="pike", mass_kg=5.0),
        wish="strip",
    )
    tied = tie("predator-wire", at, shelf)
    sound(tied)
    mono, wire = tied.leader.pieces
    near(mono.length_m, 6 * FOOT_M)
    assert mono.cut_butt_m > 0.8
    assert mono.cut_tip_m == 0.0
    assert "off its butt" in cut_words(tied.proposal.taper, INCHES)
    whole = propose("predator-wire", at, SchoolParameters(whole=True), shelf, INCHES)
    assert (whole.taper.cuts, whole.leader.pieces[0].cut_butt_m) == ((), 0.0)
    assert wire.strand.material == "wire-soft"
    near(wire.length_m, 0.3)
    assert thrown(tied).turnover.figure == "opens on a brisk stroke"
    only = tie("predator-wire", at, (taper, labelled(30, "wire-soft"), labelled(30, "wire-single")))
    assert only.leader.pieces[-1].strand.material == "wire-soft"
    none = tie("predator-wire", at, (taper, labelled(30, "wire-single")))
    assert "soft stranded wire" in lacking(none)


def test_13_level_and_wire_of_86_pounds_or_the_miss_is_said():
    at = day(
        water=Water(kind="surf", depth_m=2.0, pace_m_s=0.3),
        fly=fly("predator", -9, tube=True),
        line=line(13),
        rod=rod(9, 13, "fast"),
        quarry=TargetFish(kind="shark", mass_kg=40),
        wish="strip",
    )
    tied = tie("level-and-wire", at, (labelled(30), labelled(86, "wire-single")))
    sound(tied)
    assert labels(tied) == [30, 86]
    near(tied.inches[-1], 42)
    assert tied.joints[1].kind == "ring"
    assert (tied.joints[1].knot, tied.joints[-1].knot) == ("haywire", "haywire")
    weak = tie("level-and-wire", at, (labelled(30), labelled(22, "wire-single")))
    (missed,) = (shortage_reading(miss, INCHES) for miss in weak.proposal.shortfalls)
    assert missed.wanted == "86 lb single-strand wire or more"
    assert "64 lb weaker" in missed.nearest
    stouter = tie(
        "level-and-wire",
        at,
        (labelled(30), labelled(22, "wire-single"), labelled(120, "wire-single")),
    )
    assert labels(stouter) == [30, 120]


LED = {"water": RUN, "line": line(3), "rod": rod(10, 3), "wish": "drift deep"}


def test_14_a_tight_line_takes_the_sighter_for_its_sighter_and_one_tippet_throughout():
    sighter = gauged(11, "nylon-medium", colour="sighter")
    shelf = (gauged(12), gauged(13), sighter, *tippets(5, 6, material="fluorocarbon"))
    trout = TargetFish(kind="trout", mass_kg=0.5)
    at = day(**LED, fly=nymph(14, 3.0), quarry=trout)
    for asked in (None, 6 * THOU_M, 5 * THOU_M):
        tied = tie("tight-line", at, shelf, tippet_m=asked)
        sound(tied)
        for piece in tied.leader.pieces:
            assert (piece.role == "sighter") == (piece.strand.spool_id == sighter.spool_id)
        below = [piece.upper_diameter_m for piece in tied.leader.pieces if piece.role == "tippet"]
        assert below == pytest.approx([asked or 6 * THOU_M] * 2)
        assert tied.joints[2].kind == "ring"
    butt, coloured, _, last = tied.inches
    near(butt, 108)
    near(coloured, 21)
    near(last, 20)
    tag = tied.joints[3].dropper
    assert tag.tag == "upper"
    assert "sighter" not in fished(tied).drift.why
    hole = at.evolve(water=at.water.evolve(depth_m=1.6))
    sunk = replace(tied, design=tied.design.evolve(situation=hole))
    assert "of the sighter is under water" in fished(sunk).drift.why
    bare = tie("tight-line", at, (gauged(12), *tippets(5, 6, material="fluorocarbon")))
    assert "sighter" in lacking(bare)


def test_15_level_mono_by_the_fly_and_no_ring_passes_the_guides():
    coloured = [gauged(mm / 0.0254, "copolymer", left_m=100.0) for mm in (0.14, 0.16)]
    fine = tippets(4, 5, 6, 7, material="fluorocarbon")
    shelf = (*nylon(6, 8, 12, 15), *coloured, *fine)
    small = day(**LED, fly=nymph(20, 2.0))
    thin = tie("thin-mono", small, shelf)
    sound(thin)
    assert thin.leader.pieces[0].upper_diameter_m < 0.17e-3
    assert thrown(thin).figure == "casts well"
    only_12 = tie("all-round-mono", small, (labelled(12), *fine))
    assert thrown(only_12).turnover.status == "too little"
    jig = fly("streamer", 8, 1.0, 2.0, bead=Bead(diameter_mm=4.5))
    carried = tie("thin-mono-streamer", day(**{**LED, "wish": "strip"}, fly=jig), shelf)
    sound(carried)
    assert labels(carried)[0] == 6
    assert fished(carried).drift.figure == "jigs"
    assert "drops between" in fished(carried).drift.why
    all_round = tie("all-round-mono", day(**LED, fly=nymph(14, 3.0)), shelf)
    assert labels(all_round)[0] in (12, 15)
    for tied in (thin, carried, all_round):
        near(tied.leader.length_m, 41 * FOOT_M)
        assert tied.joints[1].kind == "knot"
        assert tied.joints[0].kind == "knot" or tied.leader.pieces[0].upper_diameter_m > 3e-4


BOX = (fly("dry", 12, bulk="bushy"), fly("dry", 14), nymph(16, 2.0))


def test_16_nymph_under_dry_of_a_whole_packet_and_a_ring():
    shelf = (bought(9, 5), *tippets(5, 6, material="fluorocarbon"))
    at = day(
        water=Water(kind="riffle", depth_m=0.5, pace_m_s=0.5),
        fly=nymph(16, 2.0),
        line=line(4),
        rod=rod(9, 4),
        quarry=TargetFish(kind="trout", mass_kg=0.4),
        wish="drift deep",
    )
    tied = tie("nymph-under-dry", at, shelf, flies=BOX)
    sound(tied)
    near(tied.leader.pieces[0].length_m, 9 * FOOT_M, 0.01)
    assert tied.joints[1].kind == "ring"
    assert 12 <= tied.inches[1] <= 24
    dropper = tied.joints[2].dropper
    assert dropper.fly.kind == "dry"
    assert dropper.changes_left >= 2
    assert tied.joints[2].knot in ("blood", "triple-surgeons", "double-surgeons")
    near(tied.leader.pieces[2].length_m, 0.6)
    assert thrown(tied).turnover.status == "right"


def test_17_three_in_line_the_heaviest_first_on_lighter_line_each():
    shelf = (bought(7.5, 2, butt=22.0), *(labelled(lb, "fluorocarbon") for lb in (12, 10, 8)))
    box = (nymph(6, 4.6), nymph(12, 3.0), nymph(14, 2.5))
    at = day(
        water=Water(kind="run", depth_m=1.2, pace_m_s=1.0, bed="cobble"),
        fly=nymph(14, 2.5),
        line=line(6),
        rod=rod(9, 6),
        quarry=TargetFish(kind="trout", mass_kg=0.7),
        wish="drift deep",
    )
    tied = tie("heaviest-first", at, shelf, flies=box)
    sound(tied)
    assert labels(tied)[1:] == [12, 10, 8]
    near(tied.leader.pieces[0].length_m, 7.5 * FOOT_M, 0.01)
    assert tied.joints[1].kind == "swivel"
    near(tied.inches[1], 18)
    assert 16 <= tied.inches[2] <= 24
    first, second = (tied_fly.mass_kg for _, tied_fly in tied.leader.flies_above)
    assert first > second > at.fly.mass_kg
    shot = next(attachment for attachment in tied.leader.attachments if attachment.kind == "shot")
    below = sum(piece.length_m for piece in tied.leader.pieces[1:])
    assert 0.0 < shot.above_end_m - below < 0.05
    assert tied.leader.indicator.above_end_m > shot.above_end_m


def test_18_a_stout_butt_carries_the_indicator_and_is_no_hinge():
    shelf = (labelled(30), *tippets(0, 1, 2, material="fluorocarbon"))
    at = day(
        water=Water(kind="run", depth_m=1.5, pace_m_s=1.2, bed="cobble"),
        fly=fly("nymph", 4, 0.8, 0.5),
        line=line(7),
        rod=rod(9.5, 7),
        quarry=TargetFish(kind="steelhead", mass_kg=4.0),
        wish="drift deep",
    )
    tied = tie("heavy-nymph", at, shelf)
    sound(tied)
    butt, level, last, _ = tied.leader.pieces
    assert round(butt.breaking_at_n(0.0) / POUND_N) == 30
    assert tied.leader.indicator.above_end_m > tied.leader.length_m - butt.length_m
    near(level.upper_diameter_m, 11 * THOU_M, 0.01)
    assert 6 * FOOT_M * 0.9 <= level.length_m <= 8 * FOOT_M
    assert 9 * THOU_M <= last.upper_diameter_m + 1e-9 <= 10.1 * THOU_M
    near(last.length_m, 16 * INCH_M)
    assert thrown(tied).turnover.status == "right"


@pytest.mark.parametrize(("depth", "pace"), [(1.2, 0.3), (0.75, 0.9)])
def test_19_a_beginners_rig_passes_in_a_slow_pool_and_in_a_riffle(depth, pace):
    """Within a drift of the length really fished, and set by the pace."""
    shelf = (bought(9, 4), *tippets(4, 5, material="fluorocarbon"))
    at = day(
        water=Water(kind="pool", depth_m=depth, pace_m_s=pace),
        fly=nymph(14, 2.5),
        line=line(5),
        rod=rod(9, 5),
        quarry=TargetFish(kind="trout", mass_kg=0.4),
        wish="drift deep",
    )
    tied = tie("indicator-nymph-tag", at, shelf)
    sound(tied)
    near(tied.leader.pieces[0].length_m, 9 * FOOT_M, 0.01)
    assert tied.joints[1].kind == "ring"
    assert 1.0 <= tied.leader.indicator.above_end_m / depth <= 1.6
    for drift in (None, 8.0, 15.0):
        read = fished(tied, drift_m=drift)
        assert (read.drift.status, read.depth_cord.status) == ("right", "right"), read.drift.why


def test_the_led_and_the_heavy_rigs_reach_the_bed_in_the_water_they_are_for():
    light = (gauged(12), gauged(11, colour="sighter"), *tippets(5, 6, material="fluorocarbon"))
    led = tie("tight-line", day(**LED, fly=nymph(14, 3.0)), light)
    strong = day(
        water=Water(kind="run", depth_m=1.5, pace_m_s=1.2, bed="cobble"),
        fly=fly("nymph", 4, 0.8, 0.5),
        line=line(7),
        quarry=TargetFish(kind="steelhead", mass_kg=4.0),
        wish="drift deep",
    )
    shelf = (labelled(30), *tippets(0, 1, 2, material="fluorocarbon"))
    for tied in (led, tie("heavy-nymph", strong, shelf)):
        read = fished(tied)
        assert (read.drift.status, read.depth_cord.status) == ("right", "right"), read.drift.why


def test_too_deep_and_fast_for_a_dry_says_what_gets_down():
    shelf = (bought(9, 5), *tippets(5, 6, material="fluorocarbon"))
    deep = day(
        water=Water(kind="run", depth_m=1.4, pace_m_s=1.2),
        fly=nymph(16, 2.0),
        line=line(4),
        wish="drift deep",
    )
    read = fished(tie("nymph-under-dry", deep, shelf, flies=BOX))
    assert read.drift.status == "too little"
    assert "an indicator or a tight line" in read.drift.why
