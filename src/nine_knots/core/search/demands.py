"""What an angler asks of a leader to be found: demands that must be met, wishes that order the
rest."""

from typing import Literal, Self

from pydantic import Field, model_validator

from nine_knots.core.base.limits import LengthM
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation

Wish = Literal["easy to throw", "fishing well", "strong", "long and fine", "few knots"]
WISHES: tuple[Wish, ...] = ("easy to throw", "fishing well", "strong", "long and fine", "few knots")
Bought = Literal["cut", "whole", "none"]
MOST_WISHES = 3
MOST_KNOTS, MOST_FLIES = 12, 3


class Demands(Frozen):
    """The fish that it must hold, the most knots in it, how many flies it carries, its shortest and
    longest, what may be done with bought tapers; and the wishes, the first first.

    What is left open is as the day has it. That it opens with the stroke and fishes as the day asks
    is always demanded.
    """

    fish_kg: float | None = Field(default=None, ge=1e-4, le=500.0)
    most_knots: int | None = Field(default=None, ge=0, le=MOST_KNOTS)
    flies: int | None = Field(default=None, ge=1, le=MOST_FLIES)
    shortest_m: LengthM | None = None
    longest_m: LengthM | None = None
    bought: Bought = "cut"
    wishes: TupleOf[Wish] = Field(default=("easy to throw",), max_length=MOST_WISHES)

    @model_validator(mode="after")
    def _one_after_another(self) -> Self:
        if len(set(self.wishes)) < len(self.wishes):
            raise ValueError("each wish once: what comes first goes before what follows")
        low, high = self.shortest_m, self.longest_m
        if low is not None and high is not None and low > high:
            raise ValueError("the longest that it may be is shorter than the shortest")
        return self

    @property
    def asks_length(self) -> bool:
        """Whether a length was asked for, which then goes before what is usual."""
        return self.shortest_m is not None or self.longest_m is not None

    def day(self, day: Situation) -> Situation:
        """The day with the fish that is to be held."""
        if self.fish_kg is None:
            return day
        quarry = day.quarry.model_copy(update={"mass_kg": self.fish_kg})
        return day.model_copy(update={"quarry": quarry})


def knots_in(leader: Leader) -> int:
    """Knots tied within the leader: one where two pieces are tied together, two at rings, loops
    and flies in line; those at the line and at the point fly do not count."""
    inner = leader.joints[1:-1]
    return sum(1 if joint.kind == "knot" else 2 for joint in inner)
