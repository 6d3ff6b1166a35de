"""A card and the bench say the same of a leader; ``scripts/one_judge`` tries it on hundreds."""

import pytest

from tests.one_judge import contradictions, found_contradictions


@pytest.mark.parametrize("seed", [1, 2, 3, 4])
def test_a_card_says_what_the_bench_says(seed):
    assert list(contradictions(seed)) == []


@pytest.mark.parametrize("seed", [1, 3])
def test_find_and_a_plan_say_what_the_bench_says(seed):
    assert list(found_contradictions(seed)) == []
