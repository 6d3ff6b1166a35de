"""What is easily forgotten at the water: by the clock, or after something happened."""

from dataclasses import dataclass

from nine_knots.core.domain.situation import FLOATING_WISHES, Wish


@dataclass(frozen=True, slots=True)
class Reminder:
    """A thing to do every so many minutes, after so many minutes the first time, or after something
    happened; ``wishes`` are those of the fly it goes for, none for any."""

    key: str
    words: str
    every_min: int = 0
    after: tuple[str, ...] = ()
    wishes: tuple[Wish, ...] = ()


SUNK: tuple[Wish, ...] = ("drift deep", "swing", "strip", "lead and drop")
REMINDERS = (
    Reminder(
        "grease",
        "Grease the butt and taper again, but never the last two or three feet.",
        every_min=60,  # [P]
        wishes=FLOATING_WISHES,
    ),
    Reminder("degrease", "Degrease the tippet: it should sink.", every_min=45, wishes=SUNK),
    Reminder("coils", "Draw the leader straight: coils come back as it cools.", every_min=90),
    Reminder("line", "Wipe the line clean: a dirty line sinks and casts short.", every_min=150),
    Reminder(
        "knot",
        "After a fish: test the knot at the fly, and feel the tippet for nicks.",
        after=("fish", "snagged"),
    ),
    Reminder("warm", "Get out, drink something warm, and move your toes.", every_min=90),
)
"""How often [P] where it is said of the trade, else [G]; each can be silenced."""
