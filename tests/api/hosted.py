"""A hosted service for the tests, and who comes to it."""

from fastapi.testclient import TestClient

from nine_knots.api.app import create_app
from nine_knots.api.site import Site
from nine_knots.services.secret import hash_of, new_token
from nine_knots.store.accounts.invitations import add_invitation
from tests.api.conftest import PORT
from tests.hosting import PASSWORD

ORIGIN = "https://knots.example"


def hosted(migrated, **more):
    return create_app(migrated, PORT, site=Site(ORIGIN, **more))


def stranger(app, address: str = "testclient") -> TestClient:
    return TestClient(app, base_url=ORIGIN, headers={"origin": ORIGIN}, client=(address, 50_000))


def invited(database, as_operator: bool = False) -> str:
    token = new_token()
    database.transact(lambda cursor: add_invitation(cursor, None, hash_of(token), "", as_operator))
    return token


def joined(app, database, name: str, as_operator: bool = False, **by) -> TestClient:
    """Somebody who has joined and is logged in; their recovery codes are kept as ``codes``."""
    one = stranger(app)
    form = {"invitation": invited(database, as_operator), "name": name}
    answer = one.post("/api/v1/account/join", json={**form, **(by or {"password": PASSWORD})})
    assert answer.status_code == 200, answer.text
    one.codes = answer.json()["codes"]
    return one
