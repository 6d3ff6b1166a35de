"""A leader as CSV: a row a piece, with the joint at its upper end; the last row is the fly's.

Figures are SI and written in full, so that a round trip is lossless. Droppers and things along
the line have no place in it: a leader that has them is refused with the hint to use JSON.
"""

import csv
import io
from typing import Any

from pydantic import ValidationError

from nine_knots.core.domain.leader import Connection, Leader, LevelSection, TaperedSection
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.domain.strand import Strand, TaperedStrand, TaperProfile
from nine_knots.formats.errors import FileRefused

JOINT = ("joint_kind", "joint_knot", "joint_upper_knot")
STRAND = ("material", "strength_n", "modulus_pa", "colour", "spool_id")
PROFILE = tuple(TaperProfile.model_fields)
COLUMNS = (
    *("school", *JOINT, "form", "role", *STRAND),
    *("length_m", "diameter_m", "cut_butt_m", "cut_tip_m", *PROFILE),
)
WEAR = "wear"  # may be missing: a file from before it has new pieces
BY = ("across_by", "modulus_by")
MEASURED = tuple(f"{by}_{field}" for by in BY for field in MeasuredSpread.model_fields)
MORE = ("estimated", *MEASURED, WEAR)  # may be missing, each: what was not known then
MOST_BYTES = 100_000


def write_csv(leader: Leader) -> str:
    """The leader as the text of a CSV file."""
    if leader.attachments or leader.flies_above:
        raise FileRefused(
            "CSV can't hold droppers, flies in line, shot or indicators.",
            hint="Export it as JSON.",
        )
    out = io.StringIO()
    writer = csv.DictWriter(out, (*COLUMNS, *MORE), lineterminator="\n")
    writer.writeheader()
    for number, joint in enumerate(leader.joints):
        row: dict[str, Any] = {
            "school": leader.school or "",
            "joint_kind": joint.kind,
            "joint_knot": joint.knot,
            "joint_upper_knot": joint.upper_knot or "",
        }
        if number < len(leader.pieces):
            row |= _piece_row(leader.pieces[number])
        else:
            row["form"] = "fly"
        writer.writerow({key: "" if value is None else value for key, value in row.items()})
    return out.getvalue()


def _piece_row(piece: LevelSection | TaperedSection) -> dict[str, Any]:
    row: dict[str, Any] = {"form": piece.form, "role": piece.role, WEAR: piece.wear}
    row |= {name: getattr(piece.strand, name) for name in STRAND}
    row["estimated"] = "yes" if piece.strand.estimated else ""
    for by in BY:
        measured = getattr(piece.strand, by)
        row |= {
            f"{by}_{field}": getattr(measured, field, "") for field in MeasuredSpread.model_fields
        }
    if isinstance(piece, LevelSection):
        return row | {"length_m": piece.length_m, "diameter_m": piece.strand.diameter_m}
    row |= {"cut_butt_m": piece.cut_butt_m, "cut_tip_m": piece.cut_tip_m}
    return row | {name: getattr(piece.strand.profile, name) for name in PROFILE}


def read_csv(text: str) -> Leader:
    """The leader in a CSV file's text; FileRefused names line and column."""
    if len(text.encode()) > MOST_BYTES:
        raise FileRefused(
            f"The file is larger than {MOST_BYTES // 1000} kB, too large for a leader."
        )
    try:
        rows = list(csv.DictReader(io.StringIO(text.lstrip("\ufeff")), strict=True))
    except csv.Error as error:
        raise FileRefused(
            f"This is not valid CSV: {error}.", hint="Export the leader again."
        ) from error
    missing = [name for name in COLUMNS if not rows or name not in rows[0]]
    if missing:
        raise FileRefused(
            f"Columns are missing: {', '.join(missing[:4])}.",
            where="line 1",
            hint="The first line must name every column; see the formats page.",
        )
    pieces: list[LevelSection | TaperedSection] = []
    joints: list[Connection] = []
    for line, row in enumerate(rows, start=2):
        try:
            joints.append(_joint(row))
            if row["form"] != "fly":
                pieces.append(_piece(row))
        except ValidationError as error:
            first = error.errors()[0]
            column = ".".join(str(part) for part in first["loc"]) or "row"
            raise FileRefused(
                f"Line {line}, {column}: {first['msg'].removeprefix('Value error, ')}.",
                where=f"line {line}, {column}",
                hint="Correct this field.",
            ) from error
    try:
        school = rows[0]["school"] or None
        return Leader(pieces=tuple(pieces), joints=tuple(joints), school=school)
    except ValidationError as error:
        said = error.errors()[0]["msg"].removeprefix("Value error, ")
        raise FileRefused(
            f"The rows don't make a leader: {said}.",
            where=f"line {len(rows) + 1}",
            hint="Use one row per piece and a last row for the fly.",
        ) from error


def _joint(row: dict[str, str]) -> Connection:
    fields = {"kind": row["joint_kind"], "knot": row["joint_knot"]}
    return Connection.model_validate(
        fields | {"upper_knot": row["joint_upper_knot"] or None}, strict=False
    )


def _piece(row: dict[str, str]) -> LevelSection | TaperedSection:
    stuff: dict[str, Any] = {name: row[name] or None for name in STRAND}
    stuff["estimated"] = row.get("estimated") == "yes"
    for by in BY:
        said = {field: row.get(f"{by}_{field}") or None for field in MeasuredSpread.model_fields}
        measured = any(said.values())
        stuff[by] = MeasuredSpread.model_validate(said, strict=False) if measured else None
    worn = row.get(WEAR) or "new"
    if row["form"] == "tapered":
        profile = TaperProfile.model_validate({name: row[name] for name in PROFILE}, strict=False)
        return TaperedSection.model_validate(
            {
                "role": row["role"],
                "wear": worn,
                "strand": TaperedStrand.model_validate({**stuff, "profile": profile}, strict=False),
                "cut_butt_m": row["cut_butt_m"],
                "cut_tip_m": row["cut_tip_m"],
            },
            strict=False,
        )
    strand = Strand.model_validate({**stuff, "diameter_m": row["diameter_m"]}, strict=False)
    return LevelSection.model_validate(
        {
            "form": row["form"],
            "role": row["role"],
            "wear": worn,
            "length_m": row["length_m"],
            "strand": strand,
        },
        strict=False,
    )
