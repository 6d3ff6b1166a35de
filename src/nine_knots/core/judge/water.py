"""The drift and depth cords, each with its figure and one line of why."""

from nine_knots.core.base.measure import Measure, Standing, squash
from nine_knots.core.base.units import Units
from nine_knots.core.models.water.dry_fly import Drag
from nine_knots.core.models.water.fished import ANCHORED, JIGS_M, NATURAL, TOUCHES, Outcome
from nine_knots.core.models.water.setups import WaterAsk
from nine_knots.core.models.water.zone import zone_top_m
from nine_knots.core.physics.tree import Array
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.in_water import fly_float

SHORT_S, LONG_S = 0.7, 3.0  # free of drag: less is drag at once, this is a good drift [G]
SWIMS_M_S = (0.15, 1.1)  # of water past a swung fly [G]
DROPS_S = 5.0  # in which a dropped fly should be down [G]
NEAR_SHARE, NEAR_LEAST_M = 0.12, 0.06  # of a wanted depth, within which it is met
SHALLOW_SHARE = 0.15  # of the depth, above which a sunk streamer hardly swims under the surface

Said = tuple[Standing, float, str, str]


def _measure(key: str, title: str, asks: str, said: Said, marginal: bool = False) -> Measure:
    standing, deviation, figure, why = said
    return Measure(
        key="drift" if key == "drift" else "depth",
        title=title,
        asks=asks,
        standing=standing,
        marginal=marginal and standing == "right",
        position=squash(deviation),
        figure=figure,
        why=why,
    )


def drift_measure(outcome: Outcome, units: Units) -> Measure:
    """How it drifts, by the way it is fished."""
    setup = outcome.run.setup
    if setup == "strip":
        said = _strip(outcome, units)
        return _measure("drift", "Drift", "Does it jig, or track level?", said)
    if setup == "swing":
        return _measure("drift", "Drift", "How fast does it swim?", _swing(outcome, units))
    if setup == "drop":
        return _measure("drift", "Drift", "How soon is it down?", _drop(outcome, units))
    if setup == "tight line":
        return _measure("drift", "Drift", "Is it down, and long enough?", _led(outcome, units))
    touches = outcome.contact > TOUCHES
    return _measure("drift", "Drift", "Does it drift freely?", _floated(outcome, units), touches)


def _floated(outcome: Outcome, units: Units) -> Said:
    what = {"indicator": "indicator", "under a dry": "dry fly"}.get(outcome.run.setup, "line's tip")
    share, fly = outcome.share, outcome.lowest
    if outcome.goes_under:
        why = f"The rig pulls the {what} under: less weight, or more to float it."
        return "too much", 1.7, "goes under", why
    if share is None:
        return "right", 0.0, "hangs still", "Still water: it hangs where it was cast."
    rate = f"{share:.0%} of the surface's pace"
    if share < ANCHORED:
        return "too much", 2.0, "anchored", "It lies on the bed and holds the line: too heavy."
    if outcome.drags:
        why = f"{outcome.contact:.0%} of its weight lies on the bed: less weight, or set shallower."
        return "too much", 1.3, "drags on the bed", why
    late = fly.zone_after_s is None or fly.zone_after_s > 0.5 * outcome.drift_s
    if late and fly.zone_after_s is None:
        why = f"It never comes down to the zone in {units.seconds(outcome.drift_s)} of drift."
        return "too little", -1.5, "too light", f"{why} It drifts at {rate}."
    if late and fly.zone_after_s is not None:
        after = units.seconds(fly.zone_after_s)
        why = f"In the zone only after {after}, more than half the drift."
        return "too little", -1.15, "down too late", why
    touch = " It ticks the bed." if outcome.contact > TOUCHES else ""
    low, high = NATURAL
    slow = (0.5 * (low + high) - share) / (high - low)
    why = f"{_words_of(what, share)} {_zone_words(outcome, units)}{touch}"
    return "right", max(-0.9, min(0.9, slow)), f"drifts at {rate.split(' of ')[0]}", why


def _words_of(what: str, share: float) -> str:
    low, high = NATURAL
    if share > high:
        return f"The {what} goes almost with the surface: little holds it."
    if share < low:
        return f"The {what} goes much slower than the surface: near dragging."
    return "A little slower than the surface, as is natural."


def _zone_words(outcome: Outcome, units: Units) -> str:
    fly = outcome.lowest
    if fly.zone_after_s is None:
        return "It never comes down to the zone."
    return (
        f"In the zone after {units.seconds(fly.zone_after_s)}, for {units.seconds(fly.zone_for_s)}."
    )


def _led(outcome: Outcome, units: Units) -> Said:
    fly = outcome.lowest
    share = fly.zone_for_s / outcome.drift_s
    if outcome.drags:
        why = f"{outcome.contact:.0%} of its weight lies on the bed: lead faster, or lighter flies."
        return "too much", 1.3, "drags on the bed", why
    if fly.zone_after_s is None:
        least = units.depth(fly.lowest_m).text
        why = f"It comes no nearer to the bed than {least}: heavier, finer, or lead slower."
        return "too little", -1.5, "never gets down", why
    figure = f"{units.seconds(fly.zone_for_s)} in the zone"
    why = f"Down after {units.seconds(fly.zone_after_s)}, of {units.seconds(outcome.drift_s)}."
    standing: Standing = "too little" if share < 0.2 else "right"
    return standing, max(-1.4, min(0.6, 2.5 * (share - 0.6))), figure, why


def _strip(outcome: Outcome, units: Units) -> Said:
    fly = outcome.lowest
    heights = outcome.run.history.places[:, fly.node, 1]
    begins = int(outcome.run.begins_s / outcome.run.history.every_s)
    late = heights[min(len(heights) - 1, begins + len(heights[begins:]) // 3) :]
    leap = _leap_m(late, outcome.run.history.every_s)
    if outcome.contact > TOUCHES and fly.height_m < 0.05:
        why = "Line and fly plough the bed: count less, strip sooner, or a slower line."
        return "too much", 1.3, "ploughs the bed", why
    if leap > JIGS_M:
        why = f"It rises and falls by {units.depth(leap).text} from pull to pull."
        return "right", min(0.9, leap / 0.3), "jigs", why
    return "right", -0.5, "tracks level", "The pulls hardly lift it: it swims at one depth."


def _leap_m(heights: Array, every_s: float) -> float:
    """Mean rise and fall within two seconds, the slow change taken out."""
    window = max(2, int(2.0 / every_s))
    leaps = [
        float(part.max() - part.min()) - abs(float(part[-1] - part[0]))
        for part in (heights[i : i + window] for i in range(0, len(heights) - window, window))
    ]
    return sum(leaps) / len(leaps) if leaps else 0.0


def _swing(outcome: Outcome, units: Units) -> Said:
    fly = outcome.lowest
    past = outcome.run.stream.speed_m_s(fly.height_m)
    low, high = SWIMS_M_S
    figure = f"swims at {units.speed(past).text}"
    hang = units.depth(max(0.0, outcome.run.stream.depth_m - fly.height_m)).text
    deep = units.depth(max(0.0, outcome.run.stream.depth_m - fly.lowest_m)).text
    why = f"It sinks to {deep} while you mend, and rises to {hang} on the dangle."
    if past < low:
        return "too little", -1.2, figure, f"Hardly any water moves it. {why}"
    if past > high:
        return "too much", 1.2, figure, f"Fast for a fish to follow. {why}"
    return "right", (past - 0.5) / 0.7, figure, why


def _drop(outcome: Outcome, units: Units) -> Said:
    fly = outcome.lowest
    if fly.zone_after_s is None:
        return "too little", -1.5, "hangs", "It does not come down to the bed: too light."
    figure = f"down in {units.seconds(fly.zone_after_s)}"
    why = f"It falls through {units.depth(outcome.run.stream.depth_m).text}; lead by as much."
    standing: Standing = "too little" if fly.zone_after_s > DROPS_S else "right"
    return standing, max(-1.4, 0.8 - 1.8 * fly.zone_after_s / DROPS_S), figure, why


def depth_measure(outcome: Outcome, ask: WaterAsk, units: Units) -> Measure:
    """Where the point fly fishes, against the zone or the depth that was asked for."""
    depth = outcome.run.stream.depth_m
    fly = outcome.lowest
    at_m = max(0.0, depth - fly.height_m)
    figure = f"fishes at {units.depth(at_m).text}"
    whole = units.depth(depth).text
    asks = "Does it fish where the fish are?"
    if ask.wanted_m is not None:
        near = max(NEAR_LEAST_M, NEAR_SHARE * ask.wanted_m)
        off = (at_m - min(ask.wanted_m, depth)) / near
        standing: Standing = "too little" if off < -1.0 else "too much" if off > 1.0 else "right"
        why = f"You asked for {units.depth(ask.wanted_m).text} in {whole} of water."
        return _measure("depth", "Depth", asks, (standing, off, figure, why))
    if outcome.run.setup in ("strip", "swing"):
        share = at_m / depth
        why = f"In {whole} of water."
        if share < SHALLOW_SHARE:
            why = f"Just under the surface of {whole}: right for fish that look up."
        off = max(-0.95, min(0.95, 2.2 * (share - 0.5)))
        if outcome.contact > TOUCHES and fly.height_m < 0.05:
            return _measure("depth", "Depth", asks, ("too much", 1.3, figure, f"On the bed. {why}"))
        return _measure("depth", "Depth", asks, ("right", off, figure, why))
    return _measure("depth", "Depth", asks, _by_zone(outcome, figure, whole, units))


def _by_zone(outcome: Outcome, figure: str, whole: str, units: Units) -> Said:
    fly = outcome.lowest
    zone = zone_top_m(outcome.run.stream.depth_m)
    up = units.depth(fly.height_m).text
    if outcome.drags and outcome.run.setup != "drop":
        return "too much", 1.3, "on the bed", f"It lies and drags on the bed, {whole} down."
    if outcome.on_bed:
        return "right", 0.7, "ticks the bed", f"At the bed, {whole} down, and still moving."
    off = 1.0 - 2.0 * fly.height_m / zone
    if fly.height_m > zone:
        top = units.depth(zone).text
        why = f"{up} above the bed; the zone there is the lowest {top} of {whole}."
        return "too little", max(-2.5, off), figure, why
    return "right", off, figure, f"{up} above the bed of {whole}: in the zone."


def free_drift_measure(drag: Drag, landed: bool, units: Units) -> Measure:
    """The drift cord of a dry fly: seconds before it drags."""
    free = drag.free_s
    slack = units.depth(drag.slack_m).text
    if free is None:
        said: Said = ("right", 0.3, "no drag", "Nothing moves: it lies where it fell.")
        return _measure("drift", "Drift", "How long is it free of drag?", said)
    along = drag.along_s is not None and free >= drag.along_s - 1e-9
    limit = "along the stream" if along else "across a faster lane"
    from_cast = "of this cast" if landed else "as a soft cast leaves"
    why = (
        f"About {slack} of slack {from_cast}; currents that differ by "
        f"{units.speed(drag.differs_m_s).text} use it up {limit} first."
    )
    off = min(0.9, 2.0 * (free - SHORT_S) / (LONG_S - SHORT_S) - 1.0)
    standing: Standing = "too little" if free < SHORT_S else "right"
    said = (standing, max(-2.0, off), f"free for {units.seconds(free)}", why)
    return _measure("drift", "Drift", "How long is it free of drag?", said, free < 1.3 * SHORT_S)


def floating_measure(design: Design, hangs_n: float, units: Units) -> Measure:
    """The depth cord of a floating fly: whether it is held up, and how its tippet lies."""
    fly, tippet = design.situation.fly, design.leader.pieces[-1]
    carries = fly_float(fly).carries_n
    asks = "Does it float, and how does the tippet lie?"
    if hangs_n > carries:
        why = "What hangs below it weighs more than its hackle carries."
        return _measure("depth", "Depth", asks, ("too much", 1.4, "is drawn under", why))
    sinks = tippet.strand.substance.family == "fluorocarbon"
    why = (
        "Fluorocarbon sinks just under the film: less glare, but it draws a small fly down in time."
        if sinks
        else "Nylon floats on the film: keep the last two feet free of grease, to cut the glare."
    )
    if units.system == "metric":
        why = why.replace("two feet", "60 cm")
    figure = "in the film" if design.situation.wish == "hang in the film" else "floats"
    return _measure("depth", "Depth", asks, ("right", 0.3 if sinks else 0.0, figure, why))
