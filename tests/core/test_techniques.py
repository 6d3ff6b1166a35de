"""A way of fishing is a file in three rooms, and nothing outside them knows one by name."""

import re

import pytest

from nine_knots.core.techniques import TECHNIQUES, technique_of
from nine_knots.words.techniques import TECHNIQUE_WORDS, technique_words_of
from tests.makers import design
from tests.running import PROJECT

ROOMS = [PROJECT / f"src/nine_knots/{room}" for room in ("core/techniques", "words/techniques")]


def test_every_way_is_laid_judged_and_told():
    keys = [technique.key for technique in TECHNIQUES]
    assert len(set(keys)) == len(keys) >= 8
    assert set(TECHNIQUE_WORDS) == set(keys)
    files = [{path.name for path in room.glob("*.py")} for room in ROOMS]
    assert files[0] == files[1]


def test_they_are_asked_in_an_order_and_one_always_fits():
    assert [item.place for item in TECHNIQUES] == sorted({item.place for item in TECHNIQUES})
    assert TECHNIQUES[-1].fits(design())
    assert technique_of(design(wish="drift on top")) is TECHNIQUES[0]


@pytest.mark.parametrize("technique", TECHNIQUES, ids=lambda item: item.key)
def test_no_name_of_a_technique_is_known_elsewhere(technique):
    assert technique_words_of(technique).technique is technique
    name = re.compile(f"""["'`]{re.escape(technique.key)}["'`]""")
    sources = [*(PROJECT / "src").rglob("*.py"), *(PROJECT / "web/src").rglob("*.[tv][su]*")]
    told = [path for path in sources if path.parent not in ROOMS and name.search(path.read_text())]
    assert told == []
