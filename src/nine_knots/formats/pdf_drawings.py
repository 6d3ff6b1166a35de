"""What is drawn on tying cards and labels: the leader to scale, its knots, a code to share."""

import re

from reportlab.lib.colors import HexColor
from reportlab.platypus import Flowable

from nine_knots.core.base.cancellation import check_cancelled
from nine_knots.core.domain.knots import KNOTS, KnotKey
from nine_knots.drawing import knot_drawing
from nine_knots.formats.pdf_style import INK, QUIET, TEXT
from nine_knots.formats.tints import LIGHT, tint_of
from nine_knots.words.evaluation import Evaluation

QUIET_ZONE = 4  # modules about a code
STRANDS = {
    "upper": ("#9a6420", "#d9a250"),
    "lower": ("#2f6f85", "#77b3c6"),
    "line": (LIGHT["line"], LIGHT["line"]),
    "eye": (LIGHT["ink-2"], LIGHT["ink-2"]),
}
"""Ink of a knot's strands and of their tags: the colours it has on the screen."""


SHORTEST_M = 1e-3  # a leader that is shorter is drawn as a dot


class StripDrawing(Flowable):  # type: ignore[misc]
    """The leader to scale along the width, its thickness exaggerated by the factor told."""

    def __init__(self, evaluation: Evaluation, width: float, height: float) -> None:
        super().__init__()
        self.evaluation, self.width, self.height = evaluation, width, height

    def draw(self) -> None:
        """Onto the canvas of the page."""
        check_cancelled()
        canvas, reading = self.canv, self.evaluation
        canvas.setDash()
        per_m = self.width / max(reading.length.si, SHORTEST_M)
        thickest_m = max(part.upper_diameter_m for part in reading.outline)
        per_thick = 0.26 * self.height / thickest_m
        middle, size = 0.55 * self.height, 0.13 * self.height
        for part in reading.outline:
            upper, lower = (
                part.upper_diameter_m * per_thick / 2,
                part.lower_diameter_m * per_thick / 2,
            )
            path = canvas.beginPath()
            path.moveTo(part.from_m * per_m, middle - upper)
            path.lineTo(part.to_m * per_m, middle - lower)
            path.lineTo(part.to_m * per_m, middle + lower)
            path.lineTo(part.from_m * per_m, middle + upper)
            path.close()
            canvas.setFillColor(HexColor(tint_of(part.material)))
            canvas.drawPath(path, stroke=0, fill=1)
        canvas.setFillColor(INK)
        canvas.setFont(TEXT, size)
        for piece in reading.pieces:
            at = 0.5 * (piece.start_m + piece.end_m) * per_m
            lift = 1.05 * size if piece.index % 2 else 0.0
            canvas.drawCentredString(at, middle + 0.19 * self.height + lift, piece.length.text)
        for joint in reading.joints:
            canvas.setFillColor(HexColor("#ffffff"))
            canvas.setStrokeColor(INK)
            canvas.circle(joint.at_m * per_m, middle, 2.0, stroke=1, fill=1)
            canvas.setFillColor(INK)
            canvas.drawCentredString(
                joint.at_m * per_m, middle - 0.28 * self.height, str(joint.index)
            )
        self._hung(per_m, middle)
        canvas.setFont(TEXT, size)
        factor = f"length to scale, thickness ×{per_thick / per_m:.0f}"
        canvas.setFillColor(QUIET)
        canvas.drawRightString(self.width, 0.02 * self.height, factor)

    def _hung(self, per_m: float, middle: float) -> None:
        """Droppers, flies in line, shot and indicator, where they go."""
        canvas = self.canv
        canvas.setStrokeColor(INK)
        for branch in self.evaluation.branches:
            x = branch.at_m * per_m
            tag = branch.length.si * per_m
            canvas.line(x, middle, x + tag, middle + 0.22 * self.height)
            canvas.circle(x + tag, middle + 0.22 * self.height, 1.3, stroke=0, fill=1)
        for thing in self.evaluation.things:
            big = 3.2 if thing.kind == "indicator" else 2.0
            canvas.setFillColor(HexColor(LIGHT[thing.kind]))
            canvas.circle(thing.at_m * per_m, middle, big, stroke=1, fill=1)
        canvas.setFillColor(INK)


class KnotDrawings(Flowable):  # type: ignore[misc]
    """Knots drawn loose, in rows, each with its name below."""

    LEGEND = 7.0  # points of its name, at a scale of 1
    ALIKE = 0.5  # of a drawing's width, its height

    def __init__(self, knots: tuple[KnotKey, ...], width: float, each: float, scale: float) -> None:
        super().__init__()
        self.knots, self.width, self.scale = knots, width, scale
        self.across = max(1, int(width / each + 1e-6))
        self.each = width / self.across
        self.row = self.ALIKE * self.each + 2.0 * self.LEGEND * scale
        self.height = self.row * -(-len(knots) // self.across)

    def cut_to(self, room: float) -> list["KnotDrawings"]:
        """As large as they all fit into a room of such a height, or as many whole rows as do; none
        where there is no place for one."""
        for across in range(2, self.across + 1):
            larger = KnotDrawings(self.knots, self.width, self.width / across, self.scale)
            if larger.height <= room:
                return [larger]
        fits = self.knots[: self.across * int(max(0.0, room) // self.row)]
        return [KnotDrawings(fits, self.width, self.each, self.scale)] if fits else []

    def draw(self) -> None:
        """Onto the canvas of the page."""
        check_cancelled()
        for number, key in enumerate(self.knots):
            x = (number % self.across) * self.each
            y = self.height - self.row * (number // self.across + 1)
            self._knot(key, x, y)

    def _knot(self, key: KnotKey, x: float, y: float) -> None:
        canvas, drawing = self.canv, knot_drawing(key)
        left, top, wide, high = drawing.box
        legend = 1.6 * self.LEGEND * self.scale
        room = 0.92 * self.each, self.row - legend - 2.0
        per = min(room[0] / wide, room[1] / high)
        canvas.saveState()
        # the drawing's y runs down
        canvas.translate(x + 0.5 * (self.each - per * wide), y + legend + per * high)
        canvas.scale(per, -per)
        canvas.translate(-left, -top)
        canvas.setDash()
        canvas.setLineCap(1)
        canvas.setLineJoin(1)
        for stroke in drawing.work:
            if stroke.over:
                self._stroke(stroke.path, stroke.width + 1.8, HexColor("#ffffff"))
            self._stroke(stroke.path, stroke.width, HexColor(STRANDS[stroke.part][stroke.tag]))
        canvas.restoreState()
        canvas.setFillColor(QUIET)
        canvas.setFont(TEXT, 0.9 * self.LEGEND * self.scale)
        canvas.drawCentredString(x + 0.5 * self.each, y + 0.5 * legend, KNOTS[key].title)

    def _stroke(self, path: str, width: float, colour: HexColor) -> None:
        points = [tuple(map(float, text.split())) for text in re.split("[ML]", path) if text]
        line = self.canv.beginPath()
        line.moveTo(*points[0])
        for point in points[1:]:
            line.lineTo(*point)
        self.canv.setStrokeColor(colour)
        self.canv.setLineWidth(width)
        self.canv.drawPath(line, stroke=1, fill=0)


class CodeDrawing(Flowable):  # type: ignore[misc]
    """A QR code as black squares, with its quiet zone of four."""

    def __init__(self, modules: tuple[tuple[bool, ...], ...], across: float) -> None:
        super().__init__()
        self.modules, self.width, self.height = modules, across, across

    def draw(self) -> None:
        """Onto the canvas of the page."""
        canvas, count = self.canv, len(self.modules) + 2 * QUIET_ZONE
        each = self.width / count
        canvas.setFillColor(HexColor("#000000"))
        for row, squares in enumerate(self.modules):
            for column, dark in enumerate(squares):
                if dark:
                    x = (column + QUIET_ZONE) * each
                    y = self.height - (row + QUIET_ZONE + 1) * each
                    canvas.rect(x, y, 1.02 * each, 1.02 * each, stroke=0, fill=1)
