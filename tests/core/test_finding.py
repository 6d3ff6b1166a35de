"""Find me a leader: what is found does what was asked when read again, and is worth having."""

from itertools import pairwise

import numpy as np
import pytest
from pydantic import ValidationError

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.changed_casts import WIND_OFF_M_S
from nine_knots.core.assess.turnover import wanted_margin_band
from nine_knots.core.assess.usual_length import HARDLY
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import FOOT_M, INCH_M, THOU_M
from nine_knots.core.casting.minimum_speed import opens_at
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import air_of
from nine_knots.core.domain.leader import LevelSection
from nine_knots.core.domain.need import need_of
from nine_knots.core.domain.situation import TargetFish, Water, WaterRules, Wind
from nine_knots.core.domain.strand import Spool
from nine_knots.core.schools.by_water import beyond_most
from nine_knots.core.search import search
from nine_knots.core.search.demands import WISHES, Demands, knots_in
from nine_knots.core.search.diverse_pick import pick_dozen
from nine_knots.core.search.evaluated import FAR_FROM_IT, SEEN, SLOWER
from nine_knots.core.search.infeasible import infeasible_demands
from nine_knots.core.search.nearest import nearest_of
from nine_knots.core.search.pareto_front import distinct, front_of, non_dominated
from nine_knots.core.search.plausible import is_plausible
from nine_knots.core.search.search import Search
from nine_knots.core.search.to_buy import to_buy
from nine_knots.core.strength.elements import hold_of
from nine_knots.demo.shelf import demo_stock
from nine_knots.demo.tackle import FLIES
from nine_knots.words.search.asked import search_sentence_of
from nine_knots.words.search.buying import buy_words
from nine_knots.words.search.comparison import SAID, wish_figure
from nine_knots.words.search.infeasible import infeasible_words
from nine_knots.words.search.obstacles import nearest_words
from nine_knots.words.search.reading import found_so_far
from tests.core.test_schools_today import DAYS
from tests.makers import INCHES, day, spool

RUNA = Angler(stock=demo_stock(), flies=tuple(FLIES.values()))
STROKE = Stroke()
ANYTHING = Demands()


def impossible(situation, angler, demands):
    """What no search could meet, in sentences."""
    found = infeasible_demands(situation, angler, demands)
    return tuple(infeasible_words(each, demands.day(situation), INCHES) for each in found)


def last_of(situation, demands=ANYTHING, most=40, **more):
    """All that a search has cast when it ends."""
    *_, last = Search(situation, STROKE, RUNA, demands, most=most, **more).rounds()
    return last.tried


@pytest.fixture(scope="module")
def found():
    """A search for each day, each with its own demands."""
    asked = {
        "dry": Demands(most_knots=4, wishes=("long and fine", "few knots")),
        "nymph": Demands(fish_kg=1.0, flies=2, wishes=("fishing well",)),
        "streamer": Demands(shortest_m=2.0, longest_m=3.2, bought="none", wishes=("strong",)),
    }
    return {name: (demands, last_of(DAYS[name], demands)) for name, demands in asked.items()}


@pytest.mark.parametrize("name", DAYS)
def test_what_is_found_does_all_that_was_asked_when_it_is_read_again(found, name):
    demands, tried = found[name]
    dozen = pick_dozen(tried, demands)
    assert 2 <= len(dozen) <= 12
    held_day = demands.day(DAYS[name])
    left = {s.spool_id: s.remaining_m for s in RUNA.stock if isinstance(s, Spool)}
    for chosen in dozen:
        leader = chosen.one.table.leader
        read = {score.key: score for score in Assessor(held_day, RUNA).measures(leader, STROKE)}
        for key in {"turnover", "depth", "drift", "match"} & set(read):
            assert read[key].status == "right", (key, read[key])
        assert hold_of(leader).low_n >= need_of(held_day).most_n
        if demands.most_knots is not None:
            assert knots_in(leader) <= demands.most_knots
        if demands.flies is not None:
            assert 1 + len(leader.flies_above) == demands.flies
        if demands.asks_length:
            assert demands.shortest_m - 1e-3 <= leader.length_m <= demands.longest_m + 1e-3
        if demands.bought == "none":
            assert all(isinstance(piece, LevelSection) for piece in leader.pieces)
        for piece in leader.pieces:
            assert piece.length_m < left.get(piece.strand.spool_id, np.inf)


@pytest.mark.parametrize("name", DAYS)
def test_the_dozen_differ_and_no_school_betters_one_of_them(found, name):
    demands, tried = found[name]
    dozen = [chosen.one for chosen in pick_dozen(tried, demands)]
    for item, other in pairwise(dozen):
        assert (np.abs(item.axes - other.axes) > SEEN).any()
    for school in (evaluated for evaluated in tried if evaluated.origin and evaluated.serves):
        assert not any(
            (school.axes >= item.axes).all() and (school.axes > item.axes).any() for item in dozen
        )


def test_leaders_are_such_as_a_person_would_tie(found):
    _, tried = found["dry"]
    own = [evaluated.table.leader for evaluated in tried if not evaluated.origin]
    assert len(own) > 10
    for leader in own:
        assert is_plausible(leader, DAYS["dry"])
        for piece in leader.pieces:
            if isinstance(piece, LevelSection):
                steps = piece.length_m / (2.0 * INCH_M)
                assert steps == pytest.approx(round(steps))
        across = [piece.upper_diameter_m for piece in leader.pieces]
        assert across == sorted(across, reverse=True)


def test_upper_flies_are_tied_as_comes_out_best(found):
    _, tried = found["nymph"]
    joints = [
        evaluated.table.leader.joints[joint]
        for evaluated in tried
        for joint, _ in evaluated.table.leader.flies_above
    ]
    assert {joint.kind == "fly" for joint in joints} == {True, False}  # in line, and on tags
    tags = {round(joint.dropper.length_m, 3) for joint in joints if joint.dropper}
    assert len(tags) > 1
    ruled = DAYS["nymph"].water.evolve(rules=WaterRules(most_flies=1))
    (why,) = impossible(DAYS["nymph"].evolve(water=ruled), RUNA, Demands(flies=2))
    assert "allow one fly; you ask for 2" in why


def test_the_same_question_has_the_same_answer_to_which_a_longer_search_adds(monkeypatch):
    monkeypatch.setattr(search, "MOST_TRIED", 28)
    asked = ((28, 3), (36, 3), (28, 4))
    lots = (last_of(DAYS["streamer"], most=most, seed=seed) for most, seed in asked)
    one, longer, other = ([tried.table.leader for tried in lot] for lot in lots)
    assert one == longer[: len(one)] != longer
    assert one != other


def test_far_from_the_edge_the_worse_cast_opens_too(found):
    """What is not thrown a second time would not have been refused by it: of those cast exactly, as
    all are that are chosen."""
    _, tried = found["dry"]
    reader, air = Assessor(DAYS["dry"], RUNA), air_of(DAYS["dry"].wind)
    worse = air._replace(wind_m_s=air.wind_m_s - WIND_OFF_M_S)
    sure = [item for item in tried if item.margin >= FAR_FROM_IT and not item.rough]
    assert sure
    for item in sorted(sure, key=lambda item: item.margin)[:6]:
        leader = item.table.leader
        speed = SLOWER * STROKE.speed_m_s / wanted_margin_band(leader, DAYS["dry"])[0]
        assert opens_at(speed, reader.rig(leader, STROKE), STROKE, worse)


def test_where_nothing_serves_one_demand_less_does_as_it_is_said():
    demands = Demands(most_knots=0, shortest_m=14 * FOOT_M)
    tried = last_of(DAYS["dry"], demands, most=40)
    assert not front_of(tried)
    nearest = nearest_of(tried)
    words = nearest_words(nearest, DAYS["dry"], INCHES)
    assert words[0].startswith(
        "Nothing your spools can make meets everything you ask for. The closest "
    )
    knots = next(give.one.table.knots for give in nearest.gives if give.demand == "knots")
    assert any("allow " in sentence for sentence in words)
    less = demands.model_copy(update={"most_knots": knots})
    assert front_of(last_of(DAYS["dry"], less, most=96))


def test_what_no_search_could_meet_is_told_before_one():
    shark = day(quarry=TargetFish(kind="shark", mass_kg=400.0))
    weak, cut = impossible(shark, Angler(stock=(spool(9),)), Demands())
    assert "buy wire, or mono of 60 lb or more" in cut
    assert "400" not in weak
    assert "your strongest, nylon-stiff-90, breaks at" in weak
    (nothing,) = impossible(day(), Angler(), Demands())
    assert "nothing on the shelf" in nothing
    assert "at least a foot" in impossible(day(), RUNA, Demands(longest_m=0.1))[0]
    short = Angler(stock=(spool(9, left_m=3.0),))
    assert "you ask for 30 ft" in impossible(day(), short, Demands(shortest_m=30 * FOOT_M))[0]
    assert infeasible_demands(day(), RUNA, Demands()) == ()
    with pytest.raises(CannotCompute, match="roll cast is not modelled"):
        list(Search(day(), Stroke(kind="roll"), RUNA, Demands(), most=20).rounds())
    with pytest.raises(CannotCompute, match="Nothing on the shelf"):
        list(Search(day(), STROKE, Angler(stock=(spool(40),)), Demands(), most=20).rounds())


def test_it_is_asked_for_in_a_sentence():
    windy = day(wind=Wind(speed_m_s=4.0, bearing="in the face"))
    asked = Demands(fish_kg=0.907, most_knots=4, wishes=("long and fine", "easy to throw"))
    said = search_sentence_of(asked, windy, STROKE, INCHES)
    words = " ".join(f"{phrase.before} {phrase.text}" for phrase in said)
    assert "turns over in this wind with a normal stroke" in words
    assert "holds a trout of 2 lb" in words
    assert "no more than four knots" in words
    assert "rather long and fine than easy to throw" in words
    with pytest.raises(ValidationError, match="each wish once"):
        Demands(wishes=("strong", "strong"))


def test_cards_say_why_each_and_what_is_given_up():
    demands = Demands(wishes=("long and fine",))
    here = DAYS["dry"].evolve(water=Water(kind="pocket water", depth_m=0.5, pace_m_s=0.6))
    *_, last = found_so_far(Search(here, STROKE, RUNA, demands, most=32))
    first, *others = last.cards
    assert first.why.startswith("The balanced one")
    assert len(others) >= 2
    for card in last.cards:
        assert card.chance.startswith("Opens ")
        assert card.nearest_school.endswith(".")
        assert card.title.endswith(card.measures[-1].figure)
        long = beyond_most(card.leader.length_m, here) >= HARDLY
        assert ("Longer than most use here" in card.gives_up) is long
    assert any("Longer than most" in card.gives_up for card in last.cards)
    for card in others:
        assert card.gives_up.startswith(("Compared with the balanced one, it ", "Nothing that"))
    points = last.picture.points
    assert {point.card for point in points} >= set(range(len(last.cards)))
    for axis, at in ((last.picture.across, "x"), (last.picture.up, "y")):
        assert all(axis.low < getattr(point, at) < axis.high for point in points)


def test_the_spool_to_buy_is_one_that_is_lacked_and_what_it_makes_is_better():
    """Of a shelf without fine stuff for a shy day, fine stuff; of a whole one hardly anything."""
    coarse = Angler(stock=tuple(spool(t) for t in (22, 20, 18, 16, 14, 12, 10, 9)))
    asked = Search(DAYS["dry"], STROKE, coarse, Demands(wishes=("long and fine",)), most=40)
    *_, last = asked.rounds()
    dozen = pick_dozen(last.tried, asked.demands)
    bought = to_buy(asked, last, dozen)
    assert bought.spool.strand.diameter_m < 9 * THOU_M
    assert bought.shown_by.by("long and fine") > dozen[0].one.by("long and fine")
    words = buy_words(bought, dozen, INCHES)
    assert words.startswith("One spool to buy for days like this: ")
    assert "is finer: " in words or "is longer and finer: " in words


def test_what_is_cast_and_what_its_fly_pulls_out_are_told_beside_each_other(found):
    _, tried = found["nymph"]
    pulled = next(evaluated for evaluated in tried if evaluated.speed_margin is None)
    cast = next(evaluated for evaluated in tried if evaluated.speed_margin is not None)
    for item, other in ((pulled, cast), (cast, pulled)):
        said = SAID["easy to throw"](item, other, INCHES)
        assert (
            said == f"{wish_figure(item, 'turnover', INCHES)} "
            f"(the other {wish_figure(other, 'turnover', INCHES)})"
        )


def test_a_front_is_what_is_beaten_by_none_and_told_apart_what_one_would_want():
    axes = np.array([[1.0, 0.0], [0.0, 1.0], [0.5, 0.5], [0.4, 0.4], [1.0, 0.0]])
    assert non_dominated(axes).tolist() == [True, True, True, False, True]

    class One:
        def __init__(self, *axes):
            self.axes = np.array(axes) * SEEN

    nearly, better, other = One(0, 0, 0, 0, 0.5), One(0, 3, 0, 0, 0), One(2, 0, 0, 0, 0)
    assert distinct([nearly, other, better]) == [other, better]
    assert len(WISHES) == len(SEEN)
