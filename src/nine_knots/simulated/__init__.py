"""Simulated instruments that speak as real ones would."""
