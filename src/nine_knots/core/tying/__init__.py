"""Tying: what to cut, in which order to work, what came out, how much the shelf gives."""

from nine_knots.core.tying.as_tied import as_tied
from nine_knots.core.tying.batch import Batch, BatchRow, batch_of
from nine_knots.core.tying.cutting import (
    USUAL_HAND,
    USUAL_TIER,
    CutRow,
    Tier,
    cut_length_m,
    knot_turns,
)
from nine_knots.core.tying.hand import Hand, hand_of, shown_handiness
from nine_knots.core.tying.spans import in_spans
from nine_knots.core.tying.steps import (
    Screen,
    Step,
    WorkOrder,
    cautions_for,
    joint_title,
    screens,
    work_order,
)

__all__ = [
    "USUAL_HAND",
    "USUAL_TIER",
    "Batch",
    "BatchRow",
    "CutRow",
    "Hand",
    "Screen",
    "Step",
    "Tier",
    "WorkOrder",
    "as_tied",
    "batch_of",
    "cautions_for",
    "cut_length_m",
    "hand_of",
    "in_spans",
    "joint_title",
    "knot_turns",
    "screens",
    "shown_handiness",
    "work_order",
]
