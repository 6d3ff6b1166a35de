"""What was paid for a spool or a packet, as it is typed."""

from pydantic import Field

from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units, parse_length, parse_price
from nine_knots.core.domain.strand import MOST_IN_PACKET, MOST_LEFT_M, Price, Stock


class PaidForm(Form):
    """A price and for how much it was paid: empty for what is there now."""

    paid: Typed = Field(default="", examples=["6.50"])
    paid_for: Typed = Field(default="", description="how much of it; empty: what is left now")


def metres_paid(
    form: PaidForm, system: System, before: Stock | None, left_m: float, shown: Units
) -> float:
    """For how much was paid, as typed; where it is what was shown, as exactly as it was known."""
    typed = form.paid_for.strip()
    if before is not None and before.price and typed == shown.on_spool(before.price.amount).text:
        return before.price.amount
    with field("paid_for"):
        return parse_length(typed, system, most_m=MOST_LEFT_M) if typed else left_m


def leaders_paid(form: PaidForm, count: int) -> float:
    """For how many leaders was paid, as typed; for as many as there are where nothing is."""
    typed = form.paid_for.strip()
    if not typed:
        return float(count)
    with field("paid_for"):
        if not (typed.isdecimal() and 1 <= int(typed) <= MOST_IN_PACKET):
            raise Unreadable(f"“{typed}” is not a number of leaders.", hint="Write 1 to 500.")
    return float(typed)


def price_in(paid: str, amount: float) -> Price | None:
    """The price for so much; None where none was typed."""
    if not paid.strip():
        return None
    if amount <= 0.0:
        with field("paid_for"):
            raise OutOfRange("The spool is empty.", hint="Enter the amount the price was for.")
    with field("paid"):
        return Price(paid=parse_price(paid), amount=amount)
