"""A property that is worked out once for each instance, by as many threads at a time as ask."""

from functools import cached_property
from typing import Any, Self, TypeVar, overload

Value = TypeVar("Value")


class cached_field(cached_property[Value]):  # noqa: N801  named as what it stands for
    """``functools.cached_property`` without the lock that it has before Python 3.12: one for all
    instances, so that no two of them are worked out side by side."""

    @overload
    def __get__(self, instance: None, owner: type[Any] | None = None) -> Self: ...

    @overload
    def __get__(self, instance: object, owner: type[Any] | None = None) -> Value: ...

    def __get__(self, instance: object | None, owner: type[Any] | None = None) -> Self | Value:
        if instance is None:
            return self
        name, kept = str(self.attrname), vars(instance)
        if name not in kept:
            kept[name] = self.func(instance)
        value: Value = kept[name]
        return value
