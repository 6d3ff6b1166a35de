"""Free tapers from what is owned: level chains from butt to tippet, and bought tapers with one or
two level pieces below."""

import random
from collections.abc import Iterator
from dataclasses import dataclass

from pydantic import ValidationError

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.joint_match import LINE_FIRM, LINE_SOFT
from nine_knots.core.base.cached_field import cached_field
from nine_knots.core.domain.leader import Leader, LevelSection, TaperedSection
from nine_knots.core.domain.leader.own_knots import with_own_knots
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Packet, Spool, packets_of, spools_of
from nine_knots.core.domain.tackle import line_profile
from nine_knots.core.propose.fit_to_shelf import usual_joints
from nine_knots.core.propose.spools import SPARE_M
from nine_knots.core.schools.by_water import span_by_water
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.plausible import (
    BUTT_SHARES,
    TIPPETS_M,
    SectionEnd,
    is_tippet,
    step_m,
    steps_down,
)

MOST_CHAIN = 7  # level pieces
LEAST_MIDDLE = 2  # steps of the grid


@dataclass(frozen=True)
class RandomTapers:
    """Makes free tapers for a day by chance, all of them sane."""

    day: Situation
    angler: Angler
    demands: Demands

    def made(self, rng: random.Random, tied: int, bought: int) -> Iterator[Leader]:
        """So many tries at tied chains and at bought tapers; what cannot be is left out."""
        for _ in range(tied):
            chain = self._walk(rng)
            if chain is not None:
                yield from self._leader(self._laid_out(rng, chain))
        if self.demands.bought != "none":
            for _ in range(bought if self._packets and self._tippets else 0):
                yield from self._leader(self._on_a_taper(rng))

    @cached_field
    def _spools(self) -> list[Spool]:
        return [
            spool
            for spool in spools_of(self.angler.stock)
            if spool.strand.is_plain_mono and spool.remaining_m > SPARE_M + TIPPETS_M[0]
        ]

    @cached_field
    def _packets(self) -> list[Packet]:
        return packets_of(self.angler.stock)

    @cached_field
    def _tippets(self) -> list[Spool]:
        return [spool for spool in self._spools if is_tippet(_end_of(spool), self.day)]

    @cached_field
    def _butts(self) -> list[Spool]:
        tip = line_profile(self.day.line).match_bend_nm2
        return [
            spool
            for spool in self._spools
            if LINE_SOFT <= spool.strand.bend_nm2(spool.strand.diameter_m) / tip <= LINE_FIRM
        ]

    @cached_field
    def _below(self) -> dict[str, list[Spool]]:
        """What may follow each spool: a step down, and to nothing stiffer."""
        return {
            above.spool_id: [
                below
                for below in self._spools
                if steps_down(_end_of(above), _end_of(below), self.day)
                and _bend(below) <= _bend(above)
            ]
            for above in self._spools
        }

    @cached_field
    def _lengths_m(self) -> tuple[float, float]:
        span = span_by_water(self.day)
        low, high = self.demands.shortest_m, self.demands.longest_m
        least = low if low is not None else min(span.low_m, high or span.low_m)
        most = high if high is not None else max(span.high_m, low or span.high_m)
        return least, most

    def _walk(self, rng: random.Random) -> list[Spool] | None:
        """A way from a butt down to a tippet, by chance; None where it ends short of one."""
        if not self._butts or not self._tippets:
            return None
        chain = [rng.choice(self._butts)]
        wanted = rng.choice(self._tippets)
        while chain[-1] != wanted:
            thin_m = wanted.strand.diameter_m
            following = [
                other_spool
                for other_spool in self._below[chain[-1].spool_id]
                if other_spool == wanted or other_spool.strand.diameter_m > thin_m + 1e-6
            ]
            if not following or len(chain) == MOST_CHAIN:
                return None
            chain.append(wanted if wanted in following else rng.choice(following))
        return chain

    def _laid_out(
        self, rng: random.Random, chain: list[Spool]
    ) -> list[LevelSection | TaperedSection]:
        """Lengths by chance: the butt's share, the tippet, and middle pieces that fall."""
        step = step_m(self.angler.units)
        whole = round(rng.uniform(*self._lengths_m) / step)
        tippet = self._tippet_steps(rng)
        if len(chain) == 1:
            return [_piece("tippet", chain[0], whole * step)]
        butt = round(rng.uniform(*BUTT_SHARES) * whole)
        count = len(chain) - 2
        left = max(whole - butt - tippet, LEAST_MIDDLE * count)
        shares = sorted((rng.uniform(0.5, 1.5) for _ in range(count)), reverse=True)
        middle = [max(LEAST_MIDDLE, round(left * share / sum(shares))) for share in shares]
        if not count:
            butt = max(1, whole - tippet)
        steps = [butt, *middle, tippet]
        roles = ["butt", *["taper"] * count, "tippet"]
        return [
            _piece(role, spool, number * step)
            for role, spool, number in zip(roles, chain, steps, strict=True)
        ]

    def _on_a_taper(self, rng: random.Random) -> list[LevelSection | TaperedSection]:
        """A bought taper, whole or cut back at its tip, and a tippet that fits on it."""
        step = step_m(self.angler.units)
        packet = rng.choice(self._packets)
        made = packet.strand.profile
        most_cut = made.tip_length_m + 0.4 * made.taper_length_m
        whole = self.demands.bought == "whole" or rng.random() < 0.5
        cut_m = 0.0 if whole else round(rng.uniform(0.0, most_cut) / step) * step
        taper = TaperedSection(role="butt", strand=packet.strand, cut_tip_m=cut_m)
        fit = [s for s in self._tippets if s.strand.diameter_m <= taper.lower_diameter_m + 1e-6]
        if not fit or rng.random() < 0.1:
            return [taper]
        tippet = rng.choice(fit)
        pieces: list[LevelSection | TaperedSection] = [taper]
        between = [
            s
            for s in self._spools
            if tippet.strand.diameter_m < s.strand.diameter_m < taper.lower_diameter_m
        ]
        if between and rng.random() < 0.5:
            pieces.append(_piece("taper", rng.choice(between), self._tippet_steps(rng) * step))
        return [*pieces, _piece("tippet", tippet, self._tippet_steps(rng) * step)]

    def _tippet_steps(self, rng: random.Random) -> int:
        return round(rng.uniform(*TIPPETS_M) / step_m(self.angler.units))

    def _leader(self, pieces: list[LevelSection | TaperedSection]) -> Iterator[Leader]:
        try:
            leader = Leader(pieces=tuple(pieces), joints=usual_joints(pieces, self.day))
        except ValidationError:
            return
        yield with_own_knots(leader, self.angler.ties, self.day.line, self.day.fly)


def _end_of(spool: Spool) -> SectionEnd:
    return SectionEnd(spool.strand, spool.strand.diameter_m)


def _bend(spool: Spool) -> float:
    return spool.strand.bend_nm2(spool.strand.diameter_m)


def _piece(role: str, spool: Spool, length_m: float) -> LevelSection:
    return LevelSection.model_validate({"role": role, "strand": spool.strand, "length_m": length_m})
