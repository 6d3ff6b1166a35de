"""What a packed day holds: every figure and sentence that may be asked for at the water."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.base.score import Status
from nine_knots.core.domain.day_brief import DayBrief
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.event_kinds import EventKind
from nine_knots.drawing.figure import DrawnPiece
from nine_knots.words.knot_card import Line
from nine_knots.words.outline import OutlinePart
from nine_knots.words.plan.at_the_water import WaterAdvice
from nine_knots.words.plan.reminders import Reminder
from nine_knots.words.plan.rig_states import WornStates
from nine_knots.words.rig import HungItem


@dataclass(frozen=True, slots=True)
class WaterCell:
    """The rig in one water, in words."""

    figure: str
    status: Status
    change: str


@dataclass(frozen=True, slots=True)
class SliderStep:
    """A step of a slider: what it is called, and its figure."""

    words: str


@dataclass(frozen=True, slots=True)
class LevelStep:
    """A level of the gauge, and which steps of the sliders are nearest to it; depth and pace."""

    level: str
    level_m: float
    words: str
    deeper: int
    faster: int
    planned: bool


@dataclass(frozen=True, slots=True)
class Labelled:
    """Something to choose: its key, and what it is called."""

    key: str
    title: str


@dataclass(frozen=True, slots=True)
class MassStep:
    """How heavy a fish was, about: in words, and in kg."""

    words: str
    kg: float


@dataclass(frozen=True, slots=True)
class SettingStep:
    """A place of the indicator above the point fly: in words, and in m."""

    words: str
    m: float


@dataclass(frozen=True, slots=True)
class PackedStop:
    """A stretch for the phone: what the plan says of it, its sliders with a cell for each pair of
    steps, levels, what is seen and done, the other flies."""

    stretch_id: str
    title: str
    hours: str
    water: str
    beyond: str
    rig: str
    fly: str
    wish: str
    outfit: str
    change: str
    words: str
    setting: tuple[str, ...]
    settings: tuple[SettingStep, ...]
    deeper: tuple[SliderStep, ...]
    faster: tuple[SliderStep, ...]
    cells: tuple[tuple[WaterCell, ...], ...]
    planned: tuple[int, int]
    levels: tuple[LevelStep, ...]
    sees: tuple[WaterAdvice, ...]
    flies: tuple[str, ...]
    cautions: tuple[str, ...]
    rules: str


@dataclass(frozen=True, slots=True)
class PackedRig:
    """A rig that is carried: drawn, where it lies, and every state that it may come to."""

    key: str
    title: str
    facts: str
    ready: bool
    lies: str
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    flies: tuple[str, ...]
    states: tuple[WornStates, ...]


@dataclass(frozen=True, slots=True)
class PackedKnot:
    """A knot of a rig that is carried: how it is tied, and drawn loose."""

    title: str
    steps: tuple[str, ...]
    lines: tuple[Line, ...]
    box: tuple[float, float, float, float]
    work: tuple[DrawnPiece, ...]


@dataclass(frozen=True, slots=True)
class DayPack:
    """Everything for one day at the water, in the angler's units."""

    format: Literal["nine-knots-day"]
    version: Literal[1]
    plan_id: str
    angler: str
    title: str
    on: str
    place: str
    light: str
    rules: str
    cautions: tuple[str, ...]
    stops: tuple[PackedStop, ...]
    rigs: tuple[PackedRig, ...]
    knots: tuple[PackedKnot, ...]
    flies: tuple[str, ...]
    happenings: tuple[EventKind, ...]
    fish: tuple[Labelled, ...]
    masses: tuple[MassStep, ...]
    reminders: tuple[Reminder, ...]
    units: str
    brief: DayBrief
    designs: dict[str, Design]
