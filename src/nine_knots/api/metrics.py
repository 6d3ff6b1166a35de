"""What an operator watches: latency by route, what waits, casts worked out, conflicts of the
database, as Prometheus reads it; and whether the service is well. Nothing of it is about anybody.
"""

import time
from collections.abc import Iterator
from dataclasses import dataclass
from math import inf

import structlog
from fastapi import APIRouter, FastAPI, Request, Response
from fastapi.responses import JSONResponse
from prometheus_client import CollectorRegistry, Histogram, generate_latest
from prometheus_client.exposition import CONTENT_TYPE_LATEST
from prometheus_client.metrics_core import CounterMetricFamily, GaugeMetricFamily, Metric
from prometheus_client.registry import Collector
from starlette.concurrency import run_in_threadpool
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from nine_knots.api.jobs.worker_pool import WorkerPool
from nine_knots.api.lan_access import WATCHED_HERE
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.store.database import Database

router = APIRouter(tags=["metrics"])
_log = structlog.get_logger("nine_knots")
SECONDS = (0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1.0, 2.5, 5.0, 10.0, 30.0)
NO_ROUTE = "none"
"""Of a path that nothing serves, so that made-up paths make no new series."""


class MetricsMiddleware:
    """ASGI middleware: how long each route takes, and how it ends."""

    def __init__(self, app: ASGIApp, seconds: Histogram) -> None:
        self.app, self._seconds = app, seconds

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass the call on and take its time until the answer begins."""
        if scope["type"] != "http" or scope["path"] in WATCHED_HERE:
            await self.app(scope, receive, send)
            return
        begun, told = time.perf_counter(), False

        async def send_timed(message: Message) -> None:
            nonlocal told
            if message["type"] == "http.response.start" and not told:
                told = True
                route = getattr(scope.get("route"), "path", NO_ROUTE)
                status = f"{message['status'] // 100}xx"
                took = time.perf_counter() - begun
                self._seconds.labels(scope["method"], route, status).observe(took)
                _log.info(
                    "call",
                    method=scope["method"],
                    route=route,
                    status=message["status"],
                    ms=round(1000.0 * took, 1),
                )
            await send(message)

        await self.app(scope, receive, send_timed)


@dataclass(frozen=True, slots=True)
class RouteTime:
    """A route: how often it was called, and within which times half and nineteen of twenty of its
    answers began, as far as the histogram tells them apart."""

    method: str
    route: str
    count: int
    p50_s: float
    p95_s: float


def slowest_routes(seconds: Histogram, most: int = 12) -> tuple[RouteTime, ...]:
    """Routes by the time within which nineteen of twenty answers begin, the slowest first."""
    counts: dict[tuple[str, str], dict[float, float]] = {}
    for sample in next(iter(seconds.collect())).samples:
        if sample.name.endswith("_bucket") and not sample.labels["status"].startswith("4"):
            of = counts.setdefault((sample.labels["method"], sample.labels["route"]), {})
            bound = float(sample.labels["le"])
            of[bound] = of.get(bound, 0.0) + sample.value
    found = [
        RouteTime(method, route, int(of[inf]), _within(of, 0.5), _within(of, 0.95))
        for (method, route), of in counts.items()
        if of[inf] and route.startswith("/api/v1/")
    ]
    return tuple(sorted(found, key=lambda route_time: -route_time.p95_s)[:most])


def _within(counts: dict[float, float], share: float) -> float:
    """The least bound within which such a share lies; the greatest where it lies beyond all."""
    wanted = share * counts[inf]
    bounds = sorted(counts)
    return next((value for value in bounds[:-1] if counts[value] >= wanted), bounds[-2])


class _OfTheCrews(Collector):
    """What waits, what was worked out, and what the database made wait."""

    def __init__(self, crews: dict[str, WorkerPool], database: Database | None) -> None:
        self._crews, self._database = crews, database

    def collect(self) -> Iterator[Metric]:
        """Read when it is asked for."""
        waiting = GaugeMetricFamily("nine_knots_waiting", "Jobs waiting", labels=["crew"])
        age = GaugeMetricFamily("nine_knots_waiting_age_seconds", "Oldest job", labels=["crew"])
        busy = GaugeMetricFamily("nine_knots_workers_busy", "Busy workers", labels=["crew"])
        far = GaugeMetricFamily("nine_knots_workers_elsewhere", "Remote workers", labels=["crew"])
        told = CounterMetricFamily("nine_knots_tasks", "Finished jobs", labels=["crew", "end"])
        took = CounterMetricFamily("nine_knots_task_seconds", "Seconds of work", labels=["crew"])
        for name, crew in self._crews.items():
            waiting.add_metric([name], len(crew.waiting))
            age.add_metric([name], crew.waiting.eldest_s)
            busy.add_metric([name], crew.busy)
            far.add_metric([name], crew.elsewhere)
            took.add_metric([name], crew.worked_s)
            for end, count in crew.ended.items():
                told.add_metric([name, end], count)
        yield from (waiting, age, busy, far, told, took)
        conflicts = self._database.conflicts if self._database else 0
        yield CounterMetricFamily(
            "nine_knots_database_conflicts", "Retried transactions", value=conflicts
        )


def install_metrics(app: FastAPI) -> None:
    """Have an application measured, from here on."""
    registry = CollectorRegistry()
    seconds = Histogram(
        "nine_knots_request_seconds",
        "Time to first byte",
        ("method", "route", "status"),
        buckets=SECONDS,
        registry=registry,
    )
    crews = {"bench": app.state.crew, "search": app.state.searchers}
    registry.register(_OfTheCrews(crews, app.state.database))
    app.state.measures, app.state.seconds = registry, seconds
    app.add_middleware(MetricsMiddleware, seconds=seconds)
    app.include_router(router)


@router.get("/metrics", include_in_schema=False)
async def get_metrics(request: Request) -> Response:
    """For Prometheus, at the machine itself only."""
    return Response(generate_latest(request.app.state.measures), media_type=CONTENT_TYPE_LATEST)


@router.get("/health", include_in_schema=False)
async def get_health(request: Request) -> Response:
    """200 where the service can answer: its database does; 503 with the reason where not."""
    database: Database | None = request.app.state.database
    if database is None:
        return JSONResponse({"well": False, "why": "The database is unavailable."}, 503)
    try:
        await run_in_threadpool(database.transact, lambda cursor: cursor.execute("SELECT 1"))
    except NineKnotsError as trouble:
        return JSONResponse({"well": False, "why": trouble.what}, 503)
    return JSONResponse({"well": True})
