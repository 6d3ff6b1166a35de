"""Remedies: the smallest single change that brings a measure into its band, by trying it."""
