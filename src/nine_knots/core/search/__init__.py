"""Finding a leader: what is asked, what is tried, what comes of it."""
