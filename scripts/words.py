"""Prints every sentence the program can say, with its file and line.

    python -m scripts.words             from Python and from the interface
    python -m scripts.words src/nine_knots/words

From Python these are the texts with a space in them that are not docstrings; from the interface the
texts of templates and the quoted texts of scripts. Figures in a sentence show as {…}.
"""

import ast
import re
import sys
from collections.abc import Iterator
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]
PLACES = ("src/nine_knots", "web/src")
SQL = re.compile(r"^\s*(SELECT|INSERT|UPDATE|DELETE|REPLACE|FROM|WHERE|LEFT JOIN|AND|ORDER)\b")
SENTENCE = re.compile(r"[A-Za-z]{2}.* .*[a-z]")
TEMPLATE = re.compile(r"<template[^>]*>(.*)</template>", re.DOTALL)
TEXT = re.compile(r">([^<>]+)<|(?:\w*label|title|placeholder|content)=\"([^\"]+)\"", re.DOTALL)
QUOTED = re.compile(r"'((?:[^'\\\n]|\\.)*)'|`((?:[^`\\]|\\.)*)`")


def sentences(root: Path) -> Iterator[tuple[str, int, str]]:
    """Each file, line and text under a folder, or of one file."""
    files = [root] if root.is_file() else sorted(root.rglob("*"))
    for file in files:
        reader = {".py": _from_python, ".vue": _from_vue, ".ts": _from_script}.get(file.suffix)
        for line, text in reader(file.read_text()) if reader else ():
            if SENTENCE.search(text) and not SQL.match(text):
                yield str(file.relative_to(ROOT)), line, text


def _from_python(source: str) -> Iterator[tuple[int, str]]:
    tree = ast.parse(source)
    silent = {id(value) for node in ast.walk(tree) for value in _not_said(node)}
    for node in ast.walk(tree):
        if isinstance(node, ast.JoinedStr):
            silent |= {id(part) for part in node.values}
            parts = (str(p.value) if isinstance(p, ast.Constant) else "{…}" for p in node.values)
            yield node.lineno, "".join(parts)
        elif isinstance(node, ast.Constant) and isinstance(node.value, str):
            silently = id(node) in silent
            yield from () if silently else ((node.lineno, node.value),)


def _not_said(node: ast.AST) -> Iterator[ast.expr]:
    """Docstrings, and the texts in annotations."""
    if isinstance(node, ast.Expr) and isinstance(node.value, ast.Constant):
        yield node.value
    if isinstance(node, ast.AnnAssign):
        yield from (part for part in ast.walk(node.annotation) if isinstance(part, ast.expr))
    if isinstance(node, ast.Subscript) and getattr(node.value, "id", "") == "Literal":
        yield from (part for part in ast.walk(node.slice) if isinstance(part, ast.expr))


def _from_vue(source: str) -> Iterator[tuple[int, str]]:
    template = TEMPLATE.search(source)
    if template:
        above = source[: template.start(1)].count("\n")
        for found in TEXT.finditer(template.group(1)):
            text = " ".join((found.group(1) or found.group(2)).split())
            yield above + template.group(1)[: found.start()].count("\n") + 1, text
    yield from _from_script(source[: template.start()] if template else source)


def _from_script(source: str) -> Iterator[tuple[int, str]]:
    for number, line in enumerate(source.splitlines(), 1):
        if not line.lstrip().startswith(("//", "*", "/*", "import")):
            for found in QUOTED.finditer(line):
                yield number, found.group(1) or found.group(2) or ""


if __name__ == "__main__":
    for place in sys.argv[1:] or PLACES:
        for file, line, text in sentences((ROOT / place).resolve()):
            print(f"{file}:{line}: {text}")
