"""What is kept over the years: every kind of value with its version, and the way up to today's."""
