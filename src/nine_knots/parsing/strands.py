"""Spools and packets as they are said: ``5X fluoro 30 m``, ``9 ft 4X tapered, 3 left``."""

import re

from nine_knots.core.base.errors import Unreadable
from nine_knots.core.base.prose import capitalised
from nine_knots.core.base.units import Units, parse_diameter, parse_length, parse_load
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.as_sold import bought_profile, labelled_diameter_m
from nine_knots.core.domain.materials import MATERIALS, MaterialKey
from nine_knots.core.domain.strand import MOST_LEFT_M, Packet, Spool, Strand, TaperedStrand
from nine_knots.parsing.parsed import NEW, Parsed, Words
from nine_knots.parsing.scan import NUMBER, Scan

X = r"(0?\d(?:\.5)?\s?x)"
ACROSS = rf"((?:{NUMBER})\s*(?:mm|thou|in(?:ch)?|\")|0?\.\d+)"
LOAD = rf"((?:{NUMBER})\s*(?:lbs?|lbf|kg))"
_INCHES = rf"(?:\s*(?:{NUMBER})\s*(?:in|\"))?"
LONG = rf"((?:{NUMBER})\s*(?:yds?|yards?|cm|m|metres?|meters?|ft|feet|foot|'){_INCHES})"
USUAL_LEFT_M = {"imperial": 75.0 * 0.3048, "metric": 25.0}
SOFT_TO_M = 11.0 * THOU_M  # nylon of which nothing else is said is a soft one up to here [P]
TAPERS = r"(knotless(?:\s+tapers?|\s+leaders?)?|tapered(?:\s+leaders?)?|tapers?)"
LONGEST_TAPER_M = 6.0

_KINDS: dict[MaterialKey, tuple[str, ...]] = {
    "nylon-stiff": ("stiff", "hard", "butt"),
    "nylon-medium": ("medium", "salt", "saltwater"),
    "nylon-soft": ("soft", "supple", "tippet"),
}
MATERIAL_WORDS: dict[str, MaterialKey] = {
    **{material.title: material.key for material in MATERIALS.values()},
    **{
        f"{word} {stuff}": key
        for key, words in _KINDS.items()
        for word in words
        for stuff in ("nylon", "mono")
    },
    "fluoro": "fluorocarbon",
    "fluorocarbon": "fluorocarbon",
    "copolymer": "copolymer",
    "copoly": "copolymer",
    "single wire": "wire-single",
    "soft wire": "wire-soft",
    "stranded wire": "wire-soft",
    "knottable wire": "wire-soft",
}
SIGHTERS = dict.fromkeys(
    (
        *("sighter", "coloured", "colored", "two-colour", "two-color", "bicolour", "bicolor"),
        *("bicolour sighter", "bicolor sighter", "coloured sighter", "hi-vis", "bright"),
    ),
    True,
)


def parse_spool(scan: Scan, units: Units) -> Parsed:
    """A spool: its size or label, what it is of, how much is left."""
    words = Words()
    across_m = _across_m(scan, units)
    load = scan.take(LOAD)
    label_n = parse_load(load, units.system) if load else None
    if across_m is None and label_n is None:
        raise Unreadable(
            f"“{scan.text}” has no diameter and no strength.",
            hint="Write a size (5X, .017, 0.43 mm) or a label (20 lb), and the material.",
        )
    sighter = scan.word(SIGHTERS) is not None
    material, said = _material(scan, across_m)
    estimated = across_m is None
    if across_m is None:
        assert label_n is not None
        across_m = labelled_diameter_m(label_n, material)
    strand = Strand(
        material=material,
        diameter_m=across_m,
        strength_n=label_n,
        colour="sighter" if sighter else "plain",
        estimated=estimated,
        spool_id=NEW,
    )
    words.tell(units.across(across_m, estimated), said=not estimated)
    words.tell(MATERIALS[material].title, said)
    if sighter:
        words.tell("a sighter", said=True)
    holds = units.label(label_n or strand.breaking_n).text
    words.tell(
        f"label {holds}" if label_n else f"breaks at about {holds}", said=label_n is not None
    )
    long = scan.take(LONG)
    left_m = parse_length(_in_short(long), units.system, MOST_LEFT_M) if long else None
    words.tell(f"{units.on_spool(left_m or USUAL_LEFT_M[units.system]).text} left", bool(left_m))
    scan.ends("a spool", ".017 stiff nylon 50 yd 20 lb")
    size = units.label(label_n).text if estimated and label_n else units.tippet(across_m).text
    title = scan.title or f"{capitalised(MATERIALS[material].title)} {size}"
    spool = Spool(
        spool_id=NEW,
        title=title,
        strand=strand,
        remaining_m=left_m or USUAL_LEFT_M[units.system],
    )
    return words.of(spool)


def parse_packet(scan: Scan, units: Units) -> Parsed:
    """A bought taper: its length, its tip, how many."""
    words = Words()
    named = scan.take(TAPERS) is not None
    long, count = scan.take(LONG), scan.take(r"(\d+)\s*(?:left|of them|pcs|pieces)|x\s?(\d+)")
    across_m, load = _across_m(scan, units), scan.take(LOAD)
    label_n = parse_load(load, units.system) if load else None
    if across_m is None and label_n is not None:
        across_m = labelled_diameter_m(label_n, "nylon-medium")
    if long is None or across_m is None:
        raise Unreadable(
            f"“{scan.text}” is not a bought taper: its length or tip is missing.",
            hint="Write it as 9 ft 4X tapered, 3 left.",
        )
    length_m = parse_length(_in_short(long), units.system)
    profile = bought_profile(length_m, across_m)
    material, said = _material(scan, None)
    words.tell(f"{units.length(length_m).text}, tip {units.tippet(across_m).text}", said=True)
    words.tell("a bought taper", named)
    words.tell(f"butt {units.diameter(profile.butt_diameter_m).text}", said=False)
    words.tell(MATERIALS[material].title, said)
    words.tell(f"{int(count or 1)} of them", said=count is not None)
    scan.ends("a bought taper", "9 ft 4X tapered, 3 left")
    tip = units.tippet(across_m).text.split(" · ")[-1]
    strand = TaperedStrand(
        material=material,
        profile=profile,
        strength_n=label_n,
        estimated=True,
        spool_id=NEW,
    )
    title = scan.title or f"Knotless {units.length(length_m).text} {tip}"
    packet = Packet(spool_id=NEW, title=title, strand=strand, count=int(count or 1))
    return words.of(packet)


def is_taper(scan: Scan, units: Units) -> bool:
    """Whether it is said as a bought taper: by its name, or by an X on no more than twenty feet."""
    if scan.has(TAPERS):
        return True
    long = Scan(scan.text).take(LONG)
    if long is None or not scan.has(X):
        return False
    return parse_length(_in_short(long), units.system, MOST_LEFT_M) <= LONGEST_TAPER_M


def _across_m(scan: Scan, units: Units) -> float | None:
    size = scan.take(X) or scan.take(ACROSS)
    return (
        parse_diameter(size.replace(" ", "") if "x" in size else size, units.system)
        if size
        else None
    )


def _material(scan: Scan, across_m: float | None) -> tuple[MaterialKey, bool]:
    """What it is of, and whether that was said in full: nylon of no kind is taken for the usual one
    of its thickness, wire for the soft one."""
    known = scan.word(MATERIAL_WORDS)
    if known is not None:
        return known, True
    if scan.take("wire") is not None:
        return "wire-soft", False
    scan.word({"nylon": 0, "mono": 0, "monofilament": 0})
    soft = across_m is not None and across_m <= SOFT_TO_M
    return ("nylon-soft" if soft else "nylon-medium"), False


def _in_short(length: str) -> str:
    return re.sub(r"met(?:re|er)s?", "m", length)
