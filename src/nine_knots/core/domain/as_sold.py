"""What is presumed of things that were bought, of which only the label is known."""

import numpy as np

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.label_sizes import labelled_thickness_m
from nine_knots.core.domain.materials import MATERIALS
from nine_knots.core.domain.strand import TaperProfile

SHARES = (0.6, 0.2, 0.2)  # butt, taper and tip of a bought leader [P]
# Butt by the tip in thousandths of an inch: trout leaders about .020, stouter ones more [M].
_TIPS, _BUTTS = (4.0, 6.0, 9.0, 11.0, 15.0, 20.0), (19.5, 20.5, 22.5, 24.0, 26.0, 29.0)


def bought_profile(length_m: float, tip_m: float) -> TaperProfile:
    """A bought taper by its length and tip in metres: 60 : 20 : 20, its butt presumed."""
    if not 1.0 <= length_m <= 6.0:
        raise OutOfRange(
            "That length isn't possible for a bought leader.", hint="Enter 3 to 20 ft (1 to 6 m)."
        )
    butt_m = float(np.interp(tip_m / THOU_M, _TIPS, _BUTTS)) * THOU_M
    return TaperProfile(
        butt_length_m=SHARES[0] * length_m,
        butt_diameter_m=butt_m,
        taper_length_m=SHARES[1] * length_m,
        tip_length_m=SHARES[2] * length_m,
        tip_diameter_m=tip_m,
    )


def labelled_diameter_m(label_n: float, material: str) -> float:
    """Diameter in metres that is usual for a label in N, by what shops sell."""
    across_m = labelled_thickness_m(label_n, material)
    if across_m > 2.5e-3:
        most = "of wire" if MATERIALS[material].family == "wire" else "of mono"
        raise OutOfRange(f"No leader is made {most} so strong.", hint="Check the label.")
    return across_m
