"""What is said in the window: one line at a time, and nothing where the window is gone."""

from contextlib import suppress


def print_line(words: str) -> None:
    """Print a line; a window that was closed is no reason to fail."""
    with suppress(OSError, ValueError):
        print(words, flush=True)
