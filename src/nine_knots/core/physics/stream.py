"""A stream over its bed: how its speed grows from the bed to the surface.

u(z) = U ln(1 + z/z₀) / ln(1 + h/z₀), the rough logarithmic law with the bed at no speed;
z₀ = k_s/30 [S: Nikuradse's sand roughness, any text on open channels].
"""

from dataclasses import dataclass
from math import log

from nine_knots.core.base.kernel import kernel

ROUGHNESS_SHARE = 1.0 / 30.0
KARMAN = 0.41


@kernel
def profile_m_s(z_m: float, depth_m: float, surface_m_s: float, z0_m: float) -> float:
    """Speed in m/s at ``z_m`` above the bed; nothing below it, the surface's above it."""
    at = min(max(z_m, 0.0), depth_m)
    return surface_m_s * log(1.0 + at / z0_m) / log(1.0 + depth_m / z0_m)


@dataclass(frozen=True, slots=True)
class Stream:
    """Depth and roughness length in metres, speed at the surface in m/s."""

    depth_m: float
    surface_m_s: float
    z0_m: float

    def speed_m_s(self, z_m: float) -> float:
        """Speed at a height above the bed."""
        return profile_m_s(z_m, self.depth_m, self.surface_m_s, self.z0_m)

    @property
    def shear_m_s(self) -> float:
        """Shear velocity, by which the stream lifts what lies on its bed."""
        return KARMAN * self.surface_m_s / log(1.0 + self.depth_m / self.z0_m)


def stream_over(grain_m: float, depth_m: float, surface_m_s: float) -> Stream:
    """A stream over a bed of grains so high, in m."""
    return Stream(depth_m, surface_m_s, ROUGHNESS_SHARE * grain_m)
