"""A card and the bench say the same of a leader; ``scripts/one_judge`` tries it on hundreds."""

import pytest

from tests.one_judge import contradictions


@pytest.mark.parametrize("seed", [1, 2, 3, 4])
def test_a_card_says_what_the_bench_says(seed):
    assert list(contradictions(seed)) == []
