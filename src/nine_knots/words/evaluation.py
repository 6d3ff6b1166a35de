"""Everything the bench shows of one leader on one day, from one call."""

from dataclasses import dataclass
from functools import partial
from itertools import pairwise
from typing import Literal

from nine_knots.core.assess.failure_report import pull_tests
from nine_knots.core.assess.joint_match import TROUBLE, JointMatch
from nine_knots.core.assess.verdict import assessment_inputs, verdict_of
from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.units import Units
from nine_knots.core.domain.builder import USUAL_BUILDER, Builder
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.knots import KNOTS
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import (
    Connection,
    Leader,
    LevelSection,
    Role,
    TaperedSection,
    Wear,
)
from nine_knots.core.domain.leader.connection_advice import advise
from nine_knots.core.domain.leader.tying_groups import Place, place_of
from nine_knots.core.domain.tackle import LineProfile, line_profile
from nine_knots.core.strength.elements import Chances, Hold, StrengthElement, joint_holds
from nine_knots.words.chain_from_the_reel import ChainReading, chain_reading
from nine_knots.words.connection_advice import AdviceReading, advice_reading
from nine_knots.words.failure_report import pull_tests_words
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.rig import (
    BranchReading,
    HungItem,
    ThingReading,
    branches_of,
    items_on,
    things_of,
    water_line_m,
)
from nine_knots.words.ruler import Tick, ruler
from nine_knots.words.scores.reading import ScoreReading, score_readings
from nine_knots.words.sentence import (
    SayPart,
    SentenceWord,
    TypedFigure,
    sentence_words_of,
    typed_figures,
)
from nine_knots.words.tying.steps import WorkOrder, joint_title, work_order

LINE_SHOWN_M = 0.3
TAPER_STEPS = 12
MORE_THAN_HALF = 2.0 / 3.0  # of the line's stiffness, which no fraction with a 1 above says


@dataclass(frozen=True, slots=True)
class PieceReading:
    """One piece in figures; ``index`` counts from the line."""

    index: int
    role: Role
    form: str
    material: str
    family: str
    sighter: bool
    wear: Wear
    stock: str
    start_m: float
    end_m: float
    length: Quantity
    upper: Quantity
    lower: Quantity
    diameter: str
    breaks: Quantity
    chance: float
    cut: Quantity


@dataclass(frozen=True, slots=True)
class JointReading:
    """One joint in figures: how it is tied, what passes, what it holds."""

    index: int
    place: Place
    at_m: float
    kind: str
    knot: str
    title: str
    flag: str
    trouble: bool
    passed: str
    bend_step: str
    holds: Quantity
    kept: str
    chance: float
    advice: AdviceReading


@dataclass(frozen=True, slots=True)
class FirstToGo:
    """The piece or joint that most likely breaks first, and its chance."""

    what: Literal["piece", "joint"]
    index: int
    chance: float


@dataclass(frozen=True, slots=True)
class LaneSpan:
    """A stretch of leader over which the crosshair reads one set of figures."""

    from_m: float
    to_m: float
    upper_diameter_m: float
    lower_diameter_m: float
    upper_bend_nm2: float
    lower_bend_nm2: float
    holds_n: float
    thickness: str
    bend: str
    hold: str


@dataclass(frozen=True, slots=True)
class Evaluation:
    """All readings of a leader, in the angler's units, with SI values to draw from."""

    sentence: tuple[SentenceWord, ...]
    said: dict[SayPart, TypedFigure]
    length: Quantity
    pieces: tuple[PieceReading, ...]
    joints: tuple[JointReading, ...]
    outline: tuple[OutlinePart, ...]
    line_spans: tuple[LaneSpan, ...]
    spans: tuple[LaneSpan, ...]
    need: Quantity
    low: Quantity
    first_to_go: FirstToGo
    chain: ChainReading
    things: tuple[ThingReading, ...]
    branches: tuple[BranchReading, ...]
    hung: tuple[HungItem, ...]
    water_line_m: float | None
    floats: bool
    verdict: tuple[ScoreReading, ...]
    ruler: tuple[Tick, ...]
    work: WorkOrder


def evaluate(
    design: Design, titles: dict[str, str], units: Units, tyer: Builder = USUAL_BUILDER
) -> Evaluation:
    """Evaluate a design; ``titles`` names spools by their id, ``tyer`` is whose cut list it is.

    Raises CannotCompute where a model is asked for something outside its range.
    """
    leader, situation = design.leader, design.situation
    line = line_profile(situation.line)
    inputs = assessment_inputs(design, tyer.knots)
    hold = inputs.hold
    chances = hold.chances()
    said = typed_figures(situation, units)
    work = work_order(leader, situation.fly, titles, units, tyer)
    return Evaluation(
        sentence=sentence_words_of(situation, said),
        said=said,
        length=units.length(leader.length_m),
        pieces=_piece_readings(leader, chances, work, units),
        joints=_joint_readings(design, hold, chances, inputs.matches, units, tyer.knots),
        outline=outline(leader),
        line_spans=_line_spans(line, units),
        spans=_leader_spans(leader, line, units),
        need=units.load(inputs.need.most_n),
        low=units.load(hold.low_n),
        first_to_go=_first_to_go(chances),
        chain=chain_reading(design, hold, units),
        things=things_of(leader, units),
        branches=branches_of(leader, units),
        hung=items_on(leader),
        water_line_m=water_line_m(design),
        floats=situation.floats,
        verdict=score_readings(verdict_of(design, inputs, tyer.knots), units),
        ruler=ruler(leader.length_m, units),
        work=work,
    )


def _first_to_go(chances: Chances) -> FirstToGo:
    what, index = max(sorted(chances), key=chances.__getitem__)
    return FirstToGo(what=what, index=index, chance=chances[what, index])


def _piece_readings(
    leader: Leader, chances: Chances, work: WorkOrder, units: Units
) -> tuple[PieceReading, ...]:
    places = leader.joints_at_m
    return tuple(
        PieceReading(
            index=i,
            role=piece.role,
            form=piece.form,
            material=piece.strand.material,
            family=piece.strand.substance.family,
            sighter=piece.strand.colour == "sighter",
            wear=piece.wear,
            stock=work.rows[i].stock,
            start_m=places[i],
            end_m=places[i + 1],
            length=units.length(piece.length_m),
            upper=units.diameter(piece.upper_diameter_m),
            lower=units.diameter(piece.lower_diameter_m),
            diameter=work.rows[i].diameter,
            breaks=units.load(piece.weakest_n),
            chance=chances["piece", i],
            cut=work.rows[i].cut,
        )
        for i, piece in enumerate(leader.pieces)
    )


def _joint_readings(
    design: Design,
    hold: Hold,
    chances: Chances,
    matches: tuple[JointMatch, ...],
    units: Units,
    own: tuple[PulledKnot, ...],
) -> tuple[JointReading, ...]:
    readings = []
    leader, situation = design.leader, design.situation
    weaker_sides = _weaker_sides(hold)
    for i, (joint, at_m) in enumerate(zip(leader.joints, leader.joints_at_m, strict=True)):
        weaker = weaker_sides[i]
        match = matches[i] if i < len(matches) else None
        readings.append(
            JointReading(
                index=i,
                place=place_of(i, len(leader.joints)),
                at_m=at_m,
                kind=joint.kind,
                knot=KNOTS[joint.knot].title,
                title=joint_title(leader, i),
                flag=match.flag if match else "fly",
                trouble=match is not None and match.flag in TROUBLE,
                passed=f"{match.passed:.0%} of the energy passes" if match else "",
                bend_step=_step_words(match.bend_step) if match else "",
                holds=units.load(weaker.mean_n),
                kept=f"keeps {weaker.efficiency:.0%}"
                f"{pull_tests_words(pull_tests(joint, leader, own))}",
                chance=chances["joint", i],
                advice=advice_reading(
                    advise(leader, i, situation.line, situation.fly),
                    partial(_holds_words, leader, i, own, units),
                ),
            )
        )
    return tuple(readings)


def _holds_words(
    leader: Leader, number: int, own: tuple[PulledKnot, ...], units: Units, tied: Connection
) -> str:
    """What a joint would hold, tied so."""
    mean_n, efficiency = joint_holds(leader, number, tied, own)
    return f"keeps {efficiency:.0%}, {units.load(mean_n).text}"


def _weaker_sides(hold: Hold) -> dict[int, StrengthElement]:
    """The weaker of the two sides of every joint."""
    weaker: dict[int, StrengthElement] = {}
    for side in hold.elements:
        if side.what == "joint":
            other = weaker.setdefault(side.index, side)
            weaker[side.index] = min(other, side, key=lambda element: element.mean_n)
    return weaker


def _step_words(step: float) -> str:
    if 0.96 <= step <= 1.04:
        return "as stiff as above"
    return f"{1 / step:.1f}× softer" if step < 1 else f"{step:.1f}× stiffer"


def _bend_words(bend: float, line: LineProfile) -> str:
    """Bending stiffness against the line's tip, the only yardstick a builder can feel."""
    share = bend / line.match_bend_nm2
    if share > MORE_THAN_HALF:
        return f"{share:.1f}× the line's tip"
    return f"1/{1 / share:.0f} of the line's tip"


def _leader_spans(leader: Leader, line: LineProfile, units: Units) -> tuple[LaneSpan, ...]:
    spans = []
    for piece, start_m in zip(leader.pieces, leader.joints_at_m, strict=False):
        for from_m, to_m in _stretches(piece):
            upper, lower = piece.diameter_at_m(from_m), piece.diameter_at_m(to_m)
            bends = piece.strand.bend_nm2(upper), piece.strand.bend_nm2(lower)
            holds_n = piece.breaking_at_n(to_m)
            spans.append(
                LaneSpan(
                    from_m=start_m + from_m,
                    to_m=start_m + to_m,
                    upper_diameter_m=upper,
                    lower_diameter_m=lower,
                    upper_bend_nm2=bends[0],
                    lower_bend_nm2=bends[1],
                    holds_n=holds_n,
                    thickness=units.tippet((upper + lower) / 2).text,
                    bend=_bend_words((bends[0] * bends[1]) ** 0.5, line),
                    hold=units.load(holds_n).text,
                )
            )
    return tuple(spans)


def _stretches(piece: LevelSection | TaperedSection) -> list[tuple[float, float]]:
    """A level piece is one stretch; a taper's sloping part is cut into twelve."""
    edges: list[float] = [0.0]
    for low, high in pairwise(piece.breaks_m):
        sloping = abs(piece.diameter_at_m(low) - piece.diameter_at_m(high)) > 1e-7
        count = TAPER_STEPS if sloping else 1
        edges += [low + (high - low) * (i + 1) / count for i in range(count)]
    return list(pairwise(edges))


def _line_spans(line: LineProfile, units: Units) -> tuple[LaneSpan, ...]:
    """The last of the fly line, at negative places, so that the butt is seen against it."""
    near, far = line.diameter_at_m(0.0), line.diameter_at_m(LINE_SHOWN_M)
    return (
        LaneSpan(
            from_m=-LINE_SHOWN_M,
            to_m=0.0,
            upper_diameter_m=far,
            lower_diameter_m=near,
            upper_bend_nm2=line.bend_at_nm2(LINE_SHOWN_M),
            lower_bend_nm2=line.match_bend_nm2,
            holds_n=0.0,
            thickness=units.diameter(near).text,
            bend="the line's tip",
            hold="",
        ),
    )
