"""What the bench instruments tell, in words: the figure, how sure, beside label or tables."""

from dataclasses import dataclass
from math import exp, log

from nine_knots.core.base.prose import count_words
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.x_scale import x_of_diameter, x_to_a_tenth
from nine_knots.core.domain.in_water import fly_body
from nine_knots.core.domain.materials import Material
from nine_knots.core.domain.strand import Strand
from nine_knots.core.domain.tackle import Fly, FlyLine, LineProfile, line_profile
from nine_knots.core.measuring.droop import MeasuredBend
from nine_knots.core.measuring.jar import MeasuredSinkRate
from nine_knots.core.measuring.micrometer import MeasuredDiameter
from nine_knots.core.measuring.stretch import MeasuredModulus
from nine_knots.core.measuring.weighing import MeasuredMass
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.fresh_water import density_kg_m3, viscosity_pa_s

OVAL, UNEVEN = 0.05, 0.03  # shares from which they are worth a word [M]
AS_SOLD = 0.02  # of a thickness: nearer, it is as its label says
AS_USUAL = 0.1  # of a stiffness or a speed
SET = 0.005  # of a length that stays stretched: more, and coils will stay too [M]
TWICE = 2.0  # standard uncertainties: nineteen times in twenty
BENDS = ("tip_bend_nm2", "tip_by", "belly_bend_nm2", "belly_by")
TAP_C = 15.0  # of water in a jar


@dataclass(frozen=True, slots=True)
class MeasurementReading:
    """The figure as it is kept, and what else there is to say of it, a sentence each."""

    figure: str
    words: tuple[str, ...]


def diameter_reading(found: MeasuredDiameter, before: Strand, units: Units) -> MeasurementReading:
    """How thick a strand is, beside what it was sold as."""
    figure = f"{units.finely(found.mean_m)} ± {units.within(TWICE * found.off_m)}"
    places = f" at {count_words(found.places, 'place')}" if found.places > 1 else ""
    said = [
        f"By {count_words(found.readings, 'reading')}{places}. {_as_sold(found, before, units)}"
    ]
    if found.oval > OVAL:
        said.append(f"It is oval by {found.oval:.0%}: an oval strand twists and coils.")
    if found.along_m > UNEVEN * found.mean_m:
        said.append(f"It varies by {units.finely(found.along_m)} along the spool.")
    said += [
        f"Reading {number + 1} at place {place + 1} is far from the others. It counts: measure "
        "there again, or leave it if it is right."
        for place, number in found.odd
    ]
    return MeasurementReading(figure, tuple(said))


def _as_sold(found: MeasuredDiameter, before: Strand, units: Units) -> str:
    off = found.mean_m / before.diameter_m - 1.0
    sold_as = x_of_diameter(before.diameter_m) if before.across_by is None else None
    measures = x_to_a_tenth(found.mean_m)
    if before.estimated:
        was = f"its label suggested {units.finely(before.diameter_m)}"
    elif before.across_by is not None:
        was = f"it was {units.finely(before.diameter_m)} when measured before"
    else:
        was = f"sold as {sold_as or units.finely(before.diameter_m)}"
    if abs(off) < AS_SOLD:
        return f"{was[0].upper()}{was[1:]}: so it is."
    now = measures if sold_as and measures else units.finely(found.mean_m)
    said = f"{was[0].upper()}{was[1:]}, measures {now}"
    if before.strength_n is not None:
        law = units.load(before.law_strength_n(found.mean_m)).text
        label = units.label(before.strength_n).text
        return f"{said}. At this thickness it usually breaks at {law}; its label says {label}."
    return f"{said}: {abs(off):.0%} {'thicker' if off > 0.0 else 'thinner'}."


def bend_reading(found: MeasuredBend, before: Strand) -> MeasurementReading:
    """How stiff a strand is, beside its material."""
    modulus = found.bend_nm2 / before.bend_nm2(before.diameter_m) * before.stiffness_pa
    return _stiffness(modulus, found.off, found.readings, before.substance)


def modulus_reading(found: MeasuredModulus, before: Strand) -> MeasurementReading:
    """How stiff a strand is when it is stretched, and what set it keeps."""
    told = _stiffness(found.modulus_pa, found.off, 1, before.substance)
    if found.stays > SET:
        more = f"It keeps {found.stays:.1%} of the stretch, so it will keep its coils too."
    else:
        more = "It recovers: stretch it before use and it lies straight."
    return MeasurementReading(told.figure, (*told.words, more))


def _stiffness(modulus: float, off: float, readings: int, stuff: Material) -> MeasurementReading:
    usual = stuff.wet_modulus_pa
    figure = f"{modulus / 1e9:.2f} GPa ± {_percent(off)}"
    low, high = (usual * (1.0 + by * stuff.modulus_spread) / 1e9 for by in (-1.0, 1.0))
    said = f"By {count_words(readings, 'reading')}. {stuff.title.capitalize()} has {low:.1f} to "
    said += f"{high:.1f} GPa wet: {_beside(modulus, usual, 'stiff')}."
    return MeasurementReading(figure, (said,))


def tip_reading(found: MeasuredBend, line: FlyLine) -> MeasurementReading:
    """How stiff a line's tip is, beside what one of its thickness usually is."""
    usual = _unmeasured(line).tip_bend_nm2
    return _line_bend(found, usual, "tip", "Butts are matched to it from now on.")


def belly_reading(found: MeasuredBend, line: FlyLine) -> MeasurementReading:
    """How stiff a line's belly is, beside what one of its thickness usually is."""
    usual = _unmeasured(line).belly_bend_nm2
    return _line_bend(found, usual, "belly", "Casts are worked out with it from now on.")


def _unmeasured(line: FlyLine) -> LineProfile:
    return line_profile(line.model_copy(update=dict.fromkeys(BENDS)))


def _line_bend(found: MeasuredBend, usual: float, part: str, then: str) -> MeasurementReading:
    figure = f"{1e6 * found.bend_nm2:.1f} N·mm² ± {_percent(found.off)}"
    beside = _beside(found.bend_nm2, usual)
    said = f"By {count_words(found.readings, 'reading')}: {beside} for a {part} of this thickness."
    return MeasurementReading(figure, (f"{said} {then}",))


def sink_rate_reading(found: MeasuredSinkRate, fly: Fly, units: Units) -> MeasurementReading:
    """How fast a fly sinks, beside the tables."""
    fluid = Fluid(density_kg_m3(TAP_C), viscosity_pa_s(TAP_C))
    body = fly_body(fly.model_copy(update={"sink_m_s": None, "sink_by": None}), fluid)
    figure = f"{units.sinking(found.speed_m_s)} ± {_percent(found.off)}"
    said = [f"By {count_words(found.readings, 'fall')}."]
    if body.weight_n > 0.0:
        by_tables = body.sink_m_s(fluid)
        said = [
            f"By {count_words(found.readings, 'fall')}: "
            f"{_beside(found.speed_m_s, by_tables, 'fast')} by the tables."
        ]
    said += [
        f"Fall {number + 1} is far from the others. It counts: time it again, or leave it."
        for number in found.odd
    ]
    return MeasurementReading(figure, tuple(said))


def mass_reading(found: MeasuredMass, fly: Fly, units: Units) -> MeasurementReading:
    """What a fly weighs, beside the tables."""
    reckoned = units.fly_mass(fly.reckoned_kg).text
    said = [f"By {count_words(found.readings, 'weighing')}; by hook and dressing {reckoned}."]
    if found.soaks_kg is not None:
        soaks = units.fly_mass(max(found.soaks_kg, 1e-6)).text
        said.append(f"It takes up {soaks} of water, which the cast has to carry.")
    return MeasurementReading(units.fly_mass(found.mass_kg).text, tuple(said))


def _percent(off: float) -> str:
    return f"{100 * TWICE * off:.0f} %"


def _beside(value: float, usual: float, what: str = "stiff") -> str:
    """``12 % stiffer than usual``."""
    off = log(value / usual)
    if abs(off) < AS_USUAL:
        return f"about as {what} as usual"
    if off > log(2.0):
        return f"{exp(off):.1f} times as {what} as usual"
    more = {"stiff": ("stiffer", "softer"), "fast": ("faster", "slower")}[what]
    return f"{abs(exp(off) - 1.0):.0%} {more[0] if off > 0.0 else more[1]} than usual"
