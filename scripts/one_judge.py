"""Cards, found leaders and planned ones against the bench, on shelves and days by chance:
``python -m scripts.one_judge 300``."""

import sys
from concurrent.futures import ProcessPoolExecutor

from tests.one_judge import contradictions, found_contradictions


def _found(seed: int) -> list[str]:
    return [*contradictions(seed), *found_contradictions(seed)]


def main() -> None:
    """Prints every contradiction, and how many there are."""
    seeds = int(sys.argv[1]) if len(sys.argv) > 1 else 300
    total = 0
    with ProcessPoolExecutor(max_workers=2) as workers:
        for said in workers.map(_found, range(seeds)):
            total += len(said)
            for line in said:
                print(line, flush=True)
    print(f"{seeds} shelves and days: {total} contradictions")


if __name__ == "__main__":
    main()
