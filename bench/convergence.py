"""Whether turnover depends on the mesh: every link halved, for rigs that builders know.

``python -m bench.convergence`` prints minimum launch speeds in calm and with 5 m/s in the face, and
how leaders lie, on the mesh of every cast and on half of it. It takes some minutes.
"""

import sys

import numpy as np

from nine_knots.core.casting.landing import landing_of
from nine_knots.core.casting.minimum_speed import minimum_launch_speed
from nine_knots.core.casting.rig import FINE, FULL, Mesh, rig_of
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.tackle import FlyLine, line_profile
from nine_knots.core.mechanics.air import Air
from tests.cast_rigs import DIFFERS, FITTED, HELD_OUT

LINE_OUT_M, STROKE = 9.0, Stroke()


def finer(mesh: Mesh, times: float) -> Mesh:
    """The mesh with links so many times shorter."""
    return Mesh(mesh.line_m / times, mesh.leader_m / times)


def minimum_speeds(times: float) -> None:
    """A row for each rig: the minimum in calm and in wind, on the usual mesh and on the finer."""
    print(f"{'minimum launch speed, m/s':<46}{'calm':>7}{'finer':>7}{'':>7}{'wind':>8}{'finer':>7}")
    off: dict[float, list[float]] = {0.0: [], -5.0: []}
    for name, (leader, fly, weight, _) in {**FITTED, **HELD_OUT, **DIFFERS}.items():
        line, told = line_profile(FlyLine(title="l", weight=weight)), f"{name:<46}"
        for wind, each in off.items():
            speeds = [
                minimum_launch_speed(
                    rig_of(leader, line, fly, LINE_OUT_M, mesh), STROKE, Air(wind_m_s=wind)
                ).speed_m_s
                for mesh in (FULL, finer(FULL, times))
            ]
            if None in speeds:
                told += f"{'never':>7}{'':>14}"
                continue
            each.append(speeds[0] / speeds[1] - 1.0)
            told += f"{speeds[0]:>7.2f}{speeds[1]:>7.2f}{each[-1]:>+7.1%} "
        print(told, flush=True)
    for wind, each in off.items():
        away = np.abs(each)
        where = "calm" if wind == 0.0 else "5 m/s in the face"
        print(f"  {where}: {away.size} rigs, median {np.median(away):.1%}, worst {away.max():.1%}")


def landings(times: float) -> None:
    """How leaders of light flies lie, thrown at so many times their minimum."""
    print(
        f"\n{'lies along the cast, of its length':<46}{'1.2':>6}{'finer':>7}{'1.4':>9}{'finer':>7}"
    )
    off = []
    for name, (leader, fly, weight, said) in {**FITTED, **HELD_OUT}.items():
        if said != "fully":
            continue
        line, told = line_profile(FlyLine(title="l", weight=weight)), f"{name:<46}"
        minimum = minimum_launch_speed(rig_of(leader, line, fly, LINE_OUT_M), STROKE, Air())
        for margin in (1.2, 1.4):
            stroke = STROKE.model_copy(update={"speed_m_s": margin * (minimum.speed_m_s or 0.0)})
            lies = [
                landing_of(leader, line, fly, stroke, Air(), minimum, mesh=mesh).straight
                for mesh in (FINE, finer(FINE, times))
            ]
            off.append(abs(lies[0] - lies[1]))
            told += f"{lies[0]:>6.2f}{lies[1]:>7.2f}   "
        print(told, flush=True)
    print(f"  median {np.median(off):.2f}, worst {np.max(off):.2f}")


if __name__ == "__main__":
    by = float(sys.argv[1]) if len(sys.argv) > 1 else 2.0
    minimum_speeds(by)
    landings(by)
