"""What an angler owns and is, as far as a judgement asks: read at once."""

from pymysql.cursors import DictCursor

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.quantity import System
from nine_knots.core.domain.strand import titles_of
from nine_knots.store.landings import read_own_cast
from nine_knots.store.stock import list_stock
from nine_knots.store.tackle import read_kit
from nine_knots.store.tying import read_ties, read_tyer


def read_angler(cursor: DictCursor, angler_id: str, system: System) -> Angler:
    """Shelf, flies, own cast, own hands and knots, to be told in a system of units."""
    return Angler(
        stock=list_stock(cursor, angler_id),
        retired=tuple(titles_of(list_stock(cursor, angler_id, retired=True)).items()),
        flies=read_kit(cursor, angler_id).flies,
        cast=read_own_cast(cursor, angler_id),
        tyer=read_tyer(cursor, angler_id),
        ties=read_ties(cursor, angler_id),
        system=system,
    )
