"""Secrets that people choose: only what Argon2id makes of them is kept [S: Biryukov2021]."""

from argon2 import PasswordHasher
from argon2.exceptions import InvalidHashError, VerificationError

_hasher = PasswordHasher()


def sealed(secret: str) -> str:
    """What is kept of a secret: one cannot be found from it but by guessing."""
    return _hasher.hash(secret)


def opens(kept: str, secret: str) -> bool:
    """Whether it is the secret of which this was kept."""
    try:
        return _hasher.verify(kept, secret)
    except (VerificationError, InvalidHashError):
        return False
