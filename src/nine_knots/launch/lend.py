"""``python -m nine_knots.launch.lend``: what ./lend runs."""

from nine_knots.launch.ending import run

if __name__ == "__main__":
    run("nine_knots.launch.helper")
