"""Secrets: of those that people choose only what Argon2id makes of them is kept [S: Biryukov2021],
of those made here, which nobody guesses, a SHA-256."""

import hashlib
import secrets

from argon2 import PasswordHasher
from argon2.exceptions import InvalidHashError, VerificationError

from nine_knots.services.concurrency_limit import ConcurrencyLimit

_hasher = PasswordHasher()
SLOW = ConcurrencyLimit(at_once=2, waiting=6, busy="Many people are logging in right now.")
"""A hash takes 64 MB for as long as it is made: forty at once would take 2.6 GB."""
LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789"  # none that is taken for another


def sealed(secret: str) -> str:
    """What is kept of a secret: one cannot be found from it but by guessing."""
    with SLOW.place():
        return _hasher.hash(secret)


def opens(kept: str, secret: str) -> bool:
    """Whether it is the secret of which this was kept."""
    try:
        with SLOW.place():
            return _hasher.verify(kept, secret)
    except (VerificationError, InvalidHashError):
        return False


def new_token() -> str:
    """What a browser or a phone is given once, of 256 bits."""
    return secrets.token_urlsafe(32)


def new_code(letters: int) -> str:
    """What is typed or scanned once, of five bits a letter."""
    return "".join(secrets.choice(LETTERS) for _ in range(letters))


def hash_of(token: str) -> str:
    """What is kept of a token."""
    return hashlib.sha256(token.encode()).hexdigest()


def code_hash(code: str) -> str:
    """What is kept of a code, however its letters were typed."""
    return hash_of("".join(letter for letter in code.upper() if letter.isalnum()))
