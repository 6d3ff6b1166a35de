"""The Water stage in figures and words, as far as the ways of fishing share them."""
