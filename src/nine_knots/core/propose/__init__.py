"""A leader by a school's rule, out of the spools that are owned."""
