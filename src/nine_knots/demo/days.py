"""A day that Runa has planned on the Skarn, and what lies ready in her wallet."""

from nine_knots.core.domain.plan import DayPlan, FlyFor, Outfit, Stop
from nine_knots.core.domain.situation import TargetFish, Wind
from nine_knots.core.domain.strand import Stock
from nine_knots.core.domain.wallet import WalletRig
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.tackle import FLIES, LINES, RODS

PLAN_ID = "5ca1ab1e" * 4


def demo_plan(place_id: str) -> DayPlan:
    """From the pockets down to the gorge at dusk."""
    return DayPlan(
        title="Saturday, pockets to gorge",
        on="2026-08-22",
        place_id=place_id,
        level_m=0.58,
        wind=Wind(speed_m_s=2.5, bearing="upstream"),
        temperature_c=11.0,
        quarry=TargetFish(kind="grayling", mass_kg=0.7, temper="wary"),
        outfits=(Outfit(rod=RODS["river"], line=LINES["river"]),),
        flies=(
            FlyFor(fly=FLIES["skarn-sedge"], wish="drift on top"),
            FlyFor(fly=FLIES["slate-point"], wish="drift deep"),
            FlyFor(fly=FLIES["night-runner"], wish="swing"),
            FlyFor(fly=FLIES["pale-upright"], wish="drift on top"),
        ),
        stops=(
            Stop(stretch_id="pockets", begins_min=9 * 60, ends_min=11 * 60, fly=0),
            Stop(stretch_id="alder-head", begins_min=11 * 60, ends_min=13 * 60, fly=1),
            Stop(stretch_id="mill-glide", begins_min=14 * 60, ends_min=16 * 60 + 30, fly=0),
            Stop(stretch_id="gorge", begins_min=19 * 60, ends_min=22 * 60, fly=2),
        ),
        notes="Eskil joins at the mill.",
    )


def demo_wallet(stock: tuple[Stock, ...]) -> tuple[WalletRig, ...]:
    """Her everyday leader, twice; a tight line that was fished; the night leader."""
    designs = {design.title: design for design in (*demo_designs(stock), *demo_rigs(stock))}
    return (
        WalletRig(
            design=designs["Skarn evening sedge"], lies="wallet, sleeve 1", tied_on="2026-08-18"
        ),
        WalletRig(
            design=designs["Skarn evening sedge"],
            lies="wallet, sleeve 2",
            state="worn",
            tied_on="2026-07-04",
        ),
        WalletRig(
            design=designs["Tight line for the pockets"],
            lies="foam, slot 3",
            state="fished",
            tied_on="2026-08-09",
        ),
    )
