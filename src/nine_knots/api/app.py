"""The application: the API and the built interface from one process on one port."""

import threading
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from importlib import import_module
from pathlib import Path

from fastapi import APIRouter, FastAPI
from fastapi.middleware.gzip import GZipMiddleware
from fastapi.routing import APIRoute

from nine_knots.api import auth, problems, routes
from nine_knots.api.access_modes import (
    AccessMode,
    HostedAccess,
    LanPhoneAccess,
    LocalAccess,
    MonitoringAccess,
)
from nine_knots.api.auth.sessions import authenticate
from nine_knots.api.client_info import ClientInfo
from nine_knots.api.examples import DESIGN
from nine_knots.api.interface_files import serve_interface
from nine_knots.api.jobs.isolated_process import IsolatedProcess
from nine_knots.api.jobs.landing_updates import LandingUpdater
from nine_knots.api.jobs.outbound import outbound_threads
from nine_knots.api.jobs.quota import Quota
from nine_knots.api.jobs.quota_sync import QuotaSync
from nine_knots.api.jobs.readiness import ReadinessWatch
from nine_knots.api.jobs.remote_address import RemoteAddress
from nine_knots.api.jobs.remote_workers import RemoteWorkerListener
from nine_knots.api.jobs.tasks import CastTask, Task, WaterTask
from nine_knots.api.jobs.worker_pool import WorkerPool
from nine_knots.api.lan_access import LanAccess
from nine_knots.api.metrics import install_metrics
from nine_knots.api.openapi_document import install_openapi
from nine_knots.api.principal import Principal
from nine_knots.api.security import SecurityMiddleware
from nine_knots.api.site import Site
from nine_knots.core.base.discovery import discover_modules
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.services.secret import hash_of
from nine_knots.store import Database
from nine_knots.store.angler_cache import AnglerCache
from nine_knots.store.phones import phone_with

FIRST = ("bench", "casts", "water", "hold")  # asked at every change of a leader


def _entrances(
    database: Database | None, port: int, door: LanAccess | None, site: Site | None
) -> tuple[AccessMode, ...]:
    """The ways in: to a hosted service, or to a bench at home with or without its door."""

    def phones(token: str) -> Principal | None:
        assert database is not None
        found = database.transact(lambda cursor: phone_with(cursor, hash_of(token)))
        return Principal(found.angler_id, found.account_id, found.day) if found else None

    def logins(token: str, calling: ClientInfo) -> Principal | None:
        assert database is not None
        return authenticate(database, token, calling)

    if site is not None:
        return HostedAccess(site, logins, phones), MonitoringAccess(port)
    if door is not None:
        return LanPhoneAccess(door, phones), LocalAccess(port, but=door.port)
    return (LocalAccess(port),)


def _routers() -> list[APIRouter]:
    """The router of every module in ``routes`` and ``auth``, the busiest first."""
    found = [
        (module.rpartition(".")[2], router)
        for package in (routes, auth)
        for module, router in discover_modules(package.__name__, APIRouter)
    ]
    rank = {name: number for number, name in enumerate(FIRST)}
    return [
        router
        for _, router in sorted(found, key=lambda pair: (rank.get(pair[0], len(FIRST)), pair[0]))
    ]


def _operation_id(route: APIRoute) -> str:
    return route.name


def first_tasks() -> tuple[Task, ...]:
    """What every worker begins with: one of each kind of simulation, so that all is compiled."""
    design = Design.model_validate(DESIGN)
    sunk = design.situation.model_copy(update={"wish": "drift deep"})
    water = WaterTask(
        design=design.model_copy(update={"situation": sunk}),
        ask=USUAL_QUESTION,
        units="imperial",
        movie=False,
    )
    return CastTask(design=design, stroke=Stroke(), units="imperial"), water


def _load_later() -> None:
    """Load what the first answers do without."""
    for name in ("scipy.optimize", "scipy.special", "scipy.integrate"):
        import_module(name)


@asynccontextmanager
async def _lifespan(app: FastAPI) -> AsyncIterator[None]:
    """Workers live as long as the service; they load and compile while it already answers."""
    crew: WorkerPool = app.state.crew
    hall: RemoteAddress | None = app.state.hall
    keeper = RemoteWorkerListener(hall, crew) if hall is not None else None
    hosted = app.state.site is not None
    recasting = None
    sharing_out = QuotaSync(app.state.shares, app.state.database) if hosted else None
    if app.state.warm:
        app.state.watch = ReadinessWatch(crew)
        if app.state.database is not None:
            recasting = LandingUpdater(crew, app.state.database)
        threading.Thread(target=_load_later, daemon=True).start()
    yield
    if app.state.watch is not None:
        app.state.watch.end()
    if recasting is not None:
        recasting.close()
    if sharing_out is not None:
        sharing_out.close()
    if keeper is not None:
        keeper.close()
    crew.close()
    app.state.searchers.close()
    app.state.isolated.close()
    if app.state.pull_scale is not None:
        app.state.pull_scale.unplug()
    for instrument in app.state.simulated.values():
        instrument.unplug()
    if app.state.level_service is not None:
        app.state.level_service.end()


def create_app(
    database: Database | None,
    port: int,
    built: Path | None = None,
    warm: bool = False,
    door: LanAccess | None = None,
    site: Site | None = None,
    hall: RemoteAddress | None = None,
) -> FastAPI:
    """The application on a database; ``built`` is the folder of the built interface.

    With ``warm`` the workers begin to load and compile at once rather than at the first cast.
    By a ``door`` paired phones of the home network come in; under the name of a ``site`` whoever
    has an account; to a ``hall`` come workers of other machines. Without a database it can still
    describe itself (for the OpenAPI document).
    """
    app = FastAPI(
        title="Nine Knots",
        version="1",
        description="A bench for anglers who build their own leaders. SI units throughout; "
        "texts in the angler's units stand beside the figures.",
        openapi_url=None,
        docs_url=None,
        redoc_url=None,
        generate_unique_id_function=_operation_id,
        lifespan=_lifespan,
    )
    app.state.database = database
    app.state.known = AnglerCache()
    app.state.shares = Quota()
    app.state.crew = WorkerPool(first_tasks(), shares=app.state.shares)
    app.state.searchers = WorkerPool(workers=1, behind=True, shares=app.state.shares)
    app.state.isolated = IsolatedProcess(app.state.shares)
    app.state.outbound_threads = outbound_threads()
    app.state.document = None
    app.state.warm = warm
    app.state.watch = None
    app.state.pull_scale = None
    app.state.simulated = {}
    app.state.level_service = None
    app.state.built = built
    app.state.door = door
    app.state.site = site
    app.state.hall = hall
    problems.install(app)
    for router in _routers():
        app.include_router(router)
    install_openapi(app)
    # quick rather than tight: an answer is waited for
    app.add_middleware(GZipMiddleware, minimum_size=2000, compresslevel=1)
    app.add_middleware(SecurityMiddleware, entrances=_entrances(database, port, door, site))
    install_metrics(app)
    if built is not None:
        serve_interface(app, built)
    return app
