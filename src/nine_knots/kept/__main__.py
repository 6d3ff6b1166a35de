"""``python -m nine_knots.kept``: prints today's version of every kind of value, as JSON."""

import json

from nine_knots.kept.kinds import KINDS

print(json.dumps({name: kind.version for name, kind in sorted(KINDS.items())}, indent=2))
