"""The one spool to buy, in words."""

from nine_knots.core.base.units import Units
from nine_knots.core.search.diverse_pick import Pick
from nine_knots.core.search.to_buy import ToBuy
from nine_knots.words.schools_today import leader_facts
from nine_knots.words.search.comparison import compare

NOTHING = "No single spool of a common size would make a noticeable difference."


def buy_words(bought: ToBuy | None, dozen: tuple[Pick, ...], units: Units) -> str:
    """``One spool to buy for days like this: fluorocarbon of .0085 in. …``; nothing where nothing
    was found to better."""
    if not dozen:
        return ""
    if bought is None:
        return NOTHING
    strand = bought.spool.strand
    what = f"{strand.substance.title} of {units.tippet(strand.diameter_m).text}"
    facts = leader_facts(bought.shown_by.table.leader, units)
    gains = compare(bought.shown_by, dozen[0].one, units, better=True)
    shown = f"Compared with the balanced one, it {'; '.join(gains)}." if gains else ""
    return f"One spool to buy for days like this: {what}.It allows one of {facts}. {shown}".strip()
