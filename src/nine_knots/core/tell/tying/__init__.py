"""Tying: what to cut, in which order to work, what came out, how much the shelf gives."""

from nine_knots.core.tell.tying.as_tied import as_tied
from nine_knots.core.tell.tying.batch import Batch, BatchRow, batch_of
from nine_knots.core.tell.tying.companion import Screen, screens
from nine_knots.core.tell.tying.cutting import CutRow, cut_length_m, knot_turns
from nine_knots.core.tell.tying.hand import Hand, hand_of, shown_handiness
from nine_knots.core.tell.tying.spans import in_spans
from nine_knots.core.tell.tying.steps import (
    Step,
    WorkOrder,
    cautions_for,
    joint_title,
    work_order,
)
from nine_knots.core.tell.tying.takes import Take, takes_of
from nine_knots.core.trade.tyer import USUAL_HAND, USUAL_TYER, Tyer

__all__ = [
    "USUAL_HAND",
    "USUAL_TYER",
    "Batch",
    "BatchRow",
    "CutRow",
    "Hand",
    "Screen",
    "Step",
    "Take",
    "Tyer",
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
    "takes_of",
    "work_order",
]
