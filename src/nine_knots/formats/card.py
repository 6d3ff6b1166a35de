"""A tying card: what it is made of, and the papers it comes on."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.domain.design import Design
from nine_knots.words.depth_table import DepthTableReading
from nine_knots.words.evaluation import Evaluation

Paper = Literal["a6", "a4", "sheet", "labels", "3x5", "letter", "letter-sheet", "letter-labels"]


@dataclass(frozen=True, slots=True)
class Card:
    """One leader to print: the design, what there is to read of it, its depth table, the chain
    above it and its code to share if asked."""

    design: Design
    evaluation: Evaluation
    table: DepthTableReading | None = None
    chain: bool = False
    code: bool = False
