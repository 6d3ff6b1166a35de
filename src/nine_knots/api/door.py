"""The door to the home network: its addresses, and who comes in by it.

Only a phone that was paired does: it was given a token once, for a code that is good for ten
minutes and one phone. Whoever guesses codes voids them.
"""

import hashlib
import secrets
import time
from dataclasses import dataclass, field

from nine_knots.core.base.errors import WrongCode

COOKIE = "nine-knots-phone"
LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789"  # none that is taken for another
CODE_LENGTH = 10
GOOD_S = 600.0
MOST_WRONG = 5
OPEN = ("/api/phones/pair", "/api/phones/authority.crt")
"""What a phone may call before it is paired."""
AT_THE_BENCH = ("/api/phones", "/api/anglers", "/api/everything", "/api/instruments")
"""What only the bench itself may call, but for those: who comes in, whose things are in front, all
of them at once, and what is plugged in there."""
WATCHED_HERE = ("/metrics", "/health")
"""What an operator watches, at the machine itself."""


@dataclass(frozen=True)
class Door:
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


@dataclass
class _Code:
    angler_id: str
    until: float


@dataclass
class Pairing:
    """Codes that are good now; they live no longer than the service."""

    _codes: dict[str, _Code] = field(default_factory=dict)
    _wrong: int = 0

    def new_code(self, angler_id: str) -> str:
        """A code for one phone of this angler."""
        self._wrong = 0
        code = "".join(secrets.choice(LETTERS) for _ in range(CODE_LENGTH))
        self._codes[code] = _Code(angler_id, time.monotonic() + GOOD_S)
        return code

    def take(self, code: str) -> str:
        """Whose code it is, which is then spent; WrongCode where it is none or too old."""
        found = self._codes.pop(code.strip().upper(), None)
        if found is None:
            self._wrong += 1
            if self._wrong >= MOST_WRONG:
                self._codes.clear()
        if found is None or found.until < time.monotonic():
            raise WrongCode(
                "This code is not good, or not any more.",
                where="code",
                mend="At the bench, under My things, ask for another: it is good for ten minutes.",
            )
        return found.angler_id


def new_token() -> str:
    """What a phone is given once."""
    return secrets.token_urlsafe(32)


def hash_of(token: str) -> str:
    """What is kept of it."""
    return hashlib.sha256(token.encode()).hexdigest()
