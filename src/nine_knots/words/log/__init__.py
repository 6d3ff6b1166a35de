"""The log in words: a day as it went, what many days say."""
