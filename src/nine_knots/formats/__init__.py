"""Open formats in and out: JSON with a published schema, CSV, SVG."""
