"""Waters that an angler fishes."""

from pydantic import TypeAdapter

from nine_knots.core.trade.places import Place
from nine_knots.kept.envelope import Kind

PLACE = Kind("place", TypeAdapter(Place))
