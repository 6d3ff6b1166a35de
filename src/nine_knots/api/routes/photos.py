"""Photos from the water, uploaded when the bench is in reach."""

from base64 import b64decode
from binascii import Error
from dataclasses import dataclass
from pathlib import Path
from tempfile import NamedTemporaryFile
from typing import Annotated

from fastapi import APIRouter, Query, Response
from fastapi.responses import FileResponse
from pydantic import Field
from pymysql.cursors import DictCursor
from starlette.background import BackgroundTask
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession
from nine_knots.api.jobs.isolated_process import CurrentIsolated
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.routes.day_log import log_text
from nine_knots.api.routes.files import file_of
from nine_knots.api.typed_fields import Form
from nine_knots.core.domain.event import EventId, PhotoName
from nine_knots.formats.errors import FileRefused
from nine_knots.formats.log_zip import write_zip
from nine_knots.formats.photo import as_kept
from nine_knots.store.events import list_events
from nine_knots.store.photos import add_photo, drop_photo, list_photos, read_photo

router = APIRouter(prefix="/api/v1/photos", tags=["log"], responses=RESPONSES)
NAME = r"^\w[\w .()-]*$"
"""Of a new photo: a name that a file may have too, so neither “.” nor “..”."""
MOST_LETTERS = 8_000_000  # of a picture in base 64: six million bytes


class PhotoForm(Form):
    """A picture and the name under which an event of the day tells it."""

    plan_id: EventId
    name: str = Field(max_length=120, pattern=NAME)
    image: str = Field(max_length=MOST_LETTERS, description="JPEG, PNG or WebP, in base 64")


@dataclass(frozen=True, slots=True)
class PhotoKept:
    """Under which name, and whether it was new."""

    name: str
    new: bool


@router.post("", summary="Upload a photo")
async def post_photo(
    session: CurrentSession, form: PhotoForm, isolated: CurrentIsolated
) -> PhotoKept:
    """Kept upright and without what the camera noted beside it; sent again, it stays as it is."""
    session.check_day(form.plan_id)
    image = await isolated.run(as_kept, _bytes(form.image))
    new = await run_in_threadpool(
        session.write, lambda cursor, me: add_photo(cursor, me, form.plan_id, form.name, image)
    )
    return PhotoKept(form.name, new)


def _bytes(text: str) -> bytes:
    try:
        return b64decode(text, validate=True)
    except (Error, ValueError) as broken:
        raise FileRefused(
            "The photo is not valid base64.", where="image", hint="Encode it as base64."
        ) from broken


@router.get("", summary="List photos")
def get_photos(
    session: CurrentSession, plan_id: Annotated[EventId, Query(description="of one day")]
) -> tuple[str, ...]:
    """Names of the photos of a day."""
    session.check_day(plan_id)
    return session.read(lambda cursor, me: list_photos(cursor, me, plan_id))


@router.get("/files/log.zip", response_class=Response, summary="Export the log with its photos")
def get_log_zip(session: CurrentSession) -> Response:
    """``log.json``, format nine-knots-log, and each photo as a file in ``photos``."""
    with NamedTemporaryFile(suffix=".zip", delete=False) as file:
        made = Path(file.name)

        def write(cursor: DictCursor, me: str) -> None:
            file.seek(0)
            file.truncate()
            names = list_photos(cursor, me)
            photos = ((name, read_photo(cursor, me, name)) for name in names)
            write_zip(file, log_text(list_events(cursor, me)), photos)

        try:
            session.read(write)
        except BaseException:
            made.unlink()
            raise
    kind = file_of("log", "zip")
    return FileResponse(
        made, filename=kind.name, media_type=kind.media, background=BackgroundTask(made.unlink)
    )


@router.get("/{name}", response_class=Response, responses=MISSING, summary="A photo")
def get_photo(session: CurrentSession, name: PhotoName) -> Response:
    """As JPEG."""
    image = session.read(lambda cursor, me: read_photo(cursor, me, name))
    return Response(image, media_type="image/jpeg")


@router.delete("/{name}", status_code=204, responses=MISSING, summary="Delete a photo")
def delete_photo(session: CurrentSession, name: PhotoName) -> None:
    """For good: its event stays, and tells that there was one."""
    session.write(lambda cursor, me: drop_photo(cursor, me, name))
