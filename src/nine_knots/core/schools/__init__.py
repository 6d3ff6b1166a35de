"""Schools of taper, one file each: rules with parameters that plan a leader.

A school is known by being here: whatever ``School`` a file of this folder defines is one.
"""

from nine_knots.core.base.discovery import discover
from nine_knots.core.base.errors import NotFound
from nine_knots.core.domain.leader import Leader
from nine_knots.core.schools.school import School

SCHOOLS = {
    school.key: school
    for school in sorted(discover(__name__, School), key=lambda school: school.place)
}
"""All schools by their key, in the order in which they are shown."""


ALL_MONO_M = 8.0  # of leader, from which no line is cast [P]


def school_of(key: str) -> School:
    """The school of this name, or NotFound."""
    if key not in SCHOOLS:
        raise NotFound(
            f"There is no school “{key}”.",
            where="school",
            hint=f"Choose one of {', '.join(SCHOOLS)}.",
        )
    return SCHOOLS[key]


def built_by(leader: Leader) -> School | None:
    """The school that a leader was built by; None where it was built by hand and eye."""
    return SCHOOLS.get(leader.school or "")


def line_leads(leader: Leader) -> bool:
    """Whether a fly line casts this leader; else its fly pulls the mono out: where a sighter shows
    that it is led on a tight line, or it is so long that no line is beyond the rod's tip."""
    sighted = any(piece.role == "sighter" for piece in leader.pieces)
    return not sighted and leader.length_m < ALL_MONO_M
