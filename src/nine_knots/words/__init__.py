"""What is said and drawn: readings in the angler's units, words, work orders, knots."""
