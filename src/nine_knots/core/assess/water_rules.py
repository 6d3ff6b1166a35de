"""The rules that the angler wrote down for a water, checked against the rig.

They are the angler's notes: the local authority has the say.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise
from typing import Literal

from nine_knots.core.base.score import Status
from nine_knots.core.domain.design import Design

Rule = Literal["flies", "barbless", "lead", "wire", "flies apart"]
TIED_BY_RULE: tuple[Rule, ...] = ("flies", "wire", "flies apart")
"""Rules kept by how a leader is tied; a barb is pinched, and a shot changed, at the water."""


@dataclass(frozen=True, slots=True)
class RuleCheck:
    """A rule beside what is on the rig: how many (flies, lead shots) or how far apart in metres it
    is, what is allowed or asked at least, and the flies that still have a barb."""

    rule: Rule
    status: Status
    found: float = 0.0
    asked: float = 0.0
    flies: tuple[str, ...] = ()


def rule_checks(design: Design) -> Iterator[RuleCheck]:
    """One check for each rule that the angler entered."""
    rules, leader = design.situation.water.rules, design.leader
    flies = [fly for _, fly in leader.flies_above] + [design.situation.fly]
    if rules.most_flies is not None:
        few = len(flies) <= rules.most_flies
        yield RuleCheck("flies", "right" if few else "too much", len(flies), rules.most_flies)
    if rules.barbless:
        barbed = tuple(fly.title for fly in flies if not fly.barbless)
        yield RuleCheck("barbless", "too much" if barbed else "right", flies=barbed)
    if rules.lead_banned:
        lead = sum(
            attachment.kind == "shot" and attachment.metal == "lead"
            for attachment in leader.attachments
        )
        yield RuleCheck("lead", "too much" if lead else "right", lead)
    if rules.wire_required:
        wired = leader.pieces[-1].strand.substance.family == "wire"
        yield RuleCheck("wire", "right" if wired else "too little")
    if rules.least_apart_m is not None and len(flies) > 1:
        apart = _least_apart_m(design)
        far = apart >= rules.least_apart_m - 1e-6
        status: Status = "right" if far else "too little"
        yield RuleCheck("flies apart", status, apart, rules.least_apart_m)


def keeps_rules(design: Design) -> bool:
    """Whether the leader, as it is tied, is allowed here."""
    return all(
        check.status == "right" for check in rule_checks(design) if check.rule in TIED_BY_RULE
    )


def _least_apart_m(design: Design) -> float:
    """The least distance along the line between two flies' places on the leader, in m."""
    places = design.leader.joints_at_m
    at = [places[joint] for joint, _ in design.leader.flies_above] + [places[-1]]
    return min(below - above for above, below in pairwise(at))
