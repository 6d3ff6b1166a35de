"""What is known of anglers, read again only after something of theirs was written."""

from pymysql.cursors import DictCursor

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.quantity import System
from nine_knots.store.angler_tackle import read_angler
from nine_knots.store.anglers import write_count

MOST = 64  # anglers


class AnglerCache:
    """Anglers as they were last read, with the count of their writes that it was read at.

    Both are read in one transaction, so that no write falls between them; any number of processes
    may each know them, since it is the database that counts.
    """

    def __init__(self) -> None:
        self._kept: dict[str, tuple[int, Angler]] = {}

    def angler(self, cursor: DictCursor, angler_id: str, system: System) -> Angler:
        """The angler as ``read_angler`` reads one."""
        writes = write_count(cursor, angler_id)
        at, angler = self._kept.get(angler_id, (-1, Angler()))
        if at != writes:
            angler = read_angler(cursor, angler_id, system)
            if len(self._kept) >= MOST:
                self._kept.clear()
            self._kept[angler_id] = (writes, angler)
        return angler if angler.system == system else angler.model_copy(update={"system": system})
