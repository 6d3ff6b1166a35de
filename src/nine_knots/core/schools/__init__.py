"""Schools of taper: rules with parameters that plan a leader, then fit it to the shelf."""

from nine_knots.core.schools.bare import bare_leader
from nine_knots.core.schools.fit import Proposal, Shortfall
from nine_knots.core.schools.propose import SCHOOLS, propose
from nine_knots.core.schools.school import Brief, Plan, School, SchoolParameters, Span

__all__ = [
    "SCHOOLS",
    "Brief",
    "Plan",
    "Proposal",
    "School",
    "SchoolParameters",
    "Shortfall",
    "Span",
    "bare_leader",
    "propose",
]
