"""The beds that streams run over, by their grain [M, times or over 2]."""

from nine_knots.core.domain.situation import Bed

GRAIN_M: dict[Bed, float] = {"sand": 0.01, "gravel": 0.08, "cobble": 0.25, "boulder": 0.6}
