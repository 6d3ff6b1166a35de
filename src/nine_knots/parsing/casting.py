"""Rods and fly lines as they are said: ``9 ft 5 wt, medium``, ``8 wt floating, loop``."""

from typing import Literal

from nine_knots.core.base.errors import Unreadable
from nine_knots.core.base.units import Units, parse_diameter, parse_length, parse_mass
from nine_knots.core.domain.tackle import FlyLine, Rod
from nine_knots.core.domain.tackle.line import Sinking
from nine_knots.parsing.parsed import Parsed, Words
from nine_knots.parsing.scan import NUMBER, Scan
from nine_knots.parsing.strands import ACROSS, LONG

WEIGHT = r"#?(\d{1,2})[\s-]?(?:wt|weight)"
ACTIONS: dict[str, Literal["soft", "medium", "fast"]] = {
    "soft": "soft",
    "slow": "soft",
    "medium": "medium",
    "medium-fast": "medium",
    "fast": "fast",
    "stiff": "fast",
}
LINE_WORDS = (
    r"floating|floater|floats|intermediate|sink(?:s|ing|er|[\s-]?\d)?|line|head|loop|bare|"
    r"sink[\s-]tip|weight[\s-]forward|double[\s-]taper|shooting|level|(?:type|class)[\s-]?\d"
)
# How a rod or a line is made, where it moves nothing here.
ROD_MAKES = (r"\d[\s-]?(?:pieces?|pcs?)", r"(?:two|double|single)[\s-]handed|switch")
LINE_MAKES = (r"weight[\s-]forward|double[\s-]taper|long[\s-]belly", "shooting", "head")
TIP = "10 ft"  # of a sinking tip of which no length is said [P]
LEVEL_M = 0.55e-3  # of a level nymph line of which no diameter is said [P]
TIPS: dict[str, Literal["loop", "bare"]] = {
    "loop": "loop",
    "looped": "loop",
    "welded loop": "loop",
    "bare": "bare",
    "no loop": "bare",
}
TAPERS: dict[str, Literal["short", "standard", "long"]] = {
    "short taper": "short",
    "short front taper": "short",
    "standard taper": "standard",
    "long taper": "long",
    "long front taper": "long",
    "fine": "long",
}
HEAVY = {"a size heavy": 2, "one size heavy": 2, "half a size heavy": 1, "half size heavy": 1}


def parse_rod(scan: Scan, units: Units) -> Parsed:
    """A rod: its length, its weight, how it bends."""
    words = Words()
    weight, long = _weight(scan), scan.take(LONG)
    if long is None:
        raise Unreadable(
            f"“{scan.text}” has no rod length.",
            hint="Write a rod as 9 ft 5 wt, medium. For a line, add floating or a sink rate.",
        )
    length_m = parse_length(long, units.system)
    action = scan.word(ACTIONS)
    for moves_nothing in ROD_MAKES:
        scan.take(moves_nothing)
    words.tell(units.length(length_m).text, said=True)
    words.tell(f"{weight}-weight", said=True)
    words.tell(action or "medium", said=action is not None)
    scan.ends("a rod", "9 ft 5 wt, medium")
    title = scan.title or f"{units.length(length_m).text} {weight}-weight, {action or 'medium'}"
    return words.of(Rod(title=title, length_m=length_m, weight=weight, action=action or "medium"))


def parse_line(scan: Scan, units: Units) -> Parsed:
    """A fly line: its weight, how it floats or sinks, its taper and tip."""
    words = Words()
    weight = _weight(scan)
    sink_tip = scan.take(rf"{LONG}\s*(?:sink[\s-]?tip|tip)")
    tip_said = sink_tip is not None
    if sink_tip is None and scan.take(r"sink[\s-]?tip") is not None:
        sink_tip = TIP
    sinking = _sinking(scan)
    for moves_nothing in LINE_MAKES:
        scan.take(moves_nothing)
    level_m = _level_m(scan, units)
    heavy, taper, tip = scan.word(HEAVY), scan.word(TAPERS), scan.word(TIPS)
    mass = scan.take(rf"((?:{NUMBER})\s*(?:g|gr|grains))")
    long = scan.take(LONG) if mass else None
    if mass and not long:
        raise Unreadable(
            f"“{scan.text}” has the head's weight but not its length.",
            hint="Write both, as 8 wt floating, 19 g head 30 ft.",
        )
    words.tell(f"{weight}-weight", said=True)
    if sink_tip:
        of_it = units.length(parse_length(sink_tip, units.system)).text
        words.tell(f"{of_it} of it sinks", tip_said)
        sinking = None if sinking == "floating" else sinking
    kind: Sinking = sinking or ("sink-3" if sink_tip else "floating")
    words.tell(_sinks(kind), said=sinking is not None)
    if heavy:
        words.tell("half a size heavy" if heavy == 1 else "a size heavy", said=True)
    words.tell(f"{taper or 'standard'} front taper", said=taper is not None)
    words.tell("a loop at its tip" if tip != "bare" else "bare tip", said=tip is not None)
    if mass and long:
        words.tell(f"a head of {mass}, {long}", said=True)
    if level_m is not None:
        words.tell(f"level, {units.diameter(level_m).text}", said=level_m != LEVEL_M)
    scan.ends("a line", "8 wt floating, loop")
    line = FlyLine(
        title=scan.title
        or (
            f"{weight}-weight level line" if level_m else _line_title(weight, kind, bool(sink_tip))
        ),
        weight=weight,
        half_sizes_heavy=heavy or 0,
        sinking=kind,
        front_taper=taper or "standard",
        tip=tip or "loop",
        sink_tip_m=parse_length(sink_tip, units.system) if sink_tip else None,
        level_m=level_m,
        head_kg=parse_mass(mass, bare="g") if mass else None,
        head_m=parse_length(long, units.system) if long else None,
    )
    return words.of(line)


def _level_m(scan: Scan, units: Units) -> float | None:
    """The diameter of a level line in m; None of a line that tapers."""
    if scan.take(r"level") is None:
        return None
    scan.take(r"nymph(?:ing)?")
    across = scan.take(ACROSS)
    return parse_diameter(across, units.system) if across else LEVEL_M


def _line_title(weight: int, kind: Sinking, sink_tip: bool) -> str:
    if sink_tip:
        return f"{weight}-weight sink-tip, {_sinks(kind)}"
    if kind in ("floating", "intermediate"):
        return f"{weight}-weight {kind} line"
    return f"{weight}-weight line, {_sinks(kind)}"


def _sinks(kind: Sinking) -> str:
    return kind if kind in ("floating", "intermediate") else f"sinks {kind[-1]} in/s"


def _weight(scan: Scan) -> int:
    said = scan.take(WEIGHT)
    weight = int(said or 0)
    if not 1 <= weight <= 14:
        raise Unreadable(f"“{scan.text}” has no line weight from 1 to 14.", hint="Write 5 wt.")
    return weight


def _sinking(scan: Scan) -> Sinking | None:
    rate = scan.take(r"(?:sink(?:s|ing)?|type|class)[\s-]*(\d)(?:\s*(?:in/s|ips))?")
    if rate is not None:
        if not 1 <= int(rate) <= 7:
            raise Unreadable(
                f"No line sinks at {rate} in/s by its class.", hint="Write sink 1 to sink 7."
            )
        found: Sinking = f"sink-{rate}"  # type: ignore[assignment]
        return found
    words: dict[str, Sinking] = {
        "floating": "floating",
        "floater": "floating",
        "floats": "floating",
        "intermediate": "intermediate",
        "sinking": "sink-3",
        "sinker": "sink-3",
    }
    return scan.word(words)
