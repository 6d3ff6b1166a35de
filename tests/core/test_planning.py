"""Planning a day: the fewest leaders and changes, each of them right where it is fished."""

from itertools import product

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.practice import Attempt
from nine_knots.core.assess.tying_time import own_times, tying_time
from nine_knots.core.base.errors import CannotCompute, OutOfRange
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY
from nine_knots.core.domain.leader import Attachment
from nine_knots.core.domain.leader.lower_rig import parting_joint
from nine_knots.core.domain.plan import DayPlan, FlyFor, Outfit, Stop
from nine_knots.core.domain.situation import TargetFish, Wind
from nine_knots.core.plan.parts import part_names
from nine_knots.core.plan.planned import TiedLeader, work_plan
from nine_knots.core.plan.set_cover import Option, cost_of, least_cover
from nine_knots.core.remedies.adjustment import OtherStroke, StopAndDrop
from nine_knots.core.search.plausible import ends_as_advised
from nine_knots.core.search.schools_today import not_judged
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.places import demo_places
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.demo.tackle import FLIES, LINES, RODS
from nine_knots.words.plan.change import change_words
from nine_knots.words.plan.reading import LightReading, plan_reading
from tests.makers import INCHES

STOCK = demo_stock()
RUNA = Angler(stock=STOCK, flies=tuple(FLIES.values()))
OWN = (*demo_designs(STOCK), *demo_rigs(STOCK))
SKARN = demo_places()[0]
CAST = (Stroke(), RUNA, STEADY)


def a_plan(*stops, flies=(("skarn-sedge", "drift on top"), ("slate-point", "drift deep"))):
    """A plan on the Skarn: stretches with the number of a fly, an hour each from nine on."""
    return DayPlan(
        title="A day on the Skarn",
        on="2026-06-20",
        place_id="skarn",
        level_m=0.55,
        wind=Wind(speed_m_s=2.5),
        quarry=TargetFish(kind="grayling", mass_kg=0.6),
        outfits=(Outfit(rod=RODS["river"], line=LINES["river"]),),
        flies=tuple(FlyFor(fly=FLIES[key], wish=wish) for key, wish in flies),
        stops=tuple(
            Stop(
                stretch_id=stretch,
                begins_min=540 + 60 * number,
                ends_min=600 + 60 * number,
                fly=fly,
            )
            for number, (stretch, fly) in enumerate(stops)
        ),
    )


def read(plan, found):
    return plan_reading(plan, SKARN, found, RUNA, {}, LightReading())


names = st.sampled_from("abc")
way = st.builds(
    Option,
    upper=names,
    lower=st.sampled_from(["", "x", "y"]),
    fly=st.sampled_from("12"),
    outfit=st.sampled_from("01"),
    setting=st.sampled_from("st"),
    off=st.floats(0.0, 2.0),
)


@settings(max_examples=40, deadline=None)
@given(
    stops=st.lists(st.lists(way, min_size=1, max_size=4), min_size=1, max_size=4),
    tied=st.sets(names, max_size=2),
)
def test_no_other_row_of_ways_costs_less(stops, tied):
    chosen = least_cover(stops, tied)
    least = min(cost_of(path, tied) for path in product(*stops))
    taken = [stop[number] for stop, number in zip(stops, chosen.ways, strict=True)]
    assert chosen.cost == pytest.approx(cost_of(taken, tied))
    assert chosen.cost == pytest.approx(least, abs=1e-6)


def test_a_stretch_without_a_way_is_refused():
    with pytest.raises(CannotCompute):
        least_cover([[]])


def test_every_leader_of_a_plan_is_right_where_it_is_fished():
    plan = a_plan(("pockets", 0), ("alder-head", 1), ("mill-glide", 0), ("gorge", 1))
    found = work_plan(plan, SKARN, CAST, OWN)
    for stop in found.stops:
        assert stop.fit is not None
        design = stop.fit.design
        thrown = Stroke(drop=isinstance(stop.fit.change, StopAndDrop))
        if isinstance(stop.fit.change, OtherStroke):
            continue  # thrown harder, in words of the stroke
        again = Assessor(design.situation, RUNA).measures(design.leader, thrown)
        assert all(item.status == "right" for item in again if item.key != "length")
    # one leader is not put away for another and then taken out again for nothing
    assert len(found.chosen.uppers) <= 2
    reading = read(plan, found)
    assert len(reading.stops) == 4
    assert reading.stops[0].change.startswith("Begin with")
    assert reading.stops[2].rules.startswith("One fly at most")
    for stop in reading.stops:
        flies = 1 + len(stop.design.leader.flies_above)
        assert flies <= stop.design.situation.water.rules.most_flies
    assert "3 of Skarn sedge 14" in [line.what for line in reading.pack]
    assert any("pinch their barbs" in line.why for line in reading.pack)
    assert any("Wading staff" in line.what for line in reading.pack)


def test_what_lies_ready_is_taken_first_and_is_not_tied():
    plan = a_plan(("pockets", 0))
    fresh = work_plan(plan, SKARN, CAST)
    design = fresh.stops[0].fit.design
    others = work_plan(plan, SKARN, CAST, OWN, (TiedLeader("t1", OWN[0]),))
    assert others.stops[0].candidate.tied_id == "t1"
    reading = read(plan, others)
    assert reading.tie[0].ready
    assert reading.time == "Nothing to tie: everything is ready."
    assert not read(plan, fresh).tie[0].ready
    assert design is not None


def test_where_nothing_serves_the_nearest_is_told(monkeypatch):
    monkeypatch.setattr("nine_knots.core.plan.sought.MOST_SOUGHT", 16)
    gale = Wind(speed_m_s=28.0, bearing="in the face")
    plan = a_plan(("mill-glide", 0)).evolve(wind=gale)
    found = work_plan(plan, SKARN, CAST)
    stop = read(plan, found).stops[0]
    assert stop.design is None
    assert stop.words.startswith(("Nothing found suits this stretch", "No school can be built"))
    assert "see what is wrong" in read(plan, found).words


def test_where_no_school_serves_a_leader_is_sought(monkeypatch):
    monkeypatch.setattr(
        "nine_knots.core.plan.planned._school", lambda key, *_: not_judged(key, "none")
    )
    plan = a_plan(("mill-glide", 0))
    found = work_plan(plan, SKARN, CAST)
    stop = found.stops[0]
    assert stop.candidate.origin == "sought"
    assert all(score.status == "right" for score in stop.fit.measures)
    assert ends_as_advised(stop.fit.design.leader, stop.fit.design.situation)
    said = read(plan, found).stops[0]
    assert said.title == "Found for The mill glide"
    assert "Pinch the barb of Skarn sedge 14." in said.cautions
    assert said.words.startswith(
        "No school from what you own suits this stretch; this leader was searched for."
    )


def test_a_stretch_that_is_gone_is_said():
    with pytest.raises(OutOfRange, match="no longer part"):
        work_plan(a_plan(("weir", 0)), SKARN, CAST)


def test_a_float_that_is_moved_is_said_as_on_the_bank():
    nymph = next(item for item in OWN if item.leader.indicator is not None)
    shot = Attachment(kind="shot", above_end_m=0.2, mass_kg=0.0004, metal="tin")
    things = []
    for attachment in nymph.leader.attachments:
        things.append(attachment.moved(-0.2032) if attachment.kind == "indicator" else attachment)
    after = nymph.evolve(leader=nymph.leader.evolve(attachments=(*things, shot)))
    words = change_words(nymph, after, "It", INCHES)
    assert words.startswith("Slide the indicator down 8 in, to ")
    assert "add one BB shot, 7¾ in above the point fly" in words
    assert change_words(nymph, nymph, "It", INCHES) == "Fish it as it is."
    assert change_words(None, nymph, "the float rig", INCHES).startswith(
        "Begin with the float rig."
    )


def test_own_times_for_knots_make_the_evening_shorter():
    leader = demo_designs(STOCK)[0].leader
    usual = tying_time(leader, {})
    quick = {joint.knot: 10.0 for joint in leader.joints}
    assert tying_time(leader, quick).seconds < usual.seconds
    assert usual.own == 0
    moment = "2026-01-01T00:00:00+00:00"
    attempts = [
        Attempt.model_validate_json(
            f'{{"knot": "blood", "seconds": {seconds}, "rated": "{rated}", "at": "{moment}"}}'
        )
        for seconds, rated in ((40, "good"), (60, "clean"), (10, "slipped"))
    ]
    assert own_times(attempts) == {"blood": 50.0}


def test_what_ends_in_a_ring_is_another_upper_than_what_the_fly_is_tied_to():
    parted = next(item.leader for item in OWN if parting_joint(item.leader) is not None)
    at = parting_joint(parted)
    end = OWN[0].leader.joints[-1]
    plain = parted.evolve(
        pieces=parted.pieces[:at], joints=(*parted.joints[:at], end), attachments=()
    )
    assert part_names(plain)[0] != part_names(parted)[0]
    assert part_names(plain)[1] == ""


def test_parts_are_alike_where_they_are_tied_alike():
    leader = OWN[0].leader
    again = leader.evolve(attachments=())
    assert part_names(leader) == part_names(again)
