"""What a judgement asks of the angler: what they own, how they cast and tie, how they measure."""

from nine_knots.core.assess.own_cast import UNKNOWN, OwnCast
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.builder import USUAL_BUILDER, Builder
from nine_knots.core.domain.leader.own_knots import USUAL_KNOTS, OwnKnots
from nine_knots.core.domain.strand import Stock, titles_of
from nine_knots.core.domain.tackle import Fly


class Angler(Frozen):
    """Spools and packets, flies, own cast, own hands and knots, and the system of units;
    ``retired`` has ids and names of spools that are off the shelf."""

    stock: tuple[Stock, ...] = ()
    retired: tuple[tuple[str, str], ...] = ()
    flies: tuple[Fly, ...] = ()
    cast: OwnCast = UNKNOWN
    tyer: Builder = USUAL_BUILDER
    ties: OwnKnots = USUAL_KNOTS
    system: System = "imperial"

    @property
    def units(self) -> Units:
        """How they read and write figures."""
        return Units(self.system)

    @property
    def titles(self) -> dict[str, str]:
        """Names of their spools by id, those off the shelf among them."""
        off = {key: f"{title} (off the shelf)" for key, title in self.retired}
        return off | titles_of(self.stock)
