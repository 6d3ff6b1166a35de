"""The door to the home network: its addresses, and who comes in by it.

Only a phone that was paired does: it was given a token once, for a code that is good for ten
minutes and one phone.
"""

from dataclasses import dataclass

COOKIE = "nine-knots-phone"
OPEN = ("/api/v1/phones/pair", "/api/v1/phones/authority.crt")
"""What a phone may call before it is paired."""
WATCHED_HERE = ("/metrics", "/health")
"""What an operator watches, at the machine itself."""


@dataclass(frozen=True)
class LanAccess:
    """Where the home network finds the bench, and the authority that vouches for it (PEM)."""

    port: int
    addresses: tuple[str, ...]
    authority: str

    @property
    def hosts(self) -> frozenset[str]:
        """Hosts by which it may be called."""
        return frozenset(f"{name}:{self.port}" for name in self.addresses)

    @property
    def url(self) -> str:
        """The address to tell a phone."""
        return f"https://{self.addresses[0]}:{self.port}"
