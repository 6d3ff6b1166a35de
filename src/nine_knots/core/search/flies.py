"""As many flies as are asked for, and how those above the point are tied: on tags or in line."""

import random
from collections.abc import Iterator

from pydantic import ValidationError

from nine_knots.core.base.errors import Refused
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import Edit
from nine_knots.core.domain.leader.rig_edits import (
    AddFly,
    NudgeDropper,
    RemoveDropper,
    RemoveFlyInLine,
    SetDropper,
    SetFlyInLine,
)
from nine_knots.core.domain.leader.workbench import Workbench

MOST_STEPS = 4  # of half an inch or a centimetre, by which a tag is changed at once


def flies_on(leader: Leader) -> int:
    """How many flies it carries, the one at the point with them."""
    return 1 + len(leader.flies_above)


class Flies:
    """Ties more or fewer of them, or otherwise, as the bench does by hand."""

    def __init__(self, bench: Workbench, wanted: int | None) -> None:
        self._bench, self._wanted = bench, wanted

    def as_wanted(self, rng: random.Random, leader: Leader) -> Iterator[Leader]:
        """The leader with as many flies as are asked for; none where there is no room for them."""
        if self._wanted is None:
            yield leader
            return
        try:
            while flies_on(leader) > self._wanted:
                leader = apply_edit(leader, _off(leader, leader.flies_above[0][0]), self._bench)
            while flies_on(leader) < self._wanted:
                how = AddFly(how=rng.choice(("tag", "tag", "behind")))
                leader = apply_edit(leader, how, self._bench)
        except (Refused, ValidationError):
            return
        yield leader

    def otherwise(self, rng: random.Random, leader: Leader) -> Leader | None:
        """One of the upper flies tied otherwise: in line for on a tag, a longer or shorter tag."""
        if not leader.flies_above:
            return None
        joint, fly = rng.choice(leader.flies_above)
        if leader.joints[joint].dropper is None:
            bare = apply_edit(leader, RemoveFlyInLine(joint=joint), self._bench)
            return apply_edit(bare, SetDropper(joint=joint, fly=fly), self._bench)
        if rng.random() < 0.5:
            steps = rng.choice((-1, 1)) * rng.randint(1, MOST_STEPS)
            return apply_edit(leader, NudgeDropper(joint=joint, steps=steps), self._bench)
        bare = apply_edit(leader, RemoveDropper(joint=joint), self._bench)
        return apply_edit(bare, SetFlyInLine(joint=joint, fly=fly), self._bench)


def _off(leader: Leader, joint: int) -> Edit:
    if leader.joints[joint].dropper is not None:
        return RemoveDropper(joint=joint)
    return RemoveFlyInLine(joint=joint)
