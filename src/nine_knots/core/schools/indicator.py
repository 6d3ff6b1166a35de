"""What rigs under an indicator share: where it is set, the usual shot, a bought taper above."""

from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.domain.in_water import fly_body, indicator_float
from nine_knots.core.domain.leader import Attachment
from nine_knots.core.domain.leader.attachments import FLOATS_M, SHOT_G
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.schools.flies import FRESH_10_C
from nine_knots.core.schools.school import Plan, PlannedTaper, SchoolBrief, SchoolNote

# Over the depth: the rule of thumb in fast water, and as deep as it is long in slow, where the
# line hangs down [P].
FAST, SLOW = (1.0, 1.5), (0.3, 1.05)
FLOAT_M, BIG_FLOAT_M = 0.016, 0.025
LOADED = 0.6  # of what takes it under, the most that it should carry [G]
ABOVE_KNOT_M = 0.02  # of a shot that a knot or a swivel stops
SHOT_IN_WATER = 0.9  # of its weight in air
SLOW_M_S, FAST_M_S, DEEP_M = 0.5, 0.9, 0.9


def setting_over_depth(brief: SchoolBrief) -> float:
    """How many times the depth an indicator is set at, by the pace."""
    pace = brief.situation.water.pace_m_s
    share = min(1.0, max(0.0, (pace - SLOW[0]) / (FAST[0] - SLOW[0])))
    return SLOW[1] + share * (FAST[1] - SLOW[1])


def indicator_at(
    brief: SchoolBrief, least_m: float, above: tuple[Fly, ...], shot_kg: float = 0.0
) -> Attachment:
    """The indicator, by the rule of thumb for depth and pace: so large, or the smallest made that
    carries its flies and shot with something to spare."""
    flies = (*above, brief.situation.fly)
    weight_n = sum(max(0.0, fly_body(fly, FRESH_10_C).weight_n) for fly in flies)
    weight_n += SHOT_IN_WATER * shot_kg * GRAVITY_M_S2
    above_m = max(0.4, setting_over_depth(brief) * brief.situation.water.depth_m)
    for across_m in FLOATS_M:
        if across_m >= least_m:
            found = Attachment(kind="indicator", above_end_m=above_m, diameter_m=across_m)
            if LOADED * indicator_float(found, FRESH_10_C.rho).carries_n >= weight_n:
                break
    return found


def setting_notes(brief: SchoolBrief) -> tuple[SchoolNote, ...]:
    """Where the indicator is set, and why there."""
    said = (
        f"Indicator at {setting_over_depth(brief):.2g} times the depth, by the pace (1.5 times is "
        "the rule for fast water); the Water stage finds the setting for this weight."
    )
    return (SchoolNote(text=said),)


def usual_shot(brief: SchoolBrief, above_end_m: float, heavy: bool = False) -> Attachment:
    """The shot by the water: a small one in a slow pool, large ones in a deep fast run [P]."""
    water = brief.situation.water
    fast = water.pace_m_s > FAST_M_S
    name = (
        "no. 6" if water.pace_m_s < SLOW_M_S else "AAA" if fast and water.depth_m > DEEP_M else "BB"
    )
    if heavy and name == "no. 6":
        name = "BB"
    return Attachment(
        kind="shot",
        above_end_m=above_end_m,
        mass_kg=1e-3 * SHOT_G[name],
        metal="tin" if water.rules.lead_banned else "lead",
    )


def below_bought(taper: PlannedTaper, made: Plan) -> Plan:
    """The rig of a tied plan below a bought taper, which stands for all pieces to its ring."""
    gone = min((*made.rings, *made.swivels)) - 1
    return made.renumbered(lambda joint: joint - gone, taper=taper, pieces=made.pieces[gone + 1 :])
