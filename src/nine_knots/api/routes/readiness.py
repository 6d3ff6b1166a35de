"""/api/v1/readiness: whether casts and drifts can be asked for yet."""

from fastapi import APIRouter, Request

from nine_knots.api.jobs.readiness import Readiness, ReadinessWatch
from nine_knots.api.problems import RESPONSES

router = APIRouter(prefix="/api/v1/readiness", tags=["readiness"], responses=RESPONSES)


@router.get("", summary="Show whether simulations are ready")
async def get_readiness(request: Request) -> Readiness:
    """On a first start they are compiled, once; what is asked for meanwhile waits."""
    watch: ReadinessWatch | None = request.app.state.watch
    return watch.read() if watch is not None else Readiness(ready=True, compiled=1.0)
