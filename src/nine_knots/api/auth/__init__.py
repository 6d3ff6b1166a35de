"""Accounts over HTTP, where the service is hosted: coming in, keys, inviting, operating."""
