"""Starter shelves: what many begin with, as lines to be pruned and put on the shelf."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Starter:
    """A shelf to begin with: its name and its lines, each as one would type it."""

    key: str
    title: str
    lines: tuple[str, ...]


STARTERS = (
    Starter(
        "trout",
        "Trout and grayling",
        (
            "9 ft 5 wt, medium",
            "5 wt floating, loop",
            ".021 in stiff nylon 25 m",
            ".019 in stiff nylon 25 m",
            ".017 in stiff nylon 25 m",
            ".015 in medium nylon 25 m",
            ".013 in medium nylon 25 m",
            ".011 in medium nylon 25 m",
            "1X soft nylon 25 m",
            "3X soft nylon 30 m",
            "4X soft nylon 30 m",
            "5X soft nylon 30 m",
            "6X soft nylon 30 m",
            "5X fluorocarbon 30 m",
            "9 ft 4X tapered, 3 left",
            "9 ft 5X tapered, 3 left",
            "size 14 bushy dry",
            "size 16 dry",
            "size 14 nymph 2.8 mm tungsten bead",
            "size 8 slim streamer",
        ),
    ),
    Starter(
        "salt",
        "Salt water",
        (
            "9 ft 8 wt, fast",
            "8 wt floating, loop",
            "8 wt intermediate, loop",
            "40 lb salt mono 25 m",
            "30 lb salt mono 25 m",
            "25 lb salt mono 25 m",
            "20 lb salt mono 50 m",
            "20 lb fluorocarbon 50 m",
            "16 lb fluorocarbon 50 m",
            "12 lb fluorocarbon 50 m",
            "9 ft 16 lb knotless .013 in, 2 left",
            "4 in baitfish 1.3 g",
            "size 4 shrimp medium eyes",
            "size 2 slim streamer",
        ),
    ),
    Starter(
        "predator",
        "Pike and other teeth",
        (
            "9 ft 9 wt, fast",
            "9 wt floating, loop",
            "9 wt sink 3, loop",
            "50 lb salt mono 25 m",
            "40 lb salt mono 25 m",
            "30 lb salt mono 25 m",
            "20 lb salt mono 50 m",
            "30 lb soft wire 5 m",
            "40 lb single-strand wire 5 m",
            "80 lb fluorocarbon 20 m",
            "6 in predator 2/0",
            "size 2/0 bushy streamer",
        ),
    ),
    Starter(
        "tight-line",
        "Tight line",
        (
            "10 ft 3 wt, soft",
            "3 wt floating, long taper, loop",
            ".017 in stiff nylon 25 m",
            ".013 in medium nylon 25 m",
            ".011 in sighter nylon 10 m",
            ".009 in medium nylon 50 m",
            "4X fluorocarbon 30 m",
            "5X fluorocarbon 30 m",
            "6X fluorocarbon 30 m",
            "size 14 slim nymph 3.3 mm tungsten bead",
            "size 16 slim nymph 2.5 mm tungsten bead",
            "size 12 nymph 3.8 mm tungsten bead",
        ),
    ),
)
