"""What the bench instruments read of an angler's things; none is dropped."""

import uuid
from dataclasses import dataclass
from datetime import UTC, datetime

from pymysql.cursors import DictCursor

from nine_knots.core.measuring.measurement import Measurement
from nine_knots.store.rows import as_column, in_utc, readable_rows
from nine_knots.stored_types.types import MEASUREMENT


@dataclass(frozen=True, slots=True)
class KeptMeasurement:
    """A measurement and when it was taken."""

    measurement: Measurement
    taken_at: datetime


def add_measurement(
    cursor: DictCursor, angler_id: str, made: Measurement, taken_at: datetime | None = None
) -> str:
    """Keep one; answers its id."""
    measurement_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO measurement (angler_id, measurement_id, of_id, version, body, taken_at) "
        "VALUES (%s, %s, %s, %s, %s, %s)",
        (
            angler_id,
            measurement_id,
            made.of_id,
            MEASUREMENT.version,
            MEASUREMENT.write(made),
            as_column(taken_at or datetime.now(UTC)),
        ),
    )
    return measurement_id


def list_measurements(
    cursor: DictCursor, angler_id: str, of_id: str | None = None, most: int = 1_000_000
) -> tuple[KeptMeasurement, ...]:
    """All of them, or those of one thing, the newest first."""
    cursor.execute(
        "SELECT version, body, taken_at FROM measurement "
        "WHERE angler_id = %s AND of_id = COALESCE(%s, of_id) "
        "ORDER BY taken_at DESC, measurement_id DESC LIMIT %s",
        (angler_id, of_id, most),
    )
    return tuple(
        KeptMeasurement(made, in_utc(row["taken_at"]))
        for row, made in readable_rows(MEASUREMENT, cursor.fetchall())
    )
