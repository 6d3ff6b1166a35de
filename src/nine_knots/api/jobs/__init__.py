"""Work that takes long: worked out in processes of its own, bounded, in turn, and given up when
nobody waits for it any more."""
