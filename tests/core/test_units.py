"""Text in, SI inside, text out: what is read, what is refused, and that it comes round."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from nine_knots.core.base.errors import OutOfRange, Unreadable
from nine_knots.core.base.units import (
    Units,
    parse_area,
    parse_bead,
    parse_depths,
    parse_diameter,
    parse_hook,
    parse_length,
    parse_load,
    parse_mass,
    parse_speed,
    parse_wind,
)
from nine_knots.core.base.units.factors import POUND_N

SYSTEMS = st.sampled_from(["imperial", "metric"])


@pytest.mark.parametrize(
    ("text", "metres"),
    [
        ("4 ft 2 in", 1.27),
        ("50in", 1.27),
        ("1.27 m", 1.27),
        ("1,27 m", 1.27),
        ("127 cm", 1.27),
        ("4'2\"", 1.27),
        ("4 ft 2", 1.27),
        ("41¼ in", 1.04775),
        ("41 1/4", 1.04775),
        ("1/2 in", 0.0127),
        ("9ft", 2.7432),
    ],
)
def test_lengths_as_anglers_write_them(text, metres):
    assert parse_length(text) == pytest.approx(metres, abs=1e-12)


@pytest.mark.parametrize(
    ("text", "millimetres"),
    [
        (".018", 0.4572),
        ('0.018"', 0.4572),
        ("18 thou", 0.4572),
        ("0.45 mm", 0.45),
        ("5X", 0.1524),
        ("02X", 0.3302),
        ("4.5x", 0.1651),
    ],
)
def test_diameters_as_anglers_write_them(text, millimetres):
    assert parse_diameter(text) * 1e3 == pytest.approx(millimetres, abs=1e-9)


def test_a_bare_figure_is_read_in_the_anglers_own_units():
    assert parse_length("41", "imperial") == pytest.approx(1.0414)
    assert parse_length("41", "metric") == pytest.approx(0.41)
    assert parse_diameter("0.45", "metric") == pytest.approx(0.45e-3)
    assert parse_load("12") == pytest.approx(12 * POUND_N)
    assert parse_load("5.4", "metric") == pytest.approx(5.4 * 9.80665)


def test_depths_are_named_in_one_line():
    assert parse_depths("3 ft; 60 cm and 1,2 m") == pytest.approx((0.6, 0.9144, 1.2))
    assert parse_depths(" ") == ()
    for text in ("1 m; 2 m; 3 m; 4 m; 5 m; 6 m", "40 m", "1 cm"):
        with pytest.raises(OutOfRange):
            parse_depths(text)


def test_a_bare_diameter_that_only_fits_the_other_system_asks_back():
    with pytest.raises(OutOfRange) as refused:
        parse_diameter("0.45", "imperial")
    assert "mm" in refused.value.hint


def test_masses_speeds_hooks_and_beads():
    assert parse_mass("2 lb 8 oz") == pytest.approx(1.13398, abs=1e-5)
    assert parse_mass("260 mg") == pytest.approx(2.6e-4)
    assert parse_speed("12 mph") == pytest.approx(5.36448)
    assert [parse_area(t) for t in ("3 cm²", "3", "300 mm2", "1 sq in")] == pytest.approx(
        [3e-4, 3e-4, 3e-4, 6.4516e-4]
    )
    assert [parse_hook(t) for t in ("14", "#16", "size 8", "1", "1/0", "2/0")] == [
        14,
        16,
        8,
        1,
        0,
        -1,
    ]
    assert parse_bead("3.3") == pytest.approx(3.3e-3)
    assert parse_bead("7/64 in") == pytest.approx(2.778e-3, abs=1e-6)


@pytest.mark.parametrize(
    "text",
    [
        "",
        "  ",
        "long",
        "9 ft 3 ft",
        "2 in 9 ft",
        "3 furlongs",
        "1,270 m",
        "1/0 in",
        "9 ft; DROP",
        "9" * 60,
    ],
)
def test_what_is_no_length_is_refused_with_an_example(text):
    with pytest.raises(Unreadable) as refused:
        parse_length(text)
    assert refused.value.hint


@pytest.mark.parametrize(
    ("parse", "text"),
    [
        (parse_length, "41 m"),
        (parse_length, "0 in"),
        (parse_diameter, "17 mm"),
        (parse_load, "2000 lb"),
        (parse_speed, "100 m/s"),
        (parse_hook, "40"),
        (parse_bead, "9 mm"),
    ],
)
def test_what_is_not_physical_is_refused(parse, text):
    with pytest.raises(OutOfRange):
        parse(text)


@given(st.floats(0.01, 39.9), SYSTEMS)
def test_a_length_comes_round_to_the_same_text(length_m, system):
    units = Units(system)
    text = units.length(length_m).text
    again = parse_length(text, system)
    assert units.length(again).text == text
    assert again == pytest.approx(length_m, abs=0.51 * units.length_step_m)


@given(st.floats(6e-5, 2.4e-3), SYSTEMS)
def test_a_diameter_comes_round_to_the_same_text(diameter_m, system):
    units = Units(system)
    text = units.diameter(diameter_m).text
    assert units.diameter(parse_diameter(text, system)).text == text


@given(st.floats(1.0, 4000.0), SYSTEMS)
def test_a_load_comes_round_to_the_same_text(load_n, system):
    units = Units(system)
    text = units.load(load_n).text
    assert units.load(parse_load(text, system)).text == text


@given(st.floats(0.0, 30.0), SYSTEMS)
def test_any_wind_comes_round(speed_m_s, system):
    text = Units(system).wind(speed_m_s).text
    assert Units(system).wind(parse_wind(text, system)).text == text
    bare = text.split(" ")[0]
    assert (
        parse_wind(bare, system) == parse_wind(text, system) == pytest.approx(speed_m_s, abs=0.23)
    )


@given(st.floats(0.03, 400.0), SYSTEMS)
def test_a_fish_comes_round_to_the_same_text(mass_kg, system):
    units = Units(system)
    text = units.fish_mass(mass_kg).text
    assert units.fish_mass(parse_mass(text, system)).text == text


def test_the_trades_rounding():
    inches, metric = Units("imperial"), Units("metric")
    assert inches.length(1.27).text == "4 ft 2 in"
    assert inches.length(0.5461).text == "21½ in"
    assert metric.length(1.27).text == "127 cm"
    assert metric.length(2.745).text == "2.745 m"
    assert inches.diameter(0.4572e-3).text == ".018 in"
    assert inches.diameter(0.2413e-3).text == ".0095 in"
    assert metric.diameter(0.4572e-3).text == "0.46 mm"
    assert inches.tippet(0.1524e-3).text == ".006 in · 5X"
    assert inches.load(53.4).text == "12.0 lb"
    assert metric.load(53.4).text == "5.45 kg"
    assert inches.on_spool(22.1).text == "73 ft"
    assert metric.on_spool(2.6).text == "2.5 m"
    assert [Units.hook(n) for n in (14, 1, 0, -1)] == ["14", "1", "1/0", "2/0"]
