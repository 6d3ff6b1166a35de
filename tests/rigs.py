"""Shelves by label, days and whole readings: rigs proposed and judged as an angler would see it."""

from dataclasses import dataclass

from nine_knots.core.assess.verdict import assessment_inputs, verdict_of
from nine_knots.core.base.score import Score
from nine_knots.core.base.units.factors import FOOT_M, INCH_M, POUND_N, THOU_M
from nine_knots.core.casting.stroke import SPEEDS, Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.label_sizes import labelled_thickness_m
from nine_knots.core.domain.leader import Connection, Leader
from nine_knots.core.domain.leader.connection_advice import advise
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Packet, Spool, Stock, Strand, TaperedStrand, TaperProfile
from nine_knots.core.propose.fit_to_shelf import Proposal
from nine_knots.core.propose.propose import propose
from nine_knots.core.schools.school import SchoolParameters
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import WaterQuestion
from nine_knots.words.cast import CastReading, cast_of
from nine_knots.words.connection_advice import fault_reading
from nine_knots.words.scores.reading import score_readings
from nine_knots.words.techniques import technique_words_of
from tests.makers import INCHES


def labelled(pounds: float, material: MaterialKey = "nylon-medium", **more) -> Spool:
    """A spool of so many pounds, its diameter as shops sell it."""
    return _spool(f"{pounds:g} lb {material}", material, None, pounds, **more)


def gauged(thou: float, material: MaterialKey = "nylon-medium", **more) -> Spool:
    """A spool of so many thousandths of an inch."""
    return _spool(f".{round(10 * thou):04d} {material}", material, thou, None, **more)


def _spool(title, material, thou, pounds, left_m=40.0, colour="plain"):
    strength = pounds * POUND_N if pounds else None
    across = thou * THOU_M if thou else labelled_thickness_m(strength, material)
    spool_id = title.replace(" ", "-").replace(".", "") + ("-s" if colour == "sighter" else "")
    strand = Strand(
        material=material,
        diameter_m=across,
        strength_n=strength,
        colour=colour,
        spool_id=spool_id,
    )
    return Spool(spool_id=spool_id, title=title, strand=strand, remaining_m=left_m)


def tippets(*sizes: int, material: MaterialKey = "nylon-soft") -> tuple[Spool, ...]:
    """Tippets by X."""
    return tuple(gauged(11 - x, material) for x in sizes)


def bought(
    feet: float, x: float, butt: float = 20.0, material: MaterialKey = "nylon-medium"
) -> Packet:
    """A packet as sold, 60 : 20 : 20."""
    whole = feet * FOOT_M
    profile = TaperProfile(
        butt_length_m=0.6 * whole,
        butt_diameter_m=butt * THOU_M,
        taper_length_m=0.2 * whole,
        tip_length_m=0.2 * whole,
        tip_diameter_m=(11 - x) * THOU_M,
    )
    spool_id = f"bought-{feet:g}-{x:g}x".replace(".", "")
    strand = TaperedStrand(material=material, profile=profile, spool_id=spool_id)
    return Packet(spool_id=spool_id, title=f"{feet:g} ft {x:g}X", strand=strand, count=5)


@dataclass
class Tied:
    """A school's proposal and everything said of it."""

    proposal: Proposal | None
    design: Design
    verdict: dict[str, Score]
    faults: tuple[str, ...]
    cast: CastReading | None = None

    @property
    def leader(self) -> Leader:
        return self.design.leader

    @property
    def feet(self) -> tuple[float, ...]:
        return tuple(piece.length_m / FOOT_M for piece in self.leader.pieces)

    @property
    def inches(self) -> tuple[float, ...]:
        return tuple(piece.length_m / INCH_M for piece in self.leader.pieces)

    @property
    def spools(self) -> tuple[str, ...]:
        return tuple(piece.strand.spool_id for piece in self.leader.pieces)

    @property
    def joints(self) -> tuple[Connection, ...]:
        return self.leader.joints


def tie(
    school: str,
    day: Situation,
    stock: tuple[Stock, ...],
    feet: float | None = None,
    tippet_m: float | None = None,
    flies=(),
) -> Tied:
    """What a school proposes, with its verdict and the faults of its knots."""
    asked = SchoolParameters(length_m=feet * FOOT_M if feet else None, tippet_m=tippet_m)
    proposal = propose(school, day, asked, stock, INCHES, flies)
    return judged(proposal.leader, day, proposal)


def judged(leader: Leader, day: Situation, proposal: Proposal | None = None) -> Tied:
    """A leader with its verdict and the faults of its knots."""
    design = Design(title="A rig", situation=day, leader=leader)
    verdict = score_readings(verdict_of(design, assessment_inputs(design)), INCHES)
    faults = tuple(
        fault_reading(fault).what
        for number in range(len(leader.joints))
        for fault in advise(leader, number, day.line, day.fly).faults
    )
    return Tied(proposal, design, {measure.key: measure for measure in verdict}, faults)


def thrown(tied: Tied, stroke: str = "normal") -> CastReading:
    """Its cast with nine metres of line."""
    return cast_of(tied.design, Stroke(speed_m_s=SPEEDS[stroke]), INCHES)


def fished(tied: Tied, **ask):
    """Its water reading."""
    telling = technique_words_of(technique_of(tied.design))
    return telling.reading(tied.design, WaterQuestion(**ask), INCHES, False)
