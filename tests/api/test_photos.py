"""Photos from the water: kept once, without the place beside them, out as files, dropped."""

import base64
import io
import json
import zipfile

import pytest
from PIL import Image

PLAN = "a" * 32
NAME = "2026-06-20T10.31.07 1x2y3z.jpg"


def picture(kind="JPEG", size=(3000, 400), **saved):
    out = io.BytesIO()
    Image.new("RGB", size, (60, 90, 70)).save(out, kind, **saved)
    return out.getvalue()


def sent(client, image, name=NAME):
    body = {"plan_id": PLAN, "name": name, "image": base64.b64encode(image).decode()}
    return client.post("/api/v1/photos", json=body)


def test_a_photo_is_kept_once_upright_and_tells_no_place(client):
    exif = Image.Exif()
    exif[0x0112] = 6  # lies on its side
    exif.get_ifd(0x8825)[2] = (65.0, 12.0, 0.0)  # and says where
    assert sent(client, picture(exif=exif)).json() == {"name": NAME, "new": True}
    assert sent(client, picture("PNG")).json()["new"] is False
    assert client.get("/api/v1/photos", params={"plan_id": PLAN}).json() == [NAME]
    kept = client.get(f"/api/v1/photos/{NAME}")
    assert kept.headers["content-type"] == "image/jpeg"
    with Image.open(io.BytesIO(kept.content)) as seen:
        assert (seen.size, len(seen.getexif())) == ((273, 2048), 0)
    note = {"event_id": "1" * 32, "plan_id": PLAN, "at": 1, "kind": "note"}
    client.post("/api/v1/events", json={"events": [{**note, "detail": {"photo": NAME}}]})
    packed = client.get("/api/v1/photos/files/log.zip")
    with zipfile.ZipFile(io.BytesIO(packed.content)) as files:
        assert files.read(f"photos/{NAME}") == kept.content
        events = json.loads(files.read("log.json"))["events"]
    assert events[0]["detail"] == {"photo": NAME}
    assert client.delete(f"/api/v1/photos/{NAME}").status_code == 204
    assert client.get(f"/api/v1/photos/{NAME}").json()["where"] == "name"


@pytest.mark.parametrize(
    ("image", "name"),
    [
        (b"<svg xmlns='http://www.w3.org/2000/svg'/>", NAME),
        (picture("GIF", (4, 4)), NAME),
        (picture()[:200], NAME),
        (b"", NAME),
        (picture(size=(4, 4)), "../../etc/passwd"),
        (picture(size=(4, 4)), "."),
        (picture(size=(4, 4)), ".."),
    ],
)
def test_what_is_no_picture_is_refused(client, image, name):
    refused = sent(client, image, name)
    assert (refused.status_code, refused.json()["where"] in ("image", "name")) == (422, True)
    assert client.get("/api/v1/photos", params={"plan_id": PLAN}).json() == []
