"""Every source that is named stands in docs/references.bib, and every one there is named."""

import re

from tests.running import PROJECT

NAMED = re.compile(r"\[S: ([^\]]*)\]")
KEY = re.compile(r"[A-Z][A-Za-z]*\d{4}")


def named() -> dict[str, list[str]]:
    found: dict[str, list[str]] = {}
    for path in [*(PROJECT / "src").rglob("*.py"), *(PROJECT / "docs").glob("*.md")]:
        for marks in NAMED.findall(path.read_text()):
            keys = KEY.findall(marks)
            for key in keys or [f"none in “{marks}” of {path.name}"]:
                found.setdefault(key, []).append(path.name)
    return found


def test_sources_that_are_named_are_the_ones_that_are_listed():
    listed = re.findall(r"^@\w+\{(\w+),", (PROJECT / "docs/references.bib").read_text(), re.M)
    assert len(listed) == len(set(listed))
    assert set(named()) == set(listed)
