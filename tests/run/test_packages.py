"""What ships is listed, and what is known against it is found."""

import json
import sys
from importlib.util import module_from_spec, spec_from_file_location

import pytest

from nine_knots.run import PROJECT


@pytest.fixture
def packages(tmp_path, monkeypatch):
    spec = spec_from_file_location("packages", PROJECT / "scripts/packages.py")
    module = module_from_spec(spec)
    monkeypatch.setitem(sys.modules, "packages", module)
    spec.loader.exec_module(module)
    monkeypatch.setattr(module, "KNOWN", tmp_path / "advisories.json")
    return module


def record(name, ecosystem, *events, **more):
    span = {"type": "SEMVER", "events": list(events)}
    affected = [{"package": {"name": name, "ecosystem": ecosystem}, "ranges": [span]}]
    return {"id": f"TEST-{name}", "summary": "It tells all.", "affected": affected, **more}


def checked_against(packages, tmp_path, *found):
    """What the check says once these records have been imported."""
    for number, item in enumerate(found):
        (tmp_path / f"{number}.json").write_text(json.dumps(item))
    packages.keep_advisories([tmp_path / f"{number}.json" for number in range(len(found))])
    return packages.check()


def test_all_that_ships_is_in_the_bill_with_its_hashes(packages):
    bill = json.loads(packages.BILL.read_text())
    listed = {item["purl"] for item in bill["components"]}
    assert (bill["bomFormat"], bill["specVersion"]) == ("CycloneDX", "1.6")
    assert any(item.startswith("pkg:pypi/fastapi@") for item in listed)
    assert any(item.startswith("pkg:npm/vue@") for item in listed)
    assert not any("pytest" in item or "vitest" in item for item in listed)
    assert all(item["hashes"] for item in bill["components"])


def test_that_nothing_was_checked_is_said_plainly(packages):
    ok, said = packages.check()
    assert ok
    assert "NOT CHECKED" in said[-1]


@pytest.mark.parametrize(
    ("events", "warned"),
    [
        ([{"introduced": "0"}, {"fixed": "0.1"}], False),
        ([{"introduced": "0"}, {"fixed": "999"}], True),
        ([{"introduced": "0"}], True),
        ([{"introduced": "998"}, {"fixed": "999"}], False),
        ([{"introduced": "0"}, {"fixed": "0.1"}, {"introduced": "0.2"}, {"fixed": "999"}], True),
    ],
)
@pytest.mark.parametrize(("name", "ecosystem"), [("FastAPI", "PyPI"), ("vue", "npm")])
def test_an_advisory_warns_of_the_versions_it_names(
    packages, tmp_path, name, ecosystem, events, warned
):
    ok, said = checked_against(packages, tmp_path, record(name, ecosystem, *events))
    assert ok is not warned
    assert any(f"TEST-{name}" in line for line in said) is warned
    other = record(name, "Go", {"introduced": "0"})
    gone = record(name, ecosystem, {"introduced": "0"}, withdrawn="2026-01-01T00:00:00Z")
    assert checked_against(packages, tmp_path, other, gone)[0]


def test_records_are_read_from_what_is_at_hand(packages, tmp_path):
    (tmp_path / "one.json").write_text(json.dumps(record("vue", "npm", {"introduced": "0"})))
    (tmp_path / "two.json").write_text(json.dumps(record("other", "npm", {"introduced": "0"})))
    found = {item["id"] for item in packages.records(tmp_path)}
    assert found == {"TEST-vue", "TEST-other"}
