"""How the line is sent on its way: speed, line out, loop, and where the rod stops."""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.values import Frozen

ROD_TIP_M = 2.4
LOWER_LEG_M = 0.3
SpeedWord = Literal["easy", "normal", "a fifth harder", "hard", "double haul"]
# m/s of the upper leg [M]; a double haul gives a hard stroke about a third more [M]
SPEEDS: dict[SpeedWord, float] = {
    "easy": 11.0,
    "normal": 15.0,
    "a fifth harder": 18.0,
    "hard": 20.0,
    "double haul": 26.5,
}
SLOWEST_M_S, FASTEST_M_S = 3.0, 45.0
# A stop and drop: the rod stops higher, and its tip goes down by three quarters of its height while
# the leader unrolls [G]. In the model the high stop lays the slack; the drop alone adds none.
DROP_M_S, DROP_AFTER_S, DROP_FOR_S = 4.5, 0.3, 0.4
DROP_HIGHER_DEG = 4.0
NOT_MODELLED = ("roll", "water-loaded")


class Stroke(Frozen):
    """An overhead cast as it leaves the rod.

    Roll and water-loaded casts are named so that they can be asked for, and are refused.
    """

    kind: Literal["overhead", "roll", "water-loaded"] = "overhead"
    speed_m_s: float = Field(default=SPEEDS["normal"], ge=SLOWEST_M_S, le=FASTEST_M_S)
    line_out_m: float = Field(default=9.0, ge=0.0, le=25.0, description="length beyond the rod tip")
    drop: bool = Field(
        default=False, description="stop and drop: stopped high, lowered while the leader unrolls"
    )
    loop_m: float = Field(default=0.6, ge=0.2, le=2.0, description="from leg to leg")
