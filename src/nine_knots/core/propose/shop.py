"""What a shop has beside the shelf: spools and tapers of usual sizes, from which a school builds
where the shelf alone has nothing for it."""

from collections.abc import Iterator
from typing import TypeVar, cast

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.identity_cache import cached_by_identity
from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.base.units.x_scale import x_of_diameter
from nine_knots.core.domain.as_sold import bought_profile
from nine_knots.core.domain.leader import Leader, LevelSection, TaperedSection
from nine_knots.core.domain.leader.joints import Dropper
from nine_knots.core.domain.materials import MATERIALS, MaterialKey
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Packet, Spool, Stock, Strand, TaperedStrand, spools_of
from nine_knots.core.propose.fit_to_shelf import Proposal
from nine_knots.core.propose.propose import propose_to
from nine_knots.core.propose.shortages import Wanted, WantedStrand, WantedTaper
from nine_knots.core.propose.spool_index import MANY
from nine_knots.core.schools.school import SchoolParameters

# What is sold by thickness, in thousandths of an inch [P]: soft stuff for tippets, nylon and stiff
# nylon up to butts; wire; tapers by length in feet and tip.
SOLD: dict[MaterialKey, tuple[float, ...]] = {
    "nylon-soft": (4, 5, 6, 7, 8, 9, 10),
    "fluorocarbon": (5, 6, 7, 8, 9, 10, 11, 12, 13, 15, 17),
    "nylon-stiff": (11, 13, 15, 17, 19, 21, 24),
}
BESIDE: dict[MaterialKey, tuple[float, ...]] = {
    "nylon-medium": (9, 10, 11, 12, 13, 15, 17, 19, 21),
    "wire-soft": (15, 18),
    "wire-single": (12, 15),
}
TAPERS_FT, TIPS_THOU = (7.5, 9.0, 12.0), (5, 6, 7, 8, 9, 11)
OWNED_M = 0.6 * THOU_M  # a spool so near to one of its kind that is owned is had already
FULL_M = 100.0
ID = "to-buy"
Tied = TypeVar("Tied", bound=LevelSection | TaperedSection | Dropper)


def sold_spool(material: MaterialKey, thou: float, name: str = "") -> Spool:
    """A full spool as it is sold."""
    spool_id = name or f"{ID}-{material}-{thou:g}"
    strand = Strand(material=material, diameter_m=thou * THOU_M, spool_id=spool_id)
    return Spool(spool_id=spool_id, title="to buy", strand=strand, remaining_m=FULL_M)


def is_owned(material: MaterialKey, across_m: float, stock: tuple[Stock, ...]) -> bool:
    """Whether a spool of this family and about this thickness is on the shelf."""
    family = MATERIALS[material].family
    return any(
        spool.strand.substance.family == family
        and abs(spool.strand.diameter_m - across_m) < OWNED_M
        for spool in spools_of(stock)
    )


def propose_or_buy(
    angler: Angler, key: str, situation: Situation, parameters: SchoolParameters
) -> Proposal:
    """A leader by a school from what is owned, or else with what a shop has beside it, which
    ``buys`` then names; CannotCompute where neither makes one."""
    try:
        return propose_to(angler, key, situation, parameters)
    except CannotCompute as refused:
        if refused.where != "spools":
            raise
    return propose_to_buy(angler, key, situation, parameters)


def propose_to_buy(
    angler: Angler, key: str, situation: Situation, parameters: SchoolParameters
) -> Proposal:
    """A leader by a school from what is owned and what a shop has beside it, which ``buys`` names;
    CannotCompute where both together make none."""
    shopper = angler.model_copy(update={"stock": _with_what_is_sold(angler.stock)})
    made = propose_to(shopper, key, situation, parameters)
    pieces = made.leader.pieces
    return made.model_copy(
        update={
            "leader": _not_yet_owned(made.leader),
            "buys": (*dict.fromkeys(_bought(made.leader)), *made.buys),
            # of what is to be bought the very size is to be had
            "shortfalls": tuple(
                miss for miss in made.shortfalls if not _is_new(pieces[miss.piece].strand)
            ),
        }
    )


@cached_by_identity(MANY)
def _with_what_is_sold(stock: tuple[Stock, ...]) -> tuple[Stock, ...]:
    spools = [
        sold_spool(material, thou)
        for material, sizes in (*SOLD.items(), *BESIDE.items())
        for thou in sizes
        if not is_owned(material, thou * THOU_M, stock)
    ]
    tapers = [_taper(feet, thou) for feet in TAPERS_FT for thou in TIPS_THOU]
    return (*stock, *spools, *tapers)


def _taper(feet: float, thou: float) -> Packet:
    spool_id = f"{ID}-taper-{feet:g}-{thou:g}".replace(".", "-")
    profile = bought_profile(feet * FOOT_M, thou * THOU_M)
    strand = TaperedStrand(
        material="nylon-medium", profile=profile, estimated=True, spool_id=spool_id
    )
    title = f"Knotless {feet:g} ft {x_of_diameter(thou * THOU_M)}"
    return Packet(spool_id=spool_id, title=title, strand=strand, count=1)


def _bought(leader: Leader) -> Iterator[Wanted]:
    """What of a leader is not owned, from the line down."""
    for piece in leader.pieces:
        strand = piece.strand
        if not _is_new(strand):
            continue
        if isinstance(strand, TaperedStrand):
            whole_m, tip_m = strand.profile.length_m, strand.profile.tip_diameter_m
            yield WantedTaper(length_m=whole_m, tip_m=tip_m)
        else:
            title = strand.substance.title
            yield WantedStrand(material=title, across_m=strand.diameter_m, sold=True)


def _is_new(strand: Strand | TaperedStrand) -> bool:
    return (strand.spool_id or "").startswith(ID)


def _not_yet_owned(leader: Leader) -> Leader:
    """The leader with no spool named where none is owned."""
    pieces = tuple(_without_spool(piece) for piece in leader.pieces)
    joints = tuple(
        joint.model_copy(update={"dropper": _without_spool(joint.dropper)})
        if joint.dropper is not None
        else joint
        for joint in leader.joints
    )
    return leader.model_copy(update={"pieces": pieces, "joints": joints})


def _without_spool(tied: Tied) -> Tied:
    if not _is_new(tied.strand):
        return tied
    strand = tied.strand.model_copy(update={"spool_id": None})
    return cast(Tied, tied.model_copy(update={"strand": strand}))
