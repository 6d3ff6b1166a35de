"""Rows 20 to 60 of what practitioners tie, over HTTP, each with only that builder's spools.

Common practice, no source. What a card says is what the bench says of its leader.
"""

from itertools import pairwise

import pytest

from tests.api.trade_jobs import (
    CRAB,
    FLAT,
    LAKE,
    NYMPH_LINE,
    RUN,
    SINK_TIP,
    TARPON,
    AtBench,
    Job,
)

SALT_NYLON = ("60 lb stiff nylon 50 m", "50 lb stiff nylon 50 m", "20 lb stiff nylon 50 m")
TWO_TAPERS = ("9 ft 5X tapered, 2 left", "7.5 ft 5X tapered, 2 left")
JOBS = {
    20: Job(
        (
            *(f"{thou} nylon 50 m" for thou in (".020", ".017", ".013")),
            *(f"{x}X nylon 30 m" for x in (2, 3, 4, 5)),
            "5X fluoro 30 m",
            "6X fluoro 30 m",
        ),
        4,
        "dry fly size 14",
    ),
    21: Job(
        (
            *(f"{thou} nylon 50 m" for thou in (".020", ".017", ".0155", ".013")),
            "3X soft nylon 30 m",
            "4X soft nylon 30 m",
            "5X fluoro 30 m",
            "6X fluoro 30 m",
            "9 ft 5X tapered, 2 left",
        ),
        5,
        "parachute dry size 16",
    ),
    22: Job(
        (*SALT_NYLON, "60 lb fluoro 25 m"),
        10,
        "streamer size 2/0",
        "strip",
        fish=TARPON,
        water=FLAT,
    ),
    23: Job(
        ("80 lb nylon 50 m", "60 lb nylon 50 m", "20 lb nylon 50 m", "80 lb fluoro 25 m"),
        11,
        "streamer size 2/0",
        "strip",
        fish=TARPON,
        water=FLAT,
        stroke="double haul",
    ),
    24: Job(
        tuple(f"{pounds} lb nylon 50 m" for pounds in (50, 40, 30, 20)),
        10,
        "streamer size 2/0",
        "strip",
        fish=TARPON,
        water=FLAT,
    ),
    25: Job(
        ("9 ft 5X tapered, 1 left", "6X nylon 30 m"),
        4,
        "nymph size 16 2 mm tungsten bead",
        "drift deep",
        water={**RUN, "depth_m": 0.5},
        flies=("dry fly size 14",),
    ),
    26: Job(
        (".014 nylon 60 ft", "0X sighter 20 m", "5X fluoro 30 m", "6X fluoro 30 m"),
        3,
        "nymph size 14 3.3 mm tungsten bead",
        "drift deep",
        line=NYMPH_LINE,
        flies=("nymph size 16 2.5 mm tungsten bead",),
    ),
    27: Job(
        (
            "9 ft .015 tapered, 3 left",
            "12 ft 5X tapered, 2 left",
            "9 ft 4X tapered, 2 left",
            "0X nylon 30 m",
        ),
        8,
        "streamer size 1/0",
        "strip",
        fish={"kind": "red-drum", "mass_kg": 4.0},
        water={"kind": "surf", "depth_m": 1.5, "pace_m_s": 0.2},
    ),
    28: Job(
        (
            *(f"{pounds} lb stiff nylon 30 m" for pounds in (30, 25, 20, 16, 12)),
            ".0122 fluoro 18 lb 25 m",
        ),
        8,
        CRAB,
        "strip",
        fish={"kind": "bonefish", "mass_kg": 2.0, "temper": "wary"},
        water={**FLAT, "depth_m": 0.5},
        wind=(5.4, "across"),
    ),
    29: Job(TWO_TAPERS, 5, "dry fly size 18"),
    30: Job(
        (
            "12 ft 5X tapered, 2 left",
            "14 ft 5X tapered, 2 left",
            "6X fluoro 30 m",
            "7X fluoro 30 m",
        ),
        4,
        "CDC emerger size 18",
        water={"kind": "glide", "depth_m": 0.8, "pace_m_s": 0.4},
        fish={"kind": "trout", "mass_kg": 0.5, "temper": "very wary"},
    ),
    31: Job(
        (
            "60 lb stiff nylon 30 m",
            "40 lb stiff nylon 30 m",
            "80 lb fluoro 20 m",
            "40 lb knottable wire 5 m",
        ),
        10,
        "pike fly size 4/0",
        "strip",
        fish={"kind": "musky", "mass_kg": 8.0},
        water=LAKE,
    ),
    32: Job(
        ("2X nylon 30 m", "20 lb nylon 50 m"),
        6,
        "streamer size 6",
        "swing",
        line=SINK_TIP,
        water={"kind": "run", "depth_m": 1.2, "pace_m_s": 0.8},
    ),
    34: Job(
        ("7.5 ft 2X tapered, 2 left", "9 ft 3X tapered, 2 left"),
        6,
        "foam hopper size 8",
        wind=(3.6, "in the face"),
    ),
    35: Job(("9 ft 6X tapered, 2 left", "9 ft 7X tapered, 2 left"), 5, "foam hopper size 10"),
    39: Job(
        tuple(f"{pounds} lb nylon 30 m" for pounds in (60, 40, 20, 12)),
        8,
        "streamer size 2",
        "strip",
        fish={"kind": "red-drum", "mass_kg": 4.0, "temper": "wary"},
        water={**FLAT, "depth_m": 0.6, "pace_m_s": 0.0},
    ),
    43: Job(
        ("9 ft 4X tapered, 2 left", "5X fluoro 30 m"),
        5,
        "nymph size 14",
        "drift deep",
        water={**RUN, "depth_m": 1.0, "pace_m_s": 0.5},
    ),
}
FIRST = {
    20: {"sixty-twenty-twenty"},
    21: {"sixty-twenty-twenty-knotless"},
    22: {"class-and-bite"},
    23: {"class-and-bite"},
    24: {"class-and-bite"},
    25: {"one-nymph", "nymph-under-dry"},
    26: {"tight-line"},
    27: {"sixty-twenty-twenty-knotless"},
    29: {"sixty-twenty-twenty-knotless"},
    30: {"sixty-twenty-twenty-knotless", "long-fine"},
    31: {"heavy-bite", "predator-wire"},
    32: {"level-short"},
    43: {"one-nymph"},
}
NOTHING_FITS = {24, 34, 35}


def thous(leader):
    """Thousandths of an inch from the line down; a taper by its tip."""
    sizes = []
    for piece in leader["pieces"]:
        strand = piece["strand"]
        across = strand.get("diameter_m") or strand["profile"]["tip_diameter_m"]
        sizes.append(round(across / 2.54e-5, 1))
    return sizes


def none_leaps(_at, cards):
    for card in cards:
        if card["group"] == "fits this day":
            steps = pairwise(thous(card["leader"]))
            assert all(below > 0.6 * above for above, below in steps if above < 14), card["title"]
    tied = next(card for card in cards if card["key"] == "sixty-twenty-twenty")
    assert "of about .017" not in tied["words"]  # it is owned


def bite_of_fluorocarbon(_at, cards):
    bite = cards[0]["leader"]["pieces"][-1]
    assert (bite["role"], bite["strand"]["material"]) == ("bite", "fluorocarbon")
    assert bite["length_m"] <= 0.305


def bite_in_pounds(at, cards):
    assert cards[0]["buys"] == ["60 lb medium nylon or more"]
    search = {"bench": "trade", "situation": at.day, "stroke": at.stroke, "most": 20}
    refused = at.client.post("/api/v1/find", json=search)
    assert (refused.status_code, "60 lb or more" in refused.json()["detail"]) == (422, True)


def no_tippet_is_cast(_at, cards):
    for card in cards:
        assert card["key"] not in ("all-round-mono", "thin-mono") or card["buys"]


def sighter_in_its_place(_at, cards):
    assert [piece["role"] for piece in cards[0]["leader"]["pieces"]][:2] == ["butt", "sighter"]
    thin = next(card for card in cards if card["key"] == "thin-mono")
    assert thin["group"] != "fits this day"


def the_packet_whole(_at, cards):
    (taper,) = cards[0]["leader"]["pieces"]
    assert taper["strand"]["profile"]["tip_diameter_m"] == pytest.approx(0.015 * 0.0254)
    assert taper["cut_tip_m"] == taper["cut_butt_m"] == 0.0


def even_step_among_three(_at, cards):
    assert "even-step" in [card["key"] for card in cards[:3]]


def harder_or_haul(_at, cards):
    assert cards[0]["group"] == "would do"
    assert any(word in cards[0]["words"] for word in ("harder", "hard stroke", "haul"))


def too_fine(_at, cards):
    assert (cards[0]["key"], cards[0]["group"]) == ("sixty-twenty-twenty-knotless", "would do")
    assert "3X bought" in cards[0]["words"]
    assert "Too fine for this fly" in cards[0]["words"]


CHECKS = {
    20: none_leaps,
    21: none_leaps,
    22: bite_of_fluorocarbon,
    23: bite_of_fluorocarbon,
    24: bite_in_pounds,
    25: no_tippet_is_cast,
    26: sighter_in_its_place,
    27: the_packet_whole,
    28: even_step_among_three,
    34: harder_or_haul,
    35: too_fine,
}


@pytest.mark.parametrize("row", JOBS)
def test_a_row_from_its_shelf_to_the_bench(client, row):
    """The first card, its measures on the bench, and what is not owned named as such."""
    at = AtBench(client, JOBS[row])
    cards = at.cards()
    if row in FIRST:
        assert cards[0]["key"] in FIRST[row], [card["title"] for card in cards[:4]]
    fitting = [card for card in cards if card["group"] == "fits this day"]
    assert bool(fitting) != (row in NOTHING_FITS)
    for card in fitting:
        assert {measure["status"] for measure in card["measures"]} == {"right"}
        assert card["buys"] == []
        assert all(piece["strand"]["spool_id"] for piece in card["leader"]["pieces"])
    if row in CHECKS:
        CHECKS[row](at, cards)
    for card in fitting[:1]:
        bench = at.bench(card["leader"])
        for measure in card["measures"]:
            shown = bench[measure["key"]]
            assert (shown["status"], shown["figure"]) == (measure["status"], measure["figure"])
            assert shown["why"].startswith(measure["why"])  # the bench adds how it lands


@pytest.mark.parametrize(("wish", "first"), [("swing", "shot"), ("strip", "shot")])
def test_33_deeper_has_remedies_for_a_streamer(client, wish, first):
    shelf = tuple(f"{thou} nylon 50 m" for thou in (".018", ".013", ".012", ".010"))
    job = Job(
        shelf,
        5,
        "woolly bugger streamer size 8",
        wish,
        water={**RUN, "depth_m": 0.9},
        flies=("olive bugger streamer size 8 3.3 mm tungsten bead",),
    )
    at = AtBench(client, job)
    design = at.design(at.cards()[0]["leader"])
    asked = {"design": design, "stroke": at.stroke, "fished": {"wanted": "10 in"}}
    found = at.post("/water/remedies", bench="trade", **asked)
    kinds = [remedy["what"] for remedy in found]
    assert kinds[0] == first
    assert "sink tip" in kinds
    assert wish != "swing" or "fly" in kinds
    shot = found[0]["design"]["leader"]["attachments"][-1]
    assert 0.1 <= shot["above_end_m"] <= 0.16  # 4 to 6 in above


def test_37_a_small_fly_on_stout_tippet_is_said_to_have_no_life(client):
    at = AtBench(client, Job(("20 lb nylon 50 m",), 8, "hairwing wet fly size 10", "swing"))
    level = piece("nylon-medium", 17.5, 8, "tippet", 20)
    bare = {"pieces": [level], "joints": [LOOP, knot("non-slip-loop")], "attachments": []}
    cast = at.post("/casts", bench="trade", design=at.design(bare), stroke=at.stroke)
    assert "no life" in cast["agreement"]


def test_38_the_first_remedy_for_a_bushy_fly_is_a_stouter_shorter_tippet(client):
    shelf = (
        *(f"{pounds} lb stiff nylon 30 m" for pounds in (15, 12, 10, 8)),
        *(f"{x}X soft nylon 30 m" for x in (2, 3, 4, 5, 6)),
    )
    at = AtBench(client, Job(shelf, 5, "bushy dry size 12", wind=(2.2, "in the face")))
    made = at.post("/proposals", school="compound-slack", situation=at.day)["leader"]
    asked = {"design": at.design(made), "stroke": at.stroke}
    found = at.post("/casts/remedies", bench="trade", **asked)
    assert found[0]["what"] in ("tippet length", "tippet spool", "tippet spool and length")
    assert "not even" not in str(found)


def planned(at, stretches, flies, outfits=None, **day):
    """A day planned over stretches, worked out: its stops."""
    place = at.post("/places", title="Water", kind="sea" if "mass" in day else "river")
    path = f"/places/{place['place_id']}/stretches"
    for stretch in stretches:
        place = at.post(path, **stretch)
    kit = at.client.get("/api/v1/kit").json()
    lines = outfits or [line["title"] for line in kit["lines"]]
    plan = at.post(
        "/plans",
        title="Saturday",
        on="2026-06-20",
        place_id=place["place_id"],
        wind="light air",
        outfits=[{"rod": kit["rods"][0]["title"], "line": line} for line in lines],
        flies=[{"fly": fly, "wish": wish} for fly, wish in flies],
        stops=[
            {
                "stretch_id": stretch["stretch_id"],
                "begins": f"{9 + number:02d}:00",
                "ends": f"{10 + number:02d}:00",
                "fly": min(number, len(flies) - 1),
            }
            for number, stretch in enumerate(place["place"]["stretches"])
        ],
        **day,
    )
    return at.post("/plans/work", plan_id=plan["plan_id"])["stops"]


def test_47_lower_rigs_kept_are_used_each_in_its_depth(client):
    at = AtBench(client, JOBS[26])
    tight = at.cards()[0]["leader"]
    at.post("/leaders", **{**at.design(tight), "title": "My tight line"})
    for title, times in (("riffle", 0.6), ("hole", 1.8)):
        pieces = [
            {**piece, "length_m": piece["length_m"] * (times if number > 1 else 1.0)}
            for number, piece in enumerate(tight["pieces"])
        ]
        at.post("/lower-rigs", title=title, design=at.design({**tight, "pieces": pieces}))
    riffle = {"title": "riffle", "kind": "riffle", "depth": "18 in", "pace": "walking pace"}
    hole = {"title": "hole", "kind": "pool", "depth": "6 ft", "pace": "slow walking pace"}
    flies = [(at.day["fly"]["title"], "drift deep")]
    shallow, deep = planned(at, (riffle, hole), flies, fish="trout")
    below = [
        sum(piece["length_m"] for piece in stop["design"]["leader"]["pieces"][2:])
        for stop in (shallow, deep)
    ]
    assert below[0] < 1.0 < 1.6 < below[1]
    assert "At the ring, put on" in deep["change"]


def test_48_and_49_the_line_for_the_depth(client):
    tarpon = Job(
        (*SALT_NYLON, "60 lb fluoro 25 m", "10 wt intermediate line"),
        10,
        "streamer size 2/0",
        "strip",
    )
    flat = {"title": "flat", "kind": "flats", "depth": "4 ft", "pace": "a crawl"}
    at = AtBench(client, tarpon)
    fly = [(at.day["fly"]["title"], "strip")]
    (stop,) = planned(at, (flat,), fly, fish="tarpon", mass="40 kg")
    assert "floating" in stop["outfit"]
    assert stop["title"] == "Class and bite"
    assert stop["design"]["leader"]["pieces"][-1]["role"] == "bite"
    shelf = tuple(f"{pounds} lb stiff nylon 50 m" for pounds in (60, 40, 30, 20, 16))
    at = AtBench(client, Job((*shelf, "8 wt sink 7 line"), 8, "streamer size 1", "strip"))
    beach = {"title": "beach", "kind": "surf", "depth": "4 ft", "pace": "slow walking pace"}
    ledge = {"title": "ledge", "kind": "surf", "depth": "20 ft", "pace": "a crawl"}
    shallow = {**flat, "depth": "20 in"}
    fly = [(at.day["fly"]["title"], "strip")]
    stops = planned(at, (beach, ledge, shallow), fly, fish="sea-bass", mass="2 kg")
    assert ["7 in/s" in stop["outfit"] for stop in stops] == [False, True, False]
    assert all(stop["design"]["leader"]["school"] != "level-short" for stop in stops[::2])


def test_50_a_season_with_a_ring_steps_at_the_ring_only(client):
    shelf = ("9 ft 4X tapered, 2 left", "5X fluoro 30 m", "6X fluoro 30 m", "5X nylon 30 m")
    flies = ("dry fly size 12", "nymph size 16 2 mm tungsten bead")
    at = AtBench(
        client, Job(shelf, 4, "nymph size 14 2.5 mm tungsten bead", "drift deep", flies=flies)
    )
    titles = {fly["kind"]: fly["title"] for fly in at.client.get("/api/v1/kit").json()["flies"]}
    water = {"kind": "run", "depth": "20 in", "pace": "slow walking pace"}
    pool, glide = {**water, "title": "pool", "depth": "4 ft"}, {**water, "title": "glide"}
    wishes = [(at.day["fly"]["title"], "drift deep"), (titles["dry"], "drift on top")]
    deep, dry = planned(at, (pool, glide), wishes, fish="trout")
    assert [thing["kind"] for thing in deep["design"]["leader"]["attachments"]] == ["indicator"]
    assert dry["design"]["leader"]["attachments"] == []
    upper = [stop["design"]["leader"]["pieces"][0] for stop in (deep, dry)]
    assert upper[0] == upper[1]
    assert "At the ring, put on" in dry["change"]
    assert "Take the indicator off." in dry["change"]


def piece(material, thou, feet, role="taper", pounds=None):
    strand = {"material": material, "diameter_m": thou * 2.54e-5}
    strand |= {"strength_n": 4.448 * pounds} if pounds else {}
    return {"form": "level", "role": role, "strand": strand, "length_m": 0.3048 * feet}


def knot(key, kind="knot", **more):
    return {"kind": kind, "knot": key, **more}


LOOP, FLY = knot("perfection-loop", "loops"), knot("improved-clinch")
NYLON = (piece("nylon-medium", 17, 5, "butt"), piece("nylon-soft", 8, 2))
TO_FLUORO = (*NYLON, piece("fluorocarbon", 6, 2, "tippet"))
TO_NYLON = (*NYLON, piece("nylon-soft", 6, 2, "tippet"))
TO_WIRE = (piece("nylon-medium", 17.5, 6, "butt", 20), piece("wire-soft", 15, 1, "bite", 30))
STOUT = tuple(piece("nylon-stiff", *size) for size in ((33, 4, "butt", 60), (29.5, 3, "taper", 50)))


def joint(client, pieces, joints, number):
    """A joint of a leader as the bench reads it."""
    at = AtBench(client, Job(("5X nylon 30 m",), 5, "dry fly size 14"))
    leader = {"pieces": list(pieces), "joints": list(joints), "attachments": []}
    evaluation = at.post("/bench", design=at.design(leader))["evaluation"]
    return evaluation["joints"][number]


def test_51_and_57_two_knots_are_each_named_with_what_they_hold(client):
    double = joint(client, TO_FLUORO, (LOOP, knot("blood"), knot("double-surgeons"), FLY), 2)
    assert double["advice"]["faults"] == []
    best = double["advice"]["best"]
    assert (best["title"], best["holds"]) == ("triple surgeon's", "keeps 78%, 3.5 lb")
    assert double["kept"] == "keeps 77%"
    fly = {"title": "Nymph 16", "kind": "nymph", "hook": 16}
    tag = {
        "strand": NYLON[1]["strand"],
        "length_m": 0.15,
        "fly": fly,
        "knot": "improved-clinch",
        "tag": "upper",
    }
    blood = joint(client, TO_NYLON, (LOOP, knot("blood"), knot("blood", dropper=tag), FLY), 2)
    other = blood["advice"]["other"]
    assert other["title"] == "triple surgeon's"
    assert "the end of the upper piece that points to the fly" in other["reason"]
    assert (blood["advice"]["best"]["holds"], other["holds"]) == (
        "keeps 82%, 3.9 lb",
        "keeps 90%, 4.3 lb",
    )


def test_52_a_surgeons_knot_in_soft_wire_keeps_less_than_a_swivel(client):
    swivel = knot("improved-clinch", "swivel", upper_knot="uni")
    tied = joint(client, TO_WIRE, (LOOP, knot("double-surgeons"), knot("non-slip-loop")), 1)
    parted = joint(client, TO_WIRE, (LOOP, swivel, knot("non-slip-loop")), 1)
    assert tied["advice"]["faults"] == []
    assert tied["holds"]["si"] < 0.85 * parted["holds"]["si"]


def test_53_a_bought_leader_comes_looped(client):
    at = AtBench(client, Job(("9 ft 5X tapered, 2 left",), 5, "dry fly size 16"))
    leader = at.cards()[0]["leader"]
    evaluation = at.post("/bench", design=at.design(leader))["evaluation"]
    assert "nothing to tie" in evaluation["joints"][0]["advice"]["best"]["reason"]
    steps = evaluation["work"]["steps"]
    assert any("It comes looped" in step["detail"] for step in steps)
    assert not any("perfection" in step["title"] for step in steps)


def test_56_the_knot_above_a_ring_stays_when_the_material_below_changes(client):
    at = AtBench(client, Job(("5X nylon 30 m",), 5, "dry fly size 14"))
    ring = knot("uni", "ring", upper_knot="palomar")
    leader = {
        "pieces": list(TO_FLUORO),
        "joints": [LOOP, knot("blood"), ring, FLY],
        "attachments": [],
    }
    spool = at.client.get("/api/v1/stock").json()[0]["spool_id"]
    edit = {"act": "use-stock", "piece": 2, "spool_id": spool}
    changed = at.post("/bench", design=at.design(leader), edit=edit)["design"]["leader"]
    assert changed["pieces"][2]["strand"]["material"] == "nylon-soft"
    assert changed["joints"][2]["upper_knot"] == "palomar"


def test_58_and_59_stout_steps_and_thin_loops(client):
    pieces = (*STOUT, piece("nylon-stiff", 18, 3, "tippet", 20))
    for key, turns in (
        ("blood", "4 turns"),
        ("double-surgeons", "2 times"),
        ("double-uni", "3 turns"),
    ):
        tied = joint(client, pieces, (LOOP, knot(key), knot("albright"), FLY), 1)
        assert tied["advice"]["faults"] == []
        assert turns in tied["title"]
    loop = joint(
        client, (piece("nylon-medium", 20, 4, "butt"), TO_NYLON[1]), (LOOP, knot("blood"), FLY), 0
    )
    said = loop["advice"]["best"]["reason"]
    assert "saws" in said
    assert "40 lb" in said
    assert loop["advice"]["other"]["title"] == "nail knot"
    assert loop["advice"]["faults"] == []
