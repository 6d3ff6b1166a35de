"""What was measured of a rod, line or fly goes along when the line that says it is corrected."""

from typing import TypeVar, cast

from nine_knots.core.domain.tackle import Fly, FlyLine, Rod

Tackle = TypeVar("Tackle", bound=Rod | FlyLine | Fly)
MEASURED: dict[type, tuple[str, ...]] = {
    Rod: ("tip_n_m",),
    FlyLine: ("tip_bend_nm2", "tip_by", "belly_bend_nm2", "belly_by", "backing"),
    Fly: ("drag_area_m2", "sink_m_s", "sink_by"),
}
"""Fields that no line says, by kind."""
BODY = ("kind", "hook", "bulk", "bead", "head", "length_m", "tube")
"""Of a fly: where one of these is another, it is another fly, and is to be measured anew."""


def bare(thing: Tackle) -> Tackle:
    """The thing as it was before it was measured, so that a line can say it."""
    return cast(Tackle, thing.model_copy(update=dict.fromkeys(MEASURED[type(thing)])))


def with_readings(new: Tackle, old: Rod | FlyLine | Fly) -> Tackle:
    """The corrected thing with what was measured of it; of a fly, while its body is the same."""
    if type(new) is not type(old):
        return new
    if isinstance(new, Fly) and any(getattr(new, name) != getattr(old, name) for name in BODY):
        return new
    kept = {name: getattr(old, name) for name in MEASURED[type(new)]}
    return cast(Tackle, new.model_copy(update=kept))
