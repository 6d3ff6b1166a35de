"""Pull tests as CSV, in newtons, and back."""

import csv
import io
from dataclasses import dataclass

from pydantic import ValidationError

from nine_knots.core.base.errors import Unreadable
from nine_knots.core.domain.knots.own import PullTest
from nine_knots.formats.text import cell, from_cell

COLUMNS = ("knot", "family", "line", "strand_n", "broke_n", "set_aside")
MOST_ROWS = 2000


@dataclass(frozen=True, slots=True)
class PullRow:
    """A test and the name of the line it was made on."""

    test: PullTest
    line: str


def write_pulls(rows: tuple[PullRow, ...]) -> str:
    """The tests as CSV with a header."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(COLUMNS)
    for row in rows:
        test = row.test
        writer.writerow(
            [
                test.knot,
                test.family,
                cell(row.line),
                f"{test.strand_n:.3f}",
                f"{test.broke_n:.3f}",
                "yes" if test.set_aside else "no",
            ]
        )
    return out.getvalue()


def read_pulls(text: str) -> tuple[PullRow, ...]:
    """The tests in a CSV; Unreadable names the row and what is wrong with it."""
    try:
        found = list(csv.DictReader(io.StringIO(text.lstrip("\ufeff")), restval="", strict=True))
        header = next(csv.reader(io.StringIO(text.lstrip("\ufeff"))), [])
    except csv.Error as broken:
        raise Unreadable(
            f"This is not valid CSV: {broken}.", hint="Look for a missing closing quote."
        ) from broken
    missing = [name for name in COLUMNS if name not in header]
    if missing:
        raise Unreadable(
            f"The file has no column {', '.join(missing)}.",
            where="line 1",
            hint=f"Its header must be {','.join(COLUMNS)}.",
        )
    rows = []
    for number, row in enumerate(found, start=2):
        try:
            rows.append(_row(row))
        except (ValueError, KeyError) as error:
            said = error.errors()[0]["msg"] if isinstance(error, ValidationError) else str(error)
            raise Unreadable(
                f"Line {number} is not a pull test: {said}.",
                where=f"line {number}",
                hint="Correct that line. Nothing was imported.",
            ) from error
        if len(rows) > MOST_ROWS:
            raise Unreadable(f"More than {MOST_ROWS} tests.", hint="Split the file.")
    return tuple(rows)


def _row(row: dict[str, str]) -> PullRow:
    aside = row["set_aside"].strip().lower() or "no"
    if aside not in ("yes", "no"):
        raise ValueError(f"set_aside is “{aside}”, not yes or no")
    test = PullTest.model_validate(
        {
            "knot": row["knot"].strip(),
            "family": row["family"].strip(),
            "strand_n": float(row["strand_n"]),
            "broke_n": float(row["broke_n"]),
            "set_aside": aside == "yes",
        }
    )
    return PullRow(test=test, line=from_cell(row["line"].strip())[:80] or "unnamed")
