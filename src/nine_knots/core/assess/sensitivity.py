"""What matters of a leader, and how sure its verdict is: small changes made one at a time.

Each doubt is a spread of a logarithm of the reserve, from a change made and cast: lengths as tied,
thickness of spools, the stroke from cast to cast, an unknown caster's speed, the fly's drag, the
wind. They are taken as independent and small, so that variances add; the chance of opening is then
that of a normal above the least margin wanted. Against plain draws, see tests/reference.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from functools import partial
from math import exp, gamma, hypot, log
from typing import Literal

import numpy as np
import scipy

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.dominant_uncertainty import DRAG_TIMES, BentPart
from nine_knots.core.assess.own_cast import SPEED_SPREAD, UNKNOWN
from nine_knots.core.assess.strength_known import StrengthKnown, strength_known
from nine_knots.core.assess.turnover import CastResult, turnover_score, wanted_margin_band
from nine_knots.core.base.cached_field import cached_field
from nine_knots.core.base.cancellation import report_progress
from nine_knots.core.base.concurrency import run_parallel, submit
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import INCH_M, THOU_M
from nine_knots.core.casting.minimum_speed import (
    USUAL,
    MinimumLaunchSpeed,
    minimum_at_the_aim,
    minimum_launch_speed,
    opens_at,
)
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.rig import Rig, rig_of
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust, air_of
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader, LevelSection
from nine_knots.core.domain.need import need_of
from nine_knots.core.domain.situation import Wind
from nine_knots.core.domain.tackle import Fly, line_profile
from nine_knots.core.mechanics.air import Air
from nine_knots.core.mechanics.weakest_link import weibull_shape
from nine_knots.core.strength.elements import Hold, hold_of

LONGER_M, THICKER_M = 4.0 * INCH_M, THOU_M  # a change that is told
TIED_OFF_M, SPOOL_OFF_M = 1.0 * INCH_M, 0.5 * THOU_M  # as tied; a label's thickness [M]
STROKE_OFF, WIND_OFF_M_S = 0.05, 1.0  # from cast to cast [G]
# of a line's stiffness, as a guess, of its tip or belly by a droop test of the other or of itself,
# and of its friction (3 to 10 ms) [G]
BEND_OFF, OTHER_DROOPED_OFF, DROOPED_OFF, FRICTION_OFF = 0.35, 0.2, 0.1, 0.6
STIFFER, LOSSIER = 1.5, 2.0  # times, that are thrown to tell what they do
DRAG_OFF, TIMED_OFF = 0.17, 0.05  # of a fly's drag area, by the tables and timed [M]
WINDIEST_M_S, WIND_STEP_M_S = 16.0, 0.5
_AT, _WEIGHTS = np.polynomial.hermite_e.hermegauss(9)
NODES = (_AT.tolist(), (_WEIGHTS / _WEIGHTS.sum()).tolist())  # of a standard normal
Source = Literal["lengths", "spools", "own speed", "stroke", "fly", "line", "wind"]


@dataclass(frozen=True, slots=True)
class SectionSensitivity:
    """What a piece does: changes of the margin and of the hold, as factors, where it is four
    inches longer and where it is a thousandth thicker."""

    piece: int
    longer_opens: float
    longer_holds: float
    thicker_opens: float
    thicker_holds: float


@dataclass(frozen=True, slots=True)
class UncertaintySource:
    """One source of doubt: its spread of the logarithm of the margin; ``piece`` of the spool that
    has most of it, and the spool's name where it is owned; ``part`` of the line whose droop would
    settle most."""

    source: Source
    spread: float
    piece: int | None = None
    spool: str = ""
    part: BentPart | None = None


@dataclass(frozen=True, slots=True)
class Sensitivity:
    """Pieces, doubts and chances; ``marginal`` where the bench would say only just,
    ``into_m_s`` is the head wind into which it still opens,
    ``known`` how surely the hold is known, ``weakest`` the name of the spool it is known by."""

    pieces: tuple[SectionSensitivity, ...]
    doubts: tuple[UncertaintySource, ...]
    opens: float
    marginal: bool
    holds: float
    speed_margin: float
    low: float
    into_m_s: float
    known: StrengthKnown
    weakest: str


def sensitivity_of(
    design: Design, stroke: Stroke, angler: Angler, gust: Gust = STEADY
) -> Sensitivity:
    """Change one thing after another and cast it; CannotCompute where no line casts it, or no
    stroke opens it."""
    thrown = _Thrown.of(design, stroke, gust)
    day, leader = design.situation, design.leader
    hold = hold_of(leader, own=angler.tyer.knots)
    speed_margin = thrown.base.margin(stroke)  # found first: all that is changed goes by it
    low = wanted_margin_band(leader, day, angler.cast)[0]
    into = submit(lambda: _into(thrown, low))  # the longest, so that no processor waits for it
    pieces, doubts = _changed_one_by_one(thrown, hold, angler)
    result = CastResult(thrown.base, stroke)
    known = strength_known(leader, hold, angler.tyer.knots)
    return Sensitivity(
        pieces=pieces,
        doubts=tuple(sorted(doubts, key=lambda doubt: -doubt.spread)),
        opens=_opens(speed_margin, low, doubts),
        marginal=turnover_score(result, leader, day, angler.units, angler.cast).marginal,
        holds=_holds(hold, need_of(day).most_n, known.off),
        speed_margin=speed_margin,
        low=low,
        into_m_s=into.result(),
        known=known,
        weakest=_spool_name(leader, known.piece, angler),
    )


def chance_of_opening(design: Design, stroke: Stroke, angler: Angler, gust: Gust = STEADY) -> float:
    """How often the leader opens as is wanted, as ``sensitivity_of`` has it, in a fifth of the
    time; the same errors."""
    thrown = _Thrown.of(design, stroke, gust)
    speed_margin = thrown.base.margin(stroke)
    hold = hold_of(design.leader, own=angler.tyer.knots)
    _, doubts = _changed_one_by_one(thrown, hold, angler)
    low = wanted_margin_band(design.leader, design.situation, angler.cast)[0]
    return _opens(speed_margin, low, doubts)


def _opens(speed_margin: float, low: float, doubts: tuple[UncertaintySource, ...]) -> float:
    spread = hypot(*(doubt.spread for doubt in doubts))
    return float(scipy.special.ndtr(log(speed_margin / low) / spread))


@dataclass
class _Thrown:
    """A leader under a stroke; changed ones are cast from what was good for it."""

    design: Design
    stroke: Stroke
    air: Air

    @classmethod
    def of(cls, design: Design, stroke: Stroke, gust: Gust) -> "_Thrown":
        """CannotCompute where the fly pulls the leader out."""
        if mass_ratio(design.leader, design.situation.fly) is not None:
            raise CannotCompute(
                "The fly pulls the mono out without a loop, so there is no cast to analyse.",
                where="leader",
                hint="What matters is the fly's weight.",
            )
        return cls(design, stroke, air_of(design.situation.wind, gust))

    @cached_field
    def base(self) -> MinimumLaunchSpeed:
        found = self._minimum(self.design.leader, self.design.situation.fly, self.air, USUAL)
        if found.speed_m_s is None:
            raise CannotCompute(
                "No stroke opens this leader, so small changes don't matter.",
                where="leader",
                hint="Take one of the turnover's remedies first.",
            )
        return found

    def factor(
        self, leader: Leader | None = None, fly: Fly | None = None, air: Air | None = None
    ) -> float:
        """The margin with something changed over that without."""
        design = self.design
        leader, fly = leader or design.leader, fly or design.situation.fly
        return self._by(self._rig(leader, fly), air or self.air)

    def dragged(self) -> float:
        """The spread of the margin's logarithm that comes of the fly's drag."""
        fly = self.design.situation.fly
        more = fly.model_copy(update={"drag_area_m2": DRAG_TIMES * fly.air_drag_area_m2})
        off = DRAG_OFF if fly.drag_area_m2 is None else TIMED_OFF
        return abs(log(self.factor(fly=more))) / log(DRAG_TIMES) * off

    def stiffer(self) -> UncertaintySource:
        """The spread of the margin's logarithm that comes of the line's stiffness and its internal
        friction."""
        day = self.design.situation
        line, usual = day.line, self._rig(self.design.leader, day.fly)
        by: dict[BentPart, float] = {
            "tip": self._changed(usual.on_other_line(tip_stiffer=STIFFER)) / log(STIFFER),
            "belly": self._changed(usual.on_other_line(belly_stiffer=STIFFER)) / log(STIFFER),
        }
        lost_by = self._changed(usual.on_other_line(lossier=LOSSIER)) / log(LOSSIER)
        known = {"tip": line.tip_bend_nm2 is not None, "belly": line.belly_bend_nm2 is not None}
        if any(known.values()):
            offs = {part: DROOPED_OFF if known[part] else OTHER_DROOPED_OFF for part in by}
            bent = hypot(*(by[part] * offs[part] for part in by))
        else:  # one guess for both
            bent = sum(by.values()) * BEND_OFF
        unknown = [part for part in by if not known[part]]
        part = max(unknown, key=lambda part: abs(by[part]), default=None)
        return UncertaintySource("line", hypot(bent, lost_by * FRICTION_OFF), part=part)

    def _changed(self, rig: Rig) -> float:
        """By how much another rig's margin differs, as a logarithm."""
        return log(self._by(rig, self.air))

    def _by(self, rig: Rig, air: Air) -> float:
        """A rig's margin over that of the leader as it is, both at the aim that serves this best:
        a small change is not lost in the choice of another."""
        found = minimum_at_the_aim(rig, self.stroke, air, self.base)
        return found.margin(self.stroke) / self.at_its_aim.margin(self.stroke)

    @cached_field
    def at_its_aim(self) -> MinimumLaunchSpeed:
        usual = self._rig(self.design.leader, self.design.situation.fly)
        return minimum_at_the_aim(usual, self.stroke, self.air, self.base)

    def windier(self) -> float:
        """The spread of the margin's logarithm that comes of the wind."""
        more = self.air._replace(wind_m_s=self.air.wind_m_s - WIND_OFF_M_S)
        return abs(log(self.factor(air=more)))

    def opens_into(self, wind_m_s: float, low: float) -> bool:
        """Whether it opens with the margin wanted into a head wind."""
        air = air_of(Wind(speed_m_s=wind_m_s, bearing="in the face"), STEADY)
        rig = self._rig(self.design.leader, self.design.situation.fly)
        return opens_at(self.stroke.speed_m_s / low, rig, self.stroke, air)

    def _minimum(
        self, leader: Leader, fly: Fly, air: Air, near: MinimumLaunchSpeed
    ) -> MinimumLaunchSpeed:
        return minimum_launch_speed(self._rig(leader, fly), self.stroke, air, near)

    def _rig(self, leader: Leader, fly: Fly) -> Rig:
        line = line_profile(self.design.situation.line)
        return rig_of(leader, line, fly, self.stroke.line_out_m)


def _changed_one_by_one(
    thrown: _Thrown, hold: Hold, angler: Angler
) -> tuple[tuple[SectionSensitivity, ...], tuple[UncertaintySource, ...]]:
    """What the pieces do, and every doubt."""
    dragged, windier = submit(thrown.dragged), submit(thrown.windier)
    stiffer = submit(thrown.stiffer)
    pieces = tuple(_pieces(thrown, hold, angler))
    fly = UncertaintySource("fly", dragged.result())
    wind = UncertaintySource("wind", windier.result())
    more = (fly, stiffer.result(), wind)
    return pieces, (*_doubts(thrown.design.leader, pieces, angler), *more)


def _pieces(thrown: _Thrown, hold: Hold, angler: Angler) -> list[SectionSensitivity]:
    count = len(thrown.design.leader.pieces)
    return run_parallel(
        [partial(_piece, thrown, hold, angler, number) for number in range(count)],
        lambda done: report_progress(done, count),
    )


def _piece(thrown: _Thrown, hold: Hold, angler: Angler, number: int) -> SectionSensitivity:
    leader, own = thrown.design.leader, angler.tyer.knots
    longer = _with_piece(leader, number, LONGER_M, 0.0)
    thicker = _with_piece(leader, number, 0.0, THICKER_M)
    if longer is None or thicker is None:
        return SectionSensitivity(number, 1.0, 1.0, 1.0, 1.0)
    return SectionSensitivity(
        piece=number,
        longer_opens=thrown.factor(leader=longer),
        longer_holds=hold_of(longer, own=own).low_n / hold.low_n,
        thicker_opens=thrown.factor(leader=thicker),
        thicker_holds=hold_of(thicker, own=own).low_n / hold.low_n,
    )


def _with_piece(leader: Leader, number: int, longer_m: float, thicker_m: float) -> Leader | None:
    """The leader with one level piece longer or thicker, as strong as its material then is; None
    for a bought taper."""
    piece = leader.pieces[number]
    if not isinstance(piece, LevelSection):
        return None
    old, across_m = piece.strand, piece.strand.diameter_m + thicker_m
    strength_n = old.strength_n
    if strength_n is not None:
        strength_n *= old.law_strength_n(across_m) / old.law_strength_n(old.diameter_m)
    strand = old.model_copy(update={"diameter_m": across_m, "strength_n": strength_n})
    made = piece.model_copy(update={"strand": strand, "length_m": piece.length_m + longer_m})
    pieces = (*leader.pieces[:number], made, *leader.pieces[number + 1 :])
    return leader.model_copy(update={"pieces": pieces})


def _doubts(
    leader: Leader, pieces: tuple[SectionSensitivity, ...], angler: Angler
) -> Iterator[UncertaintySource]:
    tied = [TIED_OFF_M / LONGER_M * log(section.longer_opens) for section in pieces]
    yield UncertaintySource("lengths", hypot(*tied))
    spools = [
        _across_off_m(leader, section.piece) / THICKER_M * log(section.thicker_opens)
        for section in pieces
    ]
    most = max(range(len(spools)), key=lambda i: abs(spools[i]))
    yield UncertaintySource("spools", hypot(*spools), most, _spool_name(leader, most, angler))
    yield UncertaintySource("stroke", STROKE_OFF)
    if angler.cast == UNKNOWN:
        yield UncertaintySource("own speed", SPEED_SPREAD)


def _across_off_m(leader: Leader, number: int) -> float:
    """How far off a piece's thickness may be: as its readings were spread, or as labels are."""
    piece = leader.pieces[number]
    by = piece.strand.across_by
    return by.off * piece.lower_diameter_m if by is not None else SPOOL_OFF_M


def _spool_name(leader: Leader, number: int, angler: Angler) -> str:
    return angler.titles.get(leader.pieces[number].strand.spool_id or "", "")


def _holds(hold: Hold, need_n: float, off: float) -> float:
    """Chance that no element breaks under what the day may ask, over what the strand may hold in
    truth: all are stronger or weaker together by a normal of its logarithm."""
    chance = 0.0
    for at, weight in zip(*NODES, strict=True):
        asked_n = need_n * exp(-off * at)
        hazard = 0.0
        for element in hold.elements:
            shape = weibull_shape(element.spread)
            scale = element.mean_n / gamma(1.0 + 1.0 / shape)
            hazard += (asked_n / scale) ** shape
        chance += weight * exp(-hazard)
    return float(min(1.0, chance))


def _into(thrown: _Thrown, low: float) -> float:
    """The strongest head wind in m/s, by half metres, into which it opens as is wanted."""
    least, most = 0, round(WINDIEST_M_S / WIND_STEP_M_S)
    if not thrown.opens_into(0.0, low):
        return 0.0
    while most - least > 1:
        middle = (least + most) // 2
        opens = thrown.opens_into(middle * WIND_STEP_M_S, low)
        least, most = (middle, most) if opens else (least, middle)
    return least * WIND_STEP_M_S
