"""What earlier programs kept is read, at every version; what cannot be read says so by itself."""

import ast
import hashlib
import json
from dataclasses import replace
from pathlib import Path

import pytest
from pydantic import TypeAdapter

from nine_knots import stored_types
from nine_knots.core.assess import own_cast
from nine_knots.core.base.values import Frozen
from nine_knots.formats.leader_json import read_json, write_json
from nine_knots.store import account_export_types
from nine_knots.store.account_export_types import EVERYTHING, parse_export
from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.stored_type import StoredType
from nine_knots.stored_types.types import DESIGN, ESTIMATE, STORED_TYPES

GOLDEN = Path(__file__).parent / "golden"
SHAPES = GOLDEN / "shapes.json"
WORDS = ("title", "description", "examples", "$id", "$defs")
DEFS = "#/$defs/"


def shape(kind: StoredType) -> str:
    """A fingerprint of the fields and ranges of a type's values, without their words and without
    the names of classes, which are the program's own business."""
    schema = kind.type.json_schema(mode="serialization")

    def print_of(part) -> str:
        return hashlib.sha256(json.dumps(part, sort_keys=True).encode()).hexdigest()[:16]

    def bare(part, within=()):
        if isinstance(part, str) and part.startswith(DEFS):
            name = part.removeprefix(DEFS)
            inner = schema["$defs"][name]
            return "itself" if name in within else print_of(bare(inner, (*within, name)))
        if isinstance(part, dict):
            return {
                key: {name: bare(item, within) for name, item in value.items()}
                if key == "properties"
                else bare(value, within)
                for key, value in part.items()
                if key not in WORDS
            }
        return [bare(item, within) for item in part] if isinstance(part, list) else part

    return print_of(bare(schema))


@pytest.mark.parametrize("name", sorted(STORED_TYPES))
def test_every_version_of_every_kind_is_read_as_it_was(name):
    kind = STORED_TYPES[name]
    for version in range(1, kind.version + 1):
        kept = json.loads((GOLDEN / f"{name.replace(' ', '-')}-v{version}.json").read_text())
        assert (kept["kind"], kept["version"]) == (name, version)
        for body in kept["bodies"]:
            value = kind.read(version, json.dumps(body))
            again = kind.write(value)
            assert kind.read(kind.version, again) == value
            if version == kind.version:
                assert json.loads(again) == body


@pytest.mark.parametrize("kind", [*STORED_TYPES.values(), EVERYTHING], ids=lambda kind: kind.name)
def test_a_changed_shape_is_a_new_version(kind):
    known = json.loads(SHAPES.read_text())
    assert known.get(f"{kind.name} v{kind.version}") == shape(kind), (
        "The values of this kind have other fields or ranges than this version had. Add an upgrade "
        "and a golden file of the new version, and its fingerprint to shapes.json."
    )


def test_files_of_every_version_are_read():
    made = read_json((GOLDEN / "leader-file-v1.json").read_text())
    assert read_json(write_json(made)) == made
    first, second = (
        parse_export((GOLDEN / f"everything-v{version}.json").read_text()) for version in (1, 2)
    )
    assert len(first.leaders) == 2
    assert all(abs(landing.usual) < 2.0 for landing in first.landings)
    assert second == first
    assert parse_export(first.model_dump_json()) == first


class Weighed(Frozen):
    """A kind of two versions: the first had grams, and a name for what is a title now."""

    title: str
    mass_kg: float


def _named(body):
    return {"title": body["name"], "mass_kg": body["grams"] / 1000.0}


WEIGHED = StoredType("thing weighed", TypeAdapter(Weighed), (_named,))


def test_an_older_body_is_brought_up_and_a_newer_one_is_damaged():
    assert WEIGHED.read(1, '{"name": "Fly", "grams": 2}') == Weighed(title="Fly", mass_kg=0.002)
    assert WEIGHED.read(2, '{"title": "Fly", "mass_kg": 0.002}').mass_kg == 0.002
    for version, body, why in (
        (3, "{}", "version 3, and this program reads up to 2"),
        (0, "{}", "version 0"),
        (1, "{}", "version 1 can't be upgraded"),
        (1, "[", "not valid JSON"),
        (2, '{"title": "Fly", "mass_kg": "much"}', "mass_kg: Input should be a valid number"),
    ):
        with pytest.raises(Damaged, match=why) as damage:
            WEIGHED.read(version, body)
        assert "kept as it is" in damage.value.hint


def test_parts_of_a_file_are_brought_up_each_by_its_own_version(monkeypatch):
    old = json.loads((GOLDEN / "everything-v1.json").read_text())
    for leader in old["leaders"]:
        for revision in leader["revisions"]:
            revision["design"]["name"] = revision["design"].pop("title")

    def renamed(body):
        kept = {key: value for key, value in body.items() if key != "name"}
        return {**kept, "title": body["name"]}

    newer = replace(DESIGN, upgrades=(renamed,))
    parts = [
        (newer if kind is DESIGN else kind, place) for kind, place in account_export_types.PARTS
    ]
    monkeypatch.setattr(account_export_types, "PARTS", tuple(parts))
    found = parse_export(json.dumps(old))
    assert found.leaders[0].revisions[0].design.title


@pytest.mark.parametrize("text", ["", "[]", "{}", '{"leaders": 3}', '{"version": 2}', "[" * 10_000])
def test_what_is_no_such_file_is_damaged(text):
    with pytest.raises(Damaged):
        parse_export(text)


def test_upgrades_use_no_figure_of_today():
    """An upgrade freezes its figures: today's constants may change, what was kept may not."""
    today = {
        f"{file.name}: {alias.name}"
        for file in Path(stored_types.__file__).parent.rglob("*.py")
        for node in ast.walk(ast.parse(file.read_text()))
        if isinstance(node, ast.ImportFrom) and (node.module or "").startswith("nine_knots.core")
        for alias in node.names
        if alias.name.isupper()
    }
    assert today == set()


def test_an_own_cast_of_version_1_is_carried_over_by_the_figures_of_then(monkeypatch):
    for name in ("PILES_UP", "SOFT", "SLAMS"):
        monkeypatch.setattr(own_cast, name, 99.0)
    kept_then = json.loads((GOLDEN / "own-cast-v1.json").read_text())["bodies"][0]
    own = ESTIMATE.read_json(1, kept_then).own
    assert own.piles_up == pytest.approx((2.9197278 / 2.5) ** (1 / 1.8))
