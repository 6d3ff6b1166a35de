"""/api/readiness: whether casts and drifts can be asked for yet."""

from fastapi import APIRouter, Request

from nine_knots.api.problems import RESPONSES
from nine_knots.api.work.readiness import Readiness, Watch

router = APIRouter(prefix="/api/readiness", tags=["readiness"], responses=RESPONSES)


@router.get("", summary="Whether simulations can be asked for yet")
async def get_readiness(request: Request) -> Readiness:
    """On a first start they are compiled, once; what is asked for meanwhile waits."""
    watch: Watch | None = request.app.state.watch
    return watch.read() if watch is not None else Readiness(ready=True, compiled=1.0)
