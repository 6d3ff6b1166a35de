"""A way of fishing is a file in three rooms, and nothing outside them knows one by name."""

import re

import pytest

from nine_knots.core.judge.ways import JUDGEMENTS, judgement_of
from nine_knots.core.models.ways import WAYS, way_of
from nine_knots.core.tell.ways import TELLINGS, telling_of
from tests.makers import design
from tests.running import PROJECT

ROOMS = [PROJECT / f"src/nine_knots/core/{floor}/ways" for floor in ("models", "judge", "tell")]


def test_every_way_is_laid_judged_and_told():
    keys = [way.key for way in WAYS]
    assert len(set(keys)) == len(keys) >= 8
    assert set(JUDGEMENTS) == set(TELLINGS) == set(keys)
    files = [{path.name for path in room.glob("*.py")} for room in ROOMS]
    assert files[0] == files[1] == files[2]


def test_they_are_asked_in_an_order_and_one_always_fits():
    assert [way.place for way in WAYS] == sorted({way.place for way in WAYS})
    assert WAYS[-1].fits(design())
    assert way_of(design(wish="drift on top")) is WAYS[0]


@pytest.mark.parametrize("way", WAYS, ids=lambda way: way.key)
def test_no_name_of_a_way_is_known_elsewhere(way):
    assert judgement_of(way).way is way is telling_of(way).way
    name = re.compile(f"""["'`]{re.escape(way.key)}["'`]""")
    sources = [*(PROJECT / "src").rglob("*.py"), *(PROJECT / "web/src").rglob("*.[tv][su]*")]
    told = [path for path in sources if path.parent not in ROOMS and name.search(path.read_text())]
    assert told == []
