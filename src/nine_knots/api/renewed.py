"""Tippets renewed at the water come off their spools, and back on where that was taken back."""

from pymysql.cursors import DictCursor

from nine_knots.core.judge.log.day import renewals
from nine_knots.core.tell.taken import changes_by
from nine_knots.core.tell.tying import takes_of
from nine_knots.core.trade.event import Event
from nine_knots.core.trade.ledger import Act
from nine_knots.store.ledger import acts_known, note_act, undo_act
from nine_knots.store.plans import read_briefs, read_rigs
from nine_knots.store.stock import list_stock
from nine_knots.store.tying import read_tyer


def settle_renewals(cursor: DictCursor, me: str, plan_id: str, events: tuple[Event, ...]) -> None:
    """Bring the ledger in line with what stands of a day; an act bears the id of its event."""
    brief = read_briefs(cursor, me).get(plan_id)
    told = [one.event_id for one in events if one.kind == "new-tippet"]
    if brief is None or not told:
        return
    stands = dict(renewals(brief, events))
    known = acts_known(cursor, me, told)
    rigs = read_rigs(cursor, me, plan_id)
    stock = {item.spool_id: item for item in list_stock(cursor, me)}
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
