"""Rooms: folders in which every file is one thing of a kind, known by being there."""

from collections.abc import Iterator
from importlib import import_module
from pkgutil import iter_modules
from typing import TypeVar

Kind = TypeVar("Kind")


def found_in(room: str, kind: type[Kind]) -> Iterator[Kind]:
    """Every thing of a kind that a file of the package ``room`` defines under a name, once."""
    seen: list[Kind] = []
    for file in iter_modules(import_module(room).__path__):
        for one in vars(import_module(f"{room}.{file.name}")).values():
            if isinstance(one, kind) and not any(one is other for other in seen):
                seen.append(one)
                yield one
