"""Leaders with their flies and lines whose outcome builders know: common practice, no source.

Masses and drag areas of flies are from memory.
"""

from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.domain.leader import TaperedSection
from nine_knots.core.domain.strand import TaperedStrand, TaperProfile
from nine_knots.core.domain.tackle import Fly
from tests.makers import level, tied


def fly(milligrams: float, cm2: float) -> Fly:
    return Fly(
        title="f", kind="dry", hook=14, weighed_kg=milligrams * 1e-6, drag_area_m2=cm2 * 1e-4
    )


def bought(feet: float, tip: float) -> TaperedSection:
    """A knotless taper of 60 : 20 : 20."""
    whole = feet * FOOT_M
    profile = TaperProfile(
        butt_length_m=0.6 * whole,
        butt_diameter_m=20 * THOU_M,
        taper_length_m=0.2 * whole,
        tip_length_m=0.2 * whole,
        tip_diameter_m=tip * THOU_M,
    )
    strand = TaperedStrand(material="nylon-medium", profile=profile)
    return TaperedSection(role="butt", strand=strand)


def medium(size, feet, role="taper"):
    return level(size, feet, role, "nylon-medium")


def soft(size, feet, role="tippet"):
    return level(size, feet, role, "nylon-soft")


COMPOUND = tied(
    *(medium(15, 2), medium(13, 1.2), medium(11, 0.9), medium(9, 0.7)),
    *(soft(8, 1.2), soft(7, 2), soft(6, 2.8)),
)
LONG_FINE = tied(
    medium(14.5, 5), medium(12, 2.5), medium(10, 2), medium(8, 1.5), medium(6, 1), soft(4, 3)
)
EVEN = tied(*(level(size, 2.1) for size in (27, 24, 21, 18, 15)), level(12, 2.1, "tippet"))
INSHORE = tied(medium(30, 4.5), medium(24, 2.1), medium(19.5, 1.1), medium(17, 1.5, "tippet"))
HALVING = tied(medium(18, 4), medium(13, 2), medium(12, 1.25), medium(10, 1.5, "tippet"))
PREDATOR = tied(medium(24, 3.5), medium(20, 1.5), medium(18, 1, "tippet"))
NINE, SHORT = bought(9, 6), bought(7.5, 6)

# name: leader, fly, line, what builders say of it
FITTED = {
    "9 ft 5X, dry 16": (tied(NINE), fly(14, 0.28), 5, "fully"),
    "9 ft 5X and 2 ft of 6X, dry 18": (tied(NINE, soft(5, 2)), fly(9, 0.2), 5, "fully"),
    "long fine 15 ft, 18, 4-weight": (LONG_FINE, fly(9, 0.2), 4, "fully"),
    "9 ft 5X, nymph with 3 mm bead": (tied(NINE), fly(260, 0.15), 5, "fully"),
    "halving, streamer .8 g": (HALVING, fly(800, 3), 5, "works"),
    "pike fly 3 g, 9-weight": (PREDATOR, fly(3000, 8), 9, "works"),
    "foam 8 on 7.5 ft 2X": (tied(bought(7.5, 9)), fly(120, 3), 5, "works"),
    "foam 8 on 9 ft 5X": (tied(NINE), fly(120, 3), 5, "is work"),
    "2 g on 12 ft 6X, 3-weight": (tied(NINE, medium(5, 3, "tippet")), fly(2000, 6), 3, "fails"),
}
HELD_OUT = {
    "9 ft 5X, bushy 14": (tied(NINE), fly(25, 0.6), 5, "fully"),
    "9 ft 4X, dry 12": (tied(bought(9, 7)), fly(45, 0.9), 5, "fully"),
    "9 ft 5X and 3 ft of 6X, midge 20, 4-weight": (
        tied(NINE, soft(5, 3)),
        fly(5, 0.15),
        4,
        "fully",
    ),
    "7.5 ft 5X, dry 16": (tied(SHORT), fly(14, 0.28), 5, "fully"),
    "compound, dry 14": (COMPOUND, fly(17, 0.4), 5, "fully"),
    "even step for flats, crab .35 g, 8-weight": (EVEN, fly(350, 1), 8, "fully"),
    "inshore, baitfish 1.2 g, 8-weight": (INSHORE, fly(1200, 4), 8, "works"),
    "two-part 8 ft, 1.3 g, 7-weight": (
        tied(medium(21, 6), medium(15, 2, "tippet")),
        fly(1300, 4),
        7,
        "works",
    ),
    "compound, bushy 10": (COMPOUND, fly(60, 1.3), 5, "fails"),
    "1.2 g on a 4-weight": (HALVING, fly(1200, 3.5), 4, "is work"),
}
# what the trade calls poor, or a failure, and the model does not
DIFFERS = {
    "level 9 ft .010": (tied(medium(10, 9, "tippet")), fly(17, 0.4), 5, "fully"),
}
