"""The leader's invariants, and what a knotless taper says of itself when it is cut back."""

import math

import pytest
from pydantic import ValidationError

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.leader import Attachment, Connection, Leader, LevelSection
from nine_knots.core.domain.strand import Spool, TaperProfile
from tests.makers import PLAIN, PROFILE, knotless, level, strand, tied


@pytest.mark.parametrize("length", [0.0, -1.0, math.inf, math.nan, 41.0])
def test_a_piece_has_a_real_length(length):
    with pytest.raises(ValidationError):
        LevelSection(role="butt", strand=strand(18), length_m=length)


@pytest.mark.parametrize("thou", [0.0, -3.0, 1.0, 200.0, math.nan])
def test_a_strand_has_a_real_diameter(thou):
    with pytest.raises(ValidationError):
        strand(thou)


def test_there_is_one_joint_more_than_pieces():
    with pytest.raises(ValidationError, match="need 5 joints"):
        Leader(pieces=PLAIN.pieces, joints=PLAIN.joints[:-1])


def test_at_most_24_pieces_and_40_metres():
    tied(*[level(12, 1)] * 24)
    with pytest.raises(ValidationError):
        tied(*[level(12, 1)] * 25)
    with pytest.raises(ValidationError, match="40 m is the most"):
        tied(level(18, 70), level(12, 70))


@pytest.mark.parametrize(
    ("number", "joint", "says"),
    [
        (0, Connection(knot="blood"), "does not go there"),
        (1, Connection(knot="improved-clinch"), "does not go there"),
        (4, Connection(kind="ring", knot="uni", upper_knot="uni"), "joins two pieces"),
        (1, Connection(kind="ring", knot="uni"), "either side"),
        (0, Connection(kind="loops", knot="perfection-loop", upper_knot="bimini"), "loop knot"),
    ],
)
def test_a_knot_goes_where_it_belongs(number, joint, says):
    joints = list(PLAIN.joints)
    joints[number] = joint
    with pytest.raises(ValidationError, match=says):
        Leader(pieces=PLAIN.pieces, joints=joints)


def test_a_ring_takes_no_knot_for_joining_two_strands():
    with pytest.raises(ValidationError, match="not a knot for ring"):
        Connection(kind="ring", knot="blood", upper_knot="blood")


def test_places_run_from_the_line_to_the_fly():
    assert PLAIN.joints_at_m[0] == 0.0
    assert PLAIN.joints_at_m[-1] == pytest.approx(PLAIN.length_m) == pytest.approx(9 * 0.3048)
    assert PLAIN.tippet_diameter_m == pytest.approx(7 * THOU_M)


def test_an_attachment_hangs_on_the_leader():
    with pytest.raises(ValidationError, match="beyond"):
        PLAIN.model_validate(
            {**PLAIN.model_dump(), "attachments": [Attachment(kind="mark", above_end_m=5.0)]}
        )


def test_a_value_never_changes():
    with pytest.raises(ValidationError):
        PLAIN.school = "halving"


def test_a_knotless_taper_is_as_thick_where_it_is_cut_as_it_was_made_there():
    whole, cut = knotless(), knotless(cut_butt_m=0.4, cut_tip_m=1.2)
    assert whole.length_m == pytest.approx(2.7)
    assert (whole.upper_diameter_m, whole.lower_diameter_m) == (
        pytest.approx(20 * THOU_M),
        pytest.approx(8 * THOU_M),
    )
    # cut half-way down the sloping part, the tip is half-way between butt and tip
    assert cut.length_m == pytest.approx(1.1)
    assert cut.lower_diameter_m == pytest.approx(14 * THOU_M)
    assert cut.breaks_m == pytest.approx((0.0, 0.6, 1.1))


def test_nothing_is_left_of_a_taper_cut_too_far():
    with pytest.raises(ValidationError, match="nothing is left"):
        knotless(cut_butt_m=1.5, cut_tip_m=1.2)


def test_a_taper_narrows():
    with pytest.raises(ValidationError, match="thinner than its butt"):
        TaperProfile.model_validate({**PROFILE.model_dump(), "tip_diameter_m": 20 * THOU_M})


def test_a_label_on_a_taper_speaks_of_its_tip():
    piece = knotless(strength_n=30.0)
    assert piece.breaking_at_n(piece.length_m) == pytest.approx(30.0)
    assert piece.breaking_at_n(0.0) > 2 * 30.0


def test_a_spool_lends_its_own_name():
    with pytest.raises(ValidationError, match="own spool_id"):
        Spool(spool_id="a", title="A", strand=strand(18, spool_id="b"), remaining_m=1.0)
