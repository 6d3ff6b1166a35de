"""What matters: doubts are shares of a whole, what is known is no doubt, bigger changes do more."""

import pytest

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.own_cast import OwnCast
from nine_knots.core.assess.sensitivity import chance_of_opening, sensitivity_of
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.situation import Wind
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock
from nine_knots.words.cast import cast_of
from nine_knots.words.scores.reading import score_reading
from nine_knots.words.sensitivity import matters_reading
from nine_knots.words.what_if import Supposition, what_if
from tests.makers import INCHES, METRIC

DESIGNS = {item.title: item for item in (*demo_designs(demo_stock()), *demo_rigs(demo_stock()))}
EDGE, SURE = DESIGNS["Estuary wind leader"], DESIGNS["Skarn evening sedge"]


@pytest.fixture(scope="module")
def edge():
    return sensitivity_of(EDGE, Stroke(), Angler())


def test_the_chance_alone_is_that_of_the_whole_reading(edge):
    assert chance_of_opening(EDGE, Stroke(), Angler()) == edge.opens


def test_doubts_are_shares_of_a_whole_and_the_greatest_is_named_with_its_mend(edge):
    reading = matters_reading(edge, INCHES)
    assert sum(doubt.share for doubt in reading.doubts) == pytest.approx(1.0)
    assert [doubt.share for doubt in reading.doubts] == sorted(
        (doubt.share for doubt in reading.doubts), reverse=True
    )
    assert reading.doubts[0].title == "This fly's air resistance"
    assert reading.settle.endswith("A drop test indoors would settle it.")
    assert len(reading.pieces) == len(EDGE.leader.pieces)
    metric = matters_reading(edge, METRIC)
    assert "cm longer" in metric.changes
    assert "2.5 cm as you tie" in metric.supposed


@pytest.mark.parametrize("speed_m_s", [14.5, 14.8, 15.0, 15.2, 15.6])
def test_the_wind_it_opens_into_is_less_than_one_in_which_the_bench_says_it_does_not(speed_m_s):
    stroke, day = Stroke(speed_m_s=speed_m_s), EDGE.situation
    turnover = cast_of(EDGE, stroke, INCHES).turnover
    into_m_s = sensitivity_of(EDGE, stroke, Angler()).into_m_s
    assert (turnover.status == "too little") == (into_m_s < day.wind.speed_m_s)


@pytest.mark.parametrize("design", [EDGE, SURE], ids=lambda design: design.title)
@pytest.mark.parametrize("speed_m_s", [15.0, 15.6, 17.0])
def test_it_stands_as_the_bench_says_it_does(design, speed_m_s):
    stroke = Stroke(speed_m_s=speed_m_s)
    told = matters_reading(sensitivity_of(design, stroke, Angler()), INCHES).facts[0]
    bench = cast_of(design, stroke, INCHES).turnover
    assert told.status == ("right" if bench.status == "too much" else bench.status)
    assert ("only just" in told.text) == bench.marginal


def test_what_is_known_is_no_doubt_any_more(edge):
    fly = EDGE.situation.fly
    timed = fly.evolve(drag_area_m2=fly.air_drag_area_m2)
    made = EDGE.evolve(situation=EDGE.situation.evolve(fly=timed))
    known = sensitivity_of(made, Stroke(), Angler(cast=OwnCast(speed_factor=1.001)))
    spreads = {doubt.source: doubt.spread for doubt in known.doubts}
    before = {doubt.source: doubt.spread for doubt in edge.doubts}
    assert "own speed" not in spreads
    assert spreads["fly"] < 0.5 * before["fly"]
    assert abs(known.opens - 0.5) > abs(edge.opens - 0.5), "surer, whichever way"


def test_a_sure_leader_is_told_so_and_opens_into_more_wind_with_a_harder_stroke():
    usual, hard = (sensitivity_of(SURE, Stroke(speed_m_s=v), Angler()) for v in (15.0, 21.0))
    assert usual.opens > 0.99
    assert "certain enough" in matters_reading(usual, INCHES).settle
    assert hard.into_m_s > usual.into_m_s > 0.0
    assert hard.holds == usual.holds > 0.99


def test_mono_and_what_no_stroke_opens_are_refused_by_name():
    with pytest.raises(CannotCompute, match="The fly pulls the mono out"):
        sensitivity_of(DESIGNS["Tight line for the pockets"], Stroke(), Angler())
    storm = EDGE.situation.evolve(wind=Wind(speed_m_s=25.0, bearing="in the face"))
    with pytest.raises(CannotCompute, match="No stroke opens"):
        sensitivity_of(EDGE.evolve(situation=storm), Stroke(), Angler())


def test_what_if_tells_what_the_bench_would_of_such_a_day():
    as_it_is = what_if(EDGE, Stroke(), Angler(), Supposition())
    turnover = Assessor(EDGE.situation, Angler()).turnover(EDGE.leader, Stroke())
    assert as_it_is.turnover == score_reading(turnover, Angler().units)
    harder, gale, behind = (
        what_if(EDGE, Stroke(), Angler(), Supposition(**supposed))
        for supposed in ({"times": 1.4}, {"head_wind_m_s": 12.0}, {"head_wind_m_s": -4.0})
    )
    assert gale.turnover.position < as_it_is.turnover.position < harder.turnover.position
    assert gale.wind.endswith("in the face")
    assert behind.wind.endswith("from behind")
    bulky = EDGE.situation.fly.evolve(drag_area_m2=2.0 * EDGE.situation.fly.air_drag_area_m2)
    other = what_if(EDGE, Stroke(), Angler(), Supposition(fly=bulky))
    assert other.turnover.position <= as_it_is.turnover.position
