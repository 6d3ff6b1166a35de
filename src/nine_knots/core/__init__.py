"""The trade's rules and computation: pure functions over immutable values, SI inside."""
