"""``python -m nine_knots.run``: what ./start runs."""

from nine_knots.run.signals import run

if __name__ == "__main__":
    run("nine_knots.run.start")
