"""Guessing what casting a leader would come to, from those that were cast: a quadratic ridge on
what is known of it without a cast."""

from math import log

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.casting.screen import screen
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.leader import Leader

Array = NDArray[np.float64]

RIDGE = 3.0  # of the spread of a feature, by which a slope is held down
NOTHING = 1e-9


def features_of(leader: Leader, reader: Assessor, stroke: Stroke) -> Array:
    """What is known without a cast: lengths, thicknesses, stiffness, weights, the screen's fly."""
    rig = reader.rig(leader, stroke)
    known = screen(rig, stroke)
    mass = rig.mass[rig.leader :]
    return np.array(
        [
            log(leader.length_m),
            log(leader.pieces[-1].length_m),
            log(leader.tippet_diameter_m),
            log(rig.bend[rig.leader + 1]),
            leader.pieces[0].length_m / leader.length_m,
            log(float(mass[:-1].sum())),
            float((rig.thick[rig.leader :] * rig.rest[rig.leader :]).sum()) / leader.length_m,
            log(max(known.arrival_m_s, 0.05)),
            log(known.time_s),
            log(1.0 + 1e4 * _hung_kg(leader)),
        ]
    )


def _hung_kg(leader: Leader) -> float:
    """What hangs on it above the point: shot, indicator, flies."""
    things = sum(thing.own_mass_kg for thing in leader.attachments)
    return float(things + sum(fly.mass_kg for _, fly in leader.flies_above))


def nearest(features: Array, known: Array) -> int:
    """Which of some leaders (n, features) is most like one."""
    off = (known - features) / (known.std(axis=0) + NOTHING)
    return int((off**2).sum(axis=1).argmin())


class Surrogate:
    """Learned from leaders that were cast: ``at`` guesses others, (n, targets)."""

    def __init__(self, features: Array, targets: Array) -> None:
        self._middle = features.mean(axis=0)
        self._spread = features.std(axis=0) + NOTHING
        made = self._squared(features)
        self._level = targets.mean(axis=0)
        held = RIDGE * np.eye(made.shape[1])
        self._slopes = np.linalg.solve(made.T @ made + held, made.T @ (targets - self._level))

    def at(self, features: Array) -> Array:
        """The targets guessed for leaders with these features."""
        return np.asarray(self._squared(features) @ self._slopes + self._level)

    def _squared(self, features: Array) -> Array:
        x = np.clip((features - self._middle) / self._spread, -4.0, 4.0)
        rows, columns = np.triu_indices(x.shape[1])
        return np.concatenate([x, x[:, rows] * x[:, columns]], axis=1)
