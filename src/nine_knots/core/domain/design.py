"""A design: a leader with the day it is for, as it is drafted, saved and exchanged."""

from pydantic import Field

from nine_knots.core.base.limits import Title
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation


class Design(Frozen):
    """A named leader, the situation it was made for, and the angler's notes."""

    title: Title
    notes: str = Field(default="", max_length=4000)
    situation: Situation
    leader: Leader
