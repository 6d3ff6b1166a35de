"""The pull: bands, shares and specimens from one set of elements; wear, wetness, rules, limits."""

import numpy as np
import pytest
from scipy.stats import binom

from nine_knots.core.assess.record_rule import bite_m, class_m
from nine_knots.core.base.errors import Unreadable
from nine_knots.core.base.units.factors import INCH_M, POUND_N
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import SetWear, UseStock
from nine_knots.core.domain.situation import TargetFish, Water
from nine_knots.core.domain.tackle import Rod
from nine_knots.core.strength.elements import hold_of
from nine_knots.core.strength.reel_to_leader import reel_to_leader
from nine_knots.core.strength.stretch import at_the_hook_n_m, compliance_m_n, energy_j
from nine_knots.words.evaluation import evaluate
from nine_knots.words.pull import hold_reading
from nine_knots.words.record_rule import record_lines
from nine_knots.words.sentence import SentenceEdit, apply_sentence_edit
from tests.makers import INCHES, METRIC, PLAIN, day, design, knotless, level, tied, workbench


def reading(made=None, soaked=True, record=False, units=INCHES):
    return hold_reading(made or design(), soaked, record, units)


def worn(leader: Leader, piece: int, wear) -> Leader:
    return apply_edit(leader, SetWear(piece=piece, wear=wear), workbench())


def test_bands_shares_and_specimens_tell_the_same_story():
    found = reading()
    hold = hold_of(PLAIN)
    assert [band.mean_n for band in found.bands] == [e.mean_n for e in hold.elements]
    for band in found.bands:
        assert band.low_n < band.mean_n < band.high_n
        assert band.to_m >= band.from_m
    shares = [point.broken for point in found.points]
    assert shares == sorted(shares)
    assert (shares[0], shares[-1]) == (0.0, pytest.approx(1.0, abs=1e-3))
    loads = [point.load.si for point in found.points]
    assert np.interp(hold.low_n, loads, shares) == pytest.approx(0.05, abs=0.01)
    pulled = [specimen.load.si for specimen in found.specimens]
    below = sum(load < hold.mean_n for load in pulled)
    assert 0.001 < binom.cdf(below, len(pulled), np.interp(hold.mean_n, loads, shares)) < 0.999
    assert pulled == [specimen.load.si for specimen in reading().specimens], (
        "the same leader, the same pulls"
    )


def test_a_break_tells_what_is_lost_and_what_comes_back():
    words = " ".join(specimen.words for specimen in reading().specimens)
    assert "Broke at joint 3" in words
    assert "lost is the fly and 24 in of leader, 7 ft of leader comes back" in words


def test_wear_moves_the_break_to_where_it_is():
    hold = hold_of(PLAIN)
    nicked = hold_of(worn(PLAIN, 3, "nicked"))
    knotted = hold_of(worn(PLAIN, 3, "wind knot"))
    fished = hold_of(worn(PLAIN, 3, "fished"))
    assert knotted.mean_n < nicked.mean_n < fished.mean_n < hold.mean_n
    assert nicked.chance_of("piece", 3) > 0.8
    assert knotted.mean_n == pytest.approx(0.5 * PLAIN.pieces[3].breaking_at_n(0), rel=0.03)
    fresh = apply_edit(
        worn(PLAIN, 3, "nicked"), UseStock(piece=3, spool_id="nylon-soft-70"), workbench()
    )
    assert fresh.pieces[3].wear == "new"


def test_dry_nylon_holds_more_and_fluorocarbon_the_same():
    assert hold_of(PLAIN, soaked=False).mean_n > 1.1 * hold_of(PLAIN).mean_n
    fluoro = tied(level(12, 6, "butt", "fluorocarbon"), level(8, 3, "tippet", "fluorocarbon"))
    assert hold_of(fluoro, soaked=False).mean_n == pytest.approx(hold_of(fluoro).mean_n)


def test_stretch_is_the_sum_of_lengths_over_stiffness():
    leader = tied(level(12, 5), level(8, 2))
    by_hand = sum(
        p.length_m / (p.strand.stiffness_pa * np.pi * p.strand.diameter_m**2 / 4)
        for p in leader.pieces
    )
    assert compliance_m_n(leader) == pytest.approx(by_hand)
    assert energy_j(leader, 10.0) == pytest.approx(0.5 * 100.0 * by_hand)
    # a cone of ends a and b gives 4L / (pi E a b), with its level ends beside it
    taper = tied(knotless())
    profile, stuff = taper.pieces[0].strand.profile, taper.pieces[0].strand
    butt_m, tip_m = profile.butt_diameter_m, profile.tip_diameter_m
    wanted = (
        profile.butt_length_m / butt_m**2
        + profile.taper_length_m / (butt_m * tip_m)
        + profile.tip_length_m / tip_m**2
    ) * (4 / np.pi / stuff.stiffness_pa)
    assert compliance_m_n(taper) == pytest.approx(wanted)
    rod = Rod(title="r", length_m=2.7, weight=5)
    in_series = at_the_hook_n_m(leader, rod, 9.0)
    assert 1 / in_series == pytest.approx(1 / rod.tip_stiffness_n_m + 9 / 400 + by_hand)


def fact(found, title):
    return next(item for item in found.facts if item.title == title)


def test_facts_follow_fish_snags_rod_and_ring():
    calm = reading()
    assert fact(calm, "The day asks").status == "right"
    assert "a quarter to a third" in fact(calm, "Set the drag to").text
    heavy = design(quarry=TargetFish(mass_kg=6.0), water=Water(snags="heavy snags"))
    assert fact(reading(heavy), "The day asks").status == "too little"
    stout = design(tied(level(24, 4, "butt"), level(22, 3, "tippet")))
    assert fact(reading(stout), "The rod").status == "too much"
    assert fact(reading(stout), "Above the leader").status == "too much"
    joints = list(PLAIN.joints)
    joints[2] = Connection(kind="ring", knot="improved-clinch", upper_knot="clinch")
    ringed = Leader(pieces=PLAIN.pieces, joints=tuple(joints))
    assert "above the ring" in fact(reading(design(ringed)), "Order of break").text
    weak = worn(ringed, 0, "wind knot")
    assert fact(reading(design(weak)), "Order of break").status in ("right", "too much")


def test_a_weak_place_above_the_tippet_is_the_wrong_order():
    weak = worn(tied(level(9, 4, "butt"), level(9, 2, "tippet")), 0, "wind knot")
    assert fact(reading(design(weak)), "Order of break").status == "too much"


def test_the_record_rule_measures_as_it_says():
    joints = (
        Connection(kind="loops", knot="perfection-loop"),
        Connection(knot="blood"),
        Connection(knot="albright"),
        Connection(knot="non-slip-loop"),
    )

    def leader(class_in, bite_in):
        pieces = (
            level(24, 5, "butt"),
            level(16, class_in / 12, "tippet"),
            level(30, bite_in / 12, "bite"),
        )
        return Leader(pieces=pieces, joints=joints)

    good = leader(15, 10)
    assert class_m(good) == pytest.approx(15 * INCH_M)
    assert bite_m(good) > 10 * INCH_M, "the knots count"
    assert all(line.passes for line in record_lines(good, INCHES))
    assert [line.passes for line in record_lines(leader(14.5, 12), INCHES)] == [False, False]
    assert not record_lines(tied(level(20, 3, "butt")), METRIC)[0].passes
    assert reading(record=False).record == ()


def test_a_rod_too_light_for_the_fish_is_said_and_one_that_is_not_is_let_be():
    """Common practice, no source: a 2-weight and a 20-inch trout."""
    light, usual = (Rod(title="r", length_m=2.6, weight=weight) for weight in (2, 5))
    trout = TargetFish(kind="trout", mass_kg=1.4)
    said = fact(reading(design(rod=light, quarry=trout)), "The rod")
    assert "light for a fish" in said.text
    assert "light" not in fact(reading(design(rod=usual, quarry=trout)), "The rod").text


def test_everything_from_the_reel_to_the_hook_is_one_chain():
    bare = evaluate(design(), {}, INCHES).chain
    assert [link.title for link in bare.links] == ["line", "line's loop"]
    assert bare.words == "From the line down the leader goes first."
    backed = apply_sentence_edit(day(), SentenceEdit(part="backing", text="20 lb, 100 yd"), INCHES)
    whole = evaluate(design(line=backed.line), {}, INCHES).chain
    assert [link.title for link in whole.links][:3] == ["reel", "backing", "backing to line"]
    assert "300 ft" in whole.links[1].detail
    assert "once all the backing is out" in whole.links[0].detail
    poor = backed.line.evolve(backing=backed.line.backing.evolve(strength_n=4.0 * POUND_N))
    weak = design(line=poor)
    found = reel_to_leader(weak, hold_of(weak.leader))
    assert found.leader_first + sum(link.chance for link in found.links) == pytest.approx(1.0)
    told = fact(reading(weak), "Above the leader")
    assert told.status == "too much"
    assert told.text.startswith("The backing to line, 3.0 lb, parts before the leader")
    for text in ("20 lb", "a lot, 100 yd"):
        with pytest.raises(Unreadable):
            apply_sentence_edit(day(), SentenceEdit(part="backing", text=text), INCHES)
    assert (
        apply_sentence_edit(backed, SentenceEdit(part="backing", text=""), INCHES).line.backing
        is None
    )
