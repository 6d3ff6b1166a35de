"""All that an angler has read out whole as one value, and laid beside what was there."""

import uuid
from datetime import UTC, datetime

from pymysql.cursors import DictCursor

from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.store.account_export_types import (
    AccountExport,
    ActKept,
    LandingKept,
    LeaderKept,
    MeasurementKept,
    PlanKept,
    PullKept,
    RetiredItems,
    RevisionKept,
    TiedKept,
    versions_today,
)
from nine_knots.store.anglers import create_angler, read_settings
from nine_knots.store.damaged import list_damaged
from nine_knots.store.events import add_events, list_events
from nine_knots.store.landings import list_landings, read_estimate, write_estimate
from nine_knots.store.leaders import labels_column, labels_in
from nine_knots.store.ledger import KeptAct, list_acts, put_stock, write_acts
from nine_knots.store.lower_rigs import list_lower_rigs, put_lower_rig
from nine_knots.store.measurements import add_measurement, list_measurements
from nine_knots.store.places import add_place, list_places
from nine_knots.store.plans import insert_plan, list_plans
from nine_knots.store.practice import add_attempt, list_attempts
from nine_knots.store.pulls import list_tests
from nine_knots.store.rows import as_column, in_utc, readable_rows
from nine_knots.store.stock import list_stock, retire_stock
from nine_knots.store.tackle import add_tackle, list_tackle, read_kit, retire_tackle
from nine_knots.store.tying import read_height_m, read_ties, write_height_m, write_ties
from nine_knots.store.wallet import list_wallet, put_rigs
from nine_knots.stored_types.types import DESIGN, PULL_TEST, SEEN
from nine_knots.words.found_by import search_words_of

MOST_ACTS = 1_000_000
EVENTS_AT_ONCE = 500
NO_PLACE = "0" * 32
"""Of a plan in the file, where its water goes by its name."""


def read_account_export(cursor: DictCursor, angler_id: str) -> AccountExport:
    """All that this angler has."""
    kit = read_kit(cursor, angler_id)
    return AccountExport(
        versions=versions_today(),
        written_at=datetime.now(UTC),
        settings=read_settings(cursor, angler_id),
        height_m=read_height_m(cursor, angler_id),
        ties=read_ties(cursor, angler_id),
        stock=list_stock(cursor, angler_id),
        rods=kit.rods,
        lines=kit.lines,
        flies=kit.flies,
        leaders=_leaders(cursor, angler_id),
        lower_rigs=tuple(rig for _, rig in list_lower_rigs(cursor, angler_id)),
        landings=_landings(cursor, angler_id),
        own_cast=read_estimate(cursor, angler_id),
        attempts=list_attempts(cursor, angler_id),
        pulls=_pulls(cursor, angler_id),
        tied=_tied(cursor, angler_id),
        retired=_retired(cursor, angler_id),
        ledger=tuple(
            ActKept(act_id=act.act_id, noted_at=act.noted_at, act=act.act, undone=act.undone)
            for act in reversed(list_acts(cursor, angler_id, MOST_ACTS))
        ),
        places=tuple(place for _, place in list_places(cursor, angler_id)),
        measurements=tuple(
            MeasurementKept(measurement=measurement.measurement, taken_at=measurement.taken_at)
            for measurement in reversed(list_measurements(cursor, angler_id))
        ),
        plans=_plans(cursor, angler_id),
        wallet=tuple(rig for _, rig in reversed(list_wallet(cursor, angler_id))),
        happened=list_events(cursor, angler_id),
        damaged=list_damaged(cursor, angler_id),
    )


def write_account_export(
    cursor: DictCursor, found: AccountExport, account_id: str | None = None
) -> str:
    """Make another angler of it, who then sits at the bench; answers the id."""
    angler_id = create_angler(cursor, found.settings, account_id=account_id)
    write_height_m(cursor, angler_id, found.height_m)
    write_ties(cursor, angler_id, found.ties)
    write_acts(
        cursor,
        angler_id,
        (
            KeptAct(act_kept.act_id, act_kept.noted_at, act_kept.act, act_kept.undone)
            for act_kept in found.ledger
        ),
    )
    for stock_item in (*found.stock, *found.retired.stock):
        put_stock(cursor, angler_id, stock_item)
    for stock_item in found.retired.stock:
        retire_stock(cursor, angler_id, stock_item.spool_id)
    _write_kit(cursor, angler_id, found)
    for leader in found.leaders:
        _write_leader(cursor, angler_id, leader)
    for rig in found.lower_rigs:
        put_lower_rig(cursor, angler_id, rig)
    waters = {place.title: add_place(cursor, angler_id, place) for place in found.places}
    for plan_kept in found.plans:
        at = {"place_id": waters.get(plan_kept.place, plan_kept.plan.place_id)}
        insert_plan(cursor, angler_id, plan_kept.plan.evolve(**at), plan_kept.plan_id)
    put_rigs(cursor, angler_id, found.wallet)
    for first in range(0, len(found.happened), EVENTS_AT_ONCE):
        add_events(cursor, angler_id, found.happened[first : first + EVENTS_AT_ONCE])
    for attempt in found.attempts:
        add_attempt(cursor, angler_id, attempt)
    if found.own_cast is not None:
        write_estimate(cursor, angler_id, found.own_cast)
    _write_rows(cursor, angler_id, found)
    return angler_id


def _plans(cursor: DictCursor, angler_id: str) -> tuple[PlanKept, ...]:
    waters = {place_id: place.title for place_id, place in list_places(cursor, angler_id)}
    return tuple(
        PlanKept(
            plan_id=plan_id,
            place=waters.get(plan.place_id, ""),
            plan=plan.evolve(place_id=NO_PLACE),
        )
        for plan_id, plan in list_plans(cursor, angler_id)
    )


def _retired(cursor: DictCursor, angler_id: str) -> RetiredItems:
    kit = [tackle_item for _, tackle_item in list_tackle(cursor, angler_id, retired=True)]
    return RetiredItems(
        stock=list_stock(cursor, angler_id, retired=True),
        rods=tuple(rod for rod in kit if isinstance(rod, Rod)),
        lines=tuple(fly_line for fly_line in kit if isinstance(fly_line, FlyLine)),
        flies=tuple(fly for fly in kit if isinstance(fly, Fly)),
    )


def _write_kit(cursor: DictCursor, angler_id: str, found: AccountExport) -> None:
    """Rods, lines, flies, those taken out among them, and what was measured: by the new ids."""
    off = found.retired
    retired: list[Rod | FlyLine | Fly] = [*off.rods, *off.lines, *off.flies]
    owned: list[Rod | FlyLine | Fly] = [*found.rods, *found.lines, *found.flies]
    here = {(type(tackle_item), tackle_item.title) for tackle_item in owned}
    gone = [
        tackle_item for tackle_item in retired if (type(tackle_item), tackle_item.title) not in here
    ]
    for tackle in (*gone, *owned):
        add_tackle(cursor, angler_id, tackle)
    ids = {
        (type(tackle_item), tackle_item.title): key
        for key, tackle_item in list_tackle(cursor, angler_id)
    }
    for tackle in gone:
        retire_tackle(cursor, angler_id, ids[type(tackle), tackle.title])
    for measurement in found.measurements:
        made = measurement.measurement
        if made.of != "spool":
            kind: type[Rod | FlyLine | Fly] = Fly if made.of == "fly" else FlyLine
            made = made.model_copy(update={"of_id": ids.get((kind, made.title), made.of_id)})
        add_measurement(cursor, angler_id, made, measurement.taken_at)


def _leaders(cursor: DictCursor, angler_id: str) -> tuple[LeaderKept, ...]:
    cursor.execute(
        "SELECT l.leader_id, l.removed_at, l.labels, r.number, r.saved_at, r.version, r.body "
        "FROM leader l "
        "JOIN revision r ON r.leader_id = l.leader_id WHERE l.angler_id = %s "
        "ORDER BY l.updated_at, l.leader_id, r.number",
        (angler_id,),
    )
    kept: dict[str, LeaderKept] = {}
    for row, design in readable_rows(DESIGN, cursor.fetchall()):
        revision = RevisionKept(
            number=row["number"], saved_at=in_utc(row["saved_at"]), design=design
        )
        before = kept.get(row["leader_id"])
        kept[row["leader_id"]] = LeaderKept(
            revisions=(*(before.revisions if before else ()), revision),
            removed=row["removed_at"] is not None,
            labels=labels_in(row["labels"]),
        )
    return tuple(kept.values())


def _write_leader(cursor: DictCursor, angler_id: str, kept: LeaderKept) -> None:
    leader_id = uuid.uuid4().hex
    newest = kept.revisions[-1]
    leader = newest.design.leader
    saved_at = as_column(newest.saved_at)
    cursor.execute(
        "INSERT INTO leader (leader_id, angler_id, title, school, length_m, tippet_m, labels, "
        "sought, newest, created_at, updated_at, removed_at) "
        "VALUES (%s, %s, %s, %s, %s, %s, %s, %s, %s, %s, %s, %s)",
        (
            leader_id,
            angler_id,
            newest.design.title,
            leader.school,
            leader.length_m,
            leader.tippet_diameter_m,
            labels_column(kept.labels),
            search_words_of(newest.design),
            newest.number,
            as_column(kept.revisions[0].saved_at),
            saved_at,
            saved_at if kept.removed else None,
        ),
    )
    cursor.executemany(
        "INSERT INTO revision (leader_id, number, version, body, saved_at) "
        "VALUES (%s, %s, %s, %s, %s)",
        [
            (
                leader_id,
                revision_kept.number,
                DESIGN.version,
                DESIGN.write(revision_kept.design),
                as_column(revision_kept.saved_at),
            )
            for revision_kept in kept.revisions
        ],
    )


def _landings(cursor: DictCursor, angler_id: str) -> tuple[LandingKept, ...]:
    return tuple(
        LandingKept(
            seen=kept.seen,
            usual=kept.landing.usual,
            cast_model=kept.cast_model,
            seen_at=in_utc(kept.seen_at),
        )
        for kept in reversed(list_landings(cursor, angler_id))
    )


def _pulls(cursor: DictCursor, angler_id: str) -> tuple[PullKept, ...]:
    return tuple(
        PullKept(
            test=kept.test, line=kept.line, source=kept.source, tested_at=in_utc(kept.tested_at)
        )
        for kept in reversed(list_tests(cursor, angler_id))
    )


def _tied(cursor: DictCursor, angler_id: str) -> tuple[TiedKept, ...]:
    cursor.execute(
        "SELECT tied_id AS tied, piece, handiness, tied_at FROM tied_piece WHERE angler_id = %s "
        "ORDER BY tied_at, tied_id, piece",
        (angler_id,),
    )
    return tuple(
        TiedKept(**{**row, "tied_at": in_utc(row["tied_at"])}) for row in cursor.fetchall()
    )


def _write_rows(cursor: DictCursor, angler_id: str, found: AccountExport) -> None:
    cursor.executemany(
        "INSERT INTO landing (angler_id, landing_id, version, body, usual, cast_model, seen_at) "
        "VALUES (%s, %s, %s, %s, %s, %s, %s)",
        [
            (
                angler_id,
                uuid.uuid4().hex,
                SEEN.version,
                SEEN.write(landing.seen),
                landing.usual,
                landing.cast_model,
                as_column(landing.seen_at),
            )
            for landing in found.landings
        ],
    )
    cursor.executemany(
        "INSERT INTO pull_test (angler_id, test_id, version, body, line, source, tested_at) "
        "VALUES (%s, %s, %s, %s, %s, %s, %s)",
        [
            (
                angler_id,
                uuid.uuid4().hex,
                PULL_TEST.version,
                PULL_TEST.write(pull.test),
                pull.line,
                pull.source,
                as_column(pull.tested_at),
            )
            for pull in found.pulls
        ],
    )
    cursor.executemany(
        "INSERT INTO tied_piece (angler_id, tied_id, piece, handiness, tied_at) "
        "VALUES (%s, %s, %s, %s, %s)",
        [
            (
                angler_id,
                tied_kept.tied,
                tied_kept.piece,
                tied_kept.handiness,
                as_column(tied_kept.tied_at),
            )
            for tied_kept in found.tied
        ],
    )
