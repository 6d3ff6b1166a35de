"""All that an angler has, as one value: the file's shape, its versions, older ones upgraded."""

import json
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from functools import cache
from typing import Any, Literal, get_args

from pydantic import Field, TypeAdapter

from nine_knots.core.assess.landings import ObservedLanding
from nine_knots.core.assess.own_cast import Estimate
from nine_knots.core.assess.practice import Attempt
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.event import Event
from nine_knots.core.domain.knots.own import PullTest
from nine_knots.core.domain.leader.lower_rig import LowerRig
from nine_knots.core.domain.leader.own_knots import OwnKnots
from nine_knots.core.domain.ledger import Act
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.domain.strand import Stock
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.core.domain.wallet import WalletRig
from nine_knots.core.measuring.measurement import Measurement
from nine_knots.store.anglers import Settings
from nine_knots.store.damaged import DamagedRow
from nine_knots.store.pulls import Source
from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.stored_type import StoredType
from nine_knots.stored_types.types import (
    DESIGN,
    ESTIMATE,
    EVENT,
    FLY,
    LINE,
    LOWER_RIG,
    MEASUREMENT,
    PLACE,
    PLAN,
    PULL_TEST,
    ROD,
    SEEN,
    STOCK,
    WALLET_RIG,
    usual_reserve,
)


class RevisionKept(Frozen):
    """One saved state of a leader."""

    number: int = Field(ge=1)
    saved_at: datetime
    design: Design


class LeaderKept(Frozen):
    """A leader with all its revisions, the newest last; ``removed`` where it is off the shelf."""

    revisions: TupleOf[RevisionKept] = Field(min_length=1)
    removed: bool = False
    labels: TupleOf[str] = ()


class LandingKept(Frozen):
    """A landing as it was seen, with what the cast model made of it."""

    seen: ObservedLanding
    usual: float
    cast_model: int = 1
    seen_at: datetime


class PullKept(Frozen):
    """A pull test."""

    test: PullTest
    line: str = Field(max_length=80)
    source: Source
    tested_at: datetime


class TiedKept(Frozen):
    """What a piece of one tied leader showed of the hand."""

    tied: str = Field(max_length=32)
    piece: int
    handiness: float
    tied_at: datetime


class RetiredItems(Frozen):
    """What was taken off the shelf and out of the kit."""

    stock: TupleOf[Stock] = ()
    rods: TupleOf[Rod] = ()
    lines: TupleOf[FlyLine] = ()
    flies: TupleOf[Fly] = ()


class ActKept(Frozen):
    """An act of the ledger."""

    act_id: str = Field(pattern=r"^[0-9a-f]{32}$")
    noted_at: datetime
    act: Act
    undone: bool = False


class MeasurementKept(Frozen):
    """What an instrument read, and when."""

    measurement: Measurement
    taken_at: datetime


class PlanKept(Frozen):
    """A planned day, and the water it is on by its name."""

    plan_id: str = Field(pattern=r"^[0-9a-f]{32}$")
    place: str = Field(max_length=80)
    plan: DayPlan


class AccountExport(Frozen):
    """The file: what it is, its version, and all that is an angler's; SI units, times in UTC."""

    format: Literal["nine-knots-everything"] = "nine-knots-everything"
    version: Literal[7] = 7
    versions: dict[str, int] = Field(
        default_factory=dict, description="of each kind of value in it; 1 where it is not named"
    )
    written_at: datetime
    settings: Settings
    height_m: float | None = None
    ties: OwnKnots = OwnKnots()
    stock: TupleOf[Stock] = ()
    rods: TupleOf[Rod] = ()
    lines: TupleOf[FlyLine] = ()
    flies: TupleOf[Fly] = ()
    leaders: TupleOf[LeaderKept] = ()
    lower_rigs: TupleOf[LowerRig] = ()
    landings: TupleOf[LandingKept] = ()
    own_cast: Estimate | None = None
    attempts: TupleOf[Attempt] = ()
    pulls: TupleOf[PullKept] = ()
    tied: TupleOf[TiedKept] = ()
    retired: RetiredItems = RetiredItems()
    ledger: TupleOf[ActKept] = ()
    places: TupleOf[Place] = ()
    measurements: TupleOf[MeasurementKept] = ()
    plans: TupleOf[PlanKept] = ()
    wallet: TupleOf[WalletRig] = ()
    happened: TupleOf[Event] = ()
    damaged: TupleOf[DamagedRow] = Field(
        default=(), description="rows that could not be read, as they are"
    )


def _by_reserve(body: Any) -> Any:
    """Version 2 knows a landing by the reserve of its stroke."""
    for landing in body.get("landings", []):
        landing["usual"] = usual_reserve(landing.pop("at_usual"), landing.pop("slope"))
    return {**body, "version": 2}


def _with_more(body: Any) -> Any:
    """Version 3 has lower rigs beside the rest, and more that is known of lines, fish and flies."""
    return {**body, "version": 3}


def _with_ledger(body: Any) -> Any:
    """Version 4 has what was retired, the ledger, measurements, labels and waters."""
    return {**body, "version": 4}


def _with_days(body: Any) -> Any:
    """Version 5 has planned days, the wallet and what happened at the water."""
    return {**body, "version": 5}


def _with_cast_model(body: Any) -> Any:
    """Version 6 says which cast model each landing was cast by: those before, by the first."""
    return {**body, "version": 6}


def _with_belly(body: Any) -> Any:
    """Version 7 has the stiffness of a line's belly."""
    return {**body, "version": 7}


EVERYTHING = StoredType(
    "file of all that an angler has",
    TypeAdapter(AccountExport),
    (_by_reserve, _with_more, _with_ledger, _with_days, _with_cast_model, _with_belly),
)


def parse_export(text: str | bytes) -> AccountExport:
    """The file's value, whatever version it and its parts are of; Damaged where it is none."""
    try:
        found = json.loads(text)
        versions = found.get("versions", {})
        for kind, place in PARTS:
            if versions.get(kind.name, 1) != kind.version:
                _upgrade(found, place, kind, versions.get(kind.name, 1))
        found["versions"] = versions_today()
        return EVERYTHING.read(found.get("version", 1), json.dumps(found))
    except (ValueError, AttributeError, TypeError, KeyError, RecursionError) as error:
        raise Damaged("This is not an export of an angler's things.") from error


PARTS: tuple[tuple[StoredType[Any], str], ...] = (
    (STOCK, "stock.*"),
    (ROD, "rods.*"),
    (LINE, "lines.*"),
    (FLY, "flies.*"),
    (DESIGN, "leaders.*.revisions.*.design"),
    (LOWER_RIG, "lower_rigs.*"),
    (SEEN, "landings.*.seen"),
    (ESTIMATE, "own_cast"),
    (PULL_TEST, "pulls.*.test"),
    (STOCK, "retired.stock.*"),
    (ROD, "retired.rods.*"),
    (LINE, "retired.lines.*"),
    (FLY, "retired.flies.*"),
    (MEASUREMENT, "measurements.*.measurement"),
    (PLACE, "places.*"),
    (PLAN, "plans.*.plan"),
    (WALLET_RIG, "wallet.*"),
    (EVENT, "happened.*"),
)
"""Where in the file values of each kind stand; ``*`` is every one of a list."""


@dataclass(frozen=True, slots=True)
class ExportPieces:
    """The file's value as texts: each member of each of its lists, and the rest. Read one by one
    they hold up nobody and take little memory, however many they are."""

    rest: str
    members: dict[str, tuple[str, ...]]

    def value(self) -> AccountExport:
        """The value; members of its lists are read each time they are gone through."""
        rest = AccountExport.model_validate_json(self.rest)
        lists = {
            name: _Members(_reader_of(name), texts) for name, texts in self.members.items() if texts
        }
        return rest.model_copy(update=lists)


class _Members(Sequence[Any]):
    def __init__(self, reader: TypeAdapter[Any], texts: tuple[str, ...]) -> None:
        self._reader, self._texts = reader, texts

    def __len__(self) -> int:
        return len(self._texts)

    def __getitem__(self, at: Any) -> Any:
        if isinstance(at, slice):
            return _Members(self._reader, self._texts[at])
        return self._reader.validate_json(self._texts[at])


@cache
def _reader_of(name: str) -> TypeAdapter[Any]:
    """What reads a member of one of the file's lists."""
    return TypeAdapter(get_args(AccountExport.model_fields[name].annotation)[0])


def parse_export_in_pieces(text: bytes) -> ExportPieces:
    """The file's value in pieces, whatever version it is of; Damaged where it is none."""
    return _in_pieces(parse_export(text))


def export_text(found: AccountExport) -> str:
    """The file: a line for each member of each of its lists, each written by itself."""
    pieces = _in_pieces(found)
    fields = []
    for name, value in json.loads(pieces.rest).items():
        members = ",\n".join(pieces.members.get(name, ()))
        fields.append(f'"{name}":' + (f"[\n{members}\n]" if members else json.dumps(value)))
    return "{" + ",\n".join(fields) + "}\n"


def _in_pieces(found: AccountExport) -> ExportPieces:
    values = {name: getattr(found, name) for name in AccountExport.model_fields}
    lists = {name: value for name, value in values.items() if isinstance(value, tuple)}
    return ExportPieces(
        found.model_copy(update=dict.fromkeys(lists, ())).model_dump_json(),
        {name: tuple(item.model_dump_json() for item in value) for name, value in lists.items()},
    )


def versions_today() -> dict[str, int]:
    """Today's version of each kind of value in the file."""
    return {kind.name: kind.version for kind, _ in PARTS}


def _upgrade(found: Any, place: str, kind: StoredType[Any], version: int) -> None:
    """Bring up to date, in their places, the values of a kind below ``place``."""
    step, _, rest = place.partition(".")
    keys = range(len(found)) if step == "*" else [step] if found.get(step) is not None else []
    for key in keys:
        if rest:
            _upgrade(found[key], rest, kind, version)
        else:
            found[key] = kind.upgraded(version, found[key])
