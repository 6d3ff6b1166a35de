"""Something noted before is taken back: nothing is deleted."""

from nine_knots.core.trade.happenings.happening import Happening

TAKEN_BACK = Happening(
    key="taken-back", place=900, title="Taken back", said="taken back", details=("undoes",)
)
