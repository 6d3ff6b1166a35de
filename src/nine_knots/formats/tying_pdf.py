"""Tying cards and wallet labels as PDF, with the scale drawing, in the angler's units."""

from dataclasses import dataclass, replace
from io import BytesIO

from reportlab.lib.pagesizes import A4, A6, LETTER
from reportlab.lib.units import inch, mm
from reportlab.platypus import (
    BaseDocTemplate,
    Flowable,
    Frame,
    FrameBreak,
    KeepInFrame,
    PageTemplate,
    Paragraph,
    Spacer,
    Table,
)

from nine_knots.core.base.prose import capitalised
from nine_knots.core.domain.knots import KNOTS
from nine_knots.formats.card import Card, Paper
from nine_knots.formats.errors import FileRefused
from nine_knots.formats.leader_qr import qr_modules, qr_text
from nine_knots.formats.pdf_drawings import CodeDrawing, KnotDrawings, StripDrawing
from nine_knots.formats.pdf_style import HAIR, QUIET, marked_up, style, use_fonts
from nine_knots.words.depth_table import DepthTableReading
from nine_knots.words.sentence import sentence_text
from nine_knots.words.tying.steps import each_knot, knots_tied

Size = tuple[float, float]


@dataclass(frozen=True)
class _Page:
    """A page, how many cards it has across and down, the margin in each, how large its type is
    beside that of an A6 card, and how wide a knot is drawn on it, in points."""

    size: Size
    across: int
    down: int
    margin: float
    scale: float
    knot: float

    @property
    def each(self) -> Size:
        """The room that one card has, its margin taken off."""
        wide, high = self.size[0] / self.across, self.size[1] / self.down
        return wide - 2 * self.margin, high - 2 * self.margin


PAGES: dict[Paper, _Page] = {
    "a6": _Page(A6, 1, 1, 6 * mm, 1.0, 22 * mm),
    "a4": _Page(A4, 1, 1, 14 * mm, 1.45, 42 * mm),
    "sheet": _Page(A4, 2, 2, 6 * mm, 1.0, 22 * mm),
    "labels": _Page(A4, 3, 8, 3.5 * mm, 1.0, 0.0),
    "3x5": _Page((3 * inch, 5 * inch), 1, 1, 4 * mm, 0.86, 20 * mm),
    "letter": _Page(LETTER, 1, 1, 14 * mm, 1.45, 42 * mm),
    "letter-sheet": _Page(LETTER, 2, 2, 6 * mm, 1.0, 22 * mm),
    "letter-labels": _Page(LETTER, 3, 8, 3 * mm, 1.0, 0.0),
}
KNOT_GAP = 4.0  # points above the drawings of knots
MOST_SHRUNK = 1.3  # a side up to so many times too high is set smaller instead of running on
CODE_MM, LABEL_CODE_MM = 78.0, 29.0
TOP = ("VALIGN", (0, 0), (-1, -1), "TOP")


def write_pdf(cards: tuple[Card, ...], paper: Paper) -> bytes:
    """The cards in the format asked for: a page each, four on a sheet, or as labels.

    What is too long for one side goes onto a second, and whatever room is left shows the knots.
    """
    use_fonts()
    out, page = BytesIO(), PAGES[paper]
    title = cards[0].design.title if len(cards) == 1 else f"{len(cards)} leaders"
    document = BaseDocTemplate(out, pagesize=page.size, title=title, author="Nine Knots")
    template = PageTemplate(frames=_frames(page), onPage=_cut_marks(page))
    document.addPageTemplates([template])
    story: list[Flowable] = []
    for card in cards:
        for side in [_label(card, page.each[0])] if page.knot == 0.0 else _sides(card, page):
            story += [FrameBreak()] if story else []
            if _height(side, page) <= MOST_SHRUNK * page.each[1]:
                side = [KeepInFrame(*page.each, side, mode="shrink")]
            story += side
    document.build(story)
    return out.getvalue()


def _frames(page: _Page) -> list[Frame]:
    wide, high = page.size[0] / page.across, page.size[1] / page.down
    pads = {f"{side}Padding": page.margin for side in ("left", "right", "top", "bottom")}
    return [
        Frame(column * wide, page.size[1] - (line + 1) * high, wide, high, **pads)
        for line in range(page.down)
        for column in range(page.across)
    ]


def _cut_marks(page: _Page):  # type: ignore[no-untyped-def]
    wide, high = page.size

    def draw(canvas, document) -> None:  # type: ignore[no-untyped-def]  # noqa: ARG001
        canvas.saveState()
        canvas.setStrokeColor(HAIR)
        canvas.setDash(1, 3)
        for column in range(1, page.across):
            canvas.line(column * wide / page.across, 0, column * wide / page.across, high)
        for line in range(1, page.down):
            canvas.line(0, line * high / page.down, wide, line * high / page.down)
        canvas.restoreState()

    return draw


def _height(side: list[Flowable], page: _Page) -> float:
    """How high a side comes out, in points."""
    wide = page.each[0]
    return float(
        sum(item.wrap(wide, 1e6)[1] + item.getSpaceBefore() + item.getSpaceAfter() for item in side)
    )


def _sides(card: Card, page: _Page) -> list[list[Flowable]]:
    """What to cut and how to tie it, on one side if it can be read there, else on two; then the
    code. The knots fill what room is left."""
    cut, tie = _what(card, page), _how(card, page)
    high = page.each[1]
    together = _height([*cut, *tie], page) <= MOST_SHRUNK * high
    sides = [[*cut, *tie]] if together else [cut, tie]
    if card.code:
        code = _code(card, page)
        if _height([*sides[-1], *code], page) <= high:
            sides[-1] += code
        else:
            sides.append(code)
    knots = list(knots_tied(card.design.leader))
    for side in reversed(sides):  # beside how it is tied, else beside what is cut
        room = high - _height(side, page) - KNOT_GAP
        drawn = KnotDrawings(tuple(knots), page.each[0], page.knot, page.scale).cut_to(room)
        side += drawn
        if drawn:
            knots = knots[len(drawn[-1].knots) :]
    return sides


def _what(card: Card, page: _Page) -> list[Flowable]:
    """The leader, what it holds, what to cut, and the tables that were asked for."""
    evaluation, design = card.evaluation, card.design
    (width, _), scale = page.each, page.scale
    small = style(6.6 * scale, quiet=True)
    day = sentence_text(evaluation.sentence)
    count = len(evaluation.pieces)
    pieces = f"{count} pieces" if count > 1 else "one piece"
    hold = next(measure for measure in evaluation.verdict if measure.key == "hold")
    story: list[Flowable] = [
        Paragraph(marked_up(design.title), style(11 * scale, bold=True, after=1)),
        Paragraph(marked_up(f"{evaluation.length.text} in {pieces}. {day}"), small),
        Paragraph(marked_up(f"{capitalised(hold.figure)}. {hold.why}"), small),
        Spacer(1, 3 * scale),
        StripDrawing(evaluation, width, 15 * mm * scale),
        _cuts(card, width, scale),
    ]
    if card.chain:
        said = "; ".join(
            f"{link.title}, {link.detail}, {link.holds.text}" for link in evaluation.chain.links
        )
        text = f"{said}. {evaluation.chain.words}" if said else evaluation.chain.words
        above = f"<b>Above the leader.</b> {marked_up(text)}"
        story += [Spacer(1, 2 * scale), Paragraph(above, small)]
    if card.table is not None:
        story += [Spacer(1, 3 * scale), *_depths(card.table, width, scale)]
    return story


def _how(card: Card, page: _Page) -> list[Flowable]:
    """The steps, as the Tie page has them and terser; the tags of each knot; what to mind."""
    design, scale, work = card.design, page.scale, card.evaluation.work
    small, plain = style(6.6 * scale, quiet=True), style(7.2 * scale)
    steps = [step for step in work.steps if step.kind != "cut"]
    story: list[Flowable] = [Spacer(1, 3 * scale)]
    story += [
        Paragraph(f"{number}. {marked_up(step.title)}{_brief(step.brief)}", plain)
        for number, step in enumerate(steps, start=1)
    ]
    story += [Spacer(1, 2 * scale), Paragraph(marked_up(each_knot(design.leader)), small)]
    story += [
        Paragraph(f"<b>{marked_up(capitalised(knot.title))}.</b> {marked_up(knot.tags)}", small)
        for knot in (KNOTS[key] for key in knots_tied(design.leader))
    ]
    story.append(Spacer(1, 3 * scale))
    story += [Paragraph(f"! {marked_up(caution)}", small) for caution in work.cautions]
    if design.notes:
        story.append(Paragraph(marked_up(design.notes), small))
    return story


def _brief(text: str) -> str:
    return f'. <font color="{QUIET.hexval()}">{marked_up(text)}</font>' if text else ""


def _code(card: Card, page: _Page) -> list[Flowable]:
    """The code by which another angler takes the leader over."""
    (width, _), scale = page.each, page.scale
    title = Paragraph(marked_up(card.design.title), style(11 * scale, bold=True, after=4))
    how = (
        "To open this leader, scan the code in Nine Knots: File, Scan a code. It is built from the "
        "nearest spools owned there."
    )
    try:
        text = qr_text(card.design)
    except FileRefused as refused:
        return [title, Paragraph(marked_up(f"{refused.what} {refused.hint}"), style(8 * scale))]
    across = min(width, CODE_MM * mm)
    words = Paragraph(how, style(8 * scale, after=4))
    return [Spacer(1, 4 * scale), title, words, CodeDrawing(qr_modules(text), across)]


def _ruled(scale: float) -> list[tuple[object, ...]]:
    """A table with a hairline under every row."""
    return [
        ("LINEBELOW", (0, 0), (-1, -1), 0.4, HAIR),
        TOP,
        ("LEFTPADDING", (0, 0), (-1, -1), 0),
        ("RIGHTPADDING", (0, 0), (-1, -1), 3),
        ("TOPPADDING", (0, 0), (-1, -1), 1.1 * scale),
        ("BOTTOMPADDING", (0, 0), (-1, -1), 1.4 * scale),
    ]


def _cuts(card: Card, width: float, scale: float) -> Table:
    work = card.evaluation.work
    head, cell = style(6.2 * scale, quiet=True), style(7.4 * scale)
    strong = style(8.6 * scale, bold=True)
    rows = [[Paragraph(text, head) for text in ("#", "Cut", "Of", "Spool", "As tied")]]
    for row in work.rows:
        more = [f"by arm: {row.spans}"] if row.spans else []
        more += [row.note] if row.note else []
        of = marked_up(row.stock) + "".join(
            f'<br/><font size="{6 * scale}" color="{QUIET.hexval()}">{marked_up(line)}</font>'
            for line in more
        )
        rows.append(
            [
                Paragraph(str(row.piece + 1), cell),
                Paragraph(marked_up(row.cut.text), strong),
                Paragraph(marked_up(row.diameter), cell),
                Paragraph(of, cell),
                Paragraph(marked_up(row.wanted.text), cell),
            ]
        )
    shares = (0.05, 0.2, 0.19, 0.39, 0.17)
    return Table(
        rows,
        colWidths=[share * width for share in shares],
        repeatRows=1,
        style=_ruled(scale),
    )


def _depths(table: DepthTableReading, width: float, scale: float) -> list[Flowable]:
    """Depth by pace and depth of water, with what to change."""
    head, cell = style(6.2 * scale, quiet=True), style(6.6 * scale)
    heads = ("Pace", *(f"in {depth}" for depth in table.depths))
    rows = [[Paragraph(marked_up(text), head) for text in heads]]
    for row in table.rows:
        first = Paragraph(f"{marked_up(row.pace)}, {marked_up(row.speed)}", cell)
        rows.append(
            [
                first,
                *(
                    Paragraph(
                        f"<b>{marked_up(depth_cell.figure)}</b><br/>{marked_up(depth_cell.change)}",
                        cell,
                    )
                    for depth_cell in row.cells
                ),
            ]
        )
    each = 0.8 * width / len(table.depths)
    return [
        Paragraph("Depth by pace, and what to change there", head),
        Table(
            rows,
            colWidths=[0.2 * width, *([each] * len(table.depths))],
            repeatRows=1,
            style=_ruled(scale),
        ),
    ]


def _label(card: Card, width: float) -> list[Flowable]:
    if card.code:
        return _label_with_code(card, width)
    evaluation, design = card.evaluation, card.design
    tippet = evaluation.pieces[-1]
    hold = next(measure for measure in evaluation.verdict if measure.key == "hold")
    day = design.situation
    return [
        Paragraph(marked_up(design.title), style(10, bold=True, after=1)),
        Paragraph(marked_up(f"{evaluation.length.text}, tippet {tippet.diameter}"), style(8.5)),
        Paragraph(marked_up(f"{day.line.title}; {day.fly.title}"), style(7, quiet=True)),
        Paragraph(marked_up(hold.figure), style(7, quiet=True)),
        StripDrawing(evaluation, width, 10 * mm),
        Paragraph("tied on ________ &nbsp; fished ________", style(7, quiet=True)),
    ]


def _label_with_code(card: Card, width: float) -> list[Flowable]:
    """A label whose code opens the leader on a bench; without one where its notes are too long."""
    try:
        text = qr_text(card.design)
    except FileRefused:
        return _label(replace(card, code=False), width)
    across, evaluation, design = LABEL_CODE_MM * mm, card.evaluation, card.design
    said = [
        Paragraph(marked_up(design.title), style(9, bold=True, after=1)),
        Paragraph(
            marked_up(f"{evaluation.length.text}, tippet {evaluation.pieces[-1].diameter}"),
            style(7.5),
        ),
        Paragraph(marked_up(design.situation.fly.title), style(6.5, quiet=True)),
        Paragraph("tied ________", style(6.5, quiet=True)),
    ]
    row = [[said, CodeDrawing(qr_modules(text), across)]]
    plain = [(f"{side}PADDING", (0, 0), (-1, -1), 0) for side in ("LEFT", "RIGHT", "TOP", "BOTTOM")]
    return [Table(row, colWidths=[width - across, across], style=[*plain, TOP])]
