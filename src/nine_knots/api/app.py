"""The application: the API and the built interface from one process on one port."""

import threading
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from importlib import import_module
from pathlib import Path

from fastapi import FastAPI
from fastapi.middleware.gzip import GZipMiddleware
from fastapi.responses import HTMLResponse, Response
from fastapi.routing import APIRoute
from fastapi.staticfiles import StaticFiles

from nine_knots.api import (
    anglers,
    anglers_here,
    bench,
    casts,
    catalogue,
    clubs,
    everything,
    files,
    find,
    gauges,
    given,
    happened,
    hold,
    instruments,
    kept,
    knots,
    leaders,
    ledger,
    light,
    log,
    lower_rigs,
    matters,
    measure,
    own_cast,
    owned,
    phones,
    photos,
    places,
    plan_files,
    plans,
    practice,
    problems,
    pulls,
    readiness,
    revisions,
    scale,
    sharing,
    stock,
    tackle,
    today,
    tying,
    wallet,
    water,
)
from nine_knots.api.accounts import entering, inviting, joining, mine, operating
from nine_knots.api.accounts.admitting import admitted
from nine_knots.api.caller import Caller
from nine_knots.api.calling import Calling
from nine_knots.api.describe import describe
from nine_knots.api.door import Door
from nine_knots.api.entrances import AtTheBench, ByTheDoor, Entrance, Hosted, Watching
from nine_knots.api.examples import DESIGN
from nine_knots.api.guard import Guard
from nine_knots.api.site import Site
from nine_knots.api.watching import watch
from nine_knots.api.work.crew import Crew
from nine_knots.api.work.far import HallKeeper
from nine_knots.api.work.hall import Hall
from nine_knots.api.work.isolated import IsolatedProcess
from nine_knots.api.work.outside import outward_threads
from nine_knots.api.work.readiness import Watch
from nine_knots.api.work.recasting import Recasting
from nine_knots.api.work.shares import Shares
from nine_knots.api.work.sharing_out import SharingOut
from nine_knots.api.work.tasks import CastTask, Task, WaterTask
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.water.ask import USUAL_ASK
from nine_knots.core.trade.design import Design
from nine_knots.services.secret import hash_of
from nine_knots.store import Database
from nine_knots.store.known import Known
from nine_knots.store.phones import phone_with

PAGES = (
    "",
    "find",
    "tie",
    "tie/now",
    "spools",
    "spools/{part}",
    "knots",
    "knots/{knot}",
    "shelf",
    "days",
    "days/{part}",
    "shared",
    "shared/{part}",
    "join",
    "account",
    "account/{part}",
    "operator",
)


def _entrances(
    database: Database | None, port: int, door: Door | None, site: Site | None
) -> tuple[Entrance, ...]:
    """The ways in: to a hosted service, or to a bench at home with or without its door."""

    def phones(token: str) -> Caller | None:
        assert database is not None
        found = database.transact(lambda cursor: phone_with(cursor, hash_of(token)))
        return Caller(found.angler_id, found.account_id, found.day) if found else None

    def logins(token: str, calling: Calling) -> Caller | None:
        assert database is not None
        return admitted(database, token, calling)

    if site is not None:
        return Hosted(site, logins, phones), Watching(port)
    if door is not None:
        return ByTheDoor(door, phones), AtTheBench(port, but=door.port)
    return (AtTheBench(port),)


def _operation_id(route: APIRoute) -> str:
    return route.name


def first_tasks() -> tuple[Task, ...]:
    """What every worker begins with: one of each kind of simulation, so that all is compiled."""
    design = Design.model_validate(DESIGN)
    sunk = design.situation.model_copy(update={"wish": "drift deep"})
    water = WaterTask(
        design=design.model_copy(update={"situation": sunk}),
        ask=USUAL_ASK,
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
    crew: Crew = app.state.crew
    hall: Hall | None = app.state.hall
    keeper = HallKeeper(hall, crew) if hall is not None else None
    hosted = app.state.site is not None
    recasting = None
    sharing_out = SharingOut(app.state.shares, app.state.database) if hosted else None
    if app.state.warm:
        app.state.watch = Watch(crew)
        if app.state.database is not None:
            recasting = Recasting(crew, app.state.database)
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
    door: Door | None = None,
    site: Site | None = None,
    hall: Hall | None = None,
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
    app.state.known = Known()
    app.state.shares = Shares()
    app.state.crew = Crew(first_tasks(), shares=app.state.shares)
    app.state.searchers = Crew(workers=1, behind=True, shares=app.state.shares)
    app.state.isolated = IsolatedProcess(app.state.shares)
    app.state.outward_threads = outward_threads()
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
    # what is asked at every change of a leader is found first
    for module in (
        bench,
        casts,
        water,
        hold,
        anglers,
        anglers_here,
        catalogue,
        stock,
        owned,
        gauges,
        light,
        places,
        plans,
        plan_files,
        wallet,
        happened,
        log,
        photos,
        phones,
        tackle,
        today,
        readiness,
        own_cast,
        tying,
        knots,
        practice,
        pulls,
        scale,
        leaders,
        revisions,
        sharing,
        ledger,
        lower_rigs,
        instruments,
        matters,
        measure,
        files,
        find,
        everything,
        kept,
        given,
        clubs,
        entering,
        joining,
        inviting,
        mine,
        operating,
    ):
        app.include_router(module.router)
    describe(app)
    # quick rather than tight: an answer is waited for
    app.add_middleware(GZipMiddleware, minimum_size=2000, compresslevel=1)
    app.add_middleware(Guard, entrances=_entrances(database, port, door, site))
    watch(app)
    if built is not None:
        _serve_interface(app, built)
    return app


def _serve_interface(app: FastAPI, built: Path) -> None:
    assets = GZipMiddleware(_Assets(directory=built / "assets"), minimum_size=1000)
    app.mount("/assets", assets, name="assets")

    page = (built / "index.html").read_bytes()
    mark = (built / "mark.svg").read_bytes()

    # from memory: the page comes whatever the database, the disk and the threads are about
    async def interface() -> Response:
        return HTMLResponse(page, headers={"cache-control": "no-cache"})

    @app.get("/mark.svg", include_in_schema=False)
    async def sign() -> Response:
        return Response(mark, media_type="image/svg+xml")

    for page_path in PAGES:
        app.add_api_route(f"/{page_path}", interface, include_in_schema=False)
    if (built / "water").is_dir():
        _serve_water(app, built / "water")


def _serve_water(app: FastAPI, built: Path) -> None:
    """The view at the water: its own page with a service worker that keeps it on the phone."""
    assets = GZipMiddleware(_Assets(directory=built / "assets"), minimum_size=1000)
    app.mount("/water/assets", assets, name="water-assets")
    page = (built / "index.html").read_bytes()
    worker = (built / "sw.js").read_bytes()
    manifest = (built / "manifest.webmanifest").read_bytes()

    async def at_the_water() -> Response:
        return HTMLResponse(page, headers={"cache-control": "no-cache"})

    @app.get("/water/sw.js", include_in_schema=False)
    async def service_worker() -> Response:
        return Response(worker, media_type="text/javascript", headers={"cache-control": "no-cache"})

    @app.get("/water/manifest.webmanifest", include_in_schema=False)
    async def web_manifest() -> Response:
        return Response(manifest, media_type="application/manifest+json")

    for path in ("/water/", "/water/index.html", "/water/{plan_id}"):
        app.add_api_route(path, at_the_water, include_in_schema=False)


class _Assets(StaticFiles):
    """Files whose names carry a hash of their content: they never change."""

    def file_response(self, *args, **kwargs):  # type: ignore[no-untyped-def]
        response = super().file_response(*args, **kwargs)
        response.headers["cache-control"] = "public, max-age=31536000, immutable"
        return response
