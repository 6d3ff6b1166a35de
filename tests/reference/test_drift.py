"""Rigs in the water: the sweep against the stepper, contact, and what the trade says of them."""

from itertools import pairwise
from math import cos, exp, radians, sin

import numpy as np
import pytest

from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.leader import Attachment, Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.rig_edits import HangOn, SetDropper, SetThing
from nine_knots.core.domain.situation import Water
from nine_knots.core.domain.tackle import Bead, Fly, FlyLine
from nine_knots.core.mechanics.bodies import Body
from nine_knots.core.mechanics.floats import ball
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.steady import drifting, held
from nine_knots.core.mechanics.stepper import Leg, history
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.thin_line import sinking_density_kg_m3
from nine_knots.core.mechanics.tree import TreeSegmentGroup
from nine_knots.core.remedies.rig_changes import every_bead, every_shot
from nine_knots.core.remedies.search import Trial
from nine_knots.core.remedies.tuning import setting_for_m
from nine_knots.core.techniques import fish, technique_of
from nine_knots.core.water.question import USUAL_QUESTION, WaterQuestion
from nine_knots.core.water.time_in_zone import fish_rig
from nine_knots.words.scores.reading import score_reading
from tests.makers import INCHES, design, laid, level, line_of, tied, workbench

RHO = 999.70
WATER = Fluid(RHO, 1.3059e-3)
B1 = Body(1.5e-3, 5.0e-3, 2.1)
S1 = Body(3.5e-3, 4.2e-3, 1.1)
F0 = Body(0.3e-3, 4.5e-3, 2.1)
BALL = ball(19e-3, 0.8e-3, RHO)
RUN = Water(kind="run", depth_m=1.0, pace_m_s=0.8)


def nymph(bead_mm: float | None, hook: int = 14) -> Fly:
    bead = Bead(diameter_mm=bead_mm) if bead_mm else None
    return Fly(title=f"Nymph {bead_mm}", kind="nymph", hook=hook, bead=bead)


def on_the_surface(tree, stream):
    reach = tree.reach
    return np.stack([-reach, np.full_like(reach, stream.depth_m)], axis=1)


def under_a_float(above_m: float, *things: Attachment, thou: float = 6) -> Leader:
    pieces = (level(17, 4, "butt"), level(11, 2), level(thou, 5, "tippet", "fluorocarbon"))
    leader = tied(*pieces)
    hung = (Attachment(kind="indicator", above_end_m=above_m, diameter_m=0.019), *things)
    return Leader.model_validate({**dict(leader), "attachments": hung})


def shot(grams: float, above_m: float) -> Attachment:
    return Attachment(kind="shot", above_end_m=above_m, mass_kg=1e-3 * grams)


def drift_cord(fished):
    return score_reading(fished.fishing.technique.drift(fished), INCHES)


def drifted(leader, fly, water=RUN, **ask):
    made = design(leader, fly=fly, water=water, wish="drift deep")
    return fish_rig(fish(made, WaterQuestion(**ask)))


@pytest.mark.parametrize(
    ("stretches", "stream"),
    [
        (
            (
                TreeSegmentGroup(1.05, 0.178e-3, 1140, S1),
                TreeSegmentGroup(0.30, 0.152e-3, 1140, F0),
            ),
            Stream(1.2, 1.0, 0.25 / 30),
        ),
        ((TreeSegmentGroup(0.8, 0.2e-3, 1780, B1),), Stream(1.4, 0.5, 0.003)),
    ],
)
def test_the_sweep_and_the_stepper_agree(stretches, stream):
    tree = line_of(stretches, RHO)
    speed, shape = drifting(BALL, tree, stream, WATER)
    legs = (Leg(25.0, free=True),)
    followed = history(tree, on_the_surface(tree, stream), stream, legs, WATER, BALL)
    assert followed.speed[-1] == pytest.approx(speed, rel=4e-3)
    heights = followed.places[-1, :, 1]
    assert heights == pytest.approx(shape.places[:, 1], abs=6e-3)


def test_drifting_in_contact_with_the_bed():
    stream = Stream(0.8, 0.5, 0.0026667)
    tree = line_of((TreeSegmentGroup(1.1, 0.178e-3, 1140, S1),), RHO, 0.05)
    legs = (Leg(30.0, free=True),)
    followed = history(tree, on_the_surface(tree, stream), stream, legs, WATER, BALL)
    assert followed.speed[-1] / stream.surface_m_s == pytest.approx(0.695, abs=0.02)
    assert followed.floor_n[-1].sum() / S1.weight_n == pytest.approx(0.59, abs=0.04)


def test_finer_steps_and_segments_change_the_sinking_little():
    stretches, stream = (TreeSegmentGroup(1.5, 0.2e-3, 1140, B1),), Stream(1.5, 0.8, 0.003)

    def depth_after(seconds, step_s, segment_m):
        tree = line_of(stretches, RHO, segment_m)
        start = on_the_surface(tree, stream)
        legs = (Leg(seconds, free=True),)
        followed = history(tree, start, stream, legs, WATER, BALL, step_s=step_s)
        return followed.places[-1, -1, 1]

    coarse, fine = depth_after(2.0, 0.01, 0.1), depth_after(2.0, 0.002, 0.03)
    assert coarse == pytest.approx(fine, abs=0.05)  # as finely as a depth is shown


def test_a_sink_tip_held_in_the_current():
    """sin²ψ/cos ψ = (w_s/U)², where drag goes as the square of speed; here it nearly does."""
    speed, sinks = 0.6, 0.12
    density = sinking_density_kg_m3(1.1e-3, sinks)
    tip = line_of((TreeSegmentGroup(3.0, 1.1e-3, density),), RHO, 0.1)
    shape = held(tip, Stream(10.0, 1e-9, 0.003), speed, WATER)
    down, along = 10.0 - shape.places[-1, 1], abs(shape.places[-1, 0])
    ratio = (sinks / speed) ** 2
    angles = np.radians(np.linspace(1.0, 60.0, 600))
    psi = float(angles[np.argmin(abs(np.sin(angles) ** 2 / np.cos(angles) - ratio))])
    assert down / 3.0 == pytest.approx(sin(psi), rel=0.03)
    assert along / 3.0 == pytest.approx(cos(psi), rel=0.01)
    assert psi < radians(15.0)


@pytest.mark.parametrize("leader_m", [0.6, 1.2, 2.4])
def test_a_neutral_fly_lags_behind_a_sinking_line(leader_m):
    """lag = .84 L (1 - exp(-D/.63 L)), a fit to another model, rms 5 cm; here within 12 cm."""
    still = Stream(6.0, 1e-9, 0.003)
    density = sinking_density_kg_m3(1.1e-3, 0.159)
    neutral = Body(1e-6, 6e-3, 2.1)
    line = TreeSegmentGroup(12.0, 1.1e-3, density, stretch_n=400.0)
    rig = laid((line, TreeSegmentGroup(leader_m, 0.28e-3, 1140, neutral)), RHO, 0.2)
    tree = rig.tree()
    legs = (Leg(12.0, 0.0),)
    followed = history(tree, on_the_surface(tree, still), still, legs, WATER, step_s=0.02)
    tip, fly = (still.depth_m - followed.places[:, node, 1] for node in rig.ends)
    for depth in (0.5, 1.0, 1.5):
        frame = int(np.argmax(tip >= depth))
        expected = 0.84 * leader_m * (1.0 - exp(-depth / (0.63 * leader_m)))
        assert tip[frame] - fly[frame] == pytest.approx(expected, abs=0.12)


def test_nearer_weight_sinks_the_fly_better():
    """Common practice, no source."""
    light = nymph(None)
    near = drifted(under_a_float(1.2, shot(0.4, 0.15)), light)
    far = drifted(under_a_float(1.2, shot(0.4, 0.60)), light)
    assert near.lowest.height_m < far.lowest.height_m - 0.03


def test_a_heavier_point_is_sooner_in_the_zone():
    """Common practice, no source."""
    heavy, light = (drifted(under_a_float(1.2), nymph(bead)) for bead in (3.8, 2.8))
    assert heavy.lowest.zone_after_s < light.lowest.zone_after_s


def test_fluorocarbon_is_marginal_under_weight():
    """Common practice, no source: its own sinking hardly counts beside a bead."""
    nylon = tied(level(17, 4, "butt"), level(11, 2), level(6, 5, "tippet", "nylon-soft"))
    floated = Leader.model_validate({**dict(nylon), "attachments": under_a_float(1.0).attachments})
    fluoro, soft = (drifted(item, nymph(3.3)) for item in (under_a_float(1.0), floated))
    assert abs(fluoro.lowest.height_m - soft.lowest.height_m) < 0.05


def test_thick_against_thin_tippet_is_small_in_a_free_drift():
    """Where trade and model differ: about a centimetre of depth per metre for two X."""
    thin, thick = (drifted(under_a_float(1.0, thou=t), nymph(3.3)) for t in (5, 7))
    assert 0.0 < thick.lowest.height_m - thin.lowest.height_m < 0.06


def least(tries):
    def serves(design):
        measures = technique_of(design).measures(design, USUAL_QUESTION)
        return all(score.status == "right" and not score.marginal for score in measures)

    return next((trial.change for trial in tries if serves(trial.design)), None)


def test_beads_go_by_depth_and_pace():
    """Common practice, no source: deeper and faster water asks for a bigger bead."""

    def bead(depth, pace):
        water = Water(kind="run", depth_m=depth, pace_m_s=pace)
        made = design(under_a_float(1.05 * depth), fly=nymph(3.0), water=water, wish="drift deep")
        return least(every_bead(Trial(made, Stroke(), WaterQuestion())))

    slow, fast = bead(0.8, 0.4), bead(1.1, 0.8)
    assert slow.new_mm < fast.new_mm


def test_one_small_shot_in_a_slow_pool_and_more_in_a_fast_run():
    """Common practice, no source."""

    def grams(kind, depth, pace):
        water = Water(kind=kind, depth_m=depth, pace_m_s=pace)
        leader = under_a_float(1.15 * depth)
        made = design(leader, fly=nymph(None, hook=12), water=water, wish="drift deep")
        for item in every_shot(Trial(made, Stroke(), WaterQuestion()), workbench()):
            if fish_rig(fish(item.design)).lowest.zone_after_s is not None:
                return 1e3 * item.design.leader.attachments[-1].mass_kg
        return float("inf")

    pool, run = grams("pool", 1.2, 0.3), grams("run", 1.2, 1.0)
    assert pool <= 0.2
    assert run >= 2.0 * pool


def test_sixty_centimetres_under_a_dry_suit_middling_water():
    """Common practice, no source: deeper and faster wants another rig."""
    pieces = (level(17, 5, "butt"), level(10, 3), level(7, 1.5), level(6, 1.97, "tippet"))
    dry = Fly(title="Big dry", kind="dry", hook=10, bulk="bushy")
    leader = apply_edit(tied(*pieces), SetDropper(joint=3, fly=dry), workbench())
    middling = drifted(leader, nymph(2.5, 16), Water(kind="run", depth_m=0.6, pace_m_s=0.5))
    deep = drifted(leader, nymph(2.5, 16), Water(kind="run", depth_m=1.3, pace_m_s=1.0))
    assert middling.fishing.technique.key == "under a dry fly"
    assert drift_cord(middling).status == "right"
    assert drift_cord(deep).status == "too little"


def test_the_rule_of_one_and_a_half_times_the_depth():
    """Where trade and model differ: it holds in fast water, not in slow water or under weight."""

    def share(bead, depth, pace):
        water = Water(kind="run", depth_m=depth, pace_m_s=pace)
        made = design(under_a_float(1.0), fly=nymph(bead), water=water, wish="drift deep")
        return setting_for_m(made) / depth

    assert 0.85 <= share(3.8, 1.0, 0.4) <= 1.0
    assert 1.15 <= share(2.3, 1.0, 1.0) <= 1.6
    assert share(None, 1.0, 0.8) > 1.8  # too little weight


def stripped(sinking, fly, feet=7.0, **ask):
    leader = tied(level(17, 0.6 * feet, "butt"), level(11, 0.4 * feet, "tippet"))
    line = FlyLine(title="Line", weight=7, sinking=sinking)
    lake = Water(kind="lake", depth_m=4.0, pace_m_s=0.0)
    made = design(leader, fly=fly, water=lake, line=line, wish="strip")
    return fish_rig(fish(made, WaterQuestion(**ask)))


def test_a_weighted_streamer_jigs_on_a_floating_line_and_an_unweighted_one_tracks_on_a_sinking():
    """Common practice, no source."""
    weighted = Fly(title="Leech", kind="streamer", hook=8, bulk="slim", bead=Bead(diameter_mm=4.6))
    plain = Fly(title="Bait fish", kind="streamer", hook=6, bulk="slim")
    jig = drift_cord(stripped("floating", weighted))
    track = drift_cord(stripped("sink-3", plain))
    assert (jig.figure, track.figure) == ("jigs", "tracks the line")


@pytest.mark.parametrize("sinking", ["floating", "intermediate", "sink-3"])
def test_on_a_default_strip_a_fly_jigs_that_sinks_faster_than_its_line(sinking):
    """Common practice, no source."""
    eyed = Fly(title="Eyed", kind="streamer", hook=8, head="medium cone")
    plain = Fly(title="Plain", kind="streamer", hook=8)
    assert drift_cord(stripped(sinking, eyed)).figure == "jigs"
    assert drift_cord(stripped(sinking, plain)).figure == "tracks the line"


def test_a_fast_sinking_line_wants_a_short_leader():
    """Common practice, no source: on a long one the fly lags above the line."""
    plain = Fly(title="Bait fish", kind="streamer", hook=6, bulk="slim")
    short, long = (stripped("sink-6", plain, feet, count_s=8.0) for feet in (3.0, 9.0))

    def lag(outcome):
        run = outcome.fishing
        frame = int(run.begins_s / run.history.every_s)
        tip, fly = (run.history.places[frame, n, 1] for n in (run.rig.tip, run.rig.lowest.node))
        return fly - tip

    assert lag(short) < lag(long) - 0.1


def test_a_longer_setting_and_a_heavier_shot_go_deeper():
    """Common practice, no source."""
    leader = apply_edit(under_a_float(0.9), HangOn(kind="shot", above="12 in"), workbench())
    light, heavy = (
        apply_edit(leader, SetThing(thing=1, size=size), workbench()) for size in ("no. 8", "no. 4")
    )
    fly = nymph(None)
    assert drifted(heavy, fly).lowest.height_m < drifted(light, fly).lowest.height_m


@pytest.mark.parametrize("hook", [12, 16])
def test_set_deeper_a_fly_without_weight_never_fishes_shallower(hook):
    """It cannot: the same fly on more of the same line under the same float."""
    bare = Fly(title="Hook only", kind="nymph", hook=hook)
    for depth, pace in ((0.6, 0.4), (1.0, 0.8)):
        water = Water(kind="run", depth_m=depth, pace_m_s=pace)
        heights = [
            fish_rig(
                fish(design(under_a_float(share), fly=bare, water=water, wish="drift deep"))
            ).lowest.height_m
            for share in (0.8, 1.2, 1.8, 2.6)
        ]
        assert all(deeper <= above + 0.005 for above, deeper in pairwise(heights)), heights
