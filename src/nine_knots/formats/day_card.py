"""A packed day on one A5 card, both sides: good enough to fish by if the phone drowns."""

from io import BytesIO

from reportlab.lib.pagesizes import A5
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

from nine_knots.formats.pdf_style import HAIR, marked_up, style, use_fonts
from nine_knots.formats.text import day_text
from nine_knots.words.plan.packed import DayPack, PackedStop

MARGIN = 8 * mm
SIDE = (A5[0] - 2 * MARGIN, A5[1] - 2 * MARGIN)
SHAPES = {"right": "", "too little": "too little: ", "too much": "too much: "}


def write_day_card(pack: DayPack) -> bytes:
    """The card as PDF: in front what to do on each stretch, behind the tables and what is seen."""
    use_fonts()
    out = BytesIO()
    document = BaseDocTemplate(out, pagesize=A5, title=pack.title, author="Nine Knots")
    frame = Frame(0, 0, *A5, MARGIN, MARGIN, MARGIN, MARGIN)
    document.addPageTemplates([PageTemplate(frames=[frame])])
    sides = (_front(pack), _back(pack))
    story: list[Flowable] = []
    for number, side in enumerate(sides):
        if number:
            story.append(FrameBreak())
        story.append(KeepInFrame(*SIDE, side, mode="shrink"))
    document.build(story)
    return out.getvalue()


def _front(pack: DayPack) -> list[Flowable]:
    small, plain = style(9, quiet=True), style(10.5)
    story: list[Flowable] = [
        Paragraph(marked_up(f"{pack.title}, {day_text(pack.on)}"), style(14, bold=True, after=1)),
        Paragraph(marked_up(f"{pack.place}. {pack.light} {pack.rules}"), small),
    ]
    for stop in pack.stops:
        rig = next((packed_rig for packed_rig in pack.rigs if packed_rig.key == stop.rig), None)
        story += [
            Spacer(1, 6),
            Paragraph(marked_up(f"{stop.hours}  {stop.title}"), style(11.5, bold=True)),
            Paragraph(marked_up(f"{stop.water} {stop.beyond}".strip()), small),
            Paragraph(marked_up(f"{stop.change} {stop.words}".strip()), plain),
        ]
        if rig is not None:
            lies = f", {rig.lies}" if rig.lies else ""
            state = rig.states[0].by_cuts[0]
            facts = f"{rig.title}: {rig.facts}{lies}. Tippet {state.tippet}; {state.left}."
            story.append(Paragraph(marked_up(facts), small))
        if stop.setting:
            story.append(Paragraph(marked_up(" ".join(stop.setting)), small))
        for line in (*stop.flies, *((f"Its own rules: {stop.rules}",) if stop.rules else ())):
            story.append(Paragraph(marked_up(line), small))
        story += [Paragraph(f"! {marked_up(line)}", small) for line in stop.cautions]
    story.append(Spacer(1, 4))
    story += [Paragraph(f"! {marked_up(line)}", small) for line in pack.cautions]
    return story


def _back(pack: DayPack) -> list[Flowable]:
    small = style(7.6)
    story: list[Flowable] = []
    for stop in pack.stops:
        if not stop.cells:
            continue
        story.append(Paragraph(marked_up(stop.title), style(9.5, bold=True, after=1)))
        story.append(_table(stop))
        sees = " · ".join(f"<b>{marked_up(see.sees)}:</b> {marked_up(see.do)}" for see in stop.sees)
        story += [Spacer(1, 2), Paragraph(sees, small), Spacer(1, 5)]
    return story or [Paragraph("This day could not be worked out.", small)]


def _table(stop: PackedStop) -> Table:
    """Depth down, pace across: how it fishes there, and what to change."""
    head, cell = style(6.2, quiet=True), style(6.8)
    rows = [
        [
            Paragraph("", head),
            *(Paragraph(marked_up(slider_step.words), head) for slider_step in stop.faster),
        ]
    ]
    for deep, row in zip(stop.deeper, stop.cells, strict=True):
        rows.append(
            [
                Paragraph(marked_up(deep.words), head),
                *(
                    Paragraph(
                        f"{SHAPES[water_cell.status]}<b>{marked_up(water_cell.figure)}</b>"
                        f"{'. ' + marked_up(water_cell.change) if water_cell.change else ''}",
                        cell,
                    )
                    for water_cell in row
                ),
            ]
        )
    first = 0.16 * SIDE[0]
    each = (SIDE[0] - first) / max(1, len(stop.faster))
    return Table(
        rows,
        colWidths=[first, *([each] * len(stop.faster))],
        style=[
            ("LINEBELOW", (0, 0), (-1, -1), 0.4, HAIR),
            ("VALIGN", (0, 0), (-1, -1), "TOP"),
            ("LEFTPADDING", (0, 0), (-1, -1), 0),
            ("RIGHTPADDING", (0, 0), (-1, -1), 3),
            ("TOPPADDING", (0, 0), (-1, -1), 1),
            ("BOTTOMPADDING", (0, 0), (-1, -1), 1),
        ],
    )
