"""Filling an empty database with the demo."""

from pymysql.cursors import DictCursor

from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.demo.days import PLAN_ID, demo_plan, demo_wallet
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.ledger import demo_acts
from nine_knots.demo.lower_rigs import demo_lower_rigs
from nine_knots.demo.places import demo_places
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.season import demo_season
from nine_knots.demo.shelf import demo_stock
from nine_knots.demo.tackle import FLIES, LINES, RODS
from nine_knots.store.anglers import OWN, Settings, create_angler, current_angler
from nine_knots.store.database import Database
from nine_knots.store.events import add_events
from nine_knots.store.leaders import create_leader
from nine_knots.store.ledger import note_act, put_stock
from nine_knots.store.lower_rigs import put_lower_rig
from nine_knots.store.places import add_place
from nine_knots.store.plans import insert_plan, write_pack
from nine_knots.store.tackle import add_tackle
from nine_knots.store.wallet import put_rigs


def load_demo(database: Database, season: bool = True) -> bool:
    """Load the demo into a database without anglers; True where it was loaded. Without its
    ``season`` nothing was fished yet."""

    def load(cursor: DictCursor) -> bool:
        if current_angler(cursor) is not None:
            return False
        add_demo(cursor, season)
        return True

    return database.transact(load)


def add_demo(cursor: DictCursor, season: bool = True, account_id: str | None = None) -> str:
    """The demo's angler with all that is theirs, who comes to the front; answers the id."""
    runa = Settings(name="Runa of the Skarn valley")
    angler_id = create_angler(cursor, runa, demo=True, account_id=account_id)
    stock = demo_stock()
    for stock_item in stock:
        put_stock(cursor, angler_id, stock_item)
    owned: list[Rod | FlyLine | Fly] = [*RODS.values(), *LINES.values(), *FLIES.values()]
    for tackle in owned:
        add_tackle(cursor, angler_id, tackle)
    for design in reversed((*demo_designs(stock), *demo_rigs(stock))):
        create_leader(cursor, angler_id, design)
    for rig in demo_lower_rigs(stock):
        put_lower_rig(cursor, angler_id, rig)
    waters = {place.title: add_place(cursor, angler_id, place) for place in demo_places()}
    insert_plan(cursor, angler_id, demo_plan(waters["The Skarn"]), PLAN_ID)
    put_rigs(cursor, angler_id, demo_wallet(stock))
    for day in demo_season(stock) if season else ():
        plan = day.plan.evolve(place_id=waters["The Skarn"])
        insert_plan(cursor, angler_id, plan, day.plan_id)
        write_pack(cursor, angler_id, day.plan_id, None, day.brief, day.designs)
        add_events(cursor, angler_id, day.events)
    for act in demo_acts(stock):
        note_act(cursor, angler_id, act)
    return angler_id


def begin_empty(database: Database) -> bool:
    """Begin without the demo: one angler who owns nothing; True where there was none before."""

    def begin(cursor: DictCursor) -> bool:
        if current_angler(cursor) is not None:
            return False
        create_angler(cursor, Settings(name=OWN))
        return True

    return database.transact(begin)
