"""Accounts, where anglers who do not know each other share a service: one noun a file."""
