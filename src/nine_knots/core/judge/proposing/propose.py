"""From a school and a day to a leader made of spools on the shelf."""

from pydantic import ValidationError

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.judge.proposing.fit import Proposal, fit_knotless, fit_tied
from nine_knots.core.trade.schools import school_of
from nine_knots.core.trade.schools.school import Brief, SchoolParameters
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.strand import Stock
from nine_knots.core.trade.tackle import Fly, LineProfile, line_profile
from nine_knots.core.trade.tippet import advise_tippet

# A butt that is 1.6 times as stiff as the line's tip is .018 in medium or .017 in stiff nylon on
# a 5-weight [P]. Power and softness scale it; a thinner tippet wants a somewhat thinner butt [P].
BUTT_STEP = 1.6
POWER_FACTOR = 2.5
TIPPET_REFERENCE_M, TIPPET_EXPONENT = 7.5 * THOU_M, 0.35


def matched_butt_bend_nm2(line: LineProfile, tippet_m: float, power: float) -> float:
    """Bending stiffness in N·m² that a butt should have on this line.

    ``tippet_m`` in metres, ``power`` from -1 (soft) to +1 (driving).
    """
    by_tippet = (tippet_m / TIPPET_REFERENCE_M) ** TIPPET_EXPONENT
    return float(BUTT_STEP * line.tip_bend_nm2 * POWER_FACTOR**power * by_tippet)


def propose(
    key: str,
    situation: Situation,
    parameters: SchoolParameters,
    stock: tuple[Stock, ...],
    units: Units,
    flies: tuple[Fly, ...] = (),
) -> Proposal:
    """A leader by this school for this day from these spools.

    What the angler left open is chosen: the usual length, the tippet by the hook and the fish,
    the butt by the line's tip. Spools that are missing are named with what comes nearest.
    """
    school = school_of(key)
    reasons = []
    if parameters.tippet_m is not None:
        tippet_m = parameters.tippet_m
        reasons.append(f"Tippet {units.tippet(tippet_m).text}, as you asked.")
    elif school.tippet_m is not None:
        tippet_m = school.tippet_m(situation)
        reasons.append(f"Tippet {units.tippet(tippet_m).text} by the school's own rule.")
    else:
        advice = advise_tippet(situation)
        tippet_m = advice.diameter_m
        reasons.append(f"Tippet {units.tippet(tippet_m).text}, set by {advice.by}.")
    length_m = parameters.length_m or school.span(situation).usual_m
    line = line_profile(situation.line)
    brief = Brief(
        situation=situation,
        line=line,
        length_m=length_m,
        tippet_m=tippet_m,
        butt_bend_nm2=matched_butt_bend_nm2(line, tippet_m, parameters.power),
        flies=flies,
    )
    if school.says is not None:
        reasons += school.says(brief, units)
    try:
        plan = school.plan(brief)
    except ValidationError as error:
        span = school.span(situation)
        low, high = units.length(span.low_m).text, units.length(span.high_m).text
        raise CannotCompute(
            f"{school.title} cannot be tied {units.length(length_m).text} long to "
            f"{units.tippet(tippet_m).text} on this line.",
            where="length",
            mend=f"Ask for {low} to {high}, which it is made for here.",
        ) from error
    fit = fit_knotless if plan.knotless else fit_tied
    return fit(school, plan, brief, stock, units, tuple(reasons))
