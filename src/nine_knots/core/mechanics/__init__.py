"""Mechanics on floats and arrays, each law with its source. No word of the trade."""
