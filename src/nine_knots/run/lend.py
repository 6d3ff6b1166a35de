"""``python -m nine_knots.run.lend``: what ./lend runs."""

from nine_knots.run.signals import run

if __name__ == "__main__":
    run("nine_knots.run.remote_worker")
