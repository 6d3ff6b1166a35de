"""An event at the water, as it was tapped: what, when, on which day, and what was told of it."""

from typing import Annotated, Literal

from pydantic import Field, model_validator

from nine_knots.core.base.limits import Key
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.event_kinds import EVENT_KINDS
from nine_knots.core.domain.places import LevelM
from nine_knots.core.domain.tackle import FishKind

EventId = Annotated[str, Field(pattern=r"^[0-9a-f]{32}$")]
Moment = Annotated[int, Field(ge=0, le=4_102_444_800_000, description="ms since 1970, UTC")]
Name = Annotated[str, Field(max_length=80)]
PhotoName = Annotated[str, Field(max_length=120, pattern=r"^[\w .()-]+$")]
Landed = Literal["piled up", "soft", "straight", "slammed"]


class EventDetail(Frozen):
    """What was told of it, as far as it was."""

    stretch: Annotated[str, Field(max_length=40)] | None = None
    rig: Annotated[str, Field(max_length=40)] | None = None
    fly: Name | None = None
    fish: FishKind | None = None
    mass: Annotated[float, Field(gt=0.0, le=500.0, description="kg")] | None = None
    place: Name | None = None
    level: LevelM | None = None
    setting: Annotated[float, Field(ge=0.0, le=40.0, description="m above the point")] | None = None
    landed: Landed | None = None
    words: Annotated[str, Field(max_length=1000)] | None = None
    photo: PhotoName | None = None
    undoes: EventId | None = None

    @property
    def told(self) -> frozenset[str]:
        """Names of what was told."""
        return frozenset(name for name, value in vars(self).items() if value is not None)


class Event(Frozen):
    """An event with an id of its own, made where it was tapped: it may be sent again and again."""

    event_id: EventId
    plan_id: EventId
    at: Moment
    kind: Key
    detail: EventDetail = EventDetail()

    @model_validator(mode="after")
    def _of_its_kind(self) -> "Event":
        kind = EVENT_KINDS.get(self.kind)
        if kind is None:
            raise ValueError(f"“{self.kind}” is not a kind of event")
        odd = self.detail.told - set(kind.details)
        if odd:
            raise ValueError(f"“{kind.title}” has no {sorted(odd)[0]}")
        if self.kind == "taken-back" and self.detail.undoes is None:
            raise ValueError("an undo needs the event it undoes")
        places = [place for place, _ in kind.by_place]
        if self.detail.place is not None and self.detail.place not in places:
            raise ValueError(f"it breaks {', '.join(places)}")
        return self
