"""A leader in a QR code: its JSON without what is usual, compressed, in the letters of the code.

``NK1:`` is followed by raw deflate (RFC 1951) with the dictionary below, in base 45 (RFC 9285),
which a code holds at five and a half bits a letter. Figures are kept to five digits. The dictionary
is part of the format: another one would be ``NK2:``.
"""

import json
import zlib
from io import BytesIO
from typing import Any

import segno

from nine_knots.core.domain.design import Design
from nine_knots.formats.errors import FileRefused
from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.types import DESIGN

MARK = "NK1:"
MOST_LETTERS = 1800  # more makes a code so fine that a phone reads it from no card
MOST_JSON = 40_000
DIGITS = 5
LETTERS = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:"
_FIELDS = (
    b'{"v":3,"design":{"title":"","notes":"","situation":{"water":{"kind":"glide","depth_m":0.8,'
    b'"pace_m_s":0.4,"clarity":"clear","snags":"open"},"wind":{"speed_m_s":3.0,"bearing":'
    b'"upstream"},"quarry":{"kind":"grayling","mass_kg":0.5,"temper":"wary"},"fly":{"title":"",'
    b'"kind":"nymph","hook":14,"bulk":"bushy","bead":{"diameter_mm":2.8,"metal":"tungsten"},'
    b'"kind":"dry","kind":"streamer","weighed_kg":},"rod":{"title":"9 ft 5-weight","length_m":2.743'
    b'2,"weight":5,"action":"medium"},"line":{"title":"5-weight floating line","weight":5,"sinking"'
    b':"floating","front_taper":"standard","tip":"loop"},"wish":"drift on top","wish":"drift deep",'
    b'"fished":"usual"},"leader":{"school":"sixty-twenty-twenty","pieces":[{"form":"level","role":'
    b'"butt","strand":{"material":"nylon-stiff","strength_n":75.62,"diameter_m":0.0004318,"spool_id"'
    b':"runa-nylon-stiff-017"},"length_m":1.2192},{"form":"level","role":"taper","strand":{"material'
    b'":"nylon-medium","diameter_m":0.000254,"spool_id":"},"length_m":0.3048},{"role":"tippet",'
    b'"strand":{"material":"nylon-soft","strength_n":21.8,"diameter_m":0.0001524},"length_m":0.6096}'
    b',"material":"fluorocarbon","colour":"sighter","form":"tapered","profile":{"butt_length_m":'
    b'"butt_diameter_m":"taper_length_m":"tip_length_m":"tip_diameter_m":"cut_butt_m":"cut_tip_m":'
    b'],"joints":[{"kind":"loops","knot":"perfection-loop"},{"knot":"blood"},{"knot":'
    b'"double-surgeons"},{"knot":"triple-surgeons","dropper":{"strand":{"length_m":"knot":'
    b'"improved-clinch","fly":{"title":"tag":"upper"}},{"kind":"ring","upper_knot":"uni"},{"knot":'
    b'"non-slip-loop"},{"knot":"improved-clinch"}],"attachments":[{"kind":"shot","mass_kg":'
    b'"above_end_m":"kind":"indicator","diameter_m":]}}}'
)


def qr_text(design: Design) -> str:
    """The design in the letters of a code; FileRefused where it is more than a code holds."""
    body = {"v": DESIGN.version, "design": _rounded(_without_the_usual(design))}
    text = json.dumps(body, separators=(",", ":"), ensure_ascii=False)
    packer = zlib.compressobj(9, zlib.DEFLATED, -15, 9, zdict=_FIELDS)
    letters = MARK + _base45(packer.compress(text.encode()) + packer.flush())
    if len(letters) > MOST_LETTERS:
        raise FileRefused(
            "This leader is too large for a QR code.",
            where="design",
            hint="Shorten its notes, or share it as a file.",
        )
    return letters


def qr_modules(text: str) -> tuple[tuple[bool, ...], ...]:
    """The code's squares, row by row, dark ones true; without the quiet zone around it."""
    return tuple(tuple(bool(item) for item in row) for row in segno.make_qr(text, error="l").matrix)


def qr_svg(text: str) -> str:
    """The code as SVG with its quiet zone of four squares."""
    out = BytesIO()
    segno.make_qr(text, error="l").save(out, kind="svg", border=4, scale=4, light="#ffffff")
    return out.getvalue().decode()


def read_qr(text: str) -> Design:
    """The design in a code's text; FileRefused where it is none."""
    if not text.startswith(MARK):
        raise FileRefused(
            "That code doesn't contain a leader.",
            where="text",
            hint="Scan the code on a tying card, whole and in focus.",
        )
    try:
        opener = zlib.decompressobj(-15, zdict=_FIELDS)
        found = opener.decompress(_from_base45(text[len(MARK) :]), MOST_JSON)
        if opener.unconsumed_tail or not opener.eof:
            raise ValueError("cut off, or too large")
        body = json.loads(found)
        return DESIGN.read_json(body["v"], body["design"])
    except Damaged as damage:
        raise FileRefused(damage.what, where="text", hint="Create the code again.") from damage
    except (ValueError, KeyError, TypeError, zlib.error, RecursionError) as error:
        raise FileRefused(
            "The code was read only in part.",
            where="text",
            hint="Scan it again, closer and in better light.",
        ) from error


def _without_the_usual(design: Design) -> Any:
    """The design as JSON values without those that are usual; pieces still say of which form they
    are, and attachments of which kind."""
    plain = design.model_dump(mode="json", exclude_defaults=True)
    leader, shown = design.leader, plain["leader"]
    for piece, said in zip(leader.pieces, shown["pieces"], strict=True):
        said["form"] = piece.form
    for thing, said in zip(leader.attachments, shown.get("attachments", ()), strict=True):
        said["kind"] = thing.kind
    return plain


def _rounded(value: Any) -> Any:
    if isinstance(value, float):
        return float(f"{value:.{DIGITS}g}")
    if isinstance(value, dict):
        return {key: _rounded(item) for key, item in value.items()}
    return [_rounded(item) for item in value] if isinstance(value, list) else value


def _base45(data: bytes) -> str:
    """RFC 9285: two bytes are three letters, the least first; a last one alone is two."""
    out = []
    for at in range(0, len(data) - 1, 2):
        rest, low = divmod(256 * data[at] + data[at + 1], 45)
        high, middle = divmod(rest, 45)
        out += [LETTERS[low], LETTERS[middle], LETTERS[high]]
    if len(data) % 2:
        high, low = divmod(data[-1], 45)
        out += [LETTERS[low], LETTERS[high]]
    return "".join(out)


def _from_base45(text: str) -> bytes:
    values = [LETTERS.index(letter) for letter in text]
    out = bytearray()
    for at in range(0, len(values), 3):
        group = values[at : at + 3]
        if len(group) == 1:
            raise ValueError("a letter stands alone")
        number = sum(value * 45**place for place, value in enumerate(group))
        size = len(group) - 1
        if number >= 256**size:
            raise ValueError("no byte is so large")
        out += number.to_bytes(size, "big")
    return bytes(out)
