"""``python -m tests.kernels``: compiles the simulations and keeps them, lest each row of tests does
it for itself."""

from nine_knots.run.kernel_cache import keep_kernels_in
from tests.running import PROJECT

if __name__ == "__main__":
    keep_kernels_in(PROJECT / ".local")  # before any kernel is imported
    from nine_knots.api.app import first_tasks

    for task in first_tasks():
        task.work()
