"""Bodies of requests, looked at before anything else reads them: JSON, of a sane size and shape.

What is refused here is refused in milliseconds, with the one thing that is wrong with it.
"""

import json
from dataclasses import dataclass
from typing import Any

MOST_BYTES = 400_000
STRANGERS_BYTES = 20_000  # of who is not logged in: a passkey's answer takes 5,000
MOST_BYTES_OF = {
    "/api/v1/account-data": 32_000_000,
    "/api/v1/sharing/leaders": 8_000_000,
    "/api/v1/events": 4_000_000,
    "/api/v1/photos": 8_100_000,
}
"""Larger ones are taken only where all that an angler has comes at once."""
MOST_ITEMS = 2_100  # of a list: rows of a table
MOST_PARTS = 20_000  # lists and objects in all
DEEPEST = 24
SPARSEST_BYTES = 25  # of a large body to each of its parts: an angler's own have 65 and more


@dataclass(eq=False)
class RejectedRequest(Exception):
    """A body that is refused: status, code, what and the mend."""

    status: int
    code: str
    detail: str
    hint: str


def most_bytes(path: str) -> int:
    """How large a body may be."""
    return MOST_BYTES_OF.get(path, MOST_BYTES)


def check_kind(content_type: str) -> None:
    """Refuse what does not say that it is JSON."""
    kind = content_type.split(";")[0].strip().lower()
    if kind != "application/json":
        raise RejectedRequest(
            415, "not-json", "Only JSON is accepted.", "Send it as application/json."
        )


def check_density(body: bytes) -> None:
    """Refuse a large body that is nearly all brackets: reading it would take many times its memory.

    It is looked at without being read, so brackets within texts count too.
    """
    if body.count(b"{") + body.count(b"[") > MOST_PARTS + len(body) // SPARSEST_BYTES:
        raise _too_many_parts()


def check_shape(body: bytes) -> None:
    """Refuse what is no JSON, or so large in its parts that validating it would take long."""
    try:
        value = json.loads(body)
    except RecursionError as deep:
        raise _too_deep() from deep
    except (ValueError, UnicodeDecodeError) as broken:
        raise RejectedRequest(
            400,
            "not-json",
            "The request body is not valid JSON.",
            f"Correct it: {str(broken)[:120]}.",
        ) from broken
    _walk(value)


def _walk(value: Any) -> None:
    waiting: list[tuple[Any, int]] = [(value, 1)]
    parts = 0
    while waiting:
        one, depth = waiting.pop()
        if not isinstance(one, dict | list):
            continue
        inner = one.values() if isinstance(one, dict) else one
        parts += 1
        if depth > DEEPEST:
            raise _too_deep()
        if len(one) > MOST_ITEMS or parts > MOST_PARTS:
            raise _too_many_parts()
        waiting += [(part, depth + 1) for part in inner if isinstance(part, dict | list)]


def _too_many_parts() -> RejectedRequest:
    return RejectedRequest(422, "invalid", "The request body has too many parts.", "")


def _too_deep() -> RejectedRequest:
    return RejectedRequest(
        422, "invalid", f"The request body is nested more than {DEEPEST} deep.", ""
    )
