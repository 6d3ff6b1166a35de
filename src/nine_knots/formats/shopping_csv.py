"""What is to be bought as CSV: what, why."""

import csv
import io

from nine_knots.formats.text import cell
from nine_knots.words.ledger import ShoppingRow


def write_shopping(rows: tuple[ShoppingRow, ...]) -> str:
    """The file's text."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(("buy", "why"))
    writer.writerows((cell(row.what), cell(row.why)) for row in rows)
    return out.getvalue()
