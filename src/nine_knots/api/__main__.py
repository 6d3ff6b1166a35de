"""``python -m nine_knots.api``: the OpenAPI document on standard output."""

import json
import sys

from nine_knots.api.app import create_app

json.dump(create_app(None, port=0).openapi(), sys.stdout, indent=1)
