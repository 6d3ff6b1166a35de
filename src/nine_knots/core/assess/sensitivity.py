"""What matters of a leader, and how sure its verdict is: small changes made one at a time.

Each doubt is a spread of a logarithm of the reserve, from a change made and cast: lengths as tied,
thickness of spools, the stroke from cast to cast, an unknown caster's speed, the fly's drag, the
wind. They are taken as independent and small, so that variances add; the chance of opening is then
that of a normal above the least margin wanted. Against plain draws, see tests/reference.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from functools import partial
from math import exp, floor, gamma, hypot, log

import numpy as np
import scipy

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.changed_casts import ChangedCasts, UncertaintySource
from nine_knots.core.assess.own_cast import SPEED_SPREAD, UNKNOWN
from nine_knots.core.assess.strength_known import StrengthKnown, strength_known
from nine_knots.core.assess.turnover import CastResult, turnover_score, wanted_margin_band
from nine_knots.core.base.cancellation import report_progress
from nine_knots.core.base.concurrency import run_parallel, submit
from nine_knots.core.base.units.factors import INCH_M, THOU_M
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader, LevelSection
from nine_knots.core.domain.need import need_of
from nine_knots.core.mechanics.weakest_link import weibull_shape
from nine_knots.core.strength.elements import Hold, hold_of

LONGER_M, THICKER_M = 4.0 * INCH_M, THOU_M  # a change that is told
TIED_OFF_M, SPOOL_OFF_M = 1.0 * INCH_M, 0.5 * THOU_M  # as tied; a label's thickness [M]
STROKE_OFF = 0.05  # of speed from cast to cast [G]
WINDIEST_M_S, WIND_STEP_M_S = 16.0, 0.5
_AT, _WEIGHTS = np.polynomial.hermite_e.hermegauss(9)
NODES = (_AT.tolist(), (_WEIGHTS / _WEIGHTS.sum()).tolist())  # of a standard normal


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
    thrown = ChangedCasts.of(design, stroke, gust)
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
        marginal=turnover_score(result, leader, day, angler.cast).marginal,
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
    thrown = ChangedCasts.of(design, stroke, gust)
    speed_margin = thrown.base.margin(stroke)
    hold = hold_of(design.leader, own=angler.tyer.knots)
    _, doubts = _changed_one_by_one(thrown, hold, angler)
    low = wanted_margin_band(design.leader, design.situation, angler.cast)[0]
    return _opens(speed_margin, low, doubts)


def _opens(speed_margin: float, low: float, doubts: tuple[UncertaintySource, ...]) -> float:
    spread = hypot(*(doubt.spread for doubt in doubts))
    return float(scipy.special.ndtr(log(speed_margin / low) / spread))


def _changed_one_by_one(
    thrown: ChangedCasts, hold: Hold, angler: Angler
) -> tuple[tuple[SectionSensitivity, ...], tuple[UncertaintySource, ...]]:
    """What the pieces do, and every doubt."""
    dragged, windier = submit(thrown.dragged), submit(thrown.windier)
    stiffer = submit(thrown.stiffer)
    pieces = tuple(_pieces(thrown, hold, angler))
    fly = UncertaintySource("fly", dragged.result())
    wind = UncertaintySource("wind", windier.result())
    more = (fly, stiffer.result(), wind)
    return pieces, (*_doubts(thrown.design.leader, pieces, angler), *more)


def _pieces(thrown: ChangedCasts, hold: Hold, angler: Angler) -> list[SectionSensitivity]:
    count = len(thrown.design.leader.pieces)
    return run_parallel(
        [partial(_piece, thrown, hold, angler, number) for number in range(count)],
        lambda done: report_progress(done, count),
    )


def _piece(thrown: ChangedCasts, hold: Hold, angler: Angler, number: int) -> SectionSensitivity:
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


def _into(thrown: ChangedCasts, low: float) -> float:
    """The strongest head wind in m/s, by half metres, into which it opens as is wanted."""
    least, most = 0, round(WINDIEST_M_S / WIND_STEP_M_S)
    if not thrown.opens_into(0.0, low):
        return 0.0
    today_m_s, sure_m_s = -thrown.air.wind_m_s, 0.0
    if thrown.air.gust_m_s == 0.0 and 0.0 < today_m_s < WINDIEST_M_S:  # the bench has its say
        step = floor(today_m_s / WIND_STEP_M_S)
        if thrown.base.margin(thrown.stroke) >= low:
            least, sure_m_s = step, today_m_s
        else:
            most = max(1, step)
    while most - least > 1:
        middle = (least + most) // 2
        opens = thrown.opens_into(middle * WIND_STEP_M_S, low)
        least, most = (middle, most) if opens else (least, middle)
    return max(least * WIND_STEP_M_S, sure_m_s)
