"""The rig as it is now, from what happened: any order and any repetition of the same events gives
the same, since each is taken once, in the order of its time."""

from collections.abc import Iterable
from dataclasses import dataclass, replace
from types import MappingProxyType

from nine_knots.core.domain.event import Event
from nine_knots.core.domain.event_kinds import EVENT_KINDS, WEARS, Ends, RigEffect
from nine_knots.core.domain.leader.sections import Wear


@dataclass(frozen=True, slots=True)
class RigState:
    """A rig by what befell it: how often its fly's knot was cut off since its tippet was new, how
    worn that is, what of it is gone, and how many fish it had."""

    cuts: int = 0
    wear: Wear = "new"
    gone: Ends = ""
    fish: int = 0


@dataclass(frozen=True)
class DayState:
    """Where the day stands: stretch, rig on the line, fly, setting and level as last told; every
    rig that was on the line; and the events that stand, in their order."""

    stretch: str
    rig: str
    fly: str
    setting_m: float | None
    level_m: float | None
    rigs: MappingProxyType[str, RigState]
    events: tuple[Event, ...]


def effective_events(events: Iterable[Event]) -> tuple[Event, ...]:
    """Each once, in the order of their times, without those that were taken back; what takes back
    something is itself never taken back by what came before it."""
    once = {event.event_id: event for event in events}
    in_order = sorted(once.values(), key=lambda earlier: (earlier.at, earlier.event_id))
    gone: set[str] = set()
    for earlier in reversed(in_order):  # what was taken back takes nothing back
        if (
            earlier.kind == "taken-back"
            and earlier.event_id not in gone
            and earlier.detail.undoes is not None
        ):
            gone.add(earlier.detail.undoes)
    return tuple(
        earlier
        for earlier in in_order
        if earlier.event_id not in gone and earlier.kind != "taken-back"
    )


def day_state(events: Iterable[Event], stretch: str, rig: str, fly: str) -> DayState:
    """The day after all events, begun on a stretch with a rig and a fly."""
    status = effective_events(events)
    rigs: dict[str, RigState] = {rig: RigState()} if rig else {}
    setting_m = level_m = None
    for earlier in status:
        told, kind = earlier.detail, EVENT_KINDS[earlier.kind]
        effect = kind.effect_of(told.place)
        if effect.takes_up:
            rig, setting_m = told.rig or rig, None
            if rigs.get(rig, RigState()).gone:
                rigs[rig] = RigState()  # one of the same, tied anew
        stretch = told.stretch or stretch
        fly = told.fly or fly
        setting_m = told.setting if told.setting is not None else setting_m
        level_m = told.level if told.level is not None else level_m
        if rig:
            rigs[rig] = _after(rigs.get(rig, RigState()), effect)
    return DayState(stretch, rig, fly, setting_m, level_m, MappingProxyType(rigs), status)


def _after(rig: RigState, effect: RigEffect) -> RigState:
    if effect.renews:
        return RigState(fish=rig.fish)
    worse = max(rig.wear, effect.wear, key=WEARS.index)
    gone = max(rig.gone, effect.ends, key=ENDS.index)
    return replace(
        rig, cuts=rig.cuts + effect.cuts, wear=worse, gone=gone, fish=rig.fish + effect.fish
    )


ENDS: tuple[Ends, ...] = ("", "tippet", "lower", "rig")
"""From the least that is gone to the most."""
