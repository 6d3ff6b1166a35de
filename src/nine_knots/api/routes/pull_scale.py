"""A pull test read from a scale on a serial line, or from the simulated one."""

import random
from collections.abc import Iterator
from contextlib import contextmanager
from threading import Lock

from fastapi import APIRouter, Request
from pydantic import Field

from nine_knots.api.context import SavingSession
from nine_knots.api.problems import MISSING, RESPONSES, WORKED_OUT
from nine_knots.api.routes.pulls import (
    PullsAnswer,
    PullSubject,
    line_strength_n,
    pulls_answer,
    store_pull,
)
from nine_knots.core.base.errors import TooBusy
from nine_knots.core.base.units import Units
from nine_knots.core.domain.knots.own import spread_of, usual_share
from nine_knots.instruments.pull_scale import read_peak
from nine_knots.simulated.pull_scale import Mischief, PullScale
from nine_knots.store.stock import read_spool

router = APIRouter(prefix="/api/v1/pulls", tags=["pull tests"], responses=RESPONSES)
PATIENCE_S = 20.0
SERIAL = r"/dev/tty(USB|ACM|AMA|S)\d{1,3}|/dev/serial/by-(id|path)/[\w:+-][\w.:+-]{0,120}"
ADDRESS = rf"^({SERIAL}|COM\d{{1,3}}|)$"
"""A serial device of this machine, or empty for the simulated scale; nothing else is opened."""
_at_the_scale = Lock()


class ScaleForm(PullSubject):
    """A pull to be read from a scale; an empty address is the simulated one, which is started."""

    address: str = Field(default="", pattern=ADDRESS, examples=["/dev/ttyUSB0"])
    mischief: Mischief = "none"


@router.post("/scale", summary="Read a pull from the scale", responses=MISSING | WORKED_OUT)
def post_scale(request: Request, session: SavingSession, form: ScaleForm) -> PullsAnswer:
    """Wait for the scale's peak and keep it; what ails the scale is said, and nothing kept."""
    spool = session.read(lambda cursor, me: read_spool(cursor, me, form.spool_id))
    with _alone_at_the_scale():
        if form.address:
            peak_n = read_peak(form.address, PATIENCE_S)
        else:
            scale = _simulated(request, form.mischief)
            usual = usual_share(form.knot, spool.strand.substance.family)
            share = min(1.0, random.lognormvariate(0.0, spread_of(form.knot)) * usual)
            load_n = share * line_strength_n(spool, form.wet)
            peak_n = read_peak(scale.address, PATIENCE_S, say=f"PULL {load_n:.2f}")

    read = Units(form.units).load(peak_n).text
    return session.save(
        lambda cursor, me: store_pull(cursor, me, form, peak_n, "scale"),
        lambda cursor, me, _: pulls_answer(cursor, me, Units(form.units), read=read),
    )


@contextmanager
def _alone_at_the_scale() -> Iterator[None]:
    """One reading at a time, so that a silent scale keeps nobody else waiting."""
    if not _at_the_scale.acquire(blocking=False):
        raise TooBusy("The scale is already in use.", retry_s=2, hint="Wait for that pull to end.")
    try:
        yield
    finally:
        _at_the_scale.release()


def _simulated(request: Request, mischief: Mischief) -> PullScale:
    """The simulated scale, plugged in once and used again."""
    state = request.app.state
    if state.pull_scale is None:
        state.pull_scale = PullScale()
    scale: PullScale = state.pull_scale
    scale.mischief = mischief
    return scale
