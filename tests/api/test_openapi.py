"""The OpenAPI document is whole, and the service keeps to it whatever it is sent."""

import schemathesis
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from schemathesis import GenerationMode
from schemathesis.checks import not_a_server_error

from nine_knots.api.app import create_app
from nine_knots.demo.load import load_demo
from tests.api.conftest import PORT

HOST = {"host": f"127.0.0.1:{PORT}"}


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


@settings(max_examples=6, suppress_health_check=list(HealthCheck))
@given(data=st.data())
def send_something(operation, data):
    """Six requests to one operation, made up from its description, valid and not."""
    modes = st.sampled_from([GenerationMode.POSITIVE, GenerationMode.NEGATIVE])
    case = data.draw(operation.as_strategy(generation_mode=data.draw(modes)))
    answer = case.call(headers=HOST)
    case.validate_response(answer, checks=[not_a_server_error])
    if answer.status_code >= 400:
        assert answer.headers["content-type"][0] == "application/problem+json"
        assert answer.json()["code"]


def test_nothing_sent_to_it_breaks_it(database):
    load_demo(database)
    app = create_app(database, PORT)
    schema = schemathesis.openapi.from_asgi("/api/openapi.json", app, headers=HOST)
    operations = [result.ok() for result in schema.get_all_operations()]
    assert len(operations) > 15
    for operation in operations:
        send_something(operation)
