"""What an angler owns, read from a line of text as it is said, and printed so again."""
