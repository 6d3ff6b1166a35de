"""The site by which a hosted service is known."""

from dataclasses import dataclass
from urllib.parse import urlsplit

LOGIN_COOKIE = "__Host-nine-knots"
LOGIN_COOKIE_ALONE = "nine-knots-login"
"""On this machine alone, to try it out, without TLS."""


@dataclass(frozen=True, slots=True)
class Site:
    """Where the service is found by its anglers, such as ``https://knots.example``; ``mail`` is the
    server by which invitations are sent, empty where there is none, and ``sender`` from whom."""

    origin: str
    mail: str = ""
    sender: str = ""

    @property
    def secure(self) -> bool:
        """Whether browsers come by TLS, as they do but where it is tried out on one machine."""
        return self.origin.startswith("https:")

    @property
    def cookie(self) -> str:
        """The name of the cookie by which it knows who is logged in."""
        return LOGIN_COOKIE if self.secure else LOGIN_COOKIE_ALONE

    @property
    def host(self) -> str:
        """Name and port, as a browser says them."""
        return urlsplit(self.origin).netloc

    @property
    def name(self) -> str:
        """The name alone, to which passkeys are bound."""
        return urlsplit(self.origin).hostname or ""

    def join_url(self, token: str) -> str:
        """Where one joins by an invitation; what follows the hash never leaves the browser."""
        return f"{self.origin}/join#{token}"
