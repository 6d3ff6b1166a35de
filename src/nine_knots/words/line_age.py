"""When stuff is to be renewed for its age, in words."""

from nine_knots.core.assess.line_age import years_past_trust
from nine_knots.core.base.limits import Day
from nine_knots.core.base.prose import count_words
from nine_knots.core.domain.strand import Stock


def age_words(stock_item: Stock, today: Day) -> str:
    """``four years old: nylon …`` where it is time to pull or renew it; else nothing."""
    years = years_past_trust(stock_item, today)
    if years is None:
        return ""
    return (
        f"{count_words(years, 'year')} old; nylon weakens with age and sun: pull-test it or "
        "renew it"
    )
