"""Reading instruments on the bench."""
