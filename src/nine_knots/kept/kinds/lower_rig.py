"""What hangs below a ring or swivel, kept by name."""

from pydantic import TypeAdapter

from nine_knots.core.trade.leader.lower_rig import LowerRig
from nine_knots.kept.envelope import Kind, as_it_was

LOWER_RIG = Kind("lower rig", TypeAdapter(LowerRig), (as_it_was,))
