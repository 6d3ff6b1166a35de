"""The fishing zone at the bed."""


def zone_top_m(depth_m: float) -> float:
    """Height in metres above the bed up to which a fly is in the fishing zone at the bed [G]."""
    return max(0.15, 0.15 * depth_m) if depth_m >= 0.5 else 0.3 * depth_m
