"""The application on the tests' database, with the demo's shelf."""

from collections.abc import Iterator

import pytest
from fastapi.testclient import TestClient

from nine_knots.api.app import create_app
from nine_knots.demo.load import load_demo

PORT = 8123


@pytest.fixture(scope="session")
def served(migrated) -> Iterator[TestClient]:
    """One application, and so one crew of workers, for all tests."""
    with TestClient(create_app(migrated, PORT), base_url=f"http://127.0.0.1:{PORT}") as made:
        yield made


@pytest.fixture
def client(served, database) -> TestClient:
    """The application with nothing but the demo in its database, before its season."""
    load_demo(database, season=False)
    return served


@pytest.fixture
def fished(served, database) -> TestClient:
    """The same after a season on the Skarn."""
    load_demo(database)
    return served


@pytest.fixture
def saved(client) -> dict:
    """The leader that the demo shows first, as saved."""
    first = client.get("/api/v1/leaders").json()[0]
    return client.get(f"/api/v1/leaders/{first['leader_id']}").json()
