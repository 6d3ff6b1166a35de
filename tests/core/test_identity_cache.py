"""Answers kept for the very same argument, and for no other that is like it."""

from nine_knots.core.base.identity_cache import cached_by_identity


def test_an_answer_is_kept_for_the_very_same_argument_until_so_many_others_came():
    asked: list[tuple[int, ...]] = []

    @cached_by_identity(2)
    def total(numbers: tuple[int, ...]) -> int:
        asked.append(numbers)
        return sum(numbers)

    shelves = [tuple(range(size)) for size in (3, 4, 5)]
    assert total(shelves[0]) == total(shelves[0]) == 3
    assert asked == [shelves[0]]
    alike = (0, *shelves[0][1:])
    assert alike is not shelves[0]
    assert total(alike) == 3
    assert len(asked) == 2
    for shelf in shelves[1:]:
        total(shelf)
    total(shelves[2])
    assert len(asked) == 4
    assert total(shelves[0]) == 3
    assert len(asked) == 5
