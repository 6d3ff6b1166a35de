"""A kept property: worked out once an instance, and by two threads at a time."""

from threading import Barrier, Thread

from nine_knots.core.base.cached_field import cached_field


class Slow:
    def __init__(self, met: Barrier) -> None:
        self.met, self.times = met, 0

    @cached_field
    def found(self) -> int:
        self.met.wait()
        self.times += 1
        return self.times


def test_two_are_worked_out_side_by_side_and_each_once():
    both = Barrier(2, timeout=10.0)  # broken where one has to wait for the other's end
    pair = [Slow(both), Slow(both)]
    threads = [Thread(target=lambda item=item: item.found) for item in pair]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert [vars(item).get("found") for item in pair] == [1, 1]
    assert [item.found for item in pair] == [1, 1]
