"""The own cast: no jump from one landing, the truth found from many, used by every cast after."""

from math import exp, log

import numpy as np
import pytest
from scipy import optimize, stats

from nine_knots.core.assess.landings import ObservedLanding, landing_of
from nine_knots.core.assess.own_cast import (
    FREEDOM,
    LANDED,
    PILES_UP,
    SCATTER,
    SOFT,
    UNKNOWN,
    Landing,
    OwnCast,
    estimate,
)
from nine_knots.core.assess.turnover import CastResult, TurnoverReason, turnover_score
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.casting.minimum_speed import MinimumLaunchSpeed
from nine_knots.core.casting.stroke import Stroke
from nine_knots.words.own_cast import expected, own_reading
from tests.core.test_cast import SOUND, thrown
from tests.makers import METRIC, day, design, level, tied


def seen(landed, speed_margin=1.7, by_word=True) -> Landing:
    return Landing(usual=log(speed_margin), by_word=by_word, landed=landed)


def test_with_no_landing_an_angler_is_a_usual_one():
    found = estimate(())
    assert found.own.model_dump() == pytest.approx(UNKNOWN.model_dump())
    assert found.speed == pytest.approx(0.12, rel=1e-3)


@pytest.mark.parametrize("landed", LANDED)
@pytest.mark.parametrize("speed_margin", [0.4, 1.0, 1.8, 4.0])
def test_the_first_landing_moves_a_little_and_never_jumps(landed, speed_margin):
    own = estimate((seen(landed, speed_margin),)).own
    assert abs(log(own.speed_factor)) < 0.1
    for now, before in zip((own.piles_up, own.soft, own.slams), (0.90, 1.35, 2.4), strict=True):
        assert abs(log(now / before)) < 0.3
    assert own.piles_up < own.soft < own.slams


def test_landings_pull_the_way_they_point():
    softer = estimate((seen("piled up"), seen("soft"))).own
    harder = estimate((seen("slammed"), seen("slammed"))).own
    assert softer.speed_factor < 1.0 < harder.speed_factor
    # a launch told as a figure says nothing of the angler's speed, only of the thresholds
    told = estimate((seen("piled up", by_word=False),)).own
    assert told.speed_factor == pytest.approx(1.0, abs=1e-6)
    assert told.piles_up > UNKNOWN.piles_up


def test_what_is_seen_again_and_again_is_believed_however_odd():
    factors = [estimate((seen("piled up", 2.2),) * n).own.speed_factor for n in (1, 3, 9)]
    assert 1.0 > factors[0] > factors[1] > factors[2]
    assert factors[2] < 0.8


@pytest.mark.parametrize("truth", [0.8, 1.25])
def test_many_landings_find_the_angler_who_made_them(truth):
    rng = np.random.default_rng(4)
    cuts = [log(0.85), log(1.3), log(2.2)]
    made = []
    for number in range(240):
        usual, by_word = rng.uniform(log(0.5), log(4.0)), number % 2 == 0
        speed_margin = usual + (log(truth) if by_word else 0.0) + SCATTER * rng.standard_t(FREEDOM)
        landed = LANDED[sum(speed_margin > cut for cut in cuts)]
        made.append(Landing(usual, by_word, landed))
    found = estimate(tuple(made))
    assert abs(log(found.own.speed_factor / truth)) < 2.5 * found.speed
    assert found.speed < 0.08
    assert log(found.own.slams / 2.2) == pytest.approx(0.0, abs=3 * found.slams)
    assert found.slams < 0.15 < estimate(()).slams


def test_the_estimate_is_the_posteriors_top_and_its_curvature():
    """Against the same posterior written out in one dimension: thresholds alone, one landing."""
    found = estimate((seen("soft", 1.7, by_word=False),))

    def cost(z):
        lowest = log(PILES_UP) + 0.15 * z[0]
        soft = lowest + log(SOFT / PILES_UP) * exp(0.15 * z[1])
        beyond = stats.t(FREEDOM).cdf((log(1.7) - np.array([lowest, soft])) / SCATTER)
        return 0.5 * (z @ z) - log(beyond[0] - beyond[1])

    top = optimize.minimize(cost, [0.0, 0.0], method="Nelder-Mead", options={"xatol": 1e-6}).x
    assert log(found.own.piles_up) == pytest.approx(log(PILES_UP) + 0.15 * top[0], abs=1e-3)


def test_a_landing_tells_the_margin_of_the_stroke():
    told = landing_of(
        ObservedLanding(
            design=design(SOUND), stroke=Stroke(), said="normal", by_word=True, landed="soft"
        )
    )
    assert exp(told.usual) == pytest.approx(thrown(SOUND).margin, rel=0.03)
    assert expected(told, UNKNOWN) == "straight"
    assert expected(told, OwnCast(soft=1.1 * exp(told.usual))) == "soft"


def test_a_mono_rigs_landing_is_refused():
    rig = tied(level(8, 36, "butt"), level(6, 4, "tippet"))
    with pytest.raises(CannotCompute, match="without a loop"):
        landing_of(
            ObservedLanding(
                design=design(rig), stroke=Stroke(), said="", by_word=True, landed="straight"
            )
        )


def test_thresholds_of_ones_own_shift_words_and_band():
    demanding = OwnCast(piles_up=1.3, soft=1.9, slams=4.0)
    cast = thrown(SOUND)
    barely = CastResult(MinimumLaunchSpeed(cast.stroke.speed_m_s / 1.2, 12), cast.stroke)
    usual, own = (turnover_score(barely, SOUND, day(), own) for own in (UNKNOWN, demanding))
    assert (usual.status, own.finding.reason) == ("right", TurnoverReason.BARELY_OPENS)
    assert own.position < usual.position


def test_the_reading_says_how_sure_it_is():
    assert "Nothing is known" in own_reading(estimate(()), 0, METRIC).words
    one = own_reading(estimate((seen("piled up"),)), 1, METRIC)
    assert "From one landing: you launch about" in one.words
    assert "from few landings so far" in one.words
    for figure in one.figures:
        assert 0.0 <= figure.now.low < figure.now.middle < figure.now.high <= 1.0
        assert ", likely " in figure.text
