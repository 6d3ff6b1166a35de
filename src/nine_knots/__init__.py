"""Nine Knots: a bench for fly anglers who build their own leaders."""
