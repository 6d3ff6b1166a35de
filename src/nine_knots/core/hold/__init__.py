"""How much a leader holds, what breaks first, what the day asks."""

from nine_knots.core.hold.elements import Element, Hold, hold_of, hold_of_dropper
from nine_knots.core.hold.loss import place_of_break, pulls_of, what_is_left, what_is_lost
from nine_knots.core.hold.need import PULL_OF_WEIGHT, Need, need_of, strike_peak_n
from nine_knots.core.hold.weakest_link import first_break, weibull_shape

__all__ = [
    "PULL_OF_WEIGHT",
    "Element",
    "Hold",
    "Need",
    "first_break",
    "hold_of",
    "hold_of_dropper",
    "need_of",
    "place_of_break",
    "pulls_of",
    "strike_peak_n",
    "weibull_shape",
    "what_is_left",
    "what_is_lost",
]
