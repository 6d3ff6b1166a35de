"""Masses and areas of flies as they are cast: from memory, ±20 %, no source."""

from typing import get_args

import pytest
from scipy.integrate import solve_ivp

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.domain.tackle.fly import Bead, Bulk, Dressing, Fly, FlyKind, Head
from nine_knots.core.mechanics.air import AIR_KG_M3
from nine_knots.core.mechanics.fall import drag_area_of_fall_m2

AS_CAST = (  # fly, grams, cm² of drag area; [M]
    (Fly(title="F", kind="dry", hook=14, bulk="bushy"), (0.020, 0.030), (0.5, 0.7)),
    (Fly(title="F", kind="midge", hook=20), (0.004, 0.007), (0.12, 0.2)),
    (Fly(title="F", kind="foam", hook=8), (0.10, 0.14), (1.7, 2.3)),
    (
        Fly(title="F", kind="nymph", hook=14, bead=Bead(diameter_mm=3.0)),
        (0.2, 0.3),
        (0.1, 0.25),
    ),
    (Fly(title="F", kind="streamer", hook=8), (0.6, 0.85), (2.0, 3.0)),
    (Fly(title="F", kind="streamer", hook=4), (1.0, 1.35), (3.2, 3.8)),
    (
        Fly(title="4-inch baitfish", kind="streamer", hook=-1, length_m=0.102, dressing="sheds"),
        (1.2, 1.5),
        (3.6, 5.2),
    ),
    (
        Fly(
            title="bucktail with eyes",
            kind="streamer",
            hook=-1,
            length_m=0.1,
            head="medium eyes",
        ),
        (2.5, 3.0),
        (3.6, 5.2),
    ),
    (Fly(title="pike", kind="predator", hook=-4, length_m=0.18), (3.0, 5.0), (7.5, 8.5)),
    (Fly(title="tube", kind="predator", hook=-9, tube=True), (4.0, 6.0), (7.5, 8.5)),
)


@pytest.mark.parametrize(("fly", "grams", "area"), AS_CAST, ids=str)
def test_flies_weigh_what_they_do_as_cast(fly, grams, area):
    assert grams[0] <= 1e3 * fly.mass_kg <= grams[1]
    assert area[0] <= 1e4 * fly.air_drag_area_m2 <= area[1]


def test_no_fly_of_a_usual_build_weighs_more_than_15_grams():
    heaviest = max(
        Fly(
            title="F",
            kind=kind,
            hook=-9,
            bulk=bulk,
            dressing=dressing,
            head=head,
            trailing_hook=True,
        ).mass_kg
        for kind in get_args(FlyKind)
        for bulk in get_args(Bulk)
        for dressing in get_args(Dressing)
        for head in get_args(Head)
    )
    assert 0.004 < heaviest < 0.015


def test_a_fly_that_sheds_water_is_lighter_and_a_longer_one_heavier_at_the_same_area():
    soaked = Fly(title="F", kind="streamer", hook=2)
    shed = soaked.model_copy(update={"dressing": "sheds"})
    longer = soaked.model_copy(update={"length_m": 1.5 * soaked.whole_m})
    assert shed.mass_kg < soaked.mass_kg < longer.mass_kg
    assert shed.air_drag_area_m2 == soaked.air_drag_area_m2 == longer.air_drag_area_m2


@pytest.mark.parametrize("fly", [fly for fly, _, _ in AS_CAST])
@pytest.mark.parametrize("height_m", [2.0, 6.0])
def test_a_fall_in_still_air_tells_the_area_of_a_fly(fly, height_m):
    """Against m dv/dt = m g - ρ C_d A v²/2 integrated by `scipy.solve_ivp`."""

    def falls(_, state):
        held = 0.5 * AIR_KG_M3 * fly.air_drag_area_m2 * state[1] ** 2 / fly.mass_kg
        return [state[1], GRAVITY_M_S2 - held]

    def down(_, state):
        return state[0] - height_m

    down.terminal = True
    fallen = solve_ivp(falls, (0.0, 60.0), [0.0, 0.0], events=down, rtol=1e-9, atol=1e-12)
    seconds = float(fallen.t_events[0][0])
    if seconds < 1.03 * (2.0 * height_m / GRAVITY_M_S2) ** 0.5:
        with pytest.raises(CannotCompute, match="even without air"):
            drag_area_of_fall_m2(fly.mass_kg, height_m, seconds)
    else:
        area = drag_area_of_fall_m2(fly.mass_kg, height_m, seconds)
        assert area == pytest.approx(fly.air_drag_area_m2, rel=1e-4)
