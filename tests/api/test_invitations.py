"""Invitations: handed over or mailed, counted, taken back; nothing is kept of where they went."""

import socketserver
import threading
import time

import pytest
from aiosmtpd.controller import Controller

from nine_knots.core.base.errors import CannotCompute
from nine_knots.run.mariadb import free_port
from nine_knots.services import mail
from tests.api.hosted import ORIGIN, hosted, joined, stranger
from tests.api.test_places import Dripping
from tests.hosting import PASSWORD


class Post:
    """A mail server that keeps what it is given."""

    def __init__(self) -> None:
        self.letters = []

    async def handle_DATA(self, server, session, envelope):  # noqa: N802 - aiosmtpd's own name
        self.letters.append((envelope.rcpt_tos, envelope.content.decode()))
        return "250 taken"


@pytest.fixture
def post():
    kept = Post()
    server = Controller(kept, hostname="127.0.0.1", port=free_port())
    server.start()
    kept.address = f"smtp://127.0.0.1:{server.port}"
    yield kept
    server.stop()


def test_an_invitation_is_mailed_where_mail_is_and_its_address_not_kept(migrated, database, post):
    app = hosted(migrated, mail=post.address, sender="bench@knots.example")
    runa = joined(app, database, "Runa")
    assert runa.get("/api/v1/account").json()["mail"]
    form = {"note": "Torv", "mail": "torv@river.example"}
    made = runa.post("/api/v1/account/invitations", json=form).json()
    assert made["words"] == "It was sent to torv@river.example."
    ((to, letter),) = post.letters
    assert (to, made["url"] in letter) == (["torv@river.example"], True)
    assert "Runa invites you" in letter

    def kept(cursor):
        cursor.execute("SELECT * FROM invitation")
        return repr(cursor.fetchall())

    assert "river.example" not in database.transact(kept)
    form = {"invitation": made["url"].split("#")[1], "name": "Torv", "password": PASSWORD}
    assert stranger(app).post("/api/v1/account/join", json=form).status_code == 200
    assert runa.get("/api/v1/account/invitations").json()[0]["taken"]


@pytest.mark.parametrize("mail", ["no address", "a@b.example\r\nBcc: c@d.example"])
def test_what_is_no_address_is_refused(migrated, database, post, mail):
    app = hosted(migrated, mail=post.address, sender="bench@knots.example")
    refused = joined(app, database, "Runa").post("/api/v1/account/invitations", json={"mail": mail})
    assert (refused.status_code, refused.json()["where"]) == (422, "mail")
    assert post.letters == []


def test_a_server_that_takes_no_mail_is_said(migrated, database):
    app = hosted(migrated, mail=f"smtp://127.0.0.1:{free_port()}", sender="bench@knots.example")
    form = {"mail": "torv@river.example"}
    made = joined(app, database, "Runa").post("/api/v1/account/invitations", json=form).json()
    assert made["words"].startswith("The mail couldn't be sent. Pass it on yourself")
    form = {"invitation": made["url"].split("#")[1], "name": "Torv", "password": PASSWORD}
    assert stranger(app).post("/api/v1/account/join", json=form).status_code == 200


def test_a_server_that_drips_is_given_up_in_time(monkeypatch):
    monkeypatch.setattr(mail, "DEADLINE_S", 0.8)
    with socketserver.ThreadingTCPServer(("127.0.0.1", 0), Dripping) as server:
        server.daemon_threads, server.after_the_head = True, False
        threading.Thread(target=server.serve_forever, daemon=True).start()
        address = f"smtp://127.0.0.1:{server.server_address[1]}"
        begun = time.monotonic()
        with pytest.raises(CannotCompute):
            mail.send(address, "bench@knots.example", "torv@river.example", "x", "y")
        assert 0.7 < time.monotonic() - begun < 2.0
        server.shutdown()


def test_ten_are_open_at_once_and_one_taken_back_makes_room(migrated, database):
    app = hosted(migrated)
    runa = joined(app, database, "Runa")
    made = [runa.post("/api/v1/account/invitations", json={"note": str(n)}) for n in range(11)]
    assert [item.status_code for item in made] == [200] * 10 + [422]
    (first, *_) = runa.get("/api/v1/account/invitations").json()
    assert runa.delete(f"/api/v1/account/invitations/{first['invitation_id']}").status_code == 204
    token = made[9].json()["url"].split("#")[1]
    look = stranger(app).post("/api/v1/account/join/look", json={"invitation": token})
    assert look.status_code == 422
    assert runa.post("/api/v1/account/invitations", json={}).status_code == 200
    assert ORIGIN in made[0].json()["url"]
