"""What was seen and learnt of an angler: landings, the own cast, pull tests."""

from pydantic import TypeAdapter

from nine_knots.core.judge.landings import Seen
from nine_knots.core.judge.own_cast import Estimate
from nine_knots.core.trade.knots.own import PullTest
from nine_knots.kept.envelope import Kind

SEEN = Kind("landing", TypeAdapter(Seen))
ESTIMATE: Kind[Estimate] = Kind("own cast", TypeAdapter(Estimate))
PULL_TEST = Kind("pull test", TypeAdapter(PullTest))
