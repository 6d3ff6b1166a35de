"""Scores in words: figure, why, title and question, from reason and numbers."""
