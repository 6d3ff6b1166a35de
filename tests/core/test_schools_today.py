"""Which school today?: what fits is right when it is read again, what does not says why."""

import pytest

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.side_effects import scores_without_cast
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.situation import TargetFish, Water, Wind
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.schools.by_water import beyond_most
from nine_knots.core.search.schools_today import GROUPS, school_today
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.demo.shelf import demo_stock
from nine_knots.demo.tackle import FLIES, LINES
from nine_knots.words.cast import cast_of
from nine_knots.words.schools_today import card_of, outcome_words, today_reading
from nine_knots.words.shortages import wanted_words
from nine_knots.words.water_reading import water_reading
from tests.makers import DRY, INCHES, day
from tests.rigs import bought, labelled

RUNA = Angler(stock=demo_stock(), flies=tuple(FLIES.values()))
NYMPH = Fly(title="Nymph 14", kind="nymph", hook=14, bead=Bead(diameter_mm=3.0))
RUN = Water(kind="run", depth_m=0.8, pace_m_s=0.7)
DAYS = {
    "dry": day(water=Water(kind="glide", depth_m=0.6, pace_m_s=0.4)),
    "nymph": day(water=RUN, fly=NYMPH, wish="drift deep"),
    "streamer": day(
        water=Water(kind="lake", depth_m=3.0, pace_m_s=0.0),
        fly=FLIES["pool-leech"],
        line=LINES["lake"],
        quarry=TargetFish(kind="perch", mass_kg=0.8),
        wish="strip",
    ),
}


def tried(situation, angler=RUNA, stroke=None):
    """Every school's result, by its key."""
    return {key: school_today(key, situation, stroke or Stroke(), angler) for key in SCHOOLS}


def said(found) -> str:
    """What its card says of it."""
    return outcome_words(found, INCHES)


@pytest.mark.parametrize("name", DAYS)
def test_what_fits_is_right_in_every_measure_that_the_bench_reads(name):
    found = tried(DAYS[name])
    fits = [found_item for found_item in found.values() if found_item.group == "fits this day"]
    assert len(fits) >= 3
    for fit in fits:
        read = list(scores_without_cast(fit.design, RUNA))
        turnover = cast_of(fit.design, Stroke(), INCHES).turnover
        water = water_reading(fit.design, USUAL_QUESTION, INCHES, movie=False)
        read += [turnover, water.depth_cord]
        assert {measure.status for measure in read} == {"right"}, fit.key
    for found_item in found.values():
        assert said(found_item)
        assert found_item.group in GROUPS
        assert found_item.group == "not for this" or found_item.design is not None


def test_a_leader_longer_than_most_tie_on_a_water_says_so_and_stands_behind_the_usual():
    """Common practice, no source: nine feet on pocket water, twelve to fifteen for shy fish on a
    glide; long fine leaders are a school of their own."""

    def cards(kind):
        here = day(
            water=Water(kind=kind, depth_m=0.5, pace_m_s=0.6),
            quarry=TargetFish(temper="wary"),
            wind=Wind(speed_m_s=1.0),
            fly=DRY,
        )
        found = [school_today(key, here, Stroke(), RUNA) for key in SCHOOLS]
        read = today_reading([card_of(found_item, INCHES) for found_item in found])
        return [card for card in read.cards if card.group == "fits this day"]

    pocket = cards("pocket water")
    keys = [card.key for card in pocket]
    assert keys.index("sixty-twenty-twenty") < keys.index("long-fine")
    said = next(card.words for card in pocket if card.key == "long-fine")
    assert "Longer than most use here, 7 ft to 10 ft." in said
    glide = {card.key: card.words for card in cards("glide")}
    assert "most tie" not in glide["long-fine"]


@pytest.mark.parametrize(
    ("line", "length_ft", "said"),
    [("sink-3", 9.0, True), ("sink-3", 2.0, False), ("intermediate", 9.0, False)],
)
def test_on_a_sinking_line_a_long_leader_is_said_to_be_long_and_a_short_one_is_not(
    line, length_ft, said
):
    """Common practice, no source: two to five feet behind what sinks, or the fly lags above it."""
    lake = DAYS["streamer"].evolve(line=FlyLine(title="l", weight=7, sinking=line))
    assert (beyond_most(length_ft * FOOT_M, lake) != 0.0) is said


def test_a_school_says_what_day_it_wants():
    dry, nymph = tried(DAYS["dry"]), tried(DAYS["nymph"])
    assert "floats" in said(dry["tight-line"])
    assert "drift on top" in said(dry["two-part"])
    assert "dry fly" in said(nymph["compound-slack"])
    pike = tried(
        day(
            quarry=TargetFish(kind="pike", mass_kg=5.0),
            wish="strip",
            fly=FLIES["reed-pike"],
            line=FlyLine(title="l", weight=9),
            rod=Rod(title="r", length_m=2.7, weight=9),
        )
    )
    assert "wire" in said(pike["sixty-twenty-twenty"])
    assert pike["predator-wire"].group != "not for this"
    assert nymph["tight-line"].group == "fits this day"


def test_nothing_stands_in_for_the_wire_that_teeth_want():
    weak = (labelled(30), labelled(22, "wire-single"))
    shark = day(
        quarry=TargetFish(kind="shark", mass_kg=50.0),
        fly=Fly(title="Tube", kind="predator", hook=-9, tube=True),
        line=FlyLine(title="13-weight", weight=13),
        rod=Rod(title="9 ft 13-weight", length_m=2.74, weight=13, action="fast"),
        wish="strip",
    )
    found = school_today("level-and-wire", shark, Stroke(), Angler(stock=weak))
    assert found.group == "would do"
    assert "86 lb single-strand wire or more, which the shelf lacks" in said(found)


def test_what_would_do_names_the_one_change_and_carries_it():
    """Into a gale with an easy stroke: a harder one, a stouter tippet, or a shorter leader."""
    gale = DAYS["streamer"].evolve(wind=Wind(speed_m_s=8.0, bearing="in the face"))
    found = tried(gale, stroke=Stroke(speed_m_s=11.0))
    would = [found_item for found_item in found.values() if found_item.group == "would do"]
    assert would
    for entry in would:
        assert {measure.status for measure in entry.measures} == {"right"}, entry.key
        assert said(entry).startswith(("With ", "At ", "Thrown "))


def test_an_empty_shelf_fits_nothing_and_the_cards_stand_in_order():
    bare = tried(DAYS["dry"], Angler())
    assert {entry.group for entry in bare.values()} == {"would do", "not for this"}
    cards = today_reading(
        [card_of(evaluated, INCHES) for evaluated in tried(DAYS["nymph"]).values()]
    ).cards
    places = [(GROUPS.index(card.group), card.off) for card in cards]
    assert places == sorted(places)
    assert all(card.outline for card in cards if card.group != "not for this")
    assert all(card.words.endswith(".") for card in cards)


def test_what_to_buy_is_said_only_where_nothing_fits():
    reading = today_reading([card_of(item, INCHES) for item in tried(DAYS["streamer"]).values()])
    assert reading.cards[0].group == "fits this day"
    assert reading.buy == ""
    trout = Angler(stock=(bought(9, 7),))
    found = tried(DAYS["streamer"], trout)
    reading = today_reading([card_of(item, INCHES) for item in found.values()])
    would = [card for card in reading.cards if card.group == "would do"]
    fewest = min(len(card.buys) for card in would)
    named = reading.buy.removeprefix("The least to buy for a day like this: ")
    least = next(card for card in would if f"for {card.title}" in reading.buy)
    assert all(thing in named for thing in least.buys)
    assert len(least.buys) == fewest


def test_an_empty_shelf_is_told_what_to_buy_and_the_least_of_it():
    nobody = Angler()
    found = tried(DAYS["dry"], angler=nobody)
    built = [found_item for found_item in found.values() if found_item.design is not None]
    assert {entry.group for entry in built} <= {"would do", "not for this"}
    for entry in built:
        assert entry.buys
        assert all(wanted_words(wanted, INCHES) in said(entry) for wanted in entry.buys)
        assert all(piece.strand.spool_id is None for piece in entry.design.leader.pieces)
    reading = today_reading([card_of(found_item, INCHES) for found_item in found.values()])
    assert reading.buy.startswith("The least to buy for a day like this: a knotless taper of ")
    # what is owned is used: with all but the tippet on the shelf, the tippet is what is wanted
    fewer = Angler(stock=tuple(s for s in RUNA.stock if s.strand.material == "nylon-stiff"))
    lacking = school_today("even-step", DAYS["dry"], Stroke(), fewer)
    owned = [p for p in lacking.design.leader.pieces if p.strand.spool_id is not None]
    assert owned or not lacking.buys
