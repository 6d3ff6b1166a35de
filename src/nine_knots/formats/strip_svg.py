"""The leader as a scale drawing in SVG: length to scale, thickness exaggerated by a told factor."""

from nine_knots.core.domain.design import Design
from nine_knots.formats.text import xml, xml_attribute
from nine_knots.formats.tints import LIGHT, tint_of
from nine_knots.words.evaluation import Evaluation
from nine_knots.words.outline import OutlinePart

WIDTH, HEIGHT, MARGIN = 1000.0, 170.0, 30.0
AXIS_Y, THICKEST_PX = 78.0, 26.0
THING_PX = {"shot": 4, "indicator": 7, "mark": 3, "grease": 3}


def write_svg(design: Design, evaluation: Evaluation) -> str:
    """The strip as the text of an SVG file, with names and lengths."""
    length_m = design.leader.length_m
    per_m = (WIDTH - 2 * MARGIN) / length_m
    thickest = max(part.upper_diameter_m for part in evaluation.outline)
    per_thick = THICKEST_PX / thickest

    def x(at_m: float) -> float:
        return MARGIN + at_m * per_m

    def shape(part: OutlinePart) -> str:
        upper, lower = (d * per_thick / 2 for d in (part.upper_diameter_m, part.lower_diameter_m))
        x1, x2 = x(part.from_m), x(part.to_m)
        points = (
            f"{x1:.1f},{AXIS_Y - upper:.2f} {x2:.1f},{AXIS_Y - lower:.2f} "
            f"{x2:.1f},{AXIS_Y + lower:.2f} {x1:.1f},{AXIS_Y + upper:.2f}"
        )
        return f'<polygon points="{points}" fill="{tint_of(part.material)}"/>'

    parts = [
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH:g} {HEIGHT:g}" '
        f'font-family="sans-serif" font-size="11" role="img" '
        f"aria-label={xml_attribute(design.title)}>",
        f"<title>{xml(design.title)}</title>",
        f'<text x="{MARGIN:g}" y="20" font-size="14">{xml(design.title)} · '
        f"{xml(evaluation.length.text)} · thickness ×{per_thick / per_m:.0f}</text>",
    ]
    parts += [shape(part) for part in evaluation.outline]
    for piece in evaluation.pieces:
        middle = x((piece.start_m + piece.end_m) / 2)
        lift = 14 if piece.index % 2 else 0
        parts.append(
            f'<text x="{middle:.1f}" y="{52 - lift}" text-anchor="middle">'
            f"{xml(piece.length.text)}</text>"
            f'<text x="{middle:.1f}" y="{112 + lift}" text-anchor="middle">'
            f"{xml(piece.diameter)}</text>"
        )
    parts += [
        f'<circle cx="{x(joint.at_m):.1f}" cy="{AXIS_Y:g}" r="4" fill="#fff" '
        f'stroke="{LIGHT["ink"]}">'
        f"<title>{xml(joint.title)}</title></circle>"
        for joint in evaluation.joints
    ]
    parts += [
        f'<path d="M{x(branch.at_m):.1f} {AXIS_Y:g}'
        f'L{x(branch.at_m) + branch.length.si * per_m:.1f} {AXIS_Y - 22:g}" '
        f'stroke="{LIGHT["ink"]}" fill="none"/>'
        f'<circle cx="{x(branch.at_m) + branch.length.si * per_m:.1f}" cy="{AXIS_Y - 22:g}" r="3">'
        f"<title>{xml(branch.title)}</title></circle>"
        for branch in evaluation.branches
    ]
    parts += [
        f'<circle cx="{x(thing.at_m):.1f}" cy="{AXIS_Y:g}" r="{THING_PX[thing.kind]}" '
        f'fill="{LIGHT[thing.kind]}"><title>{xml(thing.title)}</title></circle>'
        for thing in evaluation.things
    ]
    parts += [
        f'<path d="M{x(tick.at_m):.1f} 140v6" stroke="{LIGHT["ink-2"]}"/>'
        f'<text x="{x(tick.at_m):.1f}" y="158" text-anchor="middle">{xml(tick.text)}</text>'
        for tick in evaluation.ruler
    ]
    return "\n".join([*parts, "</svg>", ""])
