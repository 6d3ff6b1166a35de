"""A bare start, for those who build by hand and eye: one piece of butt that suits the line."""

from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.leader import Leader, LevelSection
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Stock
from nine_knots.core.domain.tackle import line_profile
from nine_knots.core.domain.tippet import advise_tippet
from nine_knots.core.propose.fit_to_shelf import usual_joints
from nine_knots.core.propose.propose import matched_butt_bend_nm2
from nine_knots.core.propose.spool_index import spool_index_of
from nine_knots.core.propose.spools import Spools, choose_spools
from nine_knots.core.schools.school import STIFF, Plan, PlannedSection, matched_butt_m

BARE_M = 3.0 * FOOT_M


def bare_leader(situation: Situation, stock: tuple[Stock, ...], units: Units) -> Leader:
    """One piece of the owned spool whose stiffness comes nearest to the matched butt's.

    CannotCompute where the shelf has no spool to make it of.
    """
    tippet_m = advise_tippet(situation).diameter_m
    bend = matched_butt_bend_nm2(line_profile(situation.line), tippet_m, power=0.0)
    planned = PlannedSection(
        role="butt",
        length_m=BARE_M,
        diameter_m=matched_butt_m(bend, "nylon-stiff"),
        bend_nm2=bend,
        prefer=STIFF,
    )
    spool = choose_spools(Plan(pieces=(planned,)), Spools(spool_index_of(stock))).spools[0].spool
    piece = LevelSection(role="butt", strand=spool.strand, length_m=units.snap_length(BARE_M))
    return Leader(pieces=(piece,), joints=usual_joints([piece], situation))
