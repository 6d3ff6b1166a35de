"""The rig wallet: what is tied and lies ready, where it lies, how worn it is."""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.limits import Day
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.design import Design

RigWear = Literal["new", "fished", "worn"]


class WalletRig(Frozen):
    """A leader that is tied, with the day it was tied for."""

    design: Design
    lies: str = Field(default="", max_length=80, description="wallet, sleeve 3")
    state: RigWear = "new"
    tied_on: Day
