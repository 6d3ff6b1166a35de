"""A hosted service as a process of its own, on this machine alone, and who joins it."""

import re
from pathlib import Path

import httpx

from nine_knots.run.mariadb import free_port
from tests.running import PATIENCE, Running

PASSWORD = "alder pool sedge at dusk"


class Hosted(Running):
    """``./serve`` for this machine; ``site`` is where it is found."""

    def __init__(self, local: Path, *more: str, port: int | None = None) -> None:
        port = port or free_port()
        self.site = f"http://localhost:{port}"
        super().__init__(local, "--hosted", self.site, *more, port=port)

    @property
    def invitation(self) -> str:
        """By which its first operator joins, as the window says."""
        return invitation_in(self.said)


def invitation_in(said: str) -> str:
    """The last invitation that a window says."""
    return re.findall(r"/join#(\S+)", said)[-1]


def caller(site: str) -> httpx.Client:
    """Somebody's browser, as far as it asks."""
    return httpx.Client(base_url=site, headers={"origin": site}, timeout=PATIENCE)


def joined(site: str, invitation: str, name: str) -> httpx.Client:
    """Somebody who has just joined by an invitation."""
    one = caller(site)
    form = {"invitation": invitation, "name": name, "password": PASSWORD}
    one.post("/api/v1/account/join", json=form).raise_for_status()
    return one


def invite(keeper: httpx.Client) -> str:
    """An invitation by somebody who has joined."""
    made = keeper.post("/api/v1/account/invitations", json={"note": "a test"}).json()
    return str(made["url"].split("#")[1])
