"""``python -m nine_knots.run.serving``: where the process that serves begins.

Workers import the module with which their parent began; this one brings nothing along that they do
not need.
"""

if __name__ == "__main__":
    import gc
    import sys

    gc.disable()  # all of it stays: looking through it again and again takes a fifth longer
    from nine_knots.run.service import main

    gc.freeze()
    gc.set_threshold(10_000, 20, 100)  # a look through all of a season's events holds up everybody
    gc.enable()
    sys.setswitchinterval(0.001)  # a light call hands over some twenty times: each waits that long
    sys.exit(main())
