"""How much a leader holds and which of its parts goes first."""
