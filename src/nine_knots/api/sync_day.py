"""What the bench learns of a day that comes home: tippets off their spools, rigs as they are."""

from pymysql.cursors import DictCursor

from nine_knots.core.assess.rig_state import RigState, day_state
from nine_knots.core.domain.day_brief import DayBrief
from nine_knots.core.domain.event import Event
from nine_knots.core.domain.leader.sections import Wear
from nine_knots.core.domain.ledger import Act
from nine_knots.core.domain.wallet import RigWear
from nine_knots.core.log.day import renewals
from nine_knots.store.ledger import acts_known, note_act, undo_act
from nine_knots.store.plans import read_briefs, read_rigs
from nine_knots.store.stock import list_stock
from nine_knots.store.tying import read_tyer
from nine_knots.store.wallet import list_wallet, write_rig
from nine_knots.words.ledger import changes_by
from nine_knots.words.tying import takes_of

WORN: tuple[Wear, ...] = ("wind knot",)  # a rub may be nothing: the angler looks
STATES: tuple[RigWear, ...] = ("new", "fished", "worn")


def reconcile_day(cursor: DictCursor, me: str, plan_id: str, events: tuple[Event, ...]) -> None:
    """Bring ledger and wallet in line with what stands of a day."""
    brief = read_briefs(cursor, me).get(plan_id)
    if brief is not None and events:
        _settle_renewals(cursor, me, plan_id, brief, events)
        _settle_wallet(cursor, me, brief, events)


def _settle_renewals(
    cursor: DictCursor, me: str, plan_id: str, brief: DayBrief, events: tuple[Event, ...]
) -> None:
    """A tippet renewed comes off its spool once, by an act that bears the id of its event, and goes
    back where that was taken back."""
    told = [event.event_id for event in events if event.kind == "new-tippet"]
    if not told:
        return
    stands = dict(renewals(brief, events))
    known = acts_known(cursor, me, told)
    rigs = read_rigs(cursor, me, plan_id)
    stock = {stock_item.spool_id: stock_item for stock_item in list_stock(cursor, me)}
    tyer = read_tyer(cursor, me)
    for event_id in told:
        design = rigs.get(stands.get(event_id, ""))
        if design is None and event_id in known and not known[event_id]:
            undo_act(cursor, me, event_id)
        elif design is not None and event_id not in known:
            last = frozenset({len(design.leader.pieces) - 1})
            changes = changes_by(takes_of(((design, 1),), tyer, last), stock)
            words = f"At the water: {design.title}"[:160]
            note_act(cursor, me, Act(why="renewed", words=words, changes=changes), event_id)


def _settle_wallet(cursor: DictCursor, me: str, brief: DayBrief, events: tuple[Event, ...]) -> None:
    """A rig of the wallet that was on the line is fished, or worn; never newer than it was."""
    now = day_state(events, "", brief.stops[0].rig if brief.stops else "", "")
    ready = dict(list_wallet(cursor, me))
    for rig_id, rig in now.rigs.items():
        kept = ready.get(rig_id)
        if kept is None:
            continue
        worn = bool(rig.gone) or rig.wear in WORN
        state: RigWear = "worn" if worn else "fished" if rig != RigState() else kept.state
        if STATES.index(state) > STATES.index(kept.state):
            write_rig(cursor, me, rig_id, kept.evolve(state=state))
