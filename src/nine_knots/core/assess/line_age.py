"""When stuff is to be renewed for its age.

Nylon takes up water and is broken down by light, so that it loses strength over years and in the
sun; how much, nobody can say of a spool that lay in some drawer [M]. No figure is made of it: a
spool of some age is to be pulled, or renewed. Fluorocarbon and wire hardly change [M].
"""

from nine_knots.core.base.limits import Day
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.strand import Stock

FINE_M = 11.0 * THOU_M  # tippet stuff: of a fine strand more lies at its surface
FINE_YEARS, STOUT_YEARS = 3, 6  # after which a nylon is pulled before it is trusted [M]


def years_old(stock_item: Stock, today: Day) -> int | None:
    """Whole years since it was bought; None where that is not known or lies ahead."""
    day = stock_item.bought_on
    if day is None or day > today:
        return None
    return int(today[:4]) - int(day[:4]) - (today[5:] < day[5:])


def years_past_trust(stock_item: Stock, today: Day) -> int | None:
    """Its age in whole years where it is time to pull or renew it; else None."""
    years = years_old(stock_item, today)
    if years is None or stock_item.strand.substance.family != "nylon":
        return None
    return (
        years if years >= (FINE_YEARS if stock_item.finest_m <= FINE_M else STOUT_YEARS) else None
    )
