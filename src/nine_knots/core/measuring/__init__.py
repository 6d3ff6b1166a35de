"""The bench instruments: what their readings say, and how sure that is."""
