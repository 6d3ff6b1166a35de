"""What the product is made of: a bill of materials, and what is known against any of it.

    python scripts/packages.py write               the bill, ``locks/bom.json`` (CycloneDX 1.6)
    python scripts/packages.py advisories PATH …   keep what records at hand say of our packages
    python scripts/packages.py check               the bill is today's, and no advisory applies

``advisories`` reads records in the OSV format: files, folders or zip archives of them.
"""

import argparse
import base64
import json
import re
import sys
import zipfile
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import asdict, dataclass
from datetime import UTC, datetime
from importlib.metadata import PackageNotFoundError, version
from pathlib import Path
from typing import Any
from uuid import UUID

from cyclonedx.model import HashAlgorithm, HashType
from cyclonedx.model.bom import Bom
from cyclonedx.model.component import Component, ComponentType
from cyclonedx.output.json import JsonV1Dot6
from packageurl import PackageURL
from packaging.version import InvalidVersion, Version

PROJECT = Path(__file__).resolve().parents[1]
BILL, KNOWN = PROJECT / "locks/bom.json", PROJECT / "locks/advisories.json"
LOCKED = re.compile(r"^([\w.-]+)==([^\s;\\]+)", re.M)
ECOSYSTEMS = {"pypi": "PyPI", "npm": "npm"}
OLD_DAYS = 30


@dataclass(frozen=True)
class Package:
    """One that ships with the product, at the version that is locked; its hashes as hex."""

    kind: str
    name: str
    version: str
    hashes: tuple[tuple[HashAlgorithm, str], ...]


@dataclass(frozen=True)
class Advisory:
    """What is known against a package: from which version on, and the first that mends it."""

    id: str
    ecosystem: str
    package: str
    introduced: str
    fixed: str
    summary: str

    def applies_to(self, item: Package) -> bool:
        """Whether a package is one it warns of; a version that nothing can read is taken to be."""
        if (self.ecosystem, self.package.lower()) != (ECOSYSTEMS[item.kind], item.name.lower()):
            return False
        try:
            own = Version(item.version)
            since = self.introduced in ("", "0") or Version(self.introduced) <= own
            return since and not (self.fixed and Version(self.fixed) <= own)
        except InvalidVersion:
            return True


def from_python(text: str) -> Iterator[Package]:
    """The packages in a lock file of hashes."""
    for part in re.split(r"\n(?=\S)", text):
        if found := LOCKED.match(part):
            hashes = re.findall(r"sha256:([0-9a-f]{64})", part)
            yield Package(
                "pypi",
                found[1],
                found[2],
                tuple((HashAlgorithm.SHA_256, hash_) for hash_ in hashes),
            )


def from_npm(lock: dict[str, Any]) -> Iterator[Package]:
    """What of a package lock is built into the interface."""
    for path, item in lock["packages"].items():
        if path and not item.get("dev") and not item.get("devOptional"):
            whole = base64.b64decode(item["integrity"].removeprefix("sha512-")).hex()
            name = path.rpartition("node_modules/")[2]
            yield Package("npm", name, item["version"], ((HashAlgorithm.SHA_512, whole),))


def shipped() -> list[Package]:
    """All that ships."""
    python = from_python((PROJECT / "locks/app.txt").read_text())
    npm = from_npm(json.loads((PROJECT / "web/package-lock.json").read_text()))
    return sorted({*python, *npm}, key=lambda item: (item.kind, item.name, item.version))


def bill_of(packages: list[Package]) -> str:
    """The bill as CycloneDX JSON: the same for the same locks."""
    bom = Bom(serial_number=UUID(int=0))
    bom.metadata.timestamp = datetime(2000, 1, 1, tzinfo=UTC)
    for item in packages:
        space, _, name = item.name.rpartition("/")
        bom.components.add(
            Component(
                type=ComponentType.LIBRARY,
                group=space or None,
                name=name,
                version=item.version,
                purl=PackageURL(item.kind, space or None, name, item.version),
                bom_ref=f"{item.kind}:{item.name}@{item.version}",
                hashes=[HashType(alg=kind, content=text) for kind, text in item.hashes],
            )
        )
    made: dict[str, Any] = json.loads(JsonV1Dot6(bom).output_as_string())
    del made["serialNumber"], made["metadata"]["timestamp"]
    return json.dumps(made, indent=1, sort_keys=True) + "\n"


def records(path: Path) -> Iterator[dict[str, Any]]:
    """OSV records in a file, a folder or an archive."""
    if path.is_dir():
        for item in sorted(path.rglob("*.json")):
            yield json.loads(item.read_text())
    elif path.suffix == ".zip":
        with zipfile.ZipFile(path) as archive:
            for name in archive.namelist():
                if name.endswith(".json"):
                    yield json.loads(archive.read(name))
    else:
        yield json.loads(path.read_text())


def advisories_in(record: dict[str, Any]) -> Iterator[Advisory]:
    """What a record says, a range of versions at a time."""
    if record.get("withdrawn"):
        return
    for affected in record.get("affected", ()):
        package = affected.get("package", {})
        for span in affected.get("ranges", ()):
            introduced = ""
            for event in span.get("events", ()) if span.get("type") != "GIT" else ():
                introduced = event.get("introduced", introduced)
                if "fixed" in event or event == span["events"][-1]:
                    yield Advisory(
                        record["id"],
                        package.get("ecosystem", ""),
                        package.get("name", ""),
                        introduced,
                        event.get("fixed", ""),
                        record.get("summary", ""),
                    )


def keep_advisories(paths: list[Path]) -> str:
    """Keep those of our packages, with the day; what was kept, in words."""
    names = {(ECOSYSTEMS[item.kind], item.name.lower()) for item in shipped()}
    found = {
        item
        for path in paths
        for record in records(path)
        for item in advisories_in(record)
        if (item.ecosystem, item.package.lower()) in names
    }
    kept = sorted(
        (asdict(found_item) for found_item in found), key=lambda item: (item["package"], item["id"])
    )
    made = {"read_on": datetime.now(UTC).date().isoformat(), "advisories": kept}
    KNOWN.write_text(json.dumps(made, indent=1) + "\n")
    return f"{len(kept)} advisories of our packages are kept in {KNOWN.name}."


def check() -> tuple[bool, list[str]]:
    """Whether all is well, and what is to be said."""
    packages, said = shipped(), []
    ok = BILL.is_file() and BILL.read_text() == bill_of(packages)
    if not ok:
        said.append("locks/bom.json doesn't match the locks: run scripts/packages.py write.")
    if others := list(otherwise_installed(packages)):
        ok, said = False, [*said, *others]
    if not KNOWN.is_file():
        said.append(
            "NOT CHECKED against advisories: none could be fetched when the locks were made. "
            "If you have OSV records, run scripts/packages.py advisories PATH."
        )
        return ok, said
    known = json.loads(KNOWN.read_text())
    age = (datetime.now(UTC).date() - datetime.fromisoformat(known["read_on"]).date()).days
    if age > OLD_DAYS:
        said.append(f"The advisories are {age} days old: import newer ones.")
    for row in known["advisories"]:
        one = Advisory(**row)
        for package in packages:
            if one.applies_to(package):
                ok = False
                hint = f"update to {one.fixed} or newer" if one.fixed else "no fixed version yet"
                what = f"{package.name} {package.version}: {one.id}, {one.summary.rstrip('.')}"
                said.append(f"{what}; {hint}.")
    if ok:
        said.append(f"No advisory read on {known['read_on']} warns of any of {len(packages)}.")
    return ok, said


def otherwise_installed(packages: list[Package]) -> Iterator[str]:
    """What is installed here at another version than the one that is locked."""
    for item in packages:
        with suppress(PackageNotFoundError):  # of another system, or not of Python
            if item.kind == "pypi" and Version(here := version(item.name)) != Version(item.version):
                yield f"{item.name} {here} is installed, {item.version} is locked."


def main() -> int:
    """As the arguments say."""
    parser = argparse.ArgumentParser(description="What the product is made of.")
    parser.add_argument("what", choices=("write", "advisories", "check"))
    parser.add_argument("paths", nargs="*", type=Path)
    asked = parser.parse_args()
    if asked.what == "write":
        BILL.write_text(bill_of(shipped()))
        return 0
    if asked.what == "advisories":
        print(keep_advisories(asked.paths))
        return 0
    ok, said = check()
    print("\n".join(said))
    return 0 if ok else 1


if __name__ == "__main__":
    sys.exit(main())
