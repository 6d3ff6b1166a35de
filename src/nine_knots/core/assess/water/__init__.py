"""What the ways of fishing share in their judgement."""
