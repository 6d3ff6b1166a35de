"""Lower rigs that hang on the ring of the demo's sedge leader: for riffle, hole and flat."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import Delete, Edit, SetLength
from nine_knots.core.domain.leader.lower_rig import LowerRig, lower_rig_of
from nine_knots.core.domain.leader.rig_edits import RemoveDropper
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.strand import Stock
from nine_knots.core.domain.tackle import Fly
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.tackle import FLIES

WHOLE = "Sedge and olive"


def demo_lower_rigs(stock: tuple[Stock, ...]) -> tuple[LowerRig, ...]:
    """Three of them, by changes to the one that the demo's leader carries."""
    whole = next(rig for rig in demo_rigs(stock) if rig.title == WHOLE)
    last, fly = len(whole.leader.pieces) - 1, whole.situation.fly
    bare: tuple[Edit, ...] = (RemoveDropper(joint=last),)
    hole = (*bare, Delete(piece=last), SetLength(piece=last - 1, length="5 ft 6 in"))
    dry = (*bare, Delete(piece=last), SetLength(piece=last - 1, length="3 ft"))

    def made(edits: tuple[Edit, ...], tied: Fly) -> Leader:
        bench, leader = Workbench(stock=stock, fly=tied, units=Units("imperial")), whole.leader
        for edit in edits:
            leader = apply_edit(leader, edit, bench)
        return leader

    slate, sedge = FLIES["slate-point"], FLIES["skarn-sedge"]
    return (
        lower_rig_of("riffle, sedge and olive", whole.leader, fly),
        lower_rig_of("hole, slate point", made(hole, slate), slate),
        lower_rig_of("dry alone", made(dry, sedge), sedge),
    )
