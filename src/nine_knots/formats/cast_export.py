"""A cast as files: the nodes as a table in CSV, the time-lapse as a picture in SVG."""

import csv
import io

import numpy as np

from nine_knots.formats.errors import FileRefused
from nine_knots.formats.text import xml, xml_attribute
from nine_knots.formats.tints import LIGHT, tint_of
from nine_knots.words.cast import CastReading, Movie

COLUMNS = ("time_s", "node", "part", "x_m", "y_m")
WIDTH, MARGIN, WATER_PX, HEAD_PX = 1000.0, 20.0, 40.0, 40.0
EVERY = 5
LINE_TINT, PAST_TINT, WATER_TINT = LIGHT["line"], LIGHT["hair"], LIGHT["little"]


def _movie(reading: CastReading) -> Movie:
    if reading.movie is None:
        raise FileRefused(
            "There is no cast to draw where the fly pulls the mono.",
            hint="Export the leader itself as JSON, CSV or SVG.",
        )
    return reading.movie


def write_cast_csv(reading: CastReading) -> str:
    """A row a node and moment: seconds from the stop of the rod, metres from under its tip."""
    movie = _movie(reading)
    places = movie.metres()
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(COLUMNS)
    for frame, nodes in enumerate(places):
        for node, (x, y) in enumerate(nodes):
            part = "leader" if node >= movie.leader else "line"
            writer.writerow((f"{frame * movie.gap_s:.4f}", node, part, f"{x:.3f}", f"{y:.3f}"))
    return out.getvalue()


def write_cast_svg(title: str, materials: tuple[str, ...], reading: CastReading) -> str:
    """The cast's path as faint earlier shapes, the landing by material, to scale."""
    movie = _movie(reading)
    places = movie.metres()
    left, right = float(places[..., 0].min()), float(places[..., 0].max())
    top = float(places[..., 1].max())
    per_m = (WIDTH - 2 * MARGIN) / (right - left)
    floor = HEAD_PX + top * per_m

    def path(nodes: np.ndarray) -> str:
        points = [f"{MARGIN + (x - left) * per_m:.1f} {floor - y * per_m:.1f}" for x, y in nodes]
        return "M" + "L".join(points)

    def stroke(nodes: np.ndarray, tint: str, width: float) -> str:
        return f'<path d="{path(nodes)}" fill="none" stroke="{tint}" stroke-width="{width:g}"/>'

    landing = places[-1]
    pieces = [
        stroke(landing[from_ : to + 1], tint_of(material), 3)
        for from_, to, material in zip(movie.joints[:-1], movie.joints[1:], materials, strict=True)
    ]
    came = ", ".join(said for said in (reading.figure, reading.landing) if said)
    head = f"{title} · {came} · {reading.line_out.text} of line out"
    return "\n".join(
        [
            f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH:g} '
            f'{floor + WATER_PX:.0f}" font-family="sans-serif" font-size="14" role="img" '
            f"aria-label={xml_attribute(title)}>",
            f"<title>{xml(title)}</title>",
            f'<text x="{MARGIN:g}" y="22">{xml(head)}</text>',
            f'<path d="M0 {floor:.1f}H{WIDTH:g}" stroke="{WATER_TINT}" stroke-width="1.5"/>',
            *(stroke(nodes, PAST_TINT, 1) for nodes in places[:-1:EVERY]),
            stroke(landing[: movie.leader + 1], LINE_TINT, 3),
            *pieces,
            "</svg>",
            "",
        ]
    )
