"""Small values to test with: a shelf, a day, a leader; all invented."""

from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Connection, Leader, LevelSection, TaperedSection
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.situation import Situation, TargetFish, Water, Wind
from nine_knots.core.domain.strand import Packet, Spool, Strand, TaperedStrand, TaperProfile
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.core.mechanics.tree import SEGMENT_M, Tree, TreeBuilder, TreeSegmentGroup

INCHES = Units("imperial")
METRIC = Units("metric")
DRY = Fly(title="Test dry 14", kind="dry", hook=14, bulk="bushy")
FIVE = FlyLine(title="5-weight", weight=5)


def strand(thou: float, material: MaterialKey = "nylon-stiff", **more) -> Strand:
    return Strand(material=material, diameter_m=thou * THOU_M, **more)


def level(thou: float, feet: float, role: str = "taper", material: MaterialKey = "nylon-stiff"):
    return LevelSection(role=role, strand=strand(thou, material), length_m=feet * FOOT_M)


PROFILE = TaperProfile(
    butt_length_m=1.0,
    butt_diameter_m=20 * THOU_M,
    taper_length_m=1.0,
    tip_length_m=0.7,
    tip_diameter_m=8 * THOU_M,
)


def knotless(cut_butt_m: float = 0.0, cut_tip_m: float = 0.0, **more) -> TaperedSection:
    made = TaperedStrand(material="nylon-medium", profile=PROFILE, **more)
    return TaperedSection(role="butt", strand=made, cut_butt_m=cut_butt_m, cut_tip_m=cut_tip_m)


def tied(*pieces) -> Leader:
    """A leader of these pieces with blood knots between, looped on, the fly clinched."""
    between = [Connection(knot="blood")] * (len(pieces) - 1)
    loop, fly = Connection(kind="loops", knot="perfection-loop"), Connection(knot="improved-clinch")
    return Leader(pieces=pieces, joints=(loop, *between, fly))


def spool(thou: float, material: MaterialKey = "nylon-stiff", left_m: float = 30.0) -> Spool:
    spool_id = f"{material}-{int(thou * 10)}"
    made = strand(thou, material, spool_id=spool_id)
    return Spool(spool_id=spool_id, title=spool_id, strand=made, remaining_m=left_m)


def packet(count: int = 2) -> Packet:
    made = TaperedStrand(material="nylon-medium", profile=PROFILE, spool_id="taper-a")
    return Packet(spool_id="taper-a", title="Taper A", strand=made, count=count)


SHELF = (
    *(spool(t) for t in (26, 24, 22, 20, 18, 17, 16, 15, 13.5, 12, 10.5, 9)),
    *(spool(t, "nylon-soft") for t in (11, 10, 9, 8, 7, 6, 5, 4, 3)),
    *(spool(t, "fluorocarbon") for t in (17, 15, 13, 12, 11, 10, 9, 8, 7, 6, 5)),
    spool(13, "wire-single"),
    packet(),
)


def day(**parts) -> Situation:
    usual = {
        "water": Water(),
        "wind": Wind(),
        "quarry": TargetFish(),
        "fly": DRY,
        "rod": Rod(title="9 ft 5-weight", length_m=2.74, weight=5),
        "line": FIVE,
        "wish": "drift on top",
    }
    return Situation(**{**usual, **parts})


PLAIN = tied(level(18, 4, "butt"), level(15, 2), level(12, 1), level(7, 2, "tippet", "nylon-soft"))


def design(leader: Leader = PLAIN, **parts) -> Design:
    return Design(title="Test leader", situation=day(**parts), leader=leader)


def workbench(stock=SHELF, units: Units = INCHES) -> Workbench:
    return Workbench(stock=stock, fly=DRY, units=units)


def laid(
    stretches: tuple[TreeSegmentGroup, ...], rho: float, segment_m: float = SEGMENT_M
) -> TreeBuilder:
    """Stretches laid one below another in water."""
    builder, node = TreeBuilder(rho, segment_m, fewest=4), 0
    for stretch in stretches:
        node = builder.lay(stretch, node)
    return builder


def line_of(
    stretches: tuple[TreeSegmentGroup, ...], rho: float, segment_m: float = SEGMENT_M
) -> Tree:
    """The same as a tree."""
    return laid(stretches, rho, segment_m).tree()
