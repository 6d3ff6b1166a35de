"""The OpenAPI document is whole, and the service keeps to it whatever it is sent."""

import subprocess
import sys
from pathlib import Path

import httpx

from nine_knots.api.app import create_app
from nine_knots.api.openapi_document import DOCUMENT
from tests.api.conftest import PORT
from tests.running import Running

# A path that is named and one with an id in its place ("/api/v1/phones/code",
# "/api/v1/phones/{phone_id}") are one path to the router: it refuses the other's method in its own
# words, not by 405.
# many seconds each: /api/v1/find/asked has the form of the first, test_plans.py works the others
LONG_WORK = ("/api/v1/find", "/api/v1/plans/work", "/api/v1/plans/pack")
OWN_WORDS = "unsupported_method,allow_header_conformance"


def test_every_operation_is_described_with_its_problems():
    document = create_app(None, PORT).openapi()
    for path, verbs in document["paths"].items():
        for verb, operation in verbs.items():
            assert operation["summary"], (verb, path)
            assert operation["description"], (verb, path)
            assert set(operation["responses"]) & {"200", "201", "204"}
    bench = document["components"]["schemas"]["BenchRequest"]["properties"]
    assert bench["edit"]["examples"]
    assert bench["design"]["examples"]


def test_the_service_keeps_to_its_description(tmp_path):
    """Requests made up from the document, valid and not, singly and in chains, with every check."""
    running = Running(tmp_path / "local").ready()
    try:
        done = fuzzed(running.url, "1", "examples,fuzzing,stateful")
    finally:
        running.stop()
    assert done.returncode == 0, done.stdout[-6000:]
    assert " passed" in done.stdout


def fuzzed(url: str, examples: str, phases: str) -> subprocess.CompletedProcess:
    tool = Path(sys.executable).with_name("st")
    config = Path(__file__).with_name("schemathesis.toml")
    document = f"{url}{DOCUMENT}"
    httpx.get(document, timeout=60.0).raise_for_status()  # the tool waits ten seconds for it
    run = ["run", document, "--checks", "all", "--exclude-checks", OWN_WORDS]
    run += ["--continue-on-failure", "--max-response-time", "60"]
    for path in LONG_WORK:
        run += ["--exclude-path", path]
    run += ["--request-timeout", "60"]  # the tool's own ten seconds: a cold machine casts longer
    size = ["--max-examples", examples, "--phases", phases, "--seed", "8", "--workers", "2"]
    command = [str(tool), "--config-file", str(config), *run, *size]
    return subprocess.run(command, capture_output=True, text=True, check=False)
