"""A rig in every state that it can come to at the water: worked out and put in words beforehand, so
that there it need only be counted."""

from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.side_effects import scores_without_cast
from nine_knots.core.base.prose import count_words
from nine_knots.core.base.score import Status
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.event_kinds import WEARS
from nine_knots.core.domain.leader import LevelSection, TaperedSection
from nine_knots.core.domain.leader.sections import Wear
from nine_knots.words.scores.reading import score_figure
from nine_knots.words.tying.cutting import used_above_m

LEAST_SHARE = 0.6  # of the tippet as it was planned: shorter, it is another leader [G]
MOST_CUTS = 12
WORN: dict[Wear, str] = {
    "new": "",
    "fished": "",
    "nicked": "The tippet was abraded: feel it for nicks, and renew it where it is rough.",
    "wind knot": "A wind knot halves the strength: renew the tippet before the next fish.",
}


@dataclass(frozen=True, slots=True)
class PackedRigState:
    """A rig whose fly was tied on anew so often and whose tippet is worn so much: what is left of
    it, what it holds, and why to renew it, where that is due."""

    tippet: str
    left: str
    hold: str
    status: Status
    renew: str


@dataclass(frozen=True, slots=True)
class WornStates:
    """The states of one wear, by how often the fly was tied on anew."""

    wear: Wear
    by_cuts: tuple[PackedRigState, ...]


def rig_states(design: Design, angler: Angler) -> tuple[WornStates, ...]:
    """All of them, from new to worn, as far as the tippet goes and one change beyond."""
    each_m = used_above_m(design.leader, len(design.leader.pieces), angler.tyer.handiness)
    whole_m = design.leader.pieces[-1].length_m
    most = min(MOST_CUTS, int((1.0 - LEAST_SHARE) * whole_m / each_m + 1e-9))
    return tuple(
        WornStates(
            wear,
            tuple(
                _state(design, angler, wear, cuts * each_m, most - cuts) for cuts in range(most + 2)
            ),
        )
        for wear in WEARS
    )


def _state(design: Design, angler: Angler, wear: Wear, off_m: float, left: int) -> PackedRigState:
    leader, units = design.leader, angler.units
    last = leader.pieces[-1]
    shorter_m = max(0.02, last.length_m - off_m)
    worn: LevelSection | TaperedSection
    if isinstance(last, LevelSection):
        worn = last.evolve(length_m=shorter_m, wear=wear)
    else:
        worn = last.evolve(cut_tip_m=last.cut_tip_m + last.length_m - shorter_m, wear=wear)
    things = tuple(
        attachment
        for attachment in leader.attachments
        if attachment.above_end_m < leader.length_m - off_m
    )
    now = design.model_copy(
        update={"leader": leader.evolve(pieces=(*leader.pieces[:-1], worn), attachments=things)}
    )
    hold = next(score for score in scores_without_cast(now, angler) if score.key == "hold")
    return PackedRigState(
        tippet=units.length(shorter_m).text,
        left=_left(left),
        hold=score_figure(hold, units),
        status=hold.status,
        renew=_renew(wear, left, hold.status),
    )


def _left(left: int) -> str:
    if left > 0:
        return f"{count_words(left, 'more fly', 'more flies')} before it is too short"
    return "the last fly on this tippet" if left == 0 else "too short"


def _renew(wear: Wear, left: int, status: Status) -> str:
    if status == "too little":
        return "It may break on a strike or a good fish: renew the tippet before the next fish."
    if WORN[wear]:
        return WORN[wear]
    if left < 0:
        return "The tippet is too short for this leader: tie on a new one."
    return ""
