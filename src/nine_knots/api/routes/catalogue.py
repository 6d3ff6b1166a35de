"""/api/v1/catalogue: the words, fish, materials, knots and schools to choose from."""

from collections.abc import Callable, Mapping
from typing import get_args

from fastapi import APIRouter

from nine_knots.api.problems import RESPONSES
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.base.values import Frozen
from nine_knots.core.casting.stroke import SPEEDS
from nine_knots.core.domain import situation
from nine_knots.core.domain.knots import KNOTS
from nine_knots.core.domain.leader import Role, Wear
from nine_knots.core.domain.leader.tying_groups import TIES, Place, TyingGroup
from nine_knots.core.domain.materials import MATERIALS, MaterialKey
from nine_knots.core.domain.tackle import FISH
from nine_knots.core.domain.tackle.backing import BackingMaterial, LineTie, ReelTie
from nine_knots.core.domain.tackle.fish import Mouth, Teeth
from nine_knots.core.domain.tackle.fly import Bulk, Dressing, FlyKind, Head
from nine_knots.core.domain.tackle.line import Sinking
from nine_knots.core.schools import SCHOOLS
from nine_knots.words.connection_reasons import material_reasons

router = APIRouter(prefix="/api/v1/catalogue", tags=["catalogue"], responses=RESPONSES)


LINES_OUT_M = (5.0, 7.0, 9.0, 12.0, 15.0)
LOOPS_M = {"tight": 0.35, "usual": 0.6, "wide": 1.0}
GUSTS_M_S = (3.0, 6.0, 9.0)


class Choice(Frozen):
    """One thing to choose: its key, what it is called, a word on it."""

    key: str
    title: str
    note: str = ""


class SchoolCard(Frozen):
    """A school of taper as a reader meets it."""

    key: str
    title: str
    rule: str
    used_for: str
    opponent: str
    objection: str


class MaterialCard(Frozen):
    """A material with what speaks for it and against it."""

    key: MaterialKey
    title: str
    reasons: tuple[str, ...]


class Catalogue(Frozen):
    """Everything that the interface offers for choice."""

    waters: tuple[situation.WaterKind, ...]
    beds: tuple[situation.Bed, ...]
    clarities: tuple[situation.Clarity, ...]
    snags: tuple[situation.Snags, ...]
    depths: tuple[Choice, ...]
    paces: tuple[Choice, ...]
    winds: tuple[Choice, ...]
    casts: tuple[Choice, ...]
    lines_out: tuple[Choice, ...]
    loops: tuple[Choice, ...]
    gusts: tuple[Choice, ...]
    bearings: tuple[situation.Bearing, ...]
    wishes: tuple[situation.Wish, ...]
    tempers: tuple[situation.Temper, ...]
    fish: tuple[Choice, ...]
    mouths: tuple[Mouth, ...]
    teeth: tuple[Teeth, ...]
    roles: tuple[Role, ...]
    wears: tuple[Wear, ...]
    fly_kinds: tuple[FlyKind, ...]
    bulks: tuple[Bulk, ...]
    dressings: tuple[Dressing, ...]
    heads: tuple[Head, ...]
    sinkings: tuple[Sinking, ...]
    backings: tuple[BackingMaterial, ...]
    reel_ties: tuple[ReelTie, ...]
    line_ties: tuple[LineTie, ...]
    materials: tuple[MaterialCard, ...]
    knots: dict[str, tuple[Choice, ...]]
    ties: dict[Place, tuple[TyingGroup, ...]]
    schools: tuple[SchoolCard, ...]


@router.get("", summary="List everything that can be chosen")
def get_catalogue(units: System = "imperial") -> Catalogue:
    """The tables of the core, as lists of choices."""
    shown = Units(units)
    places = ("line", "loop", "between", "eye")
    return Catalogue(
        waters=get_args(situation.WaterKind),
        beds=get_args(situation.Bed),
        clarities=get_args(situation.Clarity),
        snags=get_args(situation.Snags),
        depths=_words(situation.DEPTH_WORDS, lambda v: shown.length(v).text),
        paces=_words(situation.PACE_WORDS, lambda v: shown.speed(v).text),
        winds=_words(situation.WIND_WORDS, lambda v: shown.wind(v).text),
        casts=_words(
            {str(word): speed for word, speed in SPEEDS.items()}, lambda v: shown.speed(v).text
        ),
        lines_out=tuple(
            Choice(key=text, title=text) for text in (shown.on_spool(m).text for m in LINES_OUT_M)
        ),
        loops=tuple(
            Choice(key=shown.length(m).text, title=title, note=shown.length(m).text)
            for title, m in LOOPS_M.items()
        ),
        gusts=tuple(
            Choice(key=text, title=text) for text in (shown.wind(v).text for v in GUSTS_M_S)
        ),
        bearings=get_args(situation.Bearing),
        wishes=get_args(situation.Wish),
        tempers=get_args(situation.Temper),
        fish=tuple(
            Choice(key=f.key, title=f.title, note=f"usually {shown.fish_mass(f.usual_kg).text}")
            for f in FISH.values()
        ),
        mouths=get_args(Mouth),
        teeth=get_args(Teeth),
        roles=get_args(Role),
        wears=get_args(Wear),
        fly_kinds=get_args(FlyKind),
        bulks=get_args(Bulk),
        dressings=get_args(Dressing),
        heads=get_args(Head),
        sinkings=get_args(Sinking),
        backings=get_args(BackingMaterial),
        reel_ties=get_args(ReelTie),
        line_ties=get_args(LineTie),
        materials=tuple(
            MaterialCard(key=m.key, title=m.title, reasons=material_reasons(m))
            for m in MATERIALS.values()
        ),
        knots={
            place: tuple(
                Choice(key=k.key, title=k.title, note=k.note)
                for k in KNOTS.values()
                if k.place == place
            )
            for place in places
        },
        ties=TIES,
        schools=tuple(
            SchoolCard(
                key=s.key,
                title=s.title,
                rule=s.rule,
                used_for=s.used_for,
                opponent=SCHOOLS[s.disagrees.school].title,
                objection=s.disagrees.says,
            )
            for s in SCHOOLS.values()
        ),
    )


def _words(words: Mapping[str, float], show: Callable[[float], str]) -> tuple[Choice, ...]:
    return tuple(Choice(key=w, title=w, note=show(value)) for w, value in words.items())
