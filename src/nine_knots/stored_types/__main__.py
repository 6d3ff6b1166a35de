"""``python -m nine_knots.stored_types``: prints today's version of every kind of value, as JSON."""

import json

from nine_knots.stored_types.types import STORED_TYPES

print(json.dumps({name: kind.version for name, kind in sorted(STORED_TYPES.items())}, indent=2))
