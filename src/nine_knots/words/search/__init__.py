"""What a search for a leader has found, in words and as a picture."""
