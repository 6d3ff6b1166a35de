"""One router per noun; every module here with a ``router`` is served."""
