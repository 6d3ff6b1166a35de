"""A rig in its water, followed as it is fished."""
