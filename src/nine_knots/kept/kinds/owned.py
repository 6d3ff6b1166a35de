"""What lies on the shelf and in the bag."""

from pydantic import TypeAdapter

from nine_knots.core.trade.strand import Stock
from nine_knots.core.trade.tackle import Fly, FlyLine, Rod
from nine_knots.kept.envelope import Kind, as_it_was

STOCK: Kind[Stock] = Kind("spool", TypeAdapter(Stock), (as_it_was,) * 3)
ROD = Kind("rod", TypeAdapter(Rod))
LINE = Kind("line", TypeAdapter(FlyLine), (as_it_was, as_it_was))
FLY = Kind("fly", TypeAdapter(Fly), (as_it_was, as_it_was))
