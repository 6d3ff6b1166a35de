"""Changes by chance to a leader that was found good, such as a builder would try next."""

import random
from collections.abc import Callable, Iterator

from pydantic import ValidationError

from nine_knots.core.base.errors import Refused
from nine_knots.core.domain.leader import Leader, LevelSection, TaperedSection
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import (
    CutBack,
    Delete,
    Edit,
    Insert,
    SetLength,
    StepStock,
    UseStock,
)
from nine_knots.core.domain.leader.rig_edits import HangOn, StepThing, TakeOff
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import spools_of
from nine_knots.core.search.demands import Bought
from nine_knots.core.search.flies import Flies
from nine_knots.core.search.plausible import rounded, step_m

MOST_STEPS = 12  # of the grid, by which a length is changed at once
TWICE = 0.6  # chance of another change on top
FLIES_SHARE = 0.2  # of the changes to a leader with several flies, for how the upper ones are tied


class Changes:
    """Changes leaders for a day, with what the shelf has."""

    def __init__(self, bench: Workbench, day: Situation, bought: Bought, flies: Flies) -> None:
        self._bench, self._units = bench, bench.units
        self._bought, self._flies = bought, flies
        self._spools = spools_of(bench.stock)
        self._kinds: list[Callable[[random.Random, Leader], Edit | None]] = [
            *(self._length,) * 4,
            *(self._spool,) * 3,
            self._without,
            self._with_another,
            self._cut,
        ]
        if day.takes_shot:
            self._kinds.append(self._shot)
        if day.wish == "drift deep":
            self._kinds.append(self._float)

    def of(self, rng: random.Random, parents: list[Leader], count: int) -> Iterator[Leader]:
        """So many tries at changing leaders taken by chance."""
        for _ in range(count):
            leader = rng.choice(parents)
            try:
                changed = self._changed(rng, leader)
                if changed is not None and rng.random() < TWICE:
                    changed = self._changed(rng, changed) or changed
                if changed is not None:
                    yield rounded(changed, self._units)
            except (Refused, ValidationError):
                continue

    def without_a_piece(self, leader: Leader) -> Iterator[Leader]:
        """The leader with one middle piece fewer, the pieces beside it as long as before."""
        for number in range(1, len(leader.pieces) - 1):
            try:
                yield self._closed_up(leader, number)
            except (Refused, ValidationError):
                continue

    def _closed_up(self, leader: Leader, number: int) -> Leader:
        gone_m = leader.pieces[number].length_m
        shorter = apply_edit(leader, Delete(piece=number), self._bench)
        above = shorter.pieces[number - 1]
        if isinstance(above, LevelSection):
            longer = SetLength(piece=number - 1, length=above.length_m + gone_m)
            shorter = apply_edit(shorter, longer, self._bench)
        return rounded(shorter, self._units)

    def _changed(self, rng: random.Random, leader: Leader) -> Leader | None:
        if leader.flies_above and rng.random() < FLIES_SHARE:
            return self._flies.otherwise(rng, leader)
        edit = rng.choice(self._kinds)(rng, leader)
        return apply_edit(leader, edit, self._bench) if edit is not None else None

    def _length(self, rng: random.Random, leader: Leader) -> Edit | None:
        number = rng.randrange(len(leader.pieces))
        piece = leader.pieces[number]
        if not isinstance(piece, LevelSection):
            return None
        by = rng.choice((-1, 1)) * rng.randint(1, MOST_STEPS) * step_m(self._units)
        length_m = piece.length_m + by
        return SetLength(piece=number, length=length_m) if length_m > 0.0 else None

    def _spool(self, rng: random.Random, leader: Leader) -> Edit | None:
        number = rng.randrange(len(leader.pieces))
        piece = leader.pieces[number]
        if not isinstance(piece, LevelSection):
            return None
        if rng.random() < 0.6:
            return StepStock(piece=number, by=rng.choice((-1, 1)))
        like = [
            spool
            for spool in self._spools
            if spool.strand.colour == piece.strand.colour
            and abs(spool.strand.diameter_m / piece.strand.diameter_m - 1.0) < 0.15
            and (spool.strand.substance.family == "wire")
            == (piece.strand.substance.family == "wire")
        ]
        return UseStock(piece=number, spool_id=rng.choice(like).spool_id) if like else None

    def _without(self, rng: random.Random, leader: Leader) -> Edit | None:
        inner = range(1, len(leader.pieces) - 1)
        return Delete(piece=rng.choice(inner)) if inner else None

    def _with_another(self, rng: random.Random, leader: Leader) -> Edit | None:
        inner = range(1, len(leader.joints) - 1)
        return Insert(joint=rng.choice(inner)) if inner else None

    def _cut(self, rng: random.Random, leader: Leader) -> Edit | None:
        taper = leader.pieces[0]
        if not isinstance(taper, TaperedSection) or self._bought == "whole":
            return None
        cut_m = rng.randint(1, MOST_STEPS) * step_m(self._units)
        return CutBack(piece=0, end=rng.choice(("butt", "tip")), length=cut_m)

    def _float(self, rng: random.Random, leader: Leader) -> Edit | None:
        for number, thing in enumerate(leader.attachments):
            if thing.kind == "indicator":
                return StepThing(thing=number, by=rng.choice((-1, 1)))
        return None

    def _shot(self, rng: random.Random, leader: Leader) -> Edit | None:
        hung = [i for i, thing in enumerate(leader.attachments) if thing.kind == "shot"]
        if not hung:
            return HangOn(kind="shot")
        thing = rng.choice(hung)
        if rng.random() < 0.25:
            return TakeOff(thing=thing)
        return StepThing(thing=thing, by=rng.choice((-1, 1)))
