"""Leaders that may be cast: each once, as a person would tie it, and not ruled out before."""

from collections.abc import Iterable
from dataclasses import dataclass
from math import log

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.turnover import wanted_margin_band
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.leader import Leader, TaperedSection
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.flies import flies_on
from nine_knots.core.search.plausible import is_plausible
from nine_knots.core.search.standing_leader import UncastLeader, assess_uncast
from nine_knots.core.search.surrogate import features_of


@dataclass(frozen=True, slots=True)
class Candidate:
    """A leader that may be cast, with what is known of it before: ``band`` is the logarithm of the
    highest reserve wanted over the lowest; ``origin`` the school that built it, or empty."""

    table: UncastLeader
    origin: str
    features: NDArray[np.float64]
    band: float


class CandidateFilter:
    """Lets each leader through once, if it may be cast."""

    def __init__(self, reader: Assessor, stroke: Stroke, demands: Demands) -> None:
        self._reader, self._stroke, self._demands = reader, stroke, demands
        self._seen: set[tuple[object, ...]] = set()

    def sifted(self, made: Iterable[tuple[str, Leader]]) -> list[Candidate]:
        """Those of leaders with their origins that are new, sane and may be tied."""
        found = []
        for origin, leader in made:
            key = _key(leader)
            if key in self._seen or not self._may_be(origin, leader):
                continue
            self._seen.add(key)
            table = assess_uncast(leader, self._reader, self._demands)
            if table is None:
                continue
            low, high = wanted_margin_band(leader, self._reader.day, self._reader.angler.cast)
            features = features_of(leader, self._reader, self._stroke)
            found.append(Candidate(table, origin, features, log(high / low)))
        return found

    def _may_be(self, origin: str, leader: Leader) -> bool:
        """Whether its tapers and flies are as is asked for, and it is sane but for a school's."""
        tapers = [piece for piece in leader.pieces if isinstance(piece, TaperedSection)]
        cut = any(taper.cut_butt_m or taper.cut_tip_m for taper in tapers)
        if (self._demands.bought == "none" and tapers) or (self._demands.bought == "whole" and cut):
            return False
        if self._demands.flies not in (None, flies_on(leader)):
            return False
        return bool(origin) or is_plausible(leader, self._reader.day)


def _key(leader: Leader) -> tuple[object, ...]:
    """What makes two leaders the same: spools, lengths, joints, what hangs on them."""
    pieces = tuple(
        (
            section.strand.spool_id,
            section.strand.material,
            round(section.lower_diameter_m, 7),
            round(section.length_m, 3),
        )
        for section in leader.pieces
    )
    joints = tuple((joint.kind, joint.knot, joint.dropper, joint.fly) for joint in leader.joints)
    hung = tuple(
        (
            attachment.kind,
            round(attachment.above_end_m, 3),
            attachment.mass_kg,
            attachment.diameter_m,
        )
        for attachment in leader.attachments
    )
    return pieces, joints, hung
