"""Lists the figures that rest on memory or on a guess, and how far the verdict moves with each.

``python -m scripts.assumptions`` writes docs/assumptions.md. Every module-level figure marked [M]
or [G] is taken a fifth up and down (or by the spread that its mark names), everything else the
same, and the demo's leaders are judged anew by every cord; what is compiled into a kernel is
listed unmeasured.
"""

import ast
import dataclasses
import importlib
import math
import re
import sys
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import numpy as np
from pydantic import BaseModel

from nine_knots.core.assess.turnover import CastResult, mono_score, turnover_score
from nine_knots.core.assess.verdict import assessment_inputs, verdict_of
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.core.base.score import Score
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.quick_caster import QuickCaster
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import air_of
from nine_knots.core.domain.design import Design
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.shelf import demo_stock

ROOT = Path(__file__).resolve().parents[1]
MARK = re.compile(r"\[([^\]]*\b[MG]\b[^\]]*)\]")
SPREAD = re.compile(r"±\s*(\d+)\s*%")
USUAL_SPREAD = 0.2
LEAST_MEASURE = 30  # a whole number above it is a measure, below it a count
SETTLES = {  # by the path of the module, the longest that fits
    "core/assess/pick_up": "sunk flies drawn off the water on a spring scale",
    "core/assess": "rigs that are known to work, judged blind by several builders",
    "core/assess/own_cast": "landings of many casters",
    "core/casting": "a cast filmed from the side against a scale",
    "core/casting/mono": "mono and fly weighed, and thrown by several casters",
    "core/strength": "pull tests of pieces fished and nicked",
    "core/water": "a drift filmed under water beside a staff",
    "core/techniques": "a drift filmed under water beside a staff",
    "core/mechanics": "a handbook in hand, or a towing tank",
    "words": "the same by several builders",
    "core/domain/in_water": "a jar test: seconds over a measured fall",
    "core/domain/knots": "pull tests, ten of each knot in each material",
    "core/domain/leader": "the things themselves on a scale, under a caliper",
    "core/domain/materials": "a droop test and a pull test of each material",
    "core/domain/need": "a strike on a spring scale; fish of known weight played on one",
    "core/schools": "builders of each school asked, their leaders measured",
    "core/domain/situation": "a current meter, a wind meter and a staff beside the words",
    "core/domain/tackle": "lines, rods and flies weighed and measured",
    "core/domain/beds": "a current measured at several heights over each bed",
    "core/domain/tippet": "builders asked, their tippets measured",
}


TABLES = (  # whose marks stand in words beside them: module, name, field, mark
    ("core.domain.materials", "MATERIALS", "wet_modulus_pa", "M ±25 %"),
    ("core.domain.materials", "MATERIALS", "strength", "M ±15 %"),
    ("core.domain.knots.table", "KNOTS", "efficiency", "M ±10 %"),
    ("core.domain.beds", "GRAIN_M", "", "M, times or over 2"),
    ("core.domain.situation", "PACE_WORDS", "", "M"),
)


@dataclasses.dataclass
class Debt:
    """A figure with its mark, its module and what moves with it; of a table perhaps one field."""

    name: str
    module: str
    mark: str
    field: str = ""
    moved: float = 0.0
    cord: str = ""
    flips: int = 0
    measured: bool = True


def debts() -> Iterator[Debt]:
    """Every module-level figure whose own lines, or the comment right above, carry a mark."""
    for place, name, field, mark in TABLES:
        yield Debt(name, f"nine_knots.{place}", mark, field)
    package = ROOT / "src/nine_knots"
    for path in sorted([*(package / "core").rglob("*.py"), *(package / "words").rglob("*.py")]):
        lines = path.read_text().splitlines()
        module = ".".join(path.relative_to(ROOT / "src").with_suffix("").parts)
        body = ast.parse("\n".join(lines)).body
        for place, node in enumerate(body):
            targets = node.targets if isinstance(node, ast.Assign) else [getattr(node, "target", 0)]
            names = (
                [n.id for t in targets for n in ast.walk(t) if isinstance(n, ast.Name)]
                if (isinstance(node, ast.Assign | ast.AnnAssign))
                else []
            )
            names = [name for name in names if name.isupper() or name.lstrip("_").isupper()]
            if not names:
                continue
            first = node.lineno - 1
            while first > 0 and lines[first - 1].startswith("#"):
                first -= 1
            last = node.end_lineno or node.lineno
            after = body[place + 1] if place + 1 < len(body) else None
            if isinstance(after, ast.Expr) and isinstance(after.value, ast.Constant):
                last = after.end_lineno or last
            marks = MARK.findall(" ".join(line.strip("# ") for line in lines[first:last]))
            for name in names if marks else []:
                yield Debt(name, module, "; ".join(dict.fromkeys(marks)))


def scaled(value: Any, times: float) -> Any:
    """A figure, or all the figures in a table, so many times as great."""
    if isinstance(value, bool | str) or value is None:
        return value
    if isinstance(value, int):
        return value * times if value > LEAST_MEASURE else value
    if isinstance(value, float):
        return value * times
    if isinstance(value, np.ndarray):
        return value * times if value.dtype.kind == "f" else value
    if isinstance(value, BaseModel):
        fields = type(value).model_fields
        return value.model_copy(update={n: scaled(getattr(value, n), times) for n in fields})
    if dataclasses.is_dataclass(value) and not isinstance(value, type):
        fields = [f.name for f in dataclasses.fields(value)]
        return dataclasses.replace(value, **{n: scaled(getattr(value, n), times) for n in fields})
    if isinstance(value, tuple) and hasattr(value, "_fields"):
        return type(value)(*(scaled(item, times) for item in value))
    if isinstance(value, dict):
        return {key: scaled(item, times) for key, item in value.items()}
    if isinstance(value, tuple | list):
        return type(value)(scaled(item, times) for item in value)
    return value


def one_field(table: dict[str, Any], field: str, times: float) -> dict[str, Any]:
    """A table with one field of every row so many times as great."""
    return {
        key: row.model_copy(update={field: scaled(getattr(row, field), times)})
        for key, row in table.items()
    }


def put(name: str, old: Any, new: Any) -> bool:
    """Put a figure in the place of another wherever it was imported; whether a kernel has it."""
    compiled = False
    for module in [m for key, m in list(sys.modules.items()) if key.startswith("nine_knots")]:
        held = vars(module).get(name)
        if held is old or (isinstance(held, float) and held == old):
            setattr(module, name, new)
            kernels = [var for var in vars(module).values() if hasattr(var, "py_func")]
            compiled |= any(name in kernel.py_func.__code__.co_names for kernel in kernels)
        for var in vars(module).values():
            if hasattr(var, "cache_clear"):
                var.cache_clear()
    return compiled


def judged(designs: tuple[Design, ...]) -> list[dict[str, Score]]:
    """Every cord of every design."""
    return [_cords(design) for design in designs]


def _cords(design: Design) -> dict[str, Score]:
    day = design.situation
    found = list(verdict_of(design, assessment_inputs(design)))
    try:
        found += technique_of(design).measures(design, USUAL_QUESTION)
        ratio = mass_ratio(design.leader, day.fly)
        if ratio is not None:
            found.append(mono_score(ratio))
        else:
            stroke, air = Stroke(), air_of(day.wind)
            least = QuickCaster().minimum(design.leader, day.line, day.fly, stroke, air)
            found.append(turnover_score(CastResult(least, stroke), design.leader, day))
    except NineKnotsError:
        pass
    return {found_item.key: found_item for found_item in found}


def measure(debt: Debt, designs: tuple[Design, ...], before: list[dict[str, Score]]) -> None:
    """How far the cords move when a figure is taken up and down."""
    old = vars(importlib.import_module(debt.module))[debt.name]
    told = SPREAD.search(debt.mark)
    spread = int(told[1]) / 100.0 if told else USUAL_SPREAD
    both = (2.0, 0.5) if "times or over 2" in debt.mark else (1.0 + spread, 1.0 - spread)
    for times in both:
        new = scaled(old, times) if not debt.field else one_field(old, debt.field, times)
        if put(debt.name, old, new):
            put(debt.name, new, old)
            debt.measured = False
            return
        try:
            after = judged(designs)
        except (NineKnotsError, ValueError, ArithmeticError):
            after = before
        finally:
            put(debt.name, new, old)
        for was, now in zip(before, after, strict=True):
            for key, cord in was.items():
                if key not in now:
                    continue
                moved = abs(now[key].position - cord.position)
                debt.flips += now[key].status != cord.status
                if moved > debt.moved and math.isfinite(moved):
                    debt.moved, debt.cord = moved, cord.title.lower()


def settle(module: str) -> str:
    """What would settle a figure of this module."""
    path = module.removeprefix("nine_knots.").replace(".", "/")
    fitting = [key for key in SETTLES if path.startswith(key)]
    return SETTLES[max(fitting, key=len)] if fitting else "a measurement"


def page(found: list[Debt], count: int) -> str:
    """The page."""
    rows = []
    for debt in sorted(
        found,
        key=lambda found_item: (
            not found_item.measured,
            -found_item.moved,
            found_item.module,
            found_item.name,
        ),
    ):
        moves = f"{debt.moved:.2f} of the {debt.cord} cord" if debt.moved >= 0.005 else "nothing"
        if debt.flips:
            moves += f", {debt.flips} other word{'s' if debt.flips > 1 else ''}"
        where = debt.module.removeprefix("nine_knots.").removeprefix("core.")
        rows.append(
            f"| `{'.'.join(filter(None, (debt.name, debt.field)))}` | {where} | "
            f"{debt.mark.replace('|', '/')} | "
            f"{moves if debt.measured else 'compiled, not measured'} | {settle(debt.module)} |"
        )
    return "\n".join(
        [
            "# Open debts",
            "",
            "Figures that rest on memory [M] or on a guess [G]. Each was taken up and down by the "
            "spread that its mark names, or by a fifth, all else the same, and the "
            f"{count} leaders of the demo were judged anew. *Moves* is the farthest that any cord "
            "went (1 is its whole length, .4 the wanted band) and how many words of a verdict "
            "changed. Written by `python -m scripts.assumptions`; those that move most come "
            "first. A "
            "table counts as one figure, so that all of it moves together.",
            "",
            "| figure | where | mark | moves | what would settle it |",
            "| --- | --- | --- | --- | --- |",
            *rows,
            "",
        ]
    )


def main() -> None:
    """Measure all and write the page."""
    stock = demo_stock()
    designs = (*demo_designs(stock), *demo_rigs(stock))
    found = list(debts())
    before = judged(designs)
    for number, debt in enumerate(found, start=1):
        measure(debt, designs, before)
        print(f"{number}/{len(found)} {debt.module}.{debt.name}: {debt.moved:.3f}", flush=True)
    (ROOT / "docs/assumptions.md").write_text(page(found, len(designs)))


if __name__ == "__main__":
    main()
