"""What a dump may contain: the statements that our own dumps are made of, and nothing else.

A backup is a file that anybody may have written. The client that reads it back knows commands that
run programs, and SQL reaches further than our tables, so each statement is looked at before any is
run.
"""

import mmap
import re
from collections.abc import Iterator
from pathlib import Path

from nine_knots.formats.errors import FileRefused

TOKEN = re.compile(
    rb"""(?P<text>'(?:[^'\\]|\\.|'')*') | (?P<name>`[^`\n]*`)
    | (?P<note>--(?:[ \t][^\n]*)?(?:\n|\Z)) | (?P<set>/\*!?.*?\*/) | (?P<end>;)
    | (?P<more>[^'`;/\\"-]+ | [/-])""",
    re.VERBOSE | re.DOTALL,
)
"""Pieces of a dump; a backslash or a double quote outside of a text is none of them."""
SANDBOX = re.compile(rb"/\*M?!999999\\- enable the sandbox mode \*/")
ONE_SET = rb"@?[A-Za-z_]+\s*=\s*(?:@@?[A-Za-z_]+|\d+|utf8mb4|'\+00:00'|'NO_AUTO_VALUE_ON_ZERO')"
"""No value that changes how texts are quoted: then client and check would read them differently."""
ALLOWED = tuple(
    re.compile(pattern, re.DOTALL)
    for pattern in (
        rb"/\*!\d{5,6} SET NAMES utf8mb4 \*/",
        rb"/\*!\d{5,6} SET " + ONE_SET + rb"(?:\s*,\s*" + ONE_SET + rb")* \*/",
        rb"/\*!\d{5,6} ALTER TABLE `` (?:DIS|EN)ABLE KEYS \*/",
        rb"DROP TABLE IF EXISTS ``",
        rb"LOCK TABLES `` WRITE",
        rb"UNLOCK TABLES",
        rb"CREATE TABLE `` \((?:[^;#/]|/(?!\*))*\) ENGINE=InnoDB[A-Za-z0-9_= '+]*",
        rb"INSERT INTO `` VALUES\s*(?:[\s(),.+-]|\d[\dA-Fa-fxe.]*|NULL|_binary|'')*",
    )
)
NOT_IN_A_TABLE = re.compile(
    rb"\b(?:SELECT|DIRECTORY|CONNECTION|UNION|PARTITION|LOAD_FILE)\b", re.IGNORECASE
)


def check_dump(dumped: Path) -> None:
    """FileRefused for a dump with anything in it that none of ours contains."""
    if dumped.stat().st_size == 0:
        return
    with dumped.open("rb") as file, mmap.mmap(file.fileno(), 0, access=mmap.ACCESS_READ) as data:
        for line, statement in _statements(data):
            if not any(item.fullmatch(statement) for item in ALLOWED) or (
                statement.startswith(b"CREATE") and NOT_IN_A_TABLE.search(statement)
            ):
                raise _refused(line, statement)


def _statements(data: mmap.mmap) -> Iterator[tuple[int, bytes]]:
    """Each statement with its line, its texts and names emptied, its notes left out."""
    at, begun = 0, 0
    parts: list[bytes] = []
    opening = SANDBOX.match(data)
    if opening is not None:
        at = opening.end()
    while at < len(data):
        found = TOKEN.match(data, at)
        if found is None:
            raise _refused(_line(data, at), data[at : at + 40])
        kind, piece = found.lastgroup, found[0]
        if not parts and kind != "note" and piece.strip():
            begun = at + len(piece) - len(piece.lstrip())
        if kind == "end":
            yield _line(data, begun), b"".join(parts).strip()
            parts = []
        elif kind == "text":
            parts.append(b"''")
        elif kind == "name":
            parts.append(b"``")
        elif kind == "set":
            parts.append(re.sub(rb"`\w+`", b"``", piece))
        elif kind == "more" and (parts or piece.strip()):
            parts.append(piece)
        at = found.end()
    rest = b"".join(parts).strip()
    if rest:
        yield _line(data, begun), rest


def _line(data: mmap.mmap, at: int) -> int:
    return data[:at].count(b"\n") + 1


def _refused(line: int, statement: bytes) -> FileRefused:
    said = statement[:60].decode(errors="replace").replace("\n", " ")
    return FileRefused(
        f"The backup was not restored: line {line} of its dump is nothing that Nine Knots writes "
        f"(“{said}”).",
        where="data.sql",
        hint="Use an unchanged backup made by this program.",
    )
