"""Benchmarks: printed, never asserted."""
