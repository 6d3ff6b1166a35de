"""Starting everything: the private database server, the built interface, the service.

Importing it names the folder of compiled kernels, which must be done before Numba is imported.
"""

from pathlib import Path

from nine_knots.launch.kernels import keep_kernels_in

PROJECT = Path(__file__).resolve().parents[3]
KERNELS = keep_kernels_in(PROJECT / ".local")
