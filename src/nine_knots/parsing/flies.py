"""Flies as they are said: ``size 14 bushy dry``, ``4 in baitfish 1.3 g``."""

from typing import Literal, NamedTuple, get_args

from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.prose import capitalised
from nine_knots.core.base.units import Units, parse_bead, parse_hook, parse_length, parse_mass
from nine_knots.core.domain.tackle import Bead, Fly
from nine_knots.core.domain.tackle.fly import HEAVIEST_KG, Bulk, Dressing, FlyKind, Head
from nine_knots.parsing.parsed import Parsed, Words
from nine_knots.parsing.scan import NUMBER, Scan

KINDS: dict[str, FlyKind] = {
    "dry": "dry",
    "dry fly": "dry",
    "sedge": "dry",
    "parachute": "dry",
    "mayfly": "dry",
    "spinner": "dry",
    "caddis": "dry",
    "ant": "dry",
    "midge": "midge",
    "foam": "foam",
    "beetle": "foam",
    "hopper": "foam",
    "popper": "foam",
    "gurgler": "foam",
    "emerger": "emerger",
    "cdc": "emerger",
    "nymph": "nymph",
    "pheasant tail": "nymph",
    "hare's ear": "nymph",
    "caddis larva": "nymph",
    "caddis pupa": "nymph",
    "larva": "nymph",
    "pupa": "nymph",
    "stonefly": "nymph",
    "scud": "nymph",
    "egg": "nymph",
    "wet": "wet",
    "wet fly": "wet",
    "spider": "wet",
    "soft hackle": "wet",
    "hairwing": "wet",
    "streamer": "streamer",
    "minnow": "streamer",
    "leech": "streamer",
    "shrimp": "streamer",
    "crab": "streamer",
    "squid": "streamer",
    "bugger": "streamer",
    "deceiver": "streamer",
    "half-and-half": "streamer",
    "intruder": "streamer",
    "baitfish": "streamer",
    "predator": "predator",
    "pike fly": "predator",
}
BULKS: dict[str, Bulk] = {
    "bushy": "bushy",
    "heavily dressed": "bushy",
    "slim": "slim",
    "sparse": "slim",
    "standard": "standard",
}
HEADS: dict[str, Head] = {
    f"{size} {what}": f"{size} {kind}"  # type: ignore[misc]
    for size in ("small", "medium", "large")
    for what, kind in (("cone", "cone"), ("eyes", "eyes"), ("dumbbell eyes", "eyes"))
}
HOOK = r"(?:size|no\.?|hook|#)\s*(\d{1,2}(?:/0)?)|(\d{1,2}/0)"
USUAL_BEAD_MM = ((10, 3.8), (12, 3.3), (14, 2.8), (16, 2.5), (26, 2.0))
PLAIN = {*get_args(FlyKind), *BULKS, "barbless", "tube", "trailing", "hook", "fly", "cone", "eyes"}
PLAIN |= {"unweighted", "weighted"}
DRESSINGS: dict[str, Dressing] = {
    "sheds": "sheds",
    "sheds water": "sheds",
    "soaks": "soaks",
    "soaks water": "soaks",
}
SHEDS = ("baitfish", "deceiver", "half-and-half")


def is_fly(scan: Scan) -> bool:
    """Whether a hook or a kind of fly is said."""
    return scan.has(HOOK) or any(scan.has(word.replace(" ", r"[\s-]+")) for word in KINDS)


def parse_fly(scan: Scan, units: Units) -> Parsed:
    """A fly: its kind, its hook or its length, dressing, bead, weight; other words are its name."""
    words = Words()
    dressing = scan.word(DRESSINGS)
    presumed_to_shed = dressing is None and any(scan.has(word) for word in SHEDS)
    bead = _bead(scan)
    mass = scan.take(rf"((?:{NUMBER})\s*(?:g|mg|gr|grains))")
    long = scan.take(rf"((?:{NUMBER})\s*(?:in(?:ch(?:es)?)?|cm|mm|\"))")
    hook_said = scan.take(HOOK)
    named = scan.left
    kind = scan.word(KINDS)
    if kind is None:
        raise Unreadable(
            f"“{scan.text}” has no kind of fly.",
            hint="Add dry, midge, foam, emerger, nymph, wet, streamer or predator.",
        )
    if hook_said is None:
        hook_said = scan.take(r"(\d{1,2})")
    length_m = parse_length(long, units.system) if long else None
    hook = parse_hook(hook_said) if hook_said else _hook_for(kind, length_m, scan)
    bulk, head = scan.word(BULKS), scan.word(HEADS)
    weighed_kg = parse_mass(mass, bare="g") if mass else None
    if weighed_kg is not None and weighed_kg > HEAVIEST_KG:
        raise OutOfRange("That is heavier than any castable fly.", hint="Give up to 15 g.")
    fly = Fly(
        title=scan.title or _title(named, kind, hook),
        kind=kind,
        hook=hook,
        bulk=bulk or "standard",
        length_m=length_m,
        dressing="sheds" if presumed_to_shed else dressing,
        bead=bead.on(hook) if bead else None,
        head=head,
        trailing_hook=scan.take(r"trailing[\s-]hook") is not None,
        weighed_kg=weighed_kg,
        barbless=scan.take("barbless") is not None,
        tube=scan.take("tube") is not None,
    )
    words.tell(kind, said=True)
    words.tell(f"hook {units.hook(hook)}", said=hook_said is not None)
    words.tell(f"{fly.bulk} dressing", said=bulk is not None)
    if fly.bead and bead:
        text = f"a {fly.bead.diameter_mm:g} mm {fly.bead.metal} bead"
        words.tell(text, said=bead.across_mm is not None)
    if fly.is_long or length_m is not None:
        words.tell(f"{units.length(fly.whole_m).text} long", said=length_m is not None)
    words.tell(f"{units.fly_mass(fly.mass_kg).text} as cast", said=weighed_kg is not None)
    if fly.dressing:
        words.tell(f"{fly.dressing} water", said=not presumed_to_shed)
    for is_so, text in (
        (fly.head, fly.head or ""),
        (fly.barbless, "barbless"),
        (fly.tube, "on a tube"),
        (fly.trailing_hook, "a trailing hook"),
    ):
        if is_so:
            words.tell(text, said=True)
    return words.of(fly)


class _Bead(NamedTuple):
    """A bead that was said; its size may not have been."""

    across_mm: float | None
    metal: Literal["tungsten", "brass"]

    def on(self, hook: int) -> Bead:
        """The bead, of the usual size for a hook where none was said."""
        usual = next(mm for size, mm in USUAL_BEAD_MM if hook <= size)
        return Bead(diameter_mm=self.across_mm or usual, metal=self.metal)


def _bead(scan: Scan) -> _Bead | None:
    metals: dict[str, Literal["tungsten", "brass"]] = {"tungsten": "tungsten", "brass": "brass"}
    size = scan.take(rf"((?:{NUMBER})\s*mm)(?=\s*(?:tungsten|brass)?\s*bead)")
    metal = scan.word(metals) if size or scan.has("bead") else None
    if scan.take(r"bead(?:ed|head)?") is None:
        return None
    across_mm = round(1e3 * parse_bead(size), 3) if size else None
    return _Bead(across_mm, metal or "tungsten")


def _hook_for(kind: FlyKind, length_m: float | None, scan: Scan) -> int:
    """The hook on which such a fly is as long as was said."""
    if length_m is None:
        raise Unreadable(
            f"“{scan.text}” says no hook.", hint="Write its size, as size 14 or 2/0; or its length."
        )
    sizes = range(-9, 27)
    return min(
        sizes,
        key=lambda hook: abs(Fly(title="fly", kind=kind, hook=hook).whole_m - length_m),
    )


def _title(named: list[str], kind: FlyKind, hook: int) -> str:
    """Its own words where they are more than kind and dressing, or its kind."""
    own = " ".join(word for word in named if word.lower() not in PLAIN and not word.isdigit())
    name = own[:60] or kind
    return f"{capitalised(name)} {Units.hook(hook)}"
