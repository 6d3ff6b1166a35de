"""Recovery codes: each lets its owner in once, where passkey and password are gone."""

from collections.abc import Iterable

from pymysql.cursors import DictCursor


def write_codes(cursor: DictCursor, account_id: str, hashes: Iterable[str]) -> None:
    """Keep the hashes of new codes; the ones before are good no more."""
    cursor.execute("DELETE FROM recovery_code WHERE account_id = %s", (account_id,))
    cursor.executemany(
        "INSERT INTO recovery_code (account_id, code_hash) VALUES (%s, %s)",
        [(account_id, hash_) for hash_ in hashes],
    )


def use_code(cursor: DictCursor, account_id: str, code_hash: str) -> bool:
    """Spend a code; whether it was one, and not spent."""
    return bool(
        cursor.execute(
            "UPDATE recovery_code SET used_at = UTC_TIMESTAMP(6) "
            "WHERE account_id = %s AND code_hash = %s AND used_at IS NULL",
            (account_id, code_hash),
        )
    )


def codes_left(cursor: DictCursor, account_id: str) -> int:
    """How many are not spent."""
    cursor.execute(
        "SELECT COUNT(*) AS still FROM recovery_code WHERE account_id = %s AND used_at IS NULL",
        (account_id,),
    )
    row = cursor.fetchone()
    return int(row["still"]) if row else 0
