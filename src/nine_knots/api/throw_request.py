"""A design with the stroke that throws it, of which more is asked than one cast."""

from typing import Any

from pydantic import Field
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import Session
from nine_knots.api.examples import DESIGN
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.domain.design import Design


class ThrowRequest(Form):
    """A design with the stroke that throws it; ``bench`` names who asks."""

    bench: Key = Field(examples=["bench-1"])
    design: Design = Field(examples=[DESIGN])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    units: System = "imperial"


async def throwing_outfit(session: Session, stroke: StrokeForm, units: System) -> dict[str, Any]:
    """Who throws, the stroke and the gust in SI, as the fields of a task."""
    angler = await run_in_threadpool(session.angler, units)
    return {
        "angler": angler,
        "stroke": stroke.read(units, angler.cast).stroke,
        "gust": stroke.read_gust(units),
    }
