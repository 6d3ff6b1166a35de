"""A planned day, a tied rig in the wallet, an event at the water."""

from pydantic import TypeAdapter

from nine_knots.core.trade.event import Event
from nine_knots.core.trade.plan import DayPlan
from nine_knots.core.trade.wallet import WalletRig
from nine_knots.kept.envelope import Kind

PLAN = Kind("plan", TypeAdapter(DayPlan))
WALLET_RIG = Kind("wallet rig", TypeAdapter(WalletRig))
EVENT = Kind("event", TypeAdapter(Event))
