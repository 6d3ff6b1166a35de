"""The rig as it is from what happened: any order and repetition of the same events, one result; the
phone counts by the same cases (`web/tests/water`)."""

import json
from pathlib import Path

import pytest
from hypothesis import given
from hypothesis import strategies as st

from nine_knots.core.assess.rig_state import day_state
from nine_knots.core.domain.event import Event, EventDetail
from nine_knots.core.domain.event_kinds import BROKE, EVENT_KINDS

CASES = json.loads((Path(__file__).parents[1] / "cases" / "rig-state.json").read_text())
KINDS = [key for key in EVENT_KINDS if key != "taken-back"]


def made(number, kind, **detail):
    return Event(
        event_id=f"{number:032x}",
        plan_id="a" * 32,
        at=1000 * number,
        kind=kind,
        detail=EventDetail(**detail),
    )


@st.composite
def days(draw):
    """A day of events, some of them taken back, some of the takings back too."""
    events = []
    for number in range(1, draw(st.integers(1, 12))):
        kind = draw(st.sampled_from([*KINDS, "taken-back"]))
        detail = {}
        if kind == "taken-back":
            detail = {"undoes": f"{draw(st.integers(1, 12)):032x}"}
        elif kind == "broke":
            detail = {"place": draw(st.sampled_from([place for place, _ in BROKE.by_place]))}
        elif kind == "changed-rig":
            detail = {"rig": draw(st.sampled_from(["one", "two"]))}
        elif kind == "changed-fly":
            detail = {"fly": draw(st.sampled_from(["sedge", "olive"]))}
        events.append(made(number, kind, **detail))
    return events


@given(days(), st.randoms())
def test_any_order_and_any_repetition_give_the_same(events, chance):
    mixed = [*events, *chance.sample(events, len(events) // 2)]
    chance.shuffle(mixed)
    begun = ("pockets", "one", "sedge")
    assert day_state(mixed, *begun) == day_state(events, *begun)


@pytest.mark.parametrize("case", CASES, ids=[case["name"] for case in CASES])
def test_a_day_comes_to_what_is_told(case):
    events = [Event.model_validate_json(json.dumps(item)) for item in case["events"]]
    now = day_state(events, case["stretch"], case["rig"], case["fly"])
    found = {
        "stretch": now.stretch,
        "rig": now.rig,
        "fly": now.fly,
        "setting": now.setting_m,
        "level": now.level_m,
        "rigs": {
            key: {"cuts": item.cuts, "wear": item.wear, "gone": item.gone, "fish": item.fish}
            for key, item in now.rigs.items()
        },
        "stands": [event.event_id for event in now.events],
    }
    assert found == case["now"]
