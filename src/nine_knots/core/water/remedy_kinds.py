"""What can be changed of a rig or of how it is fished, by name."""

from typing import Literal

What = Literal[
    "tippet length",
    "tippet spool",
    "tippet spool and length",
    "butt",
    "middle",
    "fly",
    "stroke",
    "setting",
    "shot and setting",
    "shot",
    "bead",
    "sink tip",
    "dropper",
    "leader length",
    "count",
    "lead",
    "out",
    "grease",
    "school",
    "joint",
]
Tunes = Literal["setting", "mark", "shot", "bead"]
"""What has a least and a most, or one setting, for a wanted depth."""
