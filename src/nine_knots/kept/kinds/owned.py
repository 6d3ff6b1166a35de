"""What lies on the shelf and in the bag."""

from pydantic import TypeAdapter

from nine_knots.core.trade.strand import Stock
from nine_knots.core.trade.tackle import Fly, FlyLine, Rod
from nine_knots.kept.envelope import Kind

STOCK: Kind[Stock] = Kind("spool", TypeAdapter(Stock))
ROD = Kind("rod", TypeAdapter(Rod))
LINE = Kind("line", TypeAdapter(FlyLine))
FLY = Kind("fly", TypeAdapter(Fly))
