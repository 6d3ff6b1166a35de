"""Discovery: finds what the modules of a package define, so a new module registers itself."""

from collections.abc import Iterator
from importlib import import_module
from pkgutil import iter_modules
from typing import TypeVar

T = TypeVar("T")


def discover_modules(package: str, kind: type[T]) -> Iterator[tuple[str, T]]:
    """Every object of type ``kind`` that a module of ``package`` names, once, with that module."""
    seen: list[T] = []
    for info in iter_modules(import_module(package).__path__):
        name = f"{package}.{info.name}"
        for value in vars(import_module(name)).values():
            if isinstance(value, kind) and not any(value is other for other in seen):
                seen.append(value)
                yield name, value


def discover(package: str, kind: type[T]) -> Iterator[T]:
    """Every object of type ``kind`` that a module of ``package`` names, once."""
    return (value for _, value in discover_modules(package, kind))
