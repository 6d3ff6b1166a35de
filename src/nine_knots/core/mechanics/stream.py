"""A stream over its bed: how its speed grows from the bed to the surface.

u(z) = U ln(1 + z/z₀) / ln(1 + h/z₀), the rough logarithmic law with the bed at no speed;
z₀ = k_s/30 [S: Nikuradse1933].
"""

from math import log
from typing import NamedTuple

from nine_knots.core.base.kernel import kernel

ROUGHNESS_SHARE = 1.0 / 30.0
KARMAN = 0.41


class Stream(NamedTuple):
    """Depth and roughness length in metres, speed at the surface in m/s."""

    depth_m: float
    surface_m_s: float
    z0_m: float

    def speed_m_s(self, z_m: float) -> float:
        """Speed at a height above the bed."""
        return speed_at_m_s(self, z_m)

    @property
    def shear_m_s(self) -> float:
        """Shear velocity, by which the stream lifts what lies on its bed."""
        return KARMAN * self.surface_m_s / log(1.0 + self.depth_m / self.z0_m)


@kernel
def speed_at_m_s(stream: Stream, z_m: float) -> float:
    """Speed in m/s at ``z_m`` above the bed; nothing below it, the surface's above it.

    >>> round(speed_at_m_s(Stream(1.0, 0.8, 0.00267), 0.15), 2)
    0.55
    """
    at = min(max(z_m, 0.0), stream.depth_m)
    grown = log(1.0 + at / stream.z0_m) / log(1.0 + stream.depth_m / stream.z0_m)
    return stream.surface_m_s * grown


def stream_over(grain_m: float, depth_m: float, surface_m_s: float) -> Stream:
    """A stream over a bed of grains so high, in m.

    >>> round(1e3 * stream_over(0.08, 1.0, 0.8).z0_m, 2)  # mm
    2.67
    """
    return Stream(depth_m, surface_m_s, ROUGHNESS_SHARE * grain_m)
