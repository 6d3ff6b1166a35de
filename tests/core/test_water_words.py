"""What is said of a rig in the water: facts by the way it is fished, what-ifs, sink-tips, strip."""

from itertools import product

import pytest

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.rig_edits import HangOn, SetDropper, SetFlyInLine, SetThing
from nine_knots.core.domain.situation import Water
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, line_profile
from nine_knots.core.remedies.tuning import mark_for_m
from nine_knots.core.remedies.water import water_remedies_for
from nine_knots.core.techniques import fish
from nine_knots.core.water.question import USUAL_QUESTION, WaterQuestion
from nine_knots.core.water.time_in_zone import fish_rig
from nine_knots.core.water.zone import zone_top_m
from nine_knots.words.adjustments import adjustment_words
from nine_knots.words.evaluation import evaluate
from nine_knots.words.water_reading import water_reading
from tests.makers import DRY, FIVE, INCHES, METRIC, PLAIN, SHELF, design, level, tied, workbench

NYMPH = Fly(title="Nymph 14", kind="nymph", hook=14, bead=Bead(diameter_mm=3.0))
LIGHT = Fly(title="Nymph 18", kind="nymph", hook=18)
STREAMER = Fly(title="Streamer 8", kind="streamer", hook=8, bulk="slim")
RUN = Water(kind="run", depth_m=0.9, pace_m_s=0.7)
LAKE = Water(kind="lake", depth_m=4.0, pace_m_s=0.0)
SINKS = FlyLine(title="Sinks", weight=7, sinking="sink-5")


def rigged(*edits, leader=PLAIN):
    for edit in edits:
        leader = apply_edit(leader, edit, workbench())
    return leader


def told(made, units=METRIC, ask=USUAL_QUESTION) -> dict[str, str]:
    reading = water_reading(made, ask, units)
    return {fact.title: fact.text for fact in reading.facts}


def led(**parts) -> Leader:
    pieces = (level(13, 6, "butt"), level(10, 1.5, "sighter"), level(7, 3.5, "tippet"))
    return tied(*pieces).model_copy(update={"school": "tight-line", **parts})


def deep(leader, fly=NYMPH, water=RUN):
    return design(leader, fly=fly, water=water, wish="drift deep")


def test_the_rule_of_thumb_stands_beside_the_setting():
    facts = told(deep(rigged(HangOn(kind="indicator", above="95 cm"))))
    assert "1.1 times the depth" in facts["Set at"]
    assert "135 cm" in facts["Set at"]
    assert "of what takes it under" in facts["The float"]
    assert "from upright" in facts["Line"]


def test_a_finer_tippet_is_told_with_what_it_really_does():
    facts = told(deep(rigged(HangOn(kind="indicator", above="80 cm"))))
    assert "two X finer would fish" in facts["Finer tippet"]
    finest = tied(level(13, 6, "butt"), level(4, 2, "tippet"))
    bare = told(deep(rigged(HangOn(kind="indicator", above="80 cm"), leader=finest)))
    assert "Finer tippet" not in bare


@pytest.mark.parametrize(
    ("above", "said"),
    [("8 in", "nearer than"), ("15 in", "is usual"), ("30 in", "farther than")],
)
def test_a_shots_place_is_told_against_what_is_usual(above, said):
    leader = rigged(HangOn(kind="shot", above=above))
    assert said in told(deep(leader))["Shot"]
    assert "slid" in told(deep(leader))["Shot"]


def test_a_shot_above_a_knot_does_not_slide():
    knot_m = PLAIN.pieces[-1].length_m
    leader = rigged(HangOn(kind="shot", above=knot_m + 0.02))
    assert "slid" not in told(deep(leader))["Shot"]


def test_both_schools_of_weight_are_told():
    heavy_first = rigged(SetFlyInLine(joint=3, fly=NYMPH))
    assert "Heaviest first" in told(deep(heavy_first, fly=LIGHT))["Weights"]
    heavy_point = rigged(SetFlyInLine(joint=3, fly=LIGHT))
    said = told(deep(heavy_point))["Weights"]
    assert "Heaviest at the point" in said
    assert "in-line school" in said
    pieces = (level(13, 6, "butt"), level(11, 1.5, "sighter"), level(7, 1.5, "tippet"))
    swinging = rigged(SetDropper(joint=2, fly=NYMPH), leader=tied(*pieces))
    reading = water_reading(deep(swinging, fly=LIGHT), USUAL_QUESTION, METRIC)
    weights = next(fact for fact in reading.facts if fact.title == "Weights")
    assert weights.status == "too much"


def test_a_tight_line_is_told_led_slower_and_stopped():
    made = deep(led())
    reading = water_reading(made, USUAL_QUESTION, METRIC)
    assert [aside.title for aside in reading.asides] == ["led slower", "stopped"]
    facts = {fact.title: fact.text for fact in reading.facts}
    assert "68% of the pace" in facts["Led slower"]
    assert "in two seconds" in facts["Stopped"]
    fast, slow = (fish_rig(fish(made, WaterQuestion(lead=lead))) for lead in (1.1, 0.6))
    assert slow.lowest.zone_for_s > fast.lowest.zone_for_s
    assert water_reading(made, USUAL_QUESTION, METRIC, movie=False).asides == ()


def test_the_sighters_mark_is_where_the_water_is_when_it_fishes():
    made = deep(led())
    out, mark = mark_for_m(made)
    assert 0.0 < mark < out
    found = fish_rig(fish(made, WaterQuestion(out_m=out)))
    assert found.lowest.height_m == pytest.approx(0.5 * zone_top_m(RUN.depth_m), abs=0.04)
    with pytest.raises(CannotCompute, match="No length of line"):
        mark_for_m(deep(led(), fly=LIGHT, water=Water(kind="run", depth_m=1.5, pace_m_s=1.5)))


def test_a_sunk_line_tells_other_leaders_and_where_its_tip_swims():
    made = design(
        tied(level(12, 2), level(10, 2)), fly=STREAMER, water=LAKE, line=SINKS, wish="strip"
    )
    facts = told(made, INCHES, WaterQuestion(count_s=12.0))
    assert facts["Leader length"].count("fly at") == 4
    assert "24 in:" in facts["Leader length"]
    assert "8 ft:" in facts["Leader length"]
    assert "swims at" in facts["The line’s tip"]


def test_a_sink_tip_sinks_its_tip_alone():
    whole, tip = (line_profile(SINKS.model_copy(update={"sink_tip_m": m})) for m in (None, 3.0))
    floating = line_profile(FlyLine(title="Floats", weight=7))
    assert tip.density_at(1.0) > 1500.0
    assert tip.density_at(5.0) == floating.density_kg_m3
    assert whole.density_at(5.0) == whole.density_kg_m3 > 1000.0
    assert tip.mass_kg > floating.mass_kg

    def sunk(line):
        """Depth of the line's tip and of its middle after the count."""
        made = design(tied(level(12, 3)), fly=STREAMER, water=LAKE, line=line, wish="strip")
        run = fish(made, WaterQuestion(count_s=12.0))
        places = run.history.places[int(run.begins_s / run.history.every_s)]
        return LAKE.depth_m - places[[run.rig.tip, run.rig.tip // 2], 1]

    floats, tipped, sinks = (
        sunk(FlyLine(title="Floats", weight=7)),
        sunk(SINKS.model_copy(update={"sink_tip_m": 3.0})),
        sunk(SINKS),
    )
    assert floats[0] < tipped[0] - 0.5
    assert tipped[1] < sinks[1] - 0.5


def test_a_drowned_dry_and_a_fluorocarbon_tippet_are_told():
    drowned = rigged(
        SetDropper(joint=3, fly=NYMPH.model_copy(update={"bead": Bead(diameter_mm=4.6)}))
    )
    reading = water_reading(design(drowned, wish="drift on top"), USUAL_QUESTION, METRIC)
    assert reading.depth_cord.figure == "is drawn under"
    sunk = tied(*PLAIN.pieces[:-1], level(7, 2, "tippet", "fluorocarbon"))
    reading = water_reading(design(sunk, wish="hang in the film"), USUAL_QUESTION, INCHES)
    assert reading.depth_cord.figure == "in the film"
    assert "Tippet" in {fact.title for fact in reading.facts}


def test_the_strip_reads_all_that_hangs():
    leader = rigged(
        HangOn(kind="shot", above="12 in"),
        SetThing(thing=0, size="0.33 g", metal="tin"),
        HangOn(kind="indicator", above="5 ft"),
        HangOn(kind="grease", above="3 ft"),
        HangOn(kind="mark", above="4 ft"),
        SetDropper(joint=3, fly=DRY),
        SetFlyInLine(joint=2, fly=LIGHT),
    )
    reading = evaluate(deep(leader), {}, INCHES)
    shot, float_, grease, mark = reading.things
    assert shot.title == "Shot 0.33 g, tin, 12 in above the point fly"
    assert shot.at_m == pytest.approx(leader.length_m - 0.3048)
    assert (float_.size, grease.kind, mark.kind) == ("16 mm", "grease", "mark")
    in_line, dropper = reading.branches
    assert (in_line.form, in_line.tied_from) == ("in line", "bend")
    assert dropper.floats
    assert "fly changes left" in dropper.title
    assert reading.water_line_m == pytest.approx(leader.length_m - 1.524)
    assert [item.kind for item in reading.hung[:2]] == ["in line", "dropper"]
    assert reading.hung[1].to_m - reading.hung[1].at_m == pytest.approx(dropper.length.si)
    assert len(reading.hung) == 6
    bare = evaluate(deep(rigged(SetDropper(joint=3, fly=DRY))), {}, INCHES)
    assert bare.water_line_m == pytest.approx(leader.joints_at_m[3])
    assert evaluate(design(), {}, INCHES).water_line_m is None


def test_grease_keeps_the_upper_leader_from_sinking():
    held = {"line": FIVE, "wish": "swing", "fly": STREAMER, "water": RUN}
    greased = rigged(HangOn(kind="grease", above="4 ft"))
    plain = fish(design(PLAIN, **held)).rig.tree
    floated = fish(design(greased, **held)).rig.tree
    assert float((floated.weight == 0.0).sum()) > float((plain.weight == 0.0).sum()) + 5


BEADS = (None, 2.0, 3.8)


@pytest.mark.parametrize("point", BEADS)
@pytest.mark.parametrize("way", ["indicator", "tag", "in line", "tight", "drop"])
def test_depth_and_drift_never_contradict_each_other(way, point):
    """What is in the zone got down to it; what never got down is not in it; what drags is deep."""
    hooked = NYMPH.model_copy(update={"bead": Bead(diameter_mm=point) if point else None})
    leader = led() if way == "tight" else PLAIN
    if way in ("tag", "in line"):
        put = SetDropper if way == "tag" else SetFlyInLine
        leader = rigged(put(joint=3, fly=NYMPH), leader=leader)
    for depth, pace, set_at in product((0.5, 1.2), (0.3, 0.9), (1.0, 1.6)):
        water = Water(kind="run", depth_m=depth, pace_m_s=pace)
        fished = leader
        if way in ("indicator", "tag", "in line"):
            fished = rigged(HangOn(kind="indicator", above=set_at * depth), leader=leader)
        wish = "lead and drop" if way == "drop" else "drift deep"
        reading = water_reading(
            design(fished, fly=hooked, water=water, wish=wish), USUAL_QUESTION, METRIC, movie=False
        )
        pair = (reading.depth_cord.status, reading.drift.figure)
        never_down = pair[1] in ("too light", "never gets down", "hangs")
        assert not (never_down and pair[0] != "too little"), (pair, depth, pace, set_at)
        drags = pair[1] in ("drags on the bed", "anchored")
        assert not (drags and pair[0] == "too little"), (pair, depth, pace, set_at)
        assert not (pair[0] == "too much" and reading.drift.status != "too much"), pair


def test_the_lowest_fly_counts_and_the_others_are_told():
    heavy_first = rigged(SetFlyInLine(joint=3, fly=NYMPH), HangOn(kind="indicator", above="4 ft"))
    reading = water_reading(deep(heavy_first, fly=LIGHT), USUAL_QUESTION, METRIC, movie=False)
    lowest = max(reading.flies, key=lambda fly: fly.depth.si)
    assert lowest.depth.text in reading.depth_cord.figure
    (other,) = (fly for fly in reading.flies if fly is not lowest)
    assert f"The {other.title} swims at {other.depth.text}" in reading.depth_cord.why


def test_where_a_longer_drift_might_do_its_length_is_named_until_it_is_said():
    light = deep(rigged(HangOn(kind="indicator", above="100 cm")), fly=LIGHT)
    taken = water_reading(light, USUAL_QUESTION, METRIC, movie=False).drift
    assert taken.status == "too little"
    assert "m is assumed: enter yours" in taken.why
    said = water_reading(light, WaterQuestion(drift_m=6.0), METRIC, movie=False).drift
    assert "enter yours" not in said.why


def test_grease_near_a_dry_fly_is_not_right_and_degreasing_mends_it():
    greased = design(rigged(HangOn(kind="grease", above="2 in")))
    cord = water_reading(greased, USUAL_QUESTION, INCHES).depth_cord
    assert (cord.status, cord.figure) == ("too much", "tippet floats")
    found = water_remedies_for(greased, Stroke(), Angler(stock=SHELF))
    (mended,) = (remedy for remedy in found if remedy.what == "grease")
    assert adjustment_words(mended.change, INCHES) == "degrease the last 3 ft"
    assert water_reading(mended.design, USUAL_QUESTION, INCHES).depth_cord.status == "right"


def test_a_greased_leader_holds_a_sunk_fly_up_where_the_grease_ends():
    """The other way of setting a depth: common practice, no source."""
    slow = Water(kind="pool", depth_m=1.5, pace_m_s=0.2)

    def depth(*edits):
        reading = water_reading(
            deep(rigged(*edits), water=slow), USUAL_QUESTION, METRIC, movie=False
        )
        return reading.flies[-1].depth.si, {fact.title for fact in reading.facts}

    bare, near, far = (depth(*edits) for edits in ((), *((grease(f),) for f in ("40 cm", "90 cm"))))
    assert near[0] < far[0] < bare[0]
    assert near[0] < 0.42
    assert "Greased leader" in near[1] - bare[1]


def grease(above):
    return HangOn(kind="grease", above=above)


def test_a_sighter_under_water_is_warned_of():
    """Common practice, no source: it stays out of the water at a comfortable rod angle."""
    short = tied(level(13, 6, "butt"), level(10, 1.5, "sighter"), level(7, 1, "tippet"))
    short = short.model_copy(update={"school": "tight-line"})
    under, clear = (
        water_reading(deep(leader), USUAL_QUESTION, METRIC, movie=False).drift
        for leader in (short, led())
    )
    assert "of the sighter is under water" in under.why
    assert under.marginal or under.status != "right"
    assert "sighter" not in clear.why
