"""What happens at the water, one file each; whatever ``Happening`` a file of this folder defines is
one."""

from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.rooms import found_in
from nine_knots.core.trade.happenings.happening import Happening

HAPPENINGS = {
    one.key: one for one in sorted(found_in(__name__, Happening), key=lambda one: one.place)
}
"""All of them by their key, in the order in which they are shown."""


def happening_of(key: str) -> Happening:
    """The happening of this name, or NotFound."""
    if key not in HAPPENINGS:
        raise NotFound(
            f"There is no happening “{key}”.",
            where="kind",
            mend=f"Choose one of {', '.join(HAPPENINGS)}.",
        )
    return HAPPENINGS[key]
