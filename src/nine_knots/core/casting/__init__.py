"""A line, a leader and a fly thrown, simulated until they lie on the water."""
