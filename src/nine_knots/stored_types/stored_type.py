"""The envelope of what is kept: kind, version, body; and upgrades from each version to the next.

Rows of the database, files and drafts all carry the same three; only where they stand differs.
A body is never rewritten when it is read: it is upgraded on its way, and written at today's version
when it is saved anew.
"""

import json
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, Generic, TypeVar

from pydantic import TypeAdapter, ValidationError

from nine_knots.stored_types.errors import Damaged

Value = TypeVar("Value")
Upgrade = Callable[[Any], Any]
"""Makes of a body of one version the body of the next: JSON values, not yet checked."""


def added_fields_only(body: Any) -> Any:
    """The upgrade to a version that only has more fields, each with a value of its own."""
    return body


@dataclass(frozen=True)
class StoredType(Generic[Value]):
    """A kind of value that is kept: its name, today's version, its type, the upgrades to today.

    The first upgrade is that from version 1 to 2, so there is one less than there are versions.
    """

    name: str
    type: TypeAdapter[Value]
    upgrades: tuple[Upgrade, ...] = ()

    @property
    def version(self) -> int:
        """Today's."""
        return len(self.upgrades) + 1

    def write(self, value: Value) -> str:
        """The body of a value, at today's version, as JSON."""
        return self.type.dump_json(value).decode()

    def read(self, version: int, body: str | bytes) -> Value:
        """The value of a body of any version; Damaged where it cannot be read."""
        if version == self.version:
            return self._checked(body)
        try:
            return self.read_json(version, json.loads(body))
        except (ValueError, RecursionError) as error:
            raise self._damaged("its body is not valid JSON") from error

    def read_json(self, version: int, body: Any) -> Value:
        """The value of a body of any version that is JSON values already."""
        try:
            upgraded = json.dumps(self.upgraded(version, body))
        except (LookupError, TypeError, ValueError, AttributeError) as error:
            raise self._damaged(f"version {version} can't be upgraded") from error
        return self._checked(upgraded)

    def _checked(self, body: str | bytes) -> Value:
        try:
            return self.type.validate_json(body)
        except ValidationError as error:
            first = error.errors(include_input=False, include_url=False)[0]
            where = ".".join(str(part) for part in first["loc"])[:200]
            said = str(first["msg"]).removeprefix("Value error, ")[:200]
            raise self._damaged(f"{where or 'its start'}: {said}", where) from error

    def upgraded(self, version: int, body: Any) -> Any:
        """A body brought up to today's version, unchecked; Damaged where that is not known."""
        if not 1 <= version <= self.version:
            raise self._damaged(
                f"it has version {version}, and this program reads up to {self.version}"
            )
        for upgrade in self.upgrades[version - 1 :]:
            body = upgrade(body)
        return body

    def _damaged(self, why: str, where: str = "") -> Damaged:
        return Damaged(
            f"This {self.name} cannot be read: {why}.",
            where=where,
            hint="It is kept as it is. Export it, or start a newer Nine Knots.",
        )
