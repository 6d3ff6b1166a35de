"""Whether a password that somebody chooses is hard enough to guess, by the zxcvbn package, which
knows the common ones [S: Wheeler2016]."""

from nine_knots.core.base.errors import OutOfRange

SHORTEST, LONGEST = 12, 128
LOOKED_AT = 32
"""Characters that are judged: an odd one of 72, all signs that stand for letters, took 6.6 s."""
HARD = 3  # of 4: ten thousand million guesses would not find it


def check_password(password: str, known: tuple[str, ...] = ()) -> None:
    """OutOfRange where a password is too short, too long, common, or guessed from what is ``known``
    of its owner."""
    if not SHORTEST <= len(password) <= LONGEST:
        raise OutOfRange(
            f"A password has {SHORTEST} to {LONGEST} characters.",
            where="password",
            hint="Use several unrelated words.",
        )
    from zxcvbn import zxcvbn  # its lists of words load slowly

    if zxcvbn(password[:LOOKED_AT], user_inputs=[*known, "nine knots"])["score"] < HARD:
        raise OutOfRange(
            "This password is easy to guess.",
            where="password",
            hint="Use several unrelated words that have nothing to do with you.",
        )
