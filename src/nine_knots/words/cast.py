"""A design's cast as the bench shows it: the cord, the landing, the movie, the energy lane."""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray
from pydantic import ConfigDict, Field

from nine_knots.core.assess.balance import balance_of
from nine_knots.core.assess.dominant_uncertainty import dominant_uncertainty
from nine_knots.core.assess.own_cast import UNKNOWN, OwnCast
from nine_knots.core.assess.pick_up import pick_up_of
from nine_knots.core.assess.turnover import (
    CastResult,
    TurnoverFinding,
    TurnoverReason,
    eased_stroke,
    highest_aim_m,
    mono_score,
    opens_worse_than_computed,
    turnover_score,
    wanted_margin_band,
)
from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.units import Units
from nine_knots.core.base.values import Frozen
from nine_knots.core.casting.landing import landing_of
from nine_knots.core.casting.minimum_speed import (
    USUAL,
    ComparisonThrows,
    MinimumLaunchSpeed,
    minimum_launch_speed,
    rough_launch_speed,
)
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.rig import Rig, rig_of
from nine_knots.core.casting.stroke import FASTEST_M_S, SLOWEST_M_S, Stroke
from nine_knots.core.casting.throw import FRAME_S, Flight
from nine_knots.core.casting.wind import STEADY, Gust, air_of
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.tackle import line_profile
from nine_knots.words.cast_remarks import BALANCE, PICK_UPS, uncertainty_words
from nine_knots.words.scores.reading import ScoreReading, score_reading
from nine_knots.words.scores.turnover import LEVEL, aim_words, landing_words

AGAINST_M_S = -1.5  # of wind along the cast
SHOWN_FRAMES = 2  # every second frame is sent
SHOWN_LINE = 3  # and every third node of the fly line


class Near(Frozen):
    """What was good for a like leader a moment ago: the minimum launch speed that opened it (None
    where none did) and the aim that served best for it."""

    minimum_m_s: float | None = Field(default=USUAL.speed_m_s, ge=SLOWEST_M_S, le=FASTEST_M_S)
    aim_deg: int = Field(default=USUAL.aim_deg, ge=-12, le=14)
    compared: ComparisonThrows | None = None

    @property
    def minimum(self) -> MinimumLaunchSpeed:
        """The minimum launch speed, at its aim."""
        return MinimumLaunchSpeed(self.minimum_m_s, self.aim_deg, self.compared)


@dataclass(frozen=True, slots=True)
class Movie:
    """Positions to draw: ``count`` frames of ``nodes`` points, x and y in millimetres.

    ``points`` are little-endian 16-bit integers, frame by frame; the water is at 0 and
    the rod's tip is the first point. ``leader`` is the point at the line's tip, ``joints`` those
    of the leader's joints. The last frame is the landing.
    """

    __pydantic_config__ = ConfigDict(ser_json_bytes="base64", val_json_bytes="base64")

    gap_s: float
    count: int
    nodes: int
    leader: int
    joints: tuple[int, ...]
    points: bytes

    def metres(self) -> NDArray[np.float64]:
        """The positions in metres, of shape (count, nodes, 2)."""
        whole = np.frombuffer(self.points, dtype="<i2")
        return whole.reshape(self.count, self.nodes, 2) / 1000.0


@dataclass(frozen=True, slots=True)
class EnergyPoint:
    """The energy of all beyond a place as the loop passes it, over what it was launched with.

    It rises above 1 where the loop, rolling out, hands on what the line before gave up.
    """

    at_m: float
    share: float
    text: str


@dataclass(frozen=True, slots=True)
class CastReading:
    """One cast, thrown as low as it opens; no movie where mono is cast by its fly.

    ``speed_margin`` is the stroke's speed over the minimum that opens it; ``eased`` says
    where the cast that is shown is thrown softer than the stroke, ``lift`` how the fly comes off
    the water before.
    """

    turnover: ScoreReading
    agreement: str
    figure: str
    landing: str
    speed_margin: float | None
    eased: str
    lift: str
    near: Near
    slack: Quantity
    opened_at_s: float
    wind: Quantity
    wind_along: float
    gust: Quantity | None
    gust_along: float
    speed: Quantity
    line_out: Quantity
    movie: Movie | None
    energy: tuple[EnergyPoint, ...]


def cast_of(
    design: Design,
    stroke: Stroke,
    units: Units,
    near: Near | None = None,
    own: OwnCast = UNKNOWN,
    gust: Gust = STEADY,
) -> CastReading:
    """Cast a design's leader on its line with its fly; CannotCompute where it cannot be.

    ``near`` is what was good for a like leader, if one is known.
    """
    situation, leader = design.situation, design.leader
    air = air_of(situation.wind, gust)
    ratio = mass_ratio(leader, situation.fly)
    if ratio is not None:
        return _score_alone(score_reading(mono_score(ratio), units), stroke, units, None, Near())
    line = line_profile(situation.line)
    rig = rig_of(leader, line, situation.fly, stroke.line_out_m)
    minimum = minimum_launch_speed(rig, stroke, air, (near or Near()).minimum)
    shown = eased_stroke(minimum, stroke, situation)
    landing = landing_of(leader, line, situation.fly, shown, air, minimum, movie=True)
    result = CastResult(minimum, stroke, landing)
    score = turnover_score(result, leader, situation, own)
    lies = score.finding.landing if isinstance(score.finding, TurnoverFinding) else None
    lobbed = score.finding.reason is TurnoverReason.LOBBED
    remarks = (
        aim_words(highest_aim_m(result, situation.wind, own), units),
        uncertainty_words(dominant_uncertainty(result, rig, air, design, own)),
        LEVEL if opens_worse_than_computed(leader) else "",
    )
    turnover = score_reading(score, units, *(() if lobbed else remarks))
    # where it is the wind that keeps it shut, line, leader and fly are not said to disagree
    against = air.wind_m_s < AGAINST_M_S
    opens = against or result.margin >= wanted_margin_band(leader, situation, own)[0]
    softer = (
        f"Shown at {units.about_speed(shown.speed_m_s)}: a dry fly doesn't need a harder "
        "stroke here."
    )
    flight, thrown = landing.flight, landing.rig
    return replace(
        _score_alone(turnover, stroke, units, result.margin, near_of(minimum)),
        agreement=BALANCE[balance_of(flight, thrown, leader, situation, opens).kind],
        landing=landing_words(lies, units),
        eased=softer if shown != stroke else "",
        lift=PICK_UPS[pick_up_of(design)],
        slack=units.length(landing.slack_m),
        opened_at_s=flight.opened_at_s,
        wind=units.wind(abs(air.wind_m_s)),
        gust=units.wind(abs(gust.speed_m_s)) if gust.speed_m_s else None,
        gust_along=gust.speed_m_s,
        wind_along=air.wind_m_s,
        line_out=units.on_spool(stroke.line_out_m),
        movie=_movie(flight, thrown),
        energy=_energy(flight, thrown),
    )


def rough_cast_of(
    design: Design,
    stroke: Stroke,
    units: Units,
    near: Near,
    own: OwnCast = UNKNOWN,
    gust: Gust = STEADY,
) -> CastReading:
    """The turnover alone, at the aim that was good for a like leader: for while one is dragged."""
    situation, leader = design.situation, design.leader
    ratio = mass_ratio(leader, situation.fly)
    if ratio is not None:
        return _score_alone(score_reading(mono_score(ratio), units), stroke, units, None, near)
    rig = rig_of(leader, line_profile(situation.line), situation.fly, stroke.line_out_m)
    minimum = rough_launch_speed(rig, stroke, air_of(situation.wind, gust), near.minimum)
    result = CastResult(minimum, stroke)
    turnover = score_reading(turnover_score(result, leader, situation, own), units)
    return _score_alone(turnover, stroke, units, result.margin, near_of(minimum))


def near_of(minimum: MinimumLaunchSpeed) -> Near:
    """What a like leader is sought from."""
    return Near(minimum_m_s=minimum.speed_m_s, aim_deg=minimum.aim_deg, compared=minimum.compared)


def _score_alone(
    turnover: ScoreReading, stroke: Stroke, units: Units, speed_margin: float | None, near: Near
) -> CastReading:
    return CastReading(
        turnover=turnover,
        agreement="",
        figure=turnover.figure,
        landing="",
        speed_margin=speed_margin,
        eased="",
        lift="",
        near=near,
        slack=units.length(0.0),
        opened_at_s=0.0,
        wind=units.wind(0.0),
        gust=None,
        gust_along=0.0,
        wind_along=0.0,
        speed=units.speed(stroke.speed_m_s),
        line_out=units.on_spool(0.0),
        movie=None,
        energy=(),
    )


def _movie(flight: Flight, rig: Rig) -> Movie:
    line = list(range(0, rig.leader, SHOWN_LINE))
    kept = [*line, *range(rig.leader, rig.mass.size)]
    frames = flight.frames[:-1:SHOWN_FRAMES]
    frames = np.concatenate([frames, flight.frames[-1:]])[:, kept]
    millimetres = np.clip(np.round(frames * 1000.0), -32768, 32767).astype("<i2")
    return Movie(
        gap_s=FRAME_S * SHOWN_FRAMES,
        count=len(frames),
        nodes=len(kept),
        leader=len(line),
        joints=tuple(len(line) + joint - rig.leader for joint in rig.joints),
        points=millimetres.tobytes(),
    )


def _energy(flight: Flight, rig: Rig) -> tuple[EnergyPoint, ...]:
    """At the middle of every link of the leader that the loop passed."""
    ends = np.concatenate([[0.0], np.cumsum(rig.rest[rig.leader :])])
    middles = 0.5 * (ends[1:] + ends[:-1])
    shares = flight.passing_j[rig.leader :] / np.maximum(flight.launch_j[rig.leader :], 1e-12)
    return tuple(
        EnergyPoint(at_m=float(at), share=float(share), text=f"{share:.1f} times its launch energy")
        for at, share in zip(middles, shares, strict=True)
        if share > 0.0
    )
