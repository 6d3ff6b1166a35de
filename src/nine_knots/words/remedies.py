"""Remedies as they are offered: the change in words, what it gives and what else it does."""

from dataclasses import dataclass

from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.remedies.search import Remedy, RemedyEffect
from nine_knots.core.water.question import FieldKey
from nine_knots.core.water.remedy_kinds import What
from nine_knots.words.adjustments import adjustment_words
from nine_knots.words.scores.reading import score_figure, score_title


@dataclass(frozen=True, slots=True)
class EffectReading:
    """What a remedy does to another measure."""

    title: str
    before: str
    after: str
    status: Status


@dataclass(frozen=True, slots=True)
class RemedyReading:
    """One change, the design after it, and what it does; ``stroke`` and ``fished`` are what it
    sets of the stroke (as it is typed) and of how it is fished (in SI) instead."""

    what: What
    words: str
    gives: str
    design: Design
    effects: tuple[EffectReading, ...]
    stroke: dict[str, str] | None = None
    fished: dict[FieldKey, float] | None = None


def remedy_readings(found: tuple[Remedy, ...], units: Units) -> tuple[RemedyReading, ...]:
    """Remedies as they are offered, in their order."""
    return tuple(_remedy(remedy, units) for remedy in found)


def _remedy(remedy: Remedy, units: Units) -> RemedyReading:
    gives = dict.fromkeys(score_figure(score, units) for score in remedy.gives)
    effects = (_effect(effect, units) for effect in remedy.effects)
    return RemedyReading(
        what=remedy.what,
        words=adjustment_words(remedy.change, units),
        gives="; ".join(gives),
        design=remedy.design,
        effects=tuple(effect for effect in effects if effect is not None),
        stroke=dict(remedy.stroke.items()) if remedy.stroke else None,
        fished=remedy.fished,
    )


def _effect(effect: RemedyEffect, units: Units) -> EffectReading | None:
    """A measure that comes out otherwise; None for one that comes out the same."""
    before, after = effect.before, effect.after
    was, now = score_figure(before, units), score_figure(after, units)
    if (was, before.status) == (now, after.status):
        return None
    return EffectReading(score_title(after), was, now, after.status)
