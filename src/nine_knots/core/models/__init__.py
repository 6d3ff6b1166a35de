"""Physics applied to the trade: a leader as a chain in the air, a tree in the water, a link."""
