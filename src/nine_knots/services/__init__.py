"""Services of others, asked by open standards; none is needed, and what they say is checked."""
