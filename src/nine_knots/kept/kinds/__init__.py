"""Every kind of value that is kept, one file for those of one noun."""

from typing import Any

from nine_knots.core.base.rooms import found_in
from nine_knots.kept.envelope import Kind

KINDS: dict[str, Kind[Any]] = {kind.name: kind for kind in found_in(__name__, Kind)}
