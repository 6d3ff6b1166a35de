"""A day planned: leaders tried on every stretch, and the fewest that fish them all."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from functools import partial
from itertools import islice
from typing import Literal

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.cancellation import check_cancelled, report_progress
from nine_knots.core.base.concurrency import run_parallel
from nine_knots.core.base.result_cache import cached_result
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Attachment, Leader
from nine_knots.core.domain.leader.lower_rig import (
    LowerRig,
    lower_of,
    parting_joint,
    tippet_of,
    with_lower,
)
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.domain.situation import FLOATING_WISHES, Situation, Wish
from nine_knots.core.domain.tackle.fly import floats_up
from nine_knots.core.plan.fitting import KEPT, Fit, fit_of
from nine_knots.core.plan.parts import part_names, setting_name
from nine_knots.core.plan.set_cover import Cover, Option, least_cover
from nine_knots.core.plan.sought import search_leaders
from nine_knots.core.plan.stops import StopChoice, choices_of, stretch_of
from nine_knots.core.plan.usual_here import beyond_usual_depth, beyond_usual_lower
from nine_knots.core.propose.shortages import Wanted
from nine_knots.core.schools import SCHOOLS, school_of
from nine_knots.core.search.schools_today import SchoolToday, school_today

PER_STOP = 4  # schools of a stretch and a fly that are tried on the others as well
MOST_OWN = 12  # saved leaders that are tried
AS_THICK, AS_LONG = 1.03, 1.15  # a lower part beside the end that it hangs from, the whole beside
# the longer of the two: never thicker under thinner [P]; longer is another leader [G]
AS_A_LINE_M = 8.0  # so long a leader is thrown, and changed, as a line is [P]
UNTRIED = 1.0  # what is built afresh beside what the angler has fished, in cords' lengths [G]
LATER_FLY = 2.0  # where whichever fly serves is taken, each place down the list, in cords' lengths
EDGE = 8.0  # a measure that is only just right, in cords' lengths: more than another lower rig [G]
UNUSUAL = 10.0  # a leader of a school that most would not tie there, in cords' lengths
OTHER_LINE = 20.0  # a doubling of the depth that most fish with a line, in cords' lengths
OTHER_LOWER = 10.0  # a doubling of the depth that most fish with a lower rig, in cords' lengths
MOST_JOINED = 12  # uppers of one with lower rigs of another
SOUGHT_FOR = 2  # flies of a stretch for which a leader is sought, where whichever serves is taken

ON_THE_RING = "Dry fly at the ring"

Origin = Literal["school", "shelf", "wallet", "joined", "sought"]
Cast = tuple[Stroke, Angler, Gust]


@dataclass(frozen=True, slots=True)
class TiedLeader:
    """A leader that lies ready in the wallet, and where."""

    tied_id: str
    design: Design
    lies: str = ""


@dataclass(frozen=True, slots=True)
class LeaderOption:
    """A leader that may serve, for what is wanted of its fly; where it comes from, and whether most
    anglers would tie it for the stretch that it was built for."""

    title: str
    leader: Leader
    wish: Wish
    origin: Origin
    tied_id: str | None = None
    buys: tuple[Wanted, ...] = ()
    lies: str = ""
    usual: bool = True


@dataclass(frozen=True, slots=True)
class PlannedStop:
    """What a stretch is fished with: candidate, choice and fit; none of them where nothing serves,
    and then the nearest school with what is wrong of it."""

    number: int
    candidate: LeaderOption | None
    choice: StopChoice
    fit: Fit | None
    nearest: SchoolToday | None = None


@dataclass(frozen=True, slots=True)
class WorkedPlan:
    """The stops in their order, and what was chosen over those that are served."""

    stops: tuple[PlannedStop, ...]
    chosen: Cover | None
    tried: int


def work_plan(
    plan: DayPlan,
    place: Place,
    cast: Cast,
    own: tuple[Design, ...] = (),
    wallet: tuple[TiedLeader, ...] = (),
    lowers: tuple[LowerRig, ...] = (),
) -> WorkedPlan:
    """Schools built for each stretch, the angler's saved and tied leaders, and uppers of one with
    lower rigs of another or from the shelf, each tried on all stretches; where none of what is
    owned serves, one is sought. Then the fewest."""
    choices = [choices_of(plan, place, stop) for stop in plan.stops]
    total = 2 * len(choices)
    found: list[SchoolToday] = []
    nearest: list[SchoolToday | None] = []
    for number, options in enumerate(choices):
        report_progress(number, total)
        schools = _schools(options, cast)
        found += _best(schools)
        nearest.append(min(schools, key=lambda school: school.off, default=None))
    hung = [
        (rig, fly.wish)
        for rig in lowers
        for fly in plan.flies
        if rig.fly.kind == fly.fly.kind and floats_up(rig.fly) == (fly.wish in FLOATING_WISHES)
    ]
    candidates = _candidates(found, own, wallet, hung)
    fits = []
    for number, options in enumerate(choices):
        report_progress(len(choices) + number, total)
        fits.append(_fits(candidates, options, cast))
        if all(item.buys for item, _, _ in fits[-1]):
            title = stretch_of(place, plan.stops[number]).title
            fits[-1] += _sought(f"Found for {title}", options, cast)
    served = [number for number, row in enumerate(fits) if row]
    ways = [
        [
            _way(item, choice, fit, plan.stops[number].fly is None)
            for item, choice, fit in fits[number]
        ]
        for number in served
    ]
    ready = {
        name for tied_leader in wallet for name in part_names(tied_leader.design.leader) if name
    }
    chosen = least_cover(ways, ready) if ways else None
    taken = dict(zip(served, chosen.ways, strict=True)) if chosen else {}
    stops = []
    for number, options in enumerate(choices):
        if number in taken:
            candidate, choice, fit = fits[number][taken[number]]
            stops.append(PlannedStop(number, candidate, choice, fit))
        else:
            stops.append(PlannedStop(number, None, options[0], None, nearest[number]))
    check_cancelled()  # a plan that was cut short is none
    return WorkedPlan(tuple(stops), chosen, len(candidates))


def _schools(options: tuple[StopChoice, ...], cast: Cast) -> list[SchoolToday]:
    built = [partial(_school, key, option.day, *cast) for option in options for key in SCHOOLS]
    return [found for found in run_parallel(built) if found.design is not None]


@cached_result(KEPT)
def _school(
    key: str, day: Situation, stroke: Stroke, angler: Angler, gust: Gust = STEADY
) -> SchoolToday:
    return school_today(key, day, stroke, angler, gust)


def _best(schools: list[SchoolToday]) -> list[SchoolToday]:
    """Of each wish the nearest, those of the shelf alone before those that are bought for."""
    by_wish: dict[Wish, list[SchoolToday]] = {}
    for school in schools:
        if school.group != "not for this" and school.design is not None:
            by_wish.setdefault(school.design.situation.wish, []).append(school)
    return [
        item
        for row in by_wish.values()
        for item in sorted(row, key=lambda item: (len(item.buys), item.off))[:PER_STOP]
    ]


def _candidates(
    found: list[SchoolToday],
    own: tuple[Design, ...],
    wallet: tuple[TiedLeader, ...],
    lowers: list[tuple[LowerRig, Wish]],
) -> tuple[LeaderOption, ...]:
    """All that is tried, each leader once, what is tied first."""
    built = [
        (found_item, found_item.design) for found_item in found if found_item.design is not None
    ]
    wishes = dict.fromkeys(design.situation.wish for _, design in built)
    rows = [
        _of_design(tied_leader.design, "wallet", tied_leader.tied_id, tied_leader.lies)
        for tied_leader in wallet
    ]
    rows += [
        _of_design(other_design, "shelf")
        for other_design in own
        if other_design.situation.wish in wishes
    ][:MOST_OWN]
    rows += [
        LeaderOption(
            school_of(item.key).title,
            design.leader,
            design.situation.wish,
            "school",
            buys=item.buys,
            usual=school_of(item.key).usual(design.situation),
        )
        for item, design in built
    ]
    rows += islice(_joined(rows, lowers), MOST_JOINED)
    once: dict[tuple[str, str, Wish], LeaderOption] = {}
    for row in rows:
        once.setdefault((*part_names(row.leader), row.wish), row)
    return tuple(once.values())


def _of_design(
    design: Design, origin: Origin, tied_id: str | None = None, lies: str = ""
) -> LeaderOption:
    wish = design.situation.wish
    return LeaderOption(design.title, design.leader, wish, origin, tied_id, lies=lies)


def _joined(rows: list[LeaderOption], kept: list[tuple[LowerRig, Wish]]) -> Iterator[LeaderOption]:
    """Uppers with the lower parts of others, where both are parted by a ring or a swivel, nothing
    thicker hangs below something thinner, and the whole stays about as long as one of them. A fly
    that floats hangs from the ring on the tippet that it has elsewhere."""
    parted = [row for row in rows if parting_joint(row.leader) is not None]
    # each with how long the leader is that it was made for
    lowers = [(replace(row, leader=lower_of(row.leader)), row.leader.length_m) for row in parted]
    lowers += [(LeaderOption("", rig.leader, wish, "shelf"), 0.0) for rig, wish in kept]
    lowers += [
        (replace(row, leader=below, title=ON_THE_RING), row.leader.length_m)
        for row in rows
        if row.wish in FLOATING_WISHES and (below := tippet_of(row.leader)) is not None
    ]
    for upper in parted:
        end_m = upper.leader.pieces[(parting_joint(upper.leader) or 0) - 1].lower_diameter_m
        for lower, whole_m in lowers:
            if lower.leader.pieces[0].upper_diameter_m > AS_THICK * end_m:
                continue
            joined = with_lower(upper.leader, lower.leader)
            if lower.wish in FLOATING_WISHES:
                joined = joined.evolve(attachments=tuple(filter(_floats_by, joined.attachments)))
            if joined.length_m <= AS_LONG * max(whole_m, upper.leader.length_m):
                own = upper.origin != "school"
                yield LeaderOption(
                    upper.title if own or not lower.title else lower.title,
                    joined,
                    lower.wish,
                    "joined",
                    buys=tuple(dict.fromkeys((*upper.buys, *lower.buys))),
                )


def _floats_by(thing: Attachment) -> bool:
    """Whether what is along the line goes with a fly that floats."""
    return thing.kind not in ("indicator", "shot")


def _fits(
    candidates: tuple[LeaderOption, ...], options: tuple[StopChoice, ...], cast: Cast
) -> list[tuple[LeaderOption, StopChoice, Fit]]:
    asked = [
        (item, choice) for choice in options for item in candidates if item.wish == choice.day.wish
    ]
    found = run_parallel(
        [partial(fit_of, item.leader, item.title, choice.day, *cast) for item, choice in asked]
    )
    return [
        (item, choice, fit)
        for (item, choice), fit in zip(asked, found, strict=True)
        if fit is not None
    ]


def _sought(
    title: str, options: tuple[StopChoice, ...], cast: Cast
) -> list[tuple[LeaderOption, StopChoice, Fit]]:
    """What the search finds for the first of the flies for which it finds anything."""
    for choice in options[:SOUGHT_FOR]:
        made = [
            LeaderOption(title, leader, choice.day.wish, "sought")
            for leader in search_leaders(choice.day, *cast)
        ]
        served = _fits(tuple(made), (choice,), cast)
        if served:
            return served
    return []


def _way(leader_option: LeaderOption, choice: StopChoice, fit: Fit, any_fly: bool) -> Option:
    upper, lower = part_names(leader_option.leader)
    mono = " with a mono rig" if leader_option.leader.length_m > AS_A_LINE_M else ""
    return Option(
        upper=upper,
        lower=lower,
        fly=str(choice.fly),
        outfit=f"{choice.outfit}{mono}",
        setting=setting_name(fit.design.leader),
        off=fit.off
        + len(leader_option.buys)
        + (UNTRIED if leader_option.origin in ("school", "sought") else 0.0)
        + (LATER_FLY * choice.fly if any_fly else 0.0)
        + (0.0 if leader_option.usual else UNUSUAL)
        + EDGE * sum(score.marginal for score in fit.measures)
        + OTHER_LINE * beyond_usual_depth(choice.day)
        + OTHER_LOWER * beyond_usual_lower(fit.design),
    )
