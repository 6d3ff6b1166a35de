"""A planned day in words: what to fish where, what to tie, pack and mind."""
