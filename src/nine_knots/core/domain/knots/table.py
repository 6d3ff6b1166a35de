"""The table of knots: where each belongs, its limits, what it keeps, turns, line, tags.

Strength kept is typical for well-tied knots [M; spread matters as much as the mean]; turns are
common practice [P]. Own tests beat tables.
"""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.materials import MaterialKey

KnotKey = Literal[
    "perfection-loop",
    "surgeons-loop",
    "nail",
    "blood",
    "double-surgeons",
    "triple-surgeons",
    "double-uni",
    "albright",
    "bimini",
    "uni",
    "clinch",
    "improved-clinch",
    "palomar",
    "non-slip-loop",
    "haywire",
    "two-overhand-loop",
]
HEAVY_M = 22.5 * THOU_M  # 4 turns from here up [P]
STOUT_M = 16.5 * THOU_M  # 5 turns from here up; "heavy mono" of which some knots are shy [P]

Place = Literal["line", "loop", "between", "eye"]


class Knot(Frozen):
    """One knot as data.

    ``efficiency`` is the mean share of the strand's strength that it keeps, ``spread`` its
    coefficient of variation, ``size_step_loss`` what is lost for each unit of diameter ratio
    beyond like sizes, ``tag_allowance_m`` the line held and trimmed in one piece besides the
    wraps, ``usual_s`` how long it takes at the table, wetted, drawn up and trimmed [M ±50 %].
    ``by_heart`` marks those every builder ties, ``loops`` those that end in an open loop.
    ``mono`` says that it holds in nylon and fluorocarbon, ``wires`` in which wires it does;
    ``most_m`` and ``most_step_m`` are the thickest strand and the greatest step of diameter it is
    tied in, ``like_sizes`` marks what joins like ones only, ``joins_materials`` what holds
    between nylon and fluorocarbon. ``dropper`` says which tag may carry a fly. ``one_more_below``
    is a turn more for the finer strand unless it is heavy; ``counts_passes`` marks knots whose
    turns are passes, ``both_wind`` those both strands wind.
    """

    key: KnotKey
    title: str
    place: Place
    efficiency: float = Field(gt=0, le=1)
    spread: float = Field(gt=0, lt=0.5)
    size_step_loss: float = 0.0
    tag_allowance_m: float = Field(gt=0, lt=0.6)
    usual_s: float = Field(gt=0, lt=1800)
    by_heart: bool = False
    loops: bool = False
    turns_fine: int
    turns_heavy: int
    one_more_below: bool = False
    counts_passes: bool = False
    both_wind: bool = True
    mono: bool = True
    wires: tuple[MaterialKey, ...] = ()
    most_m: float | None = None
    most_step_m: float | None = None
    like_sizes: bool = False
    joins_materials: bool = True
    dropper: str = ""
    tags: str
    note: str


_TABLE = (
    Knot(
        key="perfection-loop",
        title="perfection loop",
        place="loop",
        efficiency=0.80,
        spread=0.06,
        tag_allowance_m=0.10,
        usual_s=60.0,
        by_heart=True,
        loops=True,
        turns_fine=1,
        turns_heavy=1,
        tags="The tag leaves square to the side; trim it close.",
        note="Slim, and stands in line with the leader.",
    ),
    Knot(
        key="surgeons-loop",
        title="surgeon's loop",
        place="loop",
        efficiency=0.90,
        spread=0.05,
        tag_allowance_m=0.12,
        usual_s=30.0,
        loops=True,
        turns_fine=3,
        turns_heavy=2,
        counts_passes=True,
        tags="The tag lies along the loop's leg; trim it to a hair.",
        note="Stronger than the perfection loop, and bulkier.",
    ),
    Knot(
        key="nail",
        title="nail knot",
        place="line",
        efficiency=0.87,
        spread=0.05,
        tag_allowance_m=0.08,
        usual_s=150.0,
        by_heart=True,
        turns_fine=7,
        turns_heavy=5,
        tags="Tag and standing part leave at opposite ends.",
        note="Semi-permanent; slim on a bare line tip.",
    ),
    Knot(
        key="blood",
        title="blood knot",
        place="between",
        efficiency=0.86,
        spread=0.06,
        size_step_loss=0.25,
        tag_allowance_m=0.065,
        usual_s=90.0,
        by_heart=True,
        turns_fine=6,
        turns_heavy=4,
        one_more_below=True,
        like_sizes=True,
        most_step_m=3.0 * THOU_M,
        dropper="either tag, which stands off square",
        tags="Tags leave in the middle, on opposite sides, or it was wound wrong: retie.",
        note="Slim and straight; for like sizes.",
    ),
    Knot(
        key="double-surgeons",
        title="double surgeon's",
        place="between",
        efficiency=0.90,
        spread=0.05,
        size_step_loss=0.06,
        tag_allowance_m=0.065,
        usual_s=45.0,
        by_heart=True,
        turns_fine=2,
        turns_heavy=2,
        counts_passes=True,
        wires=("wire-soft",),
        dropper="the tag that points to the fly",
        tags="Both tags leave along their own strand; the one pointing to the fly is the end "
        "of the upper piece.",
        note="Takes unlike sizes; leaves a bend in thick material.",
    ),
    Knot(
        key="triple-surgeons",
        title="triple surgeon's",
        place="between",
        efficiency=0.91,
        spread=0.05,
        size_step_loss=0.06,
        tag_allowance_m=0.075,
        usual_s=55.0,
        by_heart=True,
        turns_fine=3,
        turns_heavy=3,
        counts_passes=True,
        dropper="the tag that points to the fly",
        tags="Both tags leave along their own strand; the one pointing to the fly, the end of "
        "the upper piece, can carry a dropper.",
        note="For fluorocarbon and for dropper tags.",
    ),
    Knot(
        key="double-uni",
        title="double uni",
        place="between",
        efficiency=0.88,
        spread=0.05,
        size_step_loss=0.10,
        tag_allowance_m=0.09,
        usual_s=120.0,
        by_heart=True,
        turns_fine=6,
        turns_heavy=3,
        most_step_m=8.0 * THOU_M,
        tags="Each tag leaves at the outer end of its own half.",
        note="Good with fluorocarbon; slower to tie.",
    ),
    Knot(
        key="albright",
        title="albright",
        place="between",
        efficiency=0.86,
        spread=0.06,
        tag_allowance_m=0.09,
        usual_s=120.0,
        turns_fine=12,
        turns_heavy=10,
        both_wind=False,
        joins_materials=False,
        wires=("wire-soft",),
        tags="The tag leaves beside the doubled end, the same way it went in.",
        note="For very unlike diameters.",
    ),
    Knot(
        key="bimini",
        title="bimini twist",
        place="loop",
        efficiency=0.98,
        spread=0.03,
        tag_allowance_m=0.50,
        usual_s=240.0,
        loops=True,
        turns_fine=20,
        turns_heavy=20,
        most_m=28.0 * THOU_M,
        tags="The tag leaves at the foot of the twist, under half hitches.",
        note="Near full strength; uses much line.",
    ),
    Knot(
        key="uni",
        title="uni knot",
        place="eye",
        efficiency=0.90,
        spread=0.05,
        tag_allowance_m=0.07,
        usual_s=50.0,
        turns_fine=6,
        turns_heavy=4,
        tags="The tag leaves beside the standing part.",
        note="Good with fluorocarbon on rings and swivels.",
    ),
    Knot(
        key="clinch",
        title="clinch",
        place="eye",
        efficiency=0.80,
        spread=0.07,
        tag_allowance_m=0.05,
        usual_s=30.0,
        turns_fine=7,
        turns_heavy=4,
        most_m=STOUT_M,
        wires=("wire-soft",),
        tags="The tag leaves beside the eye.",
        note="Quick in fine tippet; not in heavy mono.",
    ),
    Knot(
        key="improved-clinch",
        title="improved clinch",
        place="eye",
        efficiency=0.90,
        spread=0.05,
        tag_allowance_m=0.05,
        usual_s=40.0,
        by_heart=True,
        turns_fine=6,
        turns_heavy=4,
        most_m=STOUT_M,
        wires=("wire-soft",),
        tags="The tag leaves through its own loop, beside the barrel.",
        note="The usual fly knot; not in heavy mono.",
    ),
    Knot(
        key="palomar",
        title="palomar",
        place="eye",
        efficiency=0.94,
        spread=0.04,
        tag_allowance_m=0.12,
        usual_s=40.0,
        turns_fine=1,
        turns_heavy=1,
        tags="The tag leaves beside the standing part, above the eye.",
        note="Strong; the fly must pass through the loop.",
    ),
    Knot(
        key="non-slip-loop",
        title="non-slip loop",
        place="eye",
        efficiency=0.90,
        spread=0.05,
        tag_allowance_m=0.08,
        usual_s=60.0,
        by_heart=True,
        loops=True,
        turns_fine=7,
        turns_heavy=3,
        wires=("wire-soft",),
        tags="The tag leaves beside the loop, in line with it.",
        note="The fly swings free on stiff tippet.",
    ),
    Knot(
        key="two-overhand-loop",
        title="two-overhand loop",
        place="eye",
        efficiency=0.60,
        spread=0.09,
        tag_allowance_m=0.08,
        usual_s=40.0,
        loops=True,
        turns_fine=1,
        turns_heavy=1,
        wires=("wire-soft",),
        tags="The tag leaves beside the second overhand; it may be left a little long.",
        note="Quick to tie in stout mono, and the fly swings; it keeps little, so for bite pieces.",
    ),
    Knot(
        key="haywire",
        title="haywire twist",
        place="eye",
        efficiency=0.95,
        spread=0.04,
        tag_allowance_m=0.10,
        usual_s=120.0,
        by_heart=True,
        turns_fine=8,
        turns_heavy=8,
        wires=("wire-single",),
        mono=False,
        tags="The tag is bent off, never cut, so that no sharp end stands.",
        note="Single-strand wire only; bend the tag off so that no sharp end is left.",
    ),
)

KNOTS: dict[str, Knot] = {knot.key: knot for knot in _TABLE}
