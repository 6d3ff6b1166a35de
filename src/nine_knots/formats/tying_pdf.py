"""Tying cards and wallet labels as PDF, with the scale drawing, in the angler's units."""

from dataclasses import dataclass, replace
from io import BytesIO
from typing import Literal

from reportlab.lib.pagesizes import A4, A6
from reportlab.lib.units import mm
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

from nine_knots.core.base.errors import FileRefused
from nine_knots.core.judge.remedies.depth_table import DepthTable
from nine_knots.core.tell.evaluation import Evaluation
from nine_knots.core.tell.sentence import sentence_text
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.knots import KNOTS
from nine_knots.formats.leader_qr import qr_modules, qr_text
from nine_knots.formats.pdf_drawings import CodeDrawing, StripDrawing
from nine_knots.formats.pdf_style import HAIR, QUIET, style, use_fonts
from nine_knots.formats.text import xml

Paper = Literal["a6", "a4", "sheet", "labels"]
EACH = "Each knot: wet, draw up smoothly without jerks, seat fully, tug, trim close."
MOST_SHRUNK = 9  # pieces: a little too long is made to fit, a longer card runs on
LABELS = (3, 8)  # across and down an A4 sheet
CODE_MM, LABEL_CODE_MM = 78.0, 29.0
TOP = ("VALIGN", (0, 0), (-1, -1), "TOP")
SCALE = {"a6": 1.0, "sheet": 1.0, "a4": 1.45, "labels": 1.0}


@dataclass(frozen=True)
class Card:
    """One leader to print: the design, what there is to read of it, its depth table, the chain
    above it and its code to share if asked."""

    design: Design
    evaluation: Evaluation
    table: DepthTable | None = None
    chain: bool = False
    code: bool = False


def write_pdf(cards: tuple[Card, ...], paper: Paper) -> bytes:
    """The cards on A6 (a page each), on A4 (a page each), four on an A4 sheet, or as labels."""
    use_fonts()
    out = BytesIO()
    size, (width, height), frames = _layout(paper)
    title = cards[0].design.title if len(cards) == 1 else f"{len(cards)} leaders"
    document = BaseDocTemplate(out, pagesize=size, title=title, author="Nine Knots")
    document.addPageTemplates([PageTemplate(frames=frames, onPage=_cut_marks(paper))])
    story: list[Flowable] = []
    for number, card in enumerate(cards):
        if number:
            story.append(FrameBreak())
        made = _label(card, width) if paper == "labels" else _card(card, width, SCALE[paper])
        if len(card.evaluation.pieces) <= MOST_SHRUNK:
            made = [KeepInFrame(width, height, made, mode="shrink")]
        story += made
        if card.code and paper != "labels":
            story += [FrameBreak(), *_back(card, width, SCALE[paper])]
    document.build(story)
    return out.getvalue()


Size = tuple[float, float]


def _layout(paper: Paper) -> tuple[Size, Size, list[Frame]]:
    """The page's size, the size inside a frame, and the frames, in points."""
    if paper == "a6":
        return A6, _inside(A6, 6 * mm), [_frame(0, 0, A6, 6 * mm)]
    if paper == "a4":
        return A4, _inside(A4, 14 * mm), [_frame(0, 0, A4, 14 * mm)]
    across, down = LABELS if paper == "labels" else (2, 2)
    wide, high = A4[0] / across, A4[1] / down
    margin = 3.5 * mm if paper == "labels" else 6 * mm
    frames = [
        _frame(column * wide, A4[1] - (line + 1) * high, (wide, high), margin)
        for line in range(down)
        for column in range(across)
    ]
    return A4, _inside((wide, high), margin), frames


def _inside(size: Size, margin: float) -> Size:
    return size[0] - 2 * margin, size[1] - 2 * margin


def _frame(x: float, y: float, size: Size, margin: float) -> Frame:
    pads = {f"{side}Padding": margin for side in ("left", "right", "top", "bottom")}
    return Frame(x, y, *size, **pads)


def _cut_marks(paper: Paper):  # type: ignore[no-untyped-def]
    def draw(canvas, document) -> None:  # type: ignore[no-untyped-def]  # noqa: ARG001
        if paper not in ("sheet", "labels"):
            return
        across, down = LABELS if paper == "labels" else (2, 2)
        canvas.setStrokeColor(HAIR)
        canvas.setDash(1, 3)
        for column in range(1, across):
            canvas.line(column * A4[0] / across, 0, column * A4[0] / across, A4[1])
        for line in range(1, down):
            canvas.line(0, line * A4[1] / down, A4[0], line * A4[1] / down)

    return draw


def _card(card: Card, width: float, scale: float) -> list[Flowable]:
    evaluation, design = card.evaluation, card.design
    work = evaluation.work
    small, plain = style(6.6 * scale, quiet=True), style(7.2 * scale)
    day = sentence_text(evaluation.sentence)
    story: list[Flowable] = [
        Paragraph(xml(design.title), style(11 * scale, bold=True, after=1)),
        Paragraph(
            xml(f"{evaluation.length.text} in {len(evaluation.pieces)} pieces. {day}"), small
        ),
        Spacer(1, 3 * scale),
        StripDrawing(evaluation, width, 15 * mm * scale),
        _cuts(card, width, scale),
        Spacer(1, 3 * scale),
    ]
    steps = [step for step in work.steps if step.kind != "cut"]
    story += [
        Paragraph(f"{number}. {xml(step.title)}", plain)
        for number, step in enumerate(steps, start=1)
    ]
    if card.chain:
        said = "; ".join(
            f"{link.title}, {link.detail}, {link.holds.text}" for link in evaluation.chain.links
        )
        text = f"{said}. {evaluation.chain.words}" if said else evaluation.chain.words
        story += [Spacer(1, 2 * scale), Paragraph(f"<b>Above the leader.</b> {xml(text)}", small)]
    if card.table is not None:
        story += [Spacer(1, 3 * scale), *_depths(card.table, width, scale)]
    story.append(Spacer(1, 2 * scale))
    story.append(Paragraph(xml(EACH), small))
    knots = dict.fromkeys(KNOTS[joint.knot] for joint in design.leader.joints)
    story += [
        Paragraph(f"<b>{xml(knot.title.capitalize())}.</b> {xml(knot.tags)}", small)
        for knot in knots
    ]
    story.append(Spacer(1, 3 * scale))
    story += [Paragraph(f"! {xml(caution)}", small) for caution in work.cautions]
    if design.notes:
        story.append(Paragraph(xml(design.notes), small))
    return story


def _back(card: Card, width: float, scale: float) -> list[Flowable]:
    """The card's other side: the code by which another angler takes the leader over."""
    title = Paragraph(xml(card.design.title), style(11 * scale, bold=True, after=4))
    how = "Scan it with Nine Knots: File, Scan a code. It opens of the nearest spools owned there."
    try:
        text = qr_text(card.design)
    except FileRefused as refused:
        return [title, Paragraph(xml(f"{refused.what} {refused.mend}"), style(8 * scale))]
    across = min(width, CODE_MM * mm * scale)
    return [title, CodeDrawing(qr_modules(text), across), Paragraph(how, style(8 * scale))]


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
        of = xml(row.stock) + "".join(
            f'<br/><font size="{6 * scale}" color="{QUIET.hexval()}">{xml(line)}</font>'
            for line in more
        )
        rows.append(
            [
                Paragraph(str(row.piece + 1), cell),
                Paragraph(xml(row.cut.text), strong),
                Paragraph(xml(row.diameter), cell),
                Paragraph(of, cell),
                Paragraph(xml(row.wanted.text), cell),
            ]
        )
    shares = (0.05, 0.17, 0.19, 0.41, 0.18)
    return Table(
        rows,
        colWidths=[share * width for share in shares],
        repeatRows=1,
        style=_ruled(scale),
    )


def _depths(table: DepthTable, width: float, scale: float) -> list[Flowable]:
    """Depth by pace and depth of water, with what to change."""
    head, cell = style(6.2 * scale, quiet=True), style(6.6 * scale)
    heads = ("Pace", *(f"in {depth}" for depth in table.depths))
    rows = [[Paragraph(xml(text), head) for text in heads]]
    for row in table.rows:
        first = Paragraph(f"{xml(row.pace)}, {xml(row.speed)}", cell)
        rows.append(
            [
                first,
                *(
                    Paragraph(f"<b>{xml(one.figure)}</b><br/>{xml(one.change)}", cell)
                    for one in row.cells
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
        Paragraph(xml(design.title), style(10, bold=True, after=1)),
        Paragraph(xml(f"{evaluation.length.text}, tippet {tippet.diameter}"), style(8.5)),
        Paragraph(xml(f"{day.line.title}; {day.fly.title}"), style(7, quiet=True)),
        Paragraph(xml(hold.figure), style(7, quiet=True)),
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
        Paragraph(xml(design.title), style(9, bold=True, after=1)),
        Paragraph(
            xml(f"{evaluation.length.text}, tippet {evaluation.pieces[-1].diameter}"), style(7.5)
        ),
        Paragraph(xml(design.situation.fly.title), style(6.5, quiet=True)),
        Paragraph("tied ________", style(6.5, quiet=True)),
    ]
    row = [[said, CodeDrawing(qr_modules(text), across)]]
    plain = [(f"{side}PADDING", (0, 0), (-1, -1), 0) for side in ("LEFT", "RIGHT", "TOP", "BOTTOM")]
    return [Table(row, colWidths=[width - across, across], style=[*plain, TOP])]
