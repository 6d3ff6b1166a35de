"""What the log of many days says: honest counts, with how sure they are."""
