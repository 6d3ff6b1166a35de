"""The built interface: its pages, its files, and the page at the water with its service worker."""

from pathlib import Path

from fastapi import FastAPI
from fastapi.middleware.gzip import GZipMiddleware
from fastapi.responses import HTMLResponse, Response
from fastapi.staticfiles import StaticFiles

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


def serve_interface(app: FastAPI, built: Path) -> None:
    """Serve the folder of the built interface."""
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
