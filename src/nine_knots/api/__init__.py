"""The service: one FastAPI router per noun; thin, it parses, calls core or store, answers."""
