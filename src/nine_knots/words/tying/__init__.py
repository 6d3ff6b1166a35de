"""Tying: what to cut, in which order to work, what came out, how much the shelf gives."""

from nine_knots.core.domain.builder import USUAL_BUILDER, USUAL_HAND, Builder
from nine_knots.words.tying.as_tied import as_tied
from nine_knots.words.tying.batch import Batch, BatchRow, batch_of
from nine_knots.words.tying.companion import Screen, screens
from nine_knots.words.tying.cutting import CutRow, cut_length_m, knot_turns
from nine_knots.words.tying.hand import Handiness, hand_of, shown_handiness
from nine_knots.words.tying.spans import in_spans
from nine_knots.words.tying.steps import (
    Step,
    WorkOrder,
    cautions_for,
    joint_title,
    work_order,
)
from nine_knots.words.tying.takes import SpoolTake, takes_of

__all__ = [
    "USUAL_BUILDER",
    "USUAL_HAND",
    "Batch",
    "BatchRow",
    "Builder",
    "CutRow",
    "Handiness",
    "Screen",
    "SpoolTake",
    "Step",
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
