"""``python -m nine_knots.launch``: hears signals to end before it loads what takes long."""

import sys

from nine_knots.launch.ending import Ending, heed_signals

if __name__ == "__main__":
    heed_signals()
    try:
        from nine_knots.launch.start import main

        sys.exit(main())
    except Ending:
        sys.exit(0)
