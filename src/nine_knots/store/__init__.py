"""The store: MariaDB through PyMySQL, plain SQL, one module per noun."""

from nine_knots.store.database import Address, Database

__all__ = ["Address", "Database"]
