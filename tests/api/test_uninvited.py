"""What one caller can take of a service's memory, time and patience, and whom that keeps out."""

import asyncio
import json
import threading
import time
from base64 import b64encode
from concurrent.futures import ThreadPoolExecutor
from io import BytesIO

import pytest
from PIL import Image

from nine_knots.api.body_reading import BodyBudget, read_body
from nine_knots.api.jobs.quota import SHARE_S
from nine_knots.api.request_limits import STRANGERS_BYTES, RejectedRequest, check_density
from nine_knots.core.base.errors import TooBusy
from nine_knots.formats.errors import FileRefused
from nine_knots.formats.photo import as_kept
from nine_knots.services import secret
from nine_knots.services.concurrency_limit import ConcurrencyLimit
from nine_knots.services.passwords import LOOKED_AT, check_password
from nine_knots.store.accounts.accounts import account_named
from tests.api.authenticator import Device
from tests.api.hosted import ORIGIN, hosted, invited, joined, stranger
from tests.api.test_login import code_of, join_with
from tests.hosting import PASSWORD

OWN, THEIRS = "192.0.2.7", "203.0.113.{}"


@pytest.fixture(scope="module")
def app(migrated):
    return hosted(migrated)


def log_in_from(app, address, name, password):
    form = {"name": name, "password": password}
    return stranger(app, address).post("/api/v1/account/log-in", json=form)


def recover_from(app, address, name, code):
    form = {"name": name, "code": code}
    return stranger(app, address).post("/api/v1/account/recover", json=form)


def test_nobody_keeps_an_account_out_from_elsewhere(app, database):
    runa = joined(app, database, "Runa")
    assert log_in_from(app, OWN, "Runa", PASSWORD).is_success  # here she has come in before
    for number in range(8):
        for _ in range(4):
            log_in_from(app, THEIRS.format(number), "Runa", "not it at all")
            recover_from(app, THEIRS.format(number), "Runa", "AAAA-AAAA-AAAA")
    assert log_in_from(app, THEIRS.format(99), "Runa", PASSWORD).status_code == 429
    assert log_in_from(app, OWN, "Runa", PASSWORD).is_success
    assert recover_from(app, THEIRS.format(0), "Runa", runa.codes[0]).is_success


def test_one_network_of_many_addresses_is_one_caller(app, database):
    joined(app, database, "Runa")
    ends = [
        log_in_from(app, f"2001:db8:1:2::{number}", "Runa", "not it at all").status_code
        for number in range(6)
    ]
    assert ends == [422, 422, 422, 422, 422, 429]
    other = log_in_from(app, "2001:db8:1:3::1", "Runa", PASSWORD)
    assert other.is_success


def test_a_passkey_lets_in_however_often_others_ask(app, database):
    device = Device(ORIGIN)
    assert join_with(device, stranger(app), database).status_code == 200
    for _ in range(40):
        stranger(app).post("/api/v1/account/log-in", json={"name": "Eira", "password": "not it"})
        ask = stranger(app).post("/api/v1/account/passkey").json()
    shown = {"challenge_id": ask["challenge_id"], "credential": device.show(ask["options"])}
    assert stranger(app).post("/api/v1/account/passkey/log-in", json=shown).is_success


def test_a_bad_invitation_costs_nothing_and_is_counted(app, database, monkeypatch):
    sealed = []
    monkeypatch.setattr("nine_knots.api.auth.sign_up.sealed", sealed.append)
    form = {"invitation": "none", "name": "Somebody", "password": PASSWORD}
    ends = [stranger(app).post("/api/v1/account/join", json=form).status_code for _ in range(31)]
    assert (ends[0], ends[29], ends[30]) == (422, 422, 429)
    assert sealed == []
    one = stranger(app).post("/api/v1/account/join/look", json={"invitation": invited(database)})
    assert one.is_success, "a good one is never kept waiting"


def test_no_more_than_two_hashes_are_made_at_once(monkeypatch):
    at_once, most = 0, 0
    lock = threading.Lock()

    class Slow:
        def hash(self, _secret):
            nonlocal at_once, most
            with lock:
                at_once += 1
                most = max(most, at_once)
            time.sleep(0.1)
            with lock:
                at_once -= 1
            return "sealed"

    monkeypatch.setattr(secret, "_hasher", Slow())
    monkeypatch.setattr(secret, "SLOW", ConcurrencyLimit(at_once=2, waiting=6, busy="busy"))
    with ThreadPoolExecutor(40) as pool:
        ends = [pool.submit(secret.sealed, "x") for _ in range(40)]
    refused = [end for end in ends if isinstance(end.exception(), TooBusy)]
    assert most == 2
    assert 8 <= 40 - len(refused) < 20


def test_of_an_odd_password_only_so_much_is_judged(monkeypatch):
    judged = []

    def meter(password, user_inputs):
        judged.append(password)
        return {"score": 4}

    monkeypatch.setattr("zxcvbn.zxcvbn", meter)
    check_password("4@8({[<369!1|705$7+%2" * 5)  # all of it takes 6.6 s
    assert [len(item) for item in judged] == [LOOKED_AT]
    assert LOOKED_AT <= 32


def test_what_is_refused_at_first_makes_no_description(app, monkeypatch):
    monkeypatch.setattr(
        app, "openapi", pytest.fail
    )  # it takes seconds, in which nobody is answered
    refused = stranger(app).patch("/api/v1/account/log-in")
    assert (refused.status_code, refused.headers["allow"]) == (405, "POST")


def test_a_stranger_sends_little(app):
    body = json.dumps({"name": "x" * STRANGERS_BYTES, "password": "y"})
    kind = {"content-type": "application/json"}
    sent = stranger(app).post("/api/v1/account/log-in", content=body, headers=kind)
    assert code_of(sent) == (413, "too-large")


@pytest.mark.parametrize("part", [b"{},", b"[],", b"[[[["])
def test_a_large_body_that_is_all_brackets_is_refused_unread(client, part, monkeypatch):
    monkeypatch.setattr("nine_knots.api.body_reading.check_shape", pytest.fail)
    body = b"[" + part * (3_900_000 // len(part)) + b"0]"
    kind = {"content-type": "application/json"}
    for path in ("/api/v1/account-data", "/api/v1/events"):
        sent = client.post(path, content=body, headers=kind)
        assert code_of(sent) == (422, "invalid")
    with pytest.raises(RejectedRequest):
        check_density(body)


def test_what_all_bodies_take_together_is_bounded():
    budget = BodyBudget()
    with budget.reserved("runa", 30_000_000):
        with pytest.raises(TooBusy), budget.reserved("runa", 8_000_000):
            pass
        with budget.reserved("eira", 8_000_000), pytest.raises(TooBusy):
            budget.reserved("odd", 8_000_000).__enter__()
    with budget.reserved("odd", 32_000_000):
        pass


def test_a_body_that_drips_is_given_up(monkeypatch):
    monkeypatch.setattr("nine_knots.api.body_reading.FIRST_S", 0.1)

    async def drip():
        await asyncio.sleep(0.06)
        return {"type": "http.request", "body": b" ", "more_body": True}

    async def read():
        headers = {"content-length": "100"}
        async with read_body("/api/v1/bench", headers, drip, BodyBudget(), "runa", 1000):
            pass

    with pytest.raises(RejectedRequest) as refused:
        asyncio.run(read())
    assert refused.value.status == 408


def picture(size, kind="JPEG", **more) -> bytes:
    out = BytesIO()
    Image.new("RGB", size, (70, 95, 80)).save(out, kind, **more)
    return out.getvalue()


def test_a_large_picture_is_made_small_while_it_is_read():
    kept = Image.open(BytesIO(as_kept(picture((8000, 7000)))))
    assert max(kept.size) == 2048
    for more in ({"kind": "PNG"}, {"progressive": True}):
        with pytest.raises(FileRefused, match="24 million pixels"):
            as_kept(picture((8000, 7000), **more))


def test_a_phones_work_counts_towards_its_accounts_hour(app, database):
    runa = joined(app, database, "Runa")
    code = runa.post("/api/v1/phones/code").json()["code"]
    phone = stranger(app)
    assert phone.post("/api/v1/phones/pair", json={"code": code}).is_success
    account_id = database.transact(lambda cursor: account_named(cursor, "Runa").account_id)
    photo = {"plan_id": "0" * 32, "name": "seen.jpg", "image": b64encode(picture((8, 8))).decode()}
    assert phone.post("/api/v1/photos", json=photo).is_success
    assert app.state.shares.take_news()[account_id] > 0.0
    app.state.shares.add(account_id, SHARE_S)
    assert phone.post("/api/v1/photos", json={**photo, "name": "next.jpg"}).status_code == 429
    app.state.shares.add(account_id, -SHARE_S)
