"""A material told with its reasons: sinking, knots, stretch, wear, water, price."""

from nine_knots.core.domain.materials import MATERIALS, Material

WATER_KG_M3 = 1000.0
FAST = 1.5  # times as dense as water, from which a strand sinks by itself at once
UNLIKE = 0.05  # of the stretch of medium nylon, within which it is the same
STIFF = 0.35  # of it, below which it counts for nothing


def material_reasons(material: Material) -> tuple[str, ...]:
    """What speaks for a material and what against it, a short sentence each."""
    return (
        _in_water(material),
        material.knots,
        _stretch(material),
        material.wears,
        _wet(material),
        f"Price: {material.price[0].lower()}{material.price[1:]}",
    )


def _in_water(material: Material) -> str:
    dense = material.density_kg_m3 / WATER_KG_M3
    if dense < 1.0:
        return "Floats."
    if dense < FAST:
        return "Sinks slowly; greased it stays on the film."
    return f"Sinks, {dense:.1f} times as dense as water."


def _stretch(material: Material) -> str:
    """Under the same pull at the same thickness, beside medium nylon."""
    times = MATERIALS["nylon-medium"].wet_modulus_pa / material.wet_modulus_pa
    if times < STIFF:
        return "Hardly stretches."
    if abs(times - 1.0) < UNLIKE:
        return "Stretches like nylon: a cushion for fine tippet."
    more = "more" if times > 1.0 else "less"
    return f"Stretches {abs(times - 1.0):.0%} {more} than medium nylon as thick."


def _wet(material: Material) -> str:
    if material.wet_keeps < 1.0:
        return f"Loses {1.0 - material.wet_keeps:.0%} of its strength in water."
    return "As strong wet as dry."
