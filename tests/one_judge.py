"""Whether a school's card says of its leader what the bench says: on shelves and days by chance."""

import random
from collections.abc import Iterator
from itertools import pairwise

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.weight_leads import weight_leads_from
from nine_knots.core.base.errors import CannotCompute, Refused
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.casting.stroke import SPEEDS, Stroke
from nine_knots.core.casting.wind import STEADY
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation, TargetFish, Water, Wind
from nine_knots.core.domain.strand import Stock
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine, Rod
from nine_knots.core.plan.fitting import fit_of
from nine_knots.core.remedies.adjustment import Both, OtherStroke, StopAndDrop
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.diverse_pick import pick_dozen
from nine_knots.core.search.schools_today import SchoolToday, WouldDo, school_today
from nine_knots.core.search.search import Search
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.words.cast import cast_of
from nine_knots.words.evaluation import evaluate
from nine_knots.words.water_reading import water_reading
from tests.makers import INCHES
from tests.rigs import bought, gauged, labelled, tippets

LEAP, TENTH = 1.6, 1.1  # a step that a spool in the gap should fill, and how far off that spool is
MOST_FOUND = 20
KINDS = ("trout", "tight line", "predator", "salt")


def shelf(rng: random.Random, kind: str) -> tuple[Stock, ...]:
    """Five to fourteen spools such as one owns for it, with a packet now and then."""
    many = rng.randint(5, 14)
    if kind == "salt":
        labels = (60, 50, 40, 30, 25, 20, 16, 12)
        stuff = [labelled(lb, m) for lb in labels for m in ("nylon-stiff", "fluorocarbon")]
    elif kind == "predator":
        stuff = [labelled(lb) for lb in (60, 50, 40, 30, 20)]
        stuff += [labelled(40, "wire-soft"), labelled(80, "fluorocarbon")]
    else:
        stuff = [gauged(thou) for thou in (21, 20, 18, 17, 15, 13, 12, 11, 10, 9)]
        stuff += [*tippets(2, 3, 4, 5, 6, 7), *tippets(3, 4, 5, 6, material="fluorocarbon")]
    if kind == "tight line":
        stuff.append(gauged(10.5, colour="sighter", left_m=10.0))
    owned = rng.sample(stuff, min(many, len(stuff)))
    return (*owned, bought(9, rng.choice((3, 4, 5)))) if rng.random() < 0.4 else tuple(owned)


def day(rng: random.Random, kind: str) -> Situation:
    """A day of its kind."""
    wind = Wind(speed_m_s=rng.choice((0.0, 2.0, 4.0)), bearing="in the face")
    if kind in ("salt", "predator"):
        weight = rng.choice((8, 9, 10))
        fly = Fly(title="s", kind="streamer", hook=-1, weighed_kg=1.2e-3, drag_area_m2=4e-4)
        fish, water = TargetFish(kind="red-drum", mass_kg=4.0), Water(kind="surf", depth_m=1.5)
        if kind == "predator":
            fish, water = TargetFish(kind="pike", mass_kg=4.0), Water(kind="lake", depth_m=2.0)
        wish = "strip"
    else:
        weight = rng.choice((3, 4, 5))
        nymph = Fly(title="n", kind="nymph", hook=14, bead=Bead(diameter_mm=rng.choice((2.0, 3.3))))
        dry = Fly(title="d", kind="dry", hook=rng.choice((12, 14, 16, 18)))
        sunk = kind == "tight line" or rng.random() < 0.4
        fly, wish = (nymph, "drift deep") if sunk else (dry, "drift on top")
        fish = TargetFish(kind="trout", mass_kg=0.4)
        water = Water(kind="run", depth_m=rng.choice((0.5, 0.9)), pace_m_s=0.6)
    return Situation(
        water=water,
        wind=wind,
        quarry=fish,
        fly=fly,
        rod=Rod(title="r", length_m=2.75, weight=weight),
        line=FlyLine(title="l", weight=weight),
        wish=wish,
    )


def bench_statuses(leader: Leader, day: Situation, stroke: Stroke, angler: Angler) -> dict:
    """All measures of a leader as the bench shows them."""
    design = Design(title="b", situation=day, leader=leader)
    read = list(evaluate(design, angler.titles, INCHES, angler.tyer).verdict)
    cast = cast_of(design, stroke, INCHES)
    read.append(cast.turnover)
    slack = cast.slack.si if cast.movie is not None and day.floats else None
    ask = USUAL_QUESTION.model_copy(update={"slack_m": slack})
    water = water_reading(design, ask, INCHES, movie=False)
    read += [water.drift, water.depth_cord]
    return {score.key: score.status for score in read}


def leaps_over(leader: Leader, fly: Fly, stock: tuple[Stock, ...]) -> bool:
    """Whether it steps down by more than 1.6 over a spool that is owned and lies in the gap, where
    the loop has to turn it over."""
    sizes = [item.strand.diameter_m for item in stock if item.form == "spool"]
    turned_over = leader.pieces[: weight_leads_from(leader, fly)]
    for above, below in pairwise(turned_over):
        high, low = above.lower_diameter_m, below.upper_diameter_m
        between = [size for size in sizes if TENTH * low < size < high / TENTH]
        if below.role != "bite" and high > LEAP * low and between and high > 9 * THOU_M:
            return True
    return False


def by_chance(seed: int) -> tuple[str, Situation, Stroke, Angler]:
    """A kind of fishing, a day of it, a stroke and an angler with a shelf for it."""
    rng = random.Random(seed)
    kind = KINDS[seed % len(KINDS)]
    stock, today = shelf(rng, kind), day(rng, kind)
    stroke = Stroke(speed_m_s=SPEEDS[rng.choice(("normal", "hard"))])
    return kind, today, stroke, Angler(stock=stock)


def contradictions(seed: int) -> Iterator[str]:
    """What a card of a day by chance says otherwise than the bench, or builds as nobody would."""
    kind, today, stroke, angler = by_chance(seed)
    for key in SCHOOLS:
        card = school_today(key, today, stroke, angler)
        if card.design is None or card.group == "not for this":
            continue
        yield from (f"seed {seed} {kind}, {key}: {said}" for said in _of(card, stroke, angler))


def found_contradictions(seed: int) -> Iterator[str]:
    """What Find shows, or a plan takes, on a day by chance otherwise than the bench reads it."""
    kind, today, stroke, angler = by_chance(seed)
    asked = Search(today, stroke, angler, Demands(), most=MOST_FOUND)
    try:
        *_, last = asked.rounds()
    except CannotCompute:
        return
    for pick in pick_dozen(last.tried, asked.demands):
        leader = pick.one.table.leader
        bench = bench_statuses(leader, today, stroke, angler)
        said = {score.key: score.status for score in pick.one.measures}
        if bench != {**bench, **said}:
            yield f"seed {seed} {kind}: Find says {said}, the bench {bench}"
        fit = fit_of(leader, "found", today, stroke, angler, STEADY)
        if fit is None:
            wrong = {key for key, status in bench.items() if status != "right"} - {"length"}
            if not wrong:
                yield f"seed {seed} {kind}: the plan has no use for what the bench calls right"
            continue
        after = bench_statuses(fit.design.leader, today, fit.stroke, angler)
        said = {score.key: score.status for score in fit.measures}
        if after != {**after, **said}:
            yield f"seed {seed} {kind}: the plan says {said}, the bench {after}"


def _of(card: SchoolToday, stroke: Stroke, angler: Angler) -> Iterator[str]:
    leader, today = card.design.leader, card.design.situation
    change = card.outcome.change if isinstance(card.outcome, WouldDo) else None
    for changed in (change.first, change.second) if isinstance(change, Both) else (change,):
        if isinstance(changed, OtherStroke):
            stroke = stroke.model_copy(update={"speed_m_s": SPEEDS[changed.word]})
        if isinstance(changed, StopAndDrop):
            stroke = stroke.model_copy(update={"drop": True})
    said = {score.key: score.status for score in card.measures}
    if set(said.values()) != {"right"} and card.group == "fits this day":
        yield f"fits, and {said}"
    try:
        bench = bench_statuses(leader, today, stroke, angler)
    except Refused as refused:
        yield f"the bench refuses it: {refused}"
        return
    if bench != {**bench, **said}:
        yield f"the card says {said}, the bench {bench}"
    by_label = SCHOOLS[card.key].labels is not None  # 60, 40 and 20 lb is what is tied
    if not card.buys and not by_label and leaps_over(leader, today.fly, angler.stock):
        thous = [round(piece.upper_diameter_m / THOU_M, 1) for piece in leader.pieces]
        yield f"steps over a spool: {thous}"
