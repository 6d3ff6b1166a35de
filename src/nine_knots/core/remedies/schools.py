"""Another school as a remedy: the leader's own rebuilt for this day, or one for another method."""

from collections.abc import Iterator

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import Refused
from nine_knots.core.propose.propose import propose_to
from nine_knots.core.remedies.adjustment import OtherSchool
from nine_knots.core.remedies.search import Served, Serves, Trial, first
from nine_knots.core.schools import SCHOOLS, built_by
from nine_knots.core.schools.school import SchoolParameters


def by_school(now: Trial, angler: Angler, serves: Serves, others: tuple[str, ...]) -> Served | None:
    """The first of the leader's own school, built anew, and of others that serves."""
    return first(serves, _rebuilt(now, angler, others))


def _rebuilt(now: Trial, angler: Angler, others: tuple[str, ...]) -> Iterator[Trial]:
    own = built_by(now.design.leader)
    keys = ([own.key] if own is not None else []) + [key for key in others if key in SCHOOLS]
    day = now.design.situation
    for key in dict.fromkeys(keys):
        try:
            made = propose_to(angler, key, day, SchoolParameters())
        except Refused:
            continue
        if made.leader == now.design.leader:
            continue
        is_own = own is not None and key == own.key
        rebuilt_m = made.leader.length_m if is_own else None
        yield now.with_leader(OtherSchool(SCHOOLS[key].title, rebuilt_m), made.leader)
