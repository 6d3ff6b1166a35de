"""Secrets against what is recommended for them."""

import re

import pytest

from nine_knots.core.base.errors import OutOfRange
from nine_knots.services.passwords import check_password
from nine_knots.services.secret import code_hash, hash_of, new_code, new_token, opens, sealed


def test_passwords_are_kept_as_the_rfc_recommends():
    """[S: Biryukov2021, section 4, second recommended option: Argon2id, 64 MiB, three passes, four
    lanes, a salt of 128 bits]."""
    kept = sealed("alder pool sedge at dusk")
    found = re.match(r"\$argon2id\$v=19\$m=(\d+),t=(\d+),p=(\d+)\$([^$]+)\$", kept)
    assert [int(found[number]) for number in (1, 2, 3)] == [65536, 3, 4]
    assert len(found[4]) * 6 >= 128
    assert sealed("alder pool sedge at dusk") != kept
    assert opens(kept, "alder pool sedge at dusk")
    assert not opens(kept, "alder pool sedge at dusk ")
    assert not opens("rubbish", "alder pool sedge at dusk")


def test_what_is_made_here_is_beyond_guessing_and_hashed_as_the_standard_says():
    """FIPS 180-4, SHA-256 of “abc”; tokens of 256 bits, codes of five bits a letter."""
    assert hash_of("abc") == "ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad"
    assert len({new_token() for _ in range(100)}) == 100
    assert all(len(new_token()) * 6 >= 256 for _ in range(10))
    code = new_code(12)
    assert not set(code) & set("01OIoi")
    assert code_hash(f" {code[:4].lower()}-{code[4:]} ") == code_hash(code)


@pytest.mark.parametrize(
    "weak",
    [
        "short",
        "x" * 129,
        "password1234",
        "qwertyuiop12",
        "aaaaaaaaaaaaa",
        "111111111111",
        "runa runa runa",
    ],
)
def test_common_and_easily_guessed_passwords_are_refused(weak):
    """Passwords of the lists of leaked ones, keyboards' rows, repeats, the owner's name: common
    practice, no source."""
    with pytest.raises(OutOfRange):
        check_password(weak, ("Runa",))


def test_words_that_have_nothing_to_do_with_each_other_are_taken():
    check_password("alder pool sedge at dusk", ("Runa",))
    check_password("þrír göngustafir í ánni", ("Runa",))
    check_password("k" + "9Zr!t" * 25, ("Runa",))
