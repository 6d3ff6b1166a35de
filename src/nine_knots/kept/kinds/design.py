"""A leader with the day that it is for."""

from pydantic import TypeAdapter

from nine_knots.core.trade.design import Design
from nine_knots.kept.envelope import Kind, as_it_was

DESIGN = Kind("leader", TypeAdapter(Design), (as_it_was, as_it_was))
