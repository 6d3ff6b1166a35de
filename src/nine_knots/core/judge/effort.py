"""Effort: how fast a leader must be launched just to open, against a plain one on the same line."""

from dataclasses import dataclass
from functools import lru_cache

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.measure import Standing
from nine_knots.core.base.units import Units
from nine_knots.core.judge.turnover import COLLAPSED
from nine_knots.core.models.cast.casting import cast_at
from nine_knots.core.models.cast.mono import mass_ratio
from nine_knots.core.models.cast.rig import FAST, rig_of
from nine_knots.core.models.cast.stroke import FASTEST_M_S, SLOWEST_M_S, Stroke
from nine_knots.core.models.cast.wind import air_of
from nine_knots.core.physics.air import Air
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.leader import Joint, Leader, LevelPiece
from nine_knots.core.trade.strand import Strand
from nine_knots.core.trade.tackle import Fly, FlyLine, line_profile

LESS, HARD, FAILS = 0.85, 1.3, 1.7  # of the plain leader's speed [G]
STEP = 1.12  # from one speed to the next, before halving
HALVINGS = 2

AIMS = (4.0, 8.0, 12.0, 0.0, 16.0, 20.0, -4.0, 24.0)  # degrees, likely ones first

# A plain nine-foot leader, 60 : 20 : 20, with such a fly as the line is made for, up to a weight:
# the measure of "easy" here [G].
PLAIN_FLIES = (
    (5, Fly(title="Plain dry", kind="dry", hook=14)),
    (7, Fly(title="Plain wet", kind="wet", hook=8)),
    (14, Fly(title="Plain streamer", kind="streamer", hook=4)),
)
PLAIN_LEADER = Leader(
    pieces=(
        LevelPiece(
            role="butt", strand=Strand(material="nylon-stiff", diameter_m=0.46e-3), length_m=1.65
        ),
        LevelPiece(
            role="taper", strand=Strand(material="nylon-medium", diameter_m=0.28e-3), length_m=0.55
        ),
        LevelPiece(
            role="tippet", strand=Strand(material="nylon-soft", diameter_m=0.15e-3), length_m=0.55
        ),
    ),
    joints=(
        Joint(kind="loops", knot="perfection-loop"),
        Joint(knot="blood"),
        Joint(knot="blood"),
        Joint(knot="improved-clinch"),
    ),
)


@dataclass(frozen=True, slots=True)
class Effort:
    """Launch speed over the plain leader's; ``ratio`` is None where no stroke opens it."""

    ratio: float | None
    standing: Standing
    figure: str
    why: str


def effort_of(design: Design, stroke: Stroke, units: Units) -> Effort:
    """How hard this leader must be thrown in this wind, against a plain one in still air.

    Raises CannotCompute for mono rigs, which are not thrown by a line.
    """
    if mass_ratio(design.leader, design.situation.fly) is not None:
        raise CannotCompute(
            "Mono thrown by its fly has no line's effort to compare.",
            where="design.leader",
            mend="The turnover cord says whether the fly can pull it.",
        )
    day = design.situation
    plain = _plain_m_s(day.line, stroke)
    needs = speed_needed(design.leader, day.line, day.fly, stroke, air_of(day.wind))
    if needs is None or plain is None:
        most = units.about_speed(FASTEST_M_S)
        return Effort(None, "too much", "no stroke opens it", f"Not at {most} either.")
    ratio = needs / plain
    at = (
        f"{units.about_speed(needs)} just opens it; a plain 9 ft leader on this line, in still air,"
    )
    why = f"{at} takes {units.about_speed(plain)}."
    if ratio > FAILS:
        return Effort(ratio, "too much", f"{ratio:.1f} times a plain leader: fails", why)
    if ratio > HARD:
        return Effort(ratio, "too much", f"{ratio:.1f} times a plain leader: hard work", why)
    words = "less than a plain leader" if ratio < LESS else "as a plain leader"
    return Effort(ratio, "right", words, why)


def speed_needed(leader: Leader, line: FlyLine, fly: Fly, stroke: Stroke, air: Air) -> float | None:
    """Launch speed in m/s at which the leader just becomes 70 % straight; None where none does.

    At whatever aim serves best, be it high above the water: in a wind that is another aim than
    the one that lays a leader down well. From the stroke's speed down while it opens, or up while
    it does not, then by halving; known to about 3 %.
    """
    rig = rig_of(leader, line_profile(line), fly, stroke.line_out_m, FAST)
    aims = list(AIMS)

    def opens(speed_m_s: float) -> bool:
        changed = stroke.model_copy(update={"speed_m_s": speed_m_s})
        for aim in aims:
            if cast_at(rig, changed, air, aim).straightness >= COLLAPSED:
                aims.sort(key=lambda one: abs(one - aim))  # the next speed wants a like aim
                return True
        return False

    high = stroke.speed_m_s
    while not opens(high):
        high *= STEP
        if high > FASTEST_M_S:
            return None
    low = high / STEP
    while low > SLOWEST_M_S and opens(low):
        high, low = low, low / STEP
    for _ in range(HALVINGS):
        middle = (low * high) ** 0.5
        low, high = (low, middle) if opens(middle) else (middle, high)
    return high


@lru_cache(maxsize=64)
def _plain_m_s(line: FlyLine, stroke: Stroke) -> float | None:
    fly = next(fly for most, fly in PLAIN_FLIES if line.weight <= most)
    return speed_needed(PLAIN_LEADER, line, fly, stroke, Air())
