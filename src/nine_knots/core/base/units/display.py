"""Figures as the angler reads them: the trade's rounding in either system.

Lengths to 1/4 in or 0.5 cm, diameters to .0005 in or 0.01 mm, strengths to 0.1 lb or 0.05 kg.
Every text reads back through ``parse`` to the same text.
"""

from collections.abc import Callable
from enum import StrEnum
from functools import lru_cache
from math import ceil
from typing import ParamSpec, TypeVar, cast

from nine_knots.core.base.quantity import Quantity, System
from nine_knots.core.base.units import factors
from nine_knots.core.base.units.x_scale import x_of_diameter

P = ParamSpec("P")
R = TypeVar("R")

_QUARTERS = ("", "¼", "½", "¾")


def _steps(value: float, step: float) -> int:
    return int(value / step + 0.5)


MANY = 4096


def _kept(figure: Callable[P, R]) -> Callable[P, R]:
    """The same few figures are said again and again while a leader is dragged about."""
    return cast(Callable[P, R], lru_cache(maxsize=MANY)(figure))


def _half_cm(halves: int) -> str:
    if halves < 400:
        return f"{halves / 2:g} cm"
    text = f"{halves * 0.005:.3f}".rstrip("0")
    return f"{text}{'0' * (2 - len(text.split('.')[1]))} m"


def _quarter_inches(quarters: int) -> str:
    feet, rest = divmod(quarters, 48) if quarters >= 144 else (0, quarters)
    inches, part = divmod(rest, 4)
    text = f"{inches or ('' if part else 0)}{_QUARTERS[part]} in"
    if not feet:
        return text
    return f"{feet} ft {text}" if rest else f"{feet} ft"


def _half_thous(halves: int) -> str:
    return f"{f'{halves / 2000:.4f}'.removesuffix('0').lstrip('0')} in"


def _tenths_lb(tenths: int) -> str:
    return f"{tenths * 0.1:.1f} lb"


class Units(StrEnum):
    """One angler's units; every method takes SI and answers a Quantity."""

    IMPERIAL = "imperial"
    METRIC = "metric"

    @property
    def system(self) -> System:
        """Their name, as requests and files give it."""
        return self.value

    @property
    def length_step_m(self) -> float:
        """The finest length shown, in metres; drags snap to it."""
        return factors.INCH_M / 4 if self.system == "imperial" else 0.005

    def snap_length(self, length_m: float) -> float:
        """The nearest length, in metres, that the display can show and that is not nothing."""
        return max(1, _steps(length_m, self.length_step_m)) * self.length_step_m

    @_kept
    def length(self, length_m: float) -> Quantity:
        """``4 ft 2¼ in`` from 3 ft up, inches below; metres from 2 m up, centimetres below."""
        steps = _steps(length_m, self.length_step_m)
        text = _half_cm(steps) if self.system == "metric" else _quarter_inches(steps)
        return Quantity(si=length_m, text=text)

    def depth(self, depth_m: float) -> Quantity:
        """A depth as finely as the water model knows it: to 5 cm, or to 2 in."""
        step = 0.05 if self.system == "metric" else 2.0 * factors.INCH_M
        return Quantity(si=depth_m, text=self.length(_steps(depth_m, step) * step).text)

    def roughly(self, length_m: float) -> str:
        """A length to a hand's breadth, 10 cm or 4 in, and never nothing."""
        step = 0.1 if self.system == "metric" else 4.0 * factors.INCH_M
        return self.length(max(1, _steps(length_m, step)) * step).text

    @staticmethod
    def seconds(time_s: float) -> str:
        """A time as finely as the water model knows it: ``2.5 s``, whole seconds from ten up."""
        step = 0.5 if time_s < 10.0 else 1.0
        return f"{_steps(time_s, step) * step:g} s"

    def on_spool(self, length_m: float) -> Quantity:
        """What is left on a spool: ``46 ft`` or ``14 m``, halves of them below five."""
        unit_m, name = (1.0, "m") if self.system == "metric" else (factors.FOOT_M, "ft")
        step = 0.5 if length_m < 5 * unit_m else 1.0
        return Quantity(si=length_m, text=f"{_steps(length_m / unit_m, step) * step:g} {name}")

    @_kept
    def diameter(self, diameter_m: float) -> Quantity:
        """``.018 in`` or ``0.46 mm``."""
        if self.system == "metric":
            return Quantity(si=diameter_m, text=f"{diameter_m * 1000:.2f} mm")
        return Quantity(si=diameter_m, text=_half_thous(_steps(diameter_m, factors.THOU_M / 2)))

    def finely(self, diameter_m: float) -> str:
        """A diameter as a micrometer gives it: ``.0062 in`` or ``0.158 mm``."""
        if self.system == "metric":
            return f"{diameter_m * 1000:.3f} mm"
        return f"{diameter_m / factors.INCH_M:.4f}".lstrip("0") + " in"

    def within(self, off_m: float) -> str:
        """How far a diameter may be off, without its unit, to the last digit of ``finely``, rounded
        up: ``.0001`` or ``0.002``."""
        last_m = 1e-6 if self.system == "metric" else 1e-4 * factors.INCH_M
        return self.finely(max(1, ceil(off_m / last_m - 1e-9)) * last_m).split(" ")[0]

    @_kept
    def tippet(self, diameter_m: float) -> Quantity:
        """A diameter with its X size where it has one: ``.006 in · 5X``."""
        plain, x = self.diameter(diameter_m), x_of_diameter(diameter_m)
        return Quantity(si=diameter_m, text=f"{plain.text} · {x}" if x else plain.text)

    def across(self, diameter_m: float, estimated: bool) -> str:
        """A strand's thickness, marked where it is only the usual for its label: ``≈.024 in``."""
        text = self.tippet(diameter_m).text
        return f"≈{text}" if estimated else text

    @_kept
    def load(self, load_n: float) -> Quantity:
        """``12.0 lb`` or ``5.45 kg``."""
        if self.system == "metric":
            text = f"{_steps(load_n / factors.KILO_N, 0.05) * 0.05:.2f} kg"
        else:
            text = _tenths_lb(_steps(load_n / factors.POUND_N, 0.1))
        return Quantity(si=load_n, text=text)

    def label(self, load_n: float) -> Quantity:
        """A strength as a label gives it: ``12 lb``, ``7.5 lb``, ``5.4 kg``."""
        unit_n, name = (
            (factors.KILO_N, "kg") if self.system == "metric" else (factors.POUND_N, "lb")
        )
        return Quantity(si=load_n, text=f"{_steps(load_n / unit_n, 0.1) * 0.1:.3g} {name}")

    def fish_mass(self, mass_kg: float) -> Quantity:
        """``2 lb 8 oz`` or ``1.15 kg``."""
        if self.system == "metric":
            return Quantity(si=mass_kg, text=f"{_steps(mass_kg, 0.05) * 0.05:.2f} kg")
        pounds, ounces = divmod(_steps(mass_kg, factors.OUNCE_KG), 16)
        parts = ([f"{pounds} lb"] if pounds else []) + ([f"{ounces} oz"] if ounces else [])
        return Quantity(si=mass_kg, text=" ".join(parts) or "0 oz")

    @staticmethod
    def fly_mass(mass_kg: float) -> Quantity:
        """``25 mg``, or ``1.25 g`` from a gram up: flies are weighed so everywhere."""
        text = f"{1e3 * mass_kg:.3g} g" if mass_kg >= 1e-3 else f"{1e6 * mass_kg:.2g} mg"
        if 1e-4 <= mass_kg < 1e-3:
            text = f"{_steps(1e6 * mass_kg, 10.0) * 10} mg"
        return Quantity(si=mass_kg, text=text)

    @staticmethod
    def area(area_m2: float) -> Quantity:
        """A drag area: ``0.6 cm²``."""
        return Quantity(si=area_m2, text=f"{1e4 * area_m2:.2g} cm²")

    def speed(self, speed_m_s: float) -> Quantity:
        """``2.5 ft/s`` or ``0.8 m/s``."""
        if self.system == "metric":
            return Quantity(si=speed_m_s, text=f"{speed_m_s:.1f} m/s")
        return Quantity(si=speed_m_s, text=f"{speed_m_s / factors.FOOT_M:.1f} ft/s")

    def wind(self, speed_m_s: float) -> Quantity:
        """A wind: ``10 mph`` or ``4.5 m/s``."""
        if self.system == "metric":
            return self.speed(speed_m_s)
        return Quantity(si=speed_m_s, text=f"{_steps(speed_m_s / factors.MPH_M_S, 1.0)} mph")

    def sinking(self, speed_m_s: float) -> str:
        """How fast something sinks: ``12.2 in/s`` or ``31 cm/s``."""
        if self.system == "metric":
            return f"{100 * speed_m_s:.0f} cm/s"
        return f"{speed_m_s / factors.INCH_M:.1f} in/s"

    def temperature(self, celsius: float) -> Quantity:
        """``10 °C`` or ``50 °F``."""
        if self.system == "metric":
            return Quantity(si=celsius, text=f"{celsius:.0f} °C")
        return Quantity(si=celsius, text=f"{1.8 * celsius + 32.0:.0f} °F")

    def about_speed(self, speed_m_s: float) -> str:
        """A speed that is roughly known, to two figures: ``49 ft/s``, ``130 ft/s``, ``8.5 m/s``."""
        unit, per = ("m/s", 1.0) if self.system == "metric" else ("ft/s", factors.FOOT_M)
        value = float(f"{speed_m_s / per:.2g}")
        return f"{value:.1f} {unit}" if value < 10 else f"{value:.0f} {unit}"

    @staticmethod
    def hook(number: int) -> str:
        """The hook size as written: 14, 1, 1/0, 2/0."""
        return str(number) if number > 0 else f"{1 - number}/0"
