"""Words put together as sentences are."""


def capitalised(words: str) -> str:
    """Words as a sentence begins: the first letter large, all else as it is."""
    return f"{words[:1].upper()}{words[1:]}"


def join_words(names: list[str]) -> str:
    """Names in a row: ``butt, taper and tippet``."""
    *first, last = names
    return f"{', '.join(first)} and {last}" if first else last


NUMBERS = [
    "no",
    "one",
    "two",
    "three",
    "four",
    "five",
    "six",
    "seven",
    "eight",
    "nine",
    "ten",
    "eleven",
    "twelve",
]


def count_words(number: int, item: str, several: str = "") -> str:
    """``no knots``, ``one knot``, ``twelve knots``; figures beyond."""
    said = NUMBERS[number] if number < len(NUMBERS) else str(number)
    return f"{said} {item}" if number == 1 else f"{said} {several or f'{item}s'}"
