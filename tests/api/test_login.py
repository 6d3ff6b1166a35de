"""A hosted service: who comes in, by what, for how long; what is refused tells nothing."""

import asyncio
import time
from concurrent.futures import ThreadPoolExecutor

import httpcore
import pytest
from fastapi.testclient import TestClient

from nine_knots.api.jobs.quota import Quota
from nine_knots.api.jobs.quota_sync import QuotaSync
from nine_knots.api.site import LOGIN_COOKIE
from nine_knots.core.base.errors import TooBusy
from nine_knots.store.accounts.accounts import account_named
from nine_knots.store.accounts.audit_log import list_notes
from nine_knots.store.accounts.passkeys import add_passkey
from nine_knots.store.rows import from_now
from tests.api.authenticator import Device
from tests.api.conftest import PORT
from tests.api.hosted import ORIGIN, hosted, invited, joined, stranger
from tests.hosting import PASSWORD


@pytest.fixture(scope="module")
def app(migrated):
    return hosted(migrated)


FIREFOX = "Mozilla/5.0 (Windows NT 10.0; Win64; x64; rv:131.0) Gecko/20100101 Firefox/131.0"


def log_in(app, name, password=PASSWORD):
    one = stranger(app)
    return one, one.post("/api/v1/account/log-in", json={"name": name, "password": password})


def join_with(device, item, database):
    """Eira asks to join by a passkey that the device makes."""
    form = {"invitation": invited(database), "name": "Eira"}
    ask = item.post("/api/v1/account/join/passkey", json=form).json()
    by = {"challenge_id": ask["challenge_id"], "credential": device.make(ask["options"])}
    return item.post("/api/v1/account/join", json={**form, **by})


def code_of(answer):
    return answer.status_code, answer.json()["code"]


def test_a_stranger_is_told_nothing_and_the_machine_itself_only_watches(app, database):
    one = stranger(app)
    assert one.get("/api/v1/account").json() == {
        "hosted": True,
        "name": "",
        "operator": False,
        "proved": False,
        "mail": False,
    }
    for method, path in (
        ("GET", "/api/v1/leaders"),
        ("GET", "/api/v1/anglers"),
        ("GET", "/api/v1/account/login-methods"),
        ("GET", "/api/v1/operator"),
        ("POST", "/api/v1/bench"),
        ("DELETE", "/api/v1/account-data"),
    ):
        assert code_of(one.request(method, path)) == (401, "not-logged-in"), path
    assert one.get("/metrics").status_code == 403
    here = TestClient(app, base_url=f"http://127.0.0.1:{PORT}")
    assert (here.get("/health").status_code, here.get("/metrics").status_code) == (200, 200)
    assert code_of(here.get("/api/v1/leaders")) == (421, "wrong-host")
    other = TestClient(app, base_url="https://other.example")
    assert code_of(other.get("/api/v1/account")) == (421, "wrong-host")


def test_the_cookie_and_the_answers_are_guarded(app, database):
    one, answer = stranger(app), None
    form = {"invitation": invited(database), "name": "Eira", "password": PASSWORD}
    answer = one.post("/api/v1/account/join", json=form)
    cookie = answer.headers["set-cookie"]
    assert cookie.startswith(f"{LOGIN_COOKIE}=")
    for word in ("HttpOnly", "Secure", "SameSite=strict", "Path=/"):
        assert word in cookie
    assert "Domain" not in cookie
    assert answer.headers["strict-transport-security"].startswith("max-age=")
    assert answer.headers["cache-control"] == "no-store"
    foreign = one.post("/api/v1/leaders", json={}, headers={"origin": "https://evil.example"})
    assert code_of(foreign) == (403, "wrong-origin")
    sent = one.post("/api/v1/leaders", json={}, headers={"sec-fetch-site": "cross-site"})
    assert code_of(sent) == (403, "wrong-origin")
    assert code_of(one.get("/api/v1/instruments")) == (403, "at-the-bench")


def test_an_invitation_is_good_once_and_the_names_case_is_no_other(app, database):
    token = invited(database)
    one = stranger(app)
    assert (
        "invited"
        in one.post("/api/v1/account/join/look", json={"invitation": token}).json()["words"]
    )
    form = {"invitation": token, "name": "Runa", "password": PASSWORD}
    weak = one.post("/api/v1/account/join", json={**form, "password": "runa 12345678"})
    assert (code_of(weak), weak.json()["where"]) == ((422, "out-of-range"), "password")
    assert one.post("/api/v1/account/join", json=form).status_code == 200
    assert one.get("/api/v1/stock").json() == []
    again = stranger(app).post("/api/v1/account/join", json={**form, "name": "Torv"})
    assert code_of(again) == (422, "wrong-code")
    taken = {**form, "invitation": invited(database), "name": "RUNA"}
    assert stranger(app).post("/api/v1/account/join", json=taken).json()["where"] == "name"
    assert log_in(app, "rUNA")[1].json()["name"] == "Runa"


@pytest.mark.parametrize(
    "name", ["", " \t", "\u202eanuR", "Ru\u200bna", "\u041aeeper", "R\u00fana\n", "12"]
)
def test_no_name_is_taken_for_anothers(app, database, name):
    joined(app, database, "Runa")
    form = {"invitation": invited(database), "name": name, "password": PASSWORD}
    refused = stranger(app).post("/api/v1/account/join", json=form)
    assert refused.status_code == 422
    assert refused.json()["where"] == "name"
    kana = stranger(app).post("/api/v1/account/join", json={**form, "name": " \u6f22\u304b  b "})
    assert kana.status_code == 422, "three scripts"
    tangut = {**form, "name": "\U00017000"}  # a letter whose name no table here has
    assert stranger(app).post("/api/v1/account/join", json=tangut).status_code in (200, 422)
    form["invitation"] = invited(database)
    typed = " \u6f22  \u304b "
    kana = stranger(app).post("/api/v1/account/join", json={**form, "name": typed})
    assert kana.json()["me"]["name"] == "\u6f22 \u304b"
    assert log_in(app, typed)[1].status_code == 200, "as it was typed"


def test_wrong_passwords_are_refused_alike_and_wait_alike(app, database):
    joined(app, database, "Runa")
    answers = [log_in(app, name, "not it at all")[1] for name in ("Runa", "Nobody")]
    assert answers[0].json() == answers[1].json()
    assert code_of(answers[0]) == (422, "wrong-code")
    for name in ("Runa", "Nobody"):
        ends = [log_in(app, name, "not it at all")[1].status_code for _ in range(5)]
        assert ends == [422, 422, 422, 422, 429]
    waits = log_in(app, "Runa")[1]
    assert code_of(waits) == (429, "too-often")
    assert int(waits.headers["retry-after"]) == 300
    later = "UPDATE rate_limit SET ends_at = ends_at - INTERVAL 301 SECOND"
    database.transact(lambda cursor: cursor.execute(later))
    assert log_in(app, "Runa")[1].status_code == 200


def test_a_recovery_code_lets_in_once_where_all_else_is_gone(app, database):
    runa = joined(app, database, "Runa")
    assert len(set(runa.codes)) == 10
    form = {"name": "Runa", "code": runa.codes[3].lower().replace("-", " ")}
    one = stranger(app)
    assert one.post("/api/v1/account/recover", json=form).json()["proved"]
    assert one.put("/api/v1/account/password", json={"password": "another pool at noon"}).is_success
    assert code_of(runa.get("/api/v1/leaders")) == (401, "not-logged-in"), "others are out"
    assert code_of(stranger(app).post("/api/v1/account/recover", json=form)) == (422, "wrong-code")
    assert one.get("/api/v1/account/login-methods").json()["codes_left"] == 9


def test_a_passkey_is_made_shown_and_never_shown_twice(app, database):
    device = Device(ORIGIN)
    assert join_with(device, stranger(app), database).status_code == 200
    ask = stranger(app).post("/api/v1/account/passkey").json()
    shown = {"challenge_id": ask["challenge_id"], "credential": device.show(ask["options"])}
    again = stranger(app)
    assert again.post("/api/v1/account/passkey/log-in", json=shown).json()["name"] == "Eira"
    replayed = stranger(app).post("/api/v1/account/passkey/log-in", json=shown)
    assert code_of(replayed) == (422, "wrong-code")
    keys = again.get("/api/v1/account/login-methods").json()
    (kept,) = keys["passkeys"]
    assert (keys["has_password"], bool(kept["used_at"])) == (False, True)
    last = again.delete(f"/api/v1/account/passkeys/{kept['passkey_id']}")
    assert (last.status_code, last.json()["detail"]) == (422, "This is your only log-in method.")


def test_of_two_ways_in_dropped_at_once_one_stays(app, database):
    one = stranger(app)
    assert join_with(Device(ORIGIN), one, database).status_code == 200

    def keys():
        return [
            key["passkey_id"] for key in one.get("/api/v1/account/login-methods").json()["passkeys"]
        ]

    def add_another(cursor):
        eira = account_named(cursor, "Eira").account_id
        add_passkey(cursor, eira, "second", b"2", b"key", 0)

    def drop_all(cursor, pool):
        account_named(cursor, "Eira")  # holds the account
        begun = [pool.submit(one.delete, f"/api/v1/account/passkeys/{key}") for key in keys()]
        time.sleep(0.5)  # they wait for it
        return begun

    database.transact(add_another)
    with ThreadPoolExecutor(2) as pool:
        begun = database.transact(lambda cursor: drop_all(cursor, pool))
        assert sorted(dropped.result().status_code for dropped in begun) == [200, 422]
    assert len(keys()) == 1


@pytest.mark.parametrize(
    "spoilt",
    [
        lambda: Device("https://knots.example.evil.example"),
        lambda: Device(ORIGIN, verifies=False),
    ],
    ids=["on another site", "not verified"],
)
def test_a_passkey_made_elsewhere_or_by_nobody_is_refused(app, database, spoilt):
    assert code_of(join_with(spoilt(), stranger(app), database)) == (422, "wrong-code")


def test_a_copied_passkey_is_known_by_its_count(app, database):
    device, one = Device(ORIGIN), joined(app, database, "Eira")
    ask = one.post("/api/v1/account/passkeys/ask").json()
    form = {"challenge_id": ask["challenge_id"], "credential": device.make(ask["options"])}
    assert one.post("/api/v1/account/passkeys", json=form).status_code == 200
    for count, status in ((7, 200), (3, 422)):
        device.count = count
        ask = one.post("/api/v1/account/passkey").json()
        shown = {"challenge_id": ask["challenge_id"], "credential": device.show(ask["options"])}
        assert one.post("/api/v1/account/passkey/log-in", json=shown).status_code == status


def test_log_ins_are_listed_ended_and_grow_old(app, database):
    runa = joined(app, database, "Runa")
    other, _ = log_in(app, "Runa")
    rows = runa.get("/api/v1/account/logins").json()
    assert [row["here"] for row in rows].count(True) == 1
    elsewhere = next(row["login_id"] for row in rows if not row["here"])
    assert runa.delete(f"/api/v1/account/logins/{elsewhere}").status_code == 204
    assert other.get("/api/v1/leaders").status_code == 401
    third, _ = log_in(app, "Runa")
    assert runa.delete("/api/v1/account/logins").status_code == 204
    assert third.get("/api/v1/leaders").status_code == 401
    assert runa.get("/api/v1/leaders").status_code == 200
    old = "UPDATE login SET seen_at = seen_at - INTERVAL 8 DAY"
    database.transact(lambda cursor: cursor.execute(old))
    assert runa.get("/api/v1/leaders").status_code == 401


def test_a_log_in_that_another_kind_of_browser_shows_is_ended_and_told_of(app, database):
    runa = joined(app, database, "Runa")
    other, _ = log_in(app, "Runa")
    cookie = f"{LOGIN_COOKIE}={other.cookies[LOGIN_COOKIE]}"
    copied = {"user-agent": FIREFOX, "cookie": cookie}
    assert code_of(stranger(app).get("/api/v1/leaders", headers=copied)) == (401, "not-logged-in")
    assert other.get("/api/v1/leaders").status_code == 401, "whoever shows it"
    (told,) = (
        row for row in runa.get("/api/v1/account/activity").json() if "copied" in row["what"]
    )
    assert told["device"] == "Firefox on Windows"


def test_every_process_knows_what_all_have_worked_for_an_account(app, database):
    for name in ("Runa", "Eira"):
        joined(app, database, name)
    sql = "SELECT account_id FROM account ORDER BY name DESC"
    rows = database.transact(lambda cursor: cursor.execute(sql) and cursor.fetchall())
    runa, eira = (row["account_id"] for row in rows)
    here, there = Quota(share_s=100.0), Quota(share_s=100.0)

    async def worked(shares, whose, seconds):
        keeper = QuotaSync(shares, database)
        shares.add(whose, seconds)
        await keeper.tell()
        keeper.close()

    async def play():
        await worked(here, runa, 60.0)
        await worked(there, runa, 50.0)
        await worked(there, "gone meanwhile", 500.0)
        here.check(runa)
        there.check(eira)
        with pytest.raises(TooBusy):
            there.check(runa)
        database.transact(
            lambda c: c.execute("UPDATE compute_time SET ends_at = %s", (from_now(),))
        )
        await worked(here, runa, 1.0)
        await worked(there, runa, 1.0)
        there.check(runa)

    asyncio.run(play())


def test_what_is_grave_wants_a_proof_from_just_now(app, database):
    runa = joined(app, database, "Runa")
    old = "UPDATE login SET proved_at = proved_at - INTERVAL 11 MINUTE"
    database.transact(lambda cursor: cursor.execute(old))
    for refused in (
        runa.put("/api/v1/account/password", json={"password": "another pool at noon"}),
        runa.post("/api/v1/account/recovery-codes"),
        runa.post("/api/v1/account/passkeys/ask"),
        runa.delete("/api/v1/account", params={"name": "Runa"}),
    ):
        assert code_of(refused) == (403, "not-proved")
    assert code_of(runa.post("/api/v1/account/reauthenticate", json={"password": "x"})) == (
        422,
        "wrong-code",
    )
    assert runa.post("/api/v1/account/reauthenticate", json={"password": PASSWORD}).json()["proved"]
    assert runa.post("/api/v1/account/recovery-codes").status_code == 200


def test_what_was_tried_is_noted_without_whole_addresses(app, database):
    runa = joined(app, database, "Runa")
    log_in(app, "Runa", "not it at all")
    notes = runa.get("/api/v1/account/activity").json()
    assert [note["what"] for note in notes] == ["refused, password", "joined"]
    assert notes[0]["place"] == "unknown"  # the tests' client has no address
    assert code_of(runa.get("/api/v1/operator")) == (403, "not-yours")
    assert len(database.transact(lambda cursor: list_notes(cursor))) == 2


def test_out_is_out_and_all_is_deleted_at_a_word(app, database):
    runa, eira = joined(app, database, "Runa"), joined(app, database, "Eira")
    assert runa.post("/api/v1/anglers/demo").status_code == 200
    token = runa.cookies[LOGIN_COOKIE]
    assert runa.post("/api/v1/account/log-out").status_code == 204
    kept = stranger(app).get("/api/v1/leaders", headers={"cookie": f"{LOGIN_COOKIE}={token}"})
    assert kept.status_code == 401
    again, _ = log_in(app, "Runa")
    assert again.get("/api/v1/leaders").json()
    wrong = again.delete("/api/v1/account", params={"name": "Eira"})
    assert (wrong.status_code, wrong.json()["where"]) == (422, "name")
    assert again.delete("/api/v1/account", params={"name": "Runa"}).status_code == 204

    def left(cursor):
        cursor.execute("SELECT COUNT(*) AS n FROM account")
        accounts = cursor.fetchone()["n"]
        cursor.execute("SELECT COUNT(*) AS n FROM angler")
        return accounts, cursor.fetchone()["n"]

    assert database.transact(left) == (1, 1)
    assert eira.get("/api/v1/leaders").status_code == 200
    assert log_in(app, "Runa")[1].status_code == 422


def test_every_table_with_rows_of_accounts_is_forgotten(database):
    from nine_knots.store.accounts.accounts import TABLES

    def tables(cursor):
        cursor.execute(
            "SELECT TABLE_NAME AS name FROM information_schema.COLUMNS "
            "WHERE TABLE_SCHEMA = DATABASE() AND COLUMN_NAME = 'account_id'"
        )
        return {row["name"] for row in cursor.fetchall()}

    assert database.transact(tables) == {*TABLES, "angler"}


def test_an_account_begins_with_so_many_anglers_and_no_more(app, database):
    runa = joined(app, database, "Runa")
    made = [runa.post("/api/v1/anglers", json={"name": f"No {n}"}).status_code for n in range(12)]
    assert made == [200] * 11 + [422]
    assert "12 anglers at most" in runa.post("/api/v1/anglers/demo").json()["detail"]


def test_an_operator_sees_all_shuts_and_opens_and_nobody_else_does(app, database):
    keeper, runa = joined(app, database, "Keeper", as_operator=True), joined(app, database, "Runa")
    seen = keeper.get("/api/v1/operator").json()
    assert [item["name"] for item in seen["accounts"]] == ["Keeper", "Runa"]
    assert seen["seen_now"] == 2
    assert seen["words"] == ["Nothing is waiting for long."]
    account_id = seen["accounts"][1]["account_id"]
    shut = {"shut": True}
    assert runa.post(f"/api/v1/operator/accounts/{account_id}/shut", json=shut).status_code == 403
    assert keeper.post(f"/api/v1/operator/accounts/{account_id}/shut", json=shut).json()[1]["shut"]
    assert runa.get("/api/v1/leaders").status_code == 401
    assert log_in(app, "Runa")[1].status_code == 422
    opened = keeper.post(f"/api/v1/operator/accounts/{account_id}/shut", json={"shut": False})
    assert opened.status_code == 200
    assert log_in(app, "Runa")[1].status_code == 200
    invitation = {"note": "Torv", "as_operator": True}
    assert code_of(runa.post("/api/v1/account/invitations", json=invitation))[0] in (401, 403)
    made = keeper.post("/api/v1/account/invitations", json=invitation).json()
    assert made["url"].startswith(f"{ORIGIN}/join#")
    assert "<svg" in made["qr"]


def test_at_home_nobody_logs_in(client):
    assert client.get("/api/v1/account").json()["hosted"] is False
    answer = client.post("/api/v1/account/log-in", json={"name": "Runa", "password": PASSWORD})
    assert code_of(answer) == (404, "not-found")


def test_a_hosted_service_asks_nobody_behind_its_own_walls(app, database, monkeypatch):
    runa, asked = joined(app, database, "Runa"), []

    def connect(self, host, port, *args, **more):
        asked.append(host)
        raise httpcore.ConnectError("nobody is asked in a test")

    monkeypatch.setattr(httpcore.SyncBackend, "connect_tcp", connect)
    for base in (
        f"http://127.0.0.1:{PORT}/v1.1",
        "http://localhost/v1.1",
        "http://[::1]/v1.1",
        "http://10.0.0.1/v1.1",
        "http://169.254.169.254/latest",
        "http://2130706433/v1.1",
        "http://0x7f.1/v1.1",
    ):
        refused = runa.get("/api/v1/places/gauges", params={"base": base})
        assert (refused.status_code, refused.json()["where"]) == (422, "gauge"), base
    assert asked == []
    runa.get("/api/v1/places/gauges", params={"base": "https://93.184.216.34/v1.1"})
    assert asked == ["93.184.216.34"]


def paired(app, item):
    """A phone of somebody's, paired with their account."""
    assert (
        item.post("/api/v1/account/reauthenticate", json={"password": PASSWORD}).status_code == 200
    )
    code = item.post("/api/v1/phones/code").json()["code"]
    phone = stranger(app)
    answer = phone.post("/api/v1/phones/pair", json={"code": code, "name": "In the vest"})
    assert answer.status_code == 200, answer.text
    return phone


def test_a_phone_is_paired_by_who_shows_it_is_them_and_ends_with_the_rest(app, database):
    runa = joined(app, database, "Runa")
    database.transact(lambda c: c.execute("UPDATE login SET proved_at = '2026-01-01'"))
    assert code_of(runa.post("/api/v1/phones/code"))[1] == "not-proved"
    keeper = joined(app, database, "Keeper", as_operator=True)
    phone = paired(app, runa)
    assert phone.get("/api/v1/plans").status_code == 200
    account_id = database.transact(lambda c: account_named(c, "Runa")).account_id
    for shut, status in ((True, 401), (False, 200)):
        told = keeper.post(f"/api/v1/operator/accounts/{account_id}/shut", json={"shut": shut})
        assert told.status_code == 200, told.text
        assert phone.get("/api/v1/plans").status_code == status, "shut means shut"
    runa = log_in(app, "Runa")[0]  # shutting had ended it
    assert runa.delete("/api/v1/account/logins").status_code == 204
    assert phone.get("/api/v1/plans").status_code == 401, "logged out with all others"
    assert runa.get("/api/v1/phones").json()["phones"][0]["revoked"]
