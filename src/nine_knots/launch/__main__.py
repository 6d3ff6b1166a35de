"""``python -m nine_knots.launch``: what ./start runs."""

from nine_knots.launch.ending import run

if __name__ == "__main__":
    run("nine_knots.launch.start")
