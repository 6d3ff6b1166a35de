"""What the angler owns, typed in plain words; rods, lines and flies off and on the shelf."""

from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Query, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.strand import Packet, Spool
from nine_knots.parsing.labels import owned_text
from nine_knots.parsing.line import ParsedLine, parse_owned, parse_owned_lines
from nine_knots.parsing.parsed import KindHeard, Thing, kind_of
from nine_knots.parsing.readings import bare, with_readings
from nine_knots.parsing.starters import STARTERS
from nine_knots.store.ledger import put_stock
from nine_knots.store.stock import fresh_id
from nine_knots.store.tackle import add_tackle, list_tackle, put_tackle, read_tackle, retire_tackle
from nine_knots.words.figure_sources import tackle_source_words

router = APIRouter(prefix="/api/v1/owned", tags=["owned"], responses=RESPONSES)

KINDS: dict[KindHeard, tuple[str, str]] = {
    "spool": ("spool", "spools"),
    "packet": ("packet of tapers", "packets of tapers"),
    "rod": ("rod", "rods"),
    "line": ("fly line", "fly lines"),
    "fly": ("fly", "flies"),
}


class OwnedForm(Form):
    """Things owned, one a line, as they are said or as a table gives them; ``instead`` is the id of
    the rod, line or fly that a single line is to take the place of."""

    text: str = Field(max_length=30_000, examples=["5X fluoro 30 m"])
    instead: str | None = Field(default=None, max_length=40)
    units: System = "imperial"


@dataclass(frozen=True, slots=True)
class ParsedRow:
    """A line, and what was understood of it or why it was not."""

    number: int
    text: str
    kind: KindHeard | None
    title: str
    said: tuple[str, ...]
    presumed: tuple[str, ...]
    what: str
    hint: str


@dataclass(frozen=True, slots=True)
class StarterShelf:
    """A shelf to begin with, as text to be pruned."""

    key: str
    title: str
    text: str


@dataclass(frozen=True, slots=True)
class OwnedAdded:
    """What was put on the shelf, in words."""

    words: str


@dataclass(frozen=True, slots=True)
class KitRow:
    """A rod, line or fly, and the line that says it; none where more is known than a line says.
    ``known`` tells what of it was measured."""

    tackle_id: str
    kind: KindHeard
    title: str
    words: str
    known: str
    text: str | None


@router.post("/read", summary="Parse what is owned")
def post_read(form: OwnedForm) -> tuple[ParsedRow, ...]:
    """What each line is understood as, and what of it is presumed; nothing is stored."""
    return tuple(_row(line) for line in parse_owned_lines(form.text, Units(form.units)))


@router.get("/starters", summary="List starter shelves")
def get_starters() -> tuple[StarterShelf, ...]:
    """What many begin with, as text to be pruned and put on the shelf."""
    return tuple(
        StarterShelf(starter.key, starter.title, "\n".join(starter.lines)) for starter in STARTERS
    )


@router.post("", summary="Add what was typed to the shelf")
def post_owned(session: SavingSession, form: OwnedForm) -> OwnedAdded:
    """All of it or nothing: a line that cannot be read is refused by its number."""
    lines = parse_owned_lines(form.text, Units(form.units))
    if not lines:
        raise Unreadable("Nothing was entered.", where="text", hint="Enter one item per line.")
    unread = next((line for line in lines if line.understood is None), None)
    if unread is not None:
        raise Unreadable(f"Line {unread.number}: {unread.what}", where="text", hint=unread.hint)
    things = [line.understood for line in lines if line.understood is not None]
    if form.instead is not None and len(things) != 1:
        raise OutOfRange(
            "Replace one item with exactly one item.", where="text", hint="Write a single line."
        )
    words = _counted_words([parsed.kind for parsed in things])

    def keep(cursor: DictCursor, me: str) -> str:
        for parsed in things:
            _put(cursor, me, parsed.thing, form.instead)
        return words[:80]

    return session.save(keep, lambda _cursor, _me, _made: OwnedAdded(words))


@router.get("/kit", summary="List rods, lines and flies as text")
def get_owned_kit(
    session: CurrentSession,
    units: Annotated[System, Query()] = "imperial",
    retired: Annotated[bool, Query(description="list the removed ones instead")] = False,
) -> tuple[KitRow, ...]:
    """Each with the line by which it can be corrected."""
    shown = Units(units)
    owned = session.read(lambda cursor, me: list_tackle(cursor, me, retired))
    return tuple(_kit_row(key, tackle, shown) for key, tackle in owned)


@router.delete(
    "/kit/{tackle_id}", status_code=204, responses=MISSING, summary="Take out of the kit"
)
def remove_tackle(session: CurrentSession, tackle_id: str) -> Response:
    """Leaders made for it keep it as it was; it can be put back."""
    session.write(lambda cursor, me: retire_tackle(cursor, me, tackle_id))
    return Response(status_code=204)


@router.post(
    "/kit/{tackle_id}/restore",
    status_code=204,
    responses=MISSING,
    summary="Put back into the kit",
)
def put_back_tackle(session: CurrentSession, tackle_id: str) -> Response:
    """A rod, line or fly that was taken out is there again."""
    session.write(lambda cursor, me: retire_tackle(cursor, me, tackle_id, retired=False))
    return Response(status_code=204)


def _row(line: ParsedLine) -> ParsedRow:
    found = line.understood
    return ParsedRow(
        number=line.number,
        text=line.text,
        kind=found.kind if found else None,
        title=found.thing.title if found else "",
        said=found.said if found else (),
        presumed=found.presumed if found else (),
        what=line.what,
        hint=line.hint,
    )


def _counted_words(kinds: list[KindHeard]) -> str:
    said = [
        count_words(kinds.count(kind), name, several)
        for kind, (name, several) in KINDS.items()
        if kind in kinds
    ]
    return f"{capitalised(join_words(said))} on the shelf."


def _put(cursor: DictCursor, me: str, thing: Thing, instead: str | None) -> None:
    if isinstance(thing, Spool | Packet):
        spool_id = fresh_id(thing.title)
        strand = thing.strand.model_copy(update={"spool_id": spool_id})
        put_stock(cursor, me, thing.evolve(spool_id=spool_id, strand=strand))
    elif instead is not None:
        old = read_tackle(cursor, me, instead)
        made = with_readings(thing, old)
        put_tackle(cursor, me, instead, made)
    else:
        add_tackle(cursor, me, thing)


def _kit_row(tackle_id: str, item: Thing, units: Units) -> KitRow:
    text = owned_text(item if isinstance(item, Spool | Packet) else bare(item), units)
    words = ""
    if text is not None:
        understood = parse_owned(text, units)
        words = ", ".join((*understood.said, *understood.presumed))
    known = "" if isinstance(item, Spool | Packet) else tackle_source_words(item, units)
    return KitRow(tackle_id, kind_of(item), item.title, words, known, text)
